/** What settings make of a weld: leg, deposition, heat, cost. The same for those to start with and for any others. */
import { weldCountOf } from '../joints/weldCount.ts'
import type { Capability } from '../capability/capability.ts'
import { computed, handbook, jobField, shopField } from '../basis/source.ts'
import { assumed, calculation, from, input } from '../calculation/calculation.ts'
import type { Step } from '../calculation/step.ts'
import { TracingReckoner } from '../calculation/reckoner.ts'
import { type Demand, traceDemand } from '../demand/demand.ts'
import type { Joint } from '../kinds/job.ts'
import { settingsAreOf, type WeldFigures } from '../demand/weldFigures.ts'
import { cetPctOf, type Composition, compositionOf } from '../reference/composition.ts'
import { bringsLittleHydrogen } from '../reference/leastPreheat.ts'
import { DENSITY } from '../reference/materials.ts'
import { type ArcWindow, arcWindowOf, balance } from '../trade/arcWindow.ts'
import { currentAtFeed, wireFeedSpeed } from '../trade/burnOff.ts'
import { coveredGPerMin } from '../trade/covered.ts'
import { CARBON_FROM, COOLING_FROM, PREHEAT_FROM, type SteelHeat, steelHeatOf } from '../trade/cooling.ts'
import { fillerG } from '../trade/deposit.ts'
import { depositionRate, deposition } from '../trade/depositionRate.ts'
import { isFillet } from '../trade/geometry.ts'
import { heatInput, travel } from '../trade/heatInput.ts'
import { gasFlow } from '../trade/gasFlow.ts'
import { passesWanted } from '../trade/passes.ts'
import { thinnerFamily } from '../trade/wantedCurrent.ts'

/** What the hand and the machine are set to. */
export interface SettingsTried {
  readonly currentA: number
  readonly voltsV: number
  /** mm/min; null where no wire is fed: then the amps are set. */
  readonly feedMmPerMin: number | null
  readonly travelMmPerMin: number
}

export interface Outcome {
  /** By wire what the feed burns off, else as set, A. */
  readonly currentA: number
  /** g/min; null where the hand feeds a rod. */
  readonly depositionGPerMin: number | null
  /** Resulting leg, mm; null of a groove, and where the hand feeds a rod. */
  readonly legMm: number | null
  /** Metal laid down against what the weld was called for, %; null where the hand feeds a rod. */
  readonly filledPct: number | null
  /** How it runs at these volts and this wire speed; null where no wire is fed, or the source keeps the volts itself. */
  readonly arc: ArcWindow | null
  /** kJ/mm */
  readonly heatKJPerMm: number
  /** How a weld in steel cools, and the preheat its heat asks for; null of other metals. */
  readonly steel: SteelHeat | null
  /** Arc and all around it for a metre of weld, all passes, s. */
  readonly workSPerM: number
  /** For a metre of weld, in the shop's currency. */
  readonly costPerM: number
  /** What has no price, and is not in the cost. */
  readonly unpriced: readonly ('filler' | 'gas')[]
}

const beadArea = calculation({
  id: 'bead-area',
  title: 'Metal of one pass at this travel',
  symbol: 'A_1',
  unit: 'mm²',
  expression: '1000 * r / (ρ * s)',
  inputs: { r: deposition, ρ: input('density', 'g/cm³', DENSITY['carbon-steel'].source), s: travel },
  compute: ({ r, ρ, s }) => (1000 * r) / (ρ * s),
  source: handbook('deposition over travel', false),
})
const legLaid = calculation({
  id: 'leg-laid',
  title: 'Resulting leg',
  symbol: 'z',
  unit: 'mm',
  expression: 'sqrt(2 * n * A_1 / (1 + c / 100))',
  inputs: { n: passesWanted, A_1: from(beadArea), c: assumed('convexityPct') },
  compute: ({ n, A_1, c }) => Math.sqrt((2 * n * A_1) / (1 + c / 100)),
  source: handbook('geometry', false),
})
const filled = calculation({
  id: 'filled-share',
  title: 'Metal against the planned size',
  symbol: 'f',
  unit: '%',
  expression: '100 * n * A_1 / A',
  inputs: {
    n: passesWanted,
    A_1: from(beadArea),
    A: input('planned metal', 'mm²', jobField('size of the weld')),
  },
  compute: ({ n, A_1, A }) => (100 * n * A_1) / A,
  source: computed('ratio'),
})

const workPerM = calculation({
  id: 'work-per-metre',
  title: 'Work for a length of weld, arc and all around it',
  symbol: 't',
  unit: 's per m',
  expression: '60 * 1000 * n / s + K',
  inputs: {
    n: passesWanted,
    s: travel,
    K: input('tacking and handling of this weld, over its length', 's per m', computed()),
  },
  compute: ({ n, s, K }) => (60 * 1000 * n) / s + K,
  source: computed('length over travel, with what is around it'),
})
const costPerM = calculation({
  id: 'cost-per-metre',
  title: 'Cost of a length of weld: labour, filler and gas, without power and wear',
  symbol: 'C',
  unit: 'per m',
  expression: 't / 3600 * L + w * p + Q * (60 * 1000 * n / s) / 60 * g',
  inputs: {
    t: from(workPerM),
    L: assumed('labourPerHour'),
    w: input(
      'filler for a metre',
      'g',
      computed('metal of a metre, losses with it'),
      'filler-wire',
      'filler-rod',
      'filler-covered',
    ),
    p: input('price of filler', 'per g', shopField('price of a package')),
    Q: gasFlow,
    n: passesWanted,
    s: travel,
    g: input('price of gas', 'per L', shopField('price of a refill')),
  },
  compute: ({ t, L, w, p, Q, n, s, g }) => (t / 3600) * L + w * p + Q * ((60 * 1000 * n) / s / 60) * g,
  source: computed('sum; 0 for what has no price'),
})

/** Metal that one weld was called for, over its length, mm². */
const calledForMm2 = ({ metalG, runMm, joint }: WeldFigures, pieces: number, density: number): number =>
  (metalG * 1000) / (density * runMm * weldCountOf(joint) * pieces)

/**
 * @param settled travel above 0
 * @returns what these settings make of a weld
 * @example outcomeOf(capability, demand, weld, { currentA: 180, voltsV: 20, feedMmPerMin: 8000, travelMmPerMin: 300 }).legMm
 */
export function outcomeOf(
  capability: Capability,
  demand: Demand,
  line: WeldFigures,
  settled: SettingsTried,
): Outcome {
  // As the settings to start with: of a groove with an open root, of its fill passes.
  const weld = settingsAreOf(line)
  const { process, wire, fedWire, gas, reckoner } = capability
  const { travelMmPerMin: s, feedMmPerMin, voltsV: U } = settled
  const { passes: n, joint } = weld
  const currentA =
    fedWire && feedMmPerMin !== null
      ? currentAtFeed(fedWire, feedMmPerMin, process.id, reckoner)
      : settled.currentA
  const density = DENSITY[wire?.metal ?? 'carbon-steel'].value
  const calledMm2 = calledForMm2(weld, demand.job.quantity, density)
  const rate = rateOf(capability, currentA, feedMmPerMin)
  const areaMm2 = rate === null ? null : reckoner.compute(beadArea, { r: rate, ρ: density, s })
  const metalGPerM = density * (areaMm2 === null ? calledMm2 : n * areaMm2)
  const K = (weld.tackS + weld.pauseS * weld.arcsPerWeld) / (weld.runMm / 1000)
  const t = reckoner.compute(workPerM, { n, s, K })
  const fillerPrice = wire?.packagePrice ?? null
  const gasPrice = gas?.refillPrice ?? null
  const heatKJPerMm = reckoner.compute(heatInput, {
    k: process.electrode === 'tungsten' ? 'heatEfficiencyGtaw' : 'heatEfficiencyWire',
    U,
    I: currentA,
    s,
  })
  return {
    currentA,
    depositionGPerMin: rate,
    legMm: areaMm2 !== null && isFillet(joint) ? reckoner.compute(legLaid, { n, A_1: areaMm2 }) : null,
    filledPct: areaMm2 === null ? null : reckoner.compute(filled, { n, A_1: areaMm2, A: calledMm2 }),
    arc:
      fedWire && feedMmPerMin !== null && process.id !== 'gmaw-pulse'
        ? arcWindowOf(
            process.id,
            fedWire,
            {
              metal: thinnerFamily(joint),
              gas: process.shielded ? gas : null,
              classification: fedWire.classification,
            },
            { voltsV: U, feedMmPerMin, nearA: weld.wantedA },
            capability.assumptions,
            reckoner,
          )
        : null,
    heatKJPerMm,
    steel: steelOf(capability, demand, joint, heatKJPerMm),
    workSPerM: t,
    costPerM: reckoner.compute(costPerM, {
      t,
      w: wire ? fillerG(metalGPerM, process.id, wire, reckoner) : 0,
      p: wire && fillerPrice !== null ? fillerPrice / wire.packageG : 0,
      Q: process.shielded ? capability.flowLPerMin : 0,
      n,
      s,
      g: gas && gasPrice !== null ? gasPrice / gas.fullL : 0,
    }),
    unpriced: [
      ...(wire && fillerPrice === null ? (['filler'] as const) : []),
      ...(process.shielded && gas && gasPrice === null ? (['gas'] as const) : []),
    ],
  }
}

/** The harder of both parts decides; null where one of them is no steel whose grade says what is in it. */
function harderOf({ materialA, materialB }: Pick<Joint, 'materialA' | 'materialB'>): Composition | null {
  const [a, b] = [compositionOf(materialA), compositionOf(materialB)]
  return a && b && (cetPctOf(a) >= cetPctOf(b) ? a : b)
}

function steelOf(
  { process, wire, assumptions, reckoner }: Capability,
  { job }: Demand,
  joint: Joint,
  heatKJPerMm: number,
): SteelHeat | null {
  const composition = harderOf(joint)
  if (!composition) return null
  const filler = process.electrode === 'covered' ? (wire?.classification ?? null) : null
  const partC = job.preheatC ?? assumptions.workshopC
  return steelHeatOf(
    composition,
    joint,
    { heatKJPerMm, partC, isDry: bringsLittleHydrogen(process.id, filler) },
    reckoner,
  )
}

/** Weld metal in a minute of arc, g; null where the hand feeds a rod, or without a filler. */
function rateOf(
  { process, fedWire, wire, reckoner }: Capability,
  currentA: number,
  feedMmPerMin: number | null,
): number | null {
  if (process.id === 'smaw') return wire && coveredGPerMin(wire, currentA, reckoner)
  if (!fedWire) return null
  return depositionRate(
    fedWire,
    feedMmPerMin ?? wireFeedSpeed(fedWire, currentA, process.id, reckoner),
    process.id,
    reckoner,
  )
}

/** What can be asked of an outcome. */
export type OutcomeFigure =
  'arc' | 'deposition' | 'leg' | 'filled' | 'heat' | 'cooling' | 'preheat' | 'carbon' | 'work' | 'cost'
export const OUTCOME_FROM: Readonly<Record<OutcomeFigure, readonly string[]>> = {
  arc: [balance.id],
  deposition: deposition.from,
  leg: [legLaid.id],
  filled: [filled.id],
  heat: [heatInput.id],
  cooling: COOLING_FROM,
  preheat: PREHEAT_FROM,
  carbon: CARBON_FROM,
  work: [workPerM.id],
  cost: [costPerM.id],
}

/**
 * @returns the steps that end in one figure of what settings make
 * @example explainOutcome('leg', capability, demand, weld, settled).at(-1)?.result.unit // 'mm'
 */
export function explainOutcome(
  figure: OutcomeFigure,
  capability: Capability,
  demand: Demand,
  weld: WeldFigures,
  settled: SettingsTried,
): readonly Step[] {
  const tracer = new TracingReckoner(capability.assumptions)
  traceDemand(demand, weld.joint.id, tracer)
  outcomeOf(capability.reckonedBy(tracer), demand, weld, settled)
  return tracer.stepsOf([{ calculations: OUTCOME_FROM[figure], value: null }])
}
