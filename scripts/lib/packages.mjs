/** Installs what is missing: Debian packages where it may, npm packages by the lock file. */
import { createHash } from 'node:crypto'
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { exists, quiet, quietly, Remedy, ROOT } from './run.mjs'

export const DATA = join(ROOT, '.data')

const isRoot = () => process.getuid?.() === 0

/** @param packages Debian packages that provide what is missing */
export function installDebian(packages) {
  const list = packages.join(' ')
  const byHand = `Run this, then start again:\n  sudo apt-get update && sudo apt-get install -y ${list}`
  if (!exists('apt-get')) {
    throw new Remedy(
      `Missing: ${list}. There is no apt-get here; install it with this system's own package manager, then start again.`,
    )
  }
  const sudo = !isRoot() && exists('sudo') && quiet('sudo', ['-n', 'true']).ok
  if (!isRoot() && !sudo)
    throw new Remedy(`Missing: ${list}, and this user may not install packages. ${byHand}`)
  process.stdout.write(`Installing ${list} with apt-get ...\n`)
  const apt = (...args) => {
    const command = ['env', 'DEBIAN_FRONTEND=noninteractive', 'apt-get', '-q', ...args]
    return sudo ? quiet('sudo', ['-n', ...command]) : quiet(command[0], command.slice(1))
  }
  const first = apt('install', '-y', '--no-install-recommends', ...packages)
  if (first.ok) return
  apt('update')
  const second = apt('install', '-y', '--no-install-recommends', ...packages)
  if (!second.ok)
    throw new Remedy(
      `apt-get could not install ${list}:\n${second.err.trim().split('\n').slice(-4).join('\n')}\n${byHand}`,
    )
}

const hashOf = (...files) => {
  const hash = createHash('sha256')
  for (const file of files) hash.update(readFileSync(file))
  return hash.digest('hex')
}

/** Remembers in .data what was made from what, so that a second start makes nothing twice. */
export function unlessMadeFrom(name, key, made, make) {
  if (isMadeFrom(name, key, made)) return
  make()
  stamp(name, key)
}
function stamp(name, key) {
  mkdirSync(DATA, { recursive: true })
  writeFileSync(stampOf(name), key)
}
const stampOf = (name) => join(DATA, `${name}.stamp`)
const isMadeFrom = (name, key, made) =>
  existsSync(made) && existsSync(stampOf(name)) && readFileSync(stampOf(name), 'utf8') === key

/**
 * npm ci, where node_modules is not what the lock file says.
 * @param options.isWhole whether packages of development come too; a start needs none, and is content where they are there
 */
export async function installNpm({ isWhole = true } = {}) {
  const [major, minor] = process.versions.node.split('.').map(Number)
  if (major < 20 || (major === 20 && minor < 19)) {
    throw new Remedy(`Node ${process.versions.node} is too old: install Node 20.19 or newer.`)
  }
  const lock = hashOf(join(ROOT, 'package-lock.json'))
  const there = join(ROOT, 'node_modules')
  if (!isWhole && isMadeFrom('npm', lock, there)) return
  const key = isWhole ? lock : `${lock} to run`
  if (isMadeFrom('npm', key, there)) return
  process.stdout.write('Installing npm packages ...\n')
  const omit = isWhole ? [] : ['--omit=dev']
  const done = await quietly('npm', ['ci', ...omit, '--no-audit', '--no-fund', '--loglevel=error'])
  if (!done.ok) {
    throw new Remedy(
      `npm ci failed:\n${done.err.trim().split('\n').slice(-6).join('\n')}\nCheck the network and the free space of this disk, then start again.`,
    )
  }
  stamp('npm', key)
}
