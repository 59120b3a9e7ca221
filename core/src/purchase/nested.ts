/** What is known by one thing after the other: found by the things themselves, for a text of their ids would be made each time. */
export type Nested<T> = Map<unknown, Nested<T> | T>

/** @returns what is known under one more of them; the last key holds the thing itself */
export function under<T>(nested: Nested<T>, key: unknown): Nested<T> {
  const known = nested.get(key) as Nested<T> | undefined
  if (known) return known
  const made: Nested<T> = new Map()
  nested.set(key, made)
  return made
}
