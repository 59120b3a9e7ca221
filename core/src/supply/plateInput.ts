/** The greatest current that a power source draws by its plate: what the wiring rules start from. */
import type { SupplyRating } from '../model/equipment.ts'
import { computed } from '../model/source.ts'
import { term, type Term } from '../model/working.ts'
import { type Draw, inputCurrentA, plateI1Max } from './inputCurrent.ts'

/** @returns I₁max as a term, from the plate or worked out, and the rated current it belongs to, A */
export function plateInputA(supply: SupplyRating, draw: Draw): { i1Max: Term; ratedA: number } {
  const ratedA = Math.max(...supply.ratedPoints.map((point) => point.currentA))
  const i1Max =
    plateI1Max(supply) ??
    term(
      'I₁max',
      'drawn at the highest rated current',
      inputCurrentA(draw, ratedA),
      'A',
      computed('from efficiency and power factor; the plate gives none'),
    )
  return { i1Max, ratedA }
}
