/**
 * `npm run torture`: kills, hostile requests, load, idle connections and the largest valid questions, on a server and
 * a database of their own. One line of JSON a figure; the exit is 1 where something was lost, died or answered 5xx.
 * `--short` is what `npm test` runs; `load`, `blocks`, `requests` or `kills` alone by their names.
 */
import { mkdtempSync, chmodSync, readFileSync, rmSync } from 'node:fs'
import { Agent, request } from 'node:http'
import { connect } from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { setTimeout as pause } from 'node:timers/promises'
import { buildServer, SERVER } from './lib/built.mjs'
import { installNpm } from './lib/packages.mjs'
import { freePort, startPostgres } from './lib/postgres.mjs'
import { begin, explain, ROOT } from './lib/run.mjs'

const SHORT = process.argv.includes('--short')
const KILLS = SHORT ? 6 : 200
const REQUESTS = SHORT ? 1500 : 50_000
const LOAD_S = SHORT ? 3 : 20
const CLIENTS = 50
const JOBS = SHORT ? 100 : 500
const IDLE = SHORT ? 200 : 1500

let isSound = true
const say = (figure, value, unit) =>
  process.stdout.write(`${JSON.stringify({ figure: `torture-${figure}`, value, unit })}\n`)
/** A figure that must be as it is wanted. */
function must(figure, value, unit, isRight) {
  say(figure, value, unit)
  if (isRight) return
  isSound = false
  process.stdout.write(`FAULT ${figure} is ${value} ${unit}\n`)
}
const quantile = (sorted, share) =>
  sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * share))] ?? 0
const rounded = (number) => Math.round(number * 10) / 10

class Shop {
  constructor(folder) {
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
        LOG_LEVEL: 'silent',
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

/** Server and database are killed in the middle of writing, in turn; what was acknowledged must be there. */
async function kills(shop) {
  const [job] = demo().jobs
  const acknowledged = new Map()
  let isOver = false
  let count = 0
  const writers = Array.from({ length: 4 }, async (_, writer) => {
    while (!isOver) {
      count += 1
      const id = `kill-${writer}-${count}`
      const answer = await shop.call('POST', '/api/jobs', { ...job, id, name: id }).catch(() => null)
      if (answer?.status === 201) acknowledged.set(id, true)
      if (!answer || answer.status >= 500) await pause(10)
    }
  })
  const recoveries = []
  let died = 0
  for (let kill = 0; kill < KILLS; kill += 1) {
    await pause(100 + Math.random() * 200)
    const isDatabase = kill % 2 === 1
    const began = performance.now()
    if (isDatabase) await shop.killDatabase()
    else await shop.killServer()
    await shop.untilReady()
    recoveries.push(performance.now() - began)
    if (isDatabase && !shop.isAlive) {
      died += 1
      await shop.startServer()
    }
  }
  isOver = true
  await Promise.all(writers)
  const stored = new Set()
  let after = ''
  do {
    const { items, next } = JSON.parse((await shop.call('GET', `/api/jobs?limit=500${after}`)).text)
    for (const { record } of items) stored.add(record.id)
    after = next === null ? '' : `&after=${next}`
  } while (after !== '')
  const lost = [...acknowledged.keys()].filter((id) => !stored.has(id))
  recoveries.sort((a, b) => a - b)
  say('kills', KILLS, 'kills')
  say('acknowledged-writes', acknowledged.size, 'writes')
  must('lost-writes', lost.length, 'writes', lost.length === 0 && acknowledged.size > KILLS)
  must('server-died-with-database', died, 'times', died === 0)
  say('recovery-median', rounded(quantile(recoveries, 0.5)), 'ms')
  say('recovery-worst', rounded(recoveries.at(-1)), 'ms')
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

/** Many people at once: lists, single records, and saves. @returns sorted times, ms */
async function load(shop, clients, seconds, ids) {
  const times = []
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
        etag = (await timed('GET', '/api/jobs', undefined, { 'If-None-Match': etag })).etag
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
  return times.sort((a, b) => a - b)
}

async function underLoad(shop) {
  const [job] = demo().jobs
  const ids = Array.from({ length: JOBS }, (_, index) => `load-${index}`)
  const joints = Array.from({ length: 5 }, (_, index) => ({ ...job.joints[0], id: `w-${index}` }))
  for (const id of ids) await shop.call('POST', '/api/jobs', { ...job, id, name: id, joints })
  // A server that has just started is still being compiled.
  await load(shop, CLIENTS, SHORT ? 1 : 5, ids)
  const times = await load(shop, CLIENTS, LOAD_S, ids)
  say('load-requests', times.length, 'requests')
  say('load-p50', rounded(quantile(times, 0.5)), 'ms')
  say('load-p99', rounded(quantile(times, 0.99)), 'ms')

  const before = await load(shop, 5, Math.min(5, LOAD_S), ids)
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
  const beside = await load(shop, 5, Math.min(5, LOAD_S), ids)
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

const PHASES = { load: underLoad, blocks, requests, kills }

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
      if (asked.length === 0 || asked.includes(name)) await phase(shop)
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
