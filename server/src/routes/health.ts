/** Two questions: does the server live, and is it ready to work? And which version is it? */
import { readFileSync } from 'node:fs'
import type { Database } from '../database.ts'
import { LIMITS } from '../limits.ts'
import { ROOT } from '../root.ts'
import { isTight } from '../room.ts'
import type { AddRoutes } from '../services.ts'

const PACKAGE = JSON.parse(readFileSync(new URL('package.json', ROOT), 'utf8')) as {
  version: string
}
export const VERSION = PACKAGE.version

/** One question to the database at a time, whoever asks; a database that is silent is not asked more and more. */
function readiness(database: Database): () => Promise<boolean> {
  let asking: Promise<boolean> | null = null
  const ask = (): Promise<boolean> =>
    database
      .query('select 1')
      .then(
        () => true,
        () => false,
      )
      .finally(() => (asking = null))
  return () => {
    asking ??= ask()
    const tooLate = new Promise<boolean>((resolve) => {
      setTimeout(resolve, LIMITS.readyMs, false).unref()
    })
    return Promise.race([asking, tooLate])
  }
}

export const healthRoutes: AddRoutes = (api, { database, room }) => {
  const isReady = readiness(database)
  api.on('get', '/live', 'anyone', (_request, response) => {
    response.json({ server: 'answers' })
  })
  for (const path of ['/ready', '/health']) {
    api.on('get', path, 'anyone', async (_request, response) => {
      const ready = await isReady()
      if (!ready) response.set('Retry-After', '2')
      response.status(ready ? 200 : 503).json({
        server: 'answers',
        database: ready ? 'answers' : 'does not answer',
        ready,
        disk: isTight(room) ? 'nearly full' : 'has room',
      })
    })
  }
  api.on('get', '/version', 'anyone', (_request, response) => {
    response.json({ name: 'Brannik', version: VERSION, node: process.versions.node })
  })
}
