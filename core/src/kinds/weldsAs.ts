/** Wires that weld alike: one of them on another spool, from another maker or at another price. */
import type { Wire } from './wire.ts'

const known = new WeakMap<Wire, string>()

/**
 * @returns the same for all wires that differ in name, package, place and price alone
 * @example weldsAs(onSmallSpool) === weldsAs(onLargeSpool) // true
 */
export function weldsAs(wire: Wire): string {
  let made = known.get(wire)
  if (made === undefined) {
    const {
      id: _id,
      name: _name,
      spoolMm: _spool,
      packageG: _g,
      keptAt: _at,
      packagePrice: _price,
      ...rest
    } = wire
    made = JSON.stringify(rest)
    known.set(wire, made)
  }
  return made
}
