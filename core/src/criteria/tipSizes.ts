/** Contact tip sizes, and which goes with a wire by either school. */
import type { Wire } from '../kinds/equipment.ts'
import type { Shop } from '../kinds/shop.ts'
import type { UnitSystem } from '../quantity/index.ts'
import { isSameSize } from '../trade/sameSize.ts'

/** Sizes that tips are stamped with, mm: the usual wire sizes by either name (AWS A5.02, ISO 544). */
const TIP_SIZES_MM: Readonly<Record<UnitSystem, readonly number[]>> = {
  imperial: [0.023, 0.03, 0.035, 0.04, 0.045, 0.052, 0.0625, 0.078, 0.09375].map((inch) => inch * 25.4),
  metric: [0.6, 0.8, 0.9, 1.0, 1.2, 1.4, 1.6, 2.0, 2.4],
}

/** The next size that is listed; the wire's own where none is. */
function oneOverMm(diameterMm: number, system: UnitSystem): number {
  const sizes = TIP_SIZES_MM[system]
  const place = sizes.findIndex((size) => isSameSize(size, diameterMm))
  return place < 0 ? diameterMm : (sizes[place + 1] ?? diameterMm)
}

/** @returns the tip of this shop's school, and the other school's; null where the schools agree */
export function compatibleTipsMm(
  wire: Pick<Wire, 'metal' | 'diameterMm'>,
  { aluminiumTip: school, unitSystem }: Pick<Shop, 'aluminiumTip' | 'unitSystem'>,
): { readonly wantedMm: number; readonly otherMm: number | null } {
  if (wire.metal !== 'aluminium') return { wantedMm: wire.diameterMm, otherMm: null }
  const over = oneOverMm(wire.diameterMm, unitSystem)
  return school === 'one-over'
    ? { wantedMm: over, otherMm: wire.diameterMm }
    : { wantedMm: wire.diameterMm, otherMm: over }
}
