/** One change over all jobs or all set-ups, tried and not made. */
import type { Chosen } from '../capability/slots.ts'
import type { Circuit, Gun, SetUp } from '../kinds/equipment.ts'
import { isEngineDriven } from '../kinds/engineDriven.ts'
import type { Job } from '../kinds/job.ts'
import type { Shelf } from '../kinds/shelf.ts'
import type { Shop } from '../kinds/shop.ts'
import { ruleBookOf } from '../supply/index.ts'
import { smallestConductor } from '../supply/ruleBook.ts'

export type WhatIf =
  | { readonly kind: 'as-it-is' }
  /** Every set-up hangs on this circuit. */
  | { readonly kind: 'all-on'; readonly circuitId: string }
  /** This circuit has a breaker of this size, with the cable to match. */
  | { readonly kind: 'breaker'; readonly circuitId: string; readonly breakerA: number }
  /** All work is in the yard, in a gentle breeze where the job says no other. */
  | { readonly kind: 'outdoors' }
  /** All aluminium wire runs through a spool gun of the shelf. */
  | { readonly kind: 'spool-gun' }

export const AS_IT_IS: WhatIf = { kind: 'as-it-is' }
/** A gentle breeze, as on an ordinary day: Beaufort 3 is 12 to 19 km/h (from memory). */
export const YARD_WIND_KM_PER_H = 16

/** @returns the job as it would be */
export const jobIf = (job: Job, whatIf: WhatIf): Job =>
  whatIf.kind === 'outdoors'
    ? { ...job, place: 'outdoors', windKmPerH: job.windKmPerH ?? YARD_WIND_KM_PER_H }
    : job

function widened(circuit: Circuit, breakerA: number, shop: Shop): Circuit {
  // A cable that may be protected by this breaker without the rules for welders: no electrician pulls a thinner one.
  const conductorSize = smallestConductor(ruleBookOf(shop), breakerA, circuit) ?? circuit.conductorSize
  return { ...circuit, breakerA, conductorSize }
}

/** @returns the circuit as it would be */
export const circuitIf = (circuit: Circuit, whatIf: WhatIf, shop: Shop): Circuit =>
  whatIf.kind === 'breaker' && circuit.id === whatIf.circuitId
    ? widened(circuit, whatIf.breakerA, shop)
    : circuit

/** @returns the shelf with its circuits as they would be */
export const shelfIf = <S extends Shelf>(shelf: S, whatIf: WhatIf, shop: Shop): S => ({
  ...shelf,
  circuits: shelf.circuits.map((one) => circuitIf(one, whatIf, shop)),
})

const spoolGun = (shelf: Shelf): Gun | null => shelf.guns.find(({ drive }) => drive === 'spool') ?? null

/** @returns the parts of a set-up as they would be */
export function chosenIf(
  chosen: Chosen,
  setUp: Pick<SetUp, 'process'>,
  { whatIf, shop, shelf }: { readonly whatIf: WhatIf; readonly shop: Shop; readonly shelf: Shelf },
): Chosen {
  const { circuit, powerSource, wire } = chosen
  if (whatIf.kind === 'all-on') {
    const other = shelf.circuits.find(({ id }) => id === whatIf.circuitId)
    return other && powerSource && !isEngineDriven(powerSource) ? { ...chosen, circuit: other } : chosen
  }
  if (whatIf.kind === 'breaker')
    return circuit ? { ...chosen, circuit: circuitIf(circuit, whatIf, shop) } : chosen
  if (whatIf.kind === 'spool-gun') {
    const gun = spoolGun(shelf)
    const feedsAluminium = wire?.metal === 'aluminium' && setUp.process.startsWith('gmaw')
    return gun && feedsAluminium ? { ...chosen, gun } : chosen
  }
  return chosen
}
