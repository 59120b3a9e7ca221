/** Whether the shop has a thing, thinks of buying it, or has used it up. */

export const OWNERSHIPS = ['owned', 'candidate'] as const

/** What is looked at of any thing of the shelf. */
interface Owned {
  readonly held?: (typeof OWNERSHIPS)[number]
  readonly stock?: number | null
  readonly stockG?: number | null
  readonly leftL?: number | null
}
export const isCandidate = ({ held }: Owned & object): boolean => held === 'candidate'
/** Whether there is any of it: not a candidate, and not used up. What nobody has counted, or could, counts as there. */
export const isInShop = (item: Owned & object): boolean =>
  !isCandidate(item) && item.stock !== 0 && item.stockG !== 0 && item.leftL !== 0
