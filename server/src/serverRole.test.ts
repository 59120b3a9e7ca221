/** The server's own role: what it may not do however it is talked into it, and what it still does. */
import pg from 'pg'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { roleOfServer, urlOfServer } from './serverRole.ts'
import { startTestServer, type TestServer } from './testing.ts'

let server: TestServer
let asServer: pg.Client
beforeAll(async () => {
  server = await startTestServer()
  asServer = new pg.Client({ connectionString: urlOfServer(server.databaseUrl)?.href })
  await asServer.connect()
})
afterAll(async () => {
  await asServer.end()
  await server.close()
})

const refusal = async (sql: string): Promise<string> => {
  try {
    await asServer.query(sql)
    return 'done'
  } catch (error) {
    await asServer.query('rollback')
    return (error as { code: string }).code
  }
}
/** SQLSTATE insufficient_privilege. */
const MAY_NOT = '42501'

describe('the role of the server', () => {
  it.each([
    'alter table record_history disable trigger only_grows',
    'alter table record disable trigger all',
    'alter table audit disable trigger user',
    'drop trigger only_grows on event',
    `set session_replication_role = replica`,
    `update record_history set who = 'somebody else'`,
    `update audit set who = 'somebody else'`,
    `update event set body = '{}'`,
    'delete from record_history',
    'delete from audit',
    'delete from event',
    'truncate audit',
    'truncate record_history',
    'truncate event',
    'drop table audit',
    `delete from schema_migration`,
    'update retention_mark set until = now()',
    'create table mine (a int)',
    'create or replace function refuse_change() returns trigger language plpgsql as $$ begin return old; end $$',
    'create role more superuser',
    'create database another',
    `alter role brannik password 'x'`,
    `copy record to program 'cat'`,
    'set role brannik',
  ])('may not: %s', async (sql) => {
    expect(await refusal(sql)).toBe(MAY_NOT)
  })

  it('may not talk its way round the rule of retention either', async () => {
    await asServer.query(`begin; set local brannik.retention = 'on'`)
    expect(await refusal('delete from audit')).toBe(MAY_NOT)
  })

  it('still writes, and what it writes is in the history', async () => {
    const [{ record }] = (await server.call('GET', '/api/jobs')).body.items
    expect((await server.call('POST', '/api/jobs', { ...record, id: 'by-role' })).status).toBe(201)
    const { rows } = await server.database.query(
      `select usename from pg_stat_activity where datname = current_database() and usename like '%_server'`,
    )
    expect(rows.length).toBeGreaterThan(0)
    expect((await server.call('GET', '/api/history/jobs/by-role')).body.items).toHaveLength(1)
  })

  it('is made once: servers that start at once, and again, find the same one', async () => {
    const made = await Promise.all(
      Array.from({ length: 6 }, () => roleOfServer(server.database, server.databaseUrl)),
    )
    expect(new Set(made.map(({ url }) => url))).toEqual(new Set([urlOfServer(server.databaseUrl)?.href]))
    expect(made.every(({ ownerWhy }) => ownerWhy === null)).toBe(true)
  })

  it('is the owner’s where there is no password to make one of, and that is said', async () => {
    const bare = new URL(server.databaseUrl)
    bare.password = ''
    const { url, ownerWhy } = await roleOfServer(server.database, bare.href)
    expect([url, ownerWhy]).toEqual([bare.href, 'DATABASE_URL has no password'])
  })
})
