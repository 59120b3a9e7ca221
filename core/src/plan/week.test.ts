/**
 * The plan of the demo shop as a foreman reads it, and what changes it. Facts of the trade: common practice, no source.
 */
import { randomLcg } from 'd3-random'
import { describe, expect, it } from 'vitest'
import { type HeardMark, type WorkMark, workKey, workOf } from '../events/workMarked.ts'
import { partsOf } from '../fit/document.ts'
import type { FitInput } from '../fit/fit.ts'
import type { Job } from '../kinds/job.ts'
import type { Welder } from '../kinds/welder.ts'
import { does } from '../model/verdict.ts'
import { demoShop } from '../testing/samples.ts'
import { faultsOf } from '../testing/planChecker.ts'
import { batchesOf } from './batches.ts'
import { buildPlan, keptBlock, keptChoice, type PlanQuestion, type WeekBlock } from './build.ts'
import { conflictsOf } from './conflicts.ts'
import { interruptionsOf } from './interrupt.ts'
import { worksOf } from './people.ts'
import { Placing } from './placing.ts'
import { PlanSearch } from './search.ts'
import { savesOf } from './saves.ts'
import { minuteOf, timeOf } from './shopTime.ts'
import { isCalm, movedIn, planCalmly, planNow, USUAL_CALM } from './week.ts'
import { Ways } from './ways.ts'

const shopDocument = demoShop()
const { shop, setUps, jobs, welders } = shopDocument
const ways = new Ways({ shop, shelf: shopDocument, setUps })
/** A Monday. */
const NOW = minuteOf('2027-02-01T07:00')
const asked = (more: Partial<PlanQuestion> = {}): PlanQuestion => ({
  jobs,
  welders,
  blocks: [],
  work: new Map(),
  nowMin: NOW,
  ...more,
})
const withJob = (id: string, change: Partial<Job>): readonly Job[] =>
  jobs.map((job) => (job.id === id ? { ...job, ...change } : job))
const works = new Map(
  welders.map((welder) => [welder.name, worksOf(welder, Math.floor(NOW / 1440), 60)] as const),
)
const blockOf = (blocks: readonly WeekBlock[], jobId: string): WeekBlock => {
  const found = blocks.find((block) => block.jobId === jobId)
  if (!found) throw new Error(`${jobId} is not in the plan`)
  return found
}
const inputFor = (jobId: string, setUpId: string): FitInput | null => {
  const job = jobs.find(({ id }) => id === jobId)
  const setUp = setUps.find(({ id }) => id === setUpId)
  const answer = setUp && partsOf(setUp, shopDocument)
  return job && setUp && answer?.ok ? { shop, job, setUp, ...answer.parts } : null
}
const mark = (jobId: string, body: Partial<WorkMark> & Pick<WorkMark, 'act' | 'pressedAt'>): HeardMark => ({
  subject: `work.${jobId}`,
  body: {
    run: 'once',
    part: 1,
    setUpId: 'yard-cored',
    setUpName: 'Yard, self-shielded',
    jobName: jobId,
    welder: 'Rowan',
    minutes: null,
    plannedMin: null,
    ...body,
  },
})

describe('a shop in which nobody has hours', () => {
  const idle = (welder: Welder): Welder => ({
    ...welder,
    monday: false,
    tuesday: false,
    wednesday: false,
    thursday: false,
    friday: false,
    saturday: false,
    sunday: false,
  })
  const away = (welder: Welder): Welder => ({ ...welder, awayFrom: '2026-01-01', awayUntil: '2029-01-01' })

  it.each([
    ['works on no day', idle],
    ['is away for years', away],
  ])('who %s is planned for nothing, and the plan can be kept and asked for again', (_, none) => {
    const question = asked({ welders: welders.map(none) })
    const { week } = planNow(ways, question)
    expect(week.blocks.length).toBeGreaterThan(0)
    for (const { endMin } of week.blocks) expect(endMin).toBe(Infinity)
    const blocks = week.blocks.map(keptBlock)
    for (const { startsAt, endsAt } of blocks) {
      expect(startsAt).toMatch(/^\d{4}-\d\d-\d\dT\d\d:\d\d$/)
      expect(endsAt).toBe(startsAt)
    }
    expect(movedIn(planNow(ways, { ...question, blocks }))).toEqual([])
  })
})

describe('the plan of the demo', () => {
  const { week, built, choice } = planNow(ways, asked())

  it('breaks no constraint', () => {
    expect(faultsOf(built.problem, new Placing(built.problem).placed(choice).placed)).toEqual([])
  })

  it('plans only with what is owned and does the job', () => {
    for (const { verdict, setUpId } of week.blocks) {
      expect(does(verdict)).toBe(true)
      // The shop has neither of them yet.
      expect(['spool-gun', 'heath-stick']).not.toContain(setUpId)
    }
    // Nothing owned welds the aluminium beam.
    expect(week.leftOut.map(({ run, why }) => [run.job.id, why])).toEqual([['hoist-beam', 'no-set-up']])
    // A template is no work.
    expect(week.blocks.map(({ jobId }) => jobId)).not.toContain('gusset-template')
  })

  it('gives TIG to whoever may weld it, and what is late and urgent first', () => {
    const manifold = blockOf(week.blocks, 'tank-manifold')
    expect(manifold).toMatchObject({ setUpId: 'bench-tig-316', welderName: 'Rowan' })
    expect(timeOf(manifold.startMin)).toBe('2027-02-01T07:00')
    expect(manifold.lateMin).toBeGreaterThan(0)
    // Hazel has no TIG and does not work on Fridays.
    for (const block of week.blocks.filter(({ welderName }) => welderName === 'Hazel'))
      expect(block.setUpId).not.toMatch(/tig/)
  })

  it('welds stainless of 304 with its own rod, where changing over to it takes minutes', () => {
    expect(blockOf(week.blocks, 'pressing-tray').setUpId).toBe('bench-tig-dc')
  })

  it('is the same when it is asked again, and when it was kept', () => {
    expect(planNow(ways, asked()).week).toEqual(week)
    const kept = planNow(ways, asked({ blocks: week.blocks.map(keptBlock) }))
    expect(movedIn(kept)).toEqual([])
  })
})

describe('standing work', () => {
  it('comes as often as it is needed, each run by its own day', () => {
    const often = withJob('pressing-tray', { timesPerYear: 52, dueOn: '2027-02-05' })
    const { blocks } = planNow(ways, asked({ jobs: often })).week
    const due = blocks.filter(({ jobId }) => jobId === 'pressing-tray').map(({ dueOn }) => dueOn)
    // Six weeks ahead, a run a week.
    expect(due.toSorted()).toEqual([
      '2027-02-05',
      '2027-02-12',
      '2027-02-19',
      '2027-02-26',
      '2027-03-05',
      '2027-03-12',
    ])
  })

  it('a run that is done does not come again, and the next one does', () => {
    const often = withJob('pressing-tray', { timesPerYear: 52, dueOn: '2027-02-05' })
    const work = workOf(
      [
        mark('pressing-tray', {
          act: 'done',
          run: '2027-02-05',
          pressedAt: '2027-02-01T15:00:00Z',
          minutes: 70,
        }),
      ],
      Date.parse,
    )
    const { blocks } = planNow(ways, asked({ jobs: often, work })).week
    expect(blocks.filter(({ jobId }) => jobId === 'pressing-tray').map(({ run }) => run)).not.toContain(
      '2027-02-05',
    )
    expect(blocks.map(({ run }) => run)).toContain('2027-02-12')
  })

  it('without a due day it comes again when its share of the year is over', () => {
    // The fork breaks twelve times a year, and is done on the second of January.
    const done = mark('loader-fork', { act: 'done', pressedAt: '2027-01-02T15:00:00Z', minutes: 60 })
    const at = (time: string) =>
      planNow(ways, asked({ nowMin: minuteOf(time), work: workOf([done], Date.parse) }))
        .week.blocks.filter(({ jobId }) => jobId === 'loader-fork')
        .map(({ work }) => work)
    expect(at('2027-01-20T07:00')).toEqual([])
    expect(at('2027-02-02T07:00')).toEqual([null])
  })

  it('another due day keeps its place and its pin', () => {
    const often = withJob('pressing-tray', { timesPerYear: 52, dueOn: '2027-02-05' })
    const first = planNow(ways, asked({ jobs: often })).week.blocks.map(keptBlock)
    const pinned = first.map((one) => (one.run === '2027-02-05' ? { ...one, isPinned: true } : one))
    const moved = withJob('pressing-tray', { timesPerYear: 52, dueOn: '2027-02-06' })
    const { blocks } = planNow(ways, asked({ jobs: moved, blocks: pinned })).week
    expect(blocks.find(({ run }) => run === '2027-02-06')?.isPinned).toBe(true)
  })
})

describe('by hand', () => {
  const first = planNow(ways, asked()).week.blocks.map(keptBlock)
  const pinnedAt = (jobId: string, startsAt: string, more = {}) =>
    first.map((one) => (one.jobId === jobId ? { ...one, startsAt, isPinned: true, ...more } : one))

  it('what is dragged starts where it was put, and little else moves', () => {
    const blocks = pinnedAt('picking-platform', '2027-02-02T09:30')
    const found = planCalmly(ways, asked({ blocks }), [NOW, minuteOf('2027-02-02T09:30')])
    const { week, built } = found
    expect(timeOf(blockOf(week.blocks, 'picking-platform').startMin)).toBe('2027-02-02T09:30')
    const moved = movedIn(found).filter((id) => !id.startsWith('picking-platform'))
    expect(moved.length).toBeLessThanOrEqual(Math.ceil(first.length / 4))
    expect(faultsOf(built.problem, new Placing(built.problem).placed(keptChoice(built)).placed)).toEqual([])
  })

  it('a pin that cannot hold says why', () => {
    const lost = (more: object) =>
      planNow(ways, asked({ blocks: pinnedAt('pressing-tray', '2027-02-02T09:30', more) }))
    expect(lost({ setUpId: 'nothing' }).week.lostPins[0]?.why).toBe('set-up-gone')
    expect(lost({ setUpId: 'yard-cored' }).week.lostPins[0]?.why).toBe('set-up-fails')
    expect(lost({ welderId: 'nobody' }).week.lostPins[0]?.why).toBe('welder-gone')
    expect(lost({ welderId: 'hazel' }).week.lostPins[0]?.why).toBe('welder-may-not')
    expect(lost({}).week.lostPins).toEqual([])
  })

  it('two pins at one time by one person: the second says what is in its way', () => {
    const blocks = pinnedAt('pressing-tray', '2027-02-02T09:30').map((one) =>
      one.jobId === 'tank-manifold' ? { ...one, startsAt: '2027-02-02T09:40', isPinned: true } : one,
    )
    const { week } = planNow(ways, asked({ blocks }))
    const conflicts = conflictsOf(week.blocks, {
      ways,
      kept: blocks,
      inputFor,
      stock: [],
      nowMin: NOW,
      works,
    })
    expect(conflicts.filter(({ kind }) => kind === 'pin-late')).toMatchObject([
      { jobName: 'Tank manifold', because: 'Pressing tray' },
    ])
  })

  it('a split run is planned in its parts, and both together take what the whole takes', () => {
    const whole = blockOf(planNow(ways, asked()).week.blocks, 'press-screw-post')
    const blocks = first.flatMap((one) =>
      one.jobId === 'press-screw-post'
        ? [
            { ...one, sharePct: 25 },
            { ...one, part: 2, sharePct: 75 },
          ]
        : [one],
    )
    const parts = planNow(ways, asked({ blocks })).week.blocks.filter(
      ({ jobId }) => jobId === 'press-screw-post',
    )
    expect(parts.map(({ part }) => part).toSorted()).toEqual([1, 2])
    const own = parts.filter(({ setUpId }) => setUpId === whole.setUpId)
    expect(own.reduce((sum, { workMin }) => sum + workMin, 0)).toBeCloseTo(whole.workMin, 6)
  })

  it('a plan that moves more than a quarter of what was seen is not calm, but three may always move', () => {
    const movedBy = (count: number, built: ReturnType<typeof buildPlan>): boolean => {
      const { placed } = new Placing(built.problem).placed(keptChoice(built))
      return isCalm(
        built.problem,
        placed.map((one, at) => (at < count ? { ...one, startMin: one.startMin + 60 } : one)),
      )
    }
    const few = buildPlan(ways, asked({ blocks: first, calm: USUAL_CALM }))
    expect([0, 3, 4].map((count) => movedBy(count, few))).toEqual([true, true, false])
    // A run a week of every job: more than twenty.
    const often = jobs.map((job) => ({ ...job, timesPerYear: 52, dueOn: '2027-02-05' }))
    const kept = planNow(ways, asked({ jobs: often })).week.blocks.map(keptBlock)
    const many = buildPlan(ways, asked({ jobs: often, blocks: kept }))
    const quarter = Math.floor(kept.length / 4)
    expect(kept.length).toBeGreaterThan(20)
    expect([quarter, quarter + 1].map((count) => movedBy(count, many))).toEqual([true, false])
  })
})

describe('what is in the way', () => {
  it('wire and gas end where the plan uses them up, with what to order', () => {
    const { week } = planNow(ways, asked())
    const post = blockOf(week.blocks, 'press-screw-post')
    const own = setUps.find(({ id }) => id === post.setUpId)
    const stock = [{ id: `wire.${own?.wireId ?? ''}`, amount: 100 }]
    const found = conflictsOf(week.blocks, { ways, kept: [], inputFor, stock, nowMin: NOW, works })
    const ending = found.flatMap((one) => (one.kind === 'runs-out' ? [one] : []))
    expect(ending).toHaveLength(1)
    expect(ending[0]?.packs).toBeGreaterThanOrEqual(1)
    const block = week.blocks.find(({ id }) => id === ending[0]?.blockId)
    expect(ending[0]?.atMin).toBeGreaterThanOrEqual(block?.startMin ?? Infinity)
    expect(ending[0]?.atMin).toBeLessThan(block?.endMin ?? 0)
    // Nothing runs out while nobody welds.
    const hours = works.get(block?.welderName ?? '') ?? []
    const atMin = ending[0]?.atMin ?? 0
    expect(hours.some(({ startMin, endMin }) => atMin >= startMin && atMin <= endMin)).toBe(true)
    expect(
      conflictsOf(week.blocks, { ways, kept: [], inputFor, stock: [], nowMin: NOW, works }).map(
        ({ kind }) => kind,
      ),
    ).toEqual(week.blocks.filter(({ lateMin }) => lateMin > 0).map(() => 'late'))
  })

  it('preheat needs a torch', () => {
    const warmed = withJob('loader-fork', { preheatC: 110 })
    const without = { ...shop, assumptions: { ...shop.assumptions, preheatTorches: 0 } }
    const kinds = (of: Ways) => {
      const { week } = planNow(of, asked({ jobs: warmed }))
      const own = (jobId: string, setUpId: string): FitInput | null => {
        const input = inputFor(jobId, setUpId)
        return input && { ...input, job: warmed.find(({ id }) => id === jobId) ?? input.job }
      }
      return conflictsOf(week.blocks, {
        ways: of,
        kept: [],
        inputFor: own,
        stock: [],
        nowMin: NOW,
        works,
      }).map(({ kind }) => kind)
    }
    expect(kinds(ways)).not.toContain('no-torch')
    expect(kinds(new Ways({ shop: without, shelf: shopDocument, setUps }))).toContain('no-torch')
  })

  it('a late job comes sooner by going first or by overtime, the cheapest first', () => {
    // Two days of work that are due today.
    const soon = withJob('press-screw-post', { dueOn: '2027-02-01', priority: 'low' })
    const question = asked({ jobs: soon })
    const kept = { ...question, blocks: planNow(ways, question).week.blocks.map(keptBlock) }
    const { week } = planNow(ways, kept)
    const late = blockOf(week.blocks, 'press-screw-post')
    expect(late.lateMin).toBeGreaterThan(0)
    const saves = savesOf(ways, kept, week, late)
    expect(saves.map(({ kind }) => kind)).toContain('overtime')
    for (const { lateMin } of saves) expect(lateMin).toBeLessThan(late.lateMin)
    expect(saves.map(({ price }) => price)).toEqual(saves.map(({ price }) => price).toSorted((a, b) => a - b))
    // Overtime is paid, going first is not.
    for (const { kind, price } of saves) expect(price > 0).toBe(kind === 'overtime')
  })

  it('nobody who may weld it leaves a job out, and says so', () => {
    const onlyHazel = welders.filter(({ id }) => id === 'hazel')
    const { leftOut } = planNow(ways, asked({ welders: onlyHazel })).week
    expect(leftOut.map(({ run, why }) => `${run.job.id} ${why}`)).toEqual(
      expect.arrayContaining(['pressing-tray no-welder', 'tank-manifold no-welder']),
    )
    // Qualified work is for those who are qualified.
    const unqualified = welders.map((welder): Welder => ({ ...welder, approved: false }))
    const left = planNow(ways, asked({ welders: unqualified })).week.leftOut
    expect(left.map(({ run }) => run.job.id)).toEqual(
      expect.arrayContaining(['press-frame', 'tank-manifold']),
    )
    expect(left.map(({ run }) => run.job.id)).not.toContain('pressing-tray')
  })
})

describe('something broke', () => {
  it('is done now, by whom and where it costs least, and says what becomes late', () => {
    const { week } = planNow(ways, asked())
    const question = asked({ blocks: week.blocks.map(keptBlock) })
    const fork = blockOf(week.blocks, 'loader-fork')
    const found = interruptionsOf(ways, question, planNow(ways, question).week, fork.id)
    expect(found.length).toBeGreaterThan(0)
    for (const { block } of found) {
      expect(block.jobId).toBe('loader-fork')
      // At once, or when the first welder comes at seven and eight.
      expect(block.startMin).toBeLessThanOrEqual(NOW + 60)
    }
  })

  it('stops what runs where that is sooner', () => {
    const work = workOf(
      [mark('press-screw-post', { act: 'start', pressedAt: '2027-02-01T12:00:00Z', welder: 'Rowan' })],
      Date.parse,
    )
    const onlyRowan = welders.filter(({ id }) => id === 'rowan')
    const question = asked({ work, welders: onlyRowan })
    const { week } = planNow(ways, question)
    const fork = blockOf(week.blocks, 'loader-fork')
    const [best] = interruptionsOf(ways, question, week, fork.id)
    expect(best?.stops?.jobId).toBe('press-screw-post')
    expect(best?.block.startMin).toBe(NOW)
    // What was stopped goes on after it, and none of it is lost.
    const rest = best?.week.blocks.find(({ jobId }) => jobId === 'press-screw-post')
    expect(rest?.startMin).toBeGreaterThanOrEqual(best?.block.endMin ?? Infinity)
  })
})

describe('batches', () => {
  it('runs of one set-up apart are offered together, with what it saves', () => {
    // Tray, manifold, tray: a change of rod too many.
    const twice = withJob('pressing-tray', { timesPerYear: 26, dueOn: '2027-02-10' }).map((job) =>
      job.id === 'tank-manifold' ? { ...job, dueOn: '2027-03-30' } : job,
    )
    const found = planNow(ways, asked({ jobs: twice }))
    const order = [...found.choice.order]
    const trays = order.filter((task) => found.built.runs[task]?.job.id === 'pressing-tray')
    const manifold = order.filter((task) => found.built.runs[task]?.job.id === 'tank-manifold')
    const rest = order.filter((task) => ![...trays, ...manifold].includes(task))
    const apart = [...trays.slice(0, 1), ...manifold, ...trays.slice(1), ...rest]
    const batches = batchesOf(found.built, { ...found.choice, order: apart })
    expect(batches[0]?.savesMin).toBeGreaterThan(5)
    expect(new Set(batches[0]?.jobNames)).toEqual(new Set(['Pressing tray']))
    const together = [...trays, ...manifold, ...rest]
    expect(batchesOf(found.built, { ...found.choice, order: together })).toEqual([])
  })
})

it('a day of presses, breakdowns and drags ends with nothing lost', () => {
  const random = randomLcg(0.37)
  const marks: HeardMark[] = []
  let blocks = planNow(ways, asked()).week.blocks.map(keptBlock)
  const all = new Set(blocks.map(({ jobId, run }) => workKey(jobId, run, 1)))
  for (let minute = 0; minute < 510; minute += 15) {
    const nowMin = NOW + minute
    const at = new Date(Date.UTC(2027, 1, 1, 7) + minute * 60_000).toISOString()
    const question = asked({ nowMin, blocks, work: workOf(marks, Date.parse) })
    const found = planNow(ways, question)
    expect(
      faultsOf(found.built.problem, new Placing(found.built.problem).placed(found.choice).placed),
    ).toEqual([])
    const { blocks: now } = found.week
    const press = random()
    const running = now.filter(({ work }) => work?.state === 'running')
    const press1 = (block: WeekBlock, act: WorkMark['act'], minutes: number | null = null): void => {
      marks.push(
        mark(block.jobId, {
          act,
          run: block.run,
          part: block.part,
          pressedAt: at,
          setUpId: block.setUpId,
          welder: block.welderName,
          minutes,
          plannedMin: block.plannedMin,
        }),
      )
    }
    const next = now.find(
      (block) =>
        !block.work &&
        !running.some((one) => one.sourceId === block.sourceId || one.welderName === block.welderName),
    )
    if (press < 0.35 && next) press1(next, 'start')
    else if (press < 0.5 && running[0]) press1(running[0], 'pause')
    else if (press < 0.7 && running[0]) press1(running[0], 'done', 30 + Math.round(random() * 90))
    else if (press < 0.8 && next) {
      const [best] = interruptionsOf(ways, question, found.week, next.id)
      if (best?.stops) press1(best.stops, 'pause')
      if (best) blocks = best.week.blocks.map(keptBlock)
    } else if (press < 0.9 && next) {
      const startsAt = timeOf(nowMin + 60)
      const changed = now
        .map(keptBlock)
        .map((one) => (one.jobId === next.jobId ? { ...one, startsAt, isPinned: true } : one))
      blocks = planCalmly(ways, { ...question, blocks: changed }, [nowMin, nowMin + 60]).week.blocks.map(
        keptBlock,
      )
    }
  }
  const work = workOf(marks, Date.parse)
  const end = planNow(ways, asked({ nowMin: NOW + 510, blocks, work })).week.blocks
  const left = new Set([
    ...end.map(({ id }) => id),
    ...[...work.values()]
      .filter(({ state }) => state === 'done')
      .map(({ jobId, run, part }) => workKey(jobId, run, part)),
  ])
  expect(left).toEqual(all)
  for (const block of end) expect(block.workMin).toBeGreaterThan(0)
})

it('a search in parts holds a plan at every step', () => {
  const built = buildPlan(ways, asked())
  const search = new PlanSearch(built.problem, { seed: 0.42, trials: 2000 })
  let before = Infinity
  while (!search.isOver) {
    search.run(400)
    expect(search.bestCost).toBeLessThanOrEqual(before)
    before = search.bestCost
    expect(faultsOf(built.problem, search.best.placed)).toEqual([])
  }
})
