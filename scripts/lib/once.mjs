/** One running Brannik a checkout: a second start must not take the database from under the first. */
import { mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { DATA } from './packages.mjs'
import { Remedy } from './run.mjs'

const FILE = join(DATA, 'running.pid')

/** A process number is used again after a crash or a restart of the machine: only our own script counts. */
function isOurs(pid) {
  try {
    return /scripts\/(start|dev)\.mjs/.test(readFileSync(`/proc/${pid}/cmdline`, 'utf8'))
  } catch {
    return false
  }
}

export function onlyOnce() {
  mkdirSync(DATA, { recursive: true })
  const pid = (() => {
    try {
      return Number(readFileSync(FILE, 'utf8'))
    } catch {
      return 0
    }
  })()
  if (pid > 0 && pid !== process.pid && isOurs(pid)) {
    throw new Remedy(
      `Brannik already runs from this folder (process ${pid}). Use that one, or stop it first: kill -INT ${pid}`,
    )
  }
  writeFileSync(FILE, `${process.pid}`)
  process.on('exit', () => rmSync(FILE, { force: true }))
}
