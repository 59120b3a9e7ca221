/** Which set-ups a plan has for a job, what they share, and what a job takes of the breakers beside its work laid out second by second. */
import { describe, expect, it } from 'vitest'
import { capabilityOf } from '../capability/capability.ts'
import { chosenOf } from '../capability/slots.ts'
import { demandOf } from '../demand/demand.ts'
import type { Job } from '../kinds/job.ts'
import type { SetUp } from '../kinds/equipment.ts'
import { beatsOf } from '../power/trips.ts'
import { demoShop, oneOf } from '../testing/samples.ts'
import { Ways } from './ways.ts'

const demo = demoShop()
const { shop, setUps, jobs } = demo
const ways = new Ways({ shop, shelf: demo, setUps })

/** Root mean square over the hottest ten minutes of the job, second by second; over all of it where it is shorter. */
function hottestA(job: Job, setUp: SetUp): number {
  const capability = capabilityOf(shop, setUp, chosenOf(setUp, demo))
  const beats = beatsOf(capability, demandOf(job, setUp.process, capability.wire, shop))
  if (!beats) throw new Error('it draws nothing')
  const squares: number[] = []
  let leftS = 0
  const put = (amps: number, seconds: number): void => {
    for (leftS += seconds; leftS >= 1; leftS -= 1) squares.push(amps ** 2)
  }
  for (const { onS, offS, times, onA, offA } of beats)
    for (let time = 0; time < times; time += 1) {
      put(onA, onS)
      put(offA, offS)
    }
  let [sum, most] = [0, 0]
  squares.forEach((square, at) => {
    sum += square - (at >= 600 ? (squares[at - 600] ?? 0) : 0)
    most = Math.max(most, sum)
  })
  return Math.sqrt(most / 600)
}

// A breaker is warm within minutes (inverse-time, UL 489): twenty minutes of tacking before do not cool the welds after.
describe('on a breaker a job counts as in its hottest ten minutes', () => {
  const cases = (['piece-by-piece', 'weld-by-weld'] as const).flatMap((order) =>
    ['press-frame', 'tank-manifold', 'pressing-tray', 'gusset-template'].map((id) => [id, order] as const),
  )
  it.each(cases)('%s, %s', (id, order) => {
    const job = { ...oneOf(jobs, id), order }
    let compared = 0
    for (const { setUp, uses } of ways.ofJob(job).ways) {
      const use = uses.find(({ key }) => key === `circuit ${setUp.circuitId}`)
      if (!use) continue
      const hottest = hottestA(job, setUp)
      expect(use.amount).toBeGreaterThan(hottest * 0.98)
      expect(use.amount).toBeLessThan(hottest * 1.05 + 0.5)
      compared += 1
    }
    expect(compared).toBeGreaterThan(0)
  })
})

const fork = oneOf(jobs, 'loader-fork')
const frame = oneOf(jobs, 'press-frame')
const tray = oneOf(jobs, 'pressing-tray')
const waysIn = (part: Partial<typeof demo>, more: readonly SetUp[] = []): Ways =>
  new Ways({ shop: part.shop ?? shop, shelf: { ...demo, ...part }, setUps: [...setUps, ...more] })
const wayOf = (of: Ways, job: Job, setUpId: string) =>
  of.ofJob(job).ways.find(({ setUp }) => setUp.id === setUpId)
const usedBy = (of: Ways, job: Job, setUpId: string): readonly string[] =>
  wayOf(of, job, setUpId)?.uses.map(({ key }) => key) ?? []
const sharedOf = (of: Ways, id: string) => of.shared.find((one) => one.id === id)

// Facts of the trade: common practice, no source.
describe('a thing of which there is one', () => {
  const tig = oneOf(setUps, 'bench-tig-dc')
  /** The same bench with another machine, and its twin on the same one. */
  const [elsewhere, twin] = [
    { ...tig, id: 'other-bench', powerSourceId: 'osier-160' },
    { ...tig, id: 'twin' },
  ]
  it('is shared where machines take turns with it, and not by set-ups of one machine', () => {
    expect(sharedOf(waysIn({}, [twin]), 'gun torch-150')).toBeUndefined()
    const shared = waysIn({}, [elsewhere])
    expect(sharedOf(shared, 'gun torch-150')).toMatchObject({ kind: 'gun', capacity: 1 })
    expect(usedBy(shared, tray, 'bench-tig-dc')).toContain('gun torch-150')
    // The gun of the wire machine is nobody else's.
    expect(usedBy(shared, frame, 'north-wall-wire')).not.toContain('gun torch-150')
  })
  it('and is a feeder is shared alike', () => {
    const spray = oneOf(setUps, 'bay-3-spray')
    const shared = waysIn({}, [{ ...spray, id: 'far-spray', powerSourceId: 'quillon-210' }])
    expect(sharedOf(waysIn({}), 'feeder tarn-w4')).toBeUndefined()
    expect(sharedOf(shared, 'feeder tarn-w4')).toMatchObject({ kind: 'feeder', capacity: 1 })
    const thick = { ...frame, joints: frame.joints.map((joint) => ({ ...joint, position: 'flat' as const })) }
    expect(usedBy(shared, thick, 'bay-3-spray')).toContain('feeder tarn-w4')
  })
  it('cylinders of a gas are shared by as many machines as there are cylinders in the house', () => {
    const argon = (id: string, returnedOn: string | null) => ({
      ...oneOf(demo.cylinders, 'tarn-mix'),
      id,
      gasId: 'argon',
      openOnId: null,
      returnedOn,
    })
    // Without a list of cylinders nobody knows how many there are.
    expect(sharedOf(waysIn({}), 'cylinder argon')).toBeUndefined()
    const two = waysIn({ cylinders: [argon('one', null), argon('two', null), argon('gone', '2026-11-02')] })
    expect(sharedOf(two, 'cylinder argon')).toMatchObject({ kind: 'cylinder', capacity: 2 })
    expect(usedBy(two, tray, 'bench-tig-dc')).toContain('cylinder argon')
    expect(usedBy(two, frame, 'north-wall-wire')).not.toContain('cylinder argon')
    expect(sharedOf(waysIn({ cylinders: [argon('gone', '2026-11-02')] }), 'cylinder argon')).toBeUndefined()
  })
  it('the preheating torch is for jobs that are preheated', () => {
    const warm = { ...fork, preheatC: 110 }
    expect(usedBy(ways, warm, 'yard-cored')).toContain('preheat torch')
    expect(usedBy(ways, fork, 'yard-cored')).not.toContain('preheat torch')
    const three = waysIn({ shop: { ...shop, assumptions: { ...shop.assumptions, preheatTorches: 3 } } })
    expect(sharedOf(three, 'preheat torch')).toMatchObject({ kind: 'preheat', capacity: 3 })
  })
})

describe('the breaker that a machine shares with what runs all day', () => {
  const capacityOf = (loads: typeof demo.loads): number => {
    const of = waysIn({ loads })
    of.ofJob(tray)
    return sharedOf(of, 'circuit bay-1')?.capacity ?? NaN
  }
  const load = oneOf(demo.loads, 'compressor')
  // The heat of a current that comes and goes is that of its root mean square (IEC 60050-103-02-03, from memory).
  it.each([
    ['17 A for 4 min in 13', { runningA: 17, onMin: 4, offMin: 9 }, 9.43],
    ['10 A half of the time', { runningA: 10, onMin: 3, offMin: 3 }, 7.07],
    ['8 A without end', { runningA: 8, onMin: null, offMin: null }, 8],
  ])('has so much less left: %s', (_, part, lessA) => {
    expect(capacityOf([]) - capacityOf([{ ...load, startingA: null, ...part }])).toBeCloseTo(lessA, 2)
  })
})

describe('set-ups that do a job', () => {
  it('with a part still to buy are left out, unless they are looked at as if it were there', () => {
    const also = new Ways({ shop, shelf: demo, setUps }, new Set(['heath-stick']))
    const ids = (of: Ways): readonly string[] => of.setUps.map(({ id }) => id)
    expect(ids(ways)).not.toContain('heath-stick')
    expect(ids(also)).toContain('heath-stick')
    expect(ids(also)).not.toContain('spool-gun')
    const bare = { ...oneOf(setUps, 'bay-2-wire'), id: 'bare', gunId: 'gone' }
    expect(ids(waysIn({}, [bare]))).not.toContain('bare')
    expect(ids(waysIn({}, [{ ...bare, powerSourceId: 'gone', gunId: 'gun-250' }]))).not.toContain('bare')
  })
  it('where none does it, the job’s own comes nearest, else the first, with what it fails by', () => {
    const beam = oneOf(jobs, 'hoist-beam')
    const nearestOf = (setUpId: string | null) => ways.ofJob({ ...beam, setUpId }).nearest
    expect(nearestOf('bench-tig-ac')?.setUp.id).toBe('bench-tig-ac')
    expect(nearestOf('bench-tig-ac')?.limit?.verdict).toBe('fails')
    expect(nearestOf(null)?.setUp.id).toBe(ways.setUps[0]?.id)
    expect(ways.ofJob(tray).nearest).toBeNull()
  })
  it('other than the one that was chosen are taken for ten minutes less; where none was chosen none is', () => {
    const of = (setUpId: string | null) => wayOf(ways, { ...fork, setUpId }, 'yard-stick')?.dislikedMin ?? NaN
    expect(of('yard-cored') - of('yard-stick')).toBe(10)
    expect(of(null)).toBe(of('yard-stick'))
  })
  it('cost two hours where their wire has to be fetched, and none where it lies there', () => {
    const of = (amount: number) => {
      const stock = demo.stock.map((one) => (one.id === 'wire.e71t11-045' ? { ...one, amount } : one))
      return wayOf(waysIn({ stock }), fork, 'yard-cored')
    }
    expect((of(0)?.dislikedMin ?? NaN) - (of(4000)?.dislikedMin ?? NaN)).toBe(120)
    // It takes as long to weld either way.
    expect(of(0)?.plannedMin).toBe(of(4000)?.plannedMin)
  })
  it('by a tight verdict cost a share of their time', () => {
    const tight = jobs.flatMap((job) =>
      ways
        .ofJob({ ...job, setUpId: null })
        .ways.flatMap((way) => (way.verdict === 'tight' ? [{ job, way }] : [])),
    )
    expect(tight.length).toBeGreaterThan(0)
    for (const { job, way } of tight) {
      const twice = waysIn({
        shop: {
          ...shop,
          assumptions: { ...shop.assumptions, tightCostPct: 2 * ways.assumptions.tightCostPct },
        },
      })
      const more = wayOf(twice, { ...job, setUpId: null }, way.setUp.id)?.dislikedMin ?? NaN
      expect(more - way.dislikedMin).toBeCloseTo((way.plannedMin * ways.assumptions.tightCostPct) / 100, 9)
    }
  })
})
