/** Ids are made from names, and stay when the name changes. */

const MOST = 50

/** `Tank manifold` → `tank-manifold`, with a number where that is taken. */
export function idFor(name: string, taken: readonly { id: string }[]): string {
  const plain = name
    .normalize('NFKD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-+|-+$/g, '')
    .slice(0, MOST)
  const base = plain === '' ? 'job' : plain
  const ids = new Set(taken.map(({ id }) => id))
  if (!ids.has(base)) return base
  let number = 2
  while (ids.has(`${base}-${number}`)) number += 1
  return `${base}-${number}`
}
