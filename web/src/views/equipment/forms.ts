/** The fields of each kind of record, in the order in which they are read off the thing. A kind is a list; the form draws it. */
import { PART_WORDS, type PartKind, type QuantityKind, ruleBookOf } from '@brannik/core'
import {
  type Choice,
  choicesOf,
  CONNECTOR_WORDS,
  FITTING_WORDS,
  FORM_WORDS,
  GROOVE_WORDS,
  LINER_WORDS,
  METAL_WORDS,
  POLARITY_CHANGE_WORDS,
  SCALE_WORDS,
  START_CHOICE_WORDS,
  SUPPLY_CHANGE_WORDS,
} from './words.ts'

interface Common {
  readonly path: readonly string[]
  readonly label: string
  /** What an empty field means; a field without it must be filled. */
  readonly optional?: string
}
export type FieldSpec = Common &
  (
    | { readonly kind: 'text'; readonly suggests?: readonly string[] }
    | { readonly kind: 'quantity'; readonly quantity: QuantityKind }
    | {
        readonly kind: 'number'
        readonly unit: string
        readonly least: number
        readonly most: number
        readonly decimals: boolean
      }
    | { readonly kind: 'choice'; readonly choices: readonly Choice[] }
    | { readonly kind: 'yes-no' }
    | { readonly kind: 'some'; readonly choices: readonly Choice[]; readonly numeric?: boolean }
  )

export interface FieldGroup {
  readonly title: string
  readonly fields: readonly FieldSpec[]
  /** An object that may be absent: its path, the words for having it, and what it begins with. */
  readonly presence?: {
    readonly path: string
    readonly words: string
    readonly blank: Readonly<Record<string, unknown>>
  }
}

const split = (path: string): string[] => path.split('.')
const text = (path: string, label: string, optional?: string): FieldSpec => ({
  kind: 'text',
  path: split(path),
  label,
  ...(optional === undefined ? {} : { optional }),
})
const quantity = (path: string, label: string, of: QuantityKind, optional?: string): FieldSpec => ({
  kind: 'quantity',
  path: split(path),
  label,
  quantity: of,
  ...(optional === undefined ? {} : { optional }),
})
const number = (
  path: string,
  label: string,
  unit: string,
  [least, most]: readonly [number, number],
  optional?: string,
  decimals = true,
): FieldSpec => ({
  kind: 'number',
  path: split(path),
  label,
  unit,
  least,
  most,
  decimals,
  ...(optional === undefined ? {} : { optional }),
})
const choice = (
  path: string,
  label: string,
  words: Readonly<Record<string, string>>,
  optional?: string,
): FieldSpec => ({
  kind: 'choice',
  path: split(path),
  label,
  choices: choicesOf(words),
  ...(optional === undefined ? {} : { optional }),
})
const yesNo = (path: string, label: string, optional?: string): FieldSpec => ({
  kind: 'yes-no',
  path: split(path),
  label,
  ...(optional === undefined ? {} : { optional }),
})
const some = (
  path: string,
  label: string,
  words: Readonly<Record<string, string>>,
  numeric = false,
): FieldSpec => ({
  kind: 'some',
  path: split(path),
  label,
  choices: choicesOf(words),
  numeric,
})

const NOT_GIVEN = 'not given'
const HELD = choice('held', 'Is it here?', { owned: 'in the shop', candidate: 'to buy' })
const PRICE = number('price', 'Price', '', [0, 1e9], NOT_GIVEN)
const WHAT: FieldGroup = { title: 'What it is', fields: [text('name', 'Name'), HELD, PRICE] }

const feederFields = (before: string): FieldSpec[] => [
  quantity(`${before}feedMinMmPerMin`, 'Slowest wire', 'wireFeedSpeed', NOT_GIVEN),
  quantity(`${before}feedMaxMmPerMin`, 'Fastest wire', 'wireFeedSpeed', NOT_GIVEN),
  quantity(`${before}wireMinMm`, 'Thinnest wire', 'diameter', NOT_GIVEN),
  quantity(`${before}wireMaxMm`, 'Thickest wire', 'diameter', NOT_GIVEN),
  text(`${before}rollSystem`, 'Drive rolls that it takes', NOT_GIVEN),
  quantity(`${before}spoolMostG`, 'Heaviest spool', 'mass', NOT_GIVEN),
  choice(`${before}gunConnector`, 'Gun connector', CONNECTOR_WORDS, NOT_GIVEN),
  some(`${before}spoolsMm`, 'Spools', { 100: '100 mm', 200: '200 mm', 300: '300 mm' }, true),
]

export const BLANK_FEEDER = {
  feedMinMmPerMin: null,
  feedMaxMmPerMin: null,
  wireMinMm: null,
  wireMaxMm: null,
  rollSystem: null,
  spoolsMm: [],
  spoolMostG: null,
  gunConnector: null,
}

/** Above the plate's own tables. */
export const SOURCE_HEAD: readonly FieldGroup[] = [WHAT]
/** Below them, in the plate's order. */
export const SOURCE_REST: readonly FieldGroup[] = [
  {
    title: 'Supply and efficiency',
    fields: [
      choice('supplyChange', 'Supply voltage is changed', SUPPLY_CHANGE_WORDS, NOT_GIVEN),
      number('efficiencyPct', 'Efficiency', '%', [10, 100], NOT_GIVEN),
      number('powerFactor', 'Power factor', '', [0.1, 1], NOT_GIVEN),
      number('idleW', 'Idle power', 'W', [0, 100_000], NOT_GIVEN),
    ],
  },
  {
    title: 'Arc',
    fields: [
      some('start', 'Starts by', START_CHOICE_WORDS),
      number('lowestStableA', 'Lowest stable current', 'A', [0.1, 3000], 'least output'),
      choice('polarityChange', 'Polarity is changed', POLARITY_CHANGE_WORDS, NOT_GIVEN),
      choice('torchConnector', 'Torch connector', CONNECTOR_WORDS, NOT_GIVEN),
      number('voltageSteps', 'Voltage tap steps', '', [2, 60], 'without steps', false),
      yesNo('gasValve', 'Switches the gas', NOT_GIVEN),
      yesNo('waterCooler', 'Water cooler', NOT_GIVEN),
      yesNo('vrd', 'VRD', NOT_GIVEN),
    ],
  },
  {
    title: 'AC balance',
    presence: { path: 'acBalance', words: 'Balance can be set', blank: { minPct: null, maxPct: null } },
    fields: [
      number('acBalance.minPct', 'Least electrode-positive', '%', [0, 100]),
      number('acBalance.maxPct', 'Most electrode-positive', '%', [0, 100]),
    ],
  },
  {
    title: 'AC frequency',
    presence: { path: 'acFrequency', words: 'Frequency can be set', blank: { minHz: null, maxHz: null } },
    fields: [
      number('acFrequency.minHz', 'Lowest', 'Hz', [1, 1000]),
      number('acFrequency.maxHz', 'Highest', 'Hz', [1, 1000]),
    ],
  },
  {
    title: 'Wire feeder',
    presence: { path: 'feeder', words: 'Feeder built in', blank: BLANK_FEEDER },
    fields: feederFields('feeder.'),
  },
]

const STOCK = number('stock', 'In the drawer', 'pcs', [0, 100_000], 'not counted', false)
const CLASS = text('partsClass', 'For guns or torches of class', NOT_GIVEN)
const PART_FIELDS: Readonly<Record<PartKind, readonly FieldSpec[]>> = {
  'drive-roll': [
    choice('groove', 'Groove', GROOVE_WORDS),
    quantity('wireMm', 'Wire', 'diameter'),
    text('rollSystem', 'For drive', NOT_GIVEN),
  ],
  liner: [
    choice('material', 'Made of', LINER_WORDS),
    quantity('wireMinMm', 'Thinnest wire', 'diameter'),
    quantity('wireMaxMm', 'Thickest wire', 'diameter'),
    quantity('lengthMm', 'Length', 'length'),
    choice('usedFor', 'Has run', METAL_WORDS, 'nothing yet'),
  ],
  'contact-tip': [quantity('wireMm', 'Stamped size', 'diameter'), CLASS],
  nozzle: [quantity('insideMm', 'Inside diameter', 'length', NOT_GIVEN), yesNo('gasless', 'Gasless'), CLASS],
  collet: [quantity('tungstenMm', 'Tungsten', 'diameter'), CLASS],
  'collet-body': [quantity('tungstenMm', 'Tungsten', 'diameter'), yesNo('gasLens', 'Gas lens'), CLASS],
  cup: [
    number('number', 'Cup number', '', [2, 24], undefined, false),
    yesNo('forGasLens', 'For a gas lens'),
    CLASS,
  ],
  'back-cap': [quantity('longestMm', 'Longest electrode', 'length'), CLASS],
  'flow-meter': [
    some('scales', 'Scales', SCALE_WORDS),
    some('fittings', 'Fits the valve for', FITTING_WORDS),
    yesNo('heated', 'Heated'),
  ],
}

const FORMS: Readonly<Record<string, readonly FieldGroup[]>> = {
  circuits: [
    {
      title: 'What it is',
      fields: [
        text('name', 'Name'),
        number('voltageV', 'Voltage', 'V', [12, 1000]),
        choice('phases', 'Phases', { 1: 'single-phase', 3: 'three-phase' }),
        number('breakerA', 'Breaker', 'A', [0.1, 3000]),
        {
          kind: 'text',
          path: ['conductorSize'],
          label: 'Cable, as printed on it',
          suggests: ruleBookOf({ ruleBook: 'north-american' }).conductorSizes,
        },
        quantity('lengthMm', 'Length', 'length'),
      ],
    },
  ],
  feeders: [WHAT, { title: 'Feeds', fields: feederFields('') }],
  guns: [
    WHAT,
    {
      title: 'Build',
      fields: [
        choice('kind', 'Kind', { gun: 'gun, feeds wire', torch: 'torch, holds a tungsten' }),
        choice('drive', 'Helps the wire along', {
          none: 'no',
          spool: 'spool on the gun',
          'push-pull': 'push-pull motor',
        }),
        choice('cooling', 'Cooled by', { air: 'air', water: 'water' }),
        quantity('lengthMm', 'Length', 'length'),
        quantity('massG', 'Weight with hose', 'mass', NOT_GIVEN),
        choice('neck', 'Neck', { curved: 'curved', straight: 'straight', flexible: 'flexible' }, NOT_GIVEN),
        choice('connector', 'Connector', CONNECTOR_WORDS, NOT_GIVEN),
        text('partsClass', 'Takes parts of class', NOT_GIVEN),
        yesNo('valve', 'Hand valve for gas', NOT_GIVEN),
      ],
    },
    {
      title: 'Feeder on the gun',
      presence: { path: 'feeder', words: 'It has its own spool', blank: BLANK_FEEDER },
      fields: feederFields('feeder.'),
    },
  ],
  wires: [
    {
      title: 'What it is',
      fields: [
        text('name', 'Name'),
        text('classification', 'AWS or ISO class'),
        choice('form', 'Form', FORM_WORDS),
        choice('metal', 'For', METAL_WORDS),
        quantity('diameterMm', 'Diameter', 'diameter'),
      ],
    },
    {
      title: 'Its own data, where the package gives them',
      fields: [
        number('currentMinA', 'Least current', 'A', [0.1, 3000], 'by the table'),
        number('currentMaxA', 'Most current', 'A', [0.1, 3000], 'by the table'),
        choice('polarity', 'Polarity', { dcep: 'DCEP', dcen: 'DCEN', ac: 'AC' }, 'as usual'),
        choice(
          'positions',
          'Positions',
          { all: 'all', 'flat-horizontal': 'flat and horizontal' },
          'by its class',
        ),
        choice(
          'gasWanted',
          'Made for gas',
          { co2: 'CO₂', mixed: 'argon mix', either: 'either' },
          'by its class',
        ),
      ],
    },
    {
      title: 'Stock',
      fields: [
        choice('spoolMm', 'Spool', { 100: '100 mm', 200: '200 mm', 300: '300 mm' }, 'none, or not known'),
        quantity('stockG', 'On the shelf', 'mass', 'not weighed'),
        quantity('packageG', 'A full package', 'mass'),
        number('packagePrice', 'Price of one', '', [0, 1e9], NOT_GIVEN),
      ],
    },
  ],
  gases: [
    {
      title: 'What it is',
      fields: [
        text('name', 'Name'),
        text('designation', 'ISO 14175 designation'),
        number('argonPct', 'Argon', '%', [0, 100]),
        number('co2Pct', 'CO₂', '%', [0, 100]),
        number('oxygenPct', 'Oxygen', '%', [0, 100]),
        number('heliumPct', 'Helium', '%', [0, 100]),
      ],
    },
    {
      title: 'Stock',
      fields: [
        quantity('fullL', 'A full cylinder', 'gasVolume'),
        quantity('leftL', 'Left', 'gasVolume', 'gauge not read'),
        number('refillPrice', 'Refill', '', [0, 1e9], NOT_GIVEN),
      ],
    },
  ],
  tungstens: [
    {
      title: 'What it is',
      fields: [
        text('name', 'Name'),
        choice('type', 'ISO 6848 type', {
          WP: 'WP, pure',
          WLa15: 'WLa15, lanthanated',
          WLa20: 'WLa20, lanthanated',
          WCe20: 'WCe20, ceriated',
          WZr8: 'WZr8, zirconiated',
          WTh20: 'WTh20, thoriated',
        }),
        quantity('diameterMm', 'Diameter', 'diameter'),
        quantity('lengthMm', 'Length', 'length'),
      ],
    },
    { title: 'Stock', fields: [STOCK, PRICE] },
  ],
}

/** @param partKind of a part */
export const formOf = (path: string, partKind: PartKind | null): readonly FieldGroup[] =>
  partKind === null
    ? (FORMS[path] ?? [])
    : [
        { title: 'What it is', fields: [text('name', 'Name'), HELD, PRICE, STOCK] },
        { title: `This ${PART_WORDS[partKind]}`, fields: PART_FIELDS[partKind] },
      ]

const PLATE_WORDS: Readonly<Record<string, string>> = {
  voltageV: 'supply voltage',
  phases: 'phases',
  outputMinA: 'least output',
  outputMaxA: 'greatest output',
  ratedPoints: 'rated points',
  openCircuitV: 'open-circuit voltage',
  i1MaxA: 'I₁max',
  i1EffA: 'I₁eff',
  inputKva: 'input, kVA',
  feedMaxMmPerMin: 'fastest wire here',
}
const POINT_WORDS: Readonly<Record<string, string>> = {
  currentA: 'current',
  dutyPct: 'duty',
  loadV: 'load voltage',
}

/** A field as the form calls it, from its JSON Pointer. */
export function fieldWords(groups: readonly FieldGroup[], pointer: string): string {
  const steps = pointer.split('/').slice(1)
  const plate = /^\/processes\/(\d+)\/supplies\/(\d+)\/(\w+)(?:\/(\d+)\/(\w+))?/.exec(pointer)
  if (plate) {
    const [, process, column, field = '', point, part = ''] = plate
    const where = `process ${Number(process) + 1}, column ${Number(column) + 1}`
    return point === undefined
      ? `${PLATE_WORDS[field] ?? field} (${where})`
      : `${POINT_WORDS[part] ?? part} of rated point ${Number(point) + 1} (${where})`
  }
  if (steps[0] === 'processes') return 'the processes of the plate'
  if (steps[0] === 'ratings')
    return `${POINT_WORDS[steps[2] ?? ''] ?? 'gas or wave'} of rating ${Number(steps[1]) + 1}`
  const spec = groups.flatMap(({ fields }) => fields).find(({ path }) => path.join('/') === steps.join('/'))
  const presence = groups.find((group) => group.presence?.path === steps[0])?.presence
  return spec?.label ?? presence?.words ?? steps.join(' ')
}
