/** Builds the web application, unless it stands built from the same sources. */
import { createHash } from 'node:crypto'
import { readdirSync, statSync } from 'node:fs'
import { join } from 'node:path'
import { unlessMadeFrom } from './packages.mjs'
import { quiet, Remedy, ROOT } from './run.mjs'

const SOURCES = [
  'core/package.json',
  'core/src',
  'web/src',
  'web/public',
  'web/index.html',
  'web/vite.config.ts',
  'package-lock.json',
]

function* files(path) {
  const stat = statSync(path, { throwIfNoEntry: false })
  if (!stat) return
  if (!stat.isDirectory()) yield [path, stat]
  else for (const name of readdirSync(path).sort()) yield* files(join(path, name))
}

function sourcesKey() {
  const hash = createHash('sha256')
  for (const source of SOURCES) {
    for (const [path, { size, mtimeMs }] of files(join(ROOT, source)))
      hash.update(`${path} ${size} ${mtimeMs}\n`)
  }
  return hash.digest('hex')
}

export function buildWeb() {
  unlessMadeFrom('web', sourcesKey(), join(ROOT, 'web/dist/index.html'), () => {
    process.stdout.write('Building the web application ...\n')
    const done = quiet('npm', ['run', '--silent', 'build'])
    if (!done.ok)
      throw new Remedy(
        `The web application does not build:\n${(done.out + done.err).trim().split('\n').slice(-20).join('\n')}`,
      )
  })
}
