/** A new set-up for a process: every place filled from the shelf with what fits first. */
import {
  capabilityOf,
  NOTHING_SET,
  emptyChoice,
  fitOut,
  HOLDER,
  isEngineDriven,
  type Polarity,
  PROCESSES,
  type ProcessId,
  type SetUp,
  type Shelf,
  type Shop,
  idsOf,
} from '@brannik/core'
import { idFor } from '../jobs/idFor.ts'

const HOLDER_WORDS = { gun: 'gun', torch: 'torch', holder: 'stick holder' } as const

export type NewSetUp =
  { readonly ok: true; readonly setUp: SetUp } | { readonly ok: false; readonly message: string }

export function newSetUp(process: ProcessId, shop: Shop, shelf: Shelf, taken: readonly SetUp[]): NewSetUp {
  const { workshopWord, polarity, feedsWire, electrode } = PROCESSES[process]
  const fitted = (on: Polarity) => {
    const settings = {
      process,
      polarity: on,
      ...NOTHING_SET,
    }
    return {
      settings,
      ...fitOut(capabilityOf(shop, settings, { ...emptyChoice(), building: shelf, bench: shelf }), shelf, {
        which: 'all',
      }),
    }
  }
  const usual = fitted(polarity)
  // Many a small stick machine gives alternating current alone.
  const { capability, settings } =
    electrode === 'covered' && !usual.capability.powerSource ? fitted('ac') : usual
  const { powerSource, gun, circuit } = capability
  const lacks = !powerSource
    ? 'no power source is rated for it'
    : !gun
      ? `no ${HOLDER_WORDS[HOLDER[electrode]]} fits ${powerSource.name}`
      : !circuit && !isEngineDriven(powerSource)
        ? `${powerSource.name} has no matching circuit`
        : null
  if (lacks !== null || !powerSource || !gun) {
    return {
      ok: false,
      message: `No set-up for ${workshopWord} yet: ${lacks}. Add it under Shop.`,
    }
  }
  const name = `${workshopWord.charAt(0).toUpperCase()}${workshopWord.slice(1)}, ${powerSource.name}`
  const wire = capability.wire?.polarity
  return {
    ok: true,
    setUp: {
      id: idFor(name, taken),
      name: taken.some((one) => one.name === name) ? `${name}, another` : name,
      ...settings,
      polarity: feedsWire ? (wire ?? polarity) : settings.polarity,
      ...idsOf(capability),
    } as SetUp,
  }
}
