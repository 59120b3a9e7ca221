/** So many texts are kept: no shop has more wires, and a stream of odd ones must not fill the memory. */
const MOST_KNOWN = 10_000

/**
 * What is read out of a text, read once: a board asks the same of the same few wires thousands of times.
 * @example const classOf = remembered(readClass)
 */
export function remembered<T>(read: (text: string) => T): (text: string) => T {
  const known = new Map<string, { readonly value: T }>()
  return (text) => {
    const found = known.get(text)
    if (found) return found.value
    const value = read(text)
    if (known.size < MOST_KNOWN) known.set(text, { value })
    return value
  }
}
