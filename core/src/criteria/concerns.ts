/** Criteria by what they are about, as each of them says. */
import { CONCERNED, type Concerned } from './concernList.ts'
import type { Concern } from './criterion.ts'

const idsOf = (criteria: readonly Concerned[]): ReadonlySet<string> => new Set(criteria.map(({ id }) => id))
const about = (...concerns: readonly Concern[]): readonly Concerned[] =>
  CONCERNED.filter((one) => concerns.includes(one.concerns))

/**
 * The ids of the criteria that are about one of these.
 * @example concerning('use').has('gas-use') // true
 */
export const concerning = (...concerns: readonly Concern[]): ReadonlySet<string> => idsOf(about(...concerns))

/** Which wire or rod a metal and a joint may have. */
export const OF_FILLER = concerning('filler')
export const OF_USE = concerning('use')
export const OF_ARC = concerning('arc-current', 'gun-current')
export const OF_HEAT = concerning('heat')
/** What the circuit itself is too small for. */
export const OF_CIRCUIT = concerning('heat', 'wiring')
/** What a cut and etched coupon answers: that this current fuses. */
export const BY_COUPON = idsOf(CONCERNED.filter((one) => one.isByCoupon === true))
const SUPPLY = about('heat', 'wiring', 'supply', 'generator')
/** What is seen on every circuit, and over time. */
export const OF_SUPPLY = idsOf(SUPPLY)
/** What rest or less current brings in; the rest of the supply needs another circuit or another cord. */
export const OF_SUPPLY_BY_JOB = idsOf(SUPPLY.filter(({ isOfSetUp }) => !isOfSetUp))
