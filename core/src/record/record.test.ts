/** What the record teaches. Figures of the tests are made up; the rules are statistics and common practice. */
import fc from 'fast-check'
import { median as medianOf, quantileSeq, std } from 'mathjs'
import { describe, expect, it } from 'vitest'
import { assumptionsOf } from '../assumptions/assume.ts'
import { demandOf } from '../demand/demand.ts'
import type { Replaced } from '../events/partReplaced.ts'
import {
  type LogRow,
  NO_SETTINGS,
  rowsThatCount,
  usedGasL,
  usedWireG,
  type WeldRecord,
} from '../events/weldRecorded.ts'
import { demoInput } from '../testing/samples.ts'
import { record, row } from '../testing/logRows.ts'
import { joint } from '../testing/samples.ts'
import { couponPasses, leakRate, proofOf, provenTight } from './evidence.ts'
import { CO2_L_PER_G, compressibility } from '../trade/realGas.ts'
import { gaugeL, type Reading, type Vessel } from './gauge.ts'
import { planOfWelds, recordFor } from './recordFor.ts'
import { visualItems } from './visual.ts'
import { fitJob } from '../fit/fit.ts'
import { timedTravel, turnsPerMin } from '../trade/turntable.ts'
import { wireGPerMm } from '../trade/depositionRate.ts'
import type { Evidence } from '../events/evidenceTaken.ts'
import { breakersOf, lessonsOf, operatingFactorsOf } from './lessons.ts'
import { printLog, readLog } from './logSheet.ts'
import { isSameStart, ownStart, thicknessBand } from './ownStart.ts'
import { robustMean } from './robustMean.ts'
import { machineRecordsOf, MOST_OF_MACHINE } from './machineRecord.ts'
import { wearOf } from './wear.ts'

const CHART = { ...NO_SETTINGS, voltsV: 20, feedMmPerMin: 8000, flowLPerMin: 14 }
const worked = (voltsV: number, part: Partial<WeldRecord> = {}): LogRow =>
  row({ settings: { ...CHART, voltsV }, chart: CHART, ...part })
const of = record()

describe('a robust mean', () => {
  it('of values that lie together is their mean', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 0, max: 0.8, noNaN: true }), { minLength: 1, maxLength: 20 }),
        (values) => {
          const { mean, n, wild } = robustMean(values, 0.3)
          expect(n).toBe(values.length)
          expect(wild).toBe(0)
          expect(mean).toBeCloseTo(values.reduce((sum, value) => sum + value, 0) / values.length, 9)
        },
      ),
    )
  })
  it('is not moved by one wild value, however wild', () => {
    const near = [1, 1.1, 0.9, 1.05]
    for (const wild of [9, -40, 1e6])
      expect(robustMean([...near, wild], 0.3)).toEqual(
        robustMean(near, 0.3).wild === 0 ? { ...robustMean(near, 0.3), wild: 1 } : null,
      )
    expect(Number(medianOf(near))).toBeCloseTo(robustMean(near, 0.3).mean, 1)
  })
  it('keeps what a normal sample has within three standard deviations', () => {
    // Normal quantiles: 200 evenly spread places of a normal distribution (mathjs has none, so by sums of uniform ones).
    const values = Array.from({ length: 200 }, (_, index) => Math.sin(index * 12.9898) * 1.2)
    expect(robustMean(values, 0).n).toBe(200)
    expect(Number(std(values, 'uncorrected'))).toBeGreaterThan(0.5)
    expect(Number(quantileSeq(values, 0.5))).toBeCloseTo(0, 0)
  })
})

describe('the shop’s own start', () => {
  it('moves from the chart to what worked, the more the oftener it did', () => {
    const after = (n: number) =>
      ownStart(
        Array.from({ length: n }, () => worked(19)),
        of,
        CHART,
        3,
      )
    expect(ownStart([], of, CHART, 3)).toBeNull()
    expect(after(2)?.settings.voltsV).toBeCloseTo(19.6, 6)
    expect(after(3)).toMatchObject({ good: 3, wild: 0 })
    expect(after(3)?.settings.voltsV).toBeCloseTo(19.5, 6)
    expect(after(300)?.settings.voltsV).toBeCloseTo(19, 1)
    expect(after(3)?.settings.flowLPerMin).toBe(14)
    expect(after(3)?.settings.currentA).toBeNull()
  })
  it('converges to a known offset through the scatter of hands, and shrugs off one wild row', () => {
    const offset = fc.double({ min: -2, max: 2, noNaN: true })
    const scatter = fc.array(fc.double({ min: -0.25, max: 0.25, noNaN: true }), {
      minLength: 40,
      maxLength: 60,
    })
    fc.assert(
      fc.property(offset, scatter, fc.double({ min: 8, max: 60, noNaN: true }), (by, off, wildV) => {
        const rows = off.map((one) => worked(20 + by + one))
        const found = ownStart(rows, of, CHART, 3)?.settings.voltsV ?? NaN
        expect(Math.abs(found - (20 + by))).toBeLessThan(0.45)
        const withWild = ownStart([...rows, worked(Math.abs(wildV - 20) < 4 ? 60 : wildV)], of, CHART, 3)
        expect(withWild?.wild).toBe(1)
        expect(withWild?.settings.voltsV).toBeCloseTo(found, 6)
      }),
    )
  })
  it('moves wire speed by a share of itself, and what nobody wrote down stays the chart’s', () => {
    const slow = (feedMmPerMin: number | null, chartFeed: number | null = 8000) =>
      row({ settings: { ...NO_SETTINGS, feedMmPerMin }, chart: { ...CHART, feedMmPerMin: chartFeed } })
    // A tenth less, three times, against a chart that counts as three: the root of 0.9.
    const found = ownStart([slow(7200), slow(7200), slow(7200), slow(null), slow(7200, null)], of, CHART, 3)
    expect(found?.settings.feedMmPerMin).toBeCloseTo(8000 * Math.sqrt(0.9), -1)
    expect(found).toMatchObject({ good: 3, settings: { voltsV: 20, flowLPerMin: 14 } })
    expect(ownStart([slow(null)], of, CHART, 3)).toBeNull()
    // The same share of another chart.
    expect(
      ownStart([slow(7200)], of, { ...CHART, feedMmPerMin: 4000 }, 0)?.settings.feedMmPerMin,
    ).toBeCloseTo(3600, 6)
  })
  it('rests on good welds of the same source, wire, gas, band of thickness and position alone', () => {
    for (const part of [
      { outcome: 'bad' },
      { outcome: 'usable' },
      { outcome: null },
      { state: 'planned' },
      { sourceId: 'marl-140' },
      { wireId: 'er70s6-030' },
      { gasId: 'co2' },
      { position: 'overhead' },
      { metal: 'stainless' },
      { thicknessMm: 3.175 },
    ] as const)
      expect(ownStart([worked(18, part)], of, CHART, 3)).toBeNull()
    expect(ownStart([worked(18, { thicknessMm: 5 })], of, CHART, 3)).not.toBeNull()
    expect(isSameStart(of, record({ thicknessMm: 6.3 }))).toBe(true)
  })
  it('parts bands at the common plates (common practice): a gauge and its fraction are one', () => {
    expect(thicknessBand(6.35)).toBe(thicknessBand(6))
    expect(thicknessBand(3.0)).toBe(thicknessBand(3.175))
    expect(thicknessBand(3.175)).not.toBe(thicknessBand(6.35))
    expect(thicknessBand(80)).toBeGreaterThan(thicknessBand(25.4))
  })
})

const PLAN = { arcS: 600, starts: 10, wireG: 300, gasL: 200, minutes: 30 }
const done = (part: Partial<WeldRecord>): LogRow => row({ plan: PLAN, arcS: 600, ...part })
const ASSUMED = assumptionsOf({ assumptions: {} })

describe('what the log says of the plan', () => {
  it('is the time beside the arc, and taking it makes the planned hours what they were', () => {
    // 30 min planned with 10 min of arc; 50 min taken: twice the time beside the arc.
    const rows = Array.from({ length: 97 }, () => done({ minutes: 50 }))
    const lesson = lessonsOf(rows, ASSUMED, 3).find(({ kind }) => kind === 'time')
    expect(lesson).toMatchObject({ process: 'gmaw-short', n: 97, takes: { assumption: 'besideArcWirePct' } })
    expect(lesson?.takes?.value).toBeCloseTo(196, -1)
    const { job, wire, shop } = demoInput('press-frame', 'bay-2-wire')
    const hours = (pct: number) =>
      demandOf(job, 'gmaw-short', wire, {
        ...shop,
        assumptions: { ...shop.assumptions, besideArcWirePct: pct },
      })
    const [one, two] = [hours(100), hours(200)]
    const besideH = (one.workH ?? 0) - (one.arcS ?? 0) / 3600
    expect((two.workH ?? 0) - (one.workH ?? 0)).toBeCloseTo(besideH, 6)
    // The hands are slower; the machine gets no cooler for it.
    expect(two.dutyPct).toBe(one.dutyPct)
  })
  it('is the wire and the gas that went: deposition falls, leaks rise', () => {
    const rows = Array.from({ length: 60 }, () =>
      done({ wireG: 330, cylinder: { before: 1000, after: 780 } }),
    )
    const lessons = lessonsOf(rows, ASSUMED, 3)
    const wire = lessons.find(({ kind }) => kind === 'wire')
    expect(wire?.takes?.assumption).toBe('depositionGmawPct')
    expect(wire?.takes?.value).toBeLessThan(ASSUMED.depositionGmawPct)
    expect(lessons.find(({ kind }) => kind === 'gas')?.takes?.value).toBeGreaterThan(ASSUMED.gasLeakPct)
  })
  it('takes no share of what was not weighed, or planned as nothing', () => {
    const plan = { ...PLAN, wireG: 0, gasL: null }
    for (const part of [{ wireG: null }, { wireG: 0 }, { wireG: 100, plan }, { gasL: 50, plan }] as const)
      expect(lessonsOf([done(part)], ASSUMED, 3)).toEqual([])
    // One weld that took half as much again, against a plan that counts as three.
    expect(lessonsOf([done({ wireG: 450 })], ASSUMED, 3)[0]?.ratio).toBeCloseTo(1.5 ** 0.25, 6)
  })
  it('counts nothing twice: what was there when a lesson was taken is in the plan already', () => {
    const old = done({ minutes: 50 })
    expect(lessonsOf([old], ASSUMED, 3, () => '2027-02-03T09:00:00Z')).toEqual([])
    expect(lessonsOf([old], ASSUMED, 3, () => '2027-02-03T07:00:00Z')).toHaveLength(1)
  })
  it('is a share of arc by process and person', () => {
    const rows = [done({ minutes: 20 }), done({ minutes: 30 }), done({ minutes: 20, welder: 'Tam' })]
    expect(operatingFactorsOf(rows)).toEqual([
      { process: 'gmaw-short', welder: 'Ines', n: 2, arcPct: 40 },
      { process: 'gmaw-short', welder: 'Tam', n: 1, arcPct: 50 },
    ])
  })
  it('counts for a share of arc only what was done and timed', () => {
    for (const part of [
      { minutes: null },
      { minutes: 0 },
      { arcS: null, minutes: 20 },
      { state: 'tried', minutes: 20 },
    ] as const)
      expect(operatingFactorsOf([done(part)])).toEqual([])
    // Ten minutes of arc in one minute is a slip of the keys: no more than all of it.
    expect(operatingFactorsOf([done({ minutes: 1 })])[0]?.arcPct).toBe(100)
  })
  it('is how often a breaker held', () => {
    const rows = [
      done({ breaker: 'held' }),
      done({ breaker: 'tripped', weldedAt: '2027-02-05T10:00:00Z' }),
      done({ breaker: null }),
    ]
    expect(breakersOf(rows)).toMatchObject([
      { circuitId: 'bay-2', held: 1, tripped: 1, trippedAt: '2027-02-05T10:00:00Z' },
    ])
  })
  it('reads a spool by two numbers before anything else', () => {
    expect(usedWireG(record({ spool: { before: 5000, after: 4400 }, wireG: 1 }))).toBe(600)
    expect(usedWireG(record({ wireG: 12 }))).toBe(12)
    expect(usedGasL(record({ cylinder: { before: 900, after: 900 }, gasL: 5 }))).toBe(0)
  })
})

describe('wearing parts', () => {
  const change = (replacedAt: string): { body: Replaced } => ({ body: { part: 'tip', replacedAt, note: '' } })
  const fed = (day: number, wireG: number, part: Partial<WeldRecord> = {}): LogRow =>
    row({ weldedAt: `2027-02-${String(day).padStart(2, '0')}T10:00:00Z`, wireG, ...part })
  const tip = (rows: LogRow[], changes: { body: Replaced }[] = []) =>
    wearOf(rows, changes).find(({ part }) => part === 'tip')
  it('count from their last change, and are due at the end of their life', () => {
    expect(tip([fed(1, 6000), fed(3, 500)], [change('2027-02-02T10:00:00Z')])).toMatchObject({
      used: 500,
      state: 'good',
      since: '2027-02-02T10:00:00Z',
    })
    expect(tip([fed(1, 6500)])?.state).toBe('soon')
    expect(tip([fed(1, 6300)])?.state).toBe('soon')
    expect(tip([fed(1, 6299)])?.state).toBe('good')
    // The nearest to its end stands first.
    expect(wearOf([fed(1, 6500)], [])[0]?.part).toBe('tip')
    expect(wearOf([fed(1, 10, { arcS: 90 * 3600 })], [])[0]?.part).toBe('diffuser')
    expect(tip([fed(1, 7000)])?.state).toBe('due')
    expect(tip([fed(1, 7000, { state: 'planned' }), fed(1, 10)])?.used).toBe(10)
  })
  it('learn the shop’s own life between two changes, never from before the first', () => {
    const rows = [fed(1, 99_000), fed(3, 3000), fed(5, 100)]
    const found = tip(rows, [change('2027-02-02T00:00:00Z'), change('2027-02-04T00:00:00Z')])
    expect(found).toMatchObject({ learnedFrom: 1, used: 100 })
    // Two of the usual life and one of 3,000 g.
    expect(found?.life).toBeCloseTo((2 * 7000 + 3000) / 3, 6)
    const more = [...rows, fed(7, 5000), fed(9, 4000)]
    const twice = tip(
      more,
      ['02', '04', '06', '08', '10'].map((day) => change(`2027-02-${day}T00:00:00Z`)),
    )
    // Lives of 3,000, 100, 5,000 and 4,000 g: their median is 3,500.
    expect(twice?.life).toBeCloseTo((2 * 7000 + 4 * 3500) / 6, 6)
    expect(twice).toMatchObject({ learnedFrom: 4, used: 0 })
  })
  it('learn no life from a time of which older rows may be left out', () => {
    const rows = [fed(1, 99_000), fed(3, 3000), fed(5, 5000), fed(7, 100)]
    const changes = ['02', '04', '06'].map((day) => change(`2027-02-${day}T00:00:00Z`))
    const from = (knownFrom: string) =>
      wearOf(rows, changes, knownFrom).find(({ part }) => part === 'tip')?.learnedFrom
    expect(from('2027-02-02T00:00:00Z')).toBe(2)
    // Of the first life the beginning is not known: it would seem a short one.
    expect(from('2027-02-03T10:00:00Z')).toBe(1)
    expect(from('2027-02-05T10:00:00Z')).toBe(0)
  })
  it('aluminium wears a tip as three times its mass of steel: it is that much more wire', () => {
    // Density of steel over that of aluminium, 7.85 to 2.70.
    const ratio = (tip([fed(1, 100, { metal: 'aluminium' })])?.used ?? 0) / (tip([fed(1, 100)])?.used ?? 1)
    expect(ratio).toBeCloseTo(7.85 / 2.7, 0)
  })
  it('are a tungsten by TIG and none by stick', () => {
    expect(
      wearOf([row({ process: 'gtaw-dc', starts: 700 })], []).map(({ part, state }) => [part, state]),
    ).toEqual([['tungsten', 'due']])
    expect(wearOf([row({ process: 'smaw' })], [])).toEqual([])
  })
})

describe('rows that count', () => {
  interface Model {
    readonly id: number
    readonly corrects: number | null
    readonly isWithdrawn: boolean
  }
  it('are the same whatever the order in which the events come, and follow a plain model', () => {
    const acts = fc.array(fc.record({ pick: fc.nat(), act: fc.constantFrom('add', 'correct', 'withdraw') }), {
      maxLength: 30,
    })
    fc.assert(
      fc.property(acts, fc.infiniteStream(fc.nat()), (list, order) => {
        const live = new Set<number>()
        const events: Model[] = []
        for (const { pick, act } of list) {
          const id = events.length + 1
          const target = act === 'add' ? null : ([...live][pick % Math.max(1, live.size)] ?? null)
          if (target !== null) live.delete(target)
          if (act !== 'withdraw') live.add(id)
          else if (target === null) continue
          events.push({ id, corrects: target, isWithdrawn: act === 'withdraw' })
        }
        const rows = events.map(({ id, corrects, isWithdrawn }) =>
          row({ isWithdrawn }, { seq: id, corrects }),
        )
        const shuffled = rows
          .map((one) => ({ one, place: order.next().value ?? 0 }))
          .toSorted((a, b) => a.place - b.place)
          .map(({ one }) => one)
        expect(rowsThatCount(shuffled).map(({ seq }) => seq)).toEqual([...live].toSorted((a, b) => a - b))
      }),
    )
  })
})

describe('the log as a sheet', () => {
  const whole = row({
    settings: { ...CHART, voltsV: 19.5 },
    chart: CHART,
    spool: { before: 5000, after: 4700 },
    plan: PLAN,
    minutes: 25,
    note: 'draft, door shut',
    sign: 'porosity',
  })
  const [headings = [], ...rows] = printLog([whole])
  it('comes back as it went out', () => {
    const [read] = readLog(headings, rows)
    expect(read?.problems).toEqual([])
    expect(read?.body).toEqual(whole.body)
    expect(read?.subject).toBe(whole.subject)
  })
  it('takes units, and names what it cannot read by row and column', () => {
    const cells = (changes: Record<string, string>) =>
      rows[0]?.map((cell, index) => changes[headings[index] ?? ''] ?? cell) ?? []
    const read = (changes: Record<string, string>) => readLog(headings, [cells(changes)])[0]
    expect(read({ settings_feed_mm_per_min: '320 in/min' })?.body?.settings.feedMmPerMin).toBeCloseTo(8128, 6)
    for (const [heading, text, said] of [
      ['outcome', 'splendid', /Enter one of good/],
      ['settings_volts_v', 'hot', /number/],
      ['job_id', 'Press frame', /ids of a job/],
      ['spool_after', '6000', /more after than before/],
    ] as const) {
      const found = read({ [heading]: text })
      expect(found?.body).toBeNull()
      expect(found?.row).toBe(2)
      expect(found?.problems.map(({ message }) => message).join(' ')).toMatch(said)
    }
  })
  it('takes both readings of a spool or none', () => {
    const half = rows[0]?.map((cell, index) => (headings[index] === 'spool_after' ? '' : cell)) ?? []
    const found = readLog(headings, [half])[0]
    expect(found?.body).toBeNull()
    expect(found?.problems[0]?.field).toMatch(/after/)
    const none = rows[0]?.map((cell, index) => (headings[index]?.startsWith('spool') ? '' : cell)) ?? []
    expect(readLog(headings, [none])[0]?.body?.spool).toBeNull()
  })
  it('needs no more columns than what a weld cannot be without', () => {
    const few = [
      'Job ID',
      ' weld-id ',
      'welded_at',
      'process',
      'position',
      'thickness_mm',
      'metal',
      'outcome',
    ]
    const [read] = readLog(few, [
      [
        'press-frame',
        'upright',
        '2027-02-03T08:00:00Z',
        'gmaw-short',
        'flat',
        '6.35',
        'carbon-steel',
        'good',
      ],
    ])
    expect(read?.problems).toEqual([])
    expect(read?.body).toMatchObject({ state: 'done', welds: 1, spool: null, isWithdrawn: false })
  })
})

describe('evidence', () => {
  const coupon = (part: object = {}): Evidence =>
    ({
      kind: 'coupon',
      takenAt: '2027-02-03T08:00:00Z',
      by: 'Ines',
      result: 'passed',
      setUpId: 'bay-2-wire',
      setUpName: 'Bay 2, wire',
      jobName: 'Press frame',
      process: 'gmaw-short',
      wireId: 'er70s6-035',
      gasId: 'mix-75-25',
      thicknessMm: 6.35,
      position: 'flat',
      note: '',
      legMm: 5,
      throatMm: 3.6,
      isRootReached: true,
      picture: null,
      ...part,
    }) as Evidence
  const weld = coupon()
  it('proves its own set-up, thickness and position, and no other', () => {
    expect(proofOf([coupon()], weld)).toEqual({ by: 'Ines', takenAt: '2027-02-03T08:00:00Z' })
    for (const other of [
      { setUpId: 'north-wall-wire' },
      { position: 'vertical-up' },
      { thicknessMm: 12.7 },
      { wireId: 'er70s6-030' },
      { gasId: null },
      { kind: 'visual' },
    ])
      expect(proofOf([coupon(other)], weld)).toBeNull()
  })
  it('is taken back by a later coupon that failed, whatever the order', () => {
    const later = coupon({ result: 'failed', takenAt: '2027-02-04T08:00:00Z' })
    expect(proofOf([later, coupon()], weld)).toBeNull()
    expect(proofOf([coupon({ takenAt: '2027-02-05T08:00:00Z' }), later], weld)).not.toBeNull()
  })
  it('answers a tight current of its own weld, and neither a breaker, nor duty, nor another weld', () => {
    const one = (criterion: string, verdict: 'tight' | 'fits' | 'fails', weldId: string | null = null) => ({
      criterion,
      verdict,
      weldId,
    })
    const other = { ...weld, thicknessMm: 12.7 }
    const proven = (...criteria: Parameters<typeof provenTight>[0]) =>
      provenTight(
        criteria,
        [coupon()],
        (id) => (id === 'thick' ? other : id === 'none' ? null : weld),
        'thin',
      )
    expect(proven(one('source-range', 'fits'))).toBeNull()
    for (const answered of ['source-range', 'electrode', 'thickness'])
      expect(proven(one(answered, 'tight'), one('breaker', 'fits'))).toEqual({
        by: 'Ines',
        takenAt: weld.takenAt,
      })
    for (const not of ['source-duty', 'breaker', 'gas-use', 'gun-current'])
      expect(proven(one('source-range', 'tight'), one(not, 'tight'))).toBeNull()
    expect(proven(one('source-range', 'tight'), one('electrode', 'tight', 'thick'))).toBeNull()
    expect(proven(one('electrode', 'tight', 'none'))).toBeNull()
  })
  it('of a coupon passes with leg, throat and root, as AWS D1.1 sizes a fillet: throat 0.707 of the leg', () => {
    expect(couponPasses({ legMm: 4.8, throatMm: 3.4, isRootReached: true }, 4.7625)).toBe(true)
    expect(couponPasses({ legMm: 4.8, throatMm: 3.4, isRootReached: false }, 4.7625)).toBe(false)
    expect(couponPasses({ legMm: 4.2, throatMm: null, isRootReached: true }, 4.7625)).toBe(false)
    expect(couponPasses({ legMm: null, throatMm: 2.9, isRootReached: true }, 4.7625)).toBe(false)
    expect(couponPasses({ legMm: null, throatMm: null, isRootReached: true }, null)).toBe(true)
  })
  it('of a leak is pressure lost times volume over time: 60 L that lose 1 kPa in 10 min lose 0.1 Pa·m³/s', () => {
    // EN 1779, pressure change: q = Δp·V/Δt = 1000 Pa · 0.06 m³ / 600 s.
    const test = { startKPa: 100, endKPa: 99, volumeL: 60, minutes: 10 }
    expect(leakRate(test)).toBeCloseTo(0.1, 9)
    expect(leakRate({ ...test, startKPa: -99, endKPa: -98 })).toBeCloseTo(0.1, 9)
  })
})

describe('the visual lists', () => {
  const tee = joint({ kind: 'tee', thicknessAMm: 10, thicknessBMm: 10, legMm: 6.35 })
  const limit = (list: Parameters<typeof visualItems>[0], code: string, of = tee): number | null => {
    const found = visualItems(list, of).find((one) => one.code === code)?.told.params['limit']
    return typeof found === 'object' && 'value' in found ? found.value : null
  }
  it('have the undercut of AWS D1.1 table 8.1 and ISO 5817 row 1.7 (from memory)', () => {
    expect(limit('d1.1-static', 'undercut')).toBeCloseTo(25.4 / 32, 1)
    expect(limit('d1.1-cyclic', 'undercut')).toBeCloseTo(0.25, 2)
    expect(limit('iso5817-b', 'undercut')).toBe(0.5)
    expect(limit('iso5817-d', 'undercut')).toBe(1)
    expect(limit('iso5817-c', 'undercut', { ...tee, thicknessAMm: 3, thicknessBMm: 3 })).toBeCloseTo(0.3, 2)
  })
  it('allow pores of so much in an inch, and under changing load no larger one (AWS D1.1 table 8.1, from memory)', () => {
    expect(limit('d1.1-static', 'porosity')).toBeCloseTo(9.525, 3)
    expect(limit('d1.1-cyclic', 'porosity')).toBeCloseTo(2.381, 3)
    const butt = joint({ kind: 'square', legMm: null })
    expect(visualItems('d1.1-static', butt).map(({ code }) => code)).not.toContain('undersize')
    expect(visualItems('d1.1-static', tee).map(({ code }) => code)).toContain('undersize')
  })
  it('allow a fillet under size by its leg (AWS D1.1 table 8.1, from memory)', () => {
    for (const [leg, under] of [
      [4.76, 25.4 / 16],
      [6.35, (3 * 25.4) / 32],
      [8, 25.4 / 8],
    ] as const)
      expect(limit('d1.1-static', 'undersize', { ...tee, legMm: leg })).toBeCloseTo(under, 1)
  })
  it('take throat and width from the leg: ISO 5817 rows 1.4, 1.10, 2.13 and 3.2 (from memory)', () => {
    // Leg 6.35 mm: throat 4.49, face 8.98 mm. Level D allows pores of 0.3 s and 3 mm at most, overlap of 0.2 b.
    expect(limit('iso5817-d', 'porosity')).toBeCloseTo(1.3, 1)
    expect(limit('iso5817-c', 'porosity')).toBeCloseTo(0.9, 1)
    expect(limit('iso5817-b', 'porosity')).toBeNull()
    expect(limit('iso5817-d', 'overlap')).toBeCloseTo(1.8, 1)
    expect(limit('iso5817-c', 'overlap')).toBeNull()
    expect(limit('iso5817-d', 'undersize')).toBeCloseTo(0.3 + 0.449, 1)
    expect(limit('iso5817-b', 'undersize')).toBeNull()
    const butt = joint({ kind: 'square', legMm: null, thicknessAMm: 10, thicknessBMm: 10 })
    const told = visualItems('iso5817-c', butt).map(({ told: { code } }) => code)
    expect(told).toContain('visual-offset')
    expect(told).not.toContain('visual-throat')
    expect(limit('iso5817-c', 'offset', butt)).toBeCloseTo(1.5, 6)
  })
  it('grow milder from B to D, and never allow a crack', () => {
    for (const code of ['undercut', 'profile']) {
      const [b, c, d] = (['iso5817-b', 'iso5817-c', 'iso5817-d'] as const).map(
        (list) => limit(list, code) ?? 0,
      )
      expect(b).toBeLessThanOrEqual(c ?? 0)
      expect(c).toBeLessThan(d ?? 0)
    }
    for (const list of ['d1.1-static', 'd1.1-cyclic', 'iso5817-b', 'iso5817-d'] as const)
      expect(visualItems(list, tee)[0]?.told.code).toBe('visual-cracks')
  })
})

describe('a row of the log', () => {
  const input = demoInput('press-frame', 'bay-2-wire')
  it('begins with the plan for one weld, whose welds add up to the job', () => {
    const start = recordFor(input, 'upright')
    const all = demandOf(input.job, 'gmaw-short', input.wire, input.shop)
    const sum = input.job.joints.reduce((total, one) => {
      const { plan } = recordFor(input, one.id)
      const welds = one.count * (one.bothSides ? 2 : 1) * input.job.quantity
      return total + (planOfWelds({ plan }, welds).wireG ?? 0)
    }, 0)
    expect(sum).toBeCloseTo(all.fillerG, -1)
    expect(start.state).toBe('done')
    expect(start.settings).toEqual(start.chart)
    expect(start.plan.minutes ?? 0).toBeGreaterThan((start.plan.arcS ?? 0) / 60)
    // All welds of the job take its working hours.
    const { count, bothSides } = input.job.joints[0] ?? { count: 0, bothSides: false }
    const whole = planOfWelds(start, count * (bothSides ? 2 : 1) * input.job.quantity)
    expect((whole.minutes ?? 0) / 60).toBeCloseTo(all.workH ?? 0, 1)
    const gasL = fitJob(input).criteria.find(({ criterion }) => criterion === 'gas-use')?.demand ?? 0
    expect((whole.gasL ?? 0) / gasL).toBeCloseTo(1, 1)
    expect(start.isWithdrawn).toBe(false)
  })
  it('has no gas where the wire shields itself, and no time without a wire', () => {
    const cored = recordFor(demoInput('loader-fork', 'yard-cored'), 'tip').plan
    expect(cored.gasL).toBeNull()
    expect(cored.arcS).toBeGreaterThan(0)
    const bare = recordFor({ ...input, wire: null }, 'upright').plan
    expect(bare).toMatchObject({ arcS: null, minutes: null, gasL: null })
    expect(planOfWelds({ plan: bare }, 5)).toMatchObject({ arcS: null, minutes: null, gasL: null })
  })
})

describe('readings', () => {
  const argon = { name: 'Argon', fullL: 3500, argonPct: 100, co2Pct: 0, oxygenPct: 0, heliumPct: 0 }
  const co2 = { ...argon, name: 'CO₂', argonPct: 0, co2Pct: 100 }
  const imperial = { notation: { system: 'imperial', locale: 'en-US' }, remainderBar: 0 } as const
  const metric = { notation: { system: 'metric', locale: 'de-DE' }, remainderBar: 0 } as const
  const litres = (text: string, vessel: Vessel, of: Reading = metric): number => {
    const read = gaugeL(text, vessel, of)
    if (!read.ok) throw new Error(read.message)
    return read.valueL
  }
  it('of a gauge are nearly a share of a full cylinder: at half pressure argon holds a little less than half', () => {
    expect(litres('2200 psi', argon, imperial)).toBeCloseTo(3500, 3)
    expect(litres('1100 psi', argon, imperial) / 3500).toBeCloseTo(0.49, 1)
    expect(litres('100 bar', argon)).toBeLessThan(1750)
    expect(litres('60 ft³', argon, imperial)).toBeCloseTo(60 * 28.3168, 0)
    expect(litres('0 bar', argon)).toBe(0)
  })
  it.each([
    // Contents of a 50 L cylinder at 200 bar and 15 °C, m³ at 1 bar, as gas catalogues publish them (from memory).
    ['argon', { argonPct: 100 }, 10.7, 1],
    ['helium', { argonPct: 0, heliumPct: 100 }, 9.1, 4],
    ['oxygen', { argonPct: 0, oxygenPct: 100 }, 10.6, 3],
    ['82/18 argon and CO₂', { argonPct: 82, co2Pct: 18 }, 11.7, 2],
  ])('of 50 L of %s at 200 bar are what is published', (_name, shares, m3, withinPct) => {
    const held = litres('200 bar', { ...argon, waterL: 50, fullBar: 200, fullL: 11_000, ...shares })
    // Free gas is measured at 1.013 bar here.
    expect(Math.abs((held * 1.013_25) / 1000 / m3 - 1) * 100).toBeLessThan(withinPct)
  })
  it('of a real gas end in those of an ideal one where it is thin: p·V = n·R·T', () => {
    for (const shares of [argon, { ...argon, argonPct: 75, co2Pct: 25 }])
      expect(compressibility(shares, 0.01, 15)).toBeCloseTo(1, 4)
    // One mole at 0 °C and 1.01325 bar takes 22.414 L (CODATA): a gram of CO₂ at 15 °C so much.
    expect(CO2_L_PER_G).toBeCloseTo(((22.414 / 44.01) * 288.15) / 273.15, 3)
    // 8.74 ft³ a pound at 70 °F (Compressed Gas Association, from memory).
    expect((CO2_L_PER_G * 453.592 * 294.26) / 288.15 / 28.3168).toBeCloseTo(8.74, 1)
  })
  it('of a cold cylinder are more than its gauge shows at 15 °C, of a hot one less', () => {
    expect(litres('100 bar at -10 C', argon)).toBeGreaterThan(litres('100 bar', argon))
    expect(litres('100 bar at 40 C', argon)).toBeLessThan(litres('100 bar', argon))
    expect(litres('100 bar at 59 F', argon)).toBeCloseTo(litres('100 bar', argon), 6)
  })
  it('leave what stays in the cylinder', () => {
    const of = { ...metric, remainderBar: 2 }
    expect(litres('2 bar', argon, of)).toBe(0)
    expect(litres('1 bar', argon, of)).toBe(0)
    expect(litres('100 bar', argon) - litres('100 bar', argon, of)).toBeCloseTo(litres('2 bar', argon), 6)
  })
  it('of CO₂ are by weight, from the weight of the empty cylinder', () => {
    const cylinder = { ...co2, fullL: 12_500, tareG: 40_000 }
    expect(litres('50 kg', cylinder)).toBeCloseTo(10_000 * CO2_L_PER_G, 6)
    expect(litres('40 kg', cylinder)).toBe(0)
  })
  it.each([
    ['50 kg', co2, /empty weight is not recorded/],
    ['39 kg', { ...co2, tareG: 40_000 }, /less than the cylinder weighs empty/],
    ['80 kg', { ...co2, tareG: 40_000 }, /more than a full cylinder/],
    ['50 kg', argon, /is a weight. Enter what the gauge shows/],
    ['200 bar', { ...argon, waterL: 10, fullBar: 150 }, /above the pressure of this cylinder, 150 bar/],
    ['100 bar at 90 C', argon, /temperature at which nobody welds/],
  ])('%s is refused with what to enter: %s', (text, vessel, said) => {
    const read = gaugeL(text, vessel, metric)
    expect(read.ok ? '' : read.message).toMatch(said)
  })
  it.each([
    ['800 psi', co2, /vapor pressure/],
    ['9000 psi', argon, /above the pressure of this cylinder, 2200 psi/],
    ['-5 psi', argon, /pressure of a cylinder/],
    ['900 ft³', argon, /more than a full cylinder/],
    ['lots', argon, /./],
  ])('%s is refused with what to enter', (text, gas, said) => {
    const read = gaugeL(text, gas, imperial)
    expect(read.ok).toBe(false)
    expect(read.ok ? '' : read.message).toMatch(said)
  })
  it('of a clock are travel, and travel is turns: 305 mm/min is an inch in five seconds', () => {
    expect(timedTravel(25.4, 5)).toBeCloseTo(304.8, 6)
    expect(timedTravel(25.4, 0)).toBeNull()
    // A pipe of 100 mm is 314.16 mm around.
    expect(turnsPerMin(314.159_265, 100)).toBeCloseTo(1, 6)
  })
  it('of a spool are lengths: 0.035 in of steel runs 3,650 in a pound (welding handbooks)', () => {
    const assumptions = assumptionsOf({ assumptions: {} })
    const inPerLb = (wire: Parameters<typeof wireGPerMm>[0]) => 453.592 / wireGPerMm(wire, assumptions) / 25.4
    expect(inPerLb({ metal: 'carbon-steel', form: 'solid', diameterMm: 0.889 })).toBeCloseTo(3650, -2)
    expect(inPerLb({ metal: 'aluminium', form: 'solid', diameterMm: 0.889 })).toBeCloseTo(10_600, -3)
  })
})

describe('the record of a machine', () => {
  it('is of its own rows and changes, and rows of no machine are of none', () => {
    const at = (sourceId: string | null, starts: number): LogRow =>
      row({ sourceId, process: 'gtaw-dc', starts, weldedAt: '2027-02-02T10:00:00Z' })
    const change = (sourceId: string, replacedAt: string) => ({
      subject: `wear.${sourceId}`,
      body: { part: 'tungsten', replacedAt, note: '' } as const,
    })
    const found = machineRecordsOf(
      [at('tarn', 400), at(null, 5000), at('osier', 30), at('tarn', 200)],
      [change('osier', '2027-02-01T10:00:00Z'), change('osier-2', '2027-02-03T10:00:00Z')],
    )
    expect(
      found.map(({ sourceId, wear: [first] }) => [sourceId, first?.used, first?.state, first?.since]),
    ).toEqual([
      ['tarn', 600, 'due', null],
      ['osier', 30, 'good', '2027-02-01T10:00:00Z'],
    ])
  })
  it('of which only the newest rows are read, learns no life that begins before them', () => {
    const day = (n: number): string => new Date(Date.UTC(2027, 0, 1) + n * 3_600_000).toISOString()
    const rows = (count: number): LogRow[] =>
      Array.from({ length: count }, (_, n) =>
        row({ sourceId: 'tarn', process: 'gtaw-dc', starts: 1, weldedAt: day(n + 10) }),
      )
    // The first life begins before the oldest row, the second after it.
    const changes = [5, 1000, 2000].map((n) => ({
      subject: 'wear.tarn',
      body: { part: 'tungsten', replacedAt: day(n), note: '' } as const,
    }))
    const learnedFrom = (count: number) =>
      machineRecordsOf(rows(count), changes)[0]?.wear.find(({ part }) => part === 'tungsten')?.learnedFrom
    expect([learnedFrom(MOST_OF_MACHINE - 1), learnedFrom(MOST_OF_MACHINE)]).toEqual([2, 1])
  })
})
