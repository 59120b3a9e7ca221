/**
 * What a country's wiring rules answer. Criteria ask a rule book; nothing else knows which country it is in. Another book
 * is a file of its own with this shape, and a line in the list of books.
 */
import type { Shop } from '../model/shop.ts'
import type { UsualCircuit } from './books/usual.ts'
import type { Source } from '../basis/source.ts'
import type { Calculation } from '../calculation/calculation.ts'
import type { Reckoner } from '../calculation/reckoner.ts'
import type { Circuit } from '../model/circuit.ts'
import type { BreakerModel } from './breaker/breakerModel.ts'

/** A figure that a rule gives, with the clause. */
export interface Ruled {
  readonly value: number
  readonly source: Source
}

/** A conductor, and how it lies. */
export type Wiring = Pick<
  Circuit,
  'conductorSize' | 'metal' | 'columnC' | 'method' | 'ambientC' | 'bundled' | 'phases'
>

/** Continuous current of a conductor as it lies, A, and what it is made of. */
export interface Ampacity extends Ruled {
  /** Of the table, A. */
  readonly tableA: number
  /** For the warmth around it. */
  readonly ambientFactor: number
  /** For others beside it. */
  readonly bundleFactor: number
  /** What its terminals allow, A; as much as the table where they limit nothing. */
  readonly terminalA: number
}

/** A power source as a rule book sees it: by its plate, whatever the job. */
export interface Load {
  /** Greatest supply current, A. */
  readonly i1MaxA: number
  /** Effective supply current as printed, A; null where the plate has none. */
  readonly i1EffA: number | null
  /** Duty at the greatest rated current, %. */
  readonly dutyPct: number
}

/** What rules are asked about, whatever the book. */
export const RULE_IDS = ['conductor-rule', 'breaker-rule', 'outlet-rule'] as const
export type RuleId = (typeof RULE_IDS)[number]

/** A demand held against a limit of the rules, A. */
export interface Ruling {
  readonly demand: number
  readonly capacity: number
  readonly source: Source
  /** Above its limit it is no fault, on this condition: a code of its sentence. */
  readonly overOn?: string
}

/** Volts and phases that a supplier gives. */
export interface Service {
  readonly voltageV: number
  readonly phases: 1 | 3
}

export interface Outlet {
  readonly name: string
  readonly ratedA: number
  readonly voltageV: number
  readonly phases: 1 | 3
}

export interface RuleBook {
  readonly id: string
  readonly name: string
  /** What surprises people of it, and what of it is left out. */
  readonly note: string
  /** Who measures so is wired by it in most places. */
  readonly unitSystem: Shop['unitSystem']
  /** What comes out of the wall where it is in force. */
  readonly services: readonly Service[]
  /** Outlets that are usual, each with its breaker and cable. */
  readonly usualCircuits: readonly UsualCircuit[]
  /** Conductor temperatures that its tables have a column for, °C. */
  readonly columnsC: readonly Circuit['columnC'][]
  readonly outlets: readonly Outlet[]
  /** Conductor sizes, smallest first. */
  readonly conductorSizes: readonly string[]
  /** Breaker ratings, smallest first. */
  readonly breakerSizesA: readonly number[]
  /** How a breaker of this kind behaves; null takes the usual kind. */
  breaker(kind: Circuit['breakerKind']): BreakerModel
  /** @returns null for a size, a metal or a way to lie that the book does not have */
  ampacity(wiring: Wiring): Ampacity | null
  /** Resistance of a conductor as its size is printed, Ω/km; null for one that the book does not have. */
  ohmPerKm(conductorSize: string, metal: Circuit['metal']): Ruled | null
  /** Continuous current of a flexible cord as its size is printed, A, with two loaded conductors or with three; null for one that the book does not have. */
  cordA(conductorSize: string, phases: 1 | 3): Ruled | null
  /** Largest breaker that may protect the machine, beyond which it needs protection of its own; null where nothing is ruled. */
  breakerMostForA(load: Load): Ruled | null
  /** The breaker that is usually put in for a machine, A: whatever the rule would still allow. */
  breakerUsualA(load: Load): number
  /** What the rules ask of the conductor for a machine, or for several on one feeder, A. */
  conductorA(loads: readonly Load[], r: Reckoner): Ruled
  /**
   * @param ampacityA what the conductor carries
   * @returns what the rules say of a circuit with these machines, by rule; what does not apply is left out
   */
  assess(
    circuit: Circuit,
    ampacityA: number,
    loads: readonly Load[],
    r: Reckoner,
  ): Readonly<Partial<Record<RuleId, Ruling>>>
  /** The calculations that end in demand and capacity. */
  readonly from: Readonly<
    Record<RuleId, { readonly demand: readonly Calculation[]; readonly capacity: readonly Calculation[] }>
  >
}

/** Smallest conductor that carries a current lying as that of the circuit does; null when the book's largest does not. */
export const smallestConductor = (rules: RuleBook, currentA: number, circuit: Circuit): string | null =>
  rules.conductorSizes.find(
    (size) => (rules.ampacity({ ...circuit, conductorSize: size })?.value ?? 0) >= currentA - 1e-9,
  ) ?? null

/** Smallest breaker that holds a current, or null when the book's largest does not. */
export const smallestBreakerA = (
  rules: RuleBook,
  currentA: number,
  kind: Circuit['breakerKind'],
): number | null =>
  rules.breakerSizesA.find((size) => size * rules.breaker(kind).holds >= currentA - 1e-9) ?? null
