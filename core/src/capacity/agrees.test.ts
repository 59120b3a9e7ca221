/** Capacity and fit are one model: the thickest that a set-up welds is the thickest that a fit of the same weld accepts. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { assumptionsOf } from '../assumptions/assume.ts'
import { type FitInput, fitJob, sidesOf } from '../fit/fit.ts'
import { type Joint } from '../kinds/job.ts'
import { type Position, POSITIONS } from '../model/jointKinds.ts'
import { sampleGun } from '../testing/equipment.ts'
import { demoInput, demoShop, joint } from '../testing/samples.ts'
import { runs } from '../testing/runs.ts'
import { type CapacityRange, capacityOf } from './capacity.ts'

const MATERIAL = {
  'carbon-steel': 'hot-rolled',
  stainless: 'stainless-304',
  aluminium: 'aluminium-6061',
} as const
const { capacityDutyPct, capacityLimitDutyPct, capacityArcS } = assumptionsOf({ assumptions: {} })
/** A stick burns for less than a minute: its arcs are as long as it, or shorter. */
const STICK_ARC_S = 30

/** A tee of two equal parts, welded in arcs of a minute with rest between them up to a duty. */
function teeInput(base: FitInput, position: Position, thicknessMm: number, dutyPct: number): FitInput {
  const material = MATERIAL[base.wire?.metal ?? 'carbon-steel']
  const tee = (lengthMm: number): Joint =>
    joint({
      kind: 'tee',
      materialA: material,
      materialB: material,
      thicknessAMm: thicknessMm,
      thicknessBMm: thicknessMm,
      legMm: Math.max(1.5, thicknessMm / Math.SQRT2),
      position,
      lengthMm,
      tackS: 0,
    })
  const everydayS = base.setUp.process === 'smaw' ? STICK_ARC_S : capacityArcS
  // As many arcs in ten minutes, each shorter: the worst of them then have this duty.
  const arcS = (everydayS * dutyPct) / capacityDutyPct
  const withJoint = (one: Joint): FitInput => ({
    ...base,
    job: {
      ...base.job,
      joints: [one],
      quantity: 20,
      pauseS: arcS * (100 / dutyPct - 1),
      place: 'indoors',
      quality: 'ordinary',
      preheatC: null,
    },
  })
  const [weld] = sidesOf(withJoint(tee(100))).demand.welds
  if (!weld?.arcS) throw new Error('no arc time')
  // One pass of one piece takes the arc that is wanted: time goes straight with length.
  return withJoint(tee((100 * arcS * weld.passes * 20) / weld.arcS))
}

/** What the end of a thickness may be, beside pace. */
const ENDS = [
  'source-range',
  'electrode',
  'feed-speed',
  'thickness',
  'gun-duty',
  'source-duty',
  'breaker-holds',
  'short-circuit-depth',
  'cored-class',
  'cored-position',
  'spray-transition',
]
const ofEnds = (input: FitInput, verdict: string) =>
  fitJob(input).criteria.filter((one) => ENDS.includes(one.criterion) && one.verdict === verdict)
/** Room of every link at this pace: above the current needed, or only above the least that still makes the weld. */
function carries(input: FitInput, of: 'wanted' | 'low'): boolean {
  const [chain] = fitJob(input).chains
  if (!chain) throw new Error('no chain')
  const needs = of === 'wanted' ? chain.wantedA : chain.windowA.low
  return chain.links.every(
    ({ id, highA, mostA }) => ((id === 'gun' && of === 'low' ? mostA : highA) ?? 0) >= needs,
  )
}

const LESS = 0.995
const MORE = 1.005
interface Sight {
  readonly base: FitInput
  readonly range: CapacityRange
}
/** Every position of a set-up that is welded in. */
const sightsOf = (base: FitInput): readonly Sight[] =>
  capacityOf(sidesOf(base).capability)
    .columns.filter(({ isOwn }) => isOwn)
    .flatMap(({ ranges }) => ranges.map((range) => ({ base, range })))

function holdsEveryday({ base, range: { position, thickest, thin } }: Sight): void {
  if (!thickest || thickest.mm <= thin.mm + 1e-6) return
  const at = (share: number) => teeInput(base, position, thickest.mm * share, capacityDutyPct)
  const below = at(LESS)
  // What keeps the shop's margin in duty, or hangs beside on the circuit, is told by others.
  expect(carries(below, 'wanted'), `${base.setUp.id} ${position} ${thickest.mm}`).toBe(true)
  expect(ofEnds(below, 'fails')).toEqual([])
  const above = at(MORE)
  const isOver = !carries(above, 'wanted') || ['tight', 'fails'].some((one) => ofEnds(above, one).length > 0)
  expect(isOver, `${base.setUp.id} ${position} above ${thickest.mm}`).toBe(true)
}
function holdsAtLimits({ base, range: { position, thickest, limit } }: Sight): void {
  if (!limit || !thickest || limit.mm < thickest.mm) return
  const at = (share: number) => teeInput(base, position, limit.mm * share, capacityLimitDutyPct)
  expect(carries(at(LESS), 'low'), `${base.setUp.id} ${position} ${limit.mm}`).toBe(true)
  expect(ofEnds(at(LESS), 'fails')).toEqual([])
  const above = at(MORE)
  const isOver = !carries(above, 'low') || ofEnds(above, 'fails').length > 0
  const isClass = ofEnds(above, 'tight').some(({ criterion }) => criterion === 'cored-class')
  expect(isOver || isClass, `${base.setUp.id} ${position} above ${limit.mm}`).toBe(true)
}
function holdsOnePass({ base, range: { position, single } }: Sight): void {
  if (single.by !== 'bead') return
  const passesAt = (share: number) =>
    sidesOf(teeInput(base, position, single.mm * share, capacityDutyPct)).demand.welds[0]?.passes
  expect(passesAt(LESS), `${base.setUp.id} ${position} ${single.mm}`).toBe(1)
  expect(passesAt(MORE), `${base.setUp.id} ${position} ${single.mm}`).toBe(2)
}

/** Those of the demo that hang on a circuit. */
const onCircuits = demoShop()
  .setUps.filter(({ circuitId }) => circuitId !== null)
  .map(({ id }) => demoInput('press-frame', id))

describe('every set-up of the demo, in every position', () => {
  const sights = onCircuits.flatMap(sightsOf)
  it('welds every day what a fit of the same weld carries at the same pace, and no more', () => {
    expect(new Set(sights.map(({ range }) => range.position)).size).toBe(POSITIONS.length)
    sights.forEach(holdsEveryday)
  })
  it('at its limits welds what a fit of the same weld still makes, and no more', () => {
    sights.forEach(holdsAtLimits)
  })
  it('fills in one pass what a fit fills in one', () => {
    sights.forEach(holdsOnePass)
  })
})

describe('any set-up (property)', () => {
  const changes = fc.record({
    index: fc.constantFrom(...onCircuits.keys()),
    position: fc.constantFrom(...POSITIONS),
    outputMaxA: fc.double({ min: 90, max: 400, noNaN: true }),
    dutyA: fc.double({ min: 0.4, max: 1, noNaN: true }),
    gunA: fc.double({ min: 80, max: 400, noNaN: true }),
    feedMaxMmPerMin: fc.double({ min: 6000, max: 25_000, noNaN: true }),
    diameterMm: fc.constantFrom(0.762, 0.889, 1.143),
  })
  it('welds what a fit carries, and no more', () => {
    fc.assert(
      fc.property(changes, ({ index, position, outputMaxA, dutyA, gunA, feedMaxMmPerMin, diameterMm }) => {
        const base = onCircuits[index]
        if (!base) throw new RangeError('no set-up')
        const { powerSource, gun, wire } = base
        const made: FitInput = {
          ...base,
          wire: wire && wire.form !== 'rod' && wire.form !== 'covered' ? { ...wire, diameterMm } : wire,
          gun: {
            ...gun,
            ratings: sampleGun({
              ratings: gun.ratings.map((one) => ({ ...one, currentA: gunA, dutyPct: 60 })),
            }).ratings,
          },
          powerSource: {
            ...powerSource,
            feeder: powerSource.feeder && { ...powerSource.feeder, feedMaxMmPerMin },
            processes: powerSource.processes.map((process) => ({
              ...process,
              supplies: process.supplies.map((supply) => ({
                ...supply,
                outputMaxA,
                feedMaxMmPerMin: null,
                ratedPoints: [{ currentA: outputMaxA * dutyA, dutyPct: 40, loadV: null }],
              })),
            })),
          },
        }
        for (const sight of sightsOf(made)) {
          if (sight.range.position !== position) continue
          holdsEveryday(sight)
          holdsAtLimits(sight)
        }
      }),
      { numRuns: runs(10) },
    )
  })
})
