/** The kinds of quantity that a field can hold: which units it takes, what a bare number means, what is possible. */
import {
  CUBIC_FEET_PER_HOUR,
  CUBIC_FOOT,
  FLOW_SPELLINGS,
  FOOT,
  INCH,
  INCH_PER_MINUTE,
  LENGTH_SPELLINGS,
  LITRE,
  LITRE_PER_MINUTE,
  MASS_SPELLINGS,
  METRE,
  METRE_PER_MINUTE,
  MILLIMETRE,
  CM_PER_MINUTE,
  POUND,
  KILOGRAM,
  SPEED_SPELLINGS,
  type Spellings,
  type Unit,
  type UnitSystem,
  VOLUME_SPELLINGS,
} from './units.ts'

export type QuantityKind =
  | 'thickness'
  | 'weldSize'
  | 'length'
  | 'run'
  | 'diameter'
  | 'wireFeedSpeed'
  | 'travelSpeed'
  | 'gasFlow'
  | 'mass'
  | 'gasVolume'
  | 'cylinder'

export interface KindOfQuantity {
  /** The workshop's noun, for messages. */
  readonly noun: string
  readonly spellings: Spellings
  /** What a bare number means, by the shop's unit setting. */
  readonly bare: Readonly<Record<UnitSystem, Unit>>
  /** Possible values in the inside unit; outside them the text is refused, not clipped. */
  readonly least: number
  readonly most: number
  readonly example: Readonly<Record<UnitSystem, string>>
  /** Whether a sheet gauge is a way to write it. */
  readonly gauge: boolean
  /**
   * A bare whole number from here on is refused in the imperial setting: "5" for a thickness is
   * far more often 5 mm or 5 ga than 5 in, and guessing would be a silent error of a factor of five or more.
   */
  readonly bareWholeInchesBelow?: number
  /** Written with fractions of an inch on drawings. */
  readonly fractions: boolean
  /** Decimals that survive printing, by system. */
  readonly decimals: Readonly<Record<UnitSystem, number>>
}

const INCH_OR_MM = { imperial: INCH, metric: MILLIMETRE }

export const KINDS: Readonly<Record<QuantityKind, KindOfQuantity>> = {
  thickness: {
    noun: 'thickness',
    spellings: LENGTH_SPELLINGS,
    bare: INCH_OR_MM,
    least: 0.1,
    most: 300,
    example: { imperial: '1/4 in or 16 ga', metric: '6 mm or 16 ga' },
    gauge: true,
    bareWholeInchesBelow: 2,
    fractions: true,
    decimals: { imperial: 4, metric: 3 },
  },
  weldSize: {
    noun: 'weld size',
    spellings: LENGTH_SPELLINGS,
    bare: INCH_OR_MM,
    least: 0,
    most: 100,
    example: { imperial: '3/16 in', metric: '5 mm' },
    gauge: false,
    bareWholeInchesBelow: 2,
    fractions: true,
    decimals: { imperial: 4, metric: 3 },
  },
  length: {
    noun: 'length',
    spellings: LENGTH_SPELLINGS,
    bare: INCH_OR_MM,
    least: 0.5,
    most: 1_000_000,
    example: { imperial: '18 in or 4 ft', metric: '450 mm or 1.2 m' },
    gauge: false,
    fractions: true,
    decimals: { imperial: 3, metric: 1 },
  },
  // Nobody measures a cable in inches: a bare 25 is 25 ft, or 25 m.
  run: {
    noun: 'length of a cable',
    spellings: LENGTH_SPELLINGS,
    bare: { imperial: FOOT, metric: METRE },
    least: 0.5,
    most: 1_000_000,
    example: { imperial: '25 ft', metric: '7.5 m' },
    gauge: false,
    fractions: false,
    decimals: { imperial: 3, metric: 3 },
  },
  diameter: {
    noun: 'diameter',
    spellings: LENGTH_SPELLINGS,
    bare: INCH_OR_MM,
    least: 0.3,
    most: 10,
    example: { imperial: '0.035 in', metric: '0.9 mm' },
    gauge: false,
    bareWholeInchesBelow: 0,
    fractions: true,
    decimals: { imperial: 3, metric: 1 },
  },
  wireFeedSpeed: {
    noun: 'wire feed speed',
    spellings: SPEED_SPELLINGS,
    bare: { imperial: INCH_PER_MINUTE, metric: METRE_PER_MINUTE },
    least: 100,
    most: 40_000,
    example: { imperial: '280 in/min', metric: '7.1 m/min' },
    gauge: false,
    fractions: false,
    decimals: { imperial: 0, metric: 1 },
  },
  travelSpeed: {
    noun: 'travel speed',
    spellings: SPEED_SPELLINGS,
    bare: { imperial: INCH_PER_MINUTE, metric: CM_PER_MINUTE },
    least: 5,
    most: 5_000,
    example: { imperial: '12 in/min', metric: '30 cm/min' },
    gauge: false,
    fractions: false,
    decimals: { imperial: 1, metric: 1 },
  },
  gasFlow: {
    noun: 'gas flow',
    spellings: FLOW_SPELLINGS,
    bare: { imperial: CUBIC_FEET_PER_HOUR, metric: LITRE_PER_MINUTE },
    least: 1,
    most: 50,
    example: { imperial: '30 CFH', metric: '14 L/min' },
    gauge: false,
    fractions: false,
    decimals: { imperial: 0, metric: 1 },
  },
  mass: {
    noun: 'mass',
    spellings: MASS_SPELLINGS,
    bare: { imperial: POUND, metric: KILOGRAM },
    least: 0,
    most: 10_000_000,
    example: { imperial: '11 lb', metric: '5 kg' },
    gauge: false,
    fractions: false,
    decimals: { imperial: 2, metric: 2 },
  },
  gasVolume: {
    noun: 'gas volume',
    spellings: VOLUME_SPELLINGS,
    bare: { imperial: CUBIC_FOOT, metric: LITRE },
    least: 0,
    most: 1_000_000,
    example: { imperial: '125 ft³', metric: '3500 L' },
    gauge: false,
    fractions: false,
    decimals: { imperial: 0, metric: 0 },
  },
  // Free gas, which is 200 times the room in it: `50 L` alone is the size of the cylinder.
  cylinder: {
    noun: 'gas in a full cylinder',
    spellings: VOLUME_SPELLINGS,
    bare: { imperial: CUBIC_FOOT, metric: LITRE },
    least: 100,
    most: 1_000_000,
    example: { imperial: '125 ft³', metric: '50 L, 200 bar or 10 m³' },
    gauge: false,
    fractions: false,
    decimals: { imperial: 0, metric: 0 },
  },
}
