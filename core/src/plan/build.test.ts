/** The shop as a plan in plain numbers: what has begun, what is pinned, who may weld it, and the plan back as blocks. */
import { describe, expect, it } from 'vitest'
import type { WorkState } from '../events/workMarked.ts'
import type { Job } from '../kinds/job.ts'
import type { PlannedBlock } from '../kinds/workPlan.ts'
import { demoShop, oneOf } from '../testing/samples.ts'
import { blocksOf, buildPlan, keptBlock, keptChoice, type PlanBuilt, type PlanQuestion } from './build.ts'
import { endOfDay, minuteOf } from './shopTime.ts'
import { Ways } from './ways.ts'

const demo = demoShop()
const { shop, setUps, welders } = demo
const ways = new Ways({ shop, shelf: demo, setUps })
const NOW = minuteOf('2027-02-01T07:00')
const tray = { ...oneOf(demo.jobs, 'pressing-tray'), timesPerYear: null, dueOn: '2027-02-05' }
const fork = { ...oneOf(demo.jobs, 'loader-fork'), timesPerYear: null, dueOn: null }
const build = (jobs: readonly Job[], more: Partial<PlanQuestion> = {}): PlanBuilt =>
  buildPlan(ways, { jobs, welders, blocks: [], work: new Map(), nowMin: NOW, ...more })
const block = (part: Partial<PlannedBlock> = {}): PlannedBlock => ({
  jobId: 'loader-fork',
  run: 'once',
  part: 1,
  sharePct: 100,
  setUpId: 'yard-cored',
  welderId: 'rowan',
  startsAt: '2027-02-02T09:00',
  endsAt: '2027-02-02T10:00',
  isPinned: false,
  ...part,
})
const working = (part: Partial<WorkState> = {}): ReadonlyMap<string, WorkState> =>
  new Map([
    [
      'loader-fork once 1',
      {
        jobId: 'loader-fork',
        run: 'once',
        part: 1,
        state: 'running',
        setUpId: 'yard-stick',
        setUpName: 'Yard, stick',
        jobName: 'Loader fork repair',
        welder: 'Hazel',
        startedAt: '2027-02-01T11:50:00.000Z',
        lastAt: '2027-02-01T11:50:00.000Z',
        workedMs: 10 * 60_000,
        minutes: null,
        plannedMin: null,
        ...part,
      },
    ],
  ])
const taskOf = ({ problem }: PlanBuilt) => {
  const [task] = problem.tasks
  if (!task) throw new Error('nothing is planned')
  return task
}
const setUpsOf = ({ problem, setUps: all }: PlanBuilt): (string | undefined)[] =>
  problem.tasks[0]?.ways.map(({ setUp }) => all[setUp]?.id) ?? []
const personAt = (id: string): number => welders.findIndex((one) => one.id === id)

describe('a task', () => {
  it('is late after the end of its day, begins now at the soonest, and counts by its priority', () => {
    const of = (part: Partial<Job>) => taskOf(build([{ ...tray, ...part }]))
    expect(of({})).toMatchObject({ dueMin: endOfDay('2027-02-05'), readyMin: NOW, fixed: null, seen: null })
    expect(of({ dueOn: null }).dueMin).toBe(Infinity)
    expect(of({ priority: 'low' }).weight).toBeLessThan(of({ priority: 'usual' }).weight)
    expect(of({ priority: 'high' }).weight).toBeGreaterThan(of({ priority: 'usual' }).weight)
  })
  it('was seen where it was kept', () => {
    const built = build([fork], { blocks: [block()] })
    const { seen } = taskOf(built)
    expect(seen).toMatchObject({ person: personAt('rowan'), startMin: minuteOf('2027-02-02T09:00') })
    expect(built.setUps[seen?.setUp ?? -1]?.id).toBe('yard-cored')
    expect(taskOf(build([fork], { blocks: [block({ setUpId: 'gone' })] })).seen).toBeNull()
  })
})

describe('what has begun', () => {
  it('runs on its set-up, by whoever began it, from now; what is done of it is not done again', () => {
    const built = build([fork], { work: working() })
    const { fixed, ways: own } = taskOf(built)
    expect(fixed).toMatchObject({ person: personAt('hazel'), startMin: NOW, hasBegun: true })
    expect(setUpsOf(built)[fixed?.way ?? -1]).toBe('yard-stick')
    const whole = taskOf(build([fork])).ways
    own.forEach(({ workMin }, at) => expect(workMin).toBeCloseTo((whole[at]?.workMin ?? 0) - 10, 6))
    // Nothing is done before its time: some minutes are always left.
    const nearly = taskOf(build([fork], { work: working({ workedMs: 1e9 }) }))
    expect(new Set(nearly.ways.map(({ workMin }) => workMin))).toEqual(new Set([5]))
  })
  it('by somebody who is not known is the welder’s of its block, else of who may weld it', () => {
    const person = (blocks: readonly PlannedBlock[]) =>
      taskOf(build([fork], { work: working({ welder: 'A guest' }), blocks })).fixed?.person
    expect(person([block({ welderId: 'hazel' })])).toBe(personAt('hazel'))
    const first = taskOf(build([fork])).ways.find((_, at) => setUpsOf(build([fork]))[at] === 'yard-stick')
    expect(person([])).toBe(first?.people[0])
  })
  it('and is paused goes on with its set-up and no other, unless that is gone', () => {
    expect(setUpsOf(build([fork])).length).toBeGreaterThan(1)
    const paused = build([fork], { work: working({ state: 'paused' }) })
    expect(setUpsOf(paused)).toEqual(['yard-stick'])
    expect(taskOf(paused).fixed).toBeNull()
    expect(paused.ways[0]?.map(({ setUp }) => setUp.id)).toEqual(['yard-stick'])
    const gone = build([fork], { work: working({ state: 'paused', setUpId: 'gone' }) })
    expect(setUpsOf(gone)).toEqual(setUpsOf(build([fork])))
    const running = build([fork], { work: working({ setUpId: 'gone' }) })
    expect(taskOf(running).fixed).toBeNull()
  })
})

describe('a pin', () => {
  const pinned = (part: Partial<PlannedBlock>, more: Partial<PlanQuestion> = {}, job: Job = fork) =>
    build([job], { blocks: [block({ isPinned: true, jobId: job.id, ...part })], ...more })
  it('holds its set-up, its welder and its minute', () => {
    const built = pinned({})
    const { fixed } = taskOf(built)
    expect(fixed).toMatchObject({
      person: personAt('rowan'),
      startMin: minuteOf('2027-02-02T09:00'),
      hasBegun: false,
    })
    expect(setUpsOf(built)[fixed?.way ?? -1]).toBe('yard-cored')
    expect(built.lostPins).toEqual([])
  })
  it.each([
    ['set-up-gone', { setUpId: 'gone' }, {}],
    ['set-up-fails', { setUpId: 'bench-tig-dc' }, {}],
    ['welder-gone', { welderId: 'gone' }, {}],
    [
      'welder-may-not',
      {},
      { welders: welders.map((one) => (one.id === 'rowan' ? { ...one, fcaw: false, gmaw: false } : one)) },
    ],
  ] as const)('is lost where it cannot hold, and says so: %s', (why, part, more) => {
    const built = pinned(part, more)
    expect(built.lostPins.map((one) => [one.run.job.id, one.why])).toEqual([['loader-fork', why]])
    expect(taskOf(built).fixed).toBeNull()
  })
  it('without a list of welders is somebody’s', () => {
    const built = pinned({ welderId: null }, { welders: [] })
    expect(taskOf(built).fixed?.person).toBe(0)
    expect(built.lostPins).toEqual([])
  })
})

describe('what cannot be planned', () => {
  it('is left out: nothing owned does it, or nobody may weld it', () => {
    const beam = oneOf(demo.jobs, 'hoist-beam')
    const built = build([beam])
    expect(built.problem.tasks).toEqual([])
    expect(built.leftOut).toMatchObject([{ why: 'no-set-up', nearest: { limit: { verdict: 'fails' } } }])
    const nobody = welders.map((one) => ({ ...one, gtaw: false }))
    expect(build([tray], { welders: nobody }).leftOut).toMatchObject([{ why: 'no-welder', nearest: null }])
  })
})

describe('runs that trip something together', () => {
  it('take each one of what is short by one, on that set-up alone', () => {
    const members = [
      { runId: 'loader-fork once 1', setUpId: 'yard-cored' },
      { runId: 'pressing-tray once 1', setUpId: 'bench-tig-dc' },
    ]
    const plain = build([fork, tray])
    const built = build([fork, tray], { apart: [members] })
    const ids = built.runs.map(({ id }) => id)
    expect(new Set(ids)).toEqual(new Set(plain.runs.map(({ id }) => id)))
    const shared = built.problem.shared.length - 1
    expect(shared).toBe(plain.problem.shared.length)
    expect(built.problem.shared[shared]).toMatchObject({ capacity: 1 })
    built.problem.tasks.forEach((task, at) => {
      task.ways.forEach((way, which) => {
        const setUpId = built.setUps[way.setUp]?.id
        const isMember = members.some((one) => one.runId === ids[at] && one.setUpId === setUpId)
        const before = plain.problem.tasks[at]?.ways[which]?.uses ?? []
        expect(way.uses).toEqual(isMember ? [...before, { shared, amount: 1 }] : before)
      })
    })
    expect(
      built.problem.tasks.some(({ ways: own }) =>
        own.some(({ uses }) => uses.some((use) => use.shared === shared)),
      ),
    ).toBe(true)
  })
})

describe('the plan that was kept', () => {
  it('is in the order of its starts, what has begun first; what is new is not in it', () => {
    const frame = { ...oneOf(demo.jobs, 'press-frame'), timesPerYear: null, dueOn: null }
    const blocks = [
      block({ startsAt: '2027-02-03T09:00' }),
      block({
        jobId: 'press-frame',
        setUpId: 'bay-3-spray',
        welderId: 'hazel',
        startsAt: '2027-02-02T07:00',
      }),
    ]
    const jobs = [fork, tray, frame]
    const orderOf = (built: PlanBuilt) => keptChoice(built).order.map((at) => built.runs[at]?.job.id)
    expect(orderOf(build(jobs, { blocks }))).toEqual(['press-frame', 'loader-fork'])
    expect(orderOf(build(jobs, { blocks, work: working() }))).toEqual(['loader-fork', 'press-frame'])
    const built = build(jobs, { blocks })
    const choice = keptChoice(built)
    const at = built.runs.findIndex(({ job }) => job.id === 'press-frame')
    expect(built.ways[at]?.[choice.way[at] ?? -1]?.setUp.id).toBe('bay-3-spray')
    expect(choice.person[at]).toBe(personAt('hazel'))
  })
})

describe('blocks', () => {
  it('say what is late, pinned and new, and are kept by the minute', () => {
    const built = build([tray])
    const placed = {
      task: 0,
      way: 0,
      person: 0,
      startMin: NOW + 60,
      changeMin: 9,
      endMin: endOfDay('2027-02-05') + 30,
    }
    const [late] = blocksOf(built, { placed: [placed] })
    expect(late).toMatchObject({
      jobId: 'pressing-tray',
      lateMin: 30,
      isNew: true,
      isPinned: false,
      changeMin: 9,
    })
    expect(blocksOf(built, { placed: [{ ...placed, endMin: NOW + 90 }] })[0]?.lateMin).toBe(0)
    expect(blocksOf(built, { placed: [{ ...placed, task: 7 }] })).toEqual([])
    const kept = late && keptBlock(late)
    expect(kept).toMatchObject({
      run: 'once',
      startsAt: '2027-02-01T08:00',
      endsAt: '2027-02-06T00:30',
    })
    // What nobody has hours for ends where it starts.
    expect(late && keptBlock({ ...late, endMin: Infinity }).endsAt).toBe('2027-02-01T08:00')
    // Where no day is set nothing is late, not even what never ends.
    const endless = blocksOf(build([fork]), { placed: [{ ...placed, endMin: Infinity }] })
    expect(endless[0]).toMatchObject({ lateMin: 0, welderId: welders[0]?.id })
    expect(blocksOf(build([fork], { welders: [] }), { placed: [placed] })[0]?.welderId).toBeNull()
    const pinned = build([fork], { blocks: [block({ isPinned: true })] })
    const [own] = blocksOf(pinned, { placed: [placed] })
    expect(own).toMatchObject({ isNew: false, isPinned: true, lateMin: 0, dueOn: null })
  })
  it('of a part are planned with its share', () => {
    const halves = [block({ sharePct: 40 }), block({ part: 2, sharePct: 60 })]
    const built = build([fork], { blocks: halves })
    const whole = build([fork])
    expect(built.runs.map(({ sharePct }) => sharePct)).toEqual([40, 60])
    const placed = [0, 1].map((task) => ({
      task,
      way: 0,
      person: 0,
      startMin: NOW,
      changeMin: 0,
      endMin: NOW,
    }))
    const planned = blocksOf(built, { placed }).map(({ plannedMin, workMin }) => [plannedMin, workMin])
    const [one] = blocksOf(whole, { placed: [{ ...(placed[0] as (typeof placed)[number]) }] })
    expect(planned[0]?.[0]).toBeCloseTo(0.4 * (one?.plannedMin ?? 0), 6)
    expect(planned[1]?.[1]).toBeCloseTo(0.6 * (one?.workMin ?? 0), 6)
  })
})
