/** Words for what stands in equipment records: choices, summaries, stock. */
import {
  type Circuit,
  CONNECTOR_WORDS,
  CONNECTORS,
  type Feeder,
  type Gas,
  GROOVE_WORDS,
  type Gun,
  isCandidate,
  isEngineDriven,
  isInShop,
  type Part,
  PART_WORDS,
  type PowerSource,
  printQuantity,
  printValue,
  PROCESSES,
  SCALE_WORDS,
  type SetUp,
  type Shelf,
  type Slot,
  type Tungsten,
  tungstenCurrentRange,
  type UnitSystem,
  type Wire,
  wireCurrentRange,
} from '@brannik/core'

export const FAMILY_WORDS = { gmaw: 'MIG', fcaw: 'flux-cored', gtaw: 'TIG', smaw: 'stick' } as const
export const METAL_WORDS = {
  'carbon-steel': 'carbon steel',
  stainless: 'stainless',
  aluminium: 'aluminium',
} as const
export const FORM_WORDS = {
  solid: 'solid wire',
  'cored-self-shielded': 'self-shielded cored wire',
  'cored-gas-shielded': 'gas-shielded cored wire',
  rod: 'rod',
} as const
export const START_CHOICE_WORDS = {
  'high-frequency': 'high frequency',
  lift: 'lift',
  scratch: 'scratch',
} as const
export const SUPPLY_CHANGE_WORDS = {
  fixed: 'one voltage',
  plug: 'by plug',
  links: 'by links inside',
  automatic: 'by itself',
} as const
export const POLARITY_CHANGE_WORDS = {
  leads: 'by the leads',
  plug: 'by a plug',
  automatic: 'by itself',
  'fixed-dcep': 'wired for DCEP',
  'fixed-dcen': 'wired for DCEN',
} as const
export const GUN_GAS_WORDS = { co2: 'CO₂', mixed: 'argon mix', argon: 'argon', none: 'no gas' } as const
export const LINER_WORDS = { steel: 'steel', polymer: 'polymer (PTFE, nylon)', graphite: 'graphite' } as const
export const FITTING_WORDS = { inert: 'argon and mixes', co2: 'CO₂' } as const
export { CONNECTOR_WORDS, CONNECTORS, GROOVE_WORDS, SCALE_WORDS }

export type Choice = readonly [value: string, words: string]
export const choicesOf = (words: Readonly<Record<string, string>>): readonly Choice[] => Object.entries(words)

const unique = (list: readonly string[]): string => [...new Set(list)].join(', ')

function sourceSummary(source: PowerSource): string {
  const supplies = source.processes.flatMap((process) => process.supplies)
  const volts = isEngineDriven(source)
    ? 'engine-driven'
    : `${[...new Set(supplies.map(({ voltageV }) => `${voltageV}`))].join('/')} V${supplies.some(({ phases }) => phases === 3) ? ' three-phase' : ''}`
  const best = supplies
    .flatMap(({ ratedPoints }) => ratedPoints)
    .reduce((most, next) => (next.currentA > most.currentA ? next : most))
  const waves = source.processes.some(({ outputs }) => outputs.includes('ac')) ? ' AC/DC' : ''
  return `${unique(source.processes.map(({ family }) => FAMILY_WORDS[family]))}${waves} · ${volts} · ${best.currentA} A at ${best.dutyPct} %`
}

function feederSummary(feeder: Feeder, system: UnitSystem): string {
  const wires =
    feeder.wireMinMm !== null && feeder.wireMaxMm !== null
      ? `${printQuantity('diameter', feeder.wireMinMm, system)} to ${printQuantity('diameter', feeder.wireMaxMm, system)}`
      : 'wire sizes not given'
  return feeder.feedMaxMmPerMin === null
    ? wires
    : `${wires} · to ${printValue(feeder.feedMaxMmPerMin, 'mm/min', system)}`
}

function gunSummary(gun: Gun, system: UnitSystem): string {
  const [first] = gun.ratings
  const kind = gun.drive === 'spool' ? 'spool gun' : gun.drive === 'push-pull' ? 'push-pull gun' : gun.kind
  const rating = first
    ? ` · ${first.currentA} A at ${first.dutyPct} % ${first.gas === 'none' ? 'without gas' : `in ${GUN_GAS_WORDS[first.gas]}`}`
    : ''
  return `${gun.cooling === 'water' ? 'water-cooled' : 'air-cooled'} ${kind}, ${printValue(gun.lengthMm, 'mm length', system)}${rating}`
}

function partSummary(part: Part, system: UnitSystem): string {
  const diameter = (valueMm: number) => printQuantity('diameter', valueMm, system)
  const noun = PART_WORDS[part.kind]
  switch (part.kind) {
    case 'drive-roll':
      return `${noun}, ${GROOVE_WORDS[part.groove]}, ${diameter(part.wireMm)}${part.rollSystem ? ` · ${part.rollSystem}` : ''}`
    case 'liner':
      return `${part.material} ${noun}, ${diameter(part.wireMinMm)} to ${diameter(part.wireMaxMm)}, ${printValue(part.lengthMm, 'mm length', system)}${part.usedFor ? ` · has run ${METAL_WORDS[part.usedFor]}` : ' · new'}`
    case 'contact-tip':
      return `${noun} ${diameter(part.wireMm)}${part.partsClass ? ` · ${part.partsClass}` : ''}`
    case 'nozzle':
      return `${part.gasless ? 'gasless' : 'gas'} ${noun}${part.partsClass ? ` · ${part.partsClass}` : ''}`
    case 'collet':
      return `${noun} ${diameter(part.tungstenMm)}${part.partsClass ? ` · ${part.partsClass}` : ''}`
    case 'collet-body':
      return `${part.gasLens ? 'gas lens' : noun} ${diameter(part.tungstenMm)}${part.partsClass ? ` · ${part.partsClass}` : ''}`
    case 'cup':
      return `${noun} ${part.number}${part.forGasLens ? ' for gas lens' : ''}${part.partsClass ? ` · ${part.partsClass}` : ''}`
    case 'back-cap':
      return `${noun} for ${printValue(part.longestMm, 'mm length', system)}${part.partsClass ? ` · ${part.partsClass}` : ''}`
    case 'flow-meter':
      return `${noun} for ${part.scales.map((scale) => SCALE_WORDS[scale]).join(', ')}${part.heated ? ', heated' : ''}`
  }
}

function wireSummary(wire: Wire): string {
  const range = wireCurrentRange(wire)
  const runs = range ? ` · ${range.minA} to ${range.maxA} A` : ''
  return `${METAL_WORDS[wire.metal]} ${FORM_WORDS[wire.form]}${wire.spoolMm === null ? '' : `, ${wire.spoolMm} mm spool`}${runs}`
}

function tungstenSummary(tungsten: Tungsten): string {
  const dc = tungstenCurrentRange(tungsten.diameterMm, 'dcen')
  const ac = tungstenCurrentRange(tungsten.diameterMm, 'ac')
  return [
    tungsten.type,
    dc ? `DC ${dc.minA} to ${dc.maxA} A` : null,
    ac ? `AC ${ac.minA} to ${ac.maxA} A` : null,
  ]
    .filter((one) => one !== null)
    .join(' · ')
}

export interface RecordOfPath {
  circuits: Circuit
  'power-sources': PowerSource
  feeders: Feeder
  guns: Gun
  parts: Part
  wires: Wire
  gases: Gas
  tungstens: Tungsten
}

/** Where what stands in a place of a set-up is listed. */
export const SLOT_PATHS: Readonly<Record<Slot, keyof RecordOfPath>> = {
  circuit: 'circuits',
  powerSource: 'power-sources',
  feeder: 'feeders',
  gun: 'guns',
  wire: 'wires',
  gas: 'gases',
  tungsten: 'tungstens',
  roll: 'parts',
  liner: 'parts',
  tip: 'parts',
  nozzle: 'parts',
  collet: 'parts',
  colletBody: 'parts',
  cup: 'parts',
  backCap: 'parts',
  flowMeter: 'parts',
}

/** What a thing is, in one line. */
export function summaryOf<P extends keyof RecordOfPath>(
  path: P,
  record: RecordOfPath[P],
  system: UnitSystem,
): string {
  switch (path) {
    case 'power-sources':
      return sourceSummary(record as PowerSource)
    case 'feeders':
      return feederSummary(record as Feeder, system)
    case 'guns':
      return gunSummary(record as Gun, system)
    case 'parts':
      return partSummary(record as Part, system)
    case 'wires':
      return wireSummary(record as Wire)
    case 'gases':
      return (record as Gas).designation
    case 'circuits':
      return circuitSummary(record as Circuit)
    default:
      return tungstenSummary(record as Tungsten)
  }
}

/** What is there of it, and whether it is in the shop at all. */
export interface Holding {
  readonly isHere: boolean
  readonly words: string
  readonly price: number | null
}

/** How much is left; null for what is not used up. */
function stockWords(
  path: keyof RecordOfPath,
  record: RecordOfPath[keyof RecordOfPath],
  system: UnitSystem,
): string | null {
  if (path === 'wires') {
    const { stockG } = record as Wire
    return stockG === null ? 'not weighed' : printValue(stockG, 'g', system)
  }
  if (path === 'gases') {
    const { leftL } = record as Gas
    return leftL === null ? 'gauge not read' : printValue(leftL, 'L', system)
  }
  if (path === 'tungstens' || path === 'parts') {
    const { stock } = record as Tungsten | Part
    return stock === null ? 'not counted' : `${stock} pcs`
  }
  return null
}

const priceOf = (path: keyof RecordOfPath, record: RecordOfPath[keyof RecordOfPath]): number | null => {
  if (path === 'wires') return (record as Wire).packagePrice
  if (path === 'gases') return (record as Gas).refillPrice
  if (path === 'circuits') return null
  return (record as PowerSource | Gun | Feeder | Part | Tungsten).price
}

export function holdingOf(
  path: keyof RecordOfPath,
  record: RecordOfPath[keyof RecordOfPath],
  system: UnitSystem,
): Holding {
  const price = priceOf(path, record)
  if (isCandidate(record)) return { isHere: false, words: 'to buy', price }
  if (!isInShop(record)) return { isHere: false, words: 'used up', price }
  const plain = path === 'circuits' ? '' : 'in the shop'
  return { isHere: true, words: stockWords(path, record, system) ?? plain, price }
}

const circuitSummary = (circuit: Circuit): string =>
  `${circuit.voltageV} V${circuit.phases === 3 ? ' three-phase' : ''}, breaker ${circuit.breakerA} A, ${circuit.conductorSize}`

export function setUpSummary(setUp: SetUp, shelf: Shelf): string {
  const source = shelf.powerSources.find(({ id }) => id === setUp.powerSourceId)?.name ?? 'no power source'
  const wire = shelf.wires.find(({ id }) => id === setUp.wireId)?.name
  return [PROCESSES[setUp.process].workshopWord, source, wire].filter((one) => one !== undefined).join(' · ')
}
