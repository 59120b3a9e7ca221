/**
 * What a set-up welds, without a job: from the thinnest to the thickest part, by position and supply voltage, as the
 * least of all its links. Reckoned for short welds with rest between, on a tee of two equal parts.
 */
import { commonPractice, computed, jobField } from '../basis/source.ts'
import { assumed, calculation, from, input, listOf } from '../calculation/calculation.ts'
import { type Reckoner, reckonerFor, TracingReckoner } from '../calculation/reckoner.ts'
import type { Step } from '../calculation/step.ts'
import type { Capability } from '../capability/capability.ts'
import {
  type Carries,
  circuitCarrier,
  electrodeCarries,
  gunCarriesAt,
  LINK_FROM,
  LINK_IDS,
  type LinkId,
  sourceCarries,
} from '../criteria/carries.ts'
import { feedStretched } from '../criteria/feedSpeed.ts'
import { outOfPositionMost, shortCircuitMost, sprayHolds } from '../criteria/joint.ts'
import { depositedOf } from '../demand/weldFigures.ts'
import { USUAL_RUN } from '../kinds/usualRun.ts'
import type { Circuit } from '../kinds/equipment.ts'
import { type Joint } from '../kinds/job.ts'
import { isOutOfPosition, type Position, POSITIONS } from '../model/jointKinds.ts'
import type { MaterialId, Metal } from '../model/material.ts'
import { newJoint } from '../joints/newJoint.ts'
import type { Message } from '../model/message.ts'
import { coredLimitsOf, notForPosition } from '../reference/classification.ts'
import { currentAtFeed, feedCurrent } from '../trade/burnOff.ts'
import { beadMost, beadMostMm2 } from '../trade/passes.ts'
import { thicknessAtMm, thicknessByCurrent } from '../trade/thicknessAt.ts'
import { burnThrough, type WantedCurrent, wantedCurrentOf } from '../trade/wantedCurrent.ts'

/** What sets one end of what is welded. */
export type LimitId = LinkId | 'feeder' | 'transition' | 'bead' | 'short-circuit' | 'class' | 'position'

/** What one link lets through. */
export interface LinkLimit {
  readonly id: LinkId | 'feeder'
  readonly leastA: number
  /** Every day, and at its limits: with more rest, a gun above what it sustains, a feeder at the end of its band. */
  readonly mostA: number
  readonly limitA: number
}

/** One end: a thickness, and what sets it. */
export interface End {
  readonly mm: number
  readonly by: LimitId
}

/** What is welded in one position. */
export interface CapacityRange {
  readonly position: Position
  /** The thinnest that does not burn through, and the thinnest that is everyday work. */
  readonly thinnest: End
  readonly thin: End
  /** The thickest in one pass. */
  readonly single: End
  /** The thickest at all: by several passes, where the wire may; null where nothing ends it. */
  readonly thickest: End | null
  /** The same at the low end of the window: slower, smaller beads. */
  readonly limit: End | null
  /** Of aluminium, warmed as far as it may be, mm; null of other metals, or where nothing ends it. */
  readonly preheatedMm: number | null
}

/** One supply voltage. */
export interface CapacityColumn {
  /** Null for an engine. */
  readonly voltageV: number | null
  readonly phases: 1 | 3
  /** Whether the set-up hangs on it; of other voltages no circuit is looked at. */
  readonly isOwn: boolean
  readonly links: readonly LinkLimit[]
  /** What is not known; then there are no ranges. */
  readonly missing: Message | null
  /** Only positions in which something is welded. */
  readonly ranges: readonly CapacityRange[]
  /** What the maker says, mm; null where nobody has written it down. */
  readonly claimMinMm: number | null
  readonly claimMaxMm: number | null
}

export interface Capacity {
  readonly metal: Metal
  /** Duty and arc that it is reckoned for. */
  readonly dutyPct: number
  readonly limitDutyPct: number
  readonly columns: readonly CapacityColumn[]
}

const PRACTICE = commonPractice()

const dutyOf = { symbol: 'X', unit: '%', expression: 'X', source: PRACTICE } as const
const duty = calculation({
  ...dutyOf,
  id: 'capacity-duty',
  title: 'Duty cycle for capacity',
  inputs: { X: assumed('capacityDutyPct') },
  compute: ({ X }) => X,
})
const limitDuty = calculation({
  ...dutyOf,
  id: 'capacity-limit-duty',
  title: 'Duty cycle for the limits',
  inputs: { X: assumed('capacityLimitDutyPct') },
  compute: ({ X }) => X,
})
const arc = calculation({
  id: 'capacity-arc',
  title: 'One arc for capacity',
  symbol: 'a',
  unit: 's',
  expression: 'a',
  inputs: { a: assumed('capacityArcS') },
  compute: ({ a }) => a,
  source: PRACTICE,
})
/** As many arcs in ten minutes as every day, each shorter. */
const limitArc = calculation({
  id: 'capacity-limit-arc',
  title: 'One arc for the limits',
  symbol: 'a',
  unit: 's',
  expression: 'a * X_2 / X_1',
  inputs: { a: from(arc), X_1: from(duty), X_2: from(limitDuty) },
  compute: ({ a, X_1, X_2 }) => (a * X_2) / X_1,
  source: computed('as many arcs, each shorter by the duty'),
})
const pause = calculation({
  id: 'capacity-pause',
  title: 'Pause after each arc at this duty',
  symbol: 'p',
  unit: 's',
  expression: 'a * (100 / X - 1)',
  inputs: { a: from(arc, limitArc), X: from(duty, limitDuty) },
  compute: ({ a, X }) => a * (100 / X - 1),
  source: computed('share of arc time'),
})

const linkIds = Object.values(LINK_FROM).flatMap((calculations) => calculations.map(({ id }) => id))
const most = calculation({
  id: 'capacity-most',
  title: 'Highest current of all links',
  symbol: 'I_most',
  unit: 'A',
  expression: 'min(I)',
  inputs: {
    I: listOf(
      'by link, and by position',
      'A',
      computed(),
      ...linkIds,
      ...feedCurrent.map(({ id }) => id),
      outOfPositionMost.id,
    ),
  },
  compute: ({ I }) => Math.min(...I),
  source: computed('the least decides'),
})
const least = calculation({
  id: 'capacity-least',
  title: 'Lowest current of all links',
  symbol: 'I_least',
  unit: 'A',
  expression: 'max(I)',
  inputs: {
    I: listOf('by link, and by transfer', 'A', computed(), ...linkIds, ...feedCurrent.map(({ id }) => id)),
  },
  compute: ({ I }) => Math.max(...I),
  source: computed('the greatest decides'),
})
const atLimit = calculation({
  id: 'capacity-at-limit',
  title: 'Current needed by what the most current just still welds',
  symbol: 'I',
  unit: 'A',
  expression: 'I_most / (1 - w / 100)',
  inputs: { I_most: from(most), w: assumed('windowLowPct') },
  compute: ({ I_most, w }) => I_most / (1 - w / 100),
  source: computed('low end of the window'),
})
const preheated = calculation({
  id: 'capacity-preheated',
  title: 'Current needed cold by what the most current welds warm',
  symbol: 'I',
  unit: 'A',
  expression: 'I_limit * (T_m - T_0) / (T_m - T_p)',
  inputs: {
    I_limit: from(atLimit),
    T_m: assumed('aluminiumMeltsC'),
    T_0: assumed('workshopC'),
    T_p: assumed('aluminiumPreheatMostC'),
  },
  compute: ({ I_limit, T_m, T_0, T_p }) => (I_limit * (T_m - T_0)) / (T_m - T_p),
  source: computed('heat that is there already need not come from the arc'),
})
const burning = calculation({
  id: 'capacity-burning',
  title: 'Current needed by what the least current just does not burn through',
  symbol: 'I',
  unit: 'A',
  expression: 'I_least / (1 + w / 100)',
  inputs: { I_least: from(least), w: assumed('windowHighPct') },
  compute: ({ I_least, w }) => I_least / (1 + w / 100),
  source: computed('high end of the window'),
})
const thinnest = calculation({
  id: 'capacity-thinnest',
  title: 'Thinnest part that does not burn through',
  symbol: 't',
  unit: 'mm',
  expression: 'min(t_b, t)',
  inputs: { t_b: from(burnThrough), t: from(...thicknessByCurrent) },
  compute: ({ t_b, t }) => Math.min(t_b, t),
  source: computed('high end of the window'),
})
/** A bead as wide as the plate is thick: its legs are the thickness over the root of two. */
const byBead = calculation({
  id: 'capacity-bead',
  title: 'Thickness whose tee one pass fills with a bead about as wide as the plate',
  symbol: 't',
  unit: 'mm',
  expression: 'sqrt(4 * B / (1 + c / 100))',
  inputs: { B: beadMost, c: assumed('convexityPct') },
  compute: ({ B, c }) => Math.sqrt((4 * B) / (1 + c / 100)),
  source: commonPractice('shop rule for work without a code: bead about as wide as the plate is thick'),
})
const capped = calculation({
  id: 'capacity-cap',
  title: 'Thickest part for this process or wire',
  symbol: 't_most',
  unit: 'mm',
  expression: 't_most',
  inputs: {
    t_most: { ...input('thickest', 'mm', jobField('process, or class of the wire')), takesAssumption: true },
  },
  compute: ({ t_most }) => t_most,
  source: PRACTICE,
})

const MATERIAL: Readonly<Record<Metal, MaterialId>> = {
  'carbon-steel': 'hot-rolled',
  stainless: 'stainless-304',
  aluminium: 'aluminium-6061',
}
/** Any thickness: current for each millimetre is the same for all of them. */
const ANY_MM = 3

const joints = new Map<string, Joint>()
/** A tee of two equal parts. */
function teeOf(metal: Metal, position: Position): Joint {
  const key = `${metal} ${position}`
  const found = joints.get(key)
  if (found) return found
  const material = MATERIAL[metal]
  const made = newJoint('tee', {
    kind: 'tee',
    materialA: material,
    materialB: material,
    thicknessAMm: ANY_MM,
    thicknessBMm: ANY_MM,
    legMm: ANY_MM,
    position,
  })
  joints.set(key, made)
  return made
}

const metalOf = ({ wire }: Capability): Metal => wire?.metal ?? 'carbon-steel'

/** A set-up on one supply voltage. */
interface Sight {
  readonly capability: Capability
  readonly column: Pick<CapacityColumn, 'voltageV' | 'phases' | 'isOwn'>
}

/**
 * Every link's currents in short welds with rest between, or what is missing of one. Of a voltage that the set-up does
 * not hang on, only what is behind the plug counts.
 */
function linksOf(
  { capability: capability, column }: Sight,
  of: readonly LinkId[],
): {
  readonly links: readonly LinkLimit[]
  readonly missing: Message | null
} {
  const { reckoner, fedWire, feedPath, feedMaxMmPerMin, process } = capability
  const [a, X_1, X_2] = [
    reckoner.compute(arc, {}),
    reckoner.compute(duty, {}),
    reckoner.compute(limitDuty, {}),
  ]
  const carriedAt = (dutyPct: number, oneArcS: number): readonly (readonly [LinkId, Carries])[] => {
    const pattern = { dutyPct, pauseS: reckoner.compute(pause, { a: oneArcS, X: dutyPct }) }
    const circuit = column.isOwn ? circuitCarrier(capability, pattern)?.({ oneArcS }) : undefined
    return [
      ...(circuit ? [['circuit', circuit] as const] : []),
      ['source', sourceCarries(capability, pattern)],
      ['gun', gunCarriesAt(capability, dutyPct)],
      ['electrode', electrodeCarries(capability)],
    ]
  }
  const rested = new Map(carriedAt(X_2, reckoner.compute(limitArc, { a, X_1, X_2 })))
  const links: LinkLimit[] = []
  for (const [id, carries] of carriedAt(X_1, a)) {
    if (!of.includes(id)) continue
    const atLimits = rested.get(id) ?? carries
    if (carries.missing !== null) return { links: [], missing: carries.missing }
    if (atLimits.missing !== null) return { links: [], missing: atLimits.missing }
    links.push({
      id,
      leastA: carries.leastA,
      mostA: carries.highA,
      // A gun is used for short welds above what it sustains; the source’s curve is taken at the duty itself.
      limitA: id === 'gun' ? atLimits.mostA : atLimits.highA,
    })
  }
  if (fedWire && feedMaxMmPerMin !== null) {
    const feedMin = feedPath?.feeder.feedMinMmPerMin ?? null
    const currentAt = (feed: number) => currentAtFeed(fedWire, feed, process.id, reckoner)
    links.push({
      id: 'feeder',
      leastA: feedMin === null ? 0 : currentAt(feedMin),
      mostA: currentAt(feedMaxMmPerMin),
      limitA: currentAt(reckoner.compute(feedStretched, { v_max: feedMaxMmPerMin })),
    })
  }
  return { links, missing: null }
}

/** What sets an end of the current: a link, or what the transfer or the position asks. */
interface CurrentLimit {
  readonly id: LimitId
  readonly leastA: number
  readonly mostA: number
  readonly limitA: number
}

const turnedDown = (mostA: number) => ({ mostA, limitA: mostA })
/** Beside the links: a spray must spray, and the slag of a cored wire holds no larger pool up out of position. */
function limitsOf(
  { process, reckoner }: Capability,
  links: readonly LinkLimit[],
  { transitionA }: WantedCurrent,
  position: Position,
): readonly CurrentLimit[] {
  const wire = links.find(({ id }) => id === 'electrode')
  const isCored = process.family === 'fcaw' && isOutOfPosition(position)
  return [
    ...(transitionA === null
      ? []
      : [{ id: 'transition', leastA: transitionA, mostA: Infinity, limitA: Infinity } as const]),
    ...(isCored && wire
      ? [
          {
            id: 'position',
            leastA: 0,
            ...turnedDown(reckoner.compute(outOfPositionMost, { I_max: wire.mostA })),
          } as const,
        ]
      : []),
  ]
}

const byOf = (limits: readonly CurrentLimit[], end: 'leastA' | 'mostA' | 'limitA', value: number): LimitId =>
  limits.find((limit) => limit[end] === value)?.id ?? 'source'

/** Thickest part that process or class allow: its limit, and whether several passes are allowed at all. */
function capOf(
  capability: Capability,
  metal: Metal,
  position: Position,
): { readonly end: End | null; readonly isSinglePass: boolean } {
  const { process, wire, reckoner } = capability
  if (process.id === 'gmaw-short' && metal === 'carbon-steel') {
    return {
      end: { mm: reckoner.compute(capped, { t_most: shortCircuitMost(position) }), by: 'short-circuit' },
      isSinglePass: false,
    }
  }
  const limits = wire && process.family === 'fcaw' ? coredLimitsOf(wire.classification) : null
  if (!limits || limits.mostMm === null) return { end: null, isSinglePass: limits?.isSinglePass ?? false }
  return {
    end: { mm: reckoner.compute(capped, { t_most: limits.mostMm }), by: 'class' },
    isSinglePass: limits.isSinglePass,
  }
}

/** Whether anything is welded there: a sprayed pool runs out, some wires are for flat and horizontal, some not for downhill. */
function isPossible({ process, wire }: Capability, joint: Joint): boolean {
  if (process.id === 'gmaw-spray' && !sprayHolds({ joint })) return false
  return process.electrode === 'tungsten' || wire === null || notForPosition(wire, joint.position) === null
}

const lesser = (one: End | null, other: End | null): End | null =>
  one && other ? (other.mm < one.mm ? other : one) : (one ?? other)

/** The thickness at which a bead settles: enough halvings for a hundredth of a millimetre. */
const SETTLES = 14

/**
 * How thick a tee one pass fills, mm. A thicker part takes more current, which lays a larger bead: where both meet is
 * looked for, between no plate and what the hand lays at any current.
 */
function beadEndMm(capability: Capability, joint: Joint, mostA: number): number {
  const { process, wire, fedWire, assumptions, reckoner } = capability
  const carrier = process.electrode === 'covered' ? wire : fedWire
  const plain = reckonerFor(assumptions)
  const endAtMm = (mm: number, by: Reckoner): number => {
    const tee = { ...joint, thicknessAMm: mm, thicknessBMm: mm, legMm: mm }
    const { wantedA } = wantedCurrentOf(tee, process.id, carrier, by)
    const deposited = depositedOf(process.id, carrier, Math.min(wantedA, mostA), by)
    return by.compute(byBead, { B: beadMostMm2(tee, process.id, deposited, by) })
  }
  const handMm = plain.compute(byBead, { B: beadMostMm2(joint, process.id, null, plain) })
  let [low, high] = [0, handMm]
  if (endAtMm(high, plain) >= high) low = high
  for (let turn = 0; turn < SETTLES && low < high; turn += 1) {
    const middle = (low + high) / 2
    if (endAtMm(middle, plain) >= middle) low = middle
    else high = middle
  }
  return endAtMm(low, reckoner)
}

function rangeOf(
  capability: Capability,
  links: readonly LinkLimit[],
  position: Position,
): CapacityRange | null {
  const { process, wire, fedWire, reckoner } = capability
  const metal = metalOf(capability)
  const joint = teeOf(metal, position)
  if (!isPossible(capability, joint)) return null
  const carrier = process.electrode === 'covered' ? wire : fedWire
  const weld = wantedCurrentOf(joint, process.id, carrier, reckoner)
  const limits = [...links, ...limitsOf(capability, links, weld, position)]
  const mostA = reckoner.compute(most, { I: limits.map((limit) => limit.mostA).filter(Number.isFinite) })
  const leastA = reckoner.compute(least, { I: limits.map((limit) => limit.leastA) })
  const mostBy = byOf(limits, 'mostA', mostA)
  const leastBy = byOf(limits, 'leastA', leastA)
  if (mostA < leastA) return null
  /** A stick that reaches its own current welds whatever thickness. */
  const endAt = (currentA: number, by: LimitId): End | null => {
    const mm = thicknessAtMm(currentA, weld.law, reckoner)
    return mm === null ? null : { mm, by }
  }
  const { end: cap, isSinglePass } = capOf(capability, metal, position)
  const bead: End = { mm: beadEndMm(capability, joint, mostA), by: 'bead' }
  const whole = lesser(endAt(mostA, mostBy), cap)
  const single = lesser(whole, bead) ?? bead
  const restedA = reckoner.compute(most, { I: limits.map((one) => one.limitA).filter(Number.isFinite) })
  const limitA = reckoner.compute(atLimit, { I_most: restedA })
  const limit = lesser(endAt(limitA, byOf(limits, 'limitA', restedA)), cap)
  const { burnThroughMm } = weld
  const burningMm =
    thicknessAtMm(reckoner.compute(burning, { I_least: leastA }), weld.law, reckoner) ?? burnThroughMm
  const thinnestMm = reckoner.compute(thinnest, { t_b: burnThroughMm, t: burningMm })
  const thinMm = Math.min(thicknessAtMm(leastA, weld.law, reckoner) ?? burnThroughMm, whole?.mm ?? Infinity)
  return {
    position,
    thinnest: { mm: thinnestMm, by: leastBy },
    thin: { mm: thinMm, by: leastBy },
    single,
    thickest: isSinglePass ? single : whole,
    limit: isSinglePass ? lesser(limit, bead) : limit,
    preheatedMm:
      metal === 'aluminium'
        ? thicknessAtMm(reckoner.compute(preheated, { I_limit: limitA }), weld.law, reckoner)
        : null,
  }
}

/** A circuit that only says what voltage comes: nothing of it is looked at. */
export const supposed = (voltageV: number, phases: 1 | 3): Circuit => ({
  id: 'supposed',
  name: '',
  voltageV,
  phases,
  breakerA: 0,
  conductorSize: '',
  columnC: 75,
  ...USUAL_RUN,
  held: 'owned',
  price: null,
  lengthMm: 0,
})

/** The set-up on each voltage that its source has a column for; its own first. */
function sightsOf(capability: Capability): readonly Sight[] {
  const own = capability.supply
  const sights: Sight[] = own
    ? [{ capability: capability, column: { voltageV: own.voltageV, phases: own.phases, isOwn: true } }]
    : []
  for (const { voltageV, phases } of capability.supplyAnswer.offered) {
    if (voltageV === null || (own && own.voltageV === voltageV && own.phases === phases)) continue
    sights.push({
      capability: capability.with('circuit', supposed(voltageV, phases)),
      column: { voltageV, phases, isOwn: false },
    })
  }
  return sights
}

/**
 * @param of links that are looked at: fewer than all for a machine whose gun is not chosen yet
 * @returns by supply voltage and position what the set-up welds
 * @example capacityOf(capability).columns[0]?.ranges.find(({ position }) => position === 'flat')?.thickest?.mm // 7.9
 */
export function capacityOf(capability: Capability, of: readonly LinkId[] = LINK_IDS): Capacity {
  const plate = capability.powerSource?.processes.find(
    ({ family, outputs }) => family === capability.process.family && outputs.includes(capability.wave),
  )
  const columns = sightsOf(capability).map((sight): CapacityColumn => {
    const { links, missing } = linksOf(sight, of)
    const ranges = missing
      ? []
      : POSITIONS.flatMap((position) => {
          const range = rangeOf(sight.capability, links, position)
          return range ? [range] : []
        })
    const { claimMinMm = null, claimMaxMm = null } = plate ?? {}
    return { ...sight.column, links, missing, ranges, claimMinMm, claimMaxMm }
  })
  return {
    metal: metalOf(capability),
    dutyPct: capability.assumptions.capacityDutyPct,
    limitDutyPct: capability.assumptions.capacityLimitDutyPct,
    columns,
  }
}

/** What can be asked of a capacity. */
export type CapacityFigure = 'thinnest' | 'thin' | 'single' | 'thickest' | 'limit' | 'preheated'

/**
 * @returns the steps that end in one figure of a range
 * @example explainCapacity(capability, 240, 'flat', 'thickest').at(-1)?.result.unit // 'mm'
 */
export function explainCapacity(
  capability: Capability,
  voltageV: number | null,
  position: Position,
  figure: CapacityFigure,
): readonly Step[] {
  const tracer = new TracingReckoner(capability.assumptions)
  const sight = sightsOf(capability.reckonedBy(tracer)).find(({ column }) => column.voltageV === voltageV)
  if (!sight) return []
  const { links, missing } = linksOf(sight, LINK_IDS)
  const range = missing ? null : rangeOf(sight.capability, links, position)
  if (!range) return []
  const value = figure === 'preheated' ? range.preheatedMm : (range[figure]?.mm ?? null)
  const ends = [thinnest, byBead, capped, ...thicknessByCurrent].map(({ id }) => id)
  return value === null ? [] : tracer.stepsOf([{ calculations: ends, value }])
}
