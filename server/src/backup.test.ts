/** The drill: back up, destroy, restore, compare every row. And all that a restore refuses to do. */
import { execFile } from 'node:child_process'
import { once } from 'node:events'
import { mkdir, mkdtemp, readdir, readFile, rename, rm, utimes, writeFile } from 'node:fs/promises'
import { Socket } from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { promisify } from 'node:util'
import pg from 'pg'
import { afterAll, beforeAll, expect, it } from 'vitest'
import { backUpTo, isBackupName, listBackups, makeBackup } from './backup/backup.ts'
import { restore } from './backup/restore.ts'
import { inTransaction, openDatabase, type Database } from './database.ts'
import { backupState, lookAfterBackups, roomFor } from './backup/clock.ts'
import { contentsOf } from './backup/inspect.ts'
import { migrate, newestMigration } from './migrate.ts'
import { seed } from './seed.ts'
import { epochNow } from './stores/epoch.ts'
import { emptyDatabase } from './testing.ts'

const ROOT = fileURLToPath(new URL('../../', import.meta.url))
let url: string
let drop: () => Promise<void>
let folder: string
beforeAll(async () => {
  const made = await emptyDatabase()
  url = made.url
  drop = made.drop
  folder = await mkdtemp(join(tmpdir(), 'brannik-drill-'))
})
afterAll(async () => {
  await drop()
  await rm(folder, { recursive: true, force: true })
})

const settings = () => ({
  folder: join(folder, 'backups'),
  secondFolder: null,
  everyHours: 24,
  keepDays: 30,
  migrateWithout: false,
})

async function withDatabase<T>(work: (database: Database) => Promise<T>): Promise<T> {
  const database = openDatabase(url)
  try {
    return await work(database)
  } finally {
    await database.end()
  }
}

/** Every row of every table, as text, in an order that does not depend on how they are stored; restores write theirs. */
const everything = () =>
  withDatabase(async (database) => {
    const { rows: tables } = await database.query<{ name: string }>(
      `select table_name as name from information_schema.tables
        where table_schema = 'public' and table_type = 'BASE TABLE' order by 1`,
    )
    const all: Record<string, unknown> = {}
    for (const { name } of tables) {
      if (['rate_window', 'sign_in_failure', 'change_log'].includes(name)) continue
      const { rows } = await database.query(
        `select t::text as line from "${name}" t where t::text not like '%put a backup back%' order by 1`,
      )
      all[name] = rows
    }
    return all
  })

it('the drill', async () => {
  await withDatabase(async (database) => {
    await migrate(database)
    await seed(database)
    await inTransaction(
      database,
      async (connection) => {
        await connection.query(
          `update record set body = body || '{"note": "ünïcode ✓"}', version = version + 1 where kind = 'job'`,
        )
        await connection.query(`delete from record where kind = 'job' and id = 'loader-fork'`)
      },
      { who: 'the drill', id: null, kind: null },
    )
  })
  const before = await everything()
  expect(Object.keys(before)).toEqual(
    expect.arrayContaining(['record', 'record_history', 'audit', 'account']),
  )
  const file = join(folder, 'drill.dump')
  await backUpTo(url, file)
  expect(await readdir(folder)).toEqual(['drill.dump'])

  await withDatabase((database) => database.query('drop schema public cascade; create schema public'))
  expect(Object.keys(await everything())).toEqual([])

  const done = await restore(url, file, { replaces: false, backups: settings() })
  expect(done.before).toBeNull()
  expect(await everything()).toEqual(before)
  // What was kept is guarded as before.
  await withDatabase((database) =>
    expect(database.query('delete from record_history')).rejects.toThrow('only grows'),
  )
})

it('a shop that is there is replaced only when told so, and is backed up first', async () => {
  const file = join(folder, 'other.dump')
  await backUpTo(url, file)
  await withDatabase((database) =>
    database.query(
      `update record set body = body || '{"note": "after the backup"}', version = version + 1 where kind = 'job'`,
    ),
  )
  const newer = await everything()
  await expect(restore(url, file, { replaces: false, backups: settings() })).rejects.toThrow('--replace')
  expect(await everything()).toEqual(newer)
  const done = await restore(url, file, { replaces: true, backups: settings() })
  expect(done.before?.name).toMatch(/-before-restore\.dump$/)
  expect(JSON.stringify(await everything())).not.toContain('after the backup')
  await restore(url, join(settings().folder, done.before?.name ?? ''), {
    replaces: true,
    backups: settings(),
  })
  expect(await everything()).toEqual(newer)
})

it('a restore waits for a connection that is on its way out', async () => {
  const file = join(folder, 'leaving.dump')
  await backUpTo(url, file)
  const before = await everything()
  const socket = new Socket()
  const client = new pg.Client({ connectionString: url, stream: () => socket })
  client.on('error', () => undefined)
  await client.connect()
  const isAsleep = once(client, 'notice')
  const cut = client.query(`do $$ begin raise notice 'asleep'; perform pg_sleep(0.7); end $$`)
  await isAsleep
  socket.destroy()
  await expect(cut).rejects.toThrow('terminated')
  // Its process at the database ends only when the query does.
  await restore(url, file, { replaces: true, backups: settings() })
  expect(await everything()).toEqual(before)
})

it('a backup is never written over another file, and a failed one leaves none', async () => {
  const file = join(folder, 'taken.dump')
  await writeFile(file, 'mine')
  await expect(backUpTo(url, file)).rejects.toThrow('there already')
  expect(await readFile(file, 'utf8')).toBe('mine')
  const nowhere = new URL(url)
  nowhere.pathname = '/no_such_database'
  await expect(backUpTo(nowhere.href, join(folder, 'failed.dump'))).rejects.toThrow('pg_dump ended')
  expect((await readdir(folder)).filter((name) => name.includes('failed'))).toEqual([])
  const place = join(folder, 'at-once')
  const names = await Promise.all(
    [1, 2, 3].map(() => makeBackup(url, { ...settings(), folder: place }, 'by-hand')),
  )
  expect(new Set(names.map(({ name }) => name)).size).toBe(3)
})

it('what is no backup, or is cut off, changes nothing', async () => {
  const before = await everything()
  const file = join(folder, 'broken.dump')
  await writeFile(file, 'no backup at all')
  await expect(restore(url, file, { replaces: true, backups: settings() })).rejects.toThrow('no backup')
  await expect(
    restore(url, join(folder, 'not-there'), { replaces: true, backups: settings() }),
  ).rejects.toThrow('cannot be read')
  await writeFile(file, 'PGDMP and then nothing')
  await expect(restore(url, file, { replaces: true, backups: settings() })).rejects.toThrow(
    'pg_restore ended',
  )
  expect(await everything()).toEqual(before)
})

/** A backup of a database that is made here, and gone again. */
async function dumpOf(sql: string, from?: string): Promise<string> {
  const made = await emptyDatabase()
  const file = join(folder, `${new URL(made.url).pathname.slice(1)}.dump`)
  if (from !== undefined) await restore(made.url, from, { replaces: false, backups: settings() })
  const database = openDatabase(made.url)
  await database.query(sql)
  await database.end()
  await backUpTo(made.url, file)
  await made.drop()
  return file
}

it('what holds no whole shop is not put in the place of one', async () => {
  const before = await everything()
  const whole = join(folder, 'whole.dump')
  await backUpTo(url, whole)
  const refused = async (file: string, words: string) => {
    await expect(restore(url, file, { replaces: true, backups: settings() })).rejects.toThrow(words)
    await expect(contentsOf(url, file)).rejects.toThrow(words)
    expect(await everything()).toEqual(before)
  }
  await mkdir(settings().folder, { recursive: true })
  const place = (await readdir(settings().folder)).length
  await refused(
    await dumpOf('create table record (id text)'),
    'the tables schema_migration, record_history, audit, account are missing',
  )
  await refused(
    await dumpOf(`insert into schema_migration (number, name) values (9000, 'later')`, whole),
    'newer version',
  )
  await refused(await dumpOf(`delete from record_reference; delete from record`, whole), 'no shop has begun')
  // Nothing was replaced, so nothing was backed up before that.
  expect((await readdir(settings().folder)).length).toBe(place)
})

it('a backup says what is in it, and a restore is written down and renews the word of the shop', async () => {
  await withDatabase(migrate)
  const word = await withDatabase(epochNow)
  const file = join(folder, 'told.dump')
  await backUpTo(url, file)
  const found = await contentsOf(url, file)
  expect(found).toMatchObject({
    shop: 'Tollgate Orchard Works',
    epoch: word,
    schema: await newestMigration(),
  })
  const { rows } = await withDatabase((database) =>
    database.query<{ count: number }>(`select count(*)::int as count from record where kind = 'job'`),
  )
  expect(found.counts).toContainEqual(['job', rows[0]?.count])
  await restore(url, file, { replaces: true, backups: settings() })
  await withDatabase(async (database) => {
    const last = await database.query(`select who, action, detail from audit order by seq desc limit 1`)
    expect(last.rows).toMatchObject([
      {
        who: 'command line',
        action: 'put a backup back',
        detail: expect.stringMatching(/^told\.dump, in the place of /),
      },
    ])
    await migrate(database)
    const renewed = await epochNow(database)
    expect(renewed).not.toBe(word)
    const told = await database.query(`select type, body from event order by seq desc limit 1`)
    expect(told.rows).toEqual([{ type: 'shop-restored', body: { epoch: renewed } }])
    await migrate(database)
    expect(await epochNow(database)).toBe(renewed)
  })
})

it('one of an older version goes back as well: what is written down of it needs nothing newer', async () => {
  const made = await emptyDatabase()
  try {
    const database = openDatabase(made.url)
    await migrate(database, 14)
    await database.query(
      `insert into record (kind, id, body, schema_version) values ('shop', 'tollgate', '{"id":"tollgate","name":"Tollgate"}', 1)`,
    )
    await database.end()
    const file = join(folder, 'older.dump')
    await backUpTo(made.url, file)
    const { contents } = await restore(made.url, file, { replaces: true, backups: settings() })
    expect(contents.schema).toBe(14)
    const again = openDatabase(made.url)
    await migrate(again)
    const { rows } = await again.query('select action, who, actor_id from audit order by seq desc limit 1')
    expect(rows).toEqual([{ action: 'put a backup back', who: 'command line', actor_id: null }])
    await again.end()
  } finally {
    await made.drop()
  }
})

it('the clock makes one when the latest is too old, copies it, and tries it out once a week', async () => {
  const [place, second] = [join(folder, 'clock'), join(folder, 'share')]
  const clock = { ...settings(), folder: place, secondFolder: second }
  const at = (hours: number): Date => new Date(Date.now() + hours * 3_600_000)
  const look = (hours: number) => lookAfterBackups(url, clock, at(hours))
  const first = await look(0)
  expect(first).toMatchObject({ problem: null, tried: { problem: null } })
  const [one] = await listBackups(place)
  expect(one?.why).toBe('by-clock')
  expect((await listBackups(second)).map(({ name }) => name)).toEqual([one?.name])
  expect(first.tried?.name).toBe(one?.name)
  const written = await withDatabase((database) =>
    database.query(`select who, via, action, detail from audit where via = 'the clock' order by seq`),
  )
  expect(written.rows).toEqual([
    { who: 'Brannik', via: 'the clock', action: 'made a backup', detail: one?.name },
    { who: 'Brannik', via: 'the clock', action: 'tried a backup out', detail: one?.name },
  ])
  // Two servers, and nothing is due.
  await Promise.all([look(23), look(23)])
  expect(await listBackups(place)).toHaveLength(1)
  expect(await backupState(clock)).toEqual(first)
  // A day later it is due for both, and made once.
  const yesterday = at(-25).toISOString().replaceAll(/[:.]/g, '-')
  await rename(join(place, one?.name ?? ''), join(place, `brannik-${yesterday}-by-clock.dump`))
  await Promise.all([look(0), look(0)])
  expect(await listBackups(place)).toHaveLength(2)
  // A week later the latest is tried, and found to be broken.
  const [latest] = await listBackups(place)
  await writeFile(join(place, latest?.name ?? ''), 'PGDMP, and then the disk died')
  const late = await lookAfterBackups(url, { ...clock, everyHours: 1000 }, at(8 * 24))
  expect(late.tried).toMatchObject({
    name: latest?.name,
    problem: expect.stringContaining('pg_restore ended'),
  })
})

it('a place that cannot be written to is told, and the next success forgets it', async () => {
  const place = join(folder, 'told')
  const taken = join(folder, 'taken-by-a-file')
  await writeFile(taken, 'no folder')
  const clock = { ...settings(), folder: place, secondFolder: taken }
  const failed = await lookAfterBackups(url, clock)
  expect(failed.problem).toContain(`not copied to ${taken}`)
  // The first copy is there all the same.
  expect(await listBackups(place)).toHaveLength(1)
  expect((await lookAfterBackups(url, { ...clock, secondFolder: null })).problem).toBeNull()
  expect(await lookAfterBackups(url, { ...clock, everyHours: 0 })).toEqual({ problem: null, tried: null })
  expect(await roomFor(clock)).toBeGreaterThan(0)
  expect(await roomFor({ ...clock, folder: join(folder, 'not there') })).toBeNull()
})

it('while Brannik runs on the database a restore is refused', async () => {
  const database = openDatabase(url)
  await database.query('select 1')
  await expect(
    restore(url, join(folder, 'drill.dump'), { replaces: true, backups: settings() }),
  ).rejects.toThrow('Stop it')
  await database.end()
})

it('old backups go, the latest stays, and other files are left alone', async () => {
  const place = join(folder, 'old')
  await makeBackup(url, { ...settings(), folder: place }, 'by-hand')
  const old = 'brannik-2020-01-02T03-04-05Z-by-hand.dump'
  for (const name of [old, 'mine.dump', 'brannik-notes.txt']) {
    await writeFile(join(place, name), 'x')
    await utimes(join(place, name), 0, 0)
  }
  await makeBackup(url, { ...settings(), folder: place }, 'before-migration')
  const names = await readdir(place)
  expect(names).not.toContain(old)
  expect(names).toEqual(expect.arrayContaining(['mine.dump', 'brannik-notes.txt']))
  expect((await listBackups(place)).map(({ why }) => why)).toEqual(['before-migration', 'by-hand'])
  expect(isBackupName('../brannik-2020-01-02T03-04-05Z-by-hand.dump')).toBe(false)
})

it('from the command line: accounts, a backup and back again', async () => {
  const run = async (script: string, args: readonly string[], input = '') => {
    const running = promisify(execFile)(process.execPath, [`server/dist/${script}.js`, ...args], {
      cwd: ROOT,
      env: { ...process.env, DATABASE_URL: url, BACKUP_FOLDER: settings().folder, INIT_CWD: folder },
    })
    running.child.stdin?.end(input)
    return running.then(
      ({ stdout }) => stdout.trim(),
      (error: { stderr: string }) => error.stderr.trim(),
    )
  }
  expect(await run('user', ['list'])).toBe('There are no accounts yet.')
  expect(await run('user', ['add', 'Owner', '--role', 'owner'], 'short\n')).toContain(
    'shorter than 15 characters',
  )
  expect(await run('user', ['add', 'Owner', '--role', 'king'], 'long enough now\n')).toContain(
    'must be one of',
  )
  expect(await run('user', ['add', 'Owner', '--role', 'owner'], 'long enough now\n')).toBe(
    'Owner is in as owner.',
  )
  expect(await run('user', ['remove', 'Owner'])).toContain('without an owner')
  expect(await run('user', ['role', 'Nobody', '--role', 'guest'])).toContain('no account called')
  expect(await run('user', [])).toContain('npm run user -- add NAME')
  expect(await run('backup', ['backup', 'here.dump'])).toBe(
    `The shop is backed up: ${join(folder, 'here.dump')}`,
  )
  expect(await run('backup', ['restore', 'here.dump'])).toContain('--replace')
  expect(await run('backup', ['restore', 'here.dump', '--replace'])).toContain('The shop is back')
  expect(await run('user', ['list'])).toBe('Owner  owner')
})
