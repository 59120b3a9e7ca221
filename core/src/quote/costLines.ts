/**
 * What a job costs, in lines that add up to the cent: wages by what they are paid for, filler, gas, tungsten, tips, power.
 * The fit shows wages, filler and gas; a quote needs the rest too.
 */
import type { Assumptions } from '../assumptions/assume.ts'
import type { Capability } from '../capability/capability.ts'
import { changeoverMinOf } from '../changeover/toSetUp.ts'
import { usesOf } from '../criteria/use.ts'
import type { Demand } from '../demand/demand.ts'
import type { WeldFigures } from '../demand/weldFigures.ts'
import { costOf, type Guess } from '../fit/cost.ts'
import { weldCountOf } from '../joints/weldCount.ts'
import type { Joint } from '../kinds/job.ts'
import { isEngineDriven } from '../kinds/engineDriven.ts'
import type { MaterialId } from '../model/material.ts'
import { USUAL_LIFE } from '../record/wear.ts'
import { DENSITY } from '../reference/materials.ts'
import { loadVoltageOf } from '../trade/arcVoltage.ts'

export const COST_LINES = [
  'arc',
  'tacking',
  'handling',
  'preparation',
  'changeover',
  'rest',
  'finishing',
  'filler',
  'gas',
  'tungsten',
  'tips',
  'power',
] as const
export type CostLineId = (typeof COST_LINES)[number]
/** Of which line the wages are. */
export const LABOUR_LINES: readonly CostLineId[] = [
  'arc',
  'tacking',
  'handling',
  'preparation',
  'changeover',
  'rest',
  'finishing',
]

export interface CostLine {
  readonly id: CostLineId
  /** In the shop's currency, not rounded. */
  readonly exact: number
  /** Rounded so that all lines add up to the total in cents. */
  readonly cents: number
  /** How much of it: h, g, L, pieces, kWh. */
  readonly amount: number
  readonly unit: 'h' | 'g' | 'L' | 'pieces' | 'kWh'
  /** For one unit. */
  readonly rate: number
  /** Nobody has entered a price: the middle of what it typically costs, and how far that goes. */
  readonly typical: { readonly low: number; readonly high: number } | null
}

const S_PER_H = 3600
const MIN_PER_H = 60
const MM_PER_M = 1000
const J_PER_KWH = 3.6e6
const CENTS = 100

/** Hot-rolled and cast surfaces: scale or skin is ground off. */
const SCALED: ReadonlySet<MaterialId> = new Set([
  'hot-rolled',
  'structural-355',
  'quenched-tempered',
  'medium-carbon',
  'cast-iron',
])
/** Brushed bright, ground to bright metal, or stripped of zinc. */
function prepMinPerM(material: MaterialId, assumptions: Assumptions): number {
  if (material === 'galvanised') return assumptions.prepCoatedMinPerM
  return SCALED.has(material) ? assumptions.prepScaleMinPerM : assumptions.prepBareMinPerM
}

/** Both edges are cleaned; the slower of them counts. */
export const prepSOf = ({ job, assumptions }: Demand): number =>
  job.joints.reduce((sum, joint: Joint) => {
    const minPerM = Math.max(
      prepMinPerM(joint.materialA, assumptions),
      prepMinPerM(joint.materialB, assumptions),
    )
    return sum + ((joint.lengthMm * weldCountOf(joint)) / MM_PER_M) * minPerM * MIN_PER_H
  }, 0) * job.quantity

/** From the outlet, kWh: the arc over the efficiency, and what the machine draws between the arcs. */
function powerKWhOf({ powerSource, process, assumptions }: Capability, { runs, work }: Demand): number {
  if (!powerSource || isEngineDriven(powerSource) || !work) return 0
  const efficiency = (powerSource.efficiencyPct ?? assumptions.efficiencyPct) / 100
  const arcJ = runs.reduce(
    (sum, { wantedA, arcS }: WeldFigures) =>
      sum + loadVoltageOf(process.family, wantedA) * wantedA * (arcS ?? 0),
    0,
  )
  const idleJ = (powerSource.idleW ?? assumptions.idleW) * (work.tackS + work.handlingS)
  return (arcJ / efficiency + idleJ) / J_PER_KWH
}

/** How much steel wire a tip and a liner last for, g; what the shop's own changes teach goes before what is usual. */
export interface Lives {
  readonly tipG: number
  readonly linerG: number
}
export const USUAL_LIVES: Lives = { tipG: USUAL_LIFE.tip.life, linerG: USUAL_LIFE.liner.life }

/** Tips and liners by the wire that runs through them: their share of a tip's and a liner's price. */
function tipsCost(
  { tip, liner, wire }: Capability,
  fillerG: number,
  { tipG, linerG }: Lives,
): { pieces: number; cost: number } {
  if (!wire || !tip) return { pieces: 0, cost: 0 }
  // A kilogram of a light metal is more wire.
  const asSteelG = fillerG * (DENSITY['carbon-steel'].value / DENSITY[wire.metal].value)
  const pieces = asSteelG / tipG
  return {
    pieces,
    cost: pieces * (tip.price ?? 0) + (asSteelG / linerG) * (liner?.price ?? 0),
  }
}

type Draft = Omit<CostLine, 'cents'>

/**
 * Rounds so that the parts make the whole: the largest remainders get the cents that are left.
 * @example inCents([0.334, 0.333, 0.333]) // [34, 33, 33]
 */
export function inCents(amounts: readonly number[]): readonly number[] {
  const whole = Math.round(amounts.reduce((sum, one) => sum + one, 0) * CENTS)
  const floors = amounts.map((one) => Math.floor(one * CENTS))
  let left = whole - floors.reduce((sum, one) => sum + one, 0)
  const order = amounts
    .map((one, index) => ({ index, remainder: one * CENTS - (floors[index] ?? 0) }))
    .toSorted((a, b) => b.remainder - a.remainder || a.index - b.index)
  const cents = [...floors]
  for (const { index } of order) {
    if (left <= 0) break
    cents[index] = (cents[index] ?? 0) + 1
    left -= 1
  }
  return cents
}

const rated = (
  id: CostLineId,
  amount: number,
  unit: CostLine['unit'],
  { price, guess }: { readonly price: number | null; readonly guess: Guess | undefined },
): readonly Draft[] => {
  if (amount <= 0) return []
  if (price !== null) return [{ id, exact: amount * price, amount, unit, rate: price, typical: null }]
  if (!guess) return []
  const exact = (guess.low + guess.high) / 2
  return [{ id, exact, amount, unit, rate: exact / amount, typical: { low: guess.low, high: guess.high } }]
}

/**
 * @returns the lines of the whole job, in a fixed order, without those of nothing; null without a wire, where nobody knows how
 *   long it takes
 * @example costLinesOf(capability, demand)?.find(({ id }) => id === 'arc')?.amount // h of arc
 */
export function costLinesOf(
  capability: Capability,
  demand: Demand,
  lives: Lives = USUAL_LIVES,
): readonly CostLine[] | null {
  const { work, assumptions } = demand
  const cost = costOf(capability, demand)
  if (!work || !cost) return null
  const { wire, gas, tungsten } = capability
  const { wireG, gasL, tungstens } = usesOf(capability, demand)
  const perHour = assumptions.labourPerHour
  const hours: readonly (readonly [CostLineId, number])[] = [
    ['arc', work.arcS],
    ['tacking', work.tackS],
    ['handling', work.handlingS],
    ['preparation', prepSOf(demand)],
    ['changeover', changeoverMinOf(capability) * MIN_PER_H],
    ['rest', cost.restS],
    ['finishing', cost.finishS],
  ]
  const guessOf = (slot: Guess['slot']): Guess | undefined => cost.guesses.find((one) => one.slot === slot)
  const perG = wire && wire.packagePrice !== null ? wire.packagePrice / wire.packageG : null
  const perL = gas && gas.refillPrice !== null ? gas.refillPrice / gas.fullL : null
  const tips = tipsCost(capability, wireG, lives)
  const kWh = powerKWhOf(capability, demand)
  const drafts: readonly Draft[] = [
    ...hours.flatMap(([id, seconds]): readonly Draft[] =>
      seconds > 0
        ? [
            {
              id,
              exact: (seconds / S_PER_H) * perHour,
              amount: seconds / S_PER_H,
              unit: 'h',
              rate: perHour,
              typical: null,
            },
          ]
        : [],
    ),
    ...rated('filler', wireG, 'g', { price: perG, guess: guessOf('wire') }),
    ...rated('gas', gasL, 'L', { price: perL, guess: guessOf('gas') }),
    ...rated('tungsten', tungstens, 'pieces', { price: tungsten?.price ?? null, guess: undefined }),
    ...(tips.cost > 0
      ? [
          {
            id: 'tips' as const,
            exact: tips.cost,
            amount: tips.pieces,
            unit: 'pieces' as const,
            rate: tips.cost / tips.pieces,
            typical: null,
          },
        ]
      : []),
    ...rated('power', kWh, 'kWh', { price: assumptions.powerPerKWh, guess: undefined }),
  ]
  const cents = inCents(drafts.map(({ exact }) => exact))
  return drafts.map((draft, index) => ({ ...draft, cents: cents[index] ?? 0 }))
}

/** What one weld line costs of the whole, by its share of each line. */
export interface WeldCost {
  readonly jointId: string
  readonly cents: number
  /** Welds of this line over the whole job. */
  readonly count: number
}

/**
 * The whole job parted among its weld lines: arc, filler and gas by what each uses, tacking and handling by its arcs, the rest
 * by its length. They add up to the cent.
 */
export function weldCostsOf(lines: readonly CostLine[], { welds, job }: Demand): readonly WeldCost[] {
  const counts = welds.map(({ joint }) => weldCountOf(joint) * job.quantity)
  const by = (share: (weld: WeldFigures, index: number) => number): readonly number[] => {
    const shares = welds.map(share)
    const sum = shares.reduce((total, one) => total + one, 0)
    return shares.map((one) => (sum > 0 ? one / sum : 1 / welds.length))
  }
  const arc = by(({ arcS }) => arcS ?? 0)
  const shares: Readonly<Record<CostLineId, readonly number[]>> = {
    arc,
    power: arc,
    gas: arc,
    tungsten: arc,
    rest: arc,
    filler: by(({ fillerG }) => fillerG),
    tips: by(({ fillerG }) => fillerG),
    tacking: by(({ tackS }, index) => tackS * (counts[index] ?? 0)),
    handling: by(({ pauseS, arcs }) => pauseS * arcs),
    preparation: by(({ joint }, index) => joint.lengthMm * (counts[index] ?? 0)),
    finishing: by(({ joint }, index) => joint.lengthMm * (counts[index] ?? 0)),
    changeover: by((_weld, index) => counts[index] ?? 0),
  }
  const exact = welds.map((_weld, index) =>
    lines.reduce((sum, line) => sum + (line.cents / CENTS) * (shares[line.id][index] ?? 0), 0),
  )
  const cents = inCents(exact)
  return welds.map(({ joint }, index) => ({
    jointId: joint.id,
    cents: cents[index] ?? 0,
    count: counts[index] ?? 0,
  }))
}

export const centsOf = (lines: readonly CostLine[]): number =>
  lines.reduce((sum, { cents }) => sum + cents, 0)
