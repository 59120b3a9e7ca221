/** `npm run user`, `npm run backup`, `npm run restore`: a command of the server's on the shop's database, running or not. */
import { join } from 'node:path'
import { buildServer } from './lib/built.mjs'
import { alreadyRuns, whoRuns } from './lib/once.mjs'
import { installNpm } from './lib/packages.mjs'
import { choosePlace, writeDownPlace } from './lib/place.mjs'
import { startPostgres } from './lib/postgres.mjs'
import { begin, explain } from './lib/run.mjs'

const COMMANDS = { user: ['user', []], backup: ['backup', ['backup']], restore: ['backup', ['restore']] }

async function tool() {
  const [name, ...args] = process.argv.slice(2)
  const [file, first] = COMMANDS[name]
  await installNpm({ isWhole: false })
  buildServer()
  const place = choosePlace()
  const given = process.env.DATABASE_URL
  const running = given ? null : whoRuns(place.folder)
  if (name === 'restore' && running) throw alreadyRuns(running)
  const cluster = given ? null : await startPostgres({ folder: place.cluster, port: 54870 })
  try {
    if (cluster) writeDownPlace(place)
    cluster?.createDatabase('brannik')
    const child = begin(
      process.execPath,
      ['--enable-source-maps', `server/dist/${file}.js`, ...first, ...args],
      {
        env: {
          DATABASE_URL: given || cluster.url('brannik'),
          BACKUP_FOLDER: process.env.BACKUP_FOLDER || join(place.folder, 'backups'),
        },
      },
    )
    return await new Promise((resolve) => child.once('exit', (code) => resolve(code ?? 1)))
  } finally {
    if (cluster && !cluster.wasRunning) await cluster.stop()
  }
}

tool().then(
  (code) => process.exit(code),
  (error) => {
    explain(error)
    process.exit(1)
  },
)
