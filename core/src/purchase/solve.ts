/** Runs a program in HiGHS, and hears of better kits and of the bound while it runs. */
import type { CallbackData, Highs, HighsCallbackMap } from 'highs'
import type { Program } from './program.ts'

/** How far it is; the best so far is at most `gap` above what could exist. */
export interface Progress {
  readonly best: number | null
  readonly bound: number
  /** Of the best; null where there is none yet. */
  readonly gap: number | null
  readonly seconds: number
  /** Columns of a better one that was just found; null where only the bound moved. */
  readonly values: Float64Array | null
}

export interface Solved {
  /** Values of the columns; null where nothing was found. */
  readonly values: Float64Array | null
  readonly objective: number
  /** Nothing costs less than this. */
  readonly bound: number
  readonly isProven: boolean
  /** Whether it was shown that nothing meets the rows. */
  readonly isInfeasible: boolean
}

/** Asks for one program to be solved; what runs it may be a thread, or stop. */
export type Solve = (program: Program, told?: (progress: Progress) => void) => Solved

const NOTHING_TO_DO: Solved = {
  values: new Float64Array(0),
  objective: 0,
  bound: 0,
  isProven: true,
  isInfeasible: false,
}
const NOTHING_MEETS: Solved = {
  values: null,
  objective: Infinity,
  bound: 0,
  isProven: false,
  isInfeasible: true,
}
/** Below so many columns a program counts as small. */
const FEW_COLUMNS = 2000
/** What the solver itself takes for a whole number. */
const NEARLY_WHOLE = 1e-6
/** Differences below a cent in millions are none. */
const SAME = 1e-7

type Told = Pick<CallbackData, 'mip_primal_bound' | 'mip_dual_bound' | 'running_time' | 'mip_solution'>

/** @returns how far the solver is, by what it tells: infinite for what it has not found yet */
export function progressOf(told: Told): Progress {
  const found = told.mip_primal_bound ?? Infinity
  const known = told.mip_dual_bound ?? 0
  const best = Number.isFinite(found) ? found : null
  // Nothing costs less than nothing; before anything is solved that is all that is known.
  const bound = Number.isFinite(known) ? Math.max(0, known) : 0
  return {
    best,
    bound,
    gap: best !== null && best > 0 ? Math.max(0, (best - bound) / best) : null,
    seconds: told.running_time ?? 0,
    values: told.mip_solution ?? null,
  }
}

const areWhole = (columns: Program['columns'], values: Float64Array): boolean =>
  columns.every(({ isWhole }, at) => {
    const value = values[at] ?? 0
    return !isWhole || Math.abs(value - Math.round(value)) <= NEARLY_WHOLE
  })

/**
 * @param highs the solver, loaded by whoever has it
 * @param seconds after which the best so far is taken
 */
export const solveWith =
  (highs: Highs, seconds: number): Solve =>
  ({ columns, rows, isMostlyWhole = false }, told) => {
    if (columns.length === 0) return NOTHING_TO_DO
    const starts = [0]
    const indices: number[] = []
    const values: number[] = []
    for (const { terms } of rows) {
      for (const [column, value] of terms) {
        indices.push(column)
        values.push(value)
      }
      starts.push(indices.length)
    }
    const { infinity, constants } = highs
    const bounded = (value: number): number => (Number.isFinite(value) ? value : Math.sign(value) * infinity)
    return highs.withModel((model) => {
      model.options.set({
        log_to_console: false,
        time_limit: seconds,
        mip_rel_gap: 0,
        mip_abs_gap: 1e-6,
        // A small one is solved sooner than it is looked through.
        presolve: columns.length < FEW_COLUMNS ? 'off' : 'choose',
      })
      const pass = (withFractions: boolean): void => {
        const { integer, continuous } = constants.variableType
        model.passModel({
          numCols: columns.length,
          numRows: rows.length,
          colCost: columns.map(({ cost }) => cost),
          colLower: columns.map(() => 0),
          colUpper: columns.map(({ most }) => most),
          rowLower: rows.map(({ least }) => bounded(least)),
          rowUpper: rows.map(({ most }) => bounded(most)),
          integrality: columns.map(({ isWhole }) => (isWhole && !withFractions ? integer : continuous)),
          matrix: { format: 'csr', numCols: columns.length, numRows: rows.length, starts, indices, values },
        })
      }
      const { optimal, infeasible } = constants.modelStatus
      if (isMostlyWhole) {
        pass(true)
        const { modelStatus } = model.run({})
        // What nothing meets with fractions, nothing meets without.
        if (modelStatus === infeasible) return NOTHING_MEETS
        const { colValue } = model.getSolution()
        if (modelStatus === optimal && areWhole(columns, colValue)) {
          const objective = model.getObjectiveValue()
          return { values: colValue, objective, bound: objective, isProven: true, isInfeasible: false }
        }
      }
      pass(false)
      const tells = ({ data }: { readonly data: CallbackData }): undefined => {
        told?.(progressOf(data))
      }
      const callbacks: HighsCallbackMap = {
        [constants.callbackType.mipImprovingSolution]: tells,
        [constants.callbackType.mipLogging]: tells,
      }
      const { modelStatus } = model.run(told ? callbacks : {})
      if (modelStatus === infeasible) return NOTHING_MEETS
      const objective = model.getObjectiveValue()
      const isProven = modelStatus === optimal
      const found = model.getSolution().colValue
      const dual = Number(model.info.get('mip_dual_bound'))
      const bound = isProven ? objective : dual
      return {
        values: Number.isFinite(objective) ? found : null,
        objective,
        bound: Number.isFinite(bound) ? bound : 0,
        isProven: isProven || Math.abs(objective - bound) <= SAME * Math.abs(objective),
        isInfeasible: false,
      }
    })
  }
