/** Why a machine cannot do a job: the nearest of all that was tried, and what rules out a process by itself. */
import { describe, expect, it } from 'vitest'
import type { Assessment } from '../criteria/criterion.ts'
import { does } from '../model/verdict.ts'
import { demoShop, oneOf } from '../testing/samples.ts'
import { Ground } from './ground.ts'
import { nearestMiss, type RuledOut } from './nearestMiss.ts'
import { stationsOf } from './stations.ts'

const demo = demoShop()
/** @param by what rules out the job on a machine whatever else stands beside it */
function missOn(
  jobId: string,
  stationId: string,
  by: readonly Assessment[],
  { isBegun = true, on }: { readonly isBegun?: boolean; readonly on?: string } = {},
): Assessment | null {
  const ground = new Ground(demo.shop, demo, {
    withLibrary: true,
    isPricedOnly: false,
    costEnd: 'most',
    counts: does,
    isForNow: true,
  })
  const known = oneOf(stationsOf(demo, demo.setUps), stationId)
  const station = on === undefined ? known : { ...known, circuit: oneOf(demo.circuits, on) }
  const begun = isBegun ? ground.begunFor(oneOf(demo.jobs, jobId)) : []
  const [other] = demo.powerSources.filter((one) => one !== station.powerSource)
  if (!other) throw new Error('the demo has one machine')
  const elsewhere: RuledOut = { powerSources: new Set([other]), miss: miss('of another machine', -0.01) }
  const here = by.map((one): RuledOut => ({ powerSources: new Set([station.powerSource, other]), miss: one }))
  return nearestMiss(ground, begun, [elsewhere, ...here], station)
}
const miss = (criterion: string, marginPct: number | null): Assessment =>
  ({ criterion, marginPct, verdict: 'fails' }) as Assessment

describe('what comes nearest', () => {
  it('is where amps are short of what can be welded at all, however near another process is ruled out', () => {
    // 1/4 in aluminium by AC TIG needs more than the 200 A of the Sedge: common practice, no source.
    const own = missOn('hoist-beam', 'sedge-200 bay-1', [])
    expect(own?.criterion).toBe('source-range')
    expect(own?.marginPct).toBeLessThan(-1)
    expect(missOn('hoist-beam', 'sedge-200 bay-1', [miss('source-output', -0.5)])).toEqual(own)
  })

  it('is what rules a process out, where nothing measured stands against the others', () => {
    // A machine for 240 V on three phases of 480 V.
    const own = missOn('pressing-tray', 'sedge-200 bay-1', [], { on: 'bay-3' })
    expect(own?.criterion).toBe('supply-voltage')
    const measured = miss('source-output', -50)
    expect(missOn('pressing-tray', 'sedge-200 bay-1', [measured], { on: 'bay-3' })).toBe(measured)
  })

  it('is what rules them all out where the job may go by none, the nearest, and nothing where there is none', () => {
    const near = miss('source-output', -5)
    expect(
      missOn('hoist-beam', 'sedge-200 bay-1', [miss('source-output', -20), near], { isBegun: false }),
    ).toBe(near)
    expect(missOn('hoist-beam', 'sedge-200 bay-1', [], { isBegun: false })).toBeNull()
  })
})
