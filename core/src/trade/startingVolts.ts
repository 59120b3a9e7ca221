/** Start voltage of the arc, by process, gas and transfer: a line of volts over current. */
import type { AssumptionKey } from '../assumptions/list.ts'
import { commonPractice } from '../basis/source.ts'
import { assumed, calculation, from, input, inputOrAssumed } from '../calculation/calculation.ts'
import type { Reckoner } from '../calculation/reckoner.ts'
import type { Gas } from '../kinds/equipment.ts'
import type { Metal } from '../model/material.ts'
import type { ProcessId } from '../model/process.ts'
import { PROCESSES } from '../reference/processes.ts'
import { coredUsabilityOf } from '../reference/classification.ts'
import { isCo2 } from '../reference/gases.ts'
import { wantedCurrent } from './wantedCurrent.ts'

const PRACTICE = commonPractice('common practice: start voltage, then by ear and eye')

interface Line {
  readonly base: AssumptionKey
  readonly perA: AssumptionKey
}
const LINES: Readonly<Record<ProcessId, Line>> = {
  'gmaw-short': { base: 'voltsShortBaseV', perA: 'voltsShortPerA' },
  'gmaw-spray': { base: 'voltsSprayBaseV', perA: 'voltsSprayPerA' },
  'gmaw-pulse': { base: 'voltsPulseBaseV', perA: 'voltsPulsePerA' },
  'fcaw-s': { base: 'voltsFcawSBaseV', perA: 'voltsFcawSPerA' },
  'fcaw-g': { base: 'voltsFcawGBaseV', perA: 'voltsFcawGPerA' },
  'gtaw-dc': { base: 'voltsGtawBaseV', perA: 'voltsGtawPerA' },
  'gtaw-ac': { base: 'voltsGtawBaseV', perA: 'voltsGtawPerA' },
  smaw: { base: 'voltsStickBaseV', perA: 'voltsStickPerA' },
}
const ALUMINIUM: Line = { base: 'voltsAluminiumBaseV', perA: 'voltsAluminiumPerA' }

const volts = { title: 'Start voltage of the arc', symbol: 'U', unit: 'V', source: PRACTICE } as const
const line = {
  U_0: inputOrAssumed('volts at no current', 'V', PRACTICE),
  s: inputOrAssumed('volts an ampere', 'V/A', PRACTICE),
  I: input('current needed', 'A', PRACTICE, wantedCurrent.id),
}
const plainVolts = calculation({
  ...volts,
  id: 'starting-volts',
  expression: 'U_0 + s * I',
  inputs: line,
  compute: ({ U_0, s, I }) => U_0 + s * I,
})
const hotterVolts = calculation({
  ...volts,
  id: 'starting-volts-co2',
  title: 'Start voltage of the arc, in CO₂',
  expression: 'U_0 + s * I + c',
  inputs: { ...line, c: assumed('voltsCo2V') },
  compute: ({ U_0, s, I, c }) => U_0 + s * I + c,
})
const softerVolts = calculation({
  ...volts,
  id: 'starting-volts-mixed',
  title: 'Start voltage of the arc, in an argon mix',
  expression: 'U_0 + s * I - c',
  inputs: { ...line, c: assumed('voltsFcawMixedV') },
  compute: ({ U_0, s, I, c }) => U_0 + s * I - c,
})
/** Some classes of self-shielded wire burn a far longer arc than the others. */
const classVolts = calculation({
  ...volts,
  id: 'starting-volts-class',
  title: 'Start voltage of the arc, by the class of the wire',
  expression: 'U_0 + s * I + c',
  inputs: { ...line, c: input('volts of this class above the others', 'V', PRACTICE) },
  compute: ({ U_0, s, I, c }) => U_0 + s * I + c,
})
/** Helium takes more volts across the same gap. */
const heliumVolts = calculation({
  ...volts,
  id: 'starting-volts-helium',
  title: 'Start voltage of the arc, in a helium mix',
  expression: 'U_0 + s * I + c',
  inputs: { ...line, c: assumed('voltsHeliumV') },
  compute: ({ U_0, s, I, c }) => U_0 + s * I + c,
})
const voltsOfLine = from(plainVolts, hotterVolts, softerVolts, classVolts, heliumVolts)
/** The line of volts over current, read the other way round. */
export const currentForVolts = calculation({
  id: 'current-for-volts',
  title: 'Current whose arc these volts suit',
  symbol: 'I_b',
  unit: 'A',
  expression: 'max(0, I + (U_b - U) / s)',
  inputs: {
    I: input('current', 'A', PRACTICE, wantedCurrent.id, 'tap-at'),
    U_b: input('volts', 'V', PRACTICE),
    U: { ...voltsOfLine, name: 'volts that suit that current' },
    s: input('volts an ampere', 'V/A', PRACTICE),
  },
  compute: ({ I, U_b, U, s }) => Math.max(0, I + (U_b - U) / s),
  source: PRACTICE,
})
export const startingVolts = from(plainVolts, hotterVolts, softerVolts, classVolts, heliumVolts)

/** From this share on a mix is one of helium. */
const HELIUM_MIX_PCT = 50

/** What the arc burns in and from. */
export interface ArcOf {
  readonly metal: Metal
  /** Null where none flows, or none is chosen. */
  readonly gas: Pick<Gas, 'co2Pct' | 'heliumPct'> | null
  /** Of the wire; null where none is chosen. */
  readonly classification: string | null
}

/**
 * @returns V across the arc, at the current that the weld wants
 * @example startingVoltsOf('gmaw-short', { metal: 'carbon-steel', gas: co2, classification: null }, 132, r) // 19.5
 */
export function startingVoltsOf(
  process: ProcessId,
  { metal, gas, classification }: ArcOf,
  I: number,
  reckoner: Reckoner,
): number {
  const { base: U_0, perA: s } =
    metal === 'aluminium' && PROCESSES[process].feedsWire ? ALUMINIUM : LINES[process]
  const isCo2Arc = gas !== null && isCo2(gas)
  if (process === 'gmaw-short' && isCo2Arc) return reckoner.compute(hotterVolts, { U_0, s, I })
  if (process === 'gmaw-short' && (gas?.heliumPct ?? 0) >= HELIUM_MIX_PCT && metal !== 'aluminium')
    return reckoner.compute(heliumVolts, { U_0, s, I })
  if (process === 'fcaw-g' && gas !== null && !isCo2Arc) return reckoner.compute(softerVolts, { U_0, s, I })
  const c = process === 'fcaw-s' ? (coredUsabilityOf(classification ?? '')?.value.moreV ?? 0) : 0
  return c > 0 ? reckoner.compute(classVolts, { U_0, s, I, c }) : reckoner.compute(plainVolts, { U_0, s, I })
}

/** The volts are read at this much more current to find how they rise. */
const RISE = 1.1

/**
 * @param nearA a current for which the volts are known, above 0
 * @returns A at which an arc of these volts is neither starved of wire nor drowned in it
 * @example currentForVoltsOf('gmaw-short', arc, 19, 132, r) // 147
 */
export function currentForVoltsOf(
  process: ProcessId,
  arc: ArcOf,
  voltsV: number,
  nearA: number,
  reckoner: Reckoner,
): number {
  const above = startingVoltsOf(process, arc, nearA * RISE, reckoner)
  const U = startingVoltsOf(process, arc, nearA, reckoner)
  return reckoner.compute(currentForVolts, {
    I: nearA,
    U_b: voltsV,
    U,
    s: (above - U) / (nearA * (RISE - 1)),
  })
}
