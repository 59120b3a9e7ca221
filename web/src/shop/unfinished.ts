/** Records that are still being filled in: not whole enough to store, kept in the browser so that nothing typed is lost. */
import { factsAt, upcastRecord } from '@brannik/core'
import { defineStore } from 'pinia'
import { shallowRef } from 'vue'

const PREFIX = 'brannik.unfinished.'
type Unfinished = Readonly<Record<string, unknown>>

const keyOf = (path: string, id: string): string => `${path}/${id}`

/** As it lies in the browser: with the version of the schema that it was typed in. */
interface Stored {
  readonly schemaVersion?: number
  readonly record?: Unfinished
}

function upcast(place: string, kept: Stored): Unfinished {
  // The first version kept the record itself.
  const { schemaVersion = 1, record = kept as Unfinished } = kept
  const kind = factsAt(place.slice(0, place.indexOf('/')))?.kind
  const done = kind && upcastRecord(kind, schemaVersion, record)
  return done?.ok ? (done.value as Unfinished) : record
}

function stored(): ReadonlyMap<string, Unfinished> {
  const found = new Map<string, Unfinished>()
  for (const key of Object.keys(localStorage)) {
    if (!key.startsWith(PREFIX)) continue
    try {
      const place = key.slice(PREFIX.length)
      found.set(place, upcast(place, JSON.parse(localStorage.getItem(key) ?? '') as Stored))
    } catch {
      localStorage.removeItem(key)
    }
  }
  return found
}

export const useUnfinished = defineStore('unfinished', () => {
  const all = shallowRef(stored())

  function keep(path: string, id: string, record: Unfinished): void {
    all.value = new Map(all.value).set(keyOf(path, id), record)
    try {
      const schemaVersion = factsAt(path)?.version ?? 1
      localStorage.setItem(PREFIX + keyOf(path, id), JSON.stringify({ schemaVersion, record }))
    } catch {
      // Storage is full or forbidden: what was typed still lives in the page.
    }
  }
  function drop(path: string, id: string): void {
    if (!all.value.has(keyOf(path, id))) return
    const rest = new Map(all.value)
    rest.delete(keyOf(path, id))
    all.value = rest
    localStorage.removeItem(PREFIX + keyOf(path, id))
  }
  const get = (path: string, id: string): Unfinished | null => all.value.get(keyOf(path, id)) ?? null
  /** Of one kind, by id. */
  const of = (path: string): readonly { readonly id: string; readonly record: Unfinished }[] =>
    [...all.value].flatMap(([key, record]) =>
      key.startsWith(`${path}/`) ? [{ id: key.slice(path.length + 1), record }] : [],
    )

  return { keep, drop, get, of }
})
