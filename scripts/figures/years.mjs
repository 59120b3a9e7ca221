/**
 * Ten years of a busy shop: two hundred saves and a hundred lines of the audit on each of 250 days a year, twenty times a day
 * ten saves of one record a minute apart. What the history then weighs, and what it costs to look, to save, to thin it
 * and to back it up.
 */
import { print, timedAnswer } from './print.mjs'

const DAYS = 2500
const SESSIONS = 20
const SAVES = 10
const RUNS = 20
const HISTORY = `insert into record_history (kind, id, version, body, at, who, schema_version)
  select 'job', 'old-' || (d * ${SESSIONS} + s) % 500, 1 + (d * ${SESSIONS} + s) / 500 * ${SAVES} + v, j.body || jsonb_build_object('quantity', v),
    now() - interval '10 years' + make_interval(days => (d * 1.4)::int, mins => s * 25 + v), 'Person ' || s % 10, j.schema_version
  from generate_series(0, ${DAYS - 1}) d, generate_series(0, ${SESSIONS - 1}) s, generate_series(0, ${SAVES - 1}) v,
    (select body, schema_version from record where kind = 'job' and id = 'press-frame') j
  on conflict do nothing`
const AUDIT = `insert into audit (at, who, role, via, action)
  select now() - interval '10 years' + make_interval(days => (d * 1.4)::int, mins => n * 5), 'Person ' || n % 10, 'planner', 'session', 'signed in'
  from generate_series(0, ${DAYS - 1}) d, generate_series(0, 99) n`
const WEIGHT = `select pg_total_relation_size('record_history')::float8 as bytes, (select count(*) from record_history)::int as rows`

const timed = (ask) => timedAnswer(RUNS, ask)

/** @returns seconds that it took */
async function lasting(work) {
  const began = performance.now()
  await work()
  return (performance.now() - began) / 1000
}

export async function years(address, databaseUrl) {
  const { default: pg } = await import('pg')
  const client = new pg.Client({ connectionString: databaseUrl })
  await client.connect()
  await client.query(HISTORY)
  await client.query(AUDIT)
  await client.query('analyze record_history; analyze audit')
  const weigh = async (when) => {
    const { bytes, rows } = (await client.query(WEIGHT)).rows[0]
    print(`history-${when}`, rows, 'rows')
    print(`history-${when}-size`, bytes / 1e6, 'MB')
  }
  const get = (path) => fetch(new URL(`/api/${path}`, address))
  await weigh('of-ten-years')
  print('history-page', await timed((run) => get(`history/jobs/old-${run}`)), 'ms')
  print('deleted-list', await timed(() => get('deleted')), 'ms')
  print('audit-page', await timed(() => get('audit')), 'ms')
  let { headers, record } = await get('jobs/press-frame').then(async (answer) => ({
    headers: answer.headers,
    record: (await answer.json()).record,
  }))
  const save = async (run) => {
    const answer = await fetch(new URL('/api/jobs/press-frame', address), {
      method: 'PUT',
      headers: { 'Content-Type': 'application/json', 'If-Match': headers.get('etag') },
      body: JSON.stringify({ ...record, quantity: 1 + run }),
    })
    headers = answer.headers
    return answer
  }
  print('save-in-the-tenth-year', await timed(save), 'ms')
  const backUp = () =>
    fetch(new URL('/api/backups', address), {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: '{}',
    }).then((answer) => answer.text())
  print('back-up-ten-years', await lasting(backUp), 's')
  const thin = async () => {
    for (;;) {
      const { rows } = await client.query(`select thin_history('saves', 10, 7) as gone`)
      if (rows[0].gone === null) return
    }
  }
  print('thin-ten-years', await lasting(thin), 's')
  await client.query('vacuum full record_history')
  await weigh('thinned')
  print('forget-five-years-of-audit', await lasting(() => client.query('select forget_audit(1825)')), 's')
  await client.end()
}
