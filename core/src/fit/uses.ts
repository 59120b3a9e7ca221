/** What the whole job uses up: filler, gas, tungsten, hours. */
import { commonPractice, computed, handbook, jobField } from '../model/source.ts'
import { flowOf } from '../trade/gasFlow.ts'
import { type Step, term, type Worked } from '../model/working.ts'
import type { FitContext } from './context.ts'

const sum = (values: readonly number[]): number => values.reduce((total, value) => total + value, 0)

/** The steps of the hungriest joint stand for all; a sum closes the working where there are several. */
function total(context: FitContext, figure: (index: number) => Worked, symbol: string, unit: string): Worked {
  const each = context.joints.map((_, index) => figure(index))
  const value = sum(each.map((one) => one.value))
  if (each.length === 1 && each[0]) return each[0]
  const add: Step = {
    says: 'All joints together',
    formula: `${symbol} = Σ ${symbol}ⱼ`,
    terms: each.map((one, index) =>
      term(`${symbol}${index + 1}`, `joint ${index + 1}`, one.value, unit, computed()),
    ),
    result: { symbol, value, unit },
    source: computed('sum'),
  }
  return { value, steps: [...(each[0]?.steps ?? []), add] }
}

/** g of wire or rod */
export const fillerUse = (context: FitContext): Worked =>
  total(context, (index) => context.joints[index]?.filler ?? { value: 0, steps: [] }, 'w', 'g')

/** Arc time over the whole job, s; null without a wire. */
export function arcTime(context: FitContext): Worked | null {
  if (context.joints.some(({ arcS }) => arcS === null)) return null
  return total(context, (index) => context.joints[index]?.arcS ?? { value: 0, steps: [] }, 'τ', 's')
}

/** Arcs struck over the whole job. */
const startsOf = ({ joints, job }: FitContext): number =>
  sum(joints.map(({ joint, arcsPerWeld }) => joint.count * job.quantity * arcsPerWeld))

/** Flow at the meter, L/min. */
export const gasFlow = (context: FitContext): Worked =>
  flowOf({
    settings: context.setUp,
    process: context.process,
    wire: context.wire,
    cup: context.cup,
    assume: context.assume,
  })

/** Seconds that a hand valve flows beyond the arc, each start; 0 where the source shuts the gas itself. */
const handValveS = ({ gun, powerSource, assume }: FitContext): number =>
  gun.kind === 'torch' && gun.valve === true && powerSource.gasValve !== true
    ? assume.value('handValveOpenS')
    : 0

/** L of free gas; null without a gas or an arc time. */
export function gasUse(context: FitContext): Worked | null {
  const { process, gas, assume, governing } = context
  const arc = arcTime(context)
  if (!process.shielded || !gas || !arc) return null
  const flow = gasFlow(context)
  const starts = startsOf(context)
  const byHand = handValveS(context)
  const post =
    process.family === 'gtaw'
      ? Math.max(
          byHand,
          assume.value('postFlowGtawLeastS'),
          (assume.value('postFlowGtawSPer10A') * governing.wanted.value) / 10,
        )
      : assume.value('postFlowWireS')
  const pre = assume.value('preFlowS')
  const leak = assume.value('gasLeakPct')
  const value = ((flow.value * (arc.value + (pre + post) * starts)) / 60) * (1 + leak / 100)
  return {
    value,
    steps: [
      ...arc.steps,
      ...flow.steps,
      {
        says: 'Gas used',
        formula: 'V = Q · (τ + (a + b) · s) / 60 · (1 + l)',
        terms: [
          term('Q', 'flow', flow.value, 'L/min', computed()),
          term('τ', 'arc time', arc.value, 's', computed()),
          assume.term('preFlowS', 'a'),
          term(
            'b',
            'post-flow each start',
            post,
            's',
            commonPractice(
              byHand > 0
                ? 'until the hand valve is shut; at least 1 s per 10 A'
                : 'about 1 s per 10 A, at least some 8 s with TIG',
            ),
          ),
          term('s', 'arcs struck', starts, '', computed('welds × passes × segments')),
          assume.term('gasLeakPct', 'l'),
        ],
        result: { symbol: 'V', value, unit: 'L' },
        source: computed('flow times time'),
      },
    ],
  }
}

/** Electrodes ground away; null where no tungsten is used or known. */
export function tungstenUse(context: FitContext): Worked | null {
  const { process, tungsten, assume } = context
  const arc = arcTime(context)
  if (process.family !== 'gtaw' || !tungsten || !arc) return null
  const hours = arc.value / 3600
  const usableMm = tungsten.lengthMm - assume.value('stubMm')
  if (usableMm <= 0) return null
  const lossPerHour =
    assume.value('regrindsPerArcHour') * assume.value('regrindLossMm') +
    assume.value('dipsPerArcHour') * assume.value('dipLossMm')
  const value = (hours * lossPerHour) / usableMm
  return {
    value,
    steps: [
      ...arc.steps,
      {
        says: 'Tungsten used',
        formula: 'n = h · (g·G + d·D) / (L − S)',
        terms: [
          term('h', 'arc time', hours, 'h', computed()),
          assume.term('regrindsPerArcHour', 'g'),
          assume.term('regrindLossMm', 'G'),
          assume.term('dipsPerArcHour', 'd'),
          assume.term('dipLossMm', 'D'),
          term('L', 'new electrode', tungsten.lengthMm, 'mm length', jobField('tungsten')),
          assume.term('stubMm', 'S'),
        ],
        result: { symbol: 'n', value, unit: 'pieces' },
        source: commonPractice(),
      },
    ],
  }
}

/** Working hours, arc-on and all around it; null without a wire. */
export function workTime(context: FitContext): Worked | null {
  const { process, assume, pauseS } = context
  const arc = arcTime(context)
  if (!arc) return null
  const key = process.feedsWire ? 'operatingFactorWirePct' : 'operatingFactorGtawPct'
  const byFactor = arc.value / (assume.value(key) / 100)
  const starts = startsOf(context)
  const byPauses = arc.value + starts * pauseS
  const value = Math.max(byFactor, byPauses) / 3600
  return {
    value,
    steps: [
      ...arc.steps,
      {
        says: 'Working time',
        formula: 'W = max(τ / F, τ + s · p)',
        terms: [
          term('τ', 'arc time', arc.value, 's', computed()),
          assume.term(key, 'F'),
          term('s', 'arcs struck', starts, '', computed('welds × passes × segments')),
          term('p', 'from one weld to the next', pauseS, 's', jobField('pause of the job or assumption')),
        ],
        result: { symbol: 'W', value, unit: 'h' },
        source: handbook('operating factor, welding handbooks'),
      },
    ],
  }
}
