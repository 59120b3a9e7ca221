/** Weld metal that a wire lays down in a minute of arc. */
import type { Assumptions } from '../assumptions/assume.ts'
import type { AssumptionKey } from '../assumptions/list.ts'
import { handbook, jobField } from '../basis/source.ts'
import { assumed, calculation, from, input, inputOrAssumed } from '../calculation/calculation.ts'
import type { Reckoner } from '../calculation/reckoner.ts'
import type { Wire } from '../kinds/equipment.ts'
import type { ProcessId } from '../model/process.ts'
import { DENSITY } from '../reference/materials.ts'
import { isCored, wireFeed } from './burnOff.ts'
import { coveredRate } from './covered.ts'

/** Share of the wire that becomes weld metal, by process. */
export const DEPOSITION: Readonly<Record<Exclude<ProcessId, 'smaw'>, AssumptionKey>> = {
  'gmaw-short': 'depositionGmawPct',
  'gmaw-spray': 'depositionGmawPct',
  'gmaw-pulse': 'depositionGmawPct',
  'fcaw-s': 'depositionFcawSPct',
  'fcaw-g': 'depositionFcawGPct',
  'gtaw-dc': 'depositionGtawPct',
  'gtaw-ac': 'depositionGtawPct',
}

export const EFFICIENCY = handbook('deposition efficiency, welding handbooks')
export const efficiency = inputOrAssumed('deposition efficiency', '%', EFFICIENCY)
const density = input('density', 'g/cm³', DENSITY['carbon-steel'].source)

export const wireSection = calculation({
  id: 'wire-section',
  title: 'Section of the wire',
  symbol: 'a',
  unit: 'mm²',
  expression: 'pi / 4 * d^2',
  inputs: { d: input('wire diameter', 'mm diameter', jobField('wire of the set-up')) },
  compute: ({ d }) => (Math.PI / 4) * d ** 2,
  source: handbook('geometry', false),
})

const rate = {
  title: 'Deposition rate',
  symbol: 'r',
  unit: 'g/min',
  source: handbook('deposition rate, welding handbooks'),
} as const
const solidRate = calculation({
  ...rate,
  id: 'deposition-rate',
  expression: 'a * v * ρ / 1000 * D / 100',
  inputs: { a: from(wireSection), v: from(wireFeed), ρ: density, D: efficiency },
  compute: ({ a, v, ρ, D }) => (((a * v * ρ) / 1000) * D) / 100,
})
const coredRate = calculation({
  ...rate,
  id: 'deposition-rate-cored',
  expression: 'a * v * ρ * q / 1000 * D / 100',
  inputs: {
    a: from(wireSection),
    v: from(wireFeed),
    ρ: density,
    q: assumed('coredMassFraction'),
    D: efficiency,
  },
  compute: ({ a, v, ρ, q, D }) => (((a * v * ρ * q) / 1000) * D) / 100,
})

/**
 * Weld metal laid down in a minute of arc.
 * @param feedMmPerMin wire feed speed, mm/min
 * @returns g/min
 */
export function depositionRate(
  wire: Pick<Wire, 'metal' | 'form' | 'diameterMm'>,
  feedMmPerMin: number,
  process: Exclude<ProcessId, 'smaw'>,
  reckoner: Reckoner,
): number {
  const a = reckoner.compute(wireSection, { d: wire.diameterMm })
  const given = { a, v: feedMmPerMin, ρ: DENSITY[wire.metal].value, D: DEPOSITION[process] }
  return isCored(wire) ? reckoner.compute(coredRate, given) : reckoner.compute(solidRate, given)
}

/**
 * What a millimetre of wire weighs.
 * @returns g/mm
 * @example wireGPerMm({ metal: 'carbon-steel', form: 'solid', diameterMm: 0.9 }, reckoner) // 0.005
 */
export function wireGPerMm(
  wire: Pick<Wire, 'metal' | 'form' | 'diameterMm'>,
  assumptions: Assumptions,
): number {
  const solid = ((Math.PI / 4) * wire.diameterMm ** 2 * DENSITY[wire.metal].value) / 1000
  return isCored(wire) ? solid * assumptions.coredMassFraction : solid
}

export const deposition = from(solidRate, coredRate, coveredRate)
