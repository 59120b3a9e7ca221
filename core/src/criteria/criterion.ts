/** The shape of every criterion: what a set-up carries held against what a job asks, as plain data. */
import { commonPractice, computed, type Source } from '../basis/source.ts'
import { assumed, type Calculation, calculation, from, input } from '../calculation/calculation.ts'
import type { Capability } from '../capability/capability.ts'
import type { Slot, SlotItems } from '../kinds/slots.ts'
import type { Demand } from '../demand/demand.ts'
import type { Patch } from '../kinds/patch.ts'
import type { Params, Message } from '../model/message.ts'
import type { Verdict } from '../model/verdict.ts'
import type { Process } from '../reference/processes.ts'
import type { PassKind } from '../trade/layers.ts'

/** Criteria that stand in one row together where a whole fit is shown. */
export type Group = 'polarity' | 'together' | 'shielding' | 'joint'

/**
 * What a criterion is about. First what no other figure makes good, in the order in which it is told: the wrong voltage
 * before the wrong gas. Then what the supply carries, what the arc draws, what the wire runs through, and what is used.
 */
export const OF_KIND = ['voltage', 'process', 'filler', 'wave', 'gas', 'wind'] as const
export type Concern =
  | (typeof OF_KIND)[number]
  /** What flows through breaker and cable over time. */
  | 'heat'
  /** What the code asks of the circuit. */
  | 'wiring'
  | 'supply'
  | 'generator'
  | 'arc-current'
  | 'gun-current'
  | 'feed-path'
  | 'use'

/** What a criterion finds: no sentences, no functions. Words make the sentences from `code` and `params`. */
export interface Assessment {
  readonly criterion: string
  /** Which criteria it stands in one row with, where a whole fit is shown; null where it has a row of its own. */
  readonly group: Group | null
  readonly verdict: Verdict
  /** Which of the criterion's sentences holds; where the verdict is unknown, what is missing. */
  readonly code: string
  readonly params: Params
  /** What is asked and what is there, in `unit`; null where nothing is measured. */
  readonly demand: number | null
  readonly capacity: number | null
  /** Where the capacity is a range, its lower end. */
  readonly capacityLow: number | null
  readonly unit: string
  /** How far the capacity is above the demand, %; null where there is no such number. */
  readonly marginPct: number | null
  /** The weld that decides; null where the set-up alone or the whole job does. */
  readonly weldId: string | null
  /** Which of its passes, where they have each their own current; null for the whole weld. */
  readonly pass: PassKind | null
  /** What the verdict rests on. */
  readonly source: Source
}

/** What would bring a criterion in, computed. */
export interface Mend extends Message {
  /** The change itself, ready to be tried; none where nothing that was entered would do it. */
  readonly patch?: Patch
}

export type Facets = { readonly [S in Slot]?: (part: SlotItems[S]) => unknown }

/** A circuit matters by the column of the plate that is for its volts and phases. */
const onColumn = ({ voltageV, phases }: SlotItems['circuit']): number => 10 * voltageV + phases
export const BY_COLUMN: Facets = { circuit: onColumn }
/** A gun matters where it feeds the wire by itself. */
export const BY_FEED: Facets = { circuit: onColumn, gun: ({ feeder }) => feeder }

export interface Criterion {
  readonly id: string
  /** The row that it shares with others; null for one that has its own. */
  readonly group: Group | null
  /** Every place whose part the answer depends on, and no other: a part is greyed for what another part mends. */
  readonly slots: readonly Slot[] | ((process: Process) => readonly Slot[])
  /**
   * What of the part in a place decides, where it is not all of it: with parts alike in it the verdict is the same, though
   * the sentence may name another.
   */
  readonly facets?: Facets
  /** Whether it looks at how a wire is packed, or at what is left of it: all others have one answer for wires that weld alike. */
  readonly isByPackage?: boolean
  /** Whether it speaks only where there is no job. */
  readonly isForNoJob?: boolean
  /** What it is about, where somebody asks for all that is about it. */
  readonly concerns?: Concern
  /** A coupon, cut and etched, shows it for its set-up, thickness and position. */
  readonly isByCoupon?: true
  /** Whether the answer is the same for every job: then it is asked once a set-up. */
  readonly isOfSetUp?: boolean
  /** Whether it looks at no more of a set-up than process and wire: then it is asked once a job, process and wire. */
  readonly isOfWork?: boolean
  /**
   * @param demand null to look at the set-up alone
   * @returns null where the criterion does not apply, or where a part that it looks at is not chosen
   */
  readonly assess: (capability: Capability, demand: Demand | null) => Assessment | null
  /** The calculations that end in its demand, in its capacity, and what else its working has to show. */
  readonly demandFrom?: readonly Calculation[]
  readonly capacityFrom?: readonly Calculation[]
  readonly alsoFrom?: readonly Calculation[]
  /** Asked only where it does not fit. */
  readonly mends?: (capability: Capability, demand: Demand | null, assessment: Assessment) => readonly Mend[]
}

const PRACTICE = commonPractice()
const NOTHING: Params = {}

interface Said {
  readonly group?: Group | null
  readonly weldId?: string | null
  readonly pass?: PassKind | null
  readonly source?: Source | undefined
}
const NO_WELD: Said = {}

// Spelled out: thousands of these are made for one list of choices, and spreading costs more than most criteria.
/** A judgement without figures; those that measure add theirs. */
export const said = (
  verdict: Verdict,
  criterion: string,
  code: string,
  params: Params,
  { group = null, weldId = null, pass = null, source = PRACTICE }: Said,
): Assessment => ({
  criterion,
  group,
  verdict,
  code,
  params,
  demand: null,
  capacity: null,
  capacityLow: null,
  unit: '',
  marginPct: null,
  weldId,
  pass,
  source,
})

export const fits = (id: string, code: string, params = NOTHING, more = NO_WELD): Assessment =>
  said('fits', id, code, params, more)
export const fails = (id: string, code: string, params = NOTHING, more = NO_WELD): Assessment =>
  said('fails', id, code, params, more)
/** Something is missing: it cannot be judged, and never counts as fitting. */
export const unknown = (id: string, { code, params }: Message, more = NO_WELD): Assessment =>
  said('unknown', id, code, params, more)

/** More than this is ample: how much more tells nobody anything. */
const MOST_ROOM_PCT = 999

const marginOf = (capacity: number, demand: number): number =>
  demand <= 0 ? MOST_ROOM_PCT : Math.min(MOST_ROOM_PCT, (capacity / demand - 1) * 100)

export const roomAbove = calculation({
  id: 'room-above',
  title: 'Margin above what is needed',
  symbol: 'M',
  unit: '%',
  expression: 'min(999, (C / D - 1) * 100)',
  inputs: {
    C: input('what is there', '', computed()),
    D: input('what is needed', '', computed()),
  },
  compute: ({ C, D }) => marginOf(C, D),
  source: computed('capacity over demand'),
})
export const roomBelow = calculation({
  id: 'room-below',
  title: 'Margin above the low end',
  symbol: 'M',
  unit: '%',
  expression: 'min(999, (D / C - 1) * 100)',
  inputs: {
    D: input('what is needed', '', computed()),
    C: input('the least that is there', '', computed()),
  },
  compute: ({ D, C }) => marginOf(D, C),
  source: computed('demand over the low end'),
})
export const roomLeft = calculation({
  id: 'room-left',
  title: 'Margin beyond the margin of the shop',
  symbol: 'S',
  unit: '%',
  expression: 'M - m',
  inputs: { M: from(roomAbove, roomBelow), m: assumed('safetyMarginPct') },
  compute: ({ M, m }) => M - m,
  source: computed('below 0 it is tight, with no margin it fails'),
})

/** Rounding must not make an exact fit fail. */
const SLACK_PCT = 1e-6

/**
 * The one margin policy.
 * @param isLimit a published range, or what a rule allows, may be used to its end; a rating keeps the shop's margin
 */
export function verdictOf(
  { reckoner }: Pick<Capability, 'reckoner'>,
  marginPct: number,
  isLimit: boolean,
): Verdict {
  if (marginPct < -SLACK_PCT) return 'fails'
  if (isLimit) return 'fits'
  return reckoner.compute(roomLeft, { M: marginPct }) < -SLACK_PCT ? 'tight' : 'fits'
}

interface Measured {
  /** Where something else than the margin decides. */
  readonly verdict?: Verdict
  readonly code?: string
  readonly params?: Params
  readonly demand: number
  readonly capacity: number
  readonly capacityLow?: number
  readonly unit: string
  readonly isLimit?: boolean
  readonly weldId?: string | null
  readonly pass?: PassKind | null
  readonly source: Source
}

/** How far a demand is within what is there, %: to the nearer end of a range. */
export const marginWithin = (
  { reckoner }: Pick<Capability, 'reckoner'>,
  demand: number,
  capacity: number,
  capacityLow: number,
  unit: string,
): number => {
  const notes = () => ({ C: { unit }, D: { unit } })
  const above = reckoner.compute(roomAbove, { C: capacity, D: demand }, notes)
  return capacityLow > 0
    ? Math.min(above, reckoner.compute(roomBelow, { D: demand, C: capacityLow }, notes))
    : above
}

/** An assessment from a demand and a capacity: margin and verdict follow. */
export function measured(capability: Capability, criterion: string, of: Measured): Assessment {
  const { demand, capacity, capacityLow = 0 } = of
  const marginPct = marginWithin(capability, demand, capacity, capacityLow, of.unit)
  return {
    criterion,
    group: null,
    verdict: of.verdict ?? verdictOf(capability, marginPct, of.isLimit === true),
    code: of.code ?? 'measured',
    params: of.params ?? NOTHING,
    demand,
    capacity,
    capacityLow: capacityLow > 0 ? capacityLow : null,
    unit: of.unit,
    marginPct,
    weldId: of.weldId ?? null,
    pass: of.pass ?? null,
    source: of.source,
  }
}

/** @returns the places of a criterion with this process */
export const slotsOf = ({ slots }: Criterion, process: Process): readonly Slot[] =>
  typeof slots === 'function' ? slots(process) : slots
