/** The life of a cluster: made whole, never made over, found again after every kind of death. */
import { execFileSync } from 'node:child_process'
import {
  chmodSync,
  chownSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  renameSync,
  rmSync,
  statSync,
  writeFileSync,
} from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { setTimeout as pause } from 'node:timers/promises'
import pg from 'pg'
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest'
import { beginningOf } from './processes.mjs'
import { startPostgres } from './postgres.mjs'

const PORT = 58870
let base
let folder
beforeAll(() => {
  base = mkdtempSync(join(tmpdir(), 'brannik-cluster-'))
  chmodSync(base, 0o755)
  folder = join(base, 'postgres')
})
afterAll(async () => {
  await (await startPostgres({ folder, port: PORT })).stop()
  rmSync(base, { recursive: true, force: true })
})

async function ask(cluster, sql) {
  const client = new pg.Client({ connectionString: cluster.url('postgres') })
  client.on('error', () => undefined)
  await client.connect()
  try {
    return (await client.query(sql)).rows
  } finally {
    await client.end()
  }
}
const start = () => startPostgres({ folder, port: PORT })
/** Whatever a start does, the row that was acknowledged is still there. */
const keepsItsRow = async (cluster) =>
  expect(await ask(cluster, 'select * from kept')).toEqual([{ what: 'the row that must not be lost' }])
const postmaster = () => Number(readFileSync(join(folder, 'postmaster.pid'), 'utf8').split('\n')[0])
const isAlive = (pid) => beginningOf(pid) !== null

it('is made whole, with checksums, and stops in order', async () => {
  const cluster = await start()
  expect(await ask(cluster, 'show data_checksums')).toEqual([{ data_checksums: 'on' }])
  expect(await ask(cluster, 'show fsync')).toEqual([{ fsync: 'on' }])
  await ask(cluster, `create table kept as select 'the row that must not be lost' as what`)
  const pid = postmaster()
  await cluster.stop()
  // It has let go of its data before the system has done away with the process.
  await vi.waitFor(() => expect(isAlive(pid)).toBe(false), 5000)
  expect(readdirSync(base).filter((name) => name.includes('making'))).toEqual([])
  // Nothing that the world may read.
  expect(statSync(`${folder}.password`).mode & 0o077).toBe(0)
})

describe('what is missing beside it is no reason to make it over', () => {
  it('the stamp of an older version', async () => {
    rmSync(`${folder}.made`, { force: true })
    const cluster = await start()
    await keepsItsRow(cluster)
    await cluster.stop()
  })

  it('the password: it gets a new one', async () => {
    rmSync(`${folder}.password`)
    const cluster = await start()
    await keepsItsRow(cluster)
    await cluster.stop()
  })

  it('the right password', async () => {
    writeFileSync(`${folder}.password`, 'not-the-one')
    const cluster = await start()
    await keepsItsRow(cluster)
    await cluster.stop()
  })

  it('the log', async () => {
    rmSync(`${folder}.log`, { force: true })
    const cluster = await start()
    await keepsItsRow(cluster)
    await cluster.stop()
  })
})

describe('a folder that holds something else', () => {
  it('is left as it is, and the start says what it found', async () => {
    const other = join(base, 'other')
    mkdirSync(other)
    writeFileSync(join(other, 'holiday.txt'), 'pictures')
    await expect(startPostgres({ folder: other, port: PORT })).rejects.toThrow('holiday.txt')
    expect(readdirSync(other)).toEqual(['holiday.txt'])
  })

  it('a cluster that lost its PG_VERSION is left as it is', async () => {
    renameSync(join(folder, 'PG_VERSION'), join(base, 'PG_VERSION'))
    const before = readdirSync(folder)
    await expect(start()).rejects.toThrow('PG_VERSION is missing')
    expect(readdirSync(folder)).toEqual(before)
    renameSync(join(base, 'PG_VERSION'), join(folder, 'PG_VERSION'))
    const cluster = await start()
    await keepsItsRow(cluster)
    await cluster.stop()
  })

  it('of another version of PostgreSQL: which one to install', async () => {
    const other = join(base, 'newer')
    mkdirSync(other)
    writeFileSync(join(other, 'PG_VERSION'), '99\n')
    await expect(startPostgres({ folder: other, port: PORT })).rejects.toThrow('postgresql-99')
  })
})

describe('after a death of every kind it starts in one step', () => {
  it('killed with everything else', async () => {
    await start()
    process.kill(postmaster(), 'SIGKILL')
    const began = performance.now()
    const cluster = await start()
    await keepsItsRow(cluster)
    expect(performance.now() - began).toBeLessThan(20_000)
    await cluster.stop()
  })

  it('with its number given to another program', async () => {
    const cluster = await start()
    const pid = postmaster()
    process.kill(pid, 'SIGKILL')
    while (isAlive(pid)) await pause(20)
    const file = join(folder, 'postmaster.pid')
    const lines = readFileSync(file, 'utf8').split('\n')
    // This process lives, and is no database.
    writeFileSync(file, [process.pid, ...lines.slice(1)].join('\n'))
    const again = await start()
    await keepsItsRow(again)
    await again.stop()
    expect(cluster.port).toBeGreaterThan(0)
  })

  it('with a mark that says nothing', async () => {
    const file = join(folder, 'postmaster.pid')
    writeFileSync(file, '')
    const cluster = await start()
    await keepsItsRow(cluster)
    await cluster.stop()
  })

  it('left running by a start that was killed: it is gone on with', async () => {
    const first = await start()
    const second = await start()
    expect([second.wasRunning, second.port]).toEqual([true, first.port])
    await keepsItsRow(second)
    await second.stop()
    await second.stop()
  })
})

it('a folder that the user of the database may not enter is said, and no other is taken', async () => {
  if (process.getuid() !== 0) return
  const locked = join(base, 'locked')
  mkdirSync(locked, { mode: 0o700 })
  chownSync(locked, 0, 0)
  await expect(startPostgres({ folder: join(locked, 'postgres'), port: PORT })).rejects.toThrow(
    'may not enter',
  )
  expect(readdirSync(locked)).toEqual([])
})

it('a place where nothing can be made is said plainly', async () => {
  await expect(startPostgres({ folder: '/dev/null/postgres', port: PORT })).rejects.toThrow('BRANNIK_DATA')
})

it('what its log says is the reason, with a remedy', async () => {
  const conf = join(folder, 'postgresql.conf')
  const text = readFileSync(conf, 'utf8')
  writeFileSync(conf, `${text}\nno_such_setting = on\n`)
  await expect(start()).rejects.toThrow('no_such_setting')
  await expect(start()).rejects.not.toThrow('move')
  writeFileSync(conf, text)
  const cluster = await start()
  await keepsItsRow(cluster)
  await cluster.stop()
  expect(execFileSync('ls', [base], { encoding: 'utf8' })).not.toContain('making')
})
