/** A whole shop at once: every record of it replaced by those of another, or read out in the order of its file. */
import { fileVersionOf, SHOP_DOCUMENT_FORMAT } from '@brannik/core'
import type { Connection } from '../database.ts'
import type { WholeDocument } from '../documents/documents.ts'
import { Problem } from '../problems.ts'
import { writeMany } from './bulk.ts'
import { renewEpoch } from './epoch.ts'
import { COLLECTIONS, COUNTS, SHOP } from './kinds.ts'
import * as records from './records.ts'
import { countMany, STOCK } from './stock.ts'

const WHOSE = `select id, body ->> 'name' as name from record where kind = 'shop'`
const FORGET_REFERENCES = `delete from record_reference`
const FORGET_RECORDS = `delete from record`
/** A count is not deleted: nobody has counted, then. */
const FORGET_COUNTS = `update stock_item set amount = null, version = version + 1 where amount is not null`
const OF_A_THING = `select s.id from stock_item s
  join record r on r.kind = split_part(s.id, '.', 1) and r.id = split_part(s.id, '.', 2)`
/** Events stay; the log of another shop is not searched any more. */
const BEGUN = `insert into event (who, type, subject, body) values (current_who(), 'shop-begun', 'shop', $1)`
const FORGET_LOG = `delete from weld_log`
/** Two that begin a shop at once come one after the other. */
const ONE_AT_A_TIME = `select pg_advisory_xact_lock(hashtext('brannik whole shop'))`

/**
 * Replaces all that is stored. What there was stays in the history, and in backups.
 * @throws Problem where another shop is stored than the one that is to be replaced
 */
export async function replaceWhole(connection: Connection, whole: WholeDocument): Promise<void> {
  await connection.query(ONE_AT_A_TIME)
  await renewEpoch(connection)
  const [stored] = (await connection.query<{ id: string; name: string }>(WHOSE)).rows
  if ((stored?.id ?? null) !== whole.replaces) {
    throw new Problem(
      409,
      'Another shop',
      stored
        ? `The database holds “${stored.name}” (${stored.id}), and ${
            whole.replaces === null ? 'you expect none' : `you replace “${whole.replaces}”`
          }. Load the page again.`
        : `The database holds no shop, and you replace “${whole.replaces}”. Load the page again.`,
    )
  }
  await connection.query(FORGET_REFERENCES)
  await connection.query(FORGET_RECORDS)
  await connection.query(FORGET_COUNTS)
  for (const { path, records: documents } of whole.kinds) {
    const kind = records.kindOrProblem(path)
    if (documents.some(({ references }) => references.length > 0)) {
      for (const document of documents) await records.create(connection, kind, document)
    } else if (documents.length > 0) {
      const list = `[${documents.map(({ text }) => text).join(',')}]`
      await writeMany(
        connection,
        kind,
        list,
        documents.map(({ id }) => id),
        new Map(),
      )
    }
  }
  const shopId = whole.kinds.find(({ path }) => path === SHOP.path)?.records[0]?.id ?? ''
  if (shopId !== stored?.id) {
    await connection.query(FORGET_LOG)
    await connection.query(BEGUN, [{ shopId }])
  }
  // Its counts are of this shop: they come after its beginning.
  await countMany(connection, whole.stock)
}

/** @throws Problem where no shop has begun */
export async function storedShop(connection: Connection): Promise<string> {
  const [shop] = (await records.page(connection, SHOP, null, 1)).items
  if (!shop) throw new Problem(404, 'No shop', 'The database holds no shop yet: there is nothing to export.')
  return shop.record
}

/** The whole shop piece by piece, as its file has it, so that it never stands whole in memory. */
export async function* wholePieces(connection: Connection, shop: string): AsyncGenerator<string> {
  const head = { format: SHOP_DOCUMENT_FORMAT, version: fileVersionOf(SHOP_DOCUMENT_FORMAT) }
  yield `${JSON.stringify(head).slice(0, -1)},"shop":${shop}`
  for (const kind of COLLECTIONS) {
    yield `,"${kind.listKey}":[`
    let separator = ''
    for await (const items of records.pages(connection, kind, records.RECORDS)) {
      if (items.length > 0) yield separator + items.map(({ record }) => record).join(',')
      if (items.length > 0) separator = ','
    }
    yield ']'
  }
  const things = new Set((await connection.query<{ id: string }>(OF_A_THING)).rows.map(({ id }) => id))
  yield ',"stock":['
  let separator = ''
  for await (const items of records.pages(connection, COUNTS, STOCK)) {
    const kept = items.filter(({ id, record }) => things.has(id) && !record.includes('"amount" : null'))
    if (kept.length > 0) yield separator + kept.map(({ record }) => record).join(',')
    if (kept.length > 0) separator = ','
  }
  yield ']}'
}
