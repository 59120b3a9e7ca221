/**
 * What a data plate means in this shop, before a gun, a wire or a circuit is chosen: what it draws, the breaker and the
 * cable that it asks for, the circuits that it may hang on, and what its output welds.
 */
import { capabilityOf, NOTHING_SET } from '../capability/capability.ts'
import { emptyChoice } from '../capability/slots.ts'
import { columnFor } from '../capability/supplyFor.ts'
import type { LinkId } from '../criteria/carries.ts'
import type { Assessment } from '../criteria/criterion.ts'
import { concerning } from '../criteria/concerns.ts'
import { assess } from '../criteria/index.ts'
import { EUROPEAN_WIRES } from '../library/europeanWires.ts'
import { LIBRARY_WIRES } from '../library/wires.ts'
import type { Circuit, PowerSource, SupplyRating, Wire } from '../kinds/equipment.ts'
import type { Metal } from '../model/material.ts'
import type { PlateProcess } from '../kinds/powerSource.ts'
import type { Polarity, ProcessFamily, ProcessId } from '../model/process.ts'
import type { Shelf } from '../kinds/shelf.ts'
import type { Shop } from '../kinds/shop.ts'
import { byWorst, type Verdict, worstVerdict } from '../model/verdict.ts'
import { PROCESSES } from '../reference/processes.ts'
import { greatestInputA, highestPoint } from '../supply/inputCurrent.ts'
import { inputFault } from '../supply/plateCheck.ts'
import { heldWithoutEndA } from '../supply/breaker/overload.ts'
import { smallestBreakerA, smallestConductor } from '../supply/ruleBook.ts'
import type { Building } from '../supply/supplyOf.ts'
import { capacityOf, type CapacityRange, supposed } from './capacity.ts'

/** A circuit of the shop with the plate’s voltage. */
export interface CircuitMet {
  readonly id: string
  readonly name: string
  readonly breakerA: number
  readonly verdict: Verdict
  /** What speaks against it, worst first; empty where nothing does. */
  readonly against: readonly Assessment[]
  /** Whether its breaker holds less than the plate draws at its greatest output. */
  readonly isShortAtFullOutput: boolean
}

/** What the output welds with one usual wire, flat, as the least of machine and wire. */
export interface PlateWelds {
  readonly process: ProcessId
  readonly metal: Metal
  /** Null for TIG: the rod does not set the current. */
  readonly wire: Pick<Wire, 'classification' | 'diameterMm'> | null
  readonly range: CapacityRange
}

/** One supply voltage of one process. */
export interface PlateColumnMeaning {
  /** Null for an engine: it draws on no circuit. */
  readonly voltageV: number | null
  readonly phases: 1 | 3
  readonly input: {
    readonly greatestA: number
    /** The smallest standard breaker that holds the greatest output without end. */
    readonly breakerHoldsA: number | null
    /** The largest that the rule allows for the machine. */
    readonly breakerMostA: number | null
    /** The thinnest conductor that the rule allows, 75 °C copper. */
    readonly conductor: string | null
  } | null
  readonly circuits: readonly CircuitMet[]
  readonly welds: readonly PlateWelds[]
}

/** A wire as it is sold, with its diameters from the thinnest and the output up to which each is usual, A. */
interface Sold {
  readonly classification: string
  readonly sizes: readonly [diameterMm: number, upToA: number][]
}
/** Wires that are usual for a machine of this output, by AWS and by EN ISO (common practice, no source). */
interface UsualWire {
  readonly process: ProcessId
  readonly polarity: Polarity
  readonly sold: Readonly<Record<Shop['ruleBook'], Sold>>
}
const USUAL: Readonly<Record<ProcessFamily, readonly UsualWire[]>> = {
  gmaw: [
    {
      process: 'gmaw-short',
      polarity: 'dcep',
      sold: {
        'north-american': {
          classification: 'ER70S-6',
          sizes: [
            [0.762, 150],
            [0.889, 260],
            [1.143, Infinity],
          ],
        },
        international: {
          classification: 'G 42 4 M21 3Si1',
          sizes: [
            [0.8, 150],
            [1, 260],
            [1.2, Infinity],
          ],
        },
      },
    },
  ],
  fcaw: [
    {
      process: 'fcaw-s',
      polarity: 'dcen',
      sold: {
        'north-american': {
          classification: 'E71T-11',
          sizes: [
            [0.762, 120],
            [0.889, 200],
            [1.143, Infinity],
          ],
        },
        international: {
          classification: 'T 42 Z Z NO 1',
          sizes: [
            [0.9, 200],
            [1.2, Infinity],
          ],
        },
      },
    },
  ],
  gtaw: [
    {
      process: 'gtaw-dc',
      polarity: 'dcen',
      sold: {
        'north-american': { classification: 'ER70S-2', sizes: [[2.38125, Infinity]] },
        international: { classification: 'W 42 5 W3Si1', sizes: [[2.4, Infinity]] },
      },
    },
    {
      process: 'gtaw-ac',
      polarity: 'ac',
      sold: {
        'north-american': { classification: 'ER5356', sizes: [[2.38125, Infinity]] },
        international: { classification: 'S Al 5356 (AlMg5Cr)', sizes: [[2.4, Infinity]] },
      },
    },
  ],
  smaw: [
    {
      process: 'smaw',
      polarity: 'dcep',
      sold: {
        'north-american': {
          classification: 'E7018',
          sizes: [
            [2.38125, 110],
            [3.175, 180],
            [3.96875, Infinity],
          ],
        },
        international: {
          classification: 'E 42 4 B 32 H5',
          sizes: [
            [2.5, 110],
            [3.2, 180],
            [4, Infinity],
          ],
        },
      },
    },
  ],
}
const WIRES = [...LIBRARY_WIRES, ...EUROPEAN_WIRES].map(({ record }) => record)

function wireOf({ process, sold }: UsualWire, { ruleBook }: Shop, outputMaxA: number): Wire | null {
  const { classification, sizes } = sold[ruleBook]
  const [diameterMm] = sizes.find(([, upToA]) => outputMaxA <= upToA) ?? [0]
  const isFed = PROCESSES[process].feedsWire
  return (
    WIRES.find(
      (wire) =>
        wire.classification === classification &&
        Math.abs(wire.diameterMm - diameterMm) < 1e-3 &&
        (wire.spoolMm !== null) === isFed,
    ) ?? null
  )
}

function weldsOf(shop: Shop, source: PowerSource, plate: PlateProcess, supply: SupplyRating): PlateWelds[] {
  return USUAL[plate.family].flatMap((usual): PlateWelds[] => {
    const polarity = usual.process === 'smaw' && !plate.outputs.includes('dc') ? 'ac' : usual.polarity
    if (!plate.outputs.includes(polarity === 'ac' ? 'ac' : 'dc')) return []
    const wire = wireOf(usual, shop, supply.outputMaxA)
    const settings = { ...NOTHING_SET, process: usual.process, polarity }
    const machine = capabilityOf(shop, settings, { ...emptyChoice(), stock: [], powerSource: source, wire })
    const links: readonly LinkId[] = plate.family === 'gtaw' ? ['source'] : ['source', 'electrode']
    const capacity = capacityOf(machine, links)
    const column = capacity.columns.find(
      ({ voltageV, phases }) => voltageV === supply.voltageV && phases === supply.phases,
    )
    const range = column?.ranges.find(({ position }) => position === 'flat')
    if (!range) return []
    return [
      { process: usual.process, metal: capacity.metal, wire: plate.family === 'gtaw' ? null : wire, range },
    ]
  })
}

function circuitMet(
  shop: Shop,
  source: PowerSource,
  process: ProcessId,
  circuit: Circuit,
  greatestA: number,
  building: Building,
) {
  const settings = { ...NOTHING_SET, process, polarity: PROCESSES[process].polarity }
  const hung = capabilityOf(shop, settings, {
    ...emptyChoice(),
    stock: [],
    building,
    powerSource: source,
    circuit,
  })
  const against = byWorst(
    assess(hung, null).filter(({ criterion, verdict }) => OF_PLATE.has(criterion) && verdict !== 'fits'),
  )
  const isShortAtFullOutput = heldWithoutEndA(circuit, hung.breaker, hung.reckoner) < greatestA - 1e-9
  const { id, name, breakerA } = circuit
  const verdict = worstVerdict([...against.map((one) => one.verdict), isShortAtFullOutput ? 'tight' : 'fits'])
  return { id, name, breakerA, verdict, against, isShortAtFullOutput }
}
const OF_PLATE = concerning('voltage', 'wiring', 'generator')

function columnOf(
  shop: Shop,
  shelf: Shelf,
  source: PowerSource,
  plate: PlateProcess,
  supply: SupplyRating,
): PlateColumnMeaning {
  const { voltageV, phases } = supply
  const meaning = { voltageV, phases, welds: weldsOf(shop, source, plate, supply) }
  const [usual] = USUAL[plate.family]
  if (voltageV === null || !usual || inputFault(plate.family, supply))
    return { ...meaning, input: null, circuits: [] }
  const { process, polarity } = { ...usual, polarity: plate.outputs.includes('dc') ? usual.polarity : 'ac' }
  const hung = capabilityOf(
    shop,
    { ...NOTHING_SET, process, polarity },
    { ...emptyChoice(), stock: [], powerSource: source, circuit: supposed(voltageV, phases) },
  )
  const { draw, rules, reckoner, circuit } = hung
  if (!draw || !circuit) return { ...meaning, input: null, circuits: [] }
  const greatestA = greatestInputA(supply, draw, reckoner)
  const load = { i1MaxA: greatestA, i1EffA: supply.i1EffA, dutyPct: highestPoint(supply).dutyPct }
  return {
    ...meaning,
    input: {
      greatestA,
      breakerHoldsA: smallestBreakerA(rules, greatestA, null),
      breakerMostA: rules.breakerMostForA(load)?.value ?? null,
      conductor: smallestConductor(rules, rules.conductorA([load], reckoner).value, circuit),
    },
    circuits: shelf.circuits
      .filter((circuit) => columnFor(plate.supplies, circuit) === supply)
      .map((circuit) => circuitMet(shop, source, process, circuit, greatestA, shelf)),
  }
}
/**
 * @param at place of the process on the plate, from 0
 * @returns a meaning for each supply voltage of that process, in the plate’s order; empty where there is no such process
 * @example plateMeaning(shop, shelf, source, 0)[0]?.input?.breakerMostA // 60
 */
export function plateMeaning(
  shop: Shop,
  shelf: Shelf,
  source: PowerSource,
  at: number,
): readonly PlateColumnMeaning[] {
  const plate = source.processes[at]
  return plate ? plate.supplies.map((supply) => columnOf(shop, shelf, source, plate, supply)) : []
}
