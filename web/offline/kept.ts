/** What the service worker keeps of the server’s answers, how it says so, and when a newer one takes its place. */
import { LISTED } from '@brannik/core'

/** The cache of the shop’s own data; it is dropped when somebody signs out. */
export const KEPT = 'shop'
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
