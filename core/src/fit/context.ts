/** What every check looks at: the parts of one set-up beside one job, and the figures that several checks share. */
import { type Assume, assumptionsOf } from '../assumptions/assume.ts'
import { pauseForDutyS, worstDutyPct, type WeldRun } from '../duty/window.ts'
import { type Assembly, assemblyOf } from '../assembly/assembly.ts'
import { demandsOf } from '../assembly/demands.ts'
import type { Chosen } from '../assembly/slots.ts'
import type { Gun, PowerSource, SetUp, SupplyRating } from '../model/equipment.ts'
import type { Job } from '../model/job.ts'
import type { Shop } from '../model/shop.ts'
import { computed, jobField, standard } from '../model/source.ts'
import { term, type Worked } from '../model/working.ts'
import { type Process, PROCESSES } from '../reference/processes.ts'
import { type Draw, drawOf } from '../supply/inputCurrent.ts'
import { inputFault } from '../supply/plateCheck.ts'
import { ruleBookOf } from '../supply/index.ts'
import type { RuleBook } from '../supply/ruleBook.ts'
import { type JointFigures, jointFigures } from './jointFigures.ts'
import { repositionKey, runsOf, type SequenceLine, sequenceOf } from './sequence.ts'
import { type SupplyAnswer, supplyFor } from './supplyFor.ts'

export interface FitInput extends Chosen {
  readonly shop: Shop
  readonly job: Job
  readonly setUp: SetUp
  readonly powerSource: PowerSource
  readonly gun: Gun
}

export interface FitContext extends FitInput {
  /** Whether mends are worked out: a trial of a mend needs none of its own. */
  readonly wantsMends: boolean
  readonly assume: Assume
  readonly rules: RuleBook
  readonly process: Process
  readonly supplyAnswer: SupplyAnswer
  readonly supply: SupplyRating | null
  /** How the source draws on the circuit; null where it has no rating for it, or where its plate cannot be right. */
  readonly draw: Draw | null
  /** Why there is no draw. */
  readonly drawSays: string
  readonly joints: readonly JointFigures[]
  /** The joint that wants most current: duty is reckoned at its current. */
  readonly governing: JointFigures
  readonly pauseS: number
  /** The order of welding, a line a weld line. */
  readonly sequence: readonly SequenceLine[]
  readonly runs: readonly WeldRun[]
  /** Arc-on share of the worst ten minutes at the governing joint's current, %; null without a wire. */
  readonly duty: Worked | null
  /** The same set-up as the rules of compatibility look at it. */
  readonly assembly: Assembly
}

function dutyOf(
  runs: readonly WeldRun[],
  governing: JointFigures,
  pause: ReturnType<typeof term>,
): Worked | null {
  if (governing.arcPerPassS === null) return null
  const value = Math.min(100, worstDutyPct(runs))
  return {
    value,
    steps: [
      ...(governing.arcS?.steps ?? []),
      {
        says: 'Arc-on share of the worst ten minutes',
        formula: 'X = max over 10 min of Σ arc · (I / I₂)² / 600 s',
        terms: [
          term('arc', 'one pass of the hungriest joint', governing.arcPerPassS, 's', computed()),
          pause,
          term('I₂', 'highest current wanted', governing.wanted.value, 'A', computed()),
        ],
        result: { symbol: 'X', value, unit: '%' },
        source: standard('IEC 60974-1, duty cycle: share of a 10 min period', true),
      },
    ],
  }
}

export function contextOf(input: FitInput, wantsMends = true): FitContext {
  const { shop, job, setUp, powerSource, circuit } = input
  const assume = assumptionsOf(shop)
  const process = PROCESSES[setUp.process]
  const joints = job.joints.map((joint) => jointFigures(joint, input, assume))
  const governing = joints.reduce((most, next) => (next.wanted.value > most.wanted.value ? next : most))
  const sequence = sequenceOf(job, joints, assume)
  const governingLine = sequence[joints.indexOf(governing)]
  const pauseS = governingLine?.repositionS ?? 0
  const pause =
    job.pauseS !== null || governing.joint.repositionS !== null
      ? term('pause', 'from one weld to the next', pauseS, 's', jobField('pause of the job'))
      : assume.term(repositionKey(job.handling), 'pause')
  // Heating goes with the square of the current.
  const heats = joints.map(({ wanted }) => (wanted.value / governing.wanted.value) ** 2)
  const runs = runsOf(job, sequence, heats, assume.value('tackArcS'))
  const supplyAnswer = supplyFor(powerSource, setUp.process, circuit)
  const supply = supplyAnswer.supply
  const duty = dutyOf(runs, governing, pause)
  const fault = supply ? inputFault(process.family, supply) : null
  return {
    shop,
    job,
    setUp,
    circuit,
    powerSource,
    feeder: input.feeder,
    gun: input.gun,
    wire: input.wire,
    roll: input.roll,
    liner: input.liner,
    tip: input.tip,
    nozzle: input.nozzle,
    tungsten: input.tungsten,
    collet: input.collet,
    colletBody: input.colletBody,
    cup: input.cup,
    backCap: input.backCap,
    gas: input.gas,
    flowMeter: input.flowMeter,
    wantsMends,
    assume,
    rules: ruleBookOf(shop),
    process,
    supplyAnswer,
    supply,
    draw: supply && circuit && !fault ? drawOf(powerSource, supply, circuit, process.family, assume) : null,
    drawSays: fault ? `what ${powerSource.name} draws: ${fault}` : 'a supply voltage that the source takes',
    joints,
    governing,
    pauseS,
    sequence,
    runs,
    duty,
    assembly: assemblyOf(shop, setUp, input, demandsOf({ joints, job, duty })),
  }
}

/** Pause that brings the job's worst ten minutes down to a duty, s; null when rest alone does not. */
export const pauseFor = ({ runs }: FitContext, dutyPct: number): number | null => pauseForDutyS(runs, dutyPct)
