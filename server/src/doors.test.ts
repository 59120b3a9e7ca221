/** Who comes in, and how far: every route with every role, sign-in, sessions, tokens, names, origins, and what the log says. */
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { pino } from 'pino'
import { addAccount } from './access/accounts.ts'
import { unlock } from './access/rate.ts'
import { ROLES, type Role } from './access/roles.ts'
import { hashOfPassword, isPassword } from './access/secrets.ts'
import { accessOf } from './config.ts'
import { inTransaction } from './database.ts'
import { LIMITS } from './limits.ts'
import { type Call, caller, startTestServer, type TestServer } from './testing.ts'

const PASSWORD = 'apple press and pear'
let server: TestServer
const log: string[] = []
const people: Record<string, Call> = {}
const cookies: Record<string, string> = {}

const signIn = (name: string, password = PASSWORD) =>
  server.call('POST', '/api/sign-in', { name, password }, { Origin: server.url })

async function comeIn(name: string): Promise<string> {
  // All come from one address here, more of them in a minute than anybody may.
  await server.database.query(`delete from rate_window where key like 'sign-in%'`)
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
  cylinders: 'planner',
  spools: 'planner',
  suppliers: 'planner',
  supplier: 'planner',
  offers: 'planner',
  orders: 'planner',
  quotes: 'planner',
  welders: 'planner',
  'work-plans': 'planner',
  events: 'welder',
  'present-set-ups': 'welder',
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
  })

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

  it('that are easy to guess are refused: too short, common, blank, repeated, or the name (NIST SP 800-63B)', async () => {
    const owner = people['owner'] as Call
    const ask = async (password: string) => {
      const made = await owner('POST', '/api/accounts', { name: 'Rosalind Harrow', role: 'guest', password })
      return [made.status, made.body.errors?.[0]?.message ?? '']
    }
    for (const [password, why] of [
      ['fourteen chars', 'shorter than 15'],
      [' '.repeat(20), 'blanks'],
      ['passwordpassword', 'easy'],
      ['password12345678', 'easy'],
      ['qwertyuiopasdfgh', 'easy'],
      ['aaaaaaaaaaaaaaaaaaaa', 'easy'],
      ['rosalind harrow', 'easy'],
      ['Tollgate Orchard', 'easy'],
      ['brannikbrannik1', 'easy'],
    ] as const)
      expect([password, await ask(password)]).toEqual([password, [422, expect.stringContaining(why)]])
    // Fifteen characters are enough, a hundred are allowed, and there are no rules of composition.
    expect(await ask('pear must barrel')).toEqual([201, ''])
    const long = 'q8-hazel-lathe-'.repeat(7)
    expect(
      (await owner('POST', '/api/accounts', { name: 'Lengthy', role: 'guest', password: long })).status,
    ).toBe(201)
  })

  it('typed on another keyboard are the same: letters composed or not', async () => {
    const hash = await hashOfPassword('p\u00e9ar must barrel')
    expect(await isPassword('pe\u0301ar must barrel', hash)).toBe(true)
    expect(await isPassword('pear must barrel', hash)).toBe(false)
  })

  it('a wrong old one stands in the audit', async () => {
    const guest = people['guest'] as Call
    await server.database.query('delete from sign_in_failure')
    expect((await guest('PUT', '/api/password', { old: 'no', new: PASSWORD })).status).toBe(403)
    const { body } = await (people['owner'] as Call)('GET', '/api/audit')
    expect(body.items[0]).toMatchObject({ who: 'The guest', action: 'gave a wrong old password' })
    expect(body.items[0].actorId).toMatch(/^[0-9a-f-]{36}$/)
    await server.database.query('delete from sign_in_failure')
  })

  it('wrong ones make the name wait longer and longer, a right one too, and say nothing of who is there', async () => {
    const tries = []
    for (let attempt = 0; attempt < 8; attempt += 1)
      tries.push(await signIn('The welder', 'not the password'))
    const statuses = tries.map(({ status }) => status)
    expect(statuses.slice(0, 5)).toEqual(Array(5).fill(401))
    expect(statuses.at(-1)).toBe(429)
    expect(Number(tries.at(-1)?.headers.get('retry-after'))).toBeGreaterThan(0)
    expect((await signIn('The welder')).status).toBe(429)
    const stranger = await signIn('Nobody at all', 'not the password')
    expect(stranger.body.detail).toBe(tries[0]?.body.detail)
    await server.database.query('delete from sign_in_failure')
    await server.database.query(`delete from rate_window where key like 'sign-in%'`)
    expect((await signIn('The welder')).status).toBe(200)
  })

  it('of sixty guesses at once no more are looked at than one after the other', async () => {
    const tries = await Promise.all(
      Array.from({ length: 60 }, (_, guess) => signIn('The planner', `guess number ${guess}`)),
    )
    expect(tries.filter(({ status }) => status === 401)).toHaveLength(LIMITS.freeFailures)
    expect(tries.filter(({ status }) => status === 429)).toHaveLength(60 - LIMITS.freeFailures)
    await server.database.query('delete from sign_in_failure; delete from rate_window')
  })

  it('of a stranger keep nobody out elsewhere, nor in a browser that was let in before', async () => {
    const proxied = await startTestServer({ access: accessOf('127.0.0.1', { trustsProxy: true }) })
    await inTransaction(proxied.database, (connection) =>
      addAccount(connection, { name: 'Hazel', role: 'owner', password: PASSWORD }),
    )
    const tryFrom = (address: string, password: string, headers = {}) =>
      proxied.call(
        'POST',
        '/api/sign-in',
        { name: 'Hazel', password },
        { Origin: proxied.url, 'X-Forwarded-For': address, ...headers },
      )
    const first = await tryFrom('10.0.0.7', PASSWORD)
    const known = first.headers.getSetCookie().find((one) => one.startsWith('brannik-known='))
    expect(known).toMatch(/HttpOnly/)
    const Cookie = known?.split(';')[0] ?? ''
    // A stranger at the same address and at another: she comes in from a third, and at hers by her browser.
    for (const address of ['10.0.0.7', '10.0.0.66'])
      for (let guess = 0; guess < 7; guess += 1) await tryFrom(address, 'not the password')
    // However long that took: the wait is not over yet.
    await proxied.database.query(`update sign_in_failure set last_at = now() + interval '1 hour'`)
    expect((await tryFrom('10.0.0.7', PASSWORD)).status).toBe(429)
    expect((await tryFrom('10.0.0.66', PASSWORD)).status).toBe(429)
    expect((await tryFrom('10.0.0.8', PASSWORD)).status).toBe(200)
    const again = await tryFrom('10.0.0.7', PASSWORD, { Cookie })
    expect(again.status).toBe(200)
    // It is known already.
    expect(again.headers.getSetCookie().filter((one) => one.startsWith('brannik-known='))).toEqual([])
    // A cookie that was taken along guesses no more than anybody.
    const guesses = await Promise.all(
      Array.from({ length: 7 }, () => tryFrom('10.0.0.9', 'not the password', { Cookie })),
    )
    expect(guesses.map(({ status }) => status).sort()).toEqual([401, 401, 401, 401, 401, 429, 429])
    expect(await unlock(proxied.database, 'hazel')).toBe(true)
    expect((await tryFrom('10.0.0.66', PASSWORD)).status).toBe(200)
    expect(await unlock(proxied.database, 'h%')).toBe(false)
    await proxied.close()
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
    expect(headers.getSetCookie()[0]).toMatch(
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
  const made = async (by: Call, wanted: object) => {
    const { status, body } = await by('POST', '/api/tokens', { role: 'planner', ...wanted })
    expect(status).toBe(201)
    return { id: body.id as string, call: caller(server.url, { Authorization: `Bearer ${body.secret}` }) }
  }
  const statusOf = async ({ call }: { readonly call: Call }) => (await call('GET', '/api/jobs')).status
  /** A stream of changes, until it ends. */
  const listening = async (headers: Record<string, string>) => {
    const response = await fetch(`${server.url}/api/changes`, { headers })
    const reader = response.body?.getReader()
    const first = await reader?.read()
    expect(new TextDecoder().decode(first?.value)).toContain('retry:')
    const over = async () => {
      for (;;) if ((await reader?.read())?.done !== false) return 'ended'
    }
    // In an object: a promise would be waited for along with this one.
    return { over: over() }
  }

  it('end at their time, a year where none is said', async () => {
    const owner = people['owner'] as Call
    const token = await made(owner, { name: 'Short', days: 1 })
    const { rows } = await server.database.query(
      'select extract(day from expires_at - created_at)::int as days from api_token where id = $1',
      [token.id],
    )
    expect(rows).toEqual([{ days: 1 }])
    expect(await statusOf(token)).toBe(200)
    await server.database.query(
      `update api_token set expires_at = now() - interval '1 second' where id = $1`,
      [token.id],
    )
    expect(await statusOf(token)).toBe(401)
    const year = await owner('POST', '/api/tokens', { name: 'Long', role: 'guest' })
    expect(Date.parse(year.body.expiresAt) - Date.now()).toBeGreaterThan(364 * 86_400_000)
    for (const days of [0, 3651, 1.5, '7'])
      expect((await owner('POST', '/api/tokens', { name: 'Odd', role: 'guest', days })).status).toBe(422)
  })

  it('end with the account that made them, when it is shut out, loses its role, or is taken away', async () => {
    const owner = people['owner'] as Call
    for (const [name, end] of [
      ['Shut', (id: string) => owner('PUT', `/api/accounts/${id}`, { disabled: true })],
      ['Lowered', (id: string) => owner('PUT', `/api/accounts/${id}`, { role: 'planner' })],
      ['Taken', (id: string) => owner('DELETE', `/api/accounts/${id}`)],
    ] as const) {
      const account = await owner('POST', '/api/accounts', { name, role: 'owner', password: PASSWORD })
      const maker = caller(server.url, { Cookie: await comeIn(name), Origin: server.url })
      const token = await made(maker, { name: `By ${name}`, role: 'owner' })
      // What the token has made ends with it.
      const child = await made(token.call, { name: `Below ${name}` })
      expect([await statusOf(token), await statusOf(child)]).toEqual([200, 200])
      expect((await end(account.body.id)).status).toBeLessThan(300)
      expect([name, await statusOf(token), await statusOf(child)]).toEqual([name, 401, 401])
      const listed = (await owner('GET', '/api/tokens')).body.items as { name: string }[]
      expect(listed.map((one) => one.name)).not.toContain(`By ${name}`)
    }
  })

  it('taken back, end with all that they made', async () => {
    const owner = people['owner'] as Call
    const parent = await made(owner, { name: 'Parent', role: 'owner' })
    const child = await made(parent.call, { name: 'Child', role: 'owner' })
    const grandchild = await made(child.call, { name: 'Grandchild' })
    expect(await statusOf(grandchild)).toBe(200)
    await owner('DELETE', `/api/tokens/${parent.id}`)
    expect([await statusOf(child), await statusOf(grandchild)]).toEqual([401, 401])
  })

  it('for some kinds of records reach no others, nor anything that is no record', async () => {
    const owner = people['owner'] as Call
    const { call } = await made(owner, { name: 'Counter', role: 'owner', kinds: ['stock', 'wires'] })
    const ask = async (path: string) => (await call('GET', path)).status
    expect(await ask('/api/stock')).toBe(200)
    expect(await ask('/api/wires')).toBe(200)
    expect(await ask('/api/history/wires/er70s6-035')).toBe(200)
    for (const path of [
      '/api/jobs',
      '/api/whole',
      '/api/accounts',
      '/api/tokens',
      '/api/audit',
      '/api/deleted',
    ])
      expect([path, await ask(path)]).toEqual([path, 403])
    expect(await ask('/api/history/jobs/press-frame')).toBe(403)
    expect((await call('POST', '/api/tokens', { name: 'More', role: 'owner' })).status).toBe(403)
    const wrong = await owner('POST', '/api/tokens', { name: 'Odd', role: 'guest', kinds: ['accounts'] })
    expect(wrong.body.errors[0].message).toContain('stock')
  })

  it('and sessions that end take the streams of changes with them, and no others', async () => {
    const owner = people['owner'] as Call
    await owner('POST', '/api/accounts', { name: 'Listener', role: 'guest', password: PASSWORD })
    const cookie = await comeIn('Listener')
    const stays = await listening({ Cookie: await comeIn('The guest') })
    let isOver = false
    void stays.over.then(() => (isOver = true))
    const token = await owner('POST', '/api/tokens', { name: 'Heard', role: 'guest' })
    const [bySession, byToken] = [
      await listening({ Cookie: cookie }),
      await listening({ Authorization: `Bearer ${token.body.secret}` }),
    ]
    await caller(server.url, { Cookie: cookie, Origin: server.url })('POST', '/api/sign-out', {})
    expect(await bySession.over).toBe('ended')
    await owner('DELETE', `/api/tokens/${token.body.id}`)
    expect(await byToken.over).toBe('ended')
    const again = await listening({ Cookie: await comeIn('Listener') })
    const { items } = (await owner('GET', '/api/accounts')).body as { items: { id: string; name: string }[] }
    const { id } = items.find(({ name }) => name === 'Listener') ?? {}
    await owner('PUT', `/api/accounts/${id}`, { disabled: true })
    expect(await again.over).toBe('ended')
    expect(isOver).toBe(false)
  })

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

describe('names', () => {
  const account = async (name: string) =>
    (people['owner'] as Call)('POST', '/api/accounts', { name, role: 'guest', password: PASSWORD })
  const token = async (name: string) =>
    (people['owner'] as Call)('POST', '/api/tokens', { name, role: 'guest' })

  it('are not those that the history has for who has no account, in any disguise', async () => {
    for (const name of [
      'this machine',
      'This  Machine'.replace('  ', ' '),
      'command line',
      'Brannik',
      'nobody',
      'n\u043ebody', // Cyrillic o
      '\uff42rannik', // full width b
    ]) {
      const { status, body } = await account(name)
      expect([name, status, body.errors?.[0]?.message]).toEqual([
        name,
        422,
        expect.stringContaining('choose'),
      ])
      expect((await token(name)).status).toBe(422)
    }
  })

  it('have no characters that nobody sees', async () => {
    for (const name of [
      'Ann\u200b', // zero width space
      'A\u00adnn', // soft hyphen
      '\u202eAnn', // right-to-left override
      'Ann\u2060Lee', // word joiner
      'Ann\u3164', // Hangul filler
      'Ann\u2800', // braille blank
      'Ann\u00a0Lee', // no-break space
      'Ann\tLee',
      'Ann  Lee',
      '\u0301',
      '---',
    ])
      expect([name, (await account(name)).status]).toEqual([name, 422])
    for (const name of [
      'Ann-Marie O\u2019Neill',
      'J\u00fcrgen Fa\u00dfbender 2',
      '\u038c\u03bc\u03b7\u03c1\u03bf\u03c2',
    ])
      expect([name, (await account(name)).status]).toEqual([name, 201])
  })

  it('look like no other, of an account or of a program', async () => {
    expect((await account('Harald Pope')).status).toBe(201)
    for (const name of [
      'harald pope',
      'Harald P\u043epe', // Cyrillic o
      'Hara1d Pope',
      'H\u0430r\u0430ld Pope', // Cyrillic a
      '\uff28arald Pope', // full width H
    ]) {
      expect([name, (await account(name)).status]).toEqual([name, 409])
      expect([name, (await token(name)).status]).toEqual([name, 409])
    }
    const counter = await token('Gate counter')
    expect(counter.status).toBe(201)
    expect((await account('Gate c\u043eunter')).status).toBe(409)
    // A program that gets a new token keeps its name.
    await (people['owner'] as Call)('DELETE', `/api/tokens/${counter.body.id}`)
    expect((await token('Gate counter')).status).toBe(201)
  })

  it('are not identities: history, events and audit say who it was, and a namesake is somebody else', async () => {
    const owner = people['owner'] as Call
    const write = async (name: string, key: string) => {
      const made = await owner('POST', '/api/accounts', { name, role: 'planner', password: PASSWORD })
      const call = caller(server.url, { Cookie: await comeIn(name), Origin: server.url })
      const [{ record: wire }] = (await call('GET', '/api/wires')).body.items
      const stored = await call(
        'POST',
        '/api/wires',
        { ...wire, id: `of-${key}`, name: key },
        { 'Idempotency-Key': 'same' },
      )
      expect(stored.status).toBe(201)
      const seen = (await call('GET', '/api/stock/gas.argon')).body
      await call(
        'PUT',
        '/api/stock/gas.argon',
        { ...seen.record, amount: 1234 },
        { 'If-Match': server.etag(seen.version) },
      )
      return { id: made.body.id as string, key }
    }
    const first = await write('Wanda', 'one')
    await owner('DELETE', `/api/accounts/${first.id}`)
    const second = await write('Wanda', 'two')
    expect(second.id).not.toBe(first.id)
    for (const { id, key } of [first, second])
      expect((await owner('GET', `/api/history/wires/of-${key}`)).body.items[0]).toMatchObject({
        who: 'Wanda',
        actorId: id,
        actorKind: 'account',
      })
    const { rows } = await server.database.query(
      `select who, actor_kind, actor_id = $1 as hers from event order by seq desc limit 1`,
      [second.id],
    )
    expect(rows).toEqual([{ who: 'Wanda', actor_kind: 'account', hers: true }])
    const program = await token('Wand reader')
    await caller(server.url, { Authorization: `Bearer ${program.body.secret}` })('GET', '/api/jobs')
    await caller(server.url, { Authorization: `Bearer ${program.body.secret}` })(
      'GET',
      '/api/jobs/press-frame',
    )
    const { body } = await owner('GET', '/api/audit')
    const uses = body.items.filter((one: { actorId: string }) => one.actorId === program.body.id)
    expect(uses.map((one: { action: string; detail: string }) => `${one.action}: ${one.detail}`)).toEqual([
      'used a token in a new way: read jobs',
    ])
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
    expect(accessOf('127.0.0.1')).toMatchObject({ needsSignIn: false, thisMachine: 'link' })
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
