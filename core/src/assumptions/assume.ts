/** The figures that a shop's computation assumes: its own where it has changed one, else the default. */
import { shopField, type Source } from '../basis/source.ts'
import { ASSUMPTION_KEYS, ASSUMPTIONS, type AssumptionDefinition, type AssumptionKey } from './list.ts'

/** What a shop has changed from the defaults. */
export type ChangedAssumptions = Readonly<Partial<Record<AssumptionKey, number>>>

/** Every assumption with the figure that holds in one shop, in the unit of its definition. */
export type Assumptions = Readonly<Record<AssumptionKey, number>>

const known = new WeakMap<ChangedAssumptions, Assumptions>()

/** @returns every figure as this shop has it; the same object for the same changes */
export function assumptionsOf({
  assumptions: changed,
}: {
  readonly assumptions: ChangedAssumptions
}): Assumptions {
  const found = known.get(changed)
  if (found) return found
  const made = Object.fromEntries(
    ASSUMPTION_KEYS.map((key) => [key, changed[key] ?? ASSUMPTIONS[key].default]),
  ) as Assumptions
  known.set(changed, made)
  return made
}

/** @returns where the figure comes from: its own source, or the shop where it stands off the default */
export function assumptionSource(key: AssumptionKey, assumptions: Assumptions): Source {
  const definition: AssumptionDefinition = ASSUMPTIONS[key]
  return assumptions[key] === definition.default
    ? definition.source
    : shopField(`changed by the shop from ${definition.default} ${definition.unit}`.trim())
}
