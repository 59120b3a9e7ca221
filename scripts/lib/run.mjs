/** Runs other programs, and says plainly what went wrong. Plain Node: it runs before npm ci. */
import { spawn, spawnSync } from 'node:child_process'
import { fileURLToPath } from 'node:url'

export const ROOT = fileURLToPath(new URL('../../', import.meta.url))

/** A failure that the reader can mend: its message is all that is printed. */
export class Remedy extends Error {}

/** Runs to the end quietly. */
export function quiet(command, args, { env = {}, cwd = ROOT, input } = {}) {
  const done = spawnSync(command, args, {
    cwd,
    input,
    encoding: 'utf8',
    env: { ...process.env, ...env },
    maxBuffer: 1 << 28,
  })
  return {
    ok: done.status === 0,
    status: done.status,
    out: done.stdout ?? '',
    err: (done.stderr ?? '') + (done.error?.message ?? ''),
  }
}

/** The same, while other things go on. */
export const quietly = (command, args, { env = {} } = {}) =>
  new Promise((resolve) => {
    const child = spawn(command, args, { cwd: ROOT, env: { ...process.env, ...env } })
    const told = { out: '', err: '' }
    child.stdout.on('data', (chunk) => (told.out += chunk))
    child.stderr.on('data', (chunk) => (told.err += chunk))
    child.once('error', (error) => resolve({ ok: false, ...told, err: told.err + error.message }))
    child.once('close', (code) => resolve({ ok: code === 0, ...told }))
  })

/** Starts a program that goes on running. */
export const begin = (command, args, { env = {}, stdio = 'inherit' } = {}) =>
  spawn(command, args, { cwd: ROOT, stdio, env: { ...process.env, ...env } })

export const exists = (command) => quiet('sh', ['-c', `command -v ${command}`]).ok

/** Ends with the remedy alone, or with the whole error where it is a fault of the script. */
export function explain(error) {
  process.stderr.write(`\n${error instanceof Remedy ? error.message : (error?.stack ?? error)}\n`)
}
