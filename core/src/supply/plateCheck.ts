/** Whether the figures of a data plate agree with each other: what cannot be is told, with the figures, and kept. */
import { computed, type Source, standard } from '../basis/source.ts'
import type { PowerSource, SupplyRating } from '../kinds/equipment.ts'
import type { ProcessFamily } from '../model/process.ts'
import { figure, message, type Message } from '../model/message.ts'
import type { Verdict } from '../model/verdict.ts'
import { loadVoltageOf } from '../trade/arcVoltage.ts'
import { highestPoint, plateInputA, rootPhases } from './inputCurrent.ts'

export interface PlateFinding {
  readonly id: 'efficiency' | 'effective-current' | 'load-voltage' | 'open-circuit'
  readonly verdict: Verdict
  readonly told: Message
  readonly source: Source
  /** Place of the process and of its column on the plate, from 0. */
  readonly process: number
  readonly column: number
}

type Found = Omit<PlateFinding, 'process' | 'column'>

/** The printed load voltage may be rounded; more than this apart is another rating. */
const LOAD_VOLTAGE_APART_V = 1.5
/** I₁eff is printed rounded, and idle current is not on every plate. */
const EFFECTIVE_SLACK = 0.08
/** Highest DC open-circuit voltage outside special surroundings (IEC 60974-1, table of rated no-load voltage). */
const OPEN_CIRCUIT_MOST_V = 113

/** What a plate gives out at its highest point, and what it takes in; null without an input figure. */
function powersOf(family: ProcessFamily, supply: SupplyRating) {
  const i1MaxA = plateInputA(supply)
  if (i1MaxA === null || supply.voltageV === null) return null
  const { currentA, loadV } = highestPoint(supply)
  const volts = loadV ?? loadVoltageOf(family, currentA)
  const takenVa = i1MaxA * supply.voltageV * rootPhases(supply.phases)
  return { currentA, volts, i1MaxA, voltageV: supply.voltageV, givenW: currentA * volts, takenVa }
}

/** Share of what it takes in that a source would have to give out, by its own plate; null without an input figure. */
export function impliedEfficiency(family: ProcessFamily, supply: SupplyRating): number | null {
  const powers = powersOf(family, supply)
  return powers && powers.givenW / powers.takenVa
}

/** Why a plate's input figure cannot be used; null where it can. */
export function inputFault(family: ProcessFamily, supply: SupplyRating): Message | null {
  const powers = powersOf(family, supply)
  if (!powers || powers.givenW <= powers.takenVa) return null
  return message('efficiency', {
    current: figure(powers.currentA, 'A'),
    volts: figure(powers.volts, 'V'),
    given: figure(powers.givenW, 'W'),
    input: figure(powers.i1MaxA, 'A'),
    supply: figure(powers.voltageV, 'V'),
    taken: figure(powers.takenVa, 'VA'),
    efficiency: figure(powers.givenW / powers.takenVa, ''),
  })
}

function efficiencyFinding(family: ProcessFamily, supply: SupplyRating): Found | null {
  const fault = inputFault(family, supply)
  return (
    fault && {
      id: 'efficiency',
      verdict: 'fails',
      told: fault,
      source: computed('energy: no source gives out more than it takes in'),
    }
  )
}

function effectiveFinding(_family: ProcessFamily, supply: SupplyRating): Found | null {
  const i1MaxA = plateInputA(supply)
  if (i1MaxA === null || supply.i1EffA === null) return null
  const { dutyPct } = highestPoint(supply)
  const expectedA = i1MaxA * Math.sqrt(dutyPct / 100)
  const isAbove = supply.i1EffA > i1MaxA + 1e-9
  if (!isAbove && supply.i1EffA >= expectedA * (1 - EFFECTIVE_SLACK)) return null
  return {
    id: 'effective-current',
    verdict: isAbove ? 'fails' : 'tight',
    told: message(isAbove ? 'effective-above' : 'effective-below', {
      effective: figure(supply.i1EffA, 'A'),
      greatest: figure(i1MaxA, 'A'),
      expected: figure(expectedA, 'A'),
      duty: figure(dutyPct, '%'),
    }),
    source: standard('IEC 60974-1, I₁eff = √(I₁max²·X + I₀²·(1 − X))', true),
  }
}

function loadVoltageFinding(family: ProcessFamily, supply: SupplyRating): Found | null {
  const off = supply.ratedPoints.find(
    ({ currentA, loadV }) =>
      loadV !== null && Math.abs(loadV - loadVoltageOf(family, currentA)) > LOAD_VOLTAGE_APART_V,
  )
  if (!off || off.loadV === null) return null
  return {
    id: 'load-voltage',
    verdict: 'tight',
    told: message('load-voltage', {
      current: figure(off.currentA, 'A'),
      volts: figure(off.loadV, 'V'),
      conventional: figure(loadVoltageOf(family, off.currentA), 'V'),
    }),
    source: standard('IEC 60974-1, conventional load voltage', true),
  }
}

function openCircuitFinding(_family: ProcessFamily, supply: SupplyRating): Found | null {
  const { openCircuitV, ratedPoints } = supply
  if (openCircuitV === null) return null
  const source = standard('IEC 60974-1, rated no-load voltage', true)
  const loadV = Math.max(0, ...ratedPoints.map((point) => point.loadV ?? 0))
  const open = figure(openCircuitV, 'V')
  if (openCircuitV < loadV) {
    const below = message('open-circuit-below', { open, load: figure(loadV, 'V') })
    return { id: 'open-circuit', verdict: 'fails', told: below, source }
  }
  if (openCircuitV <= OPEN_CIRCUIT_MOST_V) return null
  const above = message('open-circuit-above', { open, most: figure(OPEN_CIRCUIT_MOST_V, 'V') })
  return { id: 'open-circuit', verdict: 'tight', told: above, source }
}

const LOOKS = [efficiencyFinding, effectiveFinding, loadVoltageFinding, openCircuitFinding]

/**
 * @returns what on a plate does not agree, in the plate's order; empty for a consistent plate
 * @example plateFindings(powerSource) // []: the plate can be right
 */
export const plateFindings = ({ processes }: Pick<PowerSource, 'processes'>): readonly PlateFinding[] =>
  processes.flatMap(({ family, supplies }, process) =>
    supplies.flatMap((supply, column) =>
      LOOKS.flatMap((look) => {
        const found = look(family, supply)
        return found ? [{ ...found, process, column }] : []
      }),
    ),
  )
