/** Whether the figures of a data plate agree with each other: what cannot be is said, with the figures, and kept. */
import type { PowerSource, SupplyRating } from '../model/equipment.ts'
import type { Verdict } from '../model/finding.ts'
import { computed, dataPlate, type Source, standard } from '../model/source.ts'
import { type Step, term } from '../model/working.ts'
import { printNumber } from '../quantity/printValue.ts'
import type { PlateFamily } from '../reference/processes.ts'
import { loadVoltage } from '../trade/arcVoltage.ts'
import { plateI1Max, rootPhases } from './inputCurrent.ts'

export interface PlateFinding {
  readonly id: 'efficiency' | 'effective-current' | 'load-voltage' | 'open-circuit'
  readonly verdict: Verdict
  readonly says: string
  readonly source: Source
  /** Place of the process and of its column on the plate, from 0. */
  readonly process: number
  readonly column: number
  readonly working: readonly Step[]
}

type Found = Omit<PlateFinding, 'process' | 'column'>

/** The printed load voltage may be rounded; more than this apart is another rating. */
const LOAD_VOLTAGE_APART_V = 1.5
/** I₁eff is printed rounded, and idle current is not on every plate. */
const EFFECTIVE_SLACK = 0.08
/** Highest DC open-circuit voltage outside special surroundings (IEC 60974-1, table of rated no-load voltage). */
const OPEN_CIRCUIT_MOST_V = 113

const highestPoint = ({ ratedPoints }: SupplyRating) =>
  ratedPoints.reduce((most, next) => (next.currentA > most.currentA ? next : most))

/** Share of what it takes in that a source would have to give out, by its own plate; null without an input figure. */
export function impliedEfficiency(family: PlateFamily, supply: SupplyRating): number | null {
  const i1Max = plateI1Max(supply)
  if (!i1Max || supply.voltageV === null) return null
  const { currentA, loadV } = highestPoint(supply)
  const outputW = currentA * (loadV ?? loadVoltage(family, currentA))
  return outputW / (Number(i1Max.value) * supply.voltageV * rootPhases(supply.phases))
}

/** Why a plate's input figure cannot be used; null where it can. */
export function inputFault(family: PlateFamily, supply: SupplyRating): string | null {
  const implied = impliedEfficiency(family, supply)
  if (implied === null || implied <= 1) return null
  const i1Max = plateI1Max(supply)
  const { currentA, loadV } = highestPoint(supply)
  const volts = loadV ?? loadVoltage(family, currentA)
  const takenVa = Number(i1Max?.value) * (supply.voltageV ?? 0) * rootPhases(supply.phases)
  return `the plate does not agree with itself: ${printNumber(currentA)} A at ${printNumber(volts, 3)} V is ${printNumber(currentA * volts)} W out, and ${printNumber(Number(i1Max?.value), 3)} A at ${supply.voltageV ?? '–'} V is ${printNumber(takenVa)} VA in, an efficiency of ${printNumber(implied, 3)}; read both again`
}

function efficiencyFinding(family: PlateFamily, supply: SupplyRating): Found | null {
  const says = inputFault(family, supply)
  if (!says) return null
  const i1Max = plateI1Max(supply)
  const { currentA, loadV } = highestPoint(supply)
  return {
    id: 'efficiency',
    verdict: 'short',
    says: `${says.charAt(0).toUpperCase()}${says.slice(1)}. Until then what it draws counts as not known.`,
    source: computed('energy: no source gives out more than it takes in'),
    working: [
      {
        says: 'Efficiency that the plate would need',
        formula: supply.phases === 3 ? 'η·PF = U₂·I₂ / (√3·U₁·I₁max)' : 'η·PF = U₂·I₂ / (U₁·I₁max)',
        terms: [
          term(
            'U₂',
            'load voltage',
            loadV ?? loadVoltage(family, currentA),
            'V',
            loadV === null ? computed('conventional load voltage') : dataPlate(),
          ),
          term('I₂', 'highest rated current', currentA, 'A', dataPlate()),
          term('U₁', 'supply voltage', supply.voltageV ?? '', 'V', dataPlate()),
          ...(i1Max ? [i1Max] : []),
        ],
        result: { symbol: 'η·PF', value: impliedEfficiency(family, supply) ?? 0, unit: '' },
        source: standard('IEC 60974-1, rated supply current', true),
      },
    ],
  }
}

function effectiveFinding(_family: PlateFamily, supply: SupplyRating): Found | null {
  const i1Max = plateI1Max(supply)
  if (!i1Max || supply.i1EffA === null) return null
  const duty = highestPoint(supply).dutyPct
  const expected = Number(i1Max.value) * Math.sqrt(duty / 100)
  const above = supply.i1EffA > Number(i1Max.value) + 1e-9
  if (!above && supply.i1EffA >= expected * (1 - EFFECTIVE_SLACK)) return null
  const source = standard('IEC 60974-1, I₁eff = √(I₁max²·X + I₀²·(1 − X))', true)
  return {
    id: 'effective-current',
    verdict: above ? 'short' : 'tight',
    says: above
      ? `I₁eff of ${printNumber(supply.i1EffA)} A is above I₁max of ${printNumber(Number(i1Max.value))} A; it cannot be: read both again.`
      : `I₁eff of ${printNumber(supply.i1EffA)} A is below ${printNumber(expected, 3)} A, which I₁max at ${duty} % duty alone makes: read both again.`,
    source,
    working: [
      {
        says: 'Effective supply current without idling',
        formula: 'I₁eff ≥ I₁max·√X',
        terms: [i1Max, term('X', 'duty there', duty, '%', dataPlate())],
        result: { symbol: 'I₁eff', value: expected, unit: 'A' },
        source,
      },
    ],
  }
}

function loadVoltageFinding(family: PlateFamily, supply: SupplyRating): Found | null {
  const off = supply.ratedPoints.find(
    ({ currentA, loadV }) =>
      loadV !== null && Math.abs(loadV - loadVoltage(family, currentA)) > LOAD_VOLTAGE_APART_V,
  )
  if (!off || off.loadV === null) return null
  const conventional = loadVoltage(family, off.currentA)
  const source = standard('IEC 60974-1, conventional load voltage', true)
  return {
    id: 'load-voltage',
    verdict: 'tight',
    says: `${printNumber(off.currentA)} A is rated at ${printNumber(off.loadV)} V; by the standard it would be ${printNumber(conventional, 3)} V. It may be rated otherwise: look whether the process is right.`,
    source,
    working: [],
  }
}

function openCircuitFinding(_family: PlateFamily, supply: SupplyRating): Found | null {
  const { openCircuitV, ratedPoints } = supply
  if (openCircuitV === null) return null
  const source = standard('IEC 60974-1, rated no-load voltage', true)
  const load = Math.max(0, ...ratedPoints.map(({ loadV }) => loadV ?? 0))
  if (openCircuitV < load) {
    return {
      id: 'open-circuit',
      verdict: 'short',
      says: `Open-circuit voltage of ${printNumber(openCircuitV)} V is below the load voltage of ${printNumber(load)} V; it cannot be: read both again.`,
      source,
      working: [],
    }
  }
  return openCircuitV > OPEN_CIRCUIT_MOST_V
    ? {
        id: 'open-circuit',
        verdict: 'tight',
        says: `Open-circuit voltage of ${printNumber(openCircuitV)} V is above ${OPEN_CIRCUIT_MOST_V} V, the most of the standard for manual welding: read it again, and treat it as dangerous.`,
        source,
        working: [],
      }
    : null
}

const LOOKS = [efficiencyFinding, effectiveFinding, loadVoltageFinding, openCircuitFinding]

/** @returns what on a plate does not agree, in the plate's order; empty for a consistent plate */
export const plateFindings = ({ processes }: Pick<PowerSource, 'processes'>): readonly PlateFinding[] =>
  processes.flatMap(({ family, supplies }, process) =>
    supplies.flatMap((supply, column) =>
      LOOKS.flatMap((look) => {
        const found = look(family, supply)
        return found ? [{ ...found, process, column }] : []
      }),
    ),
  )
