/** What the service worker keeps of the server’s answers, how it says so, and when a newer one takes its place. */
import { LISTED } from '@brannik/core'

const KEPT = 'shop'
/** The cache of one shop's own data, by its epoch. */
export const keptOf = (epoch: string): string => `${KEPT}.${epoch}`
/** The cache of answers that are of no shop: who one is. */
export const OF_NO_SHOP = keptOf('who')
/** Drops what is kept, as when somebody signs out or the server holds another shop. @param but caches that stay */
export async function dropKept(but: readonly string[] = []): Promise<void> {
  for (const name of await caches.keys())
    if (name.split('.')[0] === KEPT && !but.includes(name)) await caches.delete(name)
}
/** Which shop an answer is of, as its ETag begins; null where it does not say. */
export const epochIn = ({ headers }: Response): string | null =>
  /^(?:W\/)?"([0-9a-f]+)\./.exec(headers.get('ETag') ?? '')?.[1] ?? null

/** Header of an answer that is kept: when it was fetched. */
export const KEPT_AT = 'X-Kept-At'
/** Records in one answer of a list. */
export const PAGE = 500

/** What a view begins with: who one is, the shop and the first page of its lists. */
export const BEGINNINGS: readonly string[] = [
  '/api/me',
  '/api/shop',
  ...LISTED.map(({ path }) => `/api/${path}?limit=${PAGE}`),
]
const KEPT_PATHS = new Set(BEGINNINGS.map((path) => path.split('?')[0]))

/**
 * Neither accounts, nor history, nor backups.
 * @example isKept('/api/jobs') // true
 */
export const isKept = (pathname: string): boolean => KEPT_PATHS.has(pathname)

/** What a page says to a newer worker that waits: the script that it began with. */
export interface TakeOver {
  readonly takeOver: string
}

/**
 * A worker that takes over drops what the one before it kept, and with it the parts that an older page has not fetched
 * yet. So it waits until the only page there is one of its own version.
 * @param urls what the worker keeps
 * @param pages how many are open
 */
export const mayTakeOver = (urls: readonly string[], data: unknown, pages: number): boolean => {
  const script = (data as Partial<TakeOver> | null)?.takeOver
  return (
    pages === 1 && typeof script === 'string' && urls.some((url) => `/${url.replace(/^\//, '')}` === script)
  )
}
