/** What stands in the way of a plan, by hand: two blocks on paper, a shelf that is counted, and a torch that is not there. */
import { describe, expect, it } from 'vitest'
import { partsOf } from '../fit/document.ts'
import type { FitInput } from '../fit/fit.ts'
import type { PlannedBlock } from '../kinds/workPlan.ts'
import { takesOf } from '../stores/takes.ts'
import { demoShop } from '../testing/samples.ts'
import type { WeekBlock } from './build.ts'
import { type ConflictQuestion, conflictsOf } from './conflicts.ts'
import { minuteOf, timeOf } from './shopTime.ts'
import { Ways } from './ways.ts'

const demo = demoShop()
const { shop, setUps, jobs } = demo
const SEVEN = minuteOf('2027-02-01T07:00')
const at = (hours: number): number => SEVEN + hours * 60

const inputFor = (jobId: string, setUpId: string): FitInput | null => {
  const job = jobs.find(({ id }) => id === jobId)
  const setUp = setUps.find(({ id }) => id === setUpId)
  const answer = setUp && partsOf(setUp, demo)
  return job && setUp && answer?.ok ? { shop, job, setUp, ...answer.parts } : null
}
const question = (more: Partial<ConflictQuestion> = {}): ConflictQuestion => ({
  ways: new Ways({ shop, shelf: demo, setUps }),
  kept: [],
  inputFor,
  stock: [],
  nowMin: SEVEN,
  works: new Map(),
  ...more,
})
const block = (part: Partial<WeekBlock> = {}): WeekBlock => ({
  id: 'press-frame once 1',
  jobId: 'press-frame',
  jobName: 'Press frame',
  run: 'once',
  part: 1,
  sharePct: 100,
  setUpId: 'bay-2-wire',
  setUpName: 'Bay 2 wire',
  sourceId: 'quillon-210',
  welderId: 'rowan',
  welderName: 'Rowan',
  verdict: 'fits',
  startMin: at(0),
  changeMin: 0,
  workMin: 60,
  plannedMin: 60,
  endMin: at(1),
  dueOn: null,
  lateMin: 0,
  isPinned: false,
  isNew: false,
  work: null,
  pace: { times: 1, runs: 0 },
  ...part,
})
const kinds = (blocks: readonly WeekBlock[], more?: Partial<ConflictQuestion>) =>
  conflictsOf(blocks, question(more)).map(({ kind, blockId }) => `${kind} ${blockId}`)

describe('a block', () => {
  it('is late by what it is late', () => {
    expect(kinds([block()])).toEqual([])
    expect(conflictsOf([block({ lateMin: 90 })], question())).toEqual([
      {
        blockId: 'press-frame once 1',
        jobId: 'press-frame',
        jobName: 'Press frame',
        setUpId: 'bay-2-wire',
        kind: 'late',
        byMin: 90,
      },
    ])
  })
  it('that nobody has hours for says no more than that', () => {
    expect(kinds([block({ endMin: Infinity, lateMin: 600, isPinned: true })])).toEqual([
      'never press-frame once 1',
    ])
  })
  it('that needs preheat needs a torch', () => {
    const warm = (preheatC: number | null) => (jobId: string, setUpId: string) => {
      const input = inputFor(jobId, setUpId)
      return input && { ...input, job: { ...input.job, preheatC } }
    }
    const none = { ...shop, assumptions: { ...shop.assumptions, preheatTorches: 0 } }
    const without = new Ways({ shop: none, shelf: demo, setUps })
    expect(kinds([block()], { ways: without, inputFor: warm(100) })).toEqual(['no-torch press-frame once 1'])
    expect(kinds([block()], { ways: without, inputFor: warm(null) })).toEqual([])
    expect(kinds([block()], { inputFor: warm(100) })).toEqual([])
    expect(kinds([block()], { ways: without, inputFor: () => null })).toEqual([])
  })
})

describe('a pin', () => {
  const pin = (startsAt: string, more: Partial<PlannedBlock> = {}): PlannedBlock => ({
    jobId: 'press-frame',
    run: 'once',
    part: 1,
    sharePct: 100,
    setUpId: 'bay-2-wire',
    welderId: 'rowan',
    startsAt,
    endsAt: startsAt,
    isPinned: true,
    ...more,
  })
  const other = (part: Partial<WeekBlock> = {}): WeekBlock =>
    block({
      id: 'post',
      jobId: 'post',
      jobName: 'Press screw post',
      welderName: 'Hazel',
      endMin: at(3),
      ...part,
    })
  const late = (
    blocks: readonly WeekBlock[],
    kept: readonly PlannedBlock[] = [pin('2027-02-01T08:00')],
    more = {},
  ) =>
    conflictsOf(blocks, question({ kept, ...more })).flatMap((one) =>
      one.kind === 'pin-late' ? [[one.byMin, one.because]] : [],
    )
  const pinned = (part: Partial<WeekBlock> = {}): WeekBlock =>
    block({ isPinned: true, startMin: at(3), endMin: at(4), ...part })

  it('that cannot hold names what is on the machine, or what its welder does', () => {
    expect(late([pinned(), other()])).toEqual([[120, 'Press screw post']])
    const elsewhere = other({ sourceId: 'tarn-400', welderName: 'Rowan' })
    expect(late([elsewhere, pinned()])).toEqual([[120, 'Press screw post']])
    expect(late([pinned(), other({ sourceId: 'tarn-400' })])).toEqual([])
  })
  it('is not late where it holds, where it has begun, or where it is none', () => {
    expect(late([pinned({ startMin: at(1) }), other()])).toEqual([])
    expect(late([pinned({ startMin: at(1) + 1 }), other()])).toEqual([])
    expect(late([pinned({ startMin: at(1) + 2 }), other()])).toEqual([[2, 'Press screw post']])
    expect(late([pinned({ isPinned: false }), other()])).toEqual([])
    const begun = { state: 'running' } as unknown as NonNullable<WeekBlock['work']>
    expect(late([pinned({ work: begun }), other()])).toEqual([])
  })
  it('is in the way of itself by no means, and of nothing that is over or comes later', () => {
    expect(late([pinned({ startMin: at(1) + 30, endMin: at(5) })])).toEqual([])
    expect(late([pinned(), other({ endMin: at(1) })])).toEqual([])
    expect(late([pinned(), other({ startMin: at(1) })])).toEqual([[120, 'Press screw post']])
    expect(late([pinned(), other({ startMin: at(1) + 1 })])).toEqual([])
  })
  it('counts from now where its minute is past, and from its own run and part alone', () => {
    expect(late([pinned(), other()], [pin('2027-01-31T08:00')])).toEqual([[180, 'Press screw post']])
    for (const wrong of [{ jobId: 'x' }, { run: '2027-02-01' }, { part: 2 }])
      expect(late([pinned(), other()], [pin('2027-02-01T08:00', wrong)]), JSON.stringify(wrong)).toEqual([])
  })
})

describe('what runs out', () => {
  const input = inputFor('press-frame', 'bay-2-wire')
  if (!input) throw new Error('the demo has no press frame in bay 2')
  const wire = () => {
    const [take] = takesOf(input).filter(({ kind }) => kind === 'wire')
    if (!take) throw new Error('it takes no wire')
    return take
  }
  const ending = (blocks: readonly WeekBlock[], amount: number, more: Partial<ConflictQuestion> = {}) =>
    conflictsOf(blocks, question({ stock: [{ id: `wire.${wire().itemId}`, amount }], ...more })).flatMap(
      (one) => (one.kind === 'runs-out' ? [one] : []),
    )

  it('is what the blocks draw one after the other: the first that it does not reach for', () => {
    const { amount, packSize, packPrice, itemId, name } = wire()
    const first = block()
    const second = block({ id: 'again', startMin: at(2), endMin: at(4) })
    expect(ending([first, second], 2 * amount)).toEqual([])
    const [found, ...rest] = ending([first, second], 1.25 * amount)
    expect(rest).toEqual([])
    expect(found).toMatchObject({
      blockId: 'again',
      item: { kind: 'wire', id: itemId, name },
      packs: Math.ceil((0.75 * amount) / packSize),
      price: packPrice,
    })
    // A quarter of its two hours.
    expect(timeOf(found?.atMin ?? 0)).toBe('2027-02-01T09:30')
    expect(found?.otherSetUps.length).toBeGreaterThan(0)
    const byName = new Map(setUps.map((one) => [one.name, one.wireId]))
    for (const one of found?.otherSetUps ?? []) expect(byName.get(one)).not.toBe(itemId)
  })
  it('counts parts of a run by their share, and packs for all that is lacking', () => {
    const { amount, packSize } = wire()
    const half = block({ sharePct: 50 })
    expect(ending([half, { ...half, id: 'b' }], amount)).toEqual([])
    expect(ending([half, { ...half, id: 'b' }], 0.9 * amount)[0]?.blockId).toBe('b')
    const many = Array.from({ length: 40 }, (_, n) => block({ id: `n${n}` }))
    expect(ending(many, 0)[0]).toMatchObject({ blockId: 'n0', packs: Math.ceil((40 * amount) / packSize) })
    expect(ending([block()], -5)[0]?.atMin).toBe(at(0))
  })
  it('ends within the hours of its welder: nothing is used up overnight', () => {
    const { amount } = wire()
    const works = new Map([
      [
        'Rowan',
        [
          { startMin: at(0), endMin: at(1) },
          { startMin: at(24), endMin: at(30) },
        ],
      ],
    ])
    const long = block({ endMin: at(27) })
    // One hour of four on the first day: half of it ends an hour into the second.
    expect(timeOf(ending([long], amount / 2, { works })[0]?.atMin ?? 0)).toBe('2027-02-02T08:00')
  })
  it.each(['gas', 'tungsten'] as const)('of %s can be welded with a set-up that uses another', (kind) => {
    const tray = inputFor('pressing-tray', 'bench-tig-dc')
    const [take] = tray ? takesOf(tray).filter((one) => one.kind === kind) : []
    if (!take) throw new Error(`the pressing tray takes no ${kind}`)
    const tig = block({ jobId: 'pressing-tray', setUpId: 'bench-tig-dc' })
    const [found] = conflictsOf(
      [tig],
      question({ stock: [{ id: `${kind}.${take.itemId}`, amount: 0 }] }),
    ).flatMap((one) => (one.kind === 'runs-out' ? [one] : []))
    expect(found).toMatchObject({ item: { kind, id: take.itemId }, ends: take.endsWith(0), atMin: at(0) })
    const key = kind === 'gas' ? 'gasId' : 'tungstenId'
    const of = new Map(setUps.map((one) => [one.name, one[key]]))
    for (const one of found?.otherSetUps ?? []) expect(of.get(one)).not.toBe(take.itemId)
    // Of all that do the job, none with another one is left out.
    const { ways } = new Ways({ shop, shelf: demo, setUps }).ofJob(tray?.job as never)
    const others = ways.filter(({ setUp }) => setUp[key] !== take.itemId).map(({ setUp }) => setUp.name)
    expect(found?.otherSetUps).toEqual(others)
  })
  it('is nothing that is not counted, and nothing of a set-up that is not there', () => {
    expect(conflictsOf([block()], question())).toEqual([])
    expect(ending([block({ setUpId: 'gone' })], 0)).toEqual([])
  })
})
