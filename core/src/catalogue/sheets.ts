/** The sheets: which column holds which field, for each kind of thing. A kind is a list of columns and nothing else. */
import {
  CONNECTORS,
  FITTINGS,
  GROOVES,
  GUN_DRIVES,
  HELD,
  LINER_MATERIALS,
  METALS,
  NECKS,
  PART_KINDS,
  type PartKind,
  POLARITY_CHANGES,
  SCALE_GASES,
  SPOOLS_MM,
  START_METHODS,
  SUPPLY_CHANGES,
  TUNGSTEN_TYPES,
  WIRE_FORMS,
  WIRE_GASES,
  WIRE_POSITIONS,
} from '../model/equipment.ts'
import { PLATE_FAMILIES, POLARITIES } from '../reference/processes.ts'
import type { CatalogueList } from './catalogue.ts'
import {
  type Cell,
  gunRatings,
  number,
  oneOf,
  orNothing,
  ratedPoints,
  someOf,
  words,
  yesNo,
} from './cells.ts'

export interface SheetColumn {
  readonly heading: string
  /** Where the field stands in the record; below `presence` where that says no. */
  readonly path: readonly string[]
  readonly cell: Cell
}

/** An object that may be absent: its first column says whether it is there. */
export interface Presence {
  readonly heading: string
  readonly path: readonly string[]
}

export interface Sheet {
  /** The word in the column `kind`. */
  readonly kind: string
  readonly title: string
  readonly list: CatalogueList
  readonly columns: readonly SheetColumn[]
  readonly presences: readonly Presence[]
  /** Fields that every record of the sheet has. */
  readonly fixed: Readonly<Record<string, string>>
}

const at = (heading: string, path: string, cell: Cell): SheetColumn => ({
  heading,
  path: path.split('.'),
  cell,
})
const num = (heading: string, path: string, kind?: Parameters<typeof number>[0]): SheetColumn =>
  at(heading, path, number(kind))
const maybe = (heading: string, path: string, kind?: Parameters<typeof number>[0]): SheetColumn =>
  at(heading, path, orNothing(number(kind)))

const NAMED = [at('id', 'id', words()), at('name', 'name', words())]
const HOLDING = [at('held', 'held', oneOf(HELD)), maybe('price', 'price')]

const feederColumns = (before: string, path: string): SheetColumn[] => [
  maybe(`${before}feed_min_mm_per_min`, `${path}feedMinMmPerMin`, 'wireFeedSpeed'),
  maybe(`${before}feed_max_mm_per_min`, `${path}feedMaxMmPerMin`, 'wireFeedSpeed'),
  maybe(`${before}wire_min_mm`, `${path}wireMinMm`, 'diameter'),
  maybe(`${before}wire_max_mm`, `${path}wireMaxMm`, 'diameter'),
  at(`${before}roll_system`, `${path}rollSystem`, orNothing(words())),
  at(`${before}spools_mm`, `${path}spoolsMm`, someOf(SPOOLS_MM)),
  maybe(`${before}spool_most_g`, `${path}spoolMostG`, 'mass'),
  at(`${before}gun_connector`, `${path}gunConnector`, orNothing(oneOf(CONNECTORS))),
]

/** Columns of the machine, the same in each of its rows. */
export const MACHINE_COLUMNS: readonly SheetColumn[] = [
  ...NAMED,
  ...HOLDING,
  at('supply_change', 'supplyChange', orNothing(oneOf(SUPPLY_CHANGES))),
  maybe('efficiency_pct', 'efficiencyPct'),
  maybe('power_factor', 'powerFactor'),
  maybe('idle_w', 'idleW'),
  maybe('ac_balance_min_pct', 'acBalance.minPct'),
  maybe('ac_balance_max_pct', 'acBalance.maxPct'),
  maybe('ac_frequency_min_hz', 'acFrequency.minHz'),
  maybe('ac_frequency_max_hz', 'acFrequency.maxHz'),
  at('start', 'start', someOf(START_METHODS)),
  maybe('lowest_stable_a', 'lowestStableA'),
  maybe('voltage_steps', 'voltageSteps'),
  ...feederColumns('feeder_', 'feeder.'),
  at('torch_connector', 'torchConnector', orNothing(oneOf(CONNECTORS))),
  at('polarity_change', 'polarityChange', orNothing(oneOf(POLARITY_CHANGES))),
  at('gas_valve', 'gasValve', orNothing(yesNo())),
  at('water_cooler', 'waterCooler', orNothing(yesNo())),
  at('vrd', 'vrd', orNothing(yesNo())),
]

/** Columns of one process of the plate, the same in each row of that process. */
export const PROCESS_COLUMNS: readonly SheetColumn[] = [
  at('process', 'family', oneOf(PLATE_FAMILIES)),
  at('outputs', 'outputs', someOf(['dc', 'ac'])),
  at('pulse', 'pulse', yesNo()),
]

/** Columns of one supply voltage of one process: a row is one column of the data plate. */
export const SUPPLY_COLUMNS: readonly SheetColumn[] = [
  maybe('voltage_v', 'voltageV'),
  at('phases', 'phases', oneOf([1, 3])),
  num('output_min_a', 'outputMinA'),
  num('output_max_a', 'outputMaxA'),
  at('rated_points', 'ratedPoints', ratedPoints()),
  maybe('open_circuit_v', 'openCircuitV'),
  maybe('i1_max_a', 'i1MaxA'),
  maybe('i1_eff_a', 'i1EffA'),
  maybe('input_kva', 'inputKva'),
  maybe('feed_max_on_voltage_mm_per_min', 'feedMaxMmPerMin', 'wireFeedSpeed'),
]
export const PROCESS_NUMBER = 'process_no'

const STOCKED = [...NAMED, ...HOLDING, maybe('stock', 'stock')]
const CLASSED = at('parts_class', 'partsClass', orNothing(words()))

const PART_COLUMNS: Readonly<Record<PartKind, readonly SheetColumn[]>> = {
  'drive-roll': [
    at('groove', 'groove', oneOf(GROOVES)),
    num('wire_mm', 'wireMm', 'diameter'),
    at('roll_system', 'rollSystem', orNothing(words())),
  ],
  liner: [
    at('material', 'material', oneOf(LINER_MATERIALS)),
    num('wire_min_mm', 'wireMinMm', 'diameter'),
    num('wire_max_mm', 'wireMaxMm', 'diameter'),
    num('length_mm', 'lengthMm', 'length'),
    at('used_for', 'usedFor', orNothing(oneOf(METALS))),
  ],
  'contact-tip': [num('wire_mm', 'wireMm', 'diameter'), CLASSED],
  nozzle: [maybe('inside_mm', 'insideMm', 'length'), at('gasless', 'gasless', yesNo()), CLASSED],
  collet: [num('tungsten_mm', 'tungstenMm', 'diameter'), CLASSED],
  'collet-body': [num('tungsten_mm', 'tungstenMm', 'diameter'), at('gas_lens', 'gasLens', yesNo()), CLASSED],
  cup: [num('number', 'number'), at('for_gas_lens', 'forGasLens', yesNo()), CLASSED],
  'back-cap': [num('longest_mm', 'longestMm', 'length'), CLASSED],
  'flow-meter': [
    at('scales', 'scales', someOf(SCALE_GASES)),
    at('fittings', 'fittings', someOf(FITTINGS)),
    at('heated', 'heated', yesNo()),
  ],
}

const PART_TITLES: Readonly<Record<PartKind, string>> = {
  'drive-roll': 'Drive rolls',
  liner: 'Liners',
  'contact-tip': 'Contact tips',
  nozzle: 'Nozzles',
  collet: 'Collets',
  'collet-body': 'Collet bodies',
  cup: 'Cups',
  'back-cap': 'Back caps',
  'flow-meter': 'Flow meters',
}

const sheet = (
  kind: string,
  title: string,
  list: CatalogueList,
  columns: readonly SheetColumn[],
  presences: readonly Presence[] = [],
): Sheet => ({
  kind,
  title,
  list,
  columns,
  presences,
  fixed: {},
})

const FEEDER_PRESENCE: Presence = { heading: 'feeder', path: ['feeder'] }

export const SHEETS: readonly Sheet[] = [
  sheet('power-source', 'Power sources', 'powerSources', MACHINE_COLUMNS, [
    FEEDER_PRESENCE,
    { heading: 'ac_balance', path: ['acBalance'] },
    { heading: 'ac_frequency', path: ['acFrequency'] },
  ]),
  sheet('feeder', 'Wire feeders', 'feeders', [...NAMED, ...HOLDING, ...feederColumns('', '')]),
  sheet(
    'gun-or-torch',
    'Guns and torches',
    'guns',
    [
      ...NAMED,
      ...HOLDING,
      at('gun_or_torch', 'kind', oneOf(['gun', 'torch'])),
      at('drive', 'drive', oneOf(GUN_DRIVES)),
      at('cooling', 'cooling', oneOf(['air', 'water'])),
      num('length_mm', 'lengthMm', 'length'),
      maybe('mass_g', 'massG', 'mass'),
      at('neck', 'neck', orNothing(oneOf(NECKS))),
      at('ratings', 'ratings', gunRatings()),
      at('connector', 'connector', orNothing(oneOf(CONNECTORS))),
      CLASSED,
      ...feederColumns('feeder_', 'feeder.'),
      at('valve', 'valve', orNothing(yesNo())),
    ],
    [FEEDER_PRESENCE],
  ),
  ...PART_KINDS.map((kind): Sheet => ({
    kind,
    title: PART_TITLES[kind],
    list: 'parts',
    columns: [...STOCKED, ...PART_COLUMNS[kind]],
    presences: [],
    fixed: { kind },
  })),
  sheet('wire', 'Wires and rods', 'wires', [
    ...NAMED,
    at('form', 'form', oneOf(WIRE_FORMS)),
    at('classification', 'classification', words()),
    at('metal', 'metal', oneOf(METALS)),
    num('diameter_mm', 'diameterMm', 'diameter'),
    maybe('current_min_a', 'currentMinA'),
    maybe('current_max_a', 'currentMaxA'),
    at('polarity', 'polarity', orNothing(oneOf(POLARITIES))),
    at('positions', 'positions', orNothing(oneOf(WIRE_POSITIONS))),
    at('gas_wanted', 'gasWanted', orNothing(oneOf(WIRE_GASES))),
    at('spool_mm', 'spoolMm', orNothing(oneOf(SPOOLS_MM))),
    maybe('stock_g', 'stockG', 'mass'),
    num('package_g', 'packageG', 'mass'),
    maybe('package_price', 'packagePrice'),
  ]),
  sheet('gas', 'Gases', 'gases', [
    ...NAMED,
    at('designation', 'designation', words()),
    num('argon_pct', 'argonPct'),
    num('co2_pct', 'co2Pct'),
    num('oxygen_pct', 'oxygenPct'),
    num('helium_pct', 'heliumPct'),
    num('full_l', 'fullL', 'gasVolume'),
    maybe('left_l', 'leftL', 'gasVolume'),
    maybe('refill_price', 'refillPrice'),
  ]),
  sheet('tungsten', 'Tungstens', 'tungstens', [
    ...NAMED,
    at('type', 'type', orTungsten()),
    num('diameter_mm', 'diameterMm', 'diameter'),
    num('length_mm', 'lengthMm', 'length'),
    maybe('stock', 'stock'),
    maybe('price', 'price'),
  ]),
]

/** ISO 6848 codes keep their capitals. */
function orTungsten(): Cell {
  const lower = oneOf(TUNGSTEN_TYPES.map((type) => type.toLowerCase()))
  return {
    print: String,
    read(text) {
      const found = TUNGSTEN_TYPES.find((type) => type.toLowerCase() === text.toLowerCase())
      return found === undefined ? lower.read(text) : { ok: true, value: found }
    },
  }
}

/** @returns the headings of a sheet, in order */
export function headingsOf({ kind, columns, presences }: Sheet): readonly string[] {
  const first = ['kind', ...columns.map(({ heading }) => heading), ...presences.map(({ heading }) => heading)]
  return kind === 'power-source'
    ? [...first, PROCESS_NUMBER, ...[...PROCESS_COLUMNS, ...SUPPLY_COLUMNS].map(({ heading }) => heading)]
    : first
}
