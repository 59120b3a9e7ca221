/** What a changeover uses up, in money. */
import type { Chosen } from '../capability/slots.ts'
import { DENSITY } from '../reference/materials.ts'
import type { Changeover } from './changeover.ts'
import type { OnMachine } from './onMachine.ts'

/** A cored wire counts as solid: a little too dear. */
const priceOfWire = (wire: Chosen['wire'], wireMm: number): number | null => {
  if (wireMm === 0 || wire === null) return 0
  const areaMm2 = Math.PI * (wire.diameterMm / 2) ** 2
  const g = (wireMm * areaMm2 * DENSITY[wire.metal].value) / 1000
  return wire.packagePrice === null ? null : (g / wire.packageG) * wire.packagePrice
}
const priceOfGas = (gas: Chosen['gas'], gasL: number): number | null =>
  gasL === 0 || gas === null ? 0 : gas.refillPrice === null ? null : (gasL / gas.fullL) * gas.refillPrice

/**
 * @param from what was on the machine: its wire is cut away
 * @param to what is put on: its gas is purged
 * @returns in the shop's currency; null where a price is missing
 */
export function wasteCostOf(
  { waste }: Pick<Changeover, 'waste'>,
  from: OnMachine | null,
  to: OnMachine,
): number | null {
  const sameMachine = from?.state.powerSourceId === to.state.powerSourceId
  const wire = priceOfWire(sameMachine ? (from?.parts.wire ?? null) : null, waste.wireMm)
  const gas = priceOfGas(to.parts.gas, waste.gasL)
  return wire === null || gas === null ? null : wire + gas
}
