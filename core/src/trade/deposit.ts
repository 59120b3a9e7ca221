/** Filler and arc time of a weld line. */
import { commonPractice, computed } from '../basis/source.ts'
import { assumed, calculation, from, inputOrAssumed } from '../calculation/calculation.ts'
import type { Reckoner } from '../calculation/reckoner.ts'
import type { Metal } from '../model/material.ts'
import type { ProcessId } from '../model/process.ts'
import { PROCESSES } from '../reference/processes.ts'
import { coveredFillerG, electrodesUsed, type MeltedElectrode, USUAL_ELECTRODE } from './covered.ts'
import { DEPOSITION, deposition, EFFICIENCY, efficiency } from './depositionRate.ts'
import { heatedThickness } from './layers.ts'
import { passesWanted } from './passes.ts'
import { fillMetal, rootMetal } from './rootPass.ts'
import { weldRun } from './run.ts'
import { count, quantity, weldMetal } from './weldMetal.ts'

const metalOfPasses = from(weldMetal, rootMetal, fillMetal)

const wireUsed = calculation({
  id: 'filler-wire',
  title: 'Wire used',
  symbol: 'w',
  unit: 'g',
  expression: 'm / (D / 100 * (1 - s / 100))',
  inputs: { m: metalOfPasses, D: efficiency, s: assumed('wireWastePct') },
  compute: ({ m, D, s }) => m / ((D / 100) * (1 - s / 100)),
  source: EFFICIENCY,
})
const rodUsed = calculation({
  id: 'filler-rod',
  title: 'Rod used',
  symbol: 'w',
  unit: 'g',
  expression: 'm / (D / 100)',
  inputs: { m: metalOfPasses, D: efficiency },
  compute: ({ m, D }) => m / (D / 100),
  source: EFFICIENCY,
})
export const fillerUsed = from(wireUsed, rodUsed, electrodesUsed)

/**
 * @param electrode the covered electrode; null where none is chosen: then the usual one
 * @returns g of wire, rod or electrodes that leave the shelf for an amount of weld metal
 */
export function fillerG(
  metalG: number,
  process: ProcessId,
  electrode: MeltedElectrode | null,
  reckoner: Reckoner,
): number {
  if (process === 'smaw') return coveredFillerG(electrode ?? USUAL_ELECTRODE, metalG, reckoner)
  const given = { m: metalG, D: DEPOSITION[process] }
  return PROCESSES[process].feedsWire ? reckoner.compute(wireUsed, given) : reckoner.compute(rodUsed, given)
}

export const arcTimeByRate = calculation({
  id: 'arc-time-by-rate',
  title: 'Arc time',
  symbol: 'τ',
  unit: 's',
  expression: '60 * m / r',
  inputs: { m: metalOfPasses, r: deposition },
  compute: ({ m, r }) => (60 * m) / r,
  source: computed('mass over rate'),
})

/** The hand sets the pace, not a wire: slower on thicker parts. */
const travelGtaw = calculation({
  id: 'travel-gtaw',
  title: 'Travel speed by hand',
  symbol: 's',
  unit: 'mm/min',
  expression: 's_0 * sqrt(3.175 / t)',
  inputs: {
    s_0: inputOrAssumed('travel speed on 1/8 in', 'mm/min', commonPractice()),
    t: from(...heatedThickness),
  },
  compute: ({ s_0, t }) => s_0 * Math.sqrt(3.175 / t),
  source: commonPractice('slower with the root of the thickness'),
})
export const arcTimeByTravel = calculation({
  id: 'arc-time-by-travel',
  title: 'Arc time',
  symbol: 'τ',
  unit: 's',
  expression: '60 * L_1 * c * q * n / s',
  inputs: { L_1: weldRun, c: count, q: quantity, n: passesWanted, s: from(travelGtaw) },
  compute: ({ L_1, c, q, n, s }) => (60 * L_1 * c * q * n) / s,
  source: computed('length over speed'),
})
/** @returns mm/min, for a part or a layer of this thickness */
export const travelGtawMmPerMin = (passThicknessMm: number, metal: Metal, reckoner: Reckoner): number =>
  reckoner.compute(travelGtaw, {
    s_0: metal === 'aluminium' ? 'travelGtawAluminiumMmPerMin' : 'travelGtawMmPerMin',
    t: passThicknessMm,
  })
export const arcTimeOfBoth = calculation({
  id: 'arc-time-of-both',
  title: 'Arc time',
  symbol: 'τ',
  unit: 's',
  expression: 'τ_1 + τ_2',
  inputs: {
    τ_1: { ...from(arcTimeByRate, arcTimeByTravel), name: 'of the root pass' },
    τ_2: { ...from(arcTimeByRate, arcTimeByTravel), name: 'of the fill passes' },
  },
  compute: ({ τ_1, τ_2 }) => τ_1 + τ_2,
  source: computed('sum'),
})
export const arcTime = from(arcTimeByRate, arcTimeByTravel, arcTimeOfBoth)
