/** What is tidied now and then: answers, changes, sessions and counts that are too old to matter. */
import type { Logger } from 'pino'
import { forgetOldBrowsers } from './access/knownBrowsers.ts'
import { forgetOldCounts } from './access/rate.ts'
import { forgetOldLinks } from './access/thisMachine.ts'
import { forgetOldSessions } from './access/sessions.ts'
import type { Database } from './database.ts'
import { retain, type RetentionSettings } from './retention.ts'
import { forgetOldAnswers } from './stores/answers.ts'
import { forgetOldChanges } from './stores/changeLog.ts'

const EVERY_MS = 3_600_000

/** Forgets what is too old to matter, once. */
export async function tidy(database: Database, retention: RetentionSettings): Promise<void> {
  await forgetOldAnswers(database)
  await forgetOldChanges(database)
  await forgetOldSessions(database)
  await forgetOldCounts(database)
  await forgetOldBrowsers(database)
  await forgetOldLinks(database)
  await retain(database, retention)
}

/** @returns what stops it */
export function startUpkeep(database: Database, logger: Logger, retention: RetentionSettings): () => void {
  const timer = setInterval(() => {
    tidy(database, retention).catch((error: unknown) => {
      logger.warn(error, 'upkeep failed; it is tried again in an hour')
    })
  }, EVERY_MS)
  timer.unref()
  return () => {
    clearInterval(timer)
  }
}
