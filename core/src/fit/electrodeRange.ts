/** Usable current of what the arc burns from: the wire that is fed, or the tungsten. */
import { tungstenCurrentRange } from '../reference/tungstenRanges.ts'
import { type CurrentRange, wireCurrentRange } from '../reference/wireRanges.ts'
import type { FitContext } from './context.ts'

export type ElectrodeRange = { readonly title: string; readonly detail: string } & (
  { readonly range: CurrentRange; readonly missing: null } | { readonly missing: string }
)

export function electrodeRange({ process, wire, tungsten }: FitContext): ElectrodeRange {
  if (process.feedsWire) {
    if (!wire) return { title: 'Wire', detail: 'none chosen', missing: 'the wire' }
    const named = { title: 'Wire', detail: wire.name }
    if (wire.form === 'rod') return { ...named, missing: `a wire on a spool: ${wire.name} is a rod` }
    const range = wireCurrentRange(wire)
    return range
      ? { ...named, range, missing: null }
      : {
          ...named,
          missing: `the usable current of ${wire.name}: no table has its size, so enter it from the wire’s data`,
        }
  }
  if (!tungsten) return { title: 'Tungsten', detail: 'none chosen', missing: 'the tungsten' }
  const named = { title: 'Tungsten', detail: tungsten.name }
  const range = tungstenCurrentRange(tungsten.diameterMm, process.id === 'gtaw-ac' ? 'ac' : 'dcen')
  return range
    ? { ...named, range, missing: null }
    : { ...named, missing: `the usable current of ${tungsten.name}: AWS A5.12 has no such size` }
}
