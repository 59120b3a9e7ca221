/**
 * What a country's wiring rules answer. Criteria ask a rule book; nothing else knows which country it is in. Another book
 * is a file of its own with this shape, and a line in the list of books.
 */
import { remembered } from '../basis/remembered.ts'
import type { Shop } from '../kinds/shop.ts'
import type { UsualCircuit } from './books/usual.ts'
import type { Source } from '../basis/source.ts'
import type { Calculation } from '../calculation/calculation.ts'
import type { Reckoner } from '../calculation/reckoner.ts'
import type { Circuit } from '../kinds/circuit.ts'
import type { Suggesting } from '../model/field.ts'
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
  /** For the ambient temperature. */
  readonly ambientFactor: number
  /** For others beside it. */
  readonly bundleFactor: number
  /** What its terminals allow, A; as much as the table where they limit nothing. */
  readonly terminalA: number
}

/** A power source as a rule book sees it: by its plate, whatever the job. */
export interface WelderDraw {
  /** Greatest supply current, A. */
  readonly i1MaxA: number
  /** Effective supply current as printed, A; null where the plate has none. */
  readonly i1EffA: number | null
  /** Duty at the greatest rated current, %. */
  readonly dutyPct: number
}

/** What rules are asked about, whatever the book. */
export const RULE_IDS = [
  'conductor-rule',
  'breaker-rule',
  'breaker-load-rule',
  'outlet-rule',
  'outlet-breaker-rule',
  'cord-breaker-rule',
] as const
export type RuleId = (typeof RULE_IDS)[number]

/** What a book has said of a circuit besides: no verdict rests on it. */
export const REMARK_IDS = ['residual-current', 'discrimination'] as const
export type RemarkId = (typeof REMARK_IDS)[number]

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
  /** What else it is called. */
  readonly also: readonly string[]
  readonly ratedA: number
  /** Volts of the circuits that it is made for, from and to. */
  readonly rangeV: readonly [leastV: number, mostV: number]
  readonly phases: 1 | 3
  /** Thickest flexible conductor that its plug has terminals for, mm²; null where the book does not say. */
  readonly cordMostMm2: number | null
}

/** What surrounds the name of an outlet, and what stands behind it on the part itself: `NEMA 6-50R` is a 6-50. */
const plainName = remembered((text: string): string =>
  text
    .toLowerCase()
    .replace(/nema|outlet|socket|receptacle|,/g, '')
    .replace(/\s+/g, '')
    .replace(/(\d)[rp]$/, '$1'),
)

/**
 * @param printed as people write it: `NEMA 6-50`, `6-50R`, `CEE 32 A 400 V`, `CEE 7/4`
 * @returns null for one that the book does not have
 * @example outletOf(northAmerican, '6-50R')?.ratedA // 50
 */
export const outletOf = ({ outlets }: Pick<RuleBook, 'outlets'>, printed: string): Outlet | null =>
  outlets.find(({ name, also }) => [name, ...also].some((one) => plainName(one) === plainName(printed))) ??
  null

/** @returns the smallest outlet of the book that is made for these volts and no smaller; null where there is none */
export const smallestOutlet = (
  { outlets }: Pick<RuleBook, 'outlets'>,
  ratedA: number,
  { voltageV, phases }: Service,
): Outlet | null =>
  outlets
    .filter((outlet) => outlet.ratedA >= ratedA - 1e-9 && isMadeFor(outlet, { voltageV, phases }))
    .reduce<Outlet | null>((best, one) => (best === null || one.ratedA < best.ratedA ? one : best), null)

export const isMadeFor = (
  { rangeV: [leastV, mostV], phases }: Outlet,
  circuit: Pick<Circuit, 'voltageV' | 'phases'>,
): boolean => phases === circuit.phases && circuit.voltageV >= leastV && circuit.voltageV <= mostV

export interface RuleBook {
  readonly id: string
  readonly name: string
  /** What surprises people of it, and what of it is left out. */
  readonly note: string
  /** Who measures so is wired by it in most places. */
  readonly unitSystem: Shop['unitSystem']
  /** The code by which fillets are sized in most places where it is in force. */
  readonly filletRule: Shop['filletRule']
  /** What comes out of the wall where it is in force. */
  readonly services: readonly Service[]
  /** Outlets that are usual, each with its breaker and cable. */
  readonly usualCircuits: readonly UsualCircuit[]
  /** Sizes as they are printed on what is sold there. */
  readonly usualSizes: Readonly<Record<Exclude<Suggesting, 'outlet'>, readonly string[]>>
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
  /** Resistance of a conductor as its size is printed, Ω/km; null for one that the book does not have. Of a cord it is *flexible*. */
  ohmPerKm(conductorSize: string, metal: Circuit['metal'] | 'flexible'): Ruled | null
  /** Continuous current of a flexible cord as its size is printed, A, with two loaded conductors or with three; null for one that the book does not have. */
  cordA(conductorSize: string, phases: 1 | 3): Ruled | null
  /** Largest breaker that may protect the machine, beyond which it needs protection of its own; null where nothing is ruled. */
  breakerMostForA(load: WelderDraw): Ruled | null
  /** The breaker that is usually put in for a machine, A: whatever the rule would still allow. */
  breakerUsualA(load: WelderDraw): number
  /** What the rules ask of the conductor for a machine, or for several on one feeder, A. */
  conductorA(loads: readonly WelderDraw[], r: Reckoner): Ruled
  /**
   * @param ampacityA what the conductor carries
   * @param cordA what the extension cord behind its outlet carries; null for none
   * @returns what the rules say of a circuit with these machines, by rule; what does not apply is left out
   */
  assess(
    circuit: Circuit,
    ampacityA: number,
    loads: readonly WelderDraw[],
    cordA: number | null,
    reckoner: Reckoner,
  ): Readonly<Partial<Record<RuleId, Ruling>>>
  /** What else whoever plans such a circuit is to be told: codes of their sentences. */
  remarks(circuit: Circuit, above: readonly Pick<Circuit, 'breakerA'>[]): readonly RemarkId[]
  /** The calculations that end in demand and capacity, of what it rules. */
  readonly from: Readonly<
    Partial<
      Record<RuleId, { readonly demand: readonly Calculation[]; readonly capacity: readonly Calculation[] }>
    >
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
