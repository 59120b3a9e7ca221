/** What a machine hangs on: a circuit with the panels above it, an outlet of a generator, or an engine of its own. */
import { isEngineDriven } from '../kinds/engineDriven.ts'
import type { Circuit, Generator, OtherLoad, Panel, PowerSource } from '../kinds/equipment.ts'

/** What of the shelf a supply is looked up in. */
export interface Building {
  readonly generators: readonly Generator[]
  readonly panels: readonly Panel[]
  readonly circuits: readonly Circuit[]
  readonly loads: readonly OtherLoad[]
}
export const NO_BUILDING: Building = { generators: [], panels: [], circuits: [], loads: [] }

export type Supply =
  | {
      readonly kind: 'circuit'
      readonly circuit: Circuit
      /** From the circuit up to the service; empty where nobody has drawn them. */
      readonly panels: readonly Panel[]
      /** That feeds the uppermost of them; null for the supplier. */
      readonly generator: Generator | null
    }
  | { readonly kind: 'generator'; readonly circuit: Circuit; readonly generator: Generator }
  | { readonly kind: 'engine'; readonly engine: NonNullable<PowerSource['engine']> }

const named = <T extends { readonly id: string }>(list: readonly T[], id: string | null): T | null =>
  id === null ? null : (list.find((one) => one.id === id) ?? null)

/**
 * @returns the panels that a circuit hangs on, the nearest first; a panel that is fed from itself ends the way
 * @example panelsAbove(circuit, shelf).map(({ name }) => name) // ['Shop panel', 'Service']
 */
export function panelsAbove({ panelId }: Pick<Circuit, 'panelId'>, { panels }: Building): readonly Panel[] {
  const way: Panel[] = []
  for (let next = named(panels, panelId); next && !way.includes(next); next = named(panels, next.fedFromId))
    way.push(next)
  return way
}

/** @returns what makes the power of a circuit, by its outlet or above its panels; null for the supplier */
export const generatorOf = (circuit: Circuit, building: Building): Generator | null =>
  named(building.generators, circuit.generatorId) ??
  named(building.generators, panelsAbove(circuit, building).at(-1)?.generatorId ?? null)

/** @returns null where neither a circuit nor an engine is chosen */
export function supplyOf(
  source: PowerSource | null,
  circuit: Circuit | null,
  building: Building,
): Supply | null {
  if (source && isEngineDriven(source))
    return { kind: 'engine', engine: source.engine ?? { fuelLPerH: null } }
  if (!circuit) return null
  const own = named(building.generators, circuit.generatorId)
  if (own) return { kind: 'generator', circuit, generator: own }
  return {
    kind: 'circuit',
    circuit,
    panels: panelsAbove(circuit, building),
    generator: generatorOf(circuit, building),
  }
}

/** @returns every circuit that comes from a generator, by its outlets or through panels */
export const circuitsOfGenerator = (id: string, building: Building): readonly Circuit[] =>
  building.circuits.filter(
    (circuit) =>
      circuit.generatorId === id ||
      panelsAbove(circuit, building).some(({ generatorId }) => generatorId === id),
  )
