/** The figures of one column of a data plate, in the order in which it is read. */
import type { SupplyRating } from '@brannik/core'

export interface PlateFigure {
  readonly key: keyof SupplyRating & string
  /** As in "Least output at 240 V". */
  readonly says: string
  readonly least: number
  readonly most: number
  readonly unit: string
  /** What empty means; without it the figure must be given. */
  readonly optional?: string
}
export interface PlateRow {
  readonly label: string
  readonly figures: readonly PlateFigure[]
}

const NOT_GIVEN = 'not given'
const amps = (key: PlateFigure['key'], says: string, optional?: string): PlateFigure => ({
  key,
  says,
  least: 0.1,
  most: 3000,
  unit: 'A',
  ...(optional === undefined ? {} : { optional }),
})

/** Above the rated points. */
export const OUTPUT_ROWS: readonly PlateRow[] = [
  {
    label: 'Output, A, least and most',
    figures: [amps('outputMinA', 'Least output'), amps('outputMaxA', 'Greatest output')],
  },
  {
    label: 'Open circuit U₀, V',
    figures: [
      {
        key: 'openCircuitV',
        says: 'Open-circuit voltage',
        least: 1,
        most: 200,
        unit: 'V',
        optional: NOT_GIVEN,
      },
    ],
  },
]

/** Below them; an engine-driven set has none of it. */
export const INPUT_ROWS: readonly PlateRow[] = [
  {
    label: 'Input I₁max, I₁eff, A',
    figures: [amps('i1MaxA', 'I₁max', NOT_GIVEN), amps('i1EffA', 'I₁eff', NOT_GIVEN)],
  },
  {
    label: 'or input, kVA',
    figures: [
      { key: 'inputKva', says: 'Input power', least: 0.1, most: 500, unit: 'kVA', optional: NOT_GIVEN },
    ],
  },
]

export interface PointFigure {
  readonly key: keyof SupplyRating['ratedPoints'][number]
  readonly says: string
  readonly least: number
  readonly most: number
  readonly unit: string
  readonly optional?: string
}
/** One rated point, as a plate stacks it. */
export const POINT_FIGURES: readonly PointFigure[] = [
  { key: 'dutyPct', says: 'Duty', least: 1, most: 100, unit: '%' },
  { key: 'currentA', says: 'Current', least: 0.1, most: 3000, unit: 'A' },
  { key: 'loadV', says: 'Load voltage', least: 12, most: 1000, unit: 'V', optional: 'by rule' },
]
