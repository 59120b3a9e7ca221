import { describe, expect, it } from 'vitest'
import { demoInput, joint } from '../testing/samples.ts'
import { applyPatch } from '../kinds/patch.ts'
import { cautionText, chainText, speechOf } from '../words/speech.ts'
import { type FitInput, fitJob } from './fit.ts'

const cautions = (input: FitInput) => {
  const speech = speechOf(input.shop)
  return fitJob(input).cautions.map((caution) => cautionText(speech, caution))
}
const topics = (input: FitInput): readonly string[] => cautions(input).map(({ topic }) => topic)
const says = (input: FitInput): string =>
  cautions(input)
    .map((caution) => caution.text)
    .join(' ')

describe('cautions stand where the decision is made', () => {
  it('eyes and power always, shade by current', () => {
    for (const id of ['press-frame', 'pressing-tray', 'loader-fork', 'picking-platform']) {
      expect(topics(demoInput(id))).toEqual(expect.arrayContaining(['Eyes', 'Power']))
    }
    expect(says(demoInput('pressing-tray'))).toContain('Lens shade 8 or darker, 12 suggested')
  })

  it('names no shade above the currents of the table', () => {
    const spray = demoInput('press-frame', 'bay-3-spray')
    const thick = joint({ thicknessAMm: 100, thicknessBMm: 100 })
    const said = says({ ...spray, job: { ...spray.job, joints: [thick] } })
    expect(said).toMatch(/ANSI Z49\.1.* lists no lens shade for \d+ A/)
    expect(said).not.toContain('suggested')
  })

  it('stainless, zinc and aluminium name their fume', () => {
    const frame = demoInput('press-frame')
    const of = (material: 'stainless-304' | 'galvanised' | 'aluminium-6061') =>
      says({ ...frame, job: { ...frame.job, joints: [joint({ materialA: material, materialB: material })] } })
    expect(of('stainless-304')).toContain('hexavalent chromium')
    expect(of('galvanised')).toContain('metal fume fever')
    expect(of('aluminium-6061')).toContain('reflected light')
  })

  it('a pair names both of its metals’ cautions, once each', () => {
    const frame = demoInput('press-frame')
    const pair = [
      joint({ materialA: 'galvanised', materialB: 'stainless-304' }),
      joint({ id: 'k', materialA: 'galvanised', materialB: 'galvanised' }),
    ]
    const fumes = cautions({ ...frame, job: { ...frame.job, joints: pair } }).filter(
      ({ topic }) => topic === 'Fumes',
    )
    expect(fumes).toHaveLength(2)
  })

  it('TIG is live at open-circuit voltage, high frequency upsets electronics, thorium is dust', () => {
    const tray = demoInput('pressing-tray')
    expect(topics(tray)).toEqual(expect.arrayContaining(['Shock', 'High frequency']))
    expect(topics(tray)).not.toContain('Dust')
    if (!tray.tungsten) throw new Error('demo')
    expect(topics({ ...tray, tungsten: { ...tray.tungsten, type: 'WTh20' } })).toContain('Dust')
    expect(topics({ ...tray, powerSource: { ...tray.powerSource, start: ['lift'] } })).not.toContain(
      'High frequency',
    )
  })

  it('structural, leak-tight and code work defer to a qualified procedure; the rest does not pretend to', () => {
    const tray = demoInput('pressing-tray')
    const withQuality = (quality: FitInput['job']['quality']) =>
      topics({ ...tray, job: { ...tray.job, quality } })
    for (const quality of ['structural', 'leak-tight', 'code-bound'] as const)
      expect(withQuality(quality)).toContain('Approval')
    for (const quality of ['ordinary', 'cosmetic'] as const)
      expect(withQuality(quality)).not.toContain('Approval')
  })

  it('gas is for those who have it, smoke for those who do not', () => {
    expect(topics(demoInput('press-frame'))).toContain('Gas')
    expect(topics(demoInput('loader-fork'))).not.toContain('Gas')
    expect(says(demoInput('loader-fork'))).toContain('smokes heavily')
  })
})

describe('the sentence of the chain', () => {
  const sentence = (input: FitInput): string => {
    const [chain] = fitJob(input).chains
    return chain ? chainText(speechOf(input.shop), chain) : ''
  }
  it('names the link, both currents and the duty where it gives out', () => {
    expect(sentence(demoInput('press-frame'))).toBe(
      'Weakest link: the power source. This weld needs 190 A (152 A minimum). Quillon 210, 120 V gives 140 A, even with rest.',
    )
  })
  it('names the low end where that is the trouble', () => {
    expect(sentence(demoInput('pressing-tray', 'bench-tig-316'))).toBe(
      'The tungsten is below its usual range. This weld needs 54.3 A. 1/16 WLa20 usually runs from 70 A. Another size runs steadier.',
    )
  })
  it('says what has the least to spare where all hold', () => {
    expect(sentence(demoInput('tank-manifold'))).toContain('The power source has the least to spare: 138 A')
  })
  it('names what is missing before anything that holds', () => {
    expect(sentence({ ...demoInput('press-frame', 'bay-2-wire'), gas: null })).toContain('Gun: the gas')
    // A torch is rated in argon, whichever inert gas it is given.
    expect(sentence({ ...demoInput('tank-manifold'), gas: null })).not.toContain('the gas')
  })
})

describe('a mend is applied to what it names and to nothing else', () => {
  const { job, setUp } = demoInput('tank-manifold')
  it('to one weld', () => {
    const after = applyPatch({ job, setUp }, { on: 'joint', jointId: 'branch', change: { passes: 3 } })
    expect(after.job.joints.map(({ passes }) => passes)).toEqual([null, 3, null, null])
    expect(after.setUp).toBe(setUp)
  })
  it('to the set-up, to the job, or to which set-up it is', () => {
    expect(applyPatch({ job, setUp }, { on: 'set-up', change: { gasId: 'co2' } })).toEqual({
      job,
      setUp: { ...setUp, gasId: 'co2' },
    })
    expect(applyPatch({ job, setUp }, { on: 'job', change: { pauseS: 60 } }).job).toEqual({
      ...job,
      pauseS: 60,
    })
    const other = { ...setUp, id: 'other' }
    expect(applyPatch({ job, setUp }, { on: 'job-set-up', setUpId: 'other' }, [other])).toEqual({
      job: { ...job, setUpId: 'other' },
      setUp: other,
    })
    expect(applyPatch({ job, setUp }, { on: 'job-set-up', setUpId: 'gone' }, [other])).toEqual({ job, setUp })
  })
})
