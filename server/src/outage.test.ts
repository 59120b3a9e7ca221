import { afterAll, beforeAll, expect, it } from 'vitest'
import { startTestServer, type TestServer } from './testing.ts'

let server: TestServer
beforeAll(async () => {
  server = await startTestServer()
})
afterAll(async () => {
  await server.close().catch(() => undefined)
})

it('a database that goes away is said so, and comes back without a restart of the server', async () => {
  await server.database.query(
    'select pg_terminate_backend(pid) from pg_stat_activity where datname = current_database() and pid <> pg_backend_pid()',
  )
  const again = await server.call('GET', '/api/jobs')
  expect([200, 503]).toContain(again.status)
  expect((await server.call('GET', '/api/jobs')).status).toBe(200)
})

it('without a database health is 503 and a write is told that nothing was stored', async () => {
  await server.database.end()
  const health = await server.call('GET', '/api/health')
  expect(health.status).toBe(503)
  expect(health.body.database).toBe('does not answer')
})
