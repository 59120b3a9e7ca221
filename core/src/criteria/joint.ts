/** Criteria of the joint: whether the transfer reaches its root, in its position, at a pace that a hand can hold. */
import { weldCountOf } from '../joints/weldCount.ts'
import { commonPractice, computed, jobField } from '../basis/source.ts'
import type { AssumptionKey } from '../assumptions/list.ts'
import { assumed, calculation, from, input, inputOrAssumed, listOf } from '../calculation/calculation.ts'
import type { Reckoner } from '../calculation/reckoner.ts'
import type { Demand } from '../demand/demand.ts'
import type { WeldFigures } from '../demand/weldFigures.ts'
import { isOutOfPosition, type Position } from '../model/jointKinds.ts'
import { contradictionParams } from '../joints/contradictions.ts'
import { figure, message, word } from '../model/message.ts'
import { coredLimitsOf } from '../reference/classification.ts'
import { MATERIALS } from '../reference/materials.ts'
import { SPRAY_TRANSITION_SOURCE } from '../reference/sprayTransition.ts'
import { arcTime } from '../trade/deposit.ts'
import { count, quantity } from '../trade/weldMetal.ts'
import { isFillet } from '../trade/geometry.ts'
import { thinnerMm } from '../trade/groove.ts'
import { passesWanted } from '../trade/passes.ts'
import { weldRun } from '../trade/run.ts'
import {
  burnThrough,
  jointCurrent,
  leastWindowCurrent,
  mostWindowCurrent,
  thinnerFamily,
  wantedCurrent,
} from '../trade/wantedCurrent.ts'
import type { Criterion, Mend } from './criterion.ts'
import { bad, good, grouped, ofWork, poor } from './grouped.ts'

/** A thickness that is written in inches is no thicker than the same in millimetres. */
const ROUNDED_MM = 1e-6

/** A weld whose figures contradict each other cannot be made as it is written. */
const weldStands = ofWork(
  'weld-stands',
  'joint',
  [],
  (_c, demand) => {
    const [first] = demand?.contradictions ?? []
    if (!first) return null
    return bad(first.code, contradictionParams(first), undefined, first.weldId)
  },
  {
    mends(_c, demand, { weldId }) {
      const found = demand?.contradictions.find((one) => one.weldId === weldId)
      if (!found) return []
      const change = { [found.key]: found.meanwhile }
      return [{ ...message('as-reckoned'), patch: { on: 'joint', jointId: found.weldId, change } }]
    },
  },
)

const depthRoom = calculation({
  id: 'short-circuit-room',
  title: 'Thickness left before short-circuit may not fuse',
  symbol: 't_room',
  unit: 'mm',
  expression: 't_most - t',
  inputs: {
    t_most: inputOrAssumed('thickest that short-circuit fuses in its direction', 'mm', commonPractice()),
    t: input('thinner part', 'mm', jobField('thickness of the weld')),
  },
  compute: ({ t_most, t }) => t_most - t,
  source: commonPractice('common practice: lack of fusion in thick steel'),
})
/** Short-circuit leaves thick steel unfused, where no procedure is qualified. */
const ALUMINIUM_SPRAYS = commonPractice(
  'common practice: aluminium carries heat away faster than a short-circuiting arc brings it',
)
/** Downward the pool runs ahead of the arc: that is for sheet. */
export const shortCircuitMost = (position: Position): AssumptionKey =>
  position === 'vertical-down' ? 'shortCircuitDownhillLimitMm' : 'shortCircuitLimitMm'

const shortCircuitDepth = ofWork(
  'short-circuit-depth',
  'joint',
  [],
  ({ process, assumptions, reckoner }, demand) => {
    if (process.id !== 'gmaw-short' || !demand) return null
    const aluminium = demand.welds.find(({ joint }) => MATERIALS[joint.materialA].family === 'aluminium')
    if (aluminium) return bad('aluminium', {}, ALUMINIUM_SPRAYS, aluminium.joint.id)
    const steel = demand.welds.filter(({ joint }) => MATERIALS[joint.materialA].family === 'carbon-steel')
    if (steel.length === 0) return null
    const left = ({ joint }: WeldFigures) => assumptions[shortCircuitMost(joint.position)] - thinnerMm(joint)
    const { joint } = steel.reduce((worst, next) => (left(next) < left(worst) ? next : worst))
    const t_most = shortCircuitMost(joint.position)
    const upTo = (mm: number) => ({ most: figure(mm, 'mm') })
    const t = thinnerMm(joint)
    if (reckoner.compute(depthRoom, { t_most, t }) >= -ROUNDED_MM)
      return good('fuses', upTo(assumptions[t_most]), depthRoom.source, joint.id)
    // What is too thick upward as well is not mended by welding it upward.
    const { shortCircuitLimitMm } = assumptions
    return t <= shortCircuitLimitMm + ROUNDED_MM
      ? bad('downward', upTo(assumptions[t_most]), depthRoom.source, joint.id)
      : bad('may-not-fuse', upTo(shortCircuitLimitMm), depthRoom.source, joint.id)
  },
  {
    from: [depthRoom],
    mends: (_c, demand, { code }) => {
      if (code === 'downward') return [message('weld-upward')]
      if (code === 'aluminium') return [message('spray-or-pulse')]
      // A spray that would run out of the joint is no mend.
      return [message(demand?.welds.every(sprayHolds) ? 'spray-or-cored' : 'cored-or-procedure')]
    },
  },
)

const greatestBy = (demand: Demand, of: (weld: WeldFigures) => number): WeldFigures =>
  demand.runs.reduce((worst, next) => (of(next) > of(worst) ? next : worst), demand.hungriest)

const leastJointCurrent = calculation({
  id: 'least-joint-current',
  title: 'Least current that a joint takes',
  symbol: 'I_least',
  unit: 'A',
  expression: 'min(I_j)',
  inputs: {
    I_j: listOf('current that the joint takes, by weld line', 'A', computed(), ...jointCurrent.from),
  },
  compute: ({ I_j }) => Math.min(...I_j),
  source: computed('the weld that decides where one wire is fed'),
})

/** A bar behind the seam. */
export const backingMend = (jointId: string): Mend => ({
  ...message('back-it'),
  patch: { on: 'joint', jointId, change: { backing: true } },
})

/** A gap of 1/16 in and more: the pool of a spray falls through it. */
const OPEN_ROOT_MM = 1.5875
const OPEN_ROOT = commonPractice('the pool of a spray is too hot and too fluid to bridge a gap')

/** A spray that is hotter than a joint wants: no less current keeps it spraying. */
const sprayTransition = ofWork(
  'spray-transition',
  'joint',
  ['wire'],
  ({ process, reckoner }, demand) => {
    if (!demand || process.id !== 'gmaw-spray') return null
    reckoner.compute(leastJointCurrent, { I_j: demand.runs.map((weld) => weld.jointA) })
    const { joint, jointA, transitionA, highA } = greatestBy(
      demand,
      (weld) => (weld.transitionA ?? 0) / weld.jointA,
    )
    if (transitionA === null) return null
    const params = {
      transition: figure(transitionA, 'A'),
      wants: figure(jointA, 'A'),
      most: figure(highA ?? jointA, 'A'),
    }
    const open = demand.welds.find(
      ({ runs, joint: { rootGapMm } }) => runs.length > 0 && rootGapMm >= OPEN_ROOT_MM,
    )
    if (jointA >= transitionA)
      return open
        ? {
            ...poor('open-root', { gap: figure(open.joint.rootGapMm, 'mm') }, OPEN_ROOT, open.joint.id),
            pass: 'root',
          }
        : good('sprays', params, SPRAY_TRANSITION_SOURCE, joint.id)
    return highA !== null && transitionA > highA
      ? bad('burns-through', params, SPRAY_TRANSITION_SOURCE, joint.id)
      : poor('hotter', params, SPRAY_TRANSITION_SOURCE, joint.id)
  },
  {
    from: [wantedCurrent, leastWindowCurrent, mostWindowCurrent, burnThrough, leastJointCurrent],
    // Aluminium short-circuits cold: less wire, or pulses.
    mends: (_c, demand, { code, weldId }) =>
      code === 'open-root' && weldId !== null
        ? [backingMend(weldId), message('root-by-short-circuit')]
        : [message(isAluminium(demand) ? 'thinner-wire-or-pulse' : 'short-circuit-or-pulse')],
  },
)
const isAluminium = (d: Demand | null): boolean => d?.metals.includes('aluminium') ?? false

/** Where gravity does not carry the drops away. */
export const sprayHolds = ({ joint }: Pick<WeldFigures, 'joint'>): boolean =>
  thinnerFamily(joint) === 'aluminium' ||
  joint.position === 'flat' ||
  (joint.position === 'horizontal' && isFillet(joint))

/** The pool of sprayed steel runs out of every joint but flat ones and horizontal fillets; pulsed it does not. */
const sprayPosition = ofWork(
  'spray-position',
  'joint',
  ['powerSource'],
  ({ process }, demand) => {
    if (!demand || process.id !== 'gmaw-spray') return null
    const beyond = demand.welds.find((weld) => !sprayHolds(weld))
    if (!beyond) return good('holds')
    const position: Position = beyond.joint.position
    return bad('runs-out', { position: word('position', position) }, undefined, beyond.joint.id)
  },
  {
    mends({ powerSource }) {
      const pulses = powerSource?.processes.some(({ family, pulse }) => family === 'gmaw' && pulse) ?? false
      return pulses
        ? [{ ...message('pulse-it'), patch: { on: 'set-up', change: { process: 'gmaw-pulse' } } }]
        : [message('short-circuit-or-pulse')]
    },
  },
)

const squareRoom = calculation({
  id: 'square-room',
  title: 'Thickness left before a square joint stays open at its root',
  symbol: 't_room',
  unit: 'mm',
  expression: 'n * t_most - t',
  inputs: {
    n: input('sides that are welded', '', jobField('back weld')),
    t_most: inputOrAssumed('thickest square joint from one side', 'mm', commonPractice()),
    t: input('thinner part', 'mm', jobField('thickness of the weld')),
  },
  compute: ({ n, t_most, t }) => n * t_most - t,
  source: commonPractice('common practice: above it the arc does not reach the root'),
})

const squareDepth = ofWork(
  'square-depth',
  'joint',
  [],
  ({ process, reckoner }, demand) => {
    const squares = demand?.welds.filter(({ joint }) => joint.kind === 'square') ?? []
    const [first, ...others] = squares
    if (!first) return null
    const t_most: AssumptionKey = process.electrode === 'tungsten' ? 'squareMostGtawMm' : 'squareMostWireMm'
    const roomOf = ({ joint }: WeldFigures): number =>
      reckoner.compute(squareRoom, { n: joint.backWeldMm > 0 ? 2 : 1, t_most, t: thinnerMm(joint) })
    const worst = others.reduce(
      (least, next) => (roomOf(next) < least.room ? { weld: next, room: roomOf(next) } : least),
      { weld: first, room: roomOf(first) },
    )
    // The steps that are shown are the latest.
    const room = roomOf(worst.weld)
    const { joint } = worst.weld
    const t = thinnerMm(joint)
    const params = { thickness: figure(t, 'mm'), most: figure(t + room, 'mm') }
    if (room >= -ROUNDED_MM) return good('reaches', params)
    // Twice as thick as the arc reaches is not welded through at all.
    const make = t > TWICE * (t + room) ? bad : poor
    return make('bevel', params, squareRoom.source, joint.id)
  },
  {
    from: [squareRoom],
    mends(_c, demand, { weldId }) {
      const joint = demand?.welds.find((weld) => weld.joint.id === weldId)?.joint
      if (!joint) return []
      const change = {
        kind: 'v',
        includedAngleDeg: 60,
        rootFaceMm: Math.min(ROOT_FACE_MM, thinnerMm(joint) / 4),
        rootGapMm: Math.max(joint.rootGapMm, ROOT_GAP_MM),
        passes: null,
      } as const
      return [{ ...message('bevel'), patch: { on: 'joint', jointId: joint.id, change } }]
    },
  },
)
const TWICE = 2
/** What a V is usually given: 1/16 in of face, 3/32 in of gap. */
const ROOT_FACE_MM = 1.5875
const ROOT_GAP_MM = 2.38125

export const beadTravel = calculation({
  id: 'bead-travel',
  title: 'Travel speed that lays this bead down',
  symbol: 's',
  unit: 'mm/min',
  expression: '60 * L_1 * c * q * n / τ',
  inputs: { L_1: weldRun, c: count, q: quantity, n: passesWanted, τ: arcTime },
  compute: ({ L_1, c, q, n, τ }) => (60 * L_1 * c * q * n) / τ,
  source: computed('length over arc time'),
})
/** @returns mm/min; null where the arc time is not known */
export const beadTravelOf = (
  { joint, runMm, passes, arcS }: WeldFigures,
  pieces: number,
  reckoner: Reckoner,
): number | null =>
  arcS === null || arcS <= 0
    ? null
    : reckoner.compute(beadTravel, { L_1: runMm, c: weldCountOf(joint), q: pieces, n: passes, τ: arcS })
const fastestTravel = calculation({
  id: 'fastest-travel',
  title: 'Fastest of these travel speeds',
  symbol: 's_fast',
  unit: 'mm/min',
  expression: 'max(s)',
  inputs: { s: listOf('travel speed, by weld line', 'mm/min', computed(), beadTravel.id) },
  compute: ({ s }) => Math.max(...s),
  source: computed('beside what a hand does on parts of its thickness'),
})
/** Turned down to the low end of its window, a weld goes more slowly in proportion, nearly. */
const slowestTravel = calculation({
  id: 'bead-travel-low',
  title: 'Travel speed at the lowest sound current, nearly',
  symbol: 's_low',
  unit: 'mm/min',
  expression: 's * I_low / I',
  inputs: { s: from(beadTravel), I_low: from(leastWindowCurrent), I: from(wantedCurrent) },
  compute: ({ s, I_low, I }) => (s * I_low) / I,
  source: computed('burn-off grows with the current'),
})
const travelMost = calculation({
  id: 'travel-most',
  title: 'Maximum travel speed by hand',
  symbol: 's_most',
  unit: 'mm/min',
  expression: 's_most',
  inputs: { s_most: inputOrAssumed('maximum travel speed', 'mm/min', commonPractice()) },
  compute: ({ s_most }) => s_most,
  source: commonPractice(),
})
const travelLeast = calculation({
  id: 'travel-least',
  title: 'Minimum travel speed by hand',
  symbol: 's_least',
  unit: 'mm/min',
  expression: 's_least',
  inputs: { s_least: assumed('travelLeastMmPerMin') },
  compute: ({ s_least }) => s_least,
  source: commonPractice(),
})

/** On parts that are melted through a hand goes faster. */
export const fastestTravelKey = ({
  joint,
  burnThroughMm,
}: Pick<WeldFigures, 'joint' | 'burnThroughMm'>): AssumptionKey =>
  thinnerMm(joint) <= burnThroughMm + ROUNDED_MM ? 'travelThinMostMmPerMin' : 'travelMostMmPerMin'

/** Whether a hand keeps up with the wire: too small a bead runs away from it, too large a one piles up. */
const travel = ofWork(
  'travel',
  'joint',
  ['wire'],
  ({ process, wire, assumptions, reckoner }, demand) => {
    if (!demand || process.electrode === 'tungsten' || !wire) return null
    const travelOf = (weld: WeldFigures): number | null => beadTravelOf(weld, demand.job.quantity, reckoner)
    /** How far outside what a hand does, as a ratio; the weld that is furthest decides. */
    const outside = (weld: WeldFigures): number => {
      const s = travelOf(weld)
      if (s === null) return 0
      const low = (s * weld.lowA) / weld.wantedA
      return Math.max(low / assumptions[fastestTravelKey(weld)], assumptions.travelLeastMmPerMin / s)
    }
    reckoner.compute(fastestTravel, { s: demand.runs.map((one) => travelOf(one) ?? 0) })
    const weld = greatestBy(demand, outside)
    const s = travelOf(weld)
    if (s === null) return null
    const most = reckoner.compute(travelMost, { s_most: fastestTravelKey(weld) })
    const least = reckoner.compute(travelLeast, {})
    const slowest = reckoner.compute(slowestTravel, { s, I_low: weld.lowA, I: weld.wantedA })
    const isTooFast = slowest > most * ROUNDED
    const params = {
      travel: figure(isTooFast ? slowest : s, 'mm/min'),
      most: figure(most, 'mm/min'),
      least: figure(least, 'mm/min'),
    }
    const make = isTooFast || s * ROUNDED < least ? poor : good
    const code = isTooFast ? 'too-fast' : s * ROUNDED < least ? 'too-slow' : 'by-hand'
    return { ...make(code, params, undefined, weld.joint.id), pass: weld.pass }
  },
  {
    from: [fastestTravel, beadTravel, slowestTravel, travelMost, travelLeast, burnThrough],
    mends: (_c, _d, { code }) => [message(code === 'too-fast' ? 'larger-bead' : 'more-beads')],
  },
)
const ROUNDED = 1.001

const classRoom = calculation({
  id: 'class-room',
  title: 'Thickness left of what the class of the wire joins',
  symbol: 't_room',
  unit: 'mm',
  expression: 't_most - t',
  inputs: {
    t_most: input('thickest part for this class', 'mm', computed('classification of the wire')),
    t: input('thinner part', 'mm', jobField('thickness of the weld')),
  },
  compute: ({ t_most, t }) => t_most - t,
  source: computed('AWS A5.20, classification of cored steel electrodes'),
})

/** Some cored wires are for one pass, or for parts up to a thickness. */
const coredClass = ofWork(
  'cored-class',
  'joint',
  ['wire'],
  ({ fedWire, reckoner }, demand) => {
    const limits = fedWire ? coredLimitsOf(fedWire.classification) : null
    if (!demand || !fedWire || !limits) return null
    const { mostMm, isSinglePass, source } = limits
    const params = { wire: fedWire.name, most: figure(mostMm ?? 0, 'mm') }
    const layered = isSinglePass ? demand.welds.find(({ passes: n }) => n > 1) : undefined
    if (layered) return bad('single-pass', params, source, layered.joint.id)
    if (mostMm === null) return good('within', params, source)
    const thickest = greatestBy(demand, ({ joint }) => thinnerMm(joint))
    const room = reckoner.compute(classRoom, { t_most: mostMm, t: thinnerMm(thickest.joint) })
    if (room >= -ROUNDED_MM) return good('within', params, source, thickest.joint.id)
    return (isSinglePass ? bad : poor)('too-thick', params, source, thickest.joint.id)
  },
  {
    from: [classRoom],
    mends: ({ process }) => [message(process.shielded ? 'multi-pass-gas' : 'multi-pass-self')],
  },
)

export const outOfPositionMost = calculation({
  id: 'cored-out-of-position',
  title: 'Most current of this wire out of position',
  symbol: 'I_o',
  unit: 'A',
  expression: 'I_max * s / 100',
  inputs: {
    I_max: input('most usable current', 'A', computed('by form and diameter')),
    s: assumed('coredOutOfPositionPct'),
  },
  compute: ({ I_max, s }) => (I_max * s) / 100,
  source: commonPractice('the slag holds no larger pool up'),
})

/** The speed range of a cored wire ends sooner where the pool wants to run. */
const coredPosition = grouped(
  'cored-position',
  'joint',
  ['wire'],
  ({ process, electrode, reckoner }, demand) => {
    if (!demand || process.family !== 'fcaw' || electrode.missing !== null) return null
    const beyond = demand.welds.filter(({ joint }) => isOutOfPosition(joint.position))
    const [first, ...others] = beyond
    if (!first) return null
    const { joint, wantedA, lowA } = others.reduce(
      (most, next) => (next.wantedA > most.wantedA ? next : most),
      first,
    )
    const mostA = reckoner.compute(outOfPositionMost, { I_max: electrode.range.maxA })
    const params = { most: figure(mostA, 'A'), wants: figure(wantedA, 'A') }
    const make = lowA > mostA ? bad : wantedA > mostA ? poor : good
    return make(wantedA > mostA ? 'runs' : 'holds', params, undefined, joint.id)
  },
  {
    from: [outOfPositionMost, wantedCurrent, leastWindowCurrent],
    mends: () => [message('thinner-cored-wire')],
  },
)

/** Heat that a metal does not stand is no way to weld it. */
const preheat = ofWork(
  'preheat',
  'joint',
  [],
  (_c, demand) => {
    const warmedC = demand?.job.preheatC ?? null
    if (!demand || warmedC === null) return null
    const params = { temperature: figure(warmedC, '°C') }
    for (const { advice, weldId } of demand.pairs) {
      const { mostC = null, text: why = '', source } = advice.preheat ?? {}
      if (mostC !== null && warmedC > mostC)
        return bad('too-hot', { ...params, most: figure(mostC, '°C'), why }, source, weldId)
    }
    return good('held', params)
  },
  { mends: () => [{ ...message('no-preheat'), patch: { on: 'job', change: { preheatC: null } } }] },
)

export const JOINT_CRITERIA: readonly Criterion[] = [
  weldStands,
  shortCircuitDepth,
  sprayTransition,
  sprayPosition,
  squareDepth,
  coredClass,
  coredPosition,
  preheat,
  travel,
]
