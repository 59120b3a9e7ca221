/**
 * Backups by the clock: looked after every quarter of an hour, made when the latest is too old, tried out once a week by
 * putting the latest back into a scratch database. How that went is kept beside the backups, for every server.
 */
import { readFile, rename, statfs, writeFile } from 'node:fs/promises'
import { join } from 'node:path'
import type { Logger } from 'pino'
import { z } from 'zod'
import type { BackupSettings } from '../config.ts'
import { listBackups, makeBackupIfDue } from './backup.ts'
import { THE_CLOCK } from '../access/actor.ts'
import { note } from '../stores/audit.ts'
import { connected, contentsOf } from './inspect.ts'
import { BY_CLOCK } from './keep.ts'

const LOOK_MS = 900_000
/** A server that has just started has other things to do. */
const FIRST_LOOK_MS = 300_000
const HOUR_MS = 3_600_000
const TRIED_EVERY_MS = 7 * 24 * HOUR_MS

const stateSchema = z.object({
  /** Why the last attempt did not succeed; null where it did. */
  problem: z.string().nullable(),
  /** The one that was put back last to see whether it can be, and what was wrong with it. */
  tried: z.object({ name: z.string(), at: z.iso.datetime(), problem: z.string().nullable() }).nullable(),
})
export type BackupState = z.infer<typeof stateSchema>
const UNKNOWN: BackupState = { problem: null, tried: null }
const FILE = 'state.json'

/** @returns that nothing is known where there is no such file, or none that can be read */
export async function backupState({ folder }: BackupSettings): Promise<BackupState> {
  if (folder === null) return UNKNOWN
  const text = await readFile(join(folder, FILE), 'utf8').catch(() => 'null')
  try {
    return stateSchema.parse(JSON.parse(text))
  } catch {
    return UNKNOWN
  }
}
async function keepState(folder: string, state: BackupState): Promise<void> {
  const unfinished = join(folder, `.${FILE}.${process.pid}`)
  await writeFile(unfinished, JSON.stringify(state))
  await rename(unfinished, join(folder, FILE))
}

const wordsOf = (error: unknown): string => (error instanceof Error ? error.message : String(error))

/** Makes a backup where the latest is too old, and tries the latest out where none was for a week. */
export async function lookAfterBackups(
  databaseUrl: string,
  settings: BackupSettings,
  now: Date = new Date(),
): Promise<BackupState> {
  const { folder, everyHours } = settings
  if (folder === null || everyHours === 0) return UNKNOWN
  const write = (action: string, detail: string): Promise<void> =>
    connected(databaseUrl, (client) => note(client, THE_CLOCK, { action, detail: detail.slice(0, 500) }))
  let state = await backupState(settings)
  const before = JSON.stringify(state)
  try {
    const made = await makeBackupIfDue(
      databaseUrl,
      settings,
      BY_CLOCK,
      (latest) => latest === null || now.getTime() - latest.at.getTime() >= everyHours * HOUR_MS,
    )
    if (made) await write('made a backup', made.name)
    state = { ...state, problem: null }
  } catch (error) {
    state = { ...state, problem: wordsOf(error) }
  }
  const [latest] = await listBackups(folder)
  const isTryDue = state.tried === null || now.getTime() - Date.parse(state.tried.at) >= TRIED_EVERY_MS
  if (latest && isTryDue) {
    const problem = await contentsOf(databaseUrl, join(folder, latest.name)).then(() => null, wordsOf)
    state = { ...state, tried: { name: latest.name, at: now.toISOString(), problem } }
    await write('tried a backup out', problem === null ? latest.name : `${latest.name}: ${problem}`)
  }
  if (JSON.stringify(state) !== before) await keepState(folder, state)
  return state
}

/** Bytes that are free where the backups are; null where nobody knows. */
export const roomFor = ({ folder }: BackupSettings): Promise<number | null> =>
  folder === null
    ? Promise.resolve(null)
    : statfs(folder).then(
        ({ bavail, bsize }) => bavail * bsize,
        () => null,
      )

/** @returns what stops it */
export function startBackupClock(databaseUrl: string, settings: BackupSettings, logger: Logger): () => void {
  if (settings.folder === null || settings.everyHours === 0) return () => undefined
  const look = (): void => {
    lookAfterBackups(databaseUrl, settings).then(
      ({ problem, tried }) => {
        const wrong = problem ?? tried?.problem
        if (wrong) logger.error({ problem: wrong }, 'the backup by the clock failed')
      },
      (error: unknown) => {
        logger.error(error, 'the backups could not be looked after')
      },
    )
  }
  const first = setTimeout(look, FIRST_LOOK_MS).unref()
  const timer = setInterval(look, LOOK_MS).unref()
  return () => {
    clearTimeout(first)
    clearInterval(timer)
  }
}
