/** Figures of the events: reading on among two millions, and moving a count while they are there. */
import { print, timedAnswer } from './print.mjs'

const MANY = 2_000_000
const FILL = `insert into event (who, type, subject, body, hash)
  select 'the figures', 'stock-movement', 'part.figure-' || n % 5000, '{"version": 1, "before": 1, "after": 2}', ''
  from generate_series(1, ${MANY}) as n`
const RUNS = 40

const timed = (ask) => timedAnswer(RUNS, ask)

export async function events(address, databaseUrl) {
  const { default: pg } = await import('pg')
  const client = new pg.Client({ connectionString: databaseUrl })
  await client.connect()
  // Filled as a backup is: the triggers of one movement would take an hour for two millions.
  await client.query('set session_replication_role = replica')
  await client.query(FILL)
  await client.query('analyze event')
  await client.end()
  const { epoch } = await (await fetch(new URL('/api/changes/position', address))).json()
  const at = (query) => fetch(new URL(`/api/events?${query}`, address))
  const half = MANY / 2
  print(
    'events-page-of-2-million',
    await timed((run) => at(`since=${epoch}.${half + run * 100}&limit=100`)),
    'ms',
  )
  print(
    'events-page-of-one-thing',
    await timed((run) => at(`since=${epoch}.${half}&limit=100&subject=part.figure-${run}`)),
    'ms',
  )
  const move = (change) =>
    fetch(new URL('/api/events', address), {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify({ type: 'stock-movement', subject: 'wire.er70s6-035', body: { change } }),
    })
  print('event-told', await timed((run) => move(run % 2 === 0 ? -1 : 1)), 'ms')
}
