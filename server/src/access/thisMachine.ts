/** Whoever sits at this machine: shown once in each browser with a link that the start prints, and kept as a cookie. */
import type { Database } from '../database.ts'
import { LIMITS } from '../limits.ts'
import { hashOfSecret, newSecret } from './secrets.ts'

const ADD_LINK = 'insert into machine_link (secret_hash) values ($1)'
/** Good once, and for a day: one that was printed and never followed lies about in a terminal. */
const USE_LINK = `delete from machine_link where secret_hash = $1 and made_at > now() - interval '1 day'`
const ADD = 'insert into machine_browser (secret_hash) values ($1)'
const FIND = `select seen_at < now() - interval '1 day' as stale from machine_browser where secret_hash = $1`
const SEEN = 'update machine_browser set seen_at = now() where secret_hash = $1'
const FORGET_LINKS = `delete from machine_link where made_at < now() - interval '1 day'`
const FORGET = `delete from machine_browser where seen_at < now() - make_interval(days => ${LIMITS.knownDays})`

export const HERE = '/here/'

/** @returns the path of a link that lets one browser in */
export async function makeLink(database: Pick<Database, 'query'>): Promise<string> {
  const secret = newSecret('')
  await database.query(ADD_LINK, [hashOfSecret(secret)])
  return `${HERE}${secret}`
}
/** @returns the secret that the browser keeps; null where the link was used before, is too old, or is none */
export async function followLink(database: Pick<Database, 'query'>, link: string): Promise<string | null> {
  if ((await database.query(USE_LINK, [hashOfSecret(link)])).rowCount !== 1) return null
  const secret = newSecret('')
  await database.query(ADD, [hashOfSecret(secret)])
  return secret
}
export async function isOfThisMachine(database: Database, secret: string | null): Promise<boolean> {
  if (secret === null) return false
  const hash = hashOfSecret(secret)
  const [row] = (await database.query<{ stale: boolean }>(FIND, [hash])).rows
  if (row?.stale) await database.query(SEEN, [hash])
  return row !== undefined
}
export async function forgetOldLinks(database: Database): Promise<void> {
  await database.query(FORGET_LINKS)
  await database.query(FORGET)
}
