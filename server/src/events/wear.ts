/** What is worn at each machine, by its own log: one that rests for a year keeps what it wore before. */
import {
  MACHINE_FIELDS,
  machineRecordsOf,
  MOST_OF_MACHINE,
  type Replaced,
  type WeldRecord,
} from '@brannik/core'
import { type Connection, reading } from '../database.ts'
import type { AddRoutes } from '../services.ts'
import { BEGAN } from './store.ts'

/** Of the rows, which are many after some years, only what is counted is read. */
const BODY = `jsonb_build_object(${MACHINE_FIELDS.map((name) => `'${name}', body -> '${name}'`).join(', ')})`
const ROWS = `select ${BODY} as body
  from (select distinct source_id from weld_log where source_id is not null) machine
  cross join lateral (select seq from weld_log where source_id = machine.source_id and state <> 'planned'
    order by welded_at desc, seq desc limit ${MOST_OF_MACHINE}) newest
  join event using (seq) order by seq`
const CHANGES = `select subject, body from event where type = 'part-replaced' and ${BEGAN} order by seq`

/** @returns a record for every machine in the log of this shop */
async function wearNow(connection: Pick<Connection, 'query'>) {
  const rows = await connection.query<{ body: WeldRecord }>(ROWS)
  const changes = await connection.query<{ subject: string; body: Replaced }>(CHANGES)
  return machineRecordsOf(rows.rows, changes.rows)
}

export const wearRoutes: AddRoutes = (api, { database }) => {
  api.on('get', '/wear', 'guest', async (_request, response) => {
    response.json({ items: await reading(database, wearNow) })
  })
}
