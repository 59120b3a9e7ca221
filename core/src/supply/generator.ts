/** What a generator gives where it stands, what is needed of it, and what it burns. */
import { computed, dataPlate } from '../basis/source.ts'
import { assumed, calculation, from, input, listOf } from '../calculation/calculation.ts'
import { type Reckoner, UNTRACED } from '../calculation/reckoner.ts'
import type { Circuit, Generator, OtherLoad } from '../kinds/equipment.ts'
import { inputCurrent, greatestInput, rootPhases } from './inputCurrent.ts'
import { loadsOn } from './otherLoads.ts'
import { type Building, circuitsOfGenerator, generatorOf, panelsAbove } from './supplyOf.ts'

const PLATE = dataPlate('generator')

const weather = {
  f: input('power factor of its rating', '', PLATE),
  a: assumed('generatorPctPer300M'),
  h: input('height above the sea, 0 where nobody says', 'm', PLATE),
  w: assumed('generatorPctPer10C'),
  T: input('ambient temperature, 25 °C where nobody says', '°C', PLATE),
}
const THERE =
  'P / f / 1000 * max(0, 1 - a / 100 * max(0, h) / 300) * max(0, 1 - w / 100 * max(0, T - 25) / 10)'
const kvaThere = ({ P, f, a, h, w, T }: Readonly<Record<'P' | 'f' | 'a' | 'h' | 'w' | 'T', number>>) =>
  (P / f / 1000) *
  Math.max(0, 1 - ((a / 100) * Math.max(0, h)) / 300) *
  Math.max(0, 1 - ((w / 100) * Math.max(0, T - 25)) / 10)
const DERATED = computed('thin and warm air take from an engine')

export const generatorRunning = calculation({
  id: 'generator-running',
  title: 'Continuous output of the generator at its site',
  symbol: 'S_g',
  unit: 'kVA',
  expression: THERE,
  inputs: { P: input('running', 'W', PLATE), ...weather },
  compute: kvaThere,
  source: DERATED,
})
export const generatorStarting = calculation({
  id: 'generator-starting',
  title: 'Peak output at its site',
  symbol: 'S_p',
  unit: 'kVA',
  expression: THERE,
  inputs: { P: input('peak output', 'W', PLATE), ...weather },
  compute: kvaThere,
  source: DERATED,
})

const standing = ({ powerFactor, altitudeM, ambientC }: Generator) => ({
  f: powerFactor ?? 1,
  h: altitudeM ?? 0,
  T: ambientC ?? 25,
})
/** @returns kVA */
export const generatorRunningKva = (generator: Generator, reckoner: Reckoner): number =>
  reckoner.compute(generatorRunning, { P: generator.runningW, ...standing(generator) })
/** @returns kVA; null where its plate does not say */
export const generatorStartingKva = (generator: Generator, reckoner: Reckoner): number | null =>
  generator.startingW === null
    ? null
    : reckoner.compute(generatorStarting, { P: generator.startingW, ...standing(generator) })

const othersRunning = calculation({
  id: 'others-running',
  title: 'Other loads on it',
  symbol: 'S_o',
  unit: 'kVA',
  expression: 'dot(I, V) / 1000',
  inputs: {
    I: listOf('each draws', 'A', dataPlate('other load')),
    V: listOf('at volts, times √3 with three phases', 'V', dataPlate('circuit')),
  },
  compute: ({ I, V }) => I.reduce((sum, one, index) => sum + one * (V[index] ?? 0), 0) / 1000,
  source: computed('all that is drawn as running'),
})

const nothingElse = calculation({
  id: 'nothing-else-runs',
  title: 'No other load',
  symbol: 'S_o',
  unit: 'kVA',
  expression: '0',
  inputs: {},
  compute: () => 0,
  source: dataPlate('other load'),
})
const others = from(othersRunning, nothingElse)

/** Loads that hang on a generator, each with its circuit. */
export function loadsOnGenerator(
  id: string,
  building: Building,
): readonly { readonly load: OtherLoad; readonly circuit: Circuit }[] {
  const circuits = circuitsOfGenerator(id, building)
  return building.loads.flatMap((load) => {
    const circuit = circuits.find((one) => one.id === load.circuitId)
    return circuit ? [{ load, circuit }] : []
  })
}
/**
 * @returns what of the building a circuit rests on: the panels above it, the generator, and all that draws beside it
 * @example buildingUnder(circuit, shelf).panels.map(({ name }) => name) // ['Shop panel', 'Service']
 */
export function buildingUnder(circuit: Circuit, building: Building): Building {
  const generator = generatorOf(circuit, building)
  const others = generator ? loadsOnGenerator(generator.id, building) : []
  const circuits = [...new Set([circuit, ...others.map((one) => one.circuit)])]
  return {
    generators: generator ? [generator] : [],
    panels: [...new Set(circuits.flatMap((one) => panelsAbove(one, building)))],
    circuits,
    loads: [...new Set([...others.map(({ load }) => load), ...loadsOn(circuit, building.loads)])],
  }
}
const voltsOf = ({ voltageV, phases }: Circuit): number => voltageV * rootPhases(phases)

const askedAlone = {
  title: 'Load on the generator',
  symbol: 'S',
  unit: 'kVA',
  source: computed('volts times amps: what its windings carry'),
} as const
const machineInputs = (current: ReturnType<typeof from>) => ({
  I_1: current,
  U_1: input('supply voltage', 'V', dataPlate('circuit')),
  p: input('√3 with three phases, else 1', '', computed('phases of the circuit')),
})
export const askedOfGenerator = calculation({
  ...askedAlone,
  id: 'asked-of-generator',
  expression: 'I_1 * U_1 * p / 1000 + S_o',
  inputs: { ...machineInputs(from(inputCurrent)), S_o: others },
  compute: ({ I_1, U_1, p, S_o }) => (I_1 * U_1 * p) / 1000 + S_o,
})
/** A stuck electrode or a wire that is run into the work takes all that the machine can. */
export const peakOfGenerator = calculation({
  ...askedAlone,
  id: 'peak-of-generator',
  title: 'Peak load on it',
  expression: 'I_1 * U_1 * p / 1000 + S_o',
  inputs: { ...machineInputs(greatestInput), S_o: others },
  compute: ({ I_1, U_1, p, S_o }) => (I_1 * U_1 * p) / 1000 + S_o,
})

/**
 * @param inputA what the machine draws, A
 * @param when while the arc burns, or for a moment
 * @returns kVA of the machine and of everything else that runs there
 */
export function askedOfGeneratorKva(
  { id }: Generator,
  circuit: Circuit,
  building: Building,
  inputA: number,
  when: 'running' | 'peak',
  reckoner: Reckoner = UNTRACED,
): number {
  const S_o = othersKva(id, building, reckoner)
  const given = { I_1: inputA, U_1: circuit.voltageV, p: rootPhases(circuit.phases), S_o }
  return reckoner.compute(when === 'running' ? askedOfGenerator : peakOfGenerator, given)
}

function othersKva(id: string, building: Building, reckoner: Reckoner): number {
  const found = loadsOnGenerator(id, building)
  if (found.length === 0) return reckoner.compute(nothingElse, {})
  return reckoner.compute(othersRunning, {
    I: found.map(({ load }) => load.runningA),
    V: found.map(({ circuit }) => voltsOf(circuit)),
  })
}

const leftForMachine = calculation({
  id: 'left-for-machine',
  title: 'Current that the generator has left for the machine',
  symbol: 'I_g',
  unit: 'A',
  expression: 'max(0, S_g - S_o) * 1000 / (U_1 * p)',
  inputs: {
    S_g: from(generatorRunning),
    S_o: others,
    U_1: input('supply voltage', 'V', dataPlate('circuit')),
    p: input('√3 with three phases, else 1', '', computed('phases of the circuit')),
  },
  compute: ({ S_g, S_o, U_1, p }) => (Math.max(0, S_g - S_o) * 1000) / (U_1 * p),
  source: computed('volts times amps: what its windings carry'),
})
export const leftForMachineFrom = from(leftForMachine)

/** @returns A that a machine may draw beside everything else that runs there */
export function leftForMachineA(
  generator: Generator,
  circuit: Circuit,
  building: Building,
  reckoner: Reckoner,
): number {
  const S_g = generatorRunningKva(generator, reckoner)
  const S_o = othersKva(generator.id, building, reckoner)
  return reckoner.compute(leftForMachine, { S_g, S_o, U_1: circuit.voltageV, p: rootPhases(circuit.phases) })
}

const fuelBurnt = calculation({
  id: 'fuel-burnt',
  title: 'Fuel by the hour at this load',
  symbol: 'F',
  unit: 'L/h',
  expression: 'F_r * (i + (100 - i) * min(1, q)) / 100',
  inputs: {
    F_r: input('at full load', 'L/h', PLATE),
    i: assumed('engineIdleFuelPct'),
    q: input('mean load, of what it gives', '', computed('arc and rest')),
  },
  compute: ({ F_r, i, q }) => (F_r * (i + (100 - i) * Math.min(1, q))) / 100,
  source: computed('straight between idle and full load'),
})

/** @param share mean load, 0 to 1 @returns L/h */
export const fuelLPerH = (fullLPerH: number, share: number, reckoner: Reckoner): number =>
  reckoner.compute(fuelBurnt, { F_r: fullLPerH, q: share })
