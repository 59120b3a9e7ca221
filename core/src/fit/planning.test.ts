import { describe, expect, it } from 'vitest'
import { demoInput, joint } from '../testing/samples.ts'
import { explainWeld } from '../criteria/explain.ts'
import { type FitInput, fitJob, planJob, sidesOf } from './fit.ts'
import { weldAdvice } from './weldAdvice.ts'

const unchanged = { assumptions: {}, filletRule: 'd1.1' as const }
const NO_MONEY = { wire: null, summary: null }
const post = demoInput('press-screw-post')

describe('the order of welding', () => {
  it('reordering welds changes no metal, no arc time and no gas', () => {
    const turned: FitInput = { ...post, job: { ...post.job, joints: [...post.job.joints].reverse() } }
    const total = (input: FitInput) => {
      const { welds } = fitJob(input)
      return welds.reduce((sum, { metalG, arcS }) => sum + metalG + (arcS ?? 0), 0)
    }
    expect(total(turned)).toBeCloseTo(total(post), 9)
  })

  it('piece by piece spreads a hungry weld that weld by weld heaps up', () => {
    const job = { ...post.job, quantity: 20, handling: 'bench' as const }
    const duty = (order: 'piece-by-piece' | 'weld-by-weld') =>
      fitJob({ ...post, job: { ...job, order } }).dutyPct ?? 0
    expect(duty('weld-by-weld')).toBeGreaterThanOrEqual(duty('piece-by-piece') - 1e-9)
  })

  it('a weld’s own pause, then the job’s, then its handling', () => {
    const pause = (change: Partial<typeof post.job>, own: number | null) =>
      fitJob({
        ...post,
        job: { ...post.job, ...change, joints: post.job.joints.map((one) => ({ ...one, repositionS: own })) },
      }).sequence[0]?.repositionS
    expect(pause({}, null)).toBe(240)
    expect(pause({ handling: 'bench' }, null)).toBe(20)
    expect(pause({}, 75)).toBe(75)
    expect(pause({ pauseS: 10 }, 75)).toBe(10)
  })

  it('tacks by length, or as they are given', () => {
    const line = fitJob(post).sequence[0]
    // 254 mm: one at the start and then every 150 mm or less.
    expect(line?.tacks).toBe(3)
    expect(line?.tackS).toBe(3 * (2 + 15))
  })
})

describe('the size of a fillet', () => {
  const advice = (part: Parameters<typeof joint>[0], job: Partial<typeof post.job> = {}) =>
    weldAdvice(joint(part), { ...post.job, quality: 'ordinary', ...job }, NO_MONEY, unchanged).fillet

  it('by the code’s table, never more than the thinner part', () => {
    expect(advice({ thicknessAMm: 12.7, thicknessBMm: 19.05, legMm: 6.35 })).toMatchObject({
      minimumMm: 6.35,
      verdict: 'right',
    })
    expect(advice({ thicknessAMm: 3, thicknessBMm: 19.05, legMm: 3 })).toMatchObject({ minimumMm: 3 })
    expect(advice({ thicknessAMm: 12.7, thicknessBMm: 19.05, legMm: 4 })).toMatchObject({ verdict: 'under' })
  })

  it('by the shop’s rule a bead as wide as the plate; code work keeps to the table', () => {
    const wide = advice({ thicknessAMm: 6.35, legMm: 4.5 }, { sizing: 'bead-as-wide' })
    expect(wide?.recommendedMm).toBeCloseTo(6.35 / Math.SQRT2, 9)
    expect(
      advice({ thicknessAMm: 6.35 }, { sizing: 'bead-as-wide', quality: 'code-bound' })?.recommendedMm,
    ).toBe(3.175)
  })

  it('throat is 0.707 of an equal leg', () => {
    expect(advice({ legMm: 10 })?.throatMm).toBeCloseTo(7.07, 2)
  })

  it('over-welding grows with the square of the leg, and costs money', () => {
    const fit = fitJob(post)
    const summary = fit.welds.find(({ jointId }) => jointId === 'stiffener') ?? null
    const one = post.job.joints.find(({ id }) => id === 'stiffener')
    if (!one || !summary) throw new Error('the demo has no stiffener')
    const over = weldAdvice(one, post.job, { wire: post.wire, summary }, unchanged).fillet?.overWeld
    // 5/16 in where 3/16 would do: (5/3)².
    expect(over?.timesMetal).toBeCloseTo(25 / 9, 9)
    expect(over?.extraG).toBeCloseTo(summary.metalG * (1 - 9 / 25), 6)
    expect(over?.extraCost ?? 0).toBeGreaterThan(1)
  })

  it('costs filler at its price, and the arc hours that more metal takes at theirs', () => {
    const one = post.job.joints.find(({ id }) => id === 'stiffener')
    const known = fitJob(post).welds.find(({ jointId }) => jointId === 'stiffener')
    if (!one || !known || !post.wire) throw new Error('the demo has no stiffener')
    // By hand: 100 g of metal of 120 g of wire at 50 a 5 kg; 900 s of arc is 0.25 h.
    const summary = { ...known, metalG: 100, fillerG: 120, arcS: 900 }
    const wire = { ...post.wire, packagePrice: 50, packageG: 5000 }
    const shop = { assumptions: { labourPerHour: 32 }, filletRule: 'd1.1' as const }
    const over = (money: Parameters<typeof weldAdvice>[2]) =>
      weldAdvice(one, post.job, money, shop).fillet?.overWeld?.extraCost
    // 1.20 + 8.00 for the whole; 16/25 of it need not have been welded.
    expect(over({ wire, summary })).toBeCloseTo(9.2 * 0.64, 9)
    // Hours alone, money of the wire alone, and neither.
    expect(over({ wire: null, summary })).toBeCloseTo(8 * 0.64, 9)
    expect(over({ wire, summary: { ...summary, arcS: null } })).toBeCloseTo(1.2 * 0.64, 9)
    expect(over({ wire: null, summary: { ...summary, arcS: null } })).toBe(null)
    expect(over({ wire, summary: null })).toBe(null)
  })
})

describe('what a weld wants by each process', () => {
  const wants = (part: Parameters<typeof joint>[0]) =>
    weldAdvice(joint(part), post.job, NO_MONEY, unchanged).wants
  it('names the processes of its metal', () => {
    const aluminium = wants({ materialA: 'aluminium-6061', materialB: 'aluminium-6061' })
    expect(aluminium.map(({ process }) => process)).toEqual(['gmaw-spray', 'gmaw-pulse', 'gtaw-ac'])
    expect(wants({}).map(({ process }) => process)).toContain('fcaw-s')
  })
  it('self-shielded wants about 0.6 of short-circuit for the same plate (common practice)', () => {
    const of = (process: string) =>
      wants({ thicknessAMm: 3, thicknessBMm: 3, legMm: 3 }).find((one) => one.process === process)?.wantedA ??
      0
    expect(of('fcaw-s') / of('gmaw-short')).toBeCloseTo(0.6, 1)
  })
})

describe('the thin end', () => {
  it('a thin sheet on a thick plate burns through at what the plate could take', () => {
    const thin = {
      ...post,
      job: { ...post.job, joints: [joint({ thicknessAMm: 1.5, thicknessBMm: 9, legMm: 1.5 })] },
    }
    const [summary] = fitJob(thin).welds
    expect(summary?.highA).toBeCloseTo((summary?.wantedA ?? 0) * 1.35, 9)
    // 90 A of short-circuit on 16 ga, a tenth more for the plate behind it.
    expect(summary?.highA).toBeLessThan(125)
  })
})

it('a plan has the figures of the fit', () => {
  const { welds, sequence, dutyPct, work } = fitJob(post)
  expect(planJob(post)).toEqual({ welds, sequence, dutyPct, work })
})

describe('working time and cost', () => {
  it('is one answer: the order’s lines, the criterion and the parts come to the same', () => {
    const { sequence, work, criteria } = fitJob(post)
    if (!work) throw new Error('no wire')
    const piecesS = sequence.reduce((sum, line) => sum + line.pieceS, 0) * post.job.quantity
    expect(work.arcS + work.tackS + work.handlingS).toBeCloseTo(piecesS, 6)
    const hours = criteria.find(({ criterion }) => criterion === 'time-use')?.demand ?? 0
    expect(hours * 3600).toBeCloseTo(piecesS + work.changeoverS, 6)
    expect(work.changeoverS).toBeGreaterThan(300)
  })
  it('costs its parts; a piece its share; welds the whole but for the changeover', () => {
    const { cost, work, welds } = fitJob(post)
    if (!cost || !work || !post.wire) throw new Error('no cost')
    // By hand: hours at 48, wire at its spool’s price by the gram.
    const hours = (work.arcS + work.tackS + work.handlingS + work.changeoverS) / 3600
    expect(cost.labour).toBeCloseTo(hours * 48, 9)
    // And 1 % for trial beads.
    const fillerG = welds.reduce((sum, one) => sum + one.fillerG, 0) * 1.01
    expect(cost.filler).toBeCloseTo((fillerG / post.wire.packageG) * (post.wire.packagePrice ?? 0), 9)
    expect(cost.job).toBeCloseTo((cost.labour ?? 0) + (cost.filler ?? 0) + (cost.gas ?? 0), 9)
    expect(cost.piece * post.job.quantity).toBeCloseTo(cost.job, 9)
    const all = cost.welds.reduce((sum, { jointId, each }) => {
      const joint = post.job.joints.find(({ id }) => id === jointId)
      return sum + each * (joint?.count ?? 0) * post.job.quantity
    }, 0)
    expect(all).toBeCloseTo(cost.job - (work.changeoverS / 3600) * 48, 6)
  })
  it('what has no price is not made up', () => {
    const { cost } = fitJob({ ...post, wire: post.wire && { ...post.wire, packagePrice: null } })
    expect(cost?.filler).toBe(null)
    expect(cost?.labour).toBeGreaterThan(0)
  })
})

it('the working of a weld ends in the figures that the list shows', () => {
  const { demand } = sidesOf(post)
  const [weld] = demand.welds
  const [summary] = fitJob(post).welds
  if (!weld) throw new Error('no weld')
  const results = (figure: 'wanted' | 'metal' | 'arc') =>
    explainWeld(figure, demand, weld).map(({ result }) => result.value)
  expect(results('wanted')).toContain(summary?.wantedA)
  expect(results('metal').at(-1)).toBe(summary?.metalG)
  expect(results('arc').at(-1)).toBe(summary?.arcS)
})

it('metric and imperial entry of one job give the same fit', () => {
  const metric: FitInput = { ...post, shop: { ...post.shop, unitSystem: 'metric' } }
  expect(fitJob(metric).welds).toEqual(fitJob(post).welds)
})

describe('a fillet by its throat, EN 1993-1-8', () => {
  // 4.5.2(2): a of 3 mm at least; drawings write whole and half millimetres, and nobody melts more than the thinner part.
  it.each([
    [6, 'structural', 3],
    [10, 'structural', 3],
    [3, 'structural', 2],
    [6, 'ordinary', 3],
    [5, 'ordinary', 2.5],
    [8, 'ordinary', 4],
    [7, 'ordinary', 3.5],
    [5.2, 'ordinary', 3],
  ] as const)('of %f mm, %s: a %f', (thicknessMm, quality, throatMm) => {
    const one = joint({ kind: 'tee', thicknessAMm: thicknessMm, thicknessBMm: thicknessMm })
    const job = { ...post.job, quality, sizing: 'bead-as-wide' } as const
    const found = weldAdvice(one, job, NO_MONEY, { assumptions: {}, filletRule: 'en-1993' }).fillet
    expect((found?.recommendedMm ?? 0) / Math.SQRT2).toBeCloseTo(throatMm, 6)
  })
})
