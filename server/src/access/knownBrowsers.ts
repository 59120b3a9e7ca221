/** Browsers in which somebody has signed in before: a stranger's guesses of the same name do not keep them out. */
import type { Connection, Database } from '../database.ts'
import { LIMITS } from '../limits.ts'
import { hashOfSecret, newSecret } from './secrets.ts'

const FIND = 'update known_browser set seen_at = now() where secret_hash = $1 and account_id = $2 returning 1'
const ADD = 'insert into known_browser (secret_hash, account_id) values ($1, $2)'
const FORGET = `delete from known_browser where seen_at < now() - make_interval(days => ${LIMITS.knownDays})`

/** @returns by what the tries in it are counted; null where this account has never signed in there */
export async function knownAs(
  database: Database,
  secret: string | null,
  accountId: string,
): Promise<string | null> {
  if (secret === null) return null
  const hash = hashOfSecret(secret)
  const { rowCount } = await database.query(FIND, [hash, accountId])
  return rowCount === 1 ? hash.toString('hex') : null
}
/** @returns the secret that the browser keeps */
export async function makeKnown(connection: Connection, accountId: string): Promise<string> {
  const secret = newSecret('')
  await connection.query(ADD, [hashOfSecret(secret), accountId])
  return secret
}
export async function forgetOldBrowsers(database: Database): Promise<void> {
  await database.query(FORGET)
}
