/** Of many starts in the same moment one goes on, also over the mark of one that died. */
import { spawn } from 'node:child_process'
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterAll, beforeAll, expect, it } from 'vitest'
import { ROOT } from './run.mjs'

let folder
beforeAll(() => {
  folder = mkdtempSync(join(tmpdir(), 'brannik-once-'))
})
afterAll(() => rmSync(folder, { recursive: true, force: true }))

const CHILD = `import { onlyOnce } from '${join(ROOT, 'scripts/lib/once.mjs')}'
process.stdin.once('data', () => onlyOnce(process.argv[1]).then(
  () => { process.stdout.write('goes on\\n') },
  (error) => { process.stdout.write(error.message + '\\n') },
))
process.stdout.write('ready\\n')`

/** A process that waits for a word, then tries. */
function contender() {
  const child = spawn(process.execPath, ['--input-type=module', '-e', CHILD, folder], {
    stdio: ['pipe', 'pipe', 'inherit'],
  })
  let said = ''
  let told = () => undefined
  child.stdout.on('data', (chunk) => {
    said += chunk
    told()
  })
  const line = async (number) => {
    while (said.split('\n').length <= number + 1) await new Promise((resolve) => (told = resolve))
    return said.split('\n')[number]
  }
  return { child, line }
}

it.each([
  ['with nothing there', null],
  ['over the mark of one that died', { pid: 2 ** 22 - 1, began: '1', checkout: 'x' }],
])(
  '%s',
  async (_what, mark) => {
    for (let round = 0; round < 3; round += 1) {
      if (mark) writeFileSync(join(folder, 'running.json'), JSON.stringify(mark))
      const all = Array.from({ length: 10 }, contender)
      await Promise.all(all.map(({ line }) => line(0)))
      for (const { child } of all) child.stdin.write('now\n')
      const answers = await Promise.all(all.map(({ line }) => line(1)))
      expect(answers.filter((answer) => answer === 'goes on')).toHaveLength(1)
      for (const answer of answers.filter((one) => one !== 'goes on'))
        expect(answer).toMatch(/already runs|Another start is going on/)
      const gone = all.map(({ child }) => new Promise((resolve) => child.once('exit', resolve)))
      for (const { child } of all) child.kill('SIGKILL')
      await Promise.all(gone)
    }
  },
  120_000,
)
