/**
 * Backups: the whole database as one file of pg_dump's custom format, written beside the data and kept for some days.
 * A backup that is on its way has another name, so that a file with a backup's name is always whole.
 */
import { spawn } from 'node:child_process'
import { existsSync } from 'node:fs'
import { copyFile, mkdir, open, readdir, rename, rm, stat } from 'node:fs/promises'
import { basename, dirname, join } from 'node:path'
import pg from 'pg'
import type { BackupSettings } from '../config.ts'
import { properties } from '../faults.ts'
import { Problem } from '../problems.ts'
import { toForget } from './keep.ts'

export interface Backup {
  readonly name: string
  readonly at: Date
  readonly bytes: number
  /** Why it was made: by hand, before a migration, before a restore. */
  readonly why: string
}

const NAME = /^brannik-(\d{4}-\d{2}-\d{2}T\d{2}-\d{2}-\d{2})(-\d{3})?Z-([a-z-]+)\.dump$/
export const isBackupName = (name: string): boolean => NAME.test(name)

const PACKAGED = '/usr/lib/postgresql'

/** A client program of PostgreSQL, the newest that Debian's packages left here; else whatever the path finds. */
async function clientProgram(name: string): Promise<string> {
  const versions = existsSync(PACKAGED) ? await readdir(PACKAGED) : []
  const found = versions
    .filter((version) => existsSync(join(PACKAGED, version, 'bin', name)))
    .sort((a, b) => Number(b) - Number(a))[0]
  return found === undefined ? name : join(PACKAGED, found, 'bin', name)
}

/** The password goes by the environment: what stands on a command line everybody on the machine can read. */
function connectionOf(databaseUrl: string): { args: string[]; env: Record<string, string> } {
  const url = new URL(databaseUrl)
  const password = decodeURIComponent(url.password)
  url.password = ''
  return { args: [`--dbname=${url.href}`], env: password ? { PGPASSWORD: password } : {} }
}

/**
 * @param databaseUrl null where it only looks at a file
 * @returns what it printed, its last two million characters
 * @throws Problem with the last words of the program where it fails or is not there
 */
export async function runClient(
  name: string,
  databaseUrl: string | null,
  args: readonly string[],
): Promise<string> {
  const { args: connection, env } = databaseUrl === null ? { args: [], env: {} } : connectionOf(databaseUrl)
  const program = await clientProgram(name)
  const child = spawn(program, [...connection, ...args], {
    env: { ...process.env, ...env, LC_ALL: 'C' },
    stdio: ['ignore', 'pipe', 'pipe'],
  })
  let said = ''
  let told = ''
  child.stdout.on('data', (chunk) => (said = `${said}${chunk}`.slice(-2_000_000)))
  child.stderr.on('data', (chunk) => (told = `${told}${chunk}`.slice(-2000)))
  const status = await new Promise<number | string>((resolve) => {
    child.once('error', (error) => {
      resolve(error.message)
    })
    child.once('close', (code, signal) => {
      resolve(code ?? signal ?? 1)
    })
  })
  if (status === 0) return said
  throw new Problem(
    503,
    `${name} failed`,
    typeof status === 'string'
      ? `${name} could not be run: ${status}. Install PostgreSQL’s client programs (Debian: postgresql-client).`
      : `${name} ended with ${status}: ${told.trim().split('\n').slice(-3).join(' ')}`,
  )
}

async function sync(path: string): Promise<void> {
  const handle = await open(path, 'r')
  try {
    await handle.sync()
  } finally {
    await handle.close()
  }
}

/** Takes a name that nothing has: a backup is never written over another one. */
async function claim(file: string): Promise<void> {
  try {
    await (await open(file, 'wx', 0o600)).close()
  } catch (error) {
    if (properties(error).code === 'EEXIST')
      throw new Problem(
        409,
        'Already there',
        `${file} is there already. Choose another name, or take it away first.`,
      )
    throw error
  }
}

/** Writes a backup to a file that is not there yet: whole, or not at all. */
export async function backUpTo(databaseUrl: string, file: string): Promise<void> {
  const unfinished = join(dirname(file), `.${basename(file)}.${process.pid}.unfinished`)
  await mkdir(dirname(file), { recursive: true, mode: 0o700 })
  await claim(file)
  let isWhole = false
  try {
    // The counts of requests are nobody's records.
    await runClient('pg_dump', databaseUrl, [
      '--format=custom',
      '--no-owner',
      '--no-privileges',
      '--exclude-table-data=rate_window',
      '--exclude-table-data=sign_in_failure',
      '--exclude-table-data=change_log',
      `--file=${unfinished}`,
    ])
    await mustList(unfinished)
    await sync(unfinished)
    await rename(unfinished, file)
    await sync(dirname(file))
    isWhole = true
  } finally {
    await rm(unfinished, { force: true })
    if (!isWhole) await rm(file, { force: true })
  }
}

/** Latest first; what is not a backup's name is left alone. */
export async function listBackups(folder: string | null): Promise<readonly Backup[]> {
  if (folder === null || !existsSync(folder)) return []
  const names = (await readdir(folder)).filter(isBackupName)
  const backups = await Promise.all(
    names.map(async (name) => {
      const [, time = '', thousandths = '', why = ''] = NAME.exec(name) ?? []
      const [day, clock = ''] = time.split('T')
      const at = new Date(`${day}T${clock.replaceAll('-', ':')}${thousandths.replace('-', '.')}Z`)
      return { name, at, bytes: (await stat(join(folder, name))).size, why }
    }),
  )
  return backups.sort((a, b) => b.at.getTime() - a.at.getTime())
}

/** Takes away backups that are too old; the latest stays, however old it is. */
async function forgetOld(folder: string, keepDays: number): Promise<void> {
  for (const { name } of toForget(await listBackups(folder), keepDays, new Date()))
    await rm(join(folder, name))
}

/** That its table of contents can be read, and names the records: a file that was cut off has none. */
async function mustList(file: string): Promise<void> {
  const listed = await runClient('pg_restore', null, ['--list', file])
  if (!/TABLE DATA public record /.test(listed))
    throw new Problem(
      503,
      'The backup is no good',
      `${file} was written, and its contents do not name the records.`,
    )
}

/** The same file in another place: whole, or not at all. */
async function copyTo(folder: string, from: string): Promise<void> {
  const file = join(folder, basename(from))
  const unfinished = join(folder, `.${basename(from)}.${process.pid}.unfinished`)
  try {
    await mkdir(folder, { recursive: true, mode: 0o700 })
    await copyFile(from, unfinished)
    await sync(unfinished)
    await rename(unfinished, file)
    await mustList(file)
  } catch (error) {
    await rm(unfinished, { force: true }).catch(() => undefined)
    const why = error instanceof Error ? error.message : ''
    throw new Problem(
      503,
      'No second copy',
      `The backup ${from} is made, but not copied to ${folder}: ${why}`,
    )
  }
}

/** Any fixed number: two backups at once take turns, also from two servers. */
const LOCK = 4_870_002

/**
 * Makes a backup in the folder of backups, and a copy in the second one where there is one.
 * @param why small letters and hyphens
 * @param isDue asked once it is its turn
 * @returns null where it was not due any more
 * @throws Problem also where only the copy could not be made
 */
export async function makeBackupIfDue(
  databaseUrl: string,
  { folder, keepDays, secondFolder }: BackupSettings,
  why: string,
  isDue: (latest: Backup | null) => boolean,
): Promise<Backup | null> {
  if (folder === null)
    throw new Problem(503, 'No place for backups', 'Set BACKUP_FOLDER to a folder, and start again.')
  const turn = new pg.Client({ connectionString: databaseUrl, connectionTimeoutMillis: 5000 })
  turn.on('error', () => undefined)
  await turn.connect()
  try {
    await turn.query('select pg_advisory_lock($1)', [LOCK])
    // Another server may have made one meanwhile.
    if (!isDue((await listBackups(folder))[0] ?? null)) return null
    const time = new Date().toISOString().replaceAll(/[:.]/g, '-')
    const name = `brannik-${time}-${why}.dump`
    const file = join(folder, name)
    await backUpTo(databaseUrl, file)
    await forgetOld(folder, keepDays)
    if (secondFolder !== null) {
      await copyTo(secondFolder, file)
      await forgetOld(secondFolder, keepDays)
    }
    const made = (await listBackups(folder)).find((one) => one.name === name)
    if (!made) throw new Error(`the backup ${name} is not there`)
    return made
  } finally {
    await turn.end().catch(() => undefined)
  }
}

export async function makeBackup(
  databaseUrl: string,
  settings: BackupSettings,
  why: string,
): Promise<Backup> {
  const made = await makeBackupIfDue(databaseUrl, settings, why, () => true)
  if (!made) throw new Error('a backup that is always due was not made')
  return made
}
