/** What one job takes from the stores: its wire or rod, its gas, its tungsten. */
import { fillerOfWeldG, gasOfRunL, usesOf } from '../criteria/use.ts'
import { type FitInput, sidesOf } from '../fit/fit.ts'
import { type Lasts, lastsOf } from '../card/lasts.ts'
import type { Wire } from '../kinds/equipment.ts'
import type { WeldFigures } from '../demand/weldFigures.ts'

export const STORED_UNITS = { wire: 'g', gas: 'L', tungsten: 'pieces' } as const
export type StoredKind = keyof typeof STORED_UNITS

export interface Stored {
  readonly kind: StoredKind
  readonly itemId: string
  readonly name: string
  /** One spool, pack, cylinder or piece, in the unit of its kind. */
  readonly packSize: number
  readonly packPrice: number | null
}
export interface Take extends Stored {
  readonly input: FitInput
  /** In the unit of its kind. */
  readonly amount: number
  /** At which weld so much of it ends. */
  readonly endsWith: (onHand: number) => Lasts
}

export const storedWire = ({ id, name, packageG, packagePrice }: Wire): Stored => ({
  kind: 'wire',
  itemId: id,
  name,
  packSize: packageG,
  packPrice: packagePrice,
})

/** @returns what the job takes of each item; nothing of what is not chosen */
export function takesOf(input: FitInput): readonly Take[] {
  const { capability, demand } = sidesOf(input)
  const { wire, gas, tungsten, job } = input
  const { wireG, gasL, tungstens } = usesOf(capability, demand)
  const take = (stored: Stored, whole: number, usedBy: (weld: WeldFigures) => number): Take[] => {
    const taken = input.claims.used(job, stored.kind, stored.itemId)
    const amount = whole - taken
    // What was taken was for its first welds.
    const endsWith = (onHand: number): Lasts => lastsOf(job, demand.welds, taken + onHand, usedBy)
    return amount > 0 ? [{ ...stored, input, amount, endsWith }] : []
  }
  const arcS = demand.arcS ?? 0
  return [
    ...(wire ? take(storedWire(wire), wireG, (weld) => fillerOfWeldG(capability, demand, weld)) : []),
    ...(gas
      ? take(
          { kind: 'gas', itemId: gas.id, name: gas.name, packSize: gas.fullL, packPrice: gas.refillPrice },
          gasL,
          (weld) => gasOfRunL(capability, demand, weld) ?? 0,
        )
      : []),
    ...(tungsten
      ? take(
          {
            kind: 'tungsten',
            itemId: tungsten.id,
            name: tungsten.name,
            packSize: 1,
            packPrice: tungsten.price,
          },
          tungstens,
          (weld) => (tungstens * (weld.arcS ?? 0)) / arcS,
        )
      : []),
  ]
}
