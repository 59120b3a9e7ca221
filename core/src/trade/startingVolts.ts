/** Arc volts to start with, by process, gas and transfer: a line of volts over current. */
import type { AssumptionKey } from '../assumptions/list.ts'
import { commonPractice } from '../basis/source.ts'
import { assumed, calculation, from, input, inputOrAssumed } from '../calculation/calculation.ts'
import type { Reckoner } from '../calculation/reckoner.ts'
import type { Gas } from '../model/equipment.ts'
import type { Metal } from '../model/material.ts'
import type { ProcessId } from '../model/process.ts'
import { PROCESSES } from '../reference/processes.ts'
import { isCo2 } from '../reference/gases.ts'
import { wantedCurrent } from './wantedCurrent.ts'

const PRACTICE = commonPractice('common practice: volts to start with, then by ear and eye')

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

const volts = { title: 'Arc volts to start with', symbol: 'U', unit: 'V', source: PRACTICE } as const
const line = {
  U_0: inputOrAssumed('volts at no current', 'V', PRACTICE),
  s: inputOrAssumed('volts an ampere', 'V/A', PRACTICE),
  I: input('current wanted', 'A', PRACTICE, wantedCurrent.id),
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
  title: 'Arc volts to start with, in CO₂',
  expression: 'U_0 + s * I + c',
  inputs: { ...line, c: assumed('voltsCo2V') },
  compute: ({ U_0, s, I, c }) => U_0 + s * I + c,
})
const softerVolts = calculation({
  ...volts,
  id: 'starting-volts-mixed',
  title: 'Arc volts to start with, in an argon mix',
  expression: 'U_0 + s * I - c',
  inputs: { ...line, c: assumed('voltsFcawMixedV') },
  compute: ({ U_0, s, I, c }) => U_0 + s * I - c,
})
export const startingVolts = from(plainVolts, hotterVolts, softerVolts)

/**
 * @param gas null where none flows, or none is chosen
 * @returns V across the arc, at the current that the weld wants
 * @example startingVoltsOf('gmaw-short', 'carbon-steel', co2, 132, r) // 19.8
 */
export function startingVoltsOf(
  process: ProcessId,
  metal: Metal,
  gas: Pick<Gas, 'co2Pct'> | null,
  currentA: number,
  r: Reckoner,
): number {
  const { base: U_0, perA: s } =
    metal === 'aluminium' && PROCESSES[process].feedsWire ? ALUMINIUM : LINES[process]
  const asCo2 = gas !== null && isCo2(gas)
  if (process === 'gmaw-short' && asCo2) return r.take(hotterVolts, { U_0, s, I: currentA })
  if (process === 'fcaw-g' && gas !== null && !asCo2) return r.take(softerVolts, { U_0, s, I: currentA })
  return r.take(plainVolts, { U_0, s, I: currentA })
}
