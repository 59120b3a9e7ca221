/** Preheat: the least of hardenable steel by its carbon equivalent, and the time and fuel that warming takes. */
import { commonPractice, computed, handbook, jobField } from '../basis/source.ts'
import { assumed, calculation, from, input, inputOrAssumed } from '../calculation/calculation.ts'
import type { Reckoner } from '../calculation/reckoner.ts'
import type { Joint } from '../kinds/job.ts'
import type { Metal } from '../model/material.ts'
import { COMPOSITION_SOURCE } from '../reference/composition.ts'
import { CET_SOURCE } from '../reference/leastPreheat.ts'
import { DENSITY } from '../reference/materials.ts'
import { thickerMm } from './groove.ts'

const thick = input('thicker part', 'mm', jobField('thickness of the weld'))

/** EN 1011-2, method B, °C: for a heat input that is assumed, and for one that is known. */
export const preheatByCarbonC = ({ C, d, H, Q }: Readonly<Record<'C' | 'd' | 'H' | 'Q', number>>): number =>
  Math.max(0, 697 * C + 160 * Math.tanh(d / 35) + 62 * H ** 0.35 + (53 * C - 32) * Q - 328)

export const leastByCarbon = calculation({
  id: 'least-preheat-cet',
  title: 'Least preheat by carbon equivalent',
  symbol: 'T_p',
  unit: '°C',
  expression: 'max(0, 697 * C + 160 * tanh(d / 35) + 62 * H^0.35 + (53 * C - 32) * Q - 328)',
  inputs: {
    C: input('carbon equivalent CET', '%', COMPOSITION_SOURCE),
    d: thick,
    H: inputOrAssumed('hydrogen of the weld metal', 'ml/100 g', commonPractice()),
    Q: assumed('preheatHeatInput'),
  },
  compute: preheatByCarbonC,
  source: CET_SOURCE,
})

/**
 * @param cetPct carbon equivalent, %
 * @param isDry whether the filler brings little hydrogen: a bare wire, or a low-hydrogen electrode
 * @returns °C
 */
export const leastByCarbonC = (cetPct: number, joint: Joint, isDry: boolean, reckoner: Reckoner): number =>
  reckoner.compute(leastByCarbon, {
    C: cetPct,
    d: thickerMm(joint),
    H: isDry ? 'hydrogenDry' : 'hydrogenWet',
  })

/** J/(g·K), near room temperature. */
const HEAT_CAPACITY: Readonly<Record<Metal, number>> = {
  'carbon-steel': 0.49,
  stainless: 0.5,
  aluminium: 0.9,
}
const CAPACITY_SOURCE = handbook('specific heat of metals, machinery handbooks')

const warmedMass = calculation({
  id: 'preheat-mass',
  title: 'Metal that is warmed for one weld: a band on both sides and beyond its ends',
  symbol: 'm',
  unit: 'g',
  expression: '2 * b * (L + 2 * b) * d * ρ / 1000',
  inputs: {
    b: assumed('preheatBandMm'),
    L: input('length of the weld', 'mm length', jobField('length of the weld')),
    d: thick,
    ρ: input('density', 'g/cm³', DENSITY['carbon-steel'].source),
  },
  compute: ({ b, L, d, ρ }) => (2 * b * (L + 2 * b) * d * ρ) / 1000,
  source: commonPractice('AWS D1.1: 3 in around the joint in all directions'),
})
export const warmingTime = calculation({
  id: 'preheat-time',
  title: 'Time to warm it',
  symbol: 't_w',
  unit: 's',
  expression: 'm * c * (T - T_0) / (1000 * P * η / 100)',
  inputs: {
    m: from(warmedMass),
    c: input('specific heat', 'J/(g·K)', CAPACITY_SOURCE),
    T: input('preheat', '°C', computed('least preheat')),
    T_0: assumed('workshopC'),
    P: assumed('burnerKw'),
    η: assumed('burnerEfficiencyPct'),
  },
  compute: ({ m, c, T, T_0, P, η }) => (m * c * (T - T_0)) / ((1000 * P * η) / 100),
  source: computed('heat over what of the burner gets into the metal'),
})
/** Of propane, MJ/kg. */
const PROPANE = input('heat of propane', 'MJ/kg', handbook('net calorific value of propane'))
export const warmingFuel = calculation({
  id: 'preheat-fuel',
  title: 'Propane to warm it',
  symbol: 'f',
  unit: 'g',
  expression: 't_w * P / q',
  inputs: { t_w: from(warmingTime), P: assumed('burnerKw'), q: PROPANE },
  compute: ({ t_w, P, q }) => (t_w * P) / q,
  source: computed('the burner’s power over its time'),
})
const PROPANE_MJ_PER_KG = 46.4
/** Both faces lose to still air and by radiation. */
export const warmthLost = calculation({
  id: 'preheat-lost',
  title: 'A quarter of the warmth is lost after',
  symbol: 't_l',
  unit: 's',
  expression: 'log(4 / 3) * ρ * 1000 * c * d / (2 * h)',
  inputs: {
    ρ: input('density', 'g/cm³', DENSITY['carbon-steel'].source),
    c: input('specific heat', 'J/(g·K)', CAPACITY_SOURCE),
    d: thick,
    h: assumed('plateLossWPerM2K'),
  },
  compute: ({ ρ, c, d, h }) => (Math.log(4 / 3) * ρ * 1000 * c * d) / (2 * h),
  source: handbook('cooling of a plate in still air, convection and radiation together'),
})

export interface Warming {
  /** s */
  readonly timeS: number
  /** Propane, g. */
  readonly fuelG: number
  /** s until a quarter of the warmth is lost */
  readonly lostS: number
}

/**
 * @param runMm length of the weld, mm
 * @param toC °C
 * @returns what warming one weld takes, and how soon it is lost again
 */
export function warmingOf(
  joint: Joint,
  runMm: number,
  metal: Metal,
  toC: number,
  reckoner: Reckoner,
): Warming {
  const [c, ρ, d] = [HEAT_CAPACITY[metal], DENSITY[metal].value, thickerMm(joint)]
  const m = reckoner.compute(warmedMass, { L: runMm, d, ρ })
  const timeS = reckoner.compute(warmingTime, { m, c, T: toC })
  return {
    timeS,
    fuelG: reckoner.compute(warmingFuel, { t_w: timeS, q: PROPANE_MJ_PER_KG }),
    lostS: reckoner.compute(warmthLost, { ρ, c, d }),
  }
}
