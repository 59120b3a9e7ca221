/** Who comes in, and how far: every route with every role, sign-in, sessions, tokens, names, origins, and what the log says. */
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { pino } from 'pino'
import { addAccount } from './access/accounts.ts'
import { ROLES, type Role } from './access/roles.ts'
import { hashOfPassword, isPassword } from './access/secrets.ts'
import { accessOf } from './config.ts'
import { inTransaction } from './database.ts'
import { type Call, caller, startTestServer, type TestServer } from './testing.ts'

const PASSWORD = 'apple press and pear'
let server: TestServer
const log: string[] = []
const people: Record<string, Call> = {}
const cookies: Record<string, string> = {}

const signIn = (name: string, password = PASSWORD) =>
  server.call('POST', '/api/sign-in', { name, password }, { Origin: server.url })

async function comeIn(name: string): Promise<string> {
  const { headers, status } = await signIn(name)
  expect(status).toBe(200)
  return (headers.get('set-cookie') ?? '').split(';')[0] ?? ''
}

beforeAll(async () => {
  server = await startTestServer({
    access: accessOf('127.0.0.1', { signIn: 'always', writesPerMinute: 100_000 }),
    logger: pino({ level: 'info' }, { write: (line: string) => log.push(line) }),
  })
  await inTransaction(server.database, async (connection) => {
    for (const role of ROLES) await addAccount(connection, { name: `The ${role}`, role, password: PASSWORD })
  })
  for (const role of ROLES) {
    cookies[role] = await comeIn(`the ${role}`)
    people[role] = caller(server.url, { Cookie: cookies[role] ?? '', Origin: server.url })
  }
})
afterAll(async () => {
  await server.close()
})

/** Written by hand from the rules of the shop, not read from the code: who writes what. */
const WRITERS: Readonly<Record<string, Role>> = {
  jobs: 'planner',
  'set-ups': 'planner',
  wires: 'planner',
  gases: 'planner',
  tungstens: 'planner',
  parts: 'planner',
  stock: 'planner',
  events: 'planner',
  'requirement-sheets': 'planner',
  decisions: 'planner',
  shop: 'owner',
  circuits: 'owner',
  'power-sources': 'owner',
  feeders: 'owner',
  guns: 'owner',
  catalogue: 'owner',
}
const OPEN = ['/api/live', '/api/ready', '/api/health', '/api/version', '/api/openapi.json', '/api/me']
const OPEN_WRITES = ['/api/sign-in', '/api/sign-out']
const OWNERS = ['/api/accounts', '/api/tokens', '/api/audit', '/metrics', '/api/backups/']
const ANYBODYS_OWN = ['/api/sign-out-everywhere', '/api/password', '/api/fit']

function shouldNeed(method: string, path: string): Role | 'anyone' {
  if (OPEN.includes(path) || OPEN_WRITES.includes(path)) return 'anyone'
  if (OWNERS.some((start) => path.startsWith(start))) return 'owner'
  if (path === '/api/backups') return method === 'get' ? 'guest' : 'owner'
  if (method === 'get' || ANYBODYS_OWN.includes(path)) return 'guest'
  return WRITERS[path.split('/')[2] ?? ''] ?? 'owner'
}

describe('every route', () => {
  it('asks the role that the shop’s rules ask', () => {
    expect(server.routes.length).toBeGreaterThan(70)
    for (const { method, path, needs } of server.routes)
      expect(`${method} ${path} ${needs}`).toBe(`${method} ${path} ${shouldNeed(method, path)}`)
  })

  it('lets in whom it should, and nobody else', async () => {
    const bare = caller(server.url, { Origin: server.url })
    for (const { method, path } of server.routes) {
      if (path === '/api/sign-out' || path === '/api/sign-out-everywhere' || path === '/api/sign-in') continue
      const needs = shouldNeed(method, path)
      const address = path.replace(/:(id|path|version|name)/g, 'no-such')
      const body = method === 'post' || method === 'put' ? {} : undefined
      const ask = async (call: Call) => (await call(method.toUpperCase(), address, body)).status
      for (const role of ROLES) {
        const may = needs === 'anyone' || ROLES.indexOf(role) >= ROLES.indexOf(needs)
        const status = await ask(people[role] as Call)
        expect(`${role} ${method} ${path}: ${status === 403}`).toBe(`${role} ${method} ${path}: ${!may}`)
        expect(status, `${role} ${method} ${path}`).not.toBe(401)
        expect(status, `${role} ${method} ${path}`).toBeLessThan(500)
      }
      const status = await ask(bare)
      expect(`nobody ${method} ${path}: ${status === 401}`).toBe(
        `nobody ${method} ${path}: ${needs !== 'anyone'}`,
      )
    }
  }, 180_000)

  it('is described in the OpenAPI document, and nothing else is', async () => {
    const { body } = await server.call('GET', '/api/openapi.json')
    const described = Object.entries(body.paths as Record<string, object>).flatMap(([path, of]) =>
      Object.keys(of)
        .filter((key) => key !== 'parameters')
        .map((method) => `${method} ${path}`),
    )
    const served = server.routes.map(({ method, path }) => `${method} ${path.replace(/:(\w+)/g, '{$1}')}`)
    expect(described.sort()).toEqual([...new Set(served)].sort())
  })
})

describe('passwords', () => {
  it('are kept by argon2id with the parameters of OWASP (Password Storage Cheat Sheet, from memory)', async () => {
    const hash = await hashOfPassword(PASSWORD)
    expect(hash).toMatch(/^\$argon2id\$v=19\$m=19456,t=2,p=1\$/)
    expect(await isPassword(PASSWORD, hash)).toBe(true)
    expect(await isPassword(`${PASSWORD}.`, hash)).toBe(false)
    expect(await isPassword(PASSWORD, null)).toBe(false)
  })

  it('too short, or a name that is taken, is told', async () => {
    const owner = people['owner'] as Call
    const short = await owner('POST', '/api/accounts', { name: 'New', role: 'guest', password: 'short' })
    expect(short.body.errors[0]).toMatchObject({ pointer: '/password' })
    const taken = await owner('POST', '/api/accounts', {
      name: 'THE GUEST',
      role: 'guest',
      password: PASSWORD,
    })
    expect(taken.status).toBe(409)
  })

  it('wrong ones make the name wait longer and longer, a right one too, and say nothing of who is there', async () => {
    const tries = []
    for (let attempt = 0; attempt < 8; attempt += 1)
      tries.push(await signIn('The welder', 'not the password'))
    const statuses = tries.map(({ status }) => status)
    expect(statuses.slice(0, 6)).toEqual(Array(6).fill(401))
    expect(statuses.at(-1)).toBe(429)
    expect(Number(tries.at(-1)?.headers.get('retry-after'))).toBeGreaterThan(0)
    expect((await signIn('The welder')).status).toBe(429)
    const stranger = await signIn('Nobody at all', 'not the password')
    expect(stranger.body.detail).toBe(tries[0]?.body.detail)
    await server.database.query('delete from sign_in_failure')
    await server.database.query(`delete from rate_window where key like 'sign-in%'`)
    expect((await signIn('The welder')).status).toBe(200)
  })

  it('many tries from one address are stopped, whatever the names', async () => {
    const statuses = []
    for (let attempt = 0; attempt < 24; attempt += 1)
      statuses.push((await signIn(`Name ${attempt}`, 'x')).status)
    expect(statuses).toContain(401)
    expect(statuses.at(-1)).toBe(429)
    await server.database.query('delete from rate_window')
  })

  it('are changed with the old one alone, and end every other session', async () => {
    const owner = people['owner'] as Call
    await owner('POST', '/api/accounts', { name: 'Changer', role: 'planner', password: PASSWORD })
    const [here, there] = [await comeIn('Changer'), await comeIn('Changer')]
    const as = (cookie: string) => caller(server.url, { Cookie: cookie, Origin: server.url })
    const change = (old: string) => as(here)('PUT', '/api/password', { old, new: 'pomace and lees 44' })
    expect((await change('wrong')).status).toBe(403)
    expect((await change(PASSWORD)).status).toBe(204)
    expect((await as(here)('GET', '/api/jobs')).status).toBe(200)
    expect((await as(there)('GET', '/api/jobs')).status).toBe(401)
    expect((await signIn('Changer')).status).toBe(401)
    expect((await signIn('Changer', 'pomace and lees 44')).status).toBe(200)
  })
})

describe('sessions', () => {
  const as = (cookie: string) => caller(server.url, { Cookie: cookie, Origin: server.url })

  it('are in a cookie out of reach of scripts and of other sites', async () => {
    const { headers } = await signIn('the guest')
    expect(headers.get('set-cookie')).toMatch(
      /^brannik=[\w-]{43}; Max-Age=2592000; Path=\/; HttpOnly; SameSite=Strict$/,
    )
  })

  it('end by signing out, here or everywhere, and with the account', async () => {
    const owner = people['owner'] as Call
    const { body: account } = await owner('POST', '/api/accounts', {
      name: 'Leaver',
      role: 'guest',
      password: PASSWORD,
    })
    const first = await comeIn('Leaver')
    expect((await as(first)('GET', '/api/me')).body).toMatchObject({ who: 'Leaver', role: 'guest' })
    expect((await as(first)('POST', '/api/sign-out', {})).status).toBe(204)
    expect((await as(first)('GET', '/api/jobs')).status).toBe(401)
    const both = [await comeIn('Leaver'), await comeIn('Leaver')]
    await as(both[0] ?? '')('POST', '/api/sign-out-everywhere', {})
    for (const cookie of both) expect((await as(cookie)('GET', '/api/jobs')).status).toBe(401)
    const last = await comeIn('Leaver')
    await owner('PUT', `/api/accounts/${account.id}`, { disabled: true })
    expect((await as(last)('GET', '/api/jobs')).status).toBe(401)
    expect((await signIn('Leaver')).status).toBe(401)
    expect((await owner('DELETE', `/api/accounts/${account.id}`)).status).toBe(204)
  })

  it('of an account that is shut out open nothing, even where they are still there', async () => {
    const owner = people['owner'] as Call
    const add = { name: 'Shut out', role: 'planner', password: PASSWORD }
    const { body: account } = await owner('POST', '/api/accounts', add)
    const cookie = await comeIn('Shut out')
    const shut = `update account set disabled = $2 where id = $1`
    await server.database.query(shut, [account.id, true])
    const sessions = 'select 1 from session where account_id = $1'
    expect((await server.database.query(sessions, [account.id])).rowCount).toBe(1)
    expect((await as(cookie)('GET', '/api/jobs')).status).toBe(401)
    expect((await signIn('Shut out')).status).toBe(401)
    // Nothing else was in the way.
    await server.database.query(shut, [account.id, false])
    expect((await as(cookie)('GET', '/api/jobs')).status).toBe(200)
    expect((await owner('DELETE', `/api/accounts/${account.id}`)).status).toBe(204)
  })

  it('nobody can read them out of the database', async () => {
    const cookie = await comeIn('the guest')
    const secret = cookie.split('=')[1] ?? ''
    const { rows } = await server.database.query('select * from session')
    expect(JSON.stringify(rows)).not.toContain(secret)
  })

  it('the last owner can neither leave nor be made less', async () => {
    const owner = people['owner'] as Call
    const { body } = await owner('GET', '/api/accounts')
    const { id } = body.items.find(({ role }: { role: string }) => role === 'owner')
    for (const change of [{ role: 'guest' }, { disabled: true }])
      expect((await owner('PUT', `/api/accounts/${id}`, change)).status).toBe(409)
    expect((await owner('DELETE', `/api/accounts/${id}`)).status).toBe(409)
    expect((await owner('GET', '/api/jobs')).status).toBe(200)
  })
})

describe('tokens', () => {
  it('let a program in as far as their role, until they are taken back', async () => {
    const owner = people['owner'] as Call
    const made = await owner('POST', '/api/tokens', { name: 'Stock counter', role: 'planner' })
    expect(made.body.secret).toMatch(/^brannik_[\w-]{43}$/)
    const program = caller(server.url, { Authorization: `Bearer ${made.body.secret}` })
    const [{ record: job }] = (await program('GET', '/api/jobs')).body.items
    const written = await program('POST', '/api/jobs', { ...job, id: 'by-program', name: 'By program' })
    expect(written.status).toBe(201)
    expect((await program('GET', '/api/audit')).status).toBe(403)
    const { body } = await owner('GET', '/api/history/jobs/by-program')
    expect(body.items[0].who).toBe('Stock counter')
    const { rows } = await server.database.query('select * from api_token')
    expect(JSON.stringify(rows)).not.toContain(made.body.secret)
    const listed = await owner('GET', '/api/tokens')
    expect(JSON.stringify(listed.body)).not.toContain('secret')
    await owner('DELETE', `/api/tokens/${made.body.id}`)
    expect((await program('GET', '/api/jobs')).status).toBe(401)
  })
})

describe('other pages and other names', () => {
  const job = async () => (await (people['owner'] as Call)('GET', '/api/jobs/press-frame')).body.record
  const post = async (headers: Record<string, string>) =>
    (
      await server.call(
        'POST',
        '/api/jobs',
        { ...(await job()), id: 'x' },
        { Cookie: cookies['owner'] ?? '', ...headers },
      )
    ).status

  it('a write with a cookie comes from a page of this server, or not at all', async () => {
    expect(await post({ Origin: 'https://elsewhere.example' })).toBe(403)
    expect(await post({ Origin: 'null' })).toBe(403)
    expect(await post({ Origin: `${server.url}0` })).toBe(403)
    expect(await post({ Origin: server.url, 'Sec-Fetch-Site': 'cross-site' })).toBe(403)
    expect(await post({})).toBe(403)
    expect(await post({ Origin: server.url })).toBe(201)
  })

  it('a name that is not ours is not answered, on loopback and beyond', () => {
    const own = accessOf('0.0.0.0', { allowedHosts: 'shop.example' })
    expect(own.allowedHosts.has('shop.example')).toBe(true)
    expect(own.allowedHosts.has('elsewhere.example')).toBe(false)
    expect(own.needsSignIn).toBe(true)
    expect(accessOf('127.0.0.1').needsSignIn).toBe(false)
    expect(accessOf('127.0.0.1', { allowedHosts: 'shop.example' }).needsSignIn).toBe(true)
    expect(accessOf('127.0.0.1', { trustsProxy: true }).needsSignIn).toBe(true)
  })
})

describe('the log', () => {
  it('has a line a request with its id, who and how long, and nothing secret', async () => {
    const owner = people['owner'] as Call
    const { headers } = await owner('GET', '/api/jobs', undefined, { 'X-Request-Id': 'from-the-proxy-7' })
    expect(headers.get('x-request-id')).toBe('from-the-proxy-7')
    const line = log.map((text) => JSON.parse(text)).find(({ req }) => req?.id === 'from-the-proxy-7')
    expect(line).toMatchObject({
      req: { method: 'GET', url: '/api/jobs' },
      who: 'The owner',
      res: { status: 200 },
      responseTime: expect.any(Number) as number,
    })
    const all = log.join('')
    expect(all).not.toContain(PASSWORD)
    expect(all).not.toContain('pomace and lees')
    expect(all).not.toContain('brannik_')
    for (const cookie of Object.values(cookies)) expect(all).not.toContain(cookie.split('=')[1])
  })

  it('problems name the request, so that the owner finds it', async () => {
    const { body, headers } = await (people['owner'] as Call)('GET', '/api/jobs/none')
    expect(body.requestId).toBe(headers.get('x-request-id'))
  })
})

describe('watching', () => {
  it('the owner sees what the server counts, by route', async () => {
    const owner = people['owner'] as Call
    await owner('GET', '/api/jobs/press-frame')
    const { body, headers } = await owner('GET', '/metrics')
    expect(headers.get('content-type')).toContain('text/plain')
    expect(body).toMatch(
      /http_request_duration_seconds_count\{method="GET",route="\/api\/jobs\/:id",status="200"\} \d/,
    )
    expect(body).toContain('nodejs_eventloop_lag_seconds')
    expect(body).toContain('database_connections')
  })

  it('says which version it is', async () => {
    expect((await server.call('GET', '/api/version')).body).toMatchObject({
      name: 'Brannik',
      version: expect.stringMatching(/^\d+\.\d+\.\d+$/) as string,
    })
  })
})
