/** Records that are still being filled in: not whole enough to store, kept in the browser so that nothing typed is lost. */
import { defineStore } from 'pinia'
import { shallowRef } from 'vue'

const PREFIX = 'brannik.unfinished.'
type Unfinished = Readonly<Record<string, unknown>>

const keyOf = (path: string, id: string): string => `${path}/${id}`

function stored(): ReadonlyMap<string, Unfinished> {
  const found = new Map<string, Unfinished>()
  for (const key of Object.keys(localStorage)) {
    if (!key.startsWith(PREFIX)) continue
    try {
      found.set(key.slice(PREFIX.length), JSON.parse(localStorage.getItem(key) ?? '') as Unfinished)
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
      localStorage.setItem(PREFIX + keyOf(path, id), JSON.stringify(record))
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
