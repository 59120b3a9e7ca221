/** Figures of the log: a search among a hundred thousand rows, by a word that few have and by one that all have. */
import { print, timedAnswer } from './print.mjs'

const MANY = 100_000
/** Rows like those of the shop, of other words and other days. */
const FILL = `insert into event (who, type, subject, body)
  select 'the figures', 'weld-recorded', 'weld.figure-' || n % 300 || '.w' || n % 7,
    body || jsonb_build_object('note', 'spool ' || md5(n::text), 'welder', 'Welder ' || n % 40,
      'weldedAt', to_char(timestamp '2026-01-01' + n * interval '4 minutes', 'YYYY-MM-DD"T"HH24:MI:SS"Z"'))
  from (select body from event where type = 'weld-recorded' and body ->> 'state' = 'done' limit 1) as one,
    generate_series(1, ${MANY}) as n`
const RUNS = 30

export async function log(address, databaseUrl) {
  const { default: pg } = await import('pg')
  const { createHash } = await import('node:crypto')
  const client = new pg.Client({ connectionString: databaseUrl })
  await client.connect()
  await client.query(FILL)
  await client.query('analyze event')
  await client.query('analyze weld_log')
  await client.end()
  const ask = (query) =>
    timedAnswer(RUNS, (run) => fetch(new URL(`/api/log?limit=50&${query(run)}`, address)))
  const word = (run) =>
    createHash('md5')
      .update(`${1000 + run}`)
      .digest('hex')
      .slice(0, 10)
  print('wear-by-a-log-of-100000', await timedAnswer(RUNS, () => fetch(new URL('/api/wear', address))), 'ms')
  print('log-100000-rare-word', await ask((run) => `search=${word(run)}`), 'ms')
  print('log-100000-common-word', await ask(() => 'search=spool'), 'ms')
  print('log-100000-two-words', await ask((run) => `search=welder+${run % 40}+good`), 'ms')
  print('log-100000-filtered', await ask((run) => `job=figure-${run}&outcome=good&from=2026-03-01`), 'ms')
}
