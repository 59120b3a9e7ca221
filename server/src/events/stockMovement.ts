/** What came or went of an item. Its row decides whether there is enough: two who take the last one take turns. */
import type { NewEvent } from '@brannik/core'
import type { Connection } from '../database.ts'
import { Problem } from '../problems.ts'

const MOVE = `update stock_item set amount = amount + $2, version = version + 1
  where id = $1 and amount + $2 >= 0`
const THERE = 'select amount from stock_item where id = $1'

export async function moveStock(
  connection: Connection,
  { subject, body }: NewEvent<'stock-movement'>,
): Promise<void> {
  if ((await connection.query(MOVE, [subject, body.change])).rowCount === 1) return
  const { rows } = await connection.query<{ amount: number | null }>(THERE, [subject])
  const amount = rows[0]?.amount ?? null
  if (amount === null)
    throw new Problem(
      409,
      'Not counted yet',
      `Nobody has counted “${subject}”. Count it first, then move it.`,
    )
  throw new Problem(
    409,
    'Not enough',
    `There are ${amount} of “${subject}”, and ${-body.change} were to be taken. Take less, or count it again.`,
    { extra: { amount } },
  )
}
