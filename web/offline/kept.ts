/** What the service worker keeps of the server’s answers, and how it says so. */

/** The cache of the shop’s own data; it is dropped when somebody signs out. */
export const KEPT = 'shop'
/** Header of an answer that is kept: when it was fetched. */
export const KEPT_AT = 'X-Kept-At'
/** Records in one answer of a list. */
export const PAGE = 500

/** Every list that a page has of the shop: what is named stands before what names it. */
export const LISTS = [
  'generators',
  'panels',
  'circuits',
  'loads',
  'power-sources',
  'feeders',
  'guns',
  'parts',
  'wires',
  'gases',
  'tungstens',
  'stock',
  'set-ups',
  'jobs',
  'requirement-sheets',
  'decisions',
] as const
/** What a view begins with: who one is, the shop and the first page of its lists. */
export const BEGINNINGS: readonly string[] = [
  '/api/me',
  '/api/shop',
  ...LISTS.map((list) => `/api/${list}?limit=${PAGE}`),
]
const KEPT_PATHS = new Set(BEGINNINGS.map((path) => path.split('?')[0]))

/**
 * Neither accounts, nor history, nor backups.
 * @example isKept('/api/jobs') // true
 */
export const isKept = (pathname: string): boolean => KEPT_PATHS.has(pathname)
