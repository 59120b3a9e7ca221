import {
  type AluminiumWay,
  aluminiumChanges,
  isCandidate,
  onMachineOf,
  type Quicker,
  quickerWays,
} from '@brannik/core'
import type { Snapshot } from '../snapshot.ts'

export interface QuickerAnswer {
  readonly ways: readonly Quicker[]
  /** Empty where no set-up converts a steel machine to aluminium wire. */
  readonly aluminium: readonly AluminiumWay[]
}

/** @returns what would make changing over quick, over the planned jobs */
export function answer(snapshot: Snapshot): QuickerAnswer {
  const { shop, setUps, jobs } = snapshot
  if (!shop) return { ways: [], aluminium: [] }
  const on = setUps.map((setUp) => onMachineOf(setUp, snapshot))
  const feeds = (metal: string, isSpoolGun: boolean) =>
    on.filter(
      ({ parts: { wire, gun } }) =>
        wire?.metal === metal && wire.spoolMm !== null && (gun?.drive === 'spool') === isSpoolGun,
    )
  // Only one that would feed aluminium at all is held against a spool gun: no steel liner, pure argon.
  const converted =
    feeds('aluminium', false).find(
      ({ parts: { liner, gas } }) => liner !== null && liner.material !== 'steel' && gas?.argonPct === 100,
    ) ?? null
  const sameSource = (list: typeof on) =>
    list.find(({ state }) => state.powerSourceId === converted?.state.powerSourceId) ?? null
  const steel = sameSource(feeds('carbon-steel', false))
  const machine = snapshot.powerSources
    .flatMap((source) =>
      isCandidate(source) && source.price !== null ? [{ name: source.name, price: source.price }] : [],
    )
    .toSorted((a, b) => a.price - b.price)[0]
  return {
    ways: quickerWays(shop, snapshot, setUps, jobs),
    aluminium:
      converted && steel
        ? aluminiumChanges(shop, steel, converted, sameSource(feeds('aluminium', true)), machine ?? null)
        : [],
  }
}
