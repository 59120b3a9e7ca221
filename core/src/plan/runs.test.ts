/** Which runs of a job are still to do: on paper, day by day. */
import { describe, expect, it } from 'vitest'
import { type WorkState, workKey } from '../events/workMarked.ts'
import type { Job } from '../kinds/job.ts'
import type { PlannedBlock } from '../kinds/workPlan.ts'
import { demoInput } from '../testing/samples.ts'
import { dueDaysOf, runsOf } from './runs.ts'

const plain: Job = {
  ...demoInput('press-frame').job,
  state: 'planned',
  dueOn: '2027-02-10',
  timesPerYear: null,
}
const days = { fromDay: '2027-02-01', untilDay: '2027-03-01' }
const kept = (part: Partial<PlannedBlock> = {}): PlannedBlock => ({
  jobId: plain.id,
  run: 'once',
  part: 1,
  sharePct: 100,
  setUpId: 'bay-2-wire',
  welderId: null,
  startsAt: '2027-02-02T07:00',
  endsAt: '2027-02-02T09:00',
  isPinned: false,
  ...part,
})
const worked = (part: Partial<WorkState> = {}): ReadonlyMap<string, WorkState> => {
  const state = {
    jobId: plain.id,
    run: 'once',
    part: 1,
    state: 'done',
    lastAt: '2027-01-20T10:00:00Z',
    ...part,
  }
  return new Map([[workKey(state.jobId, state.run, state.part), state as WorkState]])
}
const runs = (
  job: Partial<Job> = {},
  blocks: readonly PlannedBlock[] = [],
  work: ReadonlyMap<string, WorkState> = new Map(),
) =>
  runsOf([{ ...plain, ...job }], blocks, work, days).map(({ run, dueOn, part, sharePct, block }) => ({
    run,
    dueOn,
    part,
    sharePct,
    at: block?.startsAt ?? null,
  }))

describe('due days', () => {
  it('come by their share of the year, from the first to the last day that is looked at', () => {
    expect(dueDaysOf({ dueOn: '2027-02-10', timesPerYear: 73 }, '2027-02-20')).toEqual([
      '2027-02-10',
      '2027-02-15',
      '2027-02-20',
    ])
    expect(dueDaysOf({ dueOn: '2027-02-10', timesPerYear: 73 }, '2027-02-19')).toHaveLength(2)
    expect(dueDaysOf({ dueOn: '2027-02-10', timesPerYear: 73 }, '2027-01-01')).toEqual(['2027-02-10'])
    expect(dueDaysOf({ dueOn: '2027-02-10', timesPerYear: 365 }, '2028-02-10')).toHaveLength(60)
  })
  it('are one where it comes once, or nobody has set a day', () => {
    expect(dueDaysOf({ dueOn: '2027-02-10', timesPerYear: null }, '2027-12-31')).toEqual(['2027-02-10'])
    expect(dueDaysOf({ dueOn: '2027-02-10', timesPerYear: 1 }, '2028-12-31')).toEqual(['2027-02-10'])
    expect(dueDaysOf({ dueOn: null, timesPerYear: 52 }, '2027-12-31')).toEqual([null])
  })
})

describe('runs of a job', () => {
  it('are one that is new, and none of a job that is not planned', () => {
    expect(runs()).toEqual([{ run: 'once', dueOn: '2027-02-10', part: 1, sharePct: 100, at: null }])
    expect(runs({ state: 'template' })).toEqual([])
    expect(runs({ state: 'archived' })).toEqual([])
  })
  it('stay where they were kept, in their parts by number', () => {
    expect(runs({}, [kept()])[0]?.at).toBe('2027-02-02T07:00')
    const parts = [kept({ part: 2, sharePct: 40 }), kept({ part: 1, sharePct: 60 })]
    expect(runs({}, parts).map(({ part, sharePct }) => [part, sharePct])).toEqual([
      [1, 60],
      [2, 40],
    ])
    expect(runs({}, [kept({ jobId: 'another' })])[0]?.at).toBeNull()
  })
  it('are whole where the parts do not add up: they are of another time', () => {
    const amiss = [kept({ sharePct: 60 }), kept({ part: 2, sharePct: 30 })]
    expect(runs({}, amiss)).toEqual([{ run: 'once', dueOn: '2027-02-10', part: 1, sharePct: 100, at: null }])
    const rounded = [
      kept({ sharePct: 33.4 }),
      kept({ part: 2, sharePct: 33.3 }),
      kept({ part: 3, sharePct: 33.3 }),
    ]
    expect(runs({}, rounded)).toHaveLength(3)
    expect(runs({}, [kept({ sharePct: 99 })])).toMatchObject([{ sharePct: 100 }])
  })
  it('by day are named by it, and take over the places of days that have moved, each once', () => {
    const often = { timesPerYear: 73, dueOn: '2027-02-10' }
    const moved = [
      kept({ run: '2027-02-09', startsAt: '2027-02-08T07:00' }),
      kept({ run: '2027-02-14', startsAt: '2027-02-12T07:00' }),
    ]
    expect(runs(often, moved).map(({ run, at }) => [run, at])).toEqual([
      ['2027-02-10', '2027-02-08T07:00'],
      ['2027-02-15', '2027-02-12T07:00'],
      ['2027-02-20', null],
      ['2027-02-25', null],
    ])
    const own = [kept({ run: '2027-02-15' }), ...moved.slice(0, 1)]
    expect(runs(often, own).map(({ at }) => at)).toEqual(['2027-02-08T07:00', '2027-02-02T07:00', null, null])
  })
  it('that are done are over, and standing work without a day comes again with its share of the year', () => {
    expect(runs({}, [], worked())).toEqual([])
    expect(runs({}, [], worked({ state: 'paused' }))).toHaveLength(1)
    expect(runs({}, [], worked({ part: 2 }))).toHaveLength(1)
    // Done on 20 January, looked at on 1 February: twelve days.
    const again = (timesPerYear: number | null, dueOn: string | null = null) =>
      runs({ timesPerYear, dueOn }, [], worked()).length
    expect(again(365 / 12)).toBe(1)
    expect(again(365 / 13)).toBe(0)
    expect(again(null)).toBe(0)
    expect(runs({ timesPerYear: 1, dueOn: '2027-02-10' }, [], worked({ run: '2027-02-10' }))).toEqual([])
  })
  it('that have begun carry what was pressed', () => {
    const [run] = runsOf([plain], [], worked({ state: 'running' }), days)
    expect(run?.work?.state).toBe('running')
    expect(run?.id).toBe(workKey(plain.id, 'once', 1))
  })
})
