/** What an error is, read from the marks that libraries and PostgreSQL put on it. */

/** What of an error its kind is known by; empty where it has none. */
export function properties(error: unknown): {
  code: string
  type: string
  message: string
  status: number
  /** Of the database, where a rule of it was broken. */
  table: string
} {
  const of = (key: string): unknown =>
    typeof error === 'object' && error !== null ? Reflect.get(error, key) : undefined
  const text = (key: string): string => {
    const value = of(key)
    return typeof value === 'string' ? value : ''
  }
  const status = of('status')
  return {
    code: text('code'),
    type: text('type'),
    message: text('message'),
    table: text('table'),
    status: typeof status === 'number' ? status : 0,
  }
}

/** Codes of node-postgres and of the sockets below it that mean: the connection is gone, or there is none to be had. */
const NO_DATABASE = new Set([
  'ECONNREFUSED',
  'ECONNRESET',
  'ENOTFOUND',
  'ETIMEDOUT',
  'EPIPE',
  'EAI_AGAIN',
  'EHOSTUNREACH',
  '57P01', // admin_shutdown
  '57P02', // crash_shutdown
  '57P03', // cannot_connect_now
  '57P05', // idle_session_timeout
  '25P03', // idle_in_transaction_session_timeout
  '53300', // too_many_connections
  '08000',
  '08001',
  '08003',
  '08004',
  '08006',
])
const SAYS_NO_DATABASE =
  /timeout exceeded when trying to connect|Connection terminated|Query read timeout|Client has encountered a connection error|not queryable|Cannot use a pool after calling end/

export function isNoDatabase(error: unknown): boolean {
  const { code, message } = properties(error)
  return NO_DATABASE.has(code) || SAYS_NO_DATABASE.test(message)
}

/** Two transactions stood in each other's way, and one of them may simply begin again. */
export const isCollision = (error: unknown): boolean => ['40001', '40P01'].includes(properties(error).code)
