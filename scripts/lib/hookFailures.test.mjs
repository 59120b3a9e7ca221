/** What the mutation tester is told of a file whose preparation fails: it looks at tests alone. */
import { spawnSync } from 'node:child_process'
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { expect, it } from 'vitest'
import { DATA } from './packages.mjs'
import { ROOT } from './run.mjs'

const RUNNER = fileURLToPath(new URL('./hookFailures.mjs', import.meta.url))

/** @returns what becomes of each test of a file, by its name */
function statesOf(text) {
  const folder = mkdtempSync(join(DATA, 'hooks-'))
  try {
    writeFileSync(join(folder, 'one.test.mjs'), text)
    writeFileSync(
      join(folder, 'vitest.config.mjs'),
      `export default { test: { runner: ${JSON.stringify(RUNNER)}, include: ['one.test.mjs'] } }`,
    )
    const report = join(folder, 'report.json')
    const args = [
      '--no-install',
      'vitest',
      'run',
      '--root',
      folder,
      '--reporter=json',
      `--outputFile=${report}`,
    ]
    spawnSync('npx', args, { cwd: ROOT, stdio: 'ignore' })
    const { testResults } = JSON.parse(readFileSync(report, 'utf8'))
    return Object.fromEntries(testResults[0].assertionResults.map(({ title, status }) => [title, status]))
  } finally {
    rmSync(folder, { recursive: true, force: true })
  }
}

it('fails every test behind a hook that fails, and no other', () => {
  const states = statesOf(`
    import { beforeAll, describe, expect, it } from 'vitest'
    describe('prepared', () => {
      beforeAll(() => { throw new Error('not prepared') })
      it('behind it', () => expect(1).toBe(1))
      describe('deeper', () => { it('far behind it', () => expect(1).toBe(1)) })
    })
    it('beside it', () => expect(1).toBe(1))
    it.skip('left out', () => expect(1).toBe(1))
  `)
  expect(states).toEqual({
    'behind it': 'failed',
    'far behind it': 'failed',
    'beside it': 'passed',
    'left out': 'skipped',
  })
})
