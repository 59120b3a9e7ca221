/** `npm start` as a whole: it says where the data are, refuses what would harm, and leaves nothing running. */
import { spawn } from 'node:child_process'
import {
  chmodSync,
  existsSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  renameSync,
  rmSync,
  writeFileSync,
} from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { setTimeout as pause } from 'node:timers/promises'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { beginningOf } from './lib/processes.mjs'
import { ROOT } from './lib/run.mjs'

let base
beforeAll(() => {
  base = mkdtempSync(join(tmpdir(), 'brannik-start-'))
  chmodSync(base, 0o755)
})
afterAll(() => rmSync(base, { recursive: true, force: true }))

function run(script, args = [], env = {}, options = {}) {
  const child = spawn(process.execPath, [join('scripts', script), ...args], {
    cwd: ROOT,
    env: {
      ...process.env,
      HOME: base,
      BRANNIK_DATA: join(base, 'data'),
      PORT: '',
      DATABASE_URL: '',
      NODE_ENV: '',
      DEMO: '1',
      THIS_MACHINE: 'open',
      ...env,
    },
    stdio: ['pipe', 'pipe', 'pipe'],
    ...options,
  })
  let told = ''
  for (const stream of [child.stdout, child.stderr]) stream.on('data', (chunk) => (told += chunk))
  const ended = new Promise((resolve) => child.once('exit', (code, signal) => resolve(code ?? signal)))
  const until = async (words) => {
    for (let wait = 0; wait < 1200; wait += 1) {
      if (told.includes(words)) return told
      if (child.exitCode !== null || child.signalCode !== null) break
      await pause(50)
    }
    throw new Error(`it never said “${words}”, but: ${told}`)
  }
  return { child, ended, until, told: () => told }
}
const urlOf = (told) => /Brannik is at (http:\S+)\//.exec(told)?.[1]
const jobs = async (url) =>
  (await (await fetch(`${url}/api/jobs`)).json()).items.map(({ record }) => record.id)

/** What still runs of it: the database and the server, by their folder and their parent. */
const leftovers = () =>
  readdirSync('/proc')
    .filter((name) => /^\d+$/.test(name))
    .filter((pid) => {
      try {
        return (
          readFileSync(`/proc/${pid}/environ`, 'utf8').includes(`BRANNIK_DATA=${base}`) &&
          beginningOf(pid) !== null
        )
      } catch {
        return false
      }
    })
    .filter((pid) => Number(pid) !== process.pid)

async function nothingIsLeft() {
  for (let wait = 0; wait < 200 && leftovers().length > 0; wait += 1) await pause(50)
  expect(leftovers()).toEqual([])
}

it('says where the data are, serves, keeps a second start out, and stops with all that it started', async () => {
  const first = run('start.mjs')
  const told = await first.until('Started in')
  expect(told).toContain(join(base, 'data/postgres'))
  expect(told).toContain('without sign-in')
  expect(await jobs(urlOf(told))).toContain('press-frame')

  const second = run('start.mjs')
  expect(await second.ended).toBe(1)
  expect(second.told()).toContain(`process ${first.child.pid}`)
  expect(second.told()).not.toMatch(/\n\s+at /)
  expect(await jobs(urlOf(told))).toContain('press-frame')

  first.child.kill('SIGINT')
  expect(await first.ended).toBe(0)
  expect(first.told()).toContain('Stopped, the database too.')
  await nothingIsLeft()
})

describe('however it ends', () => {
  it.each(['SIGTERM', 'SIGHUP'])(
    '%s leaves nothing running',
    async (signal) => {
      const { child, ended, until } = run('start.mjs')
      await until('Started in')
      child.kill(signal)
      expect(await ended).toBe(0)
      await nothingIsLeft()
    },
    60_000,
  )

  it('a terminal that is closed leaves nothing running', async () => {
    const { child, ended, until } = run('start.mjs')
    await until('Started in')
    child.stdout.destroy()
    child.stderr.destroy()
    child.kill('SIGHUP')
    expect(await ended).toBe(0)
    await nothingIsLeft()
  })

  it('a server that crashes is no stop: the exit and the words say so', async () => {
    const { child, ended, until, told } = run('start.mjs')
    await until('Started in')
    const server = readFileSync(`/proc/${child.pid}/task/${child.pid}/children`, 'utf8').trim().split(' ')
    process.kill(Number(server[0]), 'SIGKILL')
    expect(await ended).not.toBe(0)
    expect(told()).toContain('which nobody asked for')
    await nothingIsLeft()
  })

  it('killed with no chance to say a word, the server goes too, and the next start goes on', async () => {
    const { child, ended, until, told } = run('start.mjs')
    await until('Started in')
    const url = urlOf(told())
    child.kill('SIGKILL')
    await ended
    for (let wait = 0; wait < 100 && (await fetch(`${url}/api/live`).catch(() => null)); wait += 1)
      await pause(100)
    expect(await fetch(`${url}/api/live`).catch(() => 'nobody')).toBe('nobody')
    const again = run('start.mjs')
    const words = await again.until('Started in')
    expect(await jobs(urlOf(words))).toContain('press-frame')
    again.child.kill('SIGTERM')
    expect(await again.ended).toBe(0)
    await nothingIsLeft()
  })

  it('a database that dies is started again at the same address, and its log keeps why', async () => {
    const { child, ended, until, told } = run('start.mjs')
    await until('Started in')
    const url = urlOf(told())
    const postmaster = () =>
      Number(readFileSync(join(base, 'data/postgres/postmaster.pid'), 'utf8').split('\n')[0])
    const first = postmaster()
    process.kill(first, 'SIGKILL')
    await until('The database is back')
    expect(postmaster()).not.toBe(first)
    expect(await jobs(url)).toContain('press-frame')
    // What it said when it was started first is still there.
    expect(
      readFileSync(join(base, 'data/postgres.log'), 'utf8').match(/starting PostgreSQL/g)?.length,
    ).toBeGreaterThan(1)
    child.kill('SIGTERM')
    expect(await ended).toBe(0)
    await nothingIsLeft()
  })

  it('a database that cannot be started again ends it all, with the reason and a true exit', async () => {
    const { child, ended, until, told } = run('start.mjs')
    await until('Started in')
    const [control, away] = ['data/postgres/global/pg_control', 'pg_control'].map((name) => join(base, name))
    renameSync(control, away)
    process.kill(
      Number(readFileSync(join(base, 'data/postgres/postmaster.pid'), 'utf8').split('\n')[0]),
      'SIGKILL',
    )
    expect(await ended).toBe(1)
    expect(told()).toContain('could not be started again')
    expect(told()).not.toMatch(/\n\s+at /)
    renameSync(away, control)
    expect(child.exitCode).toBe(1)
    await nothingIsLeft()
  })

  it('a mark left by another program is no Brannik', async () => {
    writeFileSync(
      join(base, 'data/running.json'),
      JSON.stringify({ pid: process.pid, began: '1', checkout: 'x' }),
    )
    const { child, ended, until } = run('start.mjs')
    await until('Started in')
    child.kill('SIGTERM')
    expect(await ended).toBe(0)
  })
})

it('to the network only with an owner; accounts, backup and restore by command, with Brannik stopped', async () => {
  const closed = run('start.mjs', [], { HOST: '0.0.0.0' })
  expect(await closed.ended).toBe(1)
  expect(closed.told()).toContain('npm run user -- add')
  const add = run('tool.mjs', ['user', 'add', 'Owner', '--role', 'owner'])
  add.child.stdin.end('cider by the barrel\n')
  expect(await add.ended, add.told()).toBe(0)
  const open = run('start.mjs', [], { HOST: '0.0.0.0' })
  const told = await open.until('Started in')
  expect(told).toContain('Whoever comes in signs in')
  const port = new URL(urlOf(told)).port
  expect((await fetch(`http://127.0.0.1:${port}/api/jobs`)).status).toBe(401)
  const during = run('tool.mjs', ['restore', join(base, 'x.dump')])
  expect(await during.ended).toBe(1)
  expect(during.told()).toContain('already runs')
  open.child.kill('SIGTERM')
  expect(await open.ended).toBe(0)

  const file = join(base, 'kept.dump')
  const backup = run('tool.mjs', ['backup', file])
  expect(await backup.ended).toBe(0)
  expect(existsSync(file)).toBe(true)
  const restore = run('tool.mjs', ['restore', file])
  expect(await restore.ended).toBe(1)
  expect(restore.told()).toContain('--replace')
  const replace = run('tool.mjs', ['restore', file, '--replace'])
  expect(await replace.ended, replace.told()).toBe(0)
  await nothingIsLeft()
})

it('a place where nothing may be written is said plainly', async () => {
  const { ended, told } = run('start.mjs', [], { BRANNIK_DATA: '/dev/null/brannik' })
  expect(await ended).toBe(1)
  expect(told()).toContain('BRANNIK_DATA')
  expect(told()).not.toMatch(/\n\s+at /)
})
