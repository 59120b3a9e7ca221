/** What a job costs to weld: labour, filler and gas, by the job, the piece and the weld; without power and wear. */
import type { Assessment } from '../criteria/criterion.ts'
import type { Demand } from '../demand/demand.ts'
import type { FitInput } from './fit.ts'

/** In the shop's currency; null where the price, or the amount, is not known. */
export interface Cost {
  readonly labour: number | null
  readonly filler: number | null
  readonly gas: number | null
  /** Of what is known. */
  readonly job: number
  readonly piece: number
  /** Of one weld of each line, without its share of the changeover. */
  readonly welds: readonly { readonly jointId: string; readonly each: number }[]
}

const S_PER_H = 3600
const priced = (
  amount: number | null,
  price: number | null | undefined,
  per: number | undefined,
): number | null =>
  amount === null || price === null || price === undefined || per === undefined
    ? null
    : (amount / per) * price

/**
 * @param criteria of the fit: the gas that the job uses is one of them
 * @returns null where nothing of it is known
 */
export function costOf(
  { wire, gas }: Pick<FitInput, 'wire' | 'gas'>,
  { work, fillerG, arcS, welds, job, assumptions }: Demand,
  criteria: readonly Assessment[],
): Cost | null {
  const perHour = assumptions.labourPerHour
  const usedL = criteria.find(({ criterion }) => criterion === 'gas-use')?.demand ?? null
  const workS = work && work.arcS + work.tackS + work.handlingS + work.changeoverS
  const labour = workS === null ? null : (workS / S_PER_H) * perHour
  const filler = priced(fillerG, wire?.packagePrice, wire?.packageG)
  const gasCost = priced(usedL, gas?.refillPrice, gas?.fullL)
  if (labour === null && filler === null && gasCost === null) return null
  const total = (labour ?? 0) + (filler ?? 0) + (gasCost ?? 0)
  return {
    labour,
    filler,
    gas: gasCost,
    job: total,
    piece: total / job.quantity,
    welds: welds.map((weld) => {
      const count = weld.joint.count * job.quantity
      const lineS = (weld.arcS ?? 0) + weld.tackS * count + weld.pauseS * weld.arcs
      const line =
        (labour === null ? 0 : (lineS / S_PER_H) * perHour) +
        (filler === null || fillerG === 0 ? 0 : (filler * weld.fillerG) / fillerG) +
        (gasCost === null || !arcS ? 0 : (gasCost * (weld.arcS ?? 0)) / arcS)
      return { jointId: weld.joint.id, each: line / count }
    }),
  }
}
