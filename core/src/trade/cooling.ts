/** How fast a weld in steel cools, and what preheat its own heat asks for: EN 1011-2, from memory. */
import { commonPractice, jobField, standard } from '../basis/source.ts'
import { calculation, from, input, inputOrAssumed } from '../calculation/calculation.ts'
import type { Reckoner } from '../calculation/reckoner.ts'
import type { Joint } from '../kinds/job.ts'
import { FILLET_KINDS } from '../model/jointKinds.ts'
import { CET_SOURCE } from '../reference/leastPreheat.ts'
import { cetPctOf, type Composition, COMPOSITION_SOURCE } from '../reference/composition.ts'
import { thickerMm } from './groove.ts'
import { heatInput } from './heatInput.ts'
import { leastByCarbon, preheatByCarbonC } from './preheat.ts'

const ANNEX_D = standard('EN 1011-2, Annex D, cooling time t8/5', true)
const SHAPE = standard('EN 1011-2, Annex D, shape factors by the kind of weld', true)

const shares = ['C', 'Mn', 'Cr', 'Mo', 'Ni', 'Cu'] as const
const inputs = Object.fromEntries(
  shares.map((symbol) => [symbol, input(`${symbol} of the steel`, '%', COMPOSITION_SOURCE)]),
) as Record<(typeof shares)[number], ReturnType<typeof input>>

const carbonCet = calculation({
  id: 'carbon-cet',
  title: 'Carbon equivalent CET',
  symbol: 'CET',
  unit: '%',
  expression: 'C + (Mn + Mo) / 10 + (Cr + Cu) / 20 + Ni / 40',
  inputs,
  compute: cetPctOf,
  source: CET_SOURCE,
})
/** By which many codes ask for preheat; said beside the other. */
const carbonCe = calculation({
  id: 'carbon-ce',
  title: 'Carbon equivalent CE',
  symbol: 'CE',
  unit: '%',
  expression: 'C + Mn / 6 + (Cr + Mo) / 5 + (Ni + Cu) / 15',
  inputs,
  compute: ({ C, Mn, Cr, Mo, Ni, Cu }) => C + Mn / 6 + (Cr + Mo) / 5 + (Ni + Cu) / 15,
  source: standard('EN 1011-2, Annex C, method A; IIW', true),
})

const preheatAtHeat = calculation({
  id: 'preheat-at-heat',
  title: 'Preheat by carbon equivalent at this heat input',
  symbol: 'T_p',
  unit: '°C',
  expression: leastByCarbon.expression,
  inputs: {
    C: from(carbonCet),
    d: input('thicker part', 'mm', jobField('thickness of the weld')),
    H: inputOrAssumed('hydrogen of the weld metal', 'ml/100 g', commonPractice()),
    Q: from(heatInput),
  },
  compute: preheatByCarbonC,
  source: CET_SOURCE,
})

const partTemperature = input('temperature of the part', '°C', jobField('preheat, else the shop’s warmth'))
const thick = calculation({
  id: 'cooling-thick',
  title: 'From 800 to 500 °C, heat going into the depth',
  symbol: 't_3',
  unit: 's',
  expression: '(6700 - 5 * T) * Q * (1 / (500 - T) - 1 / (800 - T)) * F_3',
  inputs: { T: partTemperature, Q: from(heatInput), F_3: input('shape factor', '', SHAPE) },
  compute: ({ T, Q, F_3 }) => (6700 - 5 * T) * Q * (1 / (500 - T) - 1 / (800 - T)) * F_3,
  source: ANNEX_D,
})
const thin = calculation({
  id: 'cooling-thin',
  title: 'From 800 to 500 °C, heat going sideways only',
  symbol: 't_2',
  unit: 's',
  expression: '(4300 - 4.3 * T) * 100000 * Q^2 / d^2 * ((1 / (500 - T))^2 - (1 / (800 - T))^2) * F_2',
  inputs: {
    T: partTemperature,
    Q: from(heatInput),
    d: input('thickness', 'mm', jobField('thickness of the weld')),
    F_2: input('shape factor', '', SHAPE),
  },
  compute: ({ T, Q, d, F_2 }) =>
    (((4300 - 4.3 * T) * 1e5 * Q ** 2) / d ** 2) * ((1 / (500 - T)) ** 2 - (1 / (800 - T)) ** 2) * F_2,
  source: ANNEX_D,
})
const cooling = calculation({
  id: 'cooling-time',
  title: 'Cooling time t8/5: the longer of both',
  symbol: 't_8/5',
  unit: 's',
  expression: 'max(t_2, t_3)',
  inputs: { t_2: from(thin), t_3: from(thick) },
  compute: ({ t_2, t_3 }) => Math.max(t_2, t_3),
  source: ANNEX_D,
})
export const COOLING_FROM = [cooling.id]
export const PREHEAT_FROM = [preheatAtHeat.id]
export const CARBON_FROM = [carbonCe.id]

/** Thin and thick: a T-joint takes heat three ways, a corner two, and a butt between runs nearly as plain plate. */
interface Shape {
  readonly F_2: number
  readonly F_3: number
}
const shapeOf = ({ kind }: Pick<Joint, 'kind'>): Shape => {
  if (kind === 'tee' || kind === 'saddle' || kind === 'lap') return { F_2: 0.45, F_3: 0.67 }
  return FILLET_KINDS.includes(kind) ? { F_2: 0.9, F_3: 0.67 } : { F_2: 0.9, F_3: 0.9 }
}

export interface SteelHeat {
  /** t8/5, s */
  readonly coolingS: number
  /** °C */
  readonly preheatC: number
  /** CE by IIW, % */
  readonly cePct: number
}

/** Above this a part is no part to be cooled from 800 °C: the formula ends. */
const MOST_PART_C = 450

/**
 * @param heatKJPerMm with the share of the arc’s heat in it
 * @param partC temperature of the part before the weld
 * @param isDry whether the filler brings little hydrogen
 * @returns null where the part is hotter than the formulas go
 */
export function steelHeatOf(
  composition: Composition,
  joint: Joint,
  {
    heatKJPerMm: Q,
    partC,
    isDry,
  }: { readonly heatKJPerMm: number; readonly partC: number; readonly isDry: boolean },
  reckoner: Reckoner,
): SteelHeat | null {
  if (partC > MOST_PART_C) return null
  const d = thickerMm(joint)
  const { F_2, F_3 } = shapeOf(joint)
  const C = reckoner.compute(carbonCet, composition)
  return {
    coolingS: reckoner.compute(cooling, {
      t_2: reckoner.compute(thin, { T: partC, Q, d, F_2 }),
      t_3: reckoner.compute(thick, { T: partC, Q, F_3 }),
    }),
    preheatC: reckoner.compute(preheatAtHeat, { C, d, H: isDry ? 'hydrogenDry' : 'hydrogenWet', Q }),
    cePct: reckoner.compute(carbonCe, composition),
  }
}
