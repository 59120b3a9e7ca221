/**
 * `npm run torture`: kills, hostile requests, load, idle connections and the largest valid questions, on a server and
 * a database of their own. One line of JSON a figure; the exit is 1 where something was lost, died or answered 5xx.
 * `--short` is what `npm test` runs; `load`, `blocks`, `requests`, `kills`, `launched`, `disk` or `tabs` alone by their names.
 */
import {
  appendFileSync,
  chmodSync,
  mkdirSync,
  mkdtempSync,
  readFileSync,
  rmSync,
  statfsSync,
  writeFileSync,
} from 'node:fs'
import { Agent, request } from 'node:http'
import { connect } from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { setTimeout as pause } from 'node:timers/promises'
import { buildServer, buildWeb, SERVER } from './lib/built.mjs'
import { DATA, installNpm } from './lib/packages.mjs'
import { freePort, startPostgres } from './lib/postgres.mjs'
import { begin, explain, quiet, quietly, ROOT } from './lib/run.mjs'

/** What is printed, and what the server says of itself, stays here. */
const LOGS = join(DATA, 'torture')
mkdirSync(LOGS, { recursive: true })
const PRINTED = join(LOGS, 'figures.jsonl')
writeFileSync(PRINTED, '')

const SHORT = process.argv.includes('--short')
const KILLS = SHORT ? 8 : 200
const LAUNCHED_KILLS = SHORT ? 1 : 20
const REQUESTS = SHORT ? 1500 : 50_000
const LOAD_S = SHORT ? 3 : 20
const CLIENTS = 50
const JOBS = SHORT ? 100 : 500
const IDLE = SHORT ? 200 : 1500

let isSound = true
function print(line) {
  appendFileSync(PRINTED, `${line}\n`)
  process.stdout.write(`${line}\n`)
}
const say = (figure, value, unit) => print(JSON.stringify({ figure: `torture-${figure}`, value, unit }))
/** A figure that must be as it is wanted. */
function must(figure, value, unit, isRight) {
  say(figure, value, unit)
  if (isRight) return
  isSound = false
  print(`FAULT ${figure} is ${value} ${unit}`)
}
const quantile = (sorted, share) =>
  sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * share))] ?? 0
const rounded = (number) => Math.round(number * 10) / 10

/** Asks a server on its `port`. */
class Caller {
  async call(method, path, body, headers = {}) {
    const sent = body === undefined ? {} : { body: typeof body === 'string' ? body : JSON.stringify(body) }
    const response = await fetch(`http://127.0.0.1:${this.port}${path}`, {
      method,
      headers: { ...(body === undefined ? {} : { 'Content-Type': 'application/json' }), ...headers },
      ...sent,
    })
    const text = await response.text()
    return { status: response.status, headers: response.headers, text }
  }

  /** @returns how long it took, ms */
  async untilReady() {
    const began = performance.now()
    for (;;) {
      const ready = await this.call('GET', '/api/ready').catch(() => null)
      if (ready?.status === 200) return performance.now() - began
      if (performance.now() - began > 120_000) throw new Error('it does not come back')
      await pause(20)
    }
  }
}

class Shop extends Caller {
  constructor(folder) {
    super()
    this.folder = folder
  }

  async start() {
    // Ports that are free for as long as this runs, also while what holds them is dead: no other run has the same.
    const first = 20_000 + (process.pid % 1000) * 20
    this.port = await freePort(first)
    this.cluster = await startPostgres({ folder: this.folder, port: first + 10 })
    this.cluster.createDatabase('brannik')
    this.databasePort = this.cluster.port
    await this.startServer()
  }

  async startServer() {
    const child = begin(process.execPath, [SERVER], {
      env: {
        DATABASE_URL: this.cluster.url('brannik'),
        PORT: `${this.port}`,
        HOST: '127.0.0.1',
        LOG_LEVEL: 'warn',
        LOG_FILE: join(LOGS, 'server.log'),
        DEMO: '1',
        THIS_MACHINE: 'open',
        WRITES_PER_MINUTE: '10000000',
        STOP_WITH_PARENT: '1',
        BACKUP_FOLDER: join(this.folder, '../backups'),
      },
      stdio: ['pipe', 'ignore', 'inherit'],
    })
    this.server = child
    this.isAlive = true
    child.once('exit', () => {
      if (this.server === child) this.isAlive = false
    })
  }

  async killServer() {
    const { server } = this
    server.kill('SIGKILL')
    await new Promise((resolve) =>
      server.exitCode === null && server.signalCode === null ? server.once('exit', resolve) : resolve(),
    )
    await this.startServer()
  }

  async killDatabase() {
    process.kill(Number(readFileSync(join(this.folder, 'postmaster.pid'), 'utf8').split('\n')[0]), 'SIGKILL')
    this.cluster = await startPostgres({ folder: this.folder, port: this.databasePort })
    if (this.cluster.port !== this.databasePort) throw new Error('the database came back on another port')
  }

  /** One connection of the server, as a crash of it would end it: the whole database starts anew. */
  async killBackend() {
    const pid = await this.aBackend()
    if (pid) process.kill(pid, 'SIGKILL')
    await pause(50)
  }

  /** The same, in order: the database lives on. */
  async endBackend() {
    const pid = await this.aBackend()
    if (pid) await this.asOwner('select pg_terminate_backend($1)', [pid])
  }

  async asOwner(sql, values = []) {
    const { default: pg } = await import('pg')
    const client = new pg.Client({ connectionString: this.cluster.url('brannik') })
    client.on('error', () => undefined)
    await client.connect()
    try {
      return (await client.query(sql, values)).rows
    } finally {
      await client.end().catch(() => undefined)
    }
  }

  async aBackend() {
    const rows = await this.asOwner(
      `select pid from pg_stat_activity where datname = 'brannik' and pid <> pg_backend_pid() order by random() limit 1`,
    )
    return rows[0]?.pid
  }

  async metric(name) {
    const { text } = await this.call('GET', '/metrics')
    return Number(new RegExp(`^${name} (\\S+)$`, 'm').exec(text)?.[1])
  }

  async stop() {
    this.server.kill('SIGTERM')
    await new Promise((resolve) => this.server.once('exit', resolve))
    await this.cluster.stop()
  }
}

const demo = () => JSON.parse(readFileSync(join(ROOT, 'demo/tollgate-orchard-works.json'), 'utf8'))
const question = () => JSON.parse(readFileSync(join(ROOT, 'demo/fit-press-frame.json'), 'utf8'))

/** The same whatever the order of the fields. */
const canonical = (value) =>
  JSON.stringify(value, (_, one) =>
    one && typeof one === 'object' && !Array.isArray(one)
      ? Object.fromEntries(Object.entries(one).sort(([a], [b]) => (a < b ? -1 : 1)))
      : one,
  )

/** Writers that make records and change them, each its own, until they are told to stop. */
function writing(shop, writers) {
  const [job] = demo().jobs
  /** By id: what was acknowledged last, and what was sent after it and never answered. */
  const records = new Map()
  const figures = { acknowledged: 0 }
  let isOver = false
  const write = async (writer) => {
    for (let step = 0; !isOver; step += 1) {
      // A record is made, and changed four times.
      const id = `kill-${writer}-${Math.floor(step / 5)}`
      const had = records.get(id)
      const body = { ...job, id, name: `${id} ${step}`, quantity: 1 + (step % 90) }
      if (step % 5 > 0 && !had?.etag) continue
      const sent = had?.etag
        ? ['PUT', `/api/jobs/${id}`, body, { 'If-Match': had.etag }]
        : ['POST', '/api/jobs', body]
      const answer = await shop.call(...sent).catch(() => null)
      if (answer?.status === 201 || answer?.status === 200) {
        figures.acknowledged += 1
        records.set(id, { body, etag: answer.headers.get('etag'), maybe: [] })
      } else {
        // Whether it was stored nobody knows: both are right, and nothing more is written to it.
        records.set(id, { body: had?.body ?? null, etag: null, maybe: [...(had?.maybe ?? []), body] })
        await pause(10)
      }
    }
  }
  const all = Array.from({ length: writers }, (_, writer) => write(writer))
  return {
    /** @returns how many were acknowledged, and of which records the contents are not what was acknowledged */
    async end() {
      isOver = true
      await Promise.all(all)
      const stored = new Map()
      let after = ''
      do {
        const { items, next } = JSON.parse((await shop.call('GET', `/api/jobs?limit=500${after}`)).text)
        for (const { record } of items) stored.set(record.id, canonical(record))
        after = next === null ? '' : `&after=${next}`
      } while (after !== '')
      const wrong = [...records].filter(([id, { body, maybe }]) => {
        const right = [body, ...maybe].map((one) => one && canonical(one))
        return !right.includes(stored.get(id) ?? null)
      })
      return { acknowledged: figures.acknowledged, wrong: wrong.map(([id]) => id) }
    },
  }
}

const REPLAY = `select (select count(*) from stock_item s left join stock_balance b on b.item = s.id
    where s.amount is distinct from b.amount) as unlike, (select count(*) from event_break) as broken`
const ITEM = 'part.cup-l-7'
/** Somebody who receives one piece after the other, and sends each until it is acknowledged: it counts once. */
function moving(shop) {
  let isOver = false
  let received = 0
  const amount = async () => JSON.parse((await shop.call('GET', `/api/stock/${ITEM}`)).text).record.amount
  const move = async () => {
    const before = await amount()
    for (let step = 0; !isOver; step += 1) {
      const body = { type: 'stock-movement', subject: ITEM, body: { change: 1, reason: 'received' } }
      const key = { 'Idempotency-Key': `torture-${process.pid}-${step}` }
      let answer = null
      while (answer?.status !== 201 && answer?.status !== 200) {
        answer = await shop.call('POST', '/api/events', body, key).catch(() => null)
        if (answer === null || answer.status >= 500) await pause(20)
      }
      received += 1
    }
    return before
  }
  const all = move()
  return {
    /** @returns pieces that are there beside those received, and what the ledger says of itself */
    async end() {
      isOver = true
      const before = await all
      const { balances } = JSON.parse((await shop.call('GET', '/api/ledger/balances')).text)
      const { isWhole } = JSON.parse((await shop.call('GET', '/api/ledger/check')).text)
      const balance = balances.find(({ item }) => item === ITEM)?.amount
      const counts = JSON.parse((await shop.call('GET', '/api/stock?limit=500')).text).items
      const unequal = counts.filter(
        ({ record }) => balances.find(({ item }) => item === record.id)?.amount !== record.amount,
      )
      return { received, off: balance - before - received, unequal: unequal.length, isWhole }
    },
  }
}

/** Server, database and single connections of it are killed in the middle of writing; contents must be as acknowledged. */
async function kills(shop) {
  const writers = writing(shop, 4)
  const mover = moving(shop)
  const recoveries = []
  let died = 0
  let unlike = 0
  const ways = [
    () => shop.killServer(),
    () => shop.killDatabase(),
    () => shop.killBackend(),
    () => shop.endBackend(),
  ]
  for (let kill = 0; kill < KILLS; kill += 1) {
    await pause(100 + Math.random() * 200)
    const way = kill % ways.length
    const began = performance.now()
    await ways[way]()
    await shop.untilReady()
    recoveries.push(performance.now() - began)
    if (way > 0 && !shop.isAlive) {
      died += 1
      await shop.startServer()
    }
    // In one statement: the ledger is replayed as it is at one moment, while others write.
    const [replay] = await shop.asOwner(REPLAY)
    unlike += Number(replay.unlike) + Number(replay.broken)
  }
  const { acknowledged, wrong } = await writers.end()
  const { received, off, unequal, isWhole } = await mover.end()
  recoveries.sort((a, b) => a - b)
  must('ledger-lost-or-doubled', off, 'pieces', off === 0 && received > KILLS)
  must('ledger-unlike-counts', unequal + unlike, 'items', unequal + unlike === 0)
  must('ledger-chain-broken', isWhole ? 0 : 1, 'chains', isWhole)
  say('kills', KILLS, 'kills')
  say('acknowledged-writes', acknowledged, 'writes')
  must('lost-or-changed-writes', wrong.length, 'records', wrong.length === 0 && acknowledged > KILLS)
  must('server-died-with-database', died, 'times', died === 0)
  say('recovery-median', rounded(quantile(recoveries, 0.5)), 'ms')
  say('recovery-worst', rounded(recoveries.at(-1)), 'ms')
}

/** As an owner starts it: `npm start`, whose database is killed under it and must come back by itself. */
class Launched extends Caller {
  constructor(folder, env = {}) {
    super()
    this.folder = folder
    this.port = 20_000 + (process.pid % 1000) * 20 + 15
    this.said = ''
    this.child = begin(process.execPath, ['scripts/start.mjs'], {
      env: {
        BRANNIK_DATA: folder,
        PORT: `${this.port}`,
        DEMO: '1',
        THIS_MACHINE: 'open',
        LOG_LEVEL: 'warn',
        WRITES_PER_MINUTE: '10000000',
        BACKUP_HOURS: '0',
        ...env,
      },
      stdio: ['pipe', 'pipe', 'pipe'],
    })
    for (const stream of [this.child.stdout, this.child.stderr])
      stream.on('data', (chunk) => (this.said += chunk))
  }

  get postmaster() {
    return Number(readFileSync(join(this.folder, 'postgres/postmaster.pid'), 'utf8').split('\n')[0])
  }

  async stop() {
    const ended = new Promise((resolve) => this.child.once('exit', resolve))
    this.child.kill('SIGINT')
    return ended
  }
}

async function launched(_, base) {
  const shop = new Launched(join(base, 'launched'))
  await shop.untilReady()
  const writers = writing(shop, 2)
  const recoveries = []
  for (let kill = 0; kill < LAUNCHED_KILLS; kill += 1) {
    await pause(1500)
    const began = performance.now()
    process.kill(shop.postmaster, 'SIGKILL')
    // It answers until it notices; then it is gone, and comes back.
    await pause(300)
    await shop.untilReady()
    recoveries.push(performance.now() - began)
  }
  const { acknowledged, wrong } = await writers.end()
  const code = await shop.stop()
  recoveries.sort((a, b) => a - b)
  say('launched-kills', LAUNCHED_KILLS, 'kills')
  must('launched-lost-or-changed', wrong.length, 'records', wrong.length === 0 && acknowledged > 0)
  must('launched-exit', code, 'status', code === 0)
  say('launched-recovery-worst', rounded(recoveries.at(-1)), 'ms')
}

/** A disk of its own, which is filled: reading goes on, writing is refused with what to do, and comes back with room. */
async function disk(_, base) {
  const folder = join(base, 'disk')
  mkdirSync(folder)
  if (!quiet('mount', ['-t', 'tmpfs', '-o', 'size=700m', 'tmpfs', folder]).ok) {
    say('disk', 'not tried: this user may not mount a small disk', '')
    return
  }
  chmodSync(folder, 0o755)
  try {
    const shop = new Launched(join(folder, 'data'))
    await shop.untilReady()
    const job = demo().jobs[0]
    const save = async (id) => (await shop.call('POST', '/api/jobs', { ...job, id, name: id })).status
    const filler = join(folder, 'filler')
    const fillUpTo = (left) => {
      const { bavail, bsize } = statfsSync(folder)
      writeFileSync(filler, Buffer.alloc(Math.max(0, bavail * bsize - left)))
    }
    const first = await save('disk-1')
    must('disk-save-with-room', first, 'status', first === 201)
    fillUpTo(60e6)
    const answers = async () => {
      // The server looks now and then.
      for (let wait = 0; wait < 400; wait += 1) {
        const status = await save(`disk-2-${wait}`)
        if (status === 507) return status
        await pause(100)
      }
      return 0
    }
    const refused = await answers()
    must('disk-save-when-full', refused, 'status', refused === 507)
    const read = (await shop.call('GET', '/api/jobs/press-frame')).status
    must('disk-read-when-full', read, 'status', read === 200)
    rmSync(filler)
    let again = 0
    for (let wait = 0; wait < 600 && again !== 201; wait += 1) {
      again = await save(`disk-3-${wait}`)
      await pause(100)
    }
    must('disk-save-with-room-again', again, 'status', again === 201)
    const code = await shop.stop()
    must('disk-exit', code, 'status', code === 0)
  } finally {
    quiet('umount', [folder])
  }
}

/** Twenty tabs of one browser, by the test that opens them. */
async function tabs(shop) {
  buildWeb()
  const done = await quietly(
    'npx',
    ['playwright', 'test', '-c', 'e2e', 'e2e/safe.spec.ts', '-g', 'many tabs'],
    {
      env: { TEST_DATABASE_URL: shop.cluster.url('postgres'), TEST_LONG: '1' },
    },
  )
  must('twenty-tabs', done.ok ? 1 : 0, 'passed', done.ok)
}

const pick = (list) => list[Math.floor(Math.random() * list.length)]
/** Values that have broken servers before. */
const ODD = [
  null,
  true,
  0,
  -1,
  1e308,
  0.1 + 0.2,
  '',
  'x',
  'ä\ud83d\ude00',
  'a\u0000b',
  '../..',
  "'; drop table record;--",
  [],
  {},
  [[]],
  { __proto__: null },
  'x'.repeat(5000),
]
function mangle(value, depth = 0) {
  if (depth > 4 || Math.random() < 0.06) return pick(ODD)
  if (Array.isArray(value))
    return Math.random() < 0.1 ? [...value, pick(ODD)] : value.map((one) => mangle(one, depth + 1))
  if (typeof value === 'object' && value !== null) {
    const entries = Object.entries(value).map(([key, one]) => [
      Math.random() < 0.02 ? pick(['', '__proto__', 'x']) : key,
      mangle(one, depth + 1),
    ])
    return Object.fromEntries(entries)
  }
  return value
}

async function requests(shop) {
  const document = demo()
  // A list is served under its own name in small letters: powerSources at power-sources. Counts are written apart.
  const lists = Object.fromEntries(
    Object.entries(document)
      .filter(([key, list]) => Array.isArray(list) && list.length > 0 && key !== 'stock')
      .map(([key]) => [key.replaceAll(/[A-Z]/g, (letter) => `-${letter.toLowerCase()}`), key]),
  )
  const paths = Object.keys(lists)
  const statuses = new Map()
  const memory = async () => rounded((await shop.metric('process_resident_memory_bytes')) / 1e6)
  let left = 0
  const epoch = /\w+/.exec((await shop.call('GET', '/api/shop')).headers.get('etag'))?.[0]
  const worker = async () => {
    while (left > 0) {
      left -= 1
      const path = pick(paths)
      const sample = pick(document[lists[path]])
      const kind = Math.random()
      const id = pick([
        'press-frame',
        'north-wall',
        'nothing',
        '%00',
        '%ff',
        '..',
        'a'.repeat(200),
        encodeURIComponent(pick(ODD.filter((one) => typeof one === 'string')).toWellFormed()),
      ])
      const version = pick([1, 2, 'x', '*', '', 99999999999].map((number) => `"${epoch}.${number}"`))
      const asked =
        kind < 0.25
          ? ['POST', `/api/${path}`, mangle({ ...sample, id: `t-${Math.floor(Math.random() * 500)}` })]
          : kind < 0.45
            ? ['PUT', `/api/${path}/${id}`, mangle(sample), { 'If-Match': version }]
            : kind < 0.5
              ? ['DELETE', `/api/${path}/${id}`, undefined, { 'If-Match': version }]
              : kind < 0.55
                ? ['POST', '/api/fit', mangle(question())]
                : kind < 0.6
                  ? [
                      'POST',
                      '/api/catalogue',
                      mangle({ catalogue: { format: 'brannik-catalogue', version: 1 }, versions: {} }),
                    ]
                  : kind < 0.7
                    ? ['POST', `/api/${path}`, pick(['', '{', '[', '"', 'null', '{"id":', '\u0000'])]
                    : kind < 0.85
                      ? ['GET', `/api/${path}/${id}`]
                      : ['GET', `/api/${path}?limit=${pick(['1', '20', '0', 'x', '1e3'])}`]
      const answer = await shop
        .call(...asked)
        .catch((error) => ({ status: `none: ${error.cause?.code ?? error.message}` }))
      statuses.set(answer.status, (statuses.get(answer.status) ?? 0) + 1)
      // The first of each kind of fault is shown whole: what is random is not seen twice.
      if ((typeof answer.status !== 'number' || answer.status >= 500) && statuses.get(answer.status) === 1)
        process.stdout.write(`${answer.status} to ${JSON.stringify(asked)}: ${answer.text ?? ''}\n`)
    }
  }
  const send = (count) => {
    left = count
    return Promise.all(Array.from({ length: 16 }, worker))
  }
  // What it takes when it is warm, and whether that grows.
  await send(REQUESTS / 5)
  const afterFifth = await memory()
  await send((REQUESTS * 4) / 5)
  const wrong = [...statuses].filter(([status]) => typeof status !== 'number' || status >= 500)
  say('requests', REQUESTS, 'requests')
  say(
    'requests-refused',
    [...statuses].filter(([status]) => status >= 400 && status < 500).reduce((sum, [, n]) => sum + n, 0),
    'requests',
  )
  must(
    'requests-5xx-or-none',
    wrong.reduce((sum, [, n]) => sum + n, 0),
    `requests ${wrong.map(([status]) => status).join(' ')}`.trim(),
    wrong.length === 0,
  )
  say('memory-after-a-fifth', afterFifth, 'MB')
  say('memory-after-all', await memory(), 'MB')
}

const agent = new Agent({ keepAlive: true, maxSockets: 200 })
/** As a browser asks, packed; what comes is read and not unpacked: the measured machine is the server, not this client. */
const light = (shop, method, path, body, headers = {}) =>
  new Promise((resolve, reject) => {
    const asked = request(
      {
        agent,
        host: '127.0.0.1',
        port: shop.port,
        method,
        path,
        headers: {
          'Accept-Encoding': 'gzip',
          ...(body === undefined
            ? {}
            : { 'Content-Type': 'application/json', 'Content-Length': Buffer.byteLength(body) }),
          ...headers,
        },
      },
      (answer) => {
        const chunks = []
        answer.on('data', (chunk) => chunks.push(chunk))
        answer.on('end', () =>
          resolve({ status: answer.statusCode, etag: answer.headers.etag, bytes: Buffer.concat(chunks) }),
        )
      },
    )
    asked.on('error', reject)
    asked.end(body)
  })

/** Many people at once: pages of 500 records, single records, and saves. @returns sorted times, ms, of all and of the pages */
async function load(shop, clients, seconds, ids) {
  const times = []
  const pages = []
  const until = performance.now() + seconds * 1000
  const timed = async (...asked) => {
    const began = performance.now()
    const answer = await light(shop, ...asked)
    times.push(performance.now() - began)
    return answer
  }
  const client = async (number) => {
    let etag = ''
    for (let step = number; performance.now() < until; step += 1) {
      const id = ids[(step * 7 + number) % ids.length]
      if (step % 4 === 0) {
        // It changes all the time: hardly ever is what one has still the same.
        const began = performance.now()
        etag = (await timed('GET', '/api/jobs?limit=500', undefined, { 'If-None-Match': etag })).etag
        pages.push(performance.now() - began)
      } else if (step % 10 === 1) {
        const { bytes, etag: version } = await timed('GET', `/api/jobs/${id}`)
        const { record } = JSON.parse(bytes)
        const changed = JSON.stringify({ ...record, quantity: (step % 50) + 1 })
        await timed('PUT', `/api/jobs/${id}`, changed, { 'If-Match': version })
      } else await timed('GET', `/api/jobs/${id}`)
      // A person who does this without a pause is none.
      await pause(100)
    }
  }
  await Promise.all(Array.from({ length: clients }, (_, number) => client(number)))
  const sorted = (list) => list.sort((a, b) => a - b)
  return { times: sorted(times), pages: sorted(pages) }
}

async function underLoad(shop) {
  const [job] = demo().jobs
  const ids = Array.from({ length: JOBS }, (_, index) => `load-${index}`)
  const joints = Array.from({ length: 5 }, (_, index) => ({ ...job.joints[0], id: `w-${index}` }))
  for (const id of ids) await shop.call('POST', '/api/jobs', { ...job, id, name: id, joints })
  // A server that has just started is still being compiled.
  await load(shop, CLIENTS, SHORT ? 1 : 5, ids)
  const { times, pages } = await load(shop, CLIENTS, LOAD_S, ids)
  say('load-requests', times.length, 'requests')
  say('load-p50', rounded(quantile(times, 0.5)), 'ms')
  say('load-p99', rounded(quantile(times, 0.99)), 'ms')
  say('load-page-of-500-p50', rounded(quantile(pages, 0.5)), 'ms')
  say('load-page-of-500-p99', rounded(quantile(pages, 0.99)), 'ms')

  const { times: before } = await load(shop, 5, Math.min(5, LOAD_S), ids)
  const idle = await Promise.all(
    Array.from(
      { length: IDLE },
      () =>
        new Promise((resolve, reject) => {
          const socket = connect(shop.port, '127.0.0.1', () => resolve(socket))
          socket.once('error', reject)
        }),
    ),
  )
  await pause(1000)
  const { times: beside } = await load(shop, 5, Math.min(5, LOAD_S), ids)
  for (const socket of idle) socket.destroy()
  say('idle-sockets', IDLE, 'sockets')
  say('without-idle-p99', rounded(quantile(before, 0.99)), 'ms')
  say('beside-idle-p99', rounded(quantile(beside, 0.99)), 'ms')
}

/** The largest that any valid request may be: how long does it hold up the others? */
async function blocks(shop) {
  const [job] = demo().jobs
  const welds = (count) =>
    Array.from({ length: count }, (_, index) => ({ ...job.joints[0], id: `w-${index}` }))
  const large = { ...job, id: 'largest', name: 'Largest', joints: welds(5000) }
  const document = question()
  const wire = demo().wires[0]
  const wires = Array.from({ length: 5000 }, (_, index) => ({
    ...wire,
    id: `most-${index}`,
    name: `Most ${index}`,
  }))
  const library = JSON.parse((await shop.call('GET', '/api/catalogue/library')).text)
  const empty = Object.fromEntries(
    Object.keys(library).flatMap((key) => (Array.isArray(library[key]) ? [[key, []]] : [])),
  )
  const { version } = library
  const edge = {
    ...document.job.joints[0],
    kind: 'edge',
    lengthMm: 2,
    count: 100_000,
    tackS: 0,
    repositionS: 0,
  }
  const asked = {
    'store 5000 welds': () => shop.call('POST', '/api/jobs', large),
    'read 5000 welds': () => shop.call('GET', '/api/jobs/largest'),
    'list with 5000 welds': () => shop.call('GET', '/api/jobs?limit=500'),
    'fit 5000 welds': () =>
      shop.call('POST', '/api/fit', { ...document, job: { ...document.job, joints: welds(5000) } }),
    'fit arcs without end': () =>
      shop.call('POST', '/api/fit', {
        ...document,
        job: { ...document.job, quantity: 100_000, pauseS: 0, joints: [edge] },
      }),
    'take in 5000 wires': () =>
      shop.call('POST', '/api/catalogue', {
        catalogue: { format: 'brannik-catalogue', version, ...empty, wires },
        versions: {},
      }),
    'give 5000 wires': () => shop.call('GET', '/api/catalogue'),
    'back up': () => shop.call('POST', '/api/backups', {}),
  }
  let worst = 0
  for (const [what, ask] of Object.entries(asked)) {
    await shop.metric('nodejs_eventloop_lag_max_seconds')
    await pause(100)
    await shop.metric('nodejs_eventloop_lag_max_seconds')
    const began = performance.now()
    const { status } = await ask()
    const took = performance.now() - began
    const blocked = (await shop.metric('nodejs_eventloop_lag_max_seconds')) * 1000
    worst = Math.max(worst, blocked)
    must(`status of ${what}`, status, 'status', status < 300)
    say(`time of ${what}`, rounded(took), 'ms')
    say(`block by ${what}`, rounded(blocked), 'ms')
  }
  say('longest-block', rounded(worst), 'ms')
}

/** `--short` leaves out what the browser tests try, and what wants a disk of its own. */
const PHASES = { load: underLoad, blocks, requests, kills, launched, ...(SHORT ? {} : { disk, tabs }) }

async function torture() {
  await installNpm()
  buildServer()
  const base = mkdtempSync(join(tmpdir(), 'brannik-torture-'))
  chmodSync(base, 0o755)
  const shop = new Shop(join(base, 'postgres'))
  await shop.start()
  try {
    await shop.untilReady()
    const asked = process.argv.slice(2).filter((one) => one in PHASES)
    for (const [name, phase] of Object.entries(PHASES))
      if (asked.length === 0 || asked.includes(name)) await phase(shop, base)
  } finally {
    await shop.stop()
    rmSync(base, { recursive: true, force: true })
  }
  process.exitCode = isSound ? 0 : 1
}

torture().catch((error) => {
  explain(error)
  process.exit(1)
})
