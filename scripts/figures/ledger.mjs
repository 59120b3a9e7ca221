/** Figures of the ledger: fifty thousand movements of two hundred items for three hundred jobs, listed, balanced, summed by job. */
import { print, timedAnswer } from './print.mjs'

const MANY = 50_000
const FILL = `insert into event (who, type, subject, body, hash)
  select 'the figures', 'stock-movement', 'part.figure-' || n % 200,
    jsonb_build_object('version', n / 200 + 1, 'before', n / 200, 'after', n / 200 + 1, 'reason', 'used', 'jobId', 'figure-' || n % 300), ''
  from generate_series(0, ${MANY - 1}) as n`
const RUNS = 20

export async function ledger(address, databaseUrl) {
  const { default: pg } = await import('pg')
  const client = new pg.Client({ connectionString: databaseUrl })
  await client.connect()
  await client.query('set session_replication_role = replica')
  await client.query(FILL)
  await client.query('analyze event')
  const at = (path) => fetch(new URL(`/api/${path}`, address))
  const timed = (path) => timedAnswer(RUNS, (run) => at(path(run)))
  print('ledger-page-of-50000', await timed(() => 'ledger?limit=50'), 'ms')
  print('ledger-page-of-one-item', await timed((run) => `ledger?limit=50&item=part.figure-${run}`), 'ms')
  print('ledger-page-of-one-job', await timed((run) => `ledger?limit=50&job=figure-${run}`), 'ms')
  print('ledger-balances-of-50000', await timed(() => 'ledger/balances'), 'ms')
  await client.query(`delete from event where who = 'the figures'`)
  await client.end()
}
