/** Whether the shop has a thing, thinks of buying it, or has used it up. */

export const OWNERSHIPS = ['owned', 'candidate'] as const

/** What is looked at of any thing of the shelf. */
interface Owned {
  readonly held?: (typeof OWNERSHIPS)[number]
}
/** Whether the shop thinks of buying it, and does not have it. */
export const isCandidate = ({ held }: Owned & object): boolean => held === 'candidate'
/**
 * Whether there is any of it: not a candidate, and not used up.
 * @param amount that is there; null for what nobody has counted, or could: it counts as there
 */
export const isInShop = (item: Owned & object, amount: number | null): boolean =>
  !isCandidate(item) && amount !== 0
