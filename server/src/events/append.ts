/** An event that changes nothing else: it leaves its row. */
import type { NewEvent, RecordedType } from '@brannik/core'
import type { Connection } from '../database.ts'

const ADD = `insert into event (who, type, subject, body, key, corrects) values (current_who(), $1, $2, $3,
  nullif(current_setting('brannik.event_key', true), ''),
  nullif(current_setting('brannik.event_corrects', true), '')::bigint)`

export async function append<T extends RecordedType>(
  connection: Connection,
  { type, subject, body }: NewEvent<T>,
): Promise<void> {
  await connection.query(ADD, [type, subject, body])
}
