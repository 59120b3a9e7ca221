/** How long history and audit stay whole. The rules are the database's own functions; here is when they run. */
import type { Database } from './database.ts'

export interface RetentionSettings {
  /** Saves of one person closer together than this become one after a week, the last of them; 0: every one stays. */
  readonly saveMinutes: number
  /** After so many days only the last state of each record on each day stays; 0: never. */
  readonly historyDays: number
  /** How long lines of the audit stay; 0: always. */
  readonly auditDays: number
}

/** What somebody may still want to take back, step by step. */
const GRACE_DAYS = 7
const THIN = 'select thin_history($1, $2, $3) as gone'
/** A server that starts on an old shop does the rest the next time. */
const MOST_DAYS = 400

async function thin(database: Database, rule: string, minutes: number, days: number): Promise<number> {
  let gone = 0
  for (let day = 0; day < MOST_DAYS; day += 1) {
    const { rows } = await database.writers.query<{ gone: string | null }>(THIN, [rule, minutes, days])
    if (rows[0]?.gone === null || rows[0] === undefined) break
    gone += Number(rows[0].gone)
  }
  return gone
}

/** @returns how many rows went */
export async function retain(
  database: Database,
  { saveMinutes, historyDays, auditDays }: RetentionSettings,
): Promise<{ readonly history: number; readonly audit: number }> {
  let history = 0
  if (saveMinutes > 0) history += await thin(database, 'saves', saveMinutes, GRACE_DAYS)
  if (historyDays > 0) history += await thin(database, 'days', 0, Math.max(historyDays, GRACE_DAYS))
  if (auditDays === 0) return { history, audit: 0 }
  const { rows } = await database.writers.query<{ gone: string }>('select forget_audit($1) as gone', [
    auditDays,
  ])
  return { history, audit: Number(rows[0]?.gone ?? 0) }
}
