/** A mend that breaks what held is none: every mend that can be tried, tried, on jobs and set-ups moved about. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { capabilityOf } from '../capability/capability.ts'
import { chosenOf } from '../capability/slots.ts'
import { demandOf } from '../demand/demand.ts'
import type { SetUp } from '../kinds/equipment.ts'
import type { Job } from '../kinds/job.ts'
import { PROCESS_IDS } from '../model/process.ts'
import { movedJobs as jobs } from '../testing/movedJobs.ts'
import { runs } from '../testing/runs.ts'
import { demoShop } from '../testing/samples.ts'
import type { Mend } from './criterion.ts'
import { assess, mendsOf } from './index.ts'

const demo = demoShop()

const setUps: fc.Arbitrary<SetUp> = fc
  .record({
    setUp: fc.constantFrom(...demo.setUps),
    process: fc.option(fc.constantFrom(...PROCESS_IDS), { nil: null }),
    wireId: fc.option(fc.constantFrom(...demo.wires.map(({ id }) => id)), { nil: null }),
  })
  .map(({ setUp, process, wireId }) => ({
    ...setUp,
    ...(process ? { process } : {}),
    ...(wireId ? { wireId } : {}),
  }))

function judged(job: Job, setUp: SetUp) {
  const chosen = chosenOf(setUp, demo)
  const c = capabilityOf(demo.shop, setUp, chosen)
  const d = demandOf(job, setUp.process, chosen.wire, demo.shop)
  return { c, d, found: assess(c, d) }
}
function patched(job: Job, setUp: SetUp, { patch }: Mend): readonly [Job, SetUp] {
  if (patch?.on === 'set-up') return [job, { ...setUp, ...patch.change }]
  if (patch?.on === 'job') return [{ ...job, ...patch.change }, setUp]
  if (patch?.on !== 'joint') return [job, setUp]
  const joints = job.joints.map((joint) =>
    joint.id === patch.jointId ? { ...joint, ...patch.change } : joint,
  )
  return [{ ...job, joints }, setUp]
}

/** A weld that is made as it should be may take longer: what more arc uses and heats is its price, and told beside it. */
const PRICE = new Set([
  'time-use',
  'gas-use',
  'wire-use',
  'tungsten-use',
  'source-duty',
  'gun-duty',
  'breaker-holds',
  'cable',
  'cord',
  'leads',
  'generator-runs',
])

describe('a mend', () => {
  it('fails nothing that fitted before', { timeout: 240_000 }, () => {
    fc.assert(
      fc.property(jobs, setUps, (job, setUp) => {
        const { c, d, found } = judged(job, setUp)
        const held = new Set(
          found.filter(({ verdict }) => verdict === 'fits').map(({ criterion }) => criterion),
        )
        for (const one of found)
          for (const mend of mendsOf(one, c, d)) {
            if (!mend.patch) continue
            const after = judged(...patched(job, setUp, mend)).found
            const broken = after.filter(
              ({ criterion, verdict }) =>
                verdict === 'fails' &&
                held.has(criterion) &&
                !PRICE.has(criterion) &&
                criterion !== one.criterion,
            )
            expect(
              broken.map(
                ({ criterion, code }) => `${criterion}/${code} after ${mend.code} for ${one.criterion}`,
              ),
            ).toEqual([])
          }
      }),
      { numRuns: runs(150) },
    )
  })
})
