/** Which groove of a drive roll a wire is laid in, and how far it is from what the wire needs. */
import { fillerFamilyOf } from '../reference/fillerFamilies.ts'
import type { Groove, Wire } from '../kinds/equipment.ts'
import type { DriveRoll, RollGroove } from '../kinds/part.ts'
import { isCored } from './burnOff.ts'
import { isSameSize, SAME_SIZE_MM } from './sameSize.ts'

/** Smooth V for solid steel, knurled V for cored, U for aluminium. */
export const grooveFor = (wire: Wire): Groove =>
  isCored(wire) ? 'v-knurled' : wire.metal === 'aluminium' ? 'u' : 'v-smooth'

export function whyNot(wire: Wire, groove: Groove): string {
  if (isCored(wire)) return groove === 'v-smooth' ? 'smooth-on-cored' : 'crushes-cored'
  // Hard 5xxx wire stands a smooth V at light tension for an occasional seam; soft 4xxx is flattened.
  if (wire.metal === 'aluminium')
    return groove === 'v-smooth' && !isSoft(wire) ? 'v-on-aluminium' : 'shaves-aluminium'
  if (groove === 'u') return 'slips-on-steel'
  // Some makers feed stainless by a fine knurl; carbon steel it only chews.
  return wire.metal === 'stainless' ? 'knurl-on-stainless' : 'chews-solid'
}
const isSoft = ({ classification }: Wire): boolean => fillerFamilyOf(classification) === 'al-silicon'
/** Feeds all the same, with care. */
export const WITH_CARE: readonly string[] = ['smooth-on-cored', 'v-on-aluminium', 'knurl-on-stainless']

/** Neighbours that one groove is often cut for: 0.030 and 0.035, 0.040 and 0.045. */
const SHARED_GROOVES: readonly (readonly [number, number])[] = [
  [0.762, 0.889],
  [1.016, 1.143],
]
const isShared = (oneMm: number, otherMm: number): boolean =>
  SHARED_GROOVES.some((pair) => [oneMm, otherMm].every((mm) => pair.some((size) => isSameSize(size, mm))))

const isWithin = ({ wireMinMm, wireMaxMm }: RollGroove, mm: number): boolean =>
  mm > wireMinMm - SAME_SIZE_MM && mm < wireMaxMm + SAME_SIZE_MM

/** How far a groove is from what the wire needs: 0 as it should be, 1 with care, 2 not. */
export function missOf(groove: RollGroove, wire: Wire): readonly [form: number, size: number] {
  const form = groove.form === grooveFor(wire) ? 0 : WITH_CARE.includes(whyNot(wire, groove.form)) ? 1 : 2
  const mm = wire.diameterMm
  const isNear = isShared(groove.wireMinMm, mm) || isShared(groove.wireMaxMm, mm)
  return [form, isWithin(groove, mm) ? 0 : isNear ? 1 : 2]
}

/**
 * @returns the groove of a roll that a wire is laid in: the one that suits it best
 * @example grooveInUse(roll, wire).form // 'v-knurled'
 */
export function grooveInUse({ grooves }: DriveRoll, wire: Wire): RollGroove {
  const rank = (groove: RollGroove) => {
    const [form, size] = missOf(groove, wire)
    return 10 * Math.max(form, size) + form + size
  }
  return grooves.reduce((best, next) => (rank(next) < rank(best) ? next : best))
}
