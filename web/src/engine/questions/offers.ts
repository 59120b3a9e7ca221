import { type Assessment, offersFor, type Slot } from '@brannik/core'
import { capabilityIn, type Snapshot } from '../snapshot.ts'

/** What can go into one place of a set-up, what fits first. */
export interface OfferGlance {
  readonly id: string
  /** Why it does not go; null where it does. */
  readonly against: Assessment | null
}

/** @returns by place, whatever the shelf has for it; nothing where there is no such set-up */
export function answer(
  snapshot: Snapshot,
  setUpId: string,
  slots: readonly Slot[],
): Readonly<Partial<Record<Slot, readonly OfferGlance[]>>> {
  const capability = capabilityIn(snapshot, setUpId)
  if (!capability) return {}
  return Object.fromEntries(
    slots.map((slot) => [
      slot,
      offersFor(slot, capability, null, snapshot).map(({ item, verdict, reasons }) => ({
        id: item.id,
        against: verdict === 'fails' ? (reasons[0] ?? null) : null,
      })),
    ]),
  )
}
