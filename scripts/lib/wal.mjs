/**
 * Every change as it happens, beside the backups: PostgreSQL's write-ahead log copied to another place, a base backup of the
 * whole cluster now and then, and the way back to any moment since. An option: WAL_FOLDER names the place.
 */
import {
  appendFileSync,
  chmodSync,
  existsSync,
  mkdirSync,
  readdirSync,
  renameSync,
  writeFileSync,
} from 'node:fs'
import { dirname, isAbsolute, join } from 'node:path'
import { quiet, Remedy } from './run.mjs'

const BASE = /^base-\d{4}-\d\d-\d\dT\d\d-\d\d-\d\dZ$/
const baseAt = (time) => `base-${time.toISOString().slice(0, 19).replaceAll(':', '-')}Z`
const logOf = (folder) => join(folder, 'log')

/** A path goes through a shell and through PostgreSQL's own quoting. */
function mustBePlain(folder) {
  if (isAbsolute(folder) && /^[\w./ -]+$/.test(folder)) return
  throw new Remedy(
    `WAL_FOLDER is “${folder}”; it must be a whole path of letters, digits, spaces, dots, dashes and underscores.`,
  )
}

/** @returns settings of the cluster, as `-c name=value`; none where there is no such folder */
export function archiving(folder, giveToOwner) {
  if (!folder) return []
  mustBePlain(folder)
  mkdirSync(logOf(folder), { recursive: true, mode: 0o700 })
  giveToOwner(folder, logOf(folder))
  const log = logOf(folder)
  // Whole, or not there; what is there is never written over.
  const command = `test ! -f "${log}/%f" && cp "%p" "${log}/%f.part" && sync "${log}/%f.part" && mv "${log}/%f.part" "${log}/%f"`
  return [
    '-c wal_level=replica',
    '-c archive_mode=on',
    // A quiet shop loses a minute at most.
    '-c archive_timeout=60',
    `-c archive_command='${command}'`,
  ]
}

/** @returns the newest base backup that began before that moment */
export function baseBefore(folder, time) {
  const mark = baseAt(time)
  const found = (existsSync(folder) ? readdirSync(folder) : [])
    .filter((name) => BASE.test(name) && name < mark)
    .sort()
    .at(-1)
  if (!found)
    throw new Remedy(
      `${folder} has no base backup of before ${time.toISOString()}. The oldest moment is the first base backup.`,
    )
  return join(folder, found)
}

/** Where the next one goes. */
export const newBase = (folder) => join(folder, baseAt(new Date()))

/**
 * Lays a cluster down that goes on to a moment when it is started, and then is a shop of its own: its timeline is new, so
 * pages of the old one are told that it is another.
 * @param cluster folder that is not there yet
 */
export function layDown(folder, time, cluster, giveToOwner) {
  if (existsSync(cluster))
    throw new Remedy(`${cluster} is there already. Choose another place; nothing is written over.`)
  mkdirSync(dirname(cluster), { recursive: true })
  const copied = quiet('cp', ['-a', baseBefore(folder, time), cluster])
  if (!copied.ok) throw new Remedy(`The base backup could not be copied:\n${copied.err.trim()}`)
  renameSync(join(cluster, 'brannik.password'), `${cluster}.password`)
  chmodSync(cluster, 0o700)
  appendFileSync(
    join(cluster, 'postgresql.auto.conf'),
    [
      '',
      `restore_command = 'cp "${logOf(folder)}/%f" "%p"'`,
      `recovery_target_time = '${time.toISOString().replace('Z', '+00')}'`,
      `recovery_target_action = 'promote'`,
      '',
    ].join('\n'),
  )
  const signal = join(cluster, 'recovery.signal')
  writeFileSync(signal, '', { mode: 0o600 })
  giveToOwner(signal)
}
