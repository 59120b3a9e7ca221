/** Covered electrodes: how fast one melts, how long it lasts, how many a job takes. */
import { computed, jobField } from '../basis/source.ts'
import { assumed, calculation, from, input } from '../calculation/calculation.ts'
import type { Reckoner } from '../calculation/reckoner.ts'
import type { Wire } from '../kinds/equipment.ts'
import {
  COVERED_SOURCE,
  type CoveredClass,
  coveredClassOf,
  coveredLengthMm,
} from '../reference/coveredElectrodes.ts'
import { DENSITY } from '../reference/materials.ts'

/** The figures of an electrode that melting rests on. */
export type MeltedElectrode = Pick<Wire, 'metal' | 'diameterMm' | 'classification' | 'lengthMm'>

/** What a job is reckoned with where no electrode is chosen. */
export const USUAL_ELECTRODE: MeltedElectrode = {
  metal: 'carbon-steel',
  classification: 'E7018',
  diameterMm: 3.175,
  lengthMm: null,
}
/** A class that the table does not have runs like the everyday one. */
export function classOfElectrode({ classification }: Pick<Wire, 'classification'>): CoveredClass {
  const known = coveredClassOf(classification) ?? coveredClassOf(USUAL_ELECTRODE.classification)
  if (!known) throw new RangeError('the table of covered electrodes lacks E7018')
  return known
}

export const coveredRate = calculation({
  id: 'deposition-rate-covered',
  title: 'Deposition rate',
  symbol: 'r',
  unit: 'g/min',
  expression: 'g * I',
  inputs: {
    g: input('weld metal for each ampere', 'g/(min·A)', COVERED_SOURCE),
    I: input('current', 'A', jobField('current needed'), 'wanted-current'),
  },
  compute: ({ g, I }) => g * I,
  source: COVERED_SOURCE,
})

/** @returns g of weld metal in a minute of arc */
export const coveredGPerMin = (electrode: MeltedElectrode, currentA: number, reckoner: Reckoner): number =>
  reckoner.compute(coveredRate, { g: classOfElectrode(electrode).gPerMinA, I: currentA })

const length = input('length of one electrode', 'mm length', jobField('electrode of the set-up'))
const recovery = input('share that becomes weld metal, stubs apart', '%', COVERED_SOURCE)

export const electrodesUsed = calculation({
  id: 'filler-covered',
  title: 'Electrodes used, stubs and slag with them',
  symbol: 'w',
  unit: 'g',
  expression: 'm / (R / 100 * (1 - b / L))',
  inputs: {
    m: input('weld metal', 'g', computed('volume times density'), 'weld-metal', 'root-metal', 'fill-metal'),
    R: recovery,
    b: assumed('stickStubMm'),
    L: length,
  },
  compute: ({ m, R, b, L }) => m / ((R / 100) * (1 - b / L)),
  source: COVERED_SOURCE,
})

/** @returns g of electrodes that leave the shelf for an amount of weld metal */
export const coveredFillerG = (electrode: MeltedElectrode, metalG: number, reckoner: Reckoner): number =>
  reckoner.compute(electrodesUsed, {
    m: metalG,
    R: classOfElectrode(electrode).recoveryPct,
    L: coveredLengthMm(electrode),
  })

export const electrodeMass = calculation({
  id: 'electrode-mass',
  title: 'Mass of one electrode',
  symbol: 'm_1',
  unit: 'g',
  expression: 'pi / 4 * d^2 * L * ρ * q / 1000',
  inputs: {
    d: input('diameter of the core', 'mm diameter', jobField('electrode of the set-up')),
    L: length,
    ρ: input('density', 'g/cm³', DENSITY['carbon-steel'].source),
    q: input('mass with its covering over that of the core', '×', COVERED_SOURCE),
  },
  compute: ({ d, L, ρ, q }) => ((Math.PI / 4) * d ** 2 * L * ρ * q) / 1000,
  source: COVERED_SOURCE,
})

/** @returns g, with its covering */
export const electrodeMassG = (electrode: MeltedElectrode, reckoner: Reckoner): number =>
  reckoner.compute(electrodeMass, {
    d: electrode.diameterMm,
    L: coveredLengthMm(electrode),
    ρ: DENSITY[electrode.metal].value,
    q: classOfElectrode(electrode).massOverCore,
  })

export const electrodeBurns = calculation({
  id: 'electrode-burn-time',
  title: 'One electrode burns',
  symbol: 'τ_1',
  unit: 's',
  expression: '60 * m_1 * (1 - b / L) * R / 100 / r',
  inputs: {
    m_1: from(electrodeMass),
    b: assumed('stickStubMm'),
    L: length,
    R: recovery,
    r: from(coveredRate),
  },
  compute: ({ m_1, b, L, R, r }) => (60 * m_1 * (1 - b / L) * R) / 100 / r,
  source: computed('its weld metal over the rate'),
})

/** @returns s of arc from a new electrode to its stub */
export function burnTimeS(electrode: MeltedElectrode, gPerMin: number, reckoner: Reckoner): number {
  return reckoner.compute(electrodeBurns, {
    m_1: electrodeMassG(electrode, reckoner),
    L: coveredLengthMm(electrode),
    R: classOfElectrode(electrode).recoveryPct,
    r: gPerMin,
  })
}
