/** Builds the web application and the server, each unless it stands built from the same sources. */
import { createHash } from 'node:crypto'
import { readdirSync, statSync } from 'node:fs'
import { join } from 'node:path'
import { unlessMadeFrom } from './packages.mjs'
import { quiet, Remedy, ROOT } from './run.mjs'

/** The server as it is built: what starts it. */
export const SERVER = 'server/dist/main.js'

const COMMON = ['core/package.json', 'core/src', 'package-lock.json']
const WEB_SOURCES = [
  ...COMMON,
  'web/offline',
  'web/src',
  'web/public',
  'web/index.html',
  'web/vite.config.ts',
  'web/facts.ts',
  'web/offlineWorker.ts',
  'web/vuetifyStyles.ts',
]
const SERVER_SOURCES = [...COMMON, 'stand-ins/src', 'server/src', 'server/build.mjs', 'server/package.json']

function* files(path) {
  const stat = statSync(path, { throwIfNoEntry: false })
  if (!stat) return
  if (!stat.isDirectory()) yield [path, stat]
  else for (const name of readdirSync(path).sort()) yield* files(join(path, name))
}

function keyOf(sources) {
  const hash = createHash('sha256')
  for (const source of sources) {
    for (const [path, { size, mtimeMs }] of files(join(ROOT, source)))
      hash.update(`${path} ${size} ${mtimeMs}\n`)
  }
  return hash.digest('hex')
}

function build(workspace, what, sources, made) {
  unlessMadeFrom(workspace, keyOf(sources), join(ROOT, made), () => {
    process.stdout.write(`Building ${what} ...\n`)
    const done = quiet('npm', ['run', '--silent', 'build', '--workspace', workspace])
    if (!done.ok)
      throw new Remedy(
        `Brannik does not build: ${what}:\n${(done.out + done.err).trim().split('\n').slice(-20).join('\n')}`,
      )
  })
}

export const buildWeb = () => build('web', 'the web application', WEB_SOURCES, 'web/dist/index.html')
export const buildServer = () => build('server', 'the server', SERVER_SOURCES, SERVER)
