/** On this machine, without sign-in: open to whoever sits here, and to nobody who comes through something else. */
import { request as plainRequest } from 'node:http'
import { connect } from 'node:net'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { makeLink } from './access/thisMachine.ts'
import { accessOf } from './config.ts'
import { startTestServer, type TestServer } from './testing.ts'

let server: TestServer
beforeAll(async () => {
  server = await startTestServer({
    access: accessOf('127.0.0.1', { thisMachine: 'open', writesPerMinute: 5 }),
  })
})
afterAll(async () => {
  await server.close()
})

/** `fetch` does not let a test set Host. */
const statusWith = (headers: Record<string, string>): Promise<number> =>
  new Promise((resolve, reject) => {
    plainRequest(`${server.url}/api/jobs`, { headers }, (response) => {
      response.resume()
      resolve(response.statusCode ?? 0)
    })
      .on('error', reject)
      .end()
  })

it('is open without sign-in, and says so', async () => {
  expect((await server.call('GET', '/api/me')).body).toMatchObject({
    who: 'this machine',
    role: 'owner',
    needsSignIn: false,
    hasOwner: false,
  })
})

it('answers as loopback alone, by name, by address, and never through a proxy', async () => {
  expect(await statusWith({ Host: 'localhost:1' })).toBe(200)
  expect(await statusWith({ Host: '[::1]:4870' })).toBe(200)
  expect(await statusWith({ Host: 'attacker.example' })).toBe(421)
  expect(await statusWith({ Host: '127.0.0.1.attacker.example' })).toBe(421)
  for (const header of [
    'X-Forwarded-For',
    'X-Forwarded-Proto',
    'X-Forwarded-Host',
    'X-Forwarded-Server',
    'X-Original-URL',
    'X-Real-IP',
    'X-Client-IP',
    'X-Cluster-Client-IP',
    'X-ProxyUser-Ip',
    'X-Envoy-External-Address',
    'True-Client-IP',
    'CF-Connecting-IP',
    'CF-Ray',
    'CDN-Loop',
    'Client-IP',
    'Remote-User',
    'Forwarded',
    'Via',
  ])
    expect([header, await statusWith({ Host: '127.0.0.1', [header]: 'x' })]).toEqual([header, 421])
  // What browsers and programs send of themselves.
  for (const header of ['X-Request-Id', 'X-Requested-With', 'DNT', 'Sec-GPC', 'Origin', 'Referer'])
    expect([header, await statusWith({ Host: '127.0.0.1', [header]: 'x' })]).toEqual([header, 200])
})

it('two names in one request are refused, whichever of them is right', async () => {
  const ask = (names: readonly string[]): Promise<string> =>
    new Promise((resolve, reject) => {
      const socket = connect(Number(new URL(server.url).port), '127.0.0.1', () => {
        const hosts = names.map((name) => `Host: ${name}\r\n`).join('')
        socket.write(`GET /api/jobs HTTP/1.1\r\n${hosts}Connection: close\r\n\r\n`)
      })
      let heard = ''
      socket.on('data', (chunk) => (heard += String(chunk)))
      socket.on('end', () => resolve(heard.split(' ')[1] ?? ''))
      socket.on('error', reject)
    })
  expect(await ask(['127.0.0.1'])).toBe('200')
  expect(await ask(['127.0.0.1', 'attacker.example'])).toBe('400')
  expect(await ask(['attacker.example', '127.0.0.1'])).toBe('400')
  expect(await ask(['127.0.0.1', '127.0.0.1'])).toBe('400')
})

describe('by the link that the start prints', () => {
  let closed: TestServer
  beforeAll(async () => {
    closed = await startTestServer({ access: accessOf('127.0.0.1') })
  })
  afterAll(async () => {
    await closed.close()
  })
  const follow = async (path: string) => {
    const response = await fetch(`${closed.url}${path}`, { redirect: 'manual' })
    expect([response.status, response.headers.get('location')]).toEqual([302, '/'])
    return response.headers.getSetCookie()[0] ?? null
  }
  const jobs = async (headers: Record<string, string> = {}) =>
    (await closed.call('GET', '/api/jobs', undefined, headers)).status

  it('a bare proxy, which adds nothing and has no link, gets nobody in', async () => {
    expect(await jobs()).toBe(401)
    expect((await closed.call('POST', '/api/accounts', {})).status).toBe(401)
    const { body } = await closed.call('GET', '/api/me')
    expect(body).toMatchObject({ role: null, needsSignIn: false, needsLink: true })
  })

  it('one browser is let in, once, for as long as it keeps what it was given', async () => {
    const link = await makeLink(closed.database)
    const given = await follow(link)
    expect(given).toMatch(/^brannik-here-\d+=[\w-]{43}; .*HttpOnly; .*SameSite=Strict/)
    const Cookie = given?.split(';')[0] ?? ''
    expect(await jobs({ Cookie })).toBe(200)
    expect((await closed.call('GET', '/api/me', undefined, { Cookie })).body).toMatchObject({
      who: 'this machine',
      role: 'owner',
      needsLink: false,
    })
    expect(await follow(link)).toBeNull()
    expect(await jobs({ Cookie: `${Cookie.slice(0, -2)}xx` })).toBe(401)
    const { rows } = await closed.database.query('select * from machine_browser, machine_link')
    expect(JSON.stringify(rows)).not.toContain(Cookie.split('=')[1])
  })

  it('is good for a day, and made up it is none', async () => {
    const link = await makeLink(closed.database)
    await closed.database.query(`update machine_link set made_at = now() - interval '25 hours'`)
    expect(await follow(link)).toBeNull()
    expect(await follow(`/here/${'x'.repeat(43)}`)).toBeNull()
  })

  it('is nothing where everybody signs in', async () => {
    const signed = await startTestServer({ access: accessOf('127.0.0.1', { signIn: 'always' }) })
    const link = await makeLink(signed.database)
    const response = await fetch(`${signed.url}${link}`, { redirect: 'manual' })
    expect(response.headers.getSetCookie()).toEqual([])
    await signed.close()
  })
})

it('a token that is none is refused, though nobody need show one', async () => {
  for (const authorization of ['Bearer nonsense', 'Basic eDp5', 'Bearer '])
    expect((await server.call('GET', '/api/jobs', undefined, { Authorization: authorization })).status).toBe(
      401,
    )
})

it('there is no password to change, and that is said', async () => {
  const { status, body } = await server.call('PUT', '/api/password', { old: 'x', new: 'long enough now' })
  expect(status).toBe(409)
  expect(body.detail).toContain('nobody has signed in')
})

it('the first owner is made here', async () => {
  const made = await server.call('POST', '/api/accounts', {
    name: 'Owner',
    role: 'owner',
    password: 'cider by the barrel',
  })
  expect(made.status).toBe(201)
  expect((await server.call('GET', '/api/me')).body.hasOwner).toBe(true)
})

it('writes have a measure, and reading goes on', async () => {
  const statuses = []
  for (let index = 0; index < 8; index += 1)
    statuses.push((await server.call('POST', '/api/jobs', {})).status)
  expect(statuses).toContain(422)
  expect(statuses.at(-1)).toBe(429)
  const last = await server.call('DELETE', '/api/jobs/x', undefined, { 'If-Match': server.etag(1) })
  expect(last.status).toBe(429)
  expect(Number(last.headers.get('retry-after'))).toBeGreaterThan(0)
  expect((await server.call('GET', '/api/jobs')).status).toBe(200)
})
