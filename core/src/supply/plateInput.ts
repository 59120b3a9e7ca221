/** The greatest current that a power source draws by its plate: what the wiring rules start from. */
import type { SupplyRating } from '../model/equipment.ts'
import { computed, dataPlate } from '../model/source.ts'
import { term, type Term } from '../model/working.ts'
import { type Draw, inputCurrentA } from './inputCurrent.ts'

/** @returns I₁max as a term, from the plate or worked out, and the rated current it belongs to, A */
export function plateInputA(supply: SupplyRating, draw: Draw): { i1Max: Term; ratedA: number } {
  const ratedA = Math.max(...supply.ratedPoints.map((point) => point.currentA))
  const i1Max =
    supply.i1MaxA === null
      ? term(
          'I₁max',
          'drawn at the highest rated current',
          inputCurrentA(draw, ratedA),
          'A',
          computed('from efficiency and power factor; the plate gives none'),
        )
      : term('I₁max', 'greatest supply current', supply.i1MaxA, 'A', dataPlate())
  return { i1Max, ratedA }
}
