/** What a job costs to weld: wages, filler and gas, by the job, the piece and the weld; without power and wear. */
import { changeoverMinOf } from '../changeover/toSetUp.ts'
import { weldCountOf } from '../joints/weldCount.ts'
import type { Capability } from '../capability/capability.ts'
import type { Slot } from '../kinds/slots.ts'
import { fillerOfJobG, gasOfJobL } from '../criteria/use.ts'
import type { Demand } from '../demand/demand.ts'
import { dutyAtCurrentPct } from '../duty/curve.ts'
import { restS } from '../duty/rest.ts'
import type { Assumptions } from '../assumptions/assume.ts'
import type { QualityId } from '../model/quality.ts'
import { typicalFillerPrice, typicalGasPrice, type PriceRange } from '../reference/typicalPrices.ts'

/** Something that has no price: what the job's use of it typically costs. */
export interface Guess {
  readonly slot: Extract<Slot, 'wire' | 'gas'>
  readonly id: string
  readonly name: string
  readonly low: number
  readonly high: number
}

/** In the shop's currency; null where the price, or the amount, is not known. */
export interface Cost {
  /** Wages of the work, of rest and of finishing. */
  readonly labour: number | null
  readonly filler: number | null
  readonly gas: number | null
  /** Of what is known. */
  readonly job: number
  readonly piece: number
  /** Waiting for machine or gun to cool, s: its wages are in the labour. */
  readonly restS: number
  /** Cleaning, testing and repair of welds whose quality another process is made for, s: in the labour too. */
  readonly finishS: number
  /** What has no price and is not in the sums. */
  readonly guesses: readonly Guess[]
  /** Of one weld of each line, without its share of the changeover, of rest and of finishing. */
  readonly welds: readonly { readonly jointId: string; readonly each: number }[]
}

const S_PER_H = 3600
const S_PER_MIN = 60
const MM_PER_M = 1000
const priced = (
  amount: number | null,
  price: number | null | undefined,
  per: number | undefined,
): number | null =>
  amount === null || price === null || price === undefined || per === undefined
    ? null
    : (amount / per) * price

/** TIG is made for welds that are looked at and welds that must not leak: by another process they are worked over. */
const FINISH_MIN_PER_M: Partial<Record<QualityId, keyof Assumptions>> = {
  cosmetic: 'finishCosmeticMinPerM',
  'leak-tight': 'finishLeakTightMinPerM',
}
function finishSOf({ job, assumptions }: Demand, { process }: Capability): number {
  const key = FINISH_MIN_PER_M[job.quality]
  if (!key || process.family === 'gtaw') return 0
  const lengthMm =
    job.joints.reduce((sum, joint) => sum + joint.lengthMm * weldCountOf(joint), 0) * job.quantity
  return (lengthMm / MM_PER_M) * assumptions[key] * S_PER_MIN
}

/** The weaker of source and gun decides how long the arc may be on, % of ten minutes. */
export const allowedDutyPct = (
  { supply, gunPoints }: Capability,
  { hungriest: { wantedA } }: Demand,
): number =>
  Math.min(
    supply ? dutyAtCurrentPct(supply.ratedPoints, Math.min(wantedA, supply.outputMaxA)) : 100,
    gunPoints && gunPoints.missing === null ? dutyAtCurrentPct(gunPoints.points, wantedA) : 100,
  )

function restSOf(capability: Capability, demand: Demand): number {
  const allowedPct = allowedDutyPct(capability, demand)
  // Nothing is laid out where no ten minutes are too hot: that is most jobs on most machines.
  const rests = demand.dutyPct !== null && demand.dutyPct > allowedPct && allowedPct > 0
  return rests ? restS(demand.allArcs, allowedPct) : 0
}

const guess = (
  slot: Guess['slot'],
  item: { readonly id: string; readonly name: string } | null,
  amount: number | null,
  price: number | null,
  { low, high }: PriceRange,
  { typicalPriceFactor }: Assumptions,
): readonly Guess[] =>
  !item || amount === null || amount === 0 || price !== null
    ? []
    : [
        {
          slot,
          id: item.id,
          name: item.name,
          low: amount * low * typicalPriceFactor,
          high: amount * high * typicalPriceFactor,
        },
      ]

/**
 * @param usedL of the whole job; null where it uses none
 * @returns what the gas of a job costs; null where it, or its price, is not known
 */
export function gasCostOf(
  gas: Capability['gas'],
  usedL: number | null,
  assumptions: Assumptions,
): { readonly gas: number | null; readonly guesses: readonly Guess[] } {
  return {
    gas: priced(usedL, gas?.refillPrice, gas?.fullL),
    guesses: gas ? guess('gas', gas, usedL, gas.refillPrice, typicalGasPrice(gas), assumptions) : [],
  }
}

/** @returns null where nothing of it is known */
export function costOf(capability: Capability, demand: Demand): Cost | null {
  const { wire, gas } = capability
  const { work, fillerG: metalG, arcS, welds, job, assumptions } = demand
  const fillerG = fillerOfJobG(capability, demand)
  const perHour = assumptions.labourPerHour
  const usedL = gasOfJobL(capability, demand)
  const rest = work ? restSOf(capability, demand) : 0
  const finish = work ? finishSOf(demand, capability) : 0
  const changeoverS = changeoverMinOf(capability) * S_PER_MIN
  const workS = work && work.arcS + work.tackS + work.handlingS + changeoverS + rest + finish
  const labour = workS === null ? null : (workS / S_PER_H) * perHour
  const filler = priced(fillerG, wire?.packagePrice, wire?.packageG)
  const { gas: gasCost, guesses: ofGas } = gasCostOf(gas, usedL, assumptions)
  const guesses = [
    ...(wire ? guess('wire', wire, fillerG, wire.packagePrice, typicalFillerPrice(wire), assumptions) : []),
    ...ofGas,
  ]
  if (labour === null && filler === null && gasCost === null && guesses.length === 0) return null
  const total = (labour ?? 0) + (filler ?? 0) + (gasCost ?? 0)
  return {
    labour,
    filler,
    gas: gasCost,
    job: total,
    piece: total / job.quantity,
    restS: rest,
    finishS: finish,
    guesses,
    welds: welds.map((weld) => {
      const count = weld.joint.count * job.quantity
      const lineS =
        (weld.arcS ?? 0) + weld.tackS * weldCountOf(weld.joint) * job.quantity + weld.pauseS * weld.arcs
      const line =
        (labour === null ? 0 : (lineS / S_PER_H) * perHour) +
        (filler === null || metalG === 0 ? 0 : (filler * weld.fillerG) / metalG) +
        (gasCost === null || !arcS ? 0 : (gasCost * (weld.arcS ?? 0)) / arcS)
      return { jointId: weld.joint.id, each: line / count }
    }),
  }
}

/** A sum, with what has no price and is not in it. */
export type Totals = Pick<Cost, 'job' | 'guesses'>

const withGuesses = ({ job, guesses }: Totals, end: 'low' | 'high'): number =>
  guesses.reduce((sum, guessed) => sum + guessed[end], job)

/** @returns what a run costs at least: what has no price counts at the lower end of what it typically costs */
export const leastCost = (cost: Totals): number => withGuesses(cost, 'low')
/** @returns what a run costs at most: what has no price counts at the upper end of what it typically costs */
export const mostCost = (cost: Totals): number => withGuesses(cost, 'high')
