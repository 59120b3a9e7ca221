/** Usable current of what the arc burns from: the wire that is fed, or the tungsten. */
import type { Tungsten, Wire } from '../kinds/equipment.ts'
import { isSpooled } from '../kinds/spooled.ts'
import { message, type Message } from '../model/message.ts'
import type { Process } from '../reference/processes.ts'
import { tungstenCurrentRange } from '../reference/tungstenRanges.ts'
import { type CurrentRange, wireCurrentRange } from '../reference/wireRanges.ts'

export type ElectrodeRange =
  | { readonly range: CurrentRange; readonly missing: null }
  | { readonly range: null; readonly missing: Message }

const lacks = (missing: Message): ElectrodeRange => ({ range: null, missing })

/** @returns the range with its source, or what is missing for it */
export function electrodeRangeOf(
  process: Process,
  wire: Wire | null,
  tungsten: Tungsten | null,
): ElectrodeRange {
  if (process.feedsWire) {
    if (!wire) return lacks(message('wire'))
    if (!isSpooled(wire)) return lacks(message('wire-is-rod', { wire: wire.name }))
    const range = wireCurrentRange(wire, process.id)
    return range ? { range, missing: null } : lacks(message('wire-range', { wire: wire.name }))
  }
  if (process.electrode === 'covered') {
    if (!wire) return lacks(message('covered'))
    const range = wireCurrentRange(wire)
    return range ? { range, missing: null } : lacks(message('wire-range', { wire: wire.name }))
  }
  if (!tungsten) return lacks(message('tungsten'))
  const range = tungstenCurrentRange(tungsten.diameterMm, process.id === 'gtaw-ac' ? 'ac' : 'dcen')
  return range ? { range, missing: null } : lacks(message('tungsten-range', { tungsten: tungsten.name }))
}
