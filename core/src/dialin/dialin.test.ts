import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { demoInput, demoShop } from '../testing/samples.ts'
import { changeToTryText, stopText } from '../words/dialInText.ts'
import { speechOf } from '../words/speech.ts'
import { beadsOf } from './beads.ts'
import { type Cause, SIGNS_OF, WELD_CLASSES, type WeldClass } from './causes.ts'
import { nextChange } from './nextChange.ts'

const speech = speechOf(demoShop().shop)
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
  it('undercut by stick: fewer amps, but not faster (common practice, no source)', () => {
    const travel = nextChange('stick', 'undercut', ['amps'])
    expect(travel?.cause).toBe('travel')
    expect(travel && changeToTryText(speech, travel).change).not.toContain('faster')
  })
  it('names each cause once to a sign, has six signs to a process, and words for everything', () => {
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
    for (const weldClass of WELD_CLASSES) expect(Object.keys(SIGNS_OF[weldClass])).toHaveLength(6)
    expect(stopText(speech)).toContain('Stop')
  })
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
