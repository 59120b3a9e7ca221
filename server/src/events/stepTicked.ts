/** A step that was ticked off: it changes nothing else, and leaves its row. */
import type { NewEvent } from '@brannik/core'
import type { Connection } from '../database.ts'

const ADD = `insert into event (who, type, subject, body, key, corrects) values (current_who(), 'step-ticked', $1, $2,
  nullif(current_setting('brannik.event_key', true), ''),
  nullif(current_setting('brannik.event_corrects', true), '')::bigint)`

export async function tickStep(
  connection: Connection,
  { subject, body }: NewEvent<'step-ticked'>,
): Promise<void> {
  await connection.query(ADD, [subject, body])
}
