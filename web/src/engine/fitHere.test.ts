/** The fit in the page itself: it is what the thread answers, and for whatever else changed than the job the thread is asked. */
import type { Job } from '@brannik/core'
import fc from 'fast-check'
import { describe, expect, it, vi } from 'vitest'
import { shopDocument } from '../testing/demo.ts'
import { createEngineClient, type EngineClient } from './client.ts'
import { Engine } from './engine.ts'
import { createFitHere } from './fitHere.ts'
import type { Snapshot } from './snapshot.ts'

const { format: _format, version: _version, ...whole } = shopDocument
/** Wire of the press frame was taken for it and for the post; the frame is made once. */
const snapshot: Snapshot = {
  ...whole,
  jobs: whole.jobs.map((job) => (job.id === 'press-frame' ? { ...job, timesPerYear: null } : job)),
  used: ['press-frame', 'press-screw-post'].map((jobId) => ({
    id: jobId,
    jobId,
    item: 'wire.er70s6-035',
    amount: 700,
  })),
}
const changed = (jobId: string, change: (job: Job) => Partial<Job>, of = snapshot): Snapshot => ({
  ...of,
  jobs: of.jobs.map((job) => (job.id === jobId ? { ...job, ...change(job) } : job)),
})
const thread = () => createEngineClient(() => ({ engine: new Engine(), stop: () => undefined }))
const prepared = async (jobId: string, by: EngineClient = thread()) => {
  const here = createFitHere(by)
  await here.prepare(snapshot, jobId)
  return here
}
const thicker = (thicknessAMm: number) => (job: Job) => ({
  joints: job.joints.map((joint) => ({ ...joint, thicknessAMm })),
})

describe('the fit in the page itself', () => {
  it.each(['press-frame', 'press-screw-post', 'pressing-tray'])(
    'is what the thread answers, whatever is typed into the job %s',
    async (jobId) => {
      const [here, other] = [await prepared(jobId), thread()]
      const change = fc.record(
        {
          thicknessAMm: fc.double({ min: 0.5, max: 30, noNaN: true }),
          count: fc.integer({ min: 1, max: 60 }),
          quantity: fc.integer({ min: 1, max: 60 }),
          pauseS: fc.integer({ min: 0, max: 600 }),
          dueOn: fc.constantFrom(null, '2026-01-05', '2026-03-20', '2027-12-01'),
          state: fc.constantFrom('planned' as const, 'archived' as const),
        },
        { requiredKeys: [] },
      )
      await fc.assert(
        fc.asyncProperty(change, fc.boolean(), async ({ thicknessAMm, count, ...rest }, isOfWeld) => {
          const now = changed(jobId, ({ joints }) => ({
            ...rest,
            joints: joints.map((joint) => ({
              ...joint,
              ...(thicknessAMm === undefined ? {} : { thicknessAMm }),
              ...(count === undefined ? {} : { count }),
            })),
          }))
          const options = {
            chainsOf: isOfWeld ? now.jobs.flatMap(({ joints }) => joints.map(({ id }) => id)) : [],
          }
          const found = here.atOnce(now, jobId, options)
          expect(found?.answer?.criteria.length).toBeGreaterThan(0)
          expect(found?.answer).toEqual(await other.ask(now, 'fit', jobId, options))
        }),
        { numRuns: 40 },
      )
    },
  )

  it.each([
    ['another job', changed('press-screw-post', () => ({ quantity: 2 }))],
    ['how often the job comes again', changed('press-frame', () => ({ timesPerYear: 12 }))],
    ['a set-up', { ...snapshot, setUps: snapshot.setUps.map((one) => ({ ...one })) }],
    ['a count', { ...snapshot, stock: snapshot.stock.map((one) => ({ ...one, amount: 1 })) }],
    ['the shop', { ...snapshot, shop: { ...whole.shop } }],
    ['what was taken', { ...snapshot, used: [] }],
    ['the order of the jobs', { ...snapshot, jobs: snapshot.jobs.toReversed() }],
    [
      'which jobs there are',
      { ...snapshot, jobs: [...snapshot.jobs, { ...snapshot.jobs[0], id: 'other' } as Job] },
    ],
    ['the number of jobs', { ...snapshot, jobs: snapshot.jobs.filter(({ id }) => id !== 'pressing-tray') }],
  ])('leaves it to the thread where %s has changed, until it is told anew', async (_what, now) => {
    const by = thread()
    const here = await prepared('press-frame', by)
    expect(here.atOnce(snapshot, 'press-frame', {})).not.toBe(null)
    expect(here.atOnce(now, 'press-frame', {})).toBe(null)
    await here.prepare(now, 'press-frame')
    expect(here.atOnce(now, 'press-frame', {})?.answer).toEqual(await by.ask(now, 'fit', 'press-frame', {}))
  })

  it('leaves to the thread what it was not told of, what it cannot work out, and jobs of many welds', async () => {
    expect(createFitHere(thread()).atOnce(snapshot, 'press-frame', {})).toBe(null)
    const here = await prepared('press-frame')
    expect(here.atOnce(snapshot, 'pressing-tray', {})).toBe(null)
    expect(
      here.atOnce(
        changed('press-frame', () => ({ joints: null as never })),
        'press-frame',
        {},
      ),
    ).toBe(null)
    const of = (welds: number) =>
      changed('press-frame', ({ joints }) => ({
        joints: Array.from({ length: welds }, (_, n) => ({ ...joints[0], id: `w${n}` })) as never,
      }))
    expect(here.atOnce(of(20), 'press-frame', {})?.answer?.welds).toHaveLength(20)
    expect(here.atOnce(of(21), 'press-frame', {})).toBe(null)
  })

  it('asks the thread once for as long as nothing else changes, and does without where the thread fails', async () => {
    const by = thread()
    const ask = vi.spyOn(by, 'ask')
    const here = await prepared('press-frame', by)
    await here.prepare(changed('press-frame', thicker(9)), 'press-frame')
    expect(ask.mock.calls.map(([, question]) => question)).toEqual(['claims'])
    await here.prepare(snapshot, 'pressing-tray')
    expect(here.atOnce(snapshot, 'pressing-tray', {})).not.toBe(null)
    expect(ask).toHaveBeenCalledTimes(2)
    const failing: EngineClient = { ask: () => Promise.reject(new Error('it broke')) }
    const without = await prepared('press-frame', failing)
    expect(without.atOnce(snapshot, 'press-frame', {})).toBe(null)
  })

  it('leaves a job what the jobs before it do not take, as its day is typed', async () => {
    const untouched = changed('press-screw-post', () => ({ dueOn: '2026-06-01' }), { ...snapshot, used: [] })
    const here = createFitHere(thread())
    await here.prepare(untouched, 'press-frame')
    const wireLeft = (dueOn: string) => {
      const now = changed('press-frame', () => ({ dueOn }), untouched)
      const criteria = here.atOnce(now, 'press-frame', {})?.answer?.criteria ?? []
      return criteria.find(({ criterion }) => criterion === 'wire-use')?.capacity ?? NaN
    }
    // One spool lies there, of 10 lb; the post takes three quarters of it.
    expect(wireLeft('2000-01-01')).toBeCloseTo(4535.9, 0)
    expect(wireLeft('2999-01-01')).toBeLessThan(4535.9 / 2)
  })
})
