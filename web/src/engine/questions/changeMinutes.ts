import { changeoverBetween, onMachineOf, presentOn } from '@brannik/core'
import type { Snapshot } from '../snapshot.ts'

/** @returns by set-up, minutes to change over to it from what is on its machine now */
export function answer(snapshot: Snapshot): Readonly<Record<string, number>> {
  const { shop, setUps } = snapshot
  if (!shop) return {}
  return Object.fromEntries(
    setUps.map((setUp) => [
      setUp.id,
      changeoverBetween(shop, presentOn(snapshot, setUp.powerSourceId), onMachineOf(setUp, snapshot)).minutes,
    ]),
  )
}
