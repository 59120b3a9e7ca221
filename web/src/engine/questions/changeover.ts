import {
  type Changeover,
  changeoverBetween,
  handOverOf,
  onMachineOf,
  presentOn,
  wasteCostOf,
} from '@brannik/core'
import { named, type Snapshot } from '../snapshot.ts'

export interface ChangeAnswer {
  readonly changeover: Changeover
  /** Of the wire cut away and the gas purged, in the shop's currency; null where a price is missing. */
  readonly cost: number | null
  readonly handOver: readonly string[]
}

/**
 * @param fromId a set-up to start from; null takes what is on the machine now
 * @returns null where there is no such set-up
 */
export function answer(snapshot: Snapshot, toId: string, fromId: string | null): ChangeAnswer | null {
  const { shop, setUps } = snapshot
  const [to] = named(setUps, [toId])
  if (!shop || !to) return null
  const [chosen] = fromId === null ? [] : named(setUps, [fromId])
  const from = chosen ? onMachineOf(chosen, snapshot) : presentOn(snapshot, to.powerSourceId)
  const target = onMachineOf(to, snapshot)
  const changeover = changeoverBetween(shop, from, target)
  return {
    changeover,
    cost: wasteCostOf(changeover, from, target),
    handOver: handOverOf(target),
  }
}
