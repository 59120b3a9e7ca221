import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { SETTING_KEYS, type WeldSettings } from '../events/weldRecorded.ts'
import { demoInput, demoShop } from '../testing/samples.ts'
import { arcText, changeToTryText, signText, stopText } from '../words/dialInText.ts'
import { speechOf } from '../words/speech.ts'
import { turnsOf } from '../trade/dial.ts'
import { beadsOf } from './beads.ts'
import { type Cause, SIGNS_OF, WELD_CLASSES, type WeldClass } from './causes.ts'
import { adviceOf } from './advice.ts'
import { isSameSettings, trialOf } from './trial.ts'

const speech = speechOf(demoShop().shop)
const nextChange = (...of: Parameters<typeof adviceOf>) => adviceOf(...of).next
const SIGNS = WELD_CLASSES.flatMap((weldClass) =>
  Object.entries(SIGNS_OF[weldClass]).map(([sign, causes]) => ({ weldClass, sign, causes })),
)
/** Every fault that can be hidden: a cause behind a sign. */
const FAULTS = SIGNS.flatMap(({ weldClass, sign, causes }) =>
  causes.map((fault) => ({ weldClass, sign, fault })),
)

/** A welder who does what is asked: each test rules its cause out, until it is the one. @returns the steps it took */
function findOut(weldClass: WeldClass, sign: string, fault: Cause): number {
  const ruledOut: Cause[] = []
  for (let step = 1; step <= 10; step += 1) {
    const next = nextChange(weldClass, sign, ruledOut)
    if (!next) return Infinity
    if (next.cause === fault) return step
    ruledOut.push(next.cause)
  }
  return Infinity
}

describe('the next change', () => {
  it('leads a welder with a hidden fault to it in at most six steps, in the median in three', () => {
    expect(FAULTS.length).toBeGreaterThanOrEqual(40)
    const steps = FAULTS.map(({ weldClass, sign, fault }) => findOut(weldClass, sign, fault)).sort(
      (a, b) => a - b,
    )
    expect(Math.max(...steps)).toBeLessThanOrEqual(6)
    expect(steps[steps.length >> 1]).toBeLessThanOrEqual(3)
  })
  it('asks nothing twice and ends, whatever is ruled out in whatever order', () => {
    fc.assert(
      fc.property(fc.constantFrom(...SIGNS), fc.array(fc.nat(30)), ({ weldClass, sign, causes }, order) => {
        const ruledOut: Cause[] = []
        for (const pick of order) {
          const one = causes[pick % causes.length]
          if (one && !ruledOut.includes(one)) ruledOut.push(one)
        }
        const asked = new Set<Cause>(ruledOut)
        for (;;) {
          const next = nextChange(weldClass, sign, [...asked])
          if (!next) break
          expect(asked.has(next.cause)).toBe(false)
          asked.add(next.cause)
        }
        expect(asked.size).toBe(causes.length)
      }),
    )
  })
  it('looks at leads and feeding before it touches a setting (common practice, no source)', () => {
    const settings = new Set<Cause>(['volts', 'wire-speed', 'inductance', 'amps', 'balance'])
    for (const { causes } of SIGNS) {
      const firstSetting = causes.findIndex((one) => settings.has(one))
      const lead = causes.indexOf('polarity')
      if (lead >= 0 && lead < 3 && firstSetting >= 0) expect(lead).toBeLessThan(firstSetting)
    }
    // Stuttering is the feed path and the clamp, and no setting at all.
    for (const weldClass of ['solid', 'cored', 'self-shielded'] as const)
      for (const cause of SIGNS_OF[weldClass]['stutters'] ?? []) expect(settings.has(cause)).toBe(false)
  })
  it('turns down, not up, where it burns through or undercuts', () => {
    for (const ruledOut of [[], ['amps']] as const) {
      const next = nextChange('tig-ac', 'burns-through', ruledOut)
      expect(next && changeToTryText(speech, next).change).toMatch(/down|faster/)
    }
  })
  it('tries nothing on a crack: it is ground out, and somebody is asked (common practice, no source)', () => {
    expect(adviceOf('stick', 'cracks', [])).toEqual({ next: null, stop: 'stop-crack' })
    expect(stopText(speech, { stop: 'stop-crack' })).toContain('Grind it out whole')
  })
  it('undercut by stick: fewer amps, but not faster (common practice, no source)', () => {
    const travel = nextChange('stick', 'undercut', ['amps'])
    expect(travel?.cause).toBe('travel')
    expect(travel && changeToTryText(speech, travel).change).not.toContain('faster')
  })
  it('names each cause once to a sign, has six to eight signs to a process, and words for everything', () => {
    for (const { weldClass, sign, causes } of SIGNS) {
      expect(new Set(causes).size).toBe(causes.length)
      const ruledOut: Cause[] = []
      for (
        let next = nextChange(weldClass, sign, ruledOut);
        next;
        next = nextChange(weldClass, sign, ruledOut)
      ) {
        const { cause, test, change, undo } = changeToTryText(speech, next)
        for (const text of [cause, test, change, undo])
          expect(text).not.toMatch(/^(test|change|less|undo)-|[{}]|^$/)
        expect(test).toMatch(/\?$/)
        ruledOut.push(next.cause)
      }
    }
    for (const weldClass of WELD_CLASSES) {
      const signs = Object.keys(SIGNS_OF[weldClass])
      expect(signs.length).toBeGreaterThanOrEqual(6)
      expect(signs.length).toBeLessThanOrEqual(8)
      for (const sign of signs) expect(signText(speech, sign)).not.toMatch(/^(test|change)-|[{}]|-/)
    }
    for (const stop of ['stop', 'stop-floor', 'stop-crack'] as const)
      expect(stopText(speech, { stop })).toMatch(/^Stop here\./)
  })
})

const AT = { settings: null, sign: null, ruledOut: [] } as const
const wired = demoInput('press-frame', 'bay-2-wire')
const weldOf = (input: typeof wired): string => input.job.joints[0]?.id ?? ''
const trial = (
  input: typeof wired,
  settings: Partial<WeldSettings>,
  sign: string | null,
  ruledOut: Cause[] = [],
) => {
  const { chart } = trialOf(input, weldOf(input), AT)
  return trialOf(input, weldOf(input), { settings: { ...chart, ...settings }, sign, ruledOut })
}
const { chart } = trialOf(wired, weldOf(wired), AT)
const [startV, startFeed] = [chart.voltsV ?? 0, chart.feedMmPerMin ?? 0]

describe('a trial at the machine', () => {
  it('starts with the chart, whose volts and wire go together', () => {
    const { settings, arc, knobs } = trialOf(wired, weldOf(wired), AT)
    expect(isSameSettings(settings, chart)).toBe(true)
    expect(arc?.state).toBe('runs')
    expect(knobs.map(({ key }) => key)).toEqual(['voltsV', 'feedMmPerMin', 'flowLPerMin', 'travelMmPerMin'])
    for (const { value, down, up, key } of knobs)
      if (key !== 'voltsV') {
        expect(down ?? 0).toBeLessThan(value)
        expect(up ?? Infinity).toBeGreaterThan(value)
      }
  })
  it.each([
    // Arc window, trade reference section 5 (common practice): half and less burns back, 0.63 spatters, 1.5 stubs.
    [0.45, 'burns-back', 'burns-back', 'up'],
    [0.6, 'spatters', 'wide-spatter', null],
    [1.8, 'stubs', 'stubs', 'down'],
  ] as const)('with %s of the wire it %s: that is looked at before the list', (share, state, sign, way) => {
    const { arc, advice } = trial(wired, { feedMmPerMin: startFeed * share }, sign)
    expect(arc?.state).toBe(state)
    expect(arc && arcText(speech, arc)).toMatch(/Wire speed is .* for these volts/)
    const first =
      advice?.next?.cause === 'polarity' ? adviceOf('solid', sign, ['polarity']).next : advice?.next
    if (way) {
      expect(first?.cause).toBe('wire-speed')
      expect(first?.move?.way).toBe(way)
    }
  })
  it('puts a hidden wrong setting right, one step at a time, and never leaves the window on the way', () => {
    for (const share of [0.45, 0.55, 1.6, 1.9, 2.2]) {
      let settings: WeldSettings = { ...chart, feedMmPerMin: startFeed * share }
      let steps = 0
      for (; steps < 60; steps += 1) {
        const { arc, leastA } = trialOf(wired, weldOf(wired), { ...AT, settings })
        if (arc?.state === 'runs') break
        const sign =
          arc?.state === 'stubs' ? 'stubs' : arc?.state === 'spatters' ? 'wide-spatter' : 'burns-back'
        const { advice } = trialOf(wired, weldOf(wired), { settings, sign, ruledOut: ['polarity', 'gas'] })
        const move = advice?.next?.move
        if (!move) throw new Error(`${sign} at ${share}: no setting to change`)
        settings = { ...settings, [move.key]: move.to }
        const then = trialOf(wired, weldOf(wired), { ...AT, settings })
        if (move.way === 'down' && move.key === 'feedMmPerMin')
          expect(then.currentA).toBeGreaterThanOrEqual(leastA)
      }
      expect(steps).toBeLessThan(60)
    }
  })
  it('does not turn colder than the weld laps, nor hotter than it burns through', () => {
    const tray = demoInput('pressing-tray', 'bench-tig-dc')
    const { leastA } = trialOf(tray, weldOf(tray), AT)
    const low = trial(tray, { currentA: Math.ceil(leastA) }, 'dull-grey', ['travel', 'gas', 'purge'])
    expect(low.advice).toMatchObject({ next: null, stop: 'stop-floor' })
    const high = trial(tray, { currentA: Math.ceil(leastA) + 30 }, 'dull-grey', ['travel', 'gas', 'purge'])
    expect(high.advice?.next?.move?.way).toBe('down')
  })
  it('does not turn past what the machine puts out', () => {
    const stick = demoInput('loader-fork', 'yard-stick')
    const mostA = Math.max(
      ...stick.powerSource.processes.flatMap(({ supplies }) => supplies.map((one) => one.outputMaxA)),
    )
    const { advice } = trial(stick, { currentA: mostA }, 'sticks')
    expect(advice?.next?.cause).not.toBe('amps')
    expect(trial(stick, { currentA: 100 }, 'sticks').advice?.next?.move).toMatchObject({
      key: 'currentA',
      to: 105,
    })
  })
  it('turns hotter up to where it burns through, and no farther', () => {
    const thin = {
      ...wired,
      job: {
        ...wired.job,
        joints: wired.job.joints.map((one) => ({ ...one, thicknessAMm: 1.5, thicknessBMm: 1.5, legMm: 2 })),
      },
    }
    const { mostA } = trialOf(thin, weldOf(thin), AT)
    if (mostA === null) throw new Error('1.5 mm burns through')
    const feedFor = (amps: number): number => {
      let feed = 1000
      while (trial(thin, { feedMmPerMin: feed }, null).currentA < amps) feed += 50
      return feed
    }
    const ruledOut: Cause[] = ['tip', 'roll-tension', 'spool-brake', 'liner', 'volts']
    const next = (amps: number) => trial(thin, { feedMmPerMin: feedFor(amps) }, 'burns-back', ruledOut).advice
    expect(next(mostA - 30)?.next?.move).toMatchObject({ key: 'feedMmPerMin', way: 'up' })
    expect(next(mostA - 1)).toEqual({ next: null, stop: 'stop-floor' })
  })
  it('looks at the weld that is named, and at that with the highest current for any other name', () => {
    const thick = { ...wired.job.joints[0], id: 'thick', thicknessAMm: 12, thicknessBMm: 12, legMm: 8 }
    const thin = { ...wired.job.joints[0], id: 'thin', thicknessAMm: 1.5, thicknessBMm: 1.5, legMm: 2 }
    const input = { ...wired, job: { ...wired.job, joints: [thin, thick] as typeof wired.job.joints } }
    const least = (id: string): number => trialOf(input, id, AT).leastA
    expect(least('thin')).toBeLessThan(least('thick'))
    expect(least('another')).toBe(least('thick'))
  })
  it('tells two settings apart by any one of them', () => {
    expect(isSameSettings(chart, { ...chart })).toBe(true)
    for (const key of SETTING_KEYS) expect(isSameSettings(chart, { ...chart, [key]: 1 })).toBe(false)
  })
  it('says the way back of a setting with its figure', () => {
    const { advice } = trial(wired, { feedMmPerMin: startFeed * 1.8 }, 'stubs')
    const said = advice?.next && changeToTryText(speech, advice.next)
    expect(said?.change).toMatch(/^Turn wire speed down to \d+ in\/min\.$/)
    expect(said?.undo).toMatch(/go back to \d+ in\/min\.$/)
  })
  it('turns volts by the taps of the machine where it has taps', () => {
    const source = wired.powerSource
    const supplies = source.processes.map((process) => ({
      ...process,
      supplies: process.supplies.map((supply) => ({
        ...supply,
        voltsDial: [
          { mark: 'A', value: 16 },
          { mark: 'B', value: 18 },
          { mark: 'C', value: 20 },
        ],
      })),
    }))
    const tapped = { ...wired, powerSource: { ...source, voltageSteps: 3, processes: supplies } }
    const { knobs, chart: start } = trialOf(tapped, weldOf(wired), AT)
    expect([16, 18, 20]).toContain(start.voltsV)
    const volts = knobs.find(({ key }) => key === 'voltsV')
    expect(['A', 'B', 'C']).toContain(volts?.mark)
    expect([null, 16, 18, 20]).toContain(volts?.up)
  })
  it('holds for every setting that can be typed: no figure runs away, and what is set stays set', () => {
    const settings = fc.record({
      voltsV: fc.double({ min: 10, max: 45, noNaN: true }),
      feedMmPerMin: fc.double({ min: 600, max: 20_000, noNaN: true }),
    })
    fc.assert(
      fc.property(settings, fc.constantFrom(...Object.keys(SIGNS_OF.solid)), (typed, sign) => {
        const { settings: now, currentA, advice } = trial(wired, typed, sign)
        expect(now.voltsV).toBe(typed.voltsV)
        expect(Number.isFinite(currentA)).toBe(true)
        const move = advice?.next?.move
        if (!move) return
        expect(move.way === 'up' ? move.to > move.from : move.to < move.from).toBe(true)
        // What is asked neither laps nor burns through, and leads no farther from volts and wire that go together.
        const then = trial(wired, { ...typed, [move.key]: move.to }, null)
        const { leastA, mostA } = then
        if (then.currentA < currentA) expect(then.currentA).toBeGreaterThanOrEqual(leastA)
        if (then.currentA > currentA) expect(then.currentA).toBeLessThanOrEqual(mostA ?? Infinity)
        const off = (balancePct: number | undefined) => Math.abs(Math.log((balancePct ?? 100) / 100))
        if (then.arc && then.arc.state !== 'runs')
          expect(off(then.arc.balancePct)).toBeLessThanOrEqual(off(trial(wired, typed, null).arc?.balancePct))
      }),
      { numRuns: 60 },
    )
    expect(SETTING_KEYS).toHaveLength(5)
    expect(startV).toBeGreaterThan(14)
  })
})

it('a dial that falls as its marks rise is turned the other way, and ends where it ends', () => {
  const falling = [
    { mark: '1', value: 6000 },
    { mark: '2', value: 5000 },
  ]
  expect(turnsOf(falling, 5500, false)).toMatchObject({ down: 5000, up: 6000 })
  expect(turnsOf(falling, 6000, false)).toMatchObject({ down: 5500, up: null })
  expect(turnsOf(falling, 5000, false)).toMatchObject({ down: null, up: 5500 })
})

describe('a bead as a picture', () => {
  const tee = demoInput('press-frame', 'bay-2-wire').job.joints[0]
  if (!tee) throw new Error('the press frame has a weld')
  const [cold, right, hot] = beadsOf(tee)
  it('grows wider, flatter and deeper from cold to hot (common practice, no source)', () => {
    for (const [less, more] of [
      [cold, right],
      [right, hot],
    ] as const) {
      expect(less?.widthMm).toBeLessThan(more?.widthMm ?? 0)
      expect(less?.crownMm).toBeGreaterThan(more?.crownMm ?? Infinity)
      expect(less?.penetrationMm).toBeLessThan(more?.penetrationMm ?? 0)
    }
  })
  it('the right one of a 3/16 leg has the face of its fillet; the cold one overlaps, the hot one undercuts', () => {
    expect(right?.widthMm).toBeCloseTo(4.7625 * Math.SQRT2, 6)
    expect([cold, right, hot].map((one) => one?.isOverlapped)).toEqual([true, false, false])
    expect([cold, right, hot].map((one) => (one?.undercutMm ?? 0) > 0)).toEqual([false, false, true])
  })
  it('fuses no deeper than the part is thick', () => {
    for (const { penetrationMm } of beadsOf({ ...tee, thicknessAMm: 1, thicknessBMm: 1 }))
      expect(penetrationMm).toBeLessThanOrEqual(1)
  })
})
