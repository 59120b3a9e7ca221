/** The changeover that a set-up needs, from what is on its machine now. */
import { calculation, listOf } from '../calculation/calculation.ts'
import { commonPractice, computed } from '../basis/source.ts'
import type { Capability } from '../capability/capability.ts'
import type { Assumptions } from '../assumptions/assume.ts'
import { idsOf } from '../capability/slots.ts'
import { isSpooled } from '../kinds/spooled.ts'
import { SLOTS } from '../kinds/slots.ts'
import type { ProcessId } from '../model/process.ts'
import { type Changeover, changeoverBetween } from './changeover.ts'
import { STEP_TIME_IDS } from './learned.ts'
import { CHANGED_SETTINGS, type OnMachine, presentOn, stateOf } from './onMachine.ts'

export const changeoverTime = calculation({
  id: 'changeover-time',
  title: 'Changeover from what is on the machine',
  symbol: 'X',
  unit: 'min',
  expression: 'sum(m)',
  inputs: { m: listOf('by step', 'min', computed(), ...STEP_TIME_IDS) },
  compute: ({ m }) => m.reduce((total, minutes) => total + minutes, 0),
  source: commonPractice('steps one after the other'),
})

const NO_CHANGE: Changeover = { steps: [], minutes: 0, waste: { wireMm: 0, gasL: 0 } }
const known = new WeakMap<Capability, Changeover>()

/** @returns a set-up as it would be on its machine */
export const asOnMachine = (capability: Capability): OnMachine => ({
  state: stateOf({ ...capability.settings, ...idsOf(capability) }),
  parts: capability,
  timings: [],
})

/**
 * @returns the changeover to this set-up from what is on its machine; all of it put on where that is not recorded; none
 *   without a machine
 * @example changeoverTo(capability).minutes // 9.4
 */
export function changeoverTo(capability: Capability): Changeover {
  const { powerSource, bench, shop } = capability
  if (!powerSource) return NO_CHANGE
  let found = known.get(capability)
  if (!found) {
    found = changeoverBetween(
      shop,
      bench && presentOn(bench, powerSource.id),
      asOnMachine(capability),
      capability.reckoner,
    )
    known.set(capability, found)
  }
  return found
}

/** By what decides which steps there are on a bare machine. */
const onBare = new WeakMap<Assumptions, Map<ProcessId, Map<number, readonly number[]>>>()

/**
 * On a bare machine every step puts something on or sets something: which there are hangs on the places that are filled and
 * on the settings that are made, and not on what with. A kit asks for a hundred thousand of these.
 */
function stepsOnBareKey(capability: Capability): number {
  const { settings, wire } = capability
  let key = settings.polarity === 'ac' ? 1 : 0
  key = 3 * key + (wire === null ? 0 : isSpooled(wire) ? 1 : 2)
  for (const slot of SLOTS) if (slot !== 'wire') key = 2 * key + (capability[slot] === null ? 0 : 1)
  for (const setting of CHANGED_SETTINGS) key = 2 * key + (settings[setting] === null ? 0 : 1)
  return key
}

function stepMinutesOf(capability: Capability): readonly number[] {
  const { powerSource, bench, assumptions, reckoner } = capability
  const isBare = powerSource !== null && !(bench && presentOn(bench, powerSource.id))
  const minutesOf = () => changeoverTo(capability).steps.map(({ minutes }) => minutes)
  if (!isBare || reckoner.keepsSteps === true) return minutesOf()
  let known = onBare.get(assumptions)
  if (!known) onBare.set(assumptions, (known = new Map()))
  const { process } = capability.settings
  let ofProcess = known.get(process)
  if (!ofProcess) known.set(process, (ofProcess = new Map()))
  const key = stepsOnBareKey(capability)
  let found = ofProcess.get(key)
  if (!found) ofProcess.set(key, (found = minutesOf()))
  return found
}

/** @returns its minutes, worked out with the reckoner of the set-up */
export const changeoverMinOf = (capability: Capability): number =>
  capability.reckoner.compute(changeoverTime, { m: stepMinutesOf(capability) })

const MIN_PER_H = 60
/** @returns the wages of that time, in the shop's currency */
export const changeoverWagesOf = (capability: Capability): number =>
  (changeoverMinOf(capability) / MIN_PER_H) * capability.assumptions.labourPerHour
