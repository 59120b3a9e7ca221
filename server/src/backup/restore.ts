/**
 * A backup back into the database: first into a new one beside it, then the two change names. What was there before
 * is backed up first, and nothing of it is touched before the new one is known to be a whole shop.
 */
import { basename } from 'node:path'
import { setTimeout as pause } from 'node:timers/promises'
import pg from 'pg'
import { COMMAND_LINE } from '../access/actor.ts'
import type { BackupSettings } from '../config.ts'
import { LIMITS } from '../limits.ts'
import { Problem } from '../problems.ts'
import { note } from '../stores/audit.ts'
import { makeBackup, type Backup } from './backup.ts'
import { checkFile, connected, type Contents, nameOfDatabase, withDatabase, withRestored } from './inspect.ts'

const COUNT = `select count(*)::int as records from record`
const HAS_RECORDS = `select to_regclass('public.record') is not null as there`
/** The database's own housekeeping ends by itself where the database gets another name. */
const OTHERS = `select count(*)::int as others from pg_stat_activity
  where datname = $1 and pid <> pg_backend_pid() and backend_type <> 'autovacuum worker'`

async function recordsIn(databaseUrl: string): Promise<number> {
  return connected(databaseUrl, async (client) => {
    const { rows } = await client.query<{ there: boolean }>(HAS_RECORDS)
    if (!rows[0]?.there) return 0
    return (await client.query<{ records: number }>(COUNT)).rows[0]?.records ?? 0
  })
}

/**
 * Whether others than this restore are connected. The process of a connection may outlast it by a moment, so that one
 * that was just closed is given time, as PostgreSQL gives it before it renames a database.
 */
async function isInUse(maintenance: pg.Client, name: string): Promise<boolean> {
  const until = performance.now() + LIMITS.leavingMs
  for (;;) {
    const { rows } = await maintenance.query<{ others: number }>(OTHERS, [name])
    if (rows[0]?.others === 0) return false
    if (performance.now() > until) return true
    await pause(50)
  }
}

export interface Restored {
  readonly contents: Contents
  /** What was there before; null where nothing was. */
  readonly before: Backup | null
}

/**
 * @param replaces whether a shop that is there may be replaced
 * @throws Problem that says what is in the way; the database is then as it was
 */
export async function restore(
  databaseUrl: string,
  file: string,
  { replaces, backups }: { readonly replaces: boolean; readonly backups: BackupSettings },
): Promise<Restored> {
  await checkFile(file)
  const had = await recordsIn(databaseUrl)
  if (had > 0 && !replaces) {
    throw new Problem(
      409,
      'There is a shop already',
      `The database holds a shop with ${had} records. To put the backup in its place (it is backed up first), say so: npm run restore -- ${file} --replace`,
    )
  }
  const name = nameOfDatabase(databaseUrl)
  const maintenance = withDatabase(databaseUrl, 'postgres')
  if (await connected(maintenance, (client) => isInUse(client, name)))
    throw new Problem(409, 'In use', 'Brannik is running on this database. Stop it, then restore.')
  return withRestored(databaseUrl, file, async (fresh, contents) => {
    const before = had > 0 ? await makeBackup(databaseUrl, backups, 'before-restore') : null
    await connected(withDatabase(databaseUrl, fresh), (client) =>
      note(client, COMMAND_LINE, {
        action: 'put a backup back',
        detail: `${basename(file)}${before ? `, in the place of ${before.name}` : ''}`,
      }),
    )
    await connected(maintenance, async (client) => {
      const [now, next, aside] = [name, fresh, `${name}_replaced_${process.pid}`].map((one) =>
        pg.escapeIdentifier(one),
      )
      // Both names change in one transaction: at no moment is there no shop.
      await client.query('begin')
      await client.query(`alter database ${now} rename to ${aside}`)
      await client.query(`alter database ${next} rename to ${now}`)
      await client.query('commit')
      await client.query(`drop database ${aside}`)
    })
    return { contents, before }
  })
}
