/**
 * Which shop the database holds: a random word, made with it and renewed by every restore and every new shop. It stands
 * in each version that is given out and comes back with each write, so that one shop's never passes for another's.
 */
import type { Request } from 'express'
import type { Connection } from '../database.ts'
import { Problem } from '../problems.ts'

/** Header of a request that is meant for one shop alone. */
export const EPOCH_HEADER = 'Shop-Epoch'
export const EPOCH_EXAMPLE = '0f3a9c51d2e8'

type Asked = Pick<Connection, 'query'>
const NOW = 'select id from shop_epoch'
const RENEW = 'update shop_epoch set id = default, place = default'
const RENEW_ELSEWHERE = `${RENEW} where place <> database_place() returning id`
const RESTORED = `insert into event (who, type, subject, body) values ('Brannik', 'shop-restored', 'shop', $1)`

const found = async (database: Asked, sql: string): Promise<string> => {
  const [row] = (await database.query<{ id: string }>(sql)).rows
  if (!row) throw new Error('the database does not say which shop it holds')
  return row.id
}
export const epochNow = (database: Asked): Promise<string> => found(database, NOW)
/** The shop that is stored from here on is another one; told to all who listen. */
export const renewEpoch = (connection: Asked): Promise<unknown> => connection.query(RENEW)
/** A database that came out of a backup, or was copied, is another one than that which gave out its versions. */
export async function renewEpochElsewhere(connection: Asked): Promise<void> {
  const [renewed] = (await connection.query<{ id: string }>(RENEW_ELSEWHERE)).rows
  if (renewed) await connection.query(RESTORED, [{ epoch: renewed.id }])
}

/** @example etagOf('0f3a9c51d2e8', 3) // '"0f3a9c51d2e8.3"' */
export const etagOf = (epoch: string, version: number | string): string => `"${epoch}.${version}"`

export interface Versioned {
  readonly epoch: string
  readonly version: number
}
const ETAG = /^(?:W\/)?"([0-9a-f]{12})\.(\d{1,10})"$/
const MOST_VERSION = 2_147_483_646
/** @returns null for a text that is no ETag of a record */
export function readEtag(text: string): Versioned | null {
  const [, epoch = '', digits] = ETAG.exec(text.trim()) ?? []
  const version = Number(digits ?? Number.NaN)
  return version <= MOST_VERSION ? { epoch, version } : null
}

export const anotherShop = (epoch: string): Problem =>
  new Problem(
    412,
    'Another shop',
    'The server holds another shop than the one that you have: a backup was put back, or another shop begun. Load everything again; versions of before mean nothing here.',
    { extra: { outcome: 'another-shop', epoch } },
  )

/**
 * Keeps the shop from being replaced until the transaction ends.
 * @param hold `update` for the one that replaces it
 * @throws Problem 412 where the request is meant for another one
 */
export async function holdEpoch(
  connection: Asked,
  request: Pick<Request, 'get'>,
  hold: 'share' | 'update',
): Promise<string> {
  const epoch = await found(connection, `${NOW} for ${hold}`)
  const meant = [request.get(EPOCH_HEADER), readEtag(request.get('If-Match') ?? '')?.epoch]
  if (meant.some((one) => one !== undefined && one !== epoch)) throw anotherShop(epoch)
  return epoch
}
