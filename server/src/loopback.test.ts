/** On this machine, without sign-in: open to whoever sits here, and to nobody who comes through something else. */
import { request as plainRequest } from 'node:http'
import { afterAll, beforeAll, expect, it } from 'vitest'
import { accessOf } from './config.ts'
import { startTestServer, type TestServer } from './testing.ts'

let server: TestServer
beforeAll(async () => {
  server = await startTestServer({ access: accessOf('127.0.0.1', { writesPerMinute: 5 }) })
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
  for (const header of ['X-Forwarded-For', 'Forwarded', 'Via', 'X-Forwarded-Host'])
    expect(await statusWith({ Host: '127.0.0.1', [header]: 'x' }), header).toBe(421)
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
