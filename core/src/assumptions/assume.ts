/** Answers an assumption: the shop's figure where it has changed it, else the default, with the source of whichever. */
import type { Shop } from '../model/shop.ts'
import { shopField } from '../model/source.ts'
import type { Term } from '../model/working.ts'
import { ASSUMPTIONS, type AssumptionDefinition, type AssumptionKey } from './list.ts'

export interface Assume {
  /** The figure alone. */
  value(key: AssumptionKey): number
  /** The figure as a term of a working, with its symbol. */
  term(key: AssumptionKey, symbol: string): Term
}

export function assumptionsOf(shop: Pick<Shop, 'assumptions'>): Assume {
  const value = (key: AssumptionKey): number => shop.assumptions[key] ?? ASSUMPTIONS[key].default
  return {
    value,
    term(key, symbol) {
      const definition: AssumptionDefinition = ASSUMPTIONS[key]
      const changed = shop.assumptions[key] !== undefined
      const source = changed
        ? shopField(`changed by the shop from ${definition.default} ${definition.unit}`.trim())
        : definition.source
      return {
        symbol,
        name: definition.name,
        value: value(key),
        unit: definition.unit,
        source,
        assumption: key,
      }
    },
  }
}
