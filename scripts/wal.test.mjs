/** The drill of docs/operations.md: a shop that is archived, a mistake, and the shop as it was a moment before it. */
import { mkdtempSync, chmodSync, readdirSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { setTimeout as pause } from 'node:timers/promises'
import pg from 'pg'
import { afterAll, expect, it } from 'vitest'
import { freePort, layDownCluster, startPostgres } from './lib/postgres.mjs'
import { baseBefore, newBase } from './lib/wal.mjs'

const home = mkdtempSync(join(tmpdir(), 'brannik-wal-'))
chmodSync(home, 0o755)
const walFolder = join(home, 'wal folder')
const clusters = []
afterAll(async () => {
  for (const cluster of clusters) await cluster.stop()
  rmSync(home, { recursive: true, force: true })
})

const start = async (name) => {
  const cluster = await startPostgres({
    folder: join(home, name, 'postgres'),
    port: await freePort(58_300),
    walFolder: name === 'shop' ? walFolder : '',
  })
  clusters.push(cluster)
  return cluster
}
const ask = async (cluster, sql) => {
  const client = new pg.Client({ connectionString: cluster.url('brannik') })
  await client.connect()
  try {
    return (await client.query(sql)).rows
  } finally {
    await client.end()
  }
}
const PLACE = `select substr(pg_walfile_name(pg_current_wal_lsn()), 1, 8) as timeline`

it('brings the shop back to the moment before a mistake, as a shop of its own, and touches nothing of the one that runs', async () => {
  const shop = await start('shop')
  shop.createDatabase('brannik')
  await ask(shop, `create table weld (name text)`)
  await ask(shop, `insert into weld values ('before the base')`)
  shop.baseBackup(newBase(walFolder))
  await ask(shop, `insert into weld values ('after the base')`)
  // The marks of moments are whole seconds.
  await pause(1500)
  const [{ now: moment }] = await ask(shop, 'select clock_timestamp() as now')
  await ask(shop, `delete from weld`)
  await ask(shop, `insert into weld values ('the mistake')`)
  const [{ file }] = await ask(shop, `select pg_walfile_name(pg_switch_wal()) as file`)
  await expect.poll(() => readdirSync(join(walFolder, 'log')), { timeout: 30_000 }).toContain(file)
  layDownCluster(walFolder, moment, join(home, 'again', 'postgres'))
  const again = await start('again')
  const names = async (of) => (await ask(of, 'select name from weld order by name')).map(({ name }) => name)
  expect(await names(again)).toEqual(['after the base', 'before the base'])
  expect(await names(shop)).toEqual(['the mistake'])
  await expect
    .poll(async () => (await ask(again, 'select pg_is_in_recovery() as still'))[0].still, { timeout: 30_000 })
    .toBe(false)
  await ask(again, `insert into weld values ('goes on')`)
  // By its timeline the server knows that it is another shop, see 013_epoch.sql.
  expect((await ask(again, PLACE))[0].timeline).not.toBe((await ask(shop, PLACE))[0].timeline)
  expect(() => layDownCluster(walFolder, moment, join(home, 'again', 'postgres'))).toThrow('there already')
})

it('of before the first base backup there is no moment, and a folder that a shell would read is refused', async () => {
  expect(() => baseBefore(walFolder, new Date('2020-01-01'))).toThrow('no base backup of before')
  await expect(
    startPostgres({ folder: join(home, 'odd', 'postgres'), port: 58_400, walFolder: '/tmp/a"; rm -rf b' }),
  ).rejects.toThrow('WAL_FOLDER')
})
