/** Words for what stands in equipment records: choices, summaries, stock. */
import {
  type Circuit,
  type Cylinder,
  type PriceOffer,
  type Spool,
  type Supplier,
  type Generator,
  type OtherLoad,
  type Panel,
  ENGLISH,
  type Feeder,
  type Gas,
  type Gun,
  isCandidate,
  isEngineDriven,
  isInShop,
  type Part,
  type RollGroove,
  type PowerSource,
  printQuantity,
  printValue,
  PROCESSES,
  type PathsOf,
  type RecordAt,
  type SetUp,
  spelled,
  type Shelf,
  type Tungsten,
  tungstenCurrentRange,
  type Notation,
  type Welder,
  type Wire,
  WIRE_FORM_WORDS,
  wireCurrentRange,
} from '@brannik/core'

import { printDay } from '../../components/dates.ts'
import { stockWords } from '../../files/stockWords.ts'

export const FAMILY_WORDS = { gmaw: 'MIG', fcaw: 'flux-cored', gtaw: 'TIG', smaw: 'stick' } as const
export const GUN_GAS_WORDS = { co2: 'CO₂', mixed: 'argon mix', argon: 'argon', none: 'no gas' } as const

const words = (kind: string): Readonly<Record<string, string>> => ENGLISH.vocabulary[kind] ?? {}
export const METAL_WORDS = words('metal')
export const GROOVE_WORDS = words('groove')
export const SCALE_WORDS = words('scale')
export const PART_WORDS = words('part')

export type WordedChoice = readonly [value: string, words: string]

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

function feederSummary(feeder: Feeder, notation: Notation): string {
  const wires =
    feeder.wireMinMm !== null && feeder.wireMaxMm !== null
      ? `${printQuantity('diameter', feeder.wireMinMm, notation)} to ${printQuantity('diameter', feeder.wireMaxMm, notation)}`
      : 'wire sizes not given'
  return feeder.feedMaxMmPerMin === null
    ? wires
    : `${wires} · to ${printValue(feeder.feedMaxMmPerMin, 'mm/min', notation)}`
}

function gunSummary(gun: Gun, notation: Notation): string {
  const [first] = gun.ratings
  const kind = gun.drive === 'spool' ? 'spool gun' : gun.drive === 'push-pull' ? 'push-pull gun' : gun.kind
  const rating = first
    ? ` · ${first.currentA} A at ${first.dutyPct} % ${first.gas === 'none' ? 'without gas' : `in ${GUN_GAS_WORDS[first.gas]}`}`
    : ''
  return `${gun.cooling === 'water' ? 'water-cooled' : 'air-cooled'} ${kind}, ${printValue(gun.lengthMm, 'mm length', notation)}${rating}`
}

function partSummary(part: Part, notation: Notation): string {
  const diameter = (valueMm: number) => printQuantity('diameter', valueMm, notation)
  const noun = PART_WORDS[part.kind]
  const grooveWords = ({ form, wireMinMm, wireMaxMm }: RollGroove): string =>
    `${GROOVE_WORDS[form]} ${diameter(wireMinMm)}${wireMinMm === wireMaxMm ? '' : `–${diameter(wireMaxMm)}`}`
  switch (part.kind) {
    case 'drive-roll':
      return `${noun}, ${part.grooves.map(grooveWords).join('; ')}${part.rollSystem ? ` · ${part.rollSystem}` : ''}`
    case 'liner':
      return `${part.material} ${noun}, ${diameter(part.wireMinMm)} to ${diameter(part.wireMaxMm)}, ${printValue(part.lengthMm, 'mm length', notation)}${part.usedFor ? ` · has run ${spelled(METAL_WORDS[part.usedFor] ?? part.usedFor, notation.locale)}` : ' · new'}`
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
      return `${noun} for ${printValue(part.longestMm, 'mm length', notation)}${part.partsClass ? ` · ${part.partsClass}` : ''}`
    case 'flow-meter':
      return `${noun} for ${part.scales.map((scale) => SCALE_WORDS[scale]).join(', ')}${part.heated ? ', heated' : ''}`
  }
}

function wireSummary(wire: Wire, notation: Notation): string {
  const range = wireCurrentRange(wire)
  const runs = range ? ` · ${range.minA} to ${range.maxA} A` : ''
  return `${spelled(METAL_WORDS[wire.metal] ?? wire.metal, notation.locale)} ${WIRE_FORM_WORDS[wire.form]}${wire.spoolMm === null ? '' : `, ${wire.spoolMm} mm spool`}${runs}`
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

export type RecordOfPath = Pick<RecordAt, PathsOf<'building' | 'equipment' | 'stores' | 'people'>>

/** What a thing is, in one line. */
export function summaryOf<P extends keyof RecordOfPath>(
  path: P,
  record: RecordOfPath[P],
  notation: Notation,
): string {
  switch (path) {
    case 'power-sources':
      return sourceSummary(record as PowerSource)
    case 'feeders':
      return feederSummary(record as Feeder, notation)
    case 'guns':
      return gunSummary(record as Gun, notation)
    case 'parts':
      return partSummary(record as Part, notation)
    case 'wires':
      return wireSummary(record as Wire, notation)
    case 'gases':
      return (record as Gas).designation
    case 'circuits':
      return runSummary(record as Circuit)
    case 'panels':
      return runSummary(record as Panel)
    case 'generators':
      return generatorSummary(record as Generator)
    case 'loads':
      return loadSummary(record as OtherLoad)
    case 'cylinders':
      return cylinderSummary(record as Cylinder)
    case 'spools':
      return spoolSummary(record as Spool, notation)
    case 'suppliers':
      return `${(record as Supplier).leadDays} days`
    case 'welders':
      return welderSummary(record as Welder)
    case 'offers':
      return offerSummary(record as PriceOffer, notation)
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

/** What nobody buys as such: its list shows no price. */
const UNPRICED: ReadonlySet<keyof RecordOfPath> = new Set([
  'circuits',
  'panels',
  'loads',
  'cylinders',
  'spools',
  'suppliers',
  'welders',
])
const priceOf = (path: keyof RecordOfPath, record: RecordOfPath[keyof RecordOfPath]): number | null => {
  if (path === 'wires') return (record as Wire).packagePrice
  if (path === 'gases') return (record as Gas).refillPrice
  if (UNPRICED.has(path)) return null
  return (record as PowerSource | Gun | Feeder | Part | Tungsten | PriceOffer).price
}

/** @param amount that is there; null where nobody has counted, or counts */
export function holdingOf(
  path: keyof RecordOfPath,
  record: RecordOfPath[keyof RecordOfPath],
  amount: number | null,
  notation: Notation,
): Holding {
  const price = priceOf(path, record)
  if (isCandidate(record)) return { isHere: false, words: 'to buy', price }
  if (!isInShop(record, amount)) return { isHere: false, words: 'used up', price }
  const plain = UNPRICED.has(path) || path === 'offers' ? '' : 'owned'
  return { isHere: true, words: stockWords(path, amount, notation) ?? plain, price }
}

const welderSummary = (welder: Welder): string =>
  [
    `${welder.startsAt}–${welder.endsAt}`,
    ...(['gmaw', 'fcaw', 'gtaw', 'smaw'] as const).flatMap((one) => (welder[one] ? [FAMILY_WORDS[one]] : [])),
  ].join(' · ')

const cylinderSummary = ({ waterL, fullBar, returnedOn, rentPerDay }: Cylinder): string =>
  [
    returnedOn === null ? null : `returned on ${returnedOn}`,
    waterL === null ? null : `${waterL} L`,
    fullBar === null ? null : `${fullBar} bar`,
    rentPerDay === null ? 'owned' : 'rented',
  ]
    .filter((one) => one !== null)
    .join(', ')
const spoolSummary = ({ tareG, keptAt }: Spool, notation: Notation): string =>
  [
    tareG === null ? 'empty weight not recorded' : `weighs ${printQuantity('mass', tareG, notation)} empty`,
    keptAt,
  ]
    .filter((one) => one !== null)
    .join(', ')
const offerSummary = ({ pricedOn, currency, breakFrom }: PriceOffer, { locale }: Notation): string =>
  `${currency}, of ${printDay(pricedOn, locale)}${breakFrom === null ? '' : `, cheaper from ${breakFrom}`}`
const runSummary = (run: Circuit | Panel): string =>
  `${run.voltageV} V${run.phases === 3 ? ' three-phase' : ''}, breaker ${run.breakerA} A, ${run.conductorSize}`
const generatorSummary = ({ runningW, startingW }: Generator): string =>
  `${runningW} W running${startingW === null ? '' : `, ${startingW} W starting`}`
const loadSummary = ({ runningA, onMin, offMin }: OtherLoad): string =>
  `${runningA} A, ${onMin === null || offMin === null ? 'all day' : `${onMin} min in every ${onMin + offMin}`}`

export function setUpSummary(setUp: SetUp, shelf: Shelf): string {
  const source = shelf.powerSources.find(({ id }) => id === setUp.powerSourceId)?.name ?? 'no power source'
  const wire = shelf.wires.find(({ id }) => id === setUp.wireId)?.name
  return [PROCESSES[setUp.process].workshopWord, source, wire].filter((one) => one !== undefined).join(' · ')
}
