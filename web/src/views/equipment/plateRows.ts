/** The figures of one column of a data plate, in the order in which it is read. */
import { plateFigure } from './forms.ts'

export type PlateFigure = ReturnType<typeof plateFigure>
export interface PlateRow {
  readonly label: string
  readonly figures: readonly PlateFigure[]
}

const row = (label: string, ...keys: readonly string[]): PlateRow => ({
  label,
  figures: keys.map((key) => plateFigure(key)),
})

/** Above the rated points. */
export const OUTPUT_ROWS: readonly PlateRow[] = [
  row('Output, A, min and max', 'outputMinA', 'outputMaxA'),
  row('Open circuit U₀, V', 'openCircuitV'),
]

/** Below them; an engine-driven set has none of it. */
export const INPUT_ROWS: readonly PlateRow[] = [
  row('Input I₁max, I₁eff, A', 'i1MaxA', 'i1EffA'),
  row('or input, kVA', 'inputKva'),
]

/** One rated point, as a plate stacks it. */
export const POINT_FIGURES: readonly PlateFigure[] = ['dutyPct', 'currentA', 'loadV'].map((key) =>
  plateFigure(key, true),
)
