/** What a planned job still takes, as it is held against the jobs after it. */
import type { Claim } from '../capability/claims.ts'
import { usesOf } from '../criteria/use.ts'
import { type FitInput, sidesOf } from '../fit/fit.ts'
import { stockId } from '../kinds/counts.ts'

/** @returns by count, what the job uses less what was taken for it; nothing of what is not chosen */
export function claimOf(input: FitInput): Claim {
  const { job, wire, gas, tungsten, claims } = input
  const { capability, demand } = sidesOf(input)
  const { wireG, gasL, tungstens } = usesOf(capability, demand)
  const amounts = new Map<string, number>()
  const take = (
    kind: 'wire' | 'gas' | 'tungsten',
    item: { readonly id: string } | null,
    whole: number,
  ): void => {
    const amount = item ? whole - claims.used(job, kind, item.id) : 0
    if (item && amount > 0) amounts.set(stockId(kind, item.id), amount)
  }
  take('wire', wire, wireG)
  take('gas', gas, gasL)
  take('tungsten', tungsten, tungstens)
  const { id, name, dueOn } = job
  return { job: { id, name, dueOn }, amounts }
}
