/** The files with which Brannik is set up on a server, read by the linters of their formats. */
import { existsSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { describe, expect, it } from 'vitest'
import { buildServer, SERVER } from './lib/built.mjs'
import { quiet, ROOT } from './lib/run.mjs'

const text = (name) => readFileSync(join(ROOT, 'deploy', name), 'utf8')

describe('Dockerfile', () => {
  it('holds up to the linter', async () => {
    const { validate } = await import('dockerfile-utils')
    expect(validate(text('Dockerfile')).map(({ message }) => message)).toEqual([])
  })

  it('a fault in it would be found', async () => {
    const { validate } = await import('dockerfile-utils')
    expect(validate(text('Dockerfile').replace('WORKDIR', 'WORKDIRECTORY')).length).toBeGreaterThan(0)
  })

  it('copies and runs only what is there', () => {
    buildServer()
    expect(existsSync(join(ROOT, SERVER))).toBe(true)
    expect(text('Dockerfile')).toContain(SERVER)
    expect(text('brannik.service')).toContain(SERVER)
  })
})

describe('systemd unit', () => {
  /** Paths of the machine that it is for need not be here. */
  const here = (unit) =>
    unit
      .replace('ExecStart=/usr/bin/node', `ExecStart=${process.execPath}`)
      .replace(/^EnvironmentFile=.*$/m, '')
      .replace(/^(User|Group)=.*$/gm, '$1=root')
  const verify = (unit) => {
    const done = quiet(
      'sh',
      [
        '-c',
        'folder=$(mktemp -d) && cat > "$folder/brannik.service" && systemd-analyze verify --man=no "$folder/brannik.service"; status=$?; rm -r "$folder"; exit $status',
      ],
      { input: unit },
    )
    return `${done.out}${done.err}`
      .split('\n')
      .filter((line) => /brannik\.service/.test(line))
      .join('\n')
  }

  it('holds up to systemd-analyze verify', () => {
    expect(verify(here(text('brannik.service')))).toBe('')
  })

  it('a fault in it would be found', () => {
    expect(verify(here(text('brannik.service')).replace('Restart=on-failure', 'Restart=sometimes'))).toMatch(
      /restart/i,
    )
  })

  it('every setting of its environment is one that the server knows', () => {
    const known = readFileSync(join(ROOT, 'server/src/config.ts'), 'utf8')
    const names = [...text('environment.example').matchAll(/^([A-Z_]+)=/gm)].map(([, name]) => name)
    expect(names.length).toBeGreaterThan(5)
    for (const name of names) expect(known).toContain(`${name}:`)
  })
})
