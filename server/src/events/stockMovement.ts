/** What came or went of an item. Its row decides whether there is enough: two who take the last one take turns. */
import { type NewEvent, usualReason } from '@brannik/core'
import type { Connection } from '../database.ts'
import { invalid, Problem } from '../problems.ts'

const MOVE = `update stock_item set amount = amount + $2::numeric, version = version + 1
  where id = $1 and amount + $2::numeric >= 0`
/** The same turn as the triggers take: what was looked at is still so when it is written. */
const TURN = 'select pg_advisory_xact_lock(4870002)'
const THERE = 'select amount::float8 as amount from stock_item where id = $1'
const SAY = `select set_config('brannik.movement', $1, true)`
/** The key is the first row's: the other half of a move is known by it. */
const NO_KEY = `select set_config('brannik.event_key', '', true)`
const HAS_JOB = `select 1 from record where kind = 'job' and id = $1`
const CORRECTED = `select 1 from event where corrects = $1`

/** The count of what a cylinder or a spool holds; of anything else its own. */
const HELD = `select coalesce('gas.' || (body ->> 'gasId'), 'wire.' || (body ->> 'wireId')) as held from record
  where kind in ('cylinder', 'spool') and kind || '.' || id = $1`
async function heldBy(connection: Connection, countId: string): Promise<string> {
  return (await connection.query<{ held: string }>(HELD, [countId])).rows[0]?.held ?? countId
}

async function move(connection: Connection, id: string, change: number): Promise<void> {
  if ((await connection.query(MOVE, [id, change])).rowCount === 1) return
  const { rows } = await connection.query<{ amount: number | null }>(THERE, [id])
  const amount = rows[0]?.amount ?? null
  if (amount === null)
    throw new Problem(409, 'Not counted yet', `Nobody has counted “${id}”. Count it first, then move it.`)
  throw new Problem(
    409,
    'Not enough',
    `There are ${amount} of “${id}”, and ${-change} were to be taken. Take less, or count it again.`,
    { extra: { amount } },
  )
}

export async function moveStock(
  connection: Connection,
  { subject, body, corrects }: NewEvent<'stock-movement'>,
): Promise<void> {
  const { change, reason = corrects ? 'corrected' : usualReason(change), other, ...whatFor } = body
  const { jobId } = whatFor
  await connection.query(TURN)
  if (jobId && (await connection.query(HAS_JOB, [jobId])).rowCount === 0) {
    const message = `names the job “${jobId}”, and there is none. Leave it out, or add the job`
    throw invalid([{ pointer: '/body/jobId', field: 'body › jobId', message }])
  }
  if (corrects && (await connection.query(CORRECTED, [corrects])).rowCount !== 0)
    throw new Problem(
      409,
      'Corrected already',
      `Movement ${corrects} was corrected before. Correct that one instead.`,
    )
  if (other === subject) {
    const message = 'is the count itself. Name the one that it goes to'
    throw invalid([{ pointer: '/body/other', field: 'body › other', message }])
  }
  if (other !== undefined && (await heldBy(connection, other)) !== (await heldBy(connection, subject))) {
    const message = 'is another item. Move between the stock, the cylinders and the spools of one item'
    throw invalid([{ pointer: '/body/other', field: 'body › other', message }])
  }
  const told = { reason, ...whatFor }
  const half = (of: string | undefined) => JSON.stringify(of === undefined ? told : { ...told, other: of })
  if (other !== undefined) {
    await connection.query(SAY, [half(subject)])
    const { rows } = await connection.query<{ key: string }>(
      `select current_setting('brannik.event_key', true) as key`,
    )
    await connection.query(NO_KEY)
    await move(connection, other, -change)
    await connection.query(`select set_config('brannik.event_key', $1, true)`, [rows[0]?.key ?? ''])
  }
  await connection.query(SAY, [half(other)])
  await move(connection, subject, change)
}
