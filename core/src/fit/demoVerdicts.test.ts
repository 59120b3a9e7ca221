/** The demo's jobs as a welder sees them (docs/model.md): written down by hand, and held to what is computed. */
import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { worstVerdict } from '../model/verdict.ts'
import { demoInput } from '../testing/samples.ts'
import { fitJob } from './fit.ts'

/** Job and set-up by the first two cells of a row. */
const ROWS: readonly (readonly [job: string, setUp: string, jobId: string, setUpId: string])[] = [
  ['Press frame, 1/4 in tees', '210 A class, 120 V, north wall', 'press-frame', 'north-wall-wire'],
  ['Press frame', 'the same, 240 V, bay 2', 'press-frame', 'bay-2-wire'],
  ['Press frame', '140 A class, 120 V', 'press-frame', 'marl-yard'],
  ['Pressing tray, 16 ga 304 butts', 'bench TIG, 0.040 tungsten', 'pressing-tray', 'bench-tig-dc'],
  ['Tank manifold, 0.109 in 316L tube', 'bench TIG', 'tank-manifold', 'bench-tig-316'],
  ['Picking platform, 1/8 in 6061 tees', 'bench TIG, AC, 150 A torch', 'picking-platform', 'bench-tig-ac'],
  ['Picking platform', 'spool gun, 0.035 5356', 'picking-platform', 'spool-gun'],
  ['Loader fork, 1/2 in V outdoors', 'self-shielded 0.045', 'loader-fork', 'yard-cored'],
  ['Loader fork', 'stick, 1/8 E7018', 'loader-fork', 'yard-stick'],
  ['Press screw post, 3/8 in tees, 1/2 in groove', 'short-circuit, bay 2', 'press-screw-post', 'bay-2-wire'],
]
const page = readFileSync(new URL('../../../docs/model.md', import.meta.url), 'utf8').replace(/ {2,}/g, ' ')

/** What the shelf holds is another question than whether the weld can be made. */
const OF_THE_SHELF = ['wire-use', 'gas-use', 'tungsten-use', 'time-use']

describe('the demo’s jobs, as a welder sees them (common practice, no source)', () => {
  it.each(ROWS)('%s with %s', (job, setUp, jobId, setUpId) => {
    const row = page.split('\n').find((line) => line.startsWith(`| ${job} | ${setUp} |`))
    const { criteria } = fitJob(demoInput(jobId, setUpId))
    const verdict = worstVerdict(
      criteria
        .filter(({ criterion, verdict: one }) => !OF_THE_SHELF.includes(criterion) && one !== 'unknown')
        .map((one) => one.verdict),
    )
    expect(row?.split('|')[3]?.trim()).toBe(verdict)
  })
  it('has a row for nothing else', () => {
    const after = page.slice(page.indexOf('as a welder sees them')).split('\n## ')[0] ?? ''
    expect(after.split('\n').filter((line) => /^\| [A-Z]/.test(line)).length - 1).toBe(ROWS.length)
  })
})
