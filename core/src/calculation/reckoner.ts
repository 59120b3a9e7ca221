/**
 * Runs calculations: for the number alone, or keeping every step. The code that calls them is the same for both, so
 * the steps are those of the number that is shown.
 */
import { type Assumptions, assumptionSource } from '../assumptions/assume.ts'
import { ASSUMPTIONS, type AssumptionDefinition, type AssumptionKey } from '../assumptions/list.ts'
import type { Source } from '../basis/source.ts'
import type { Calculation, Given, Input, Inputs, ValuesOf } from './calculation.ts'
import type { Step, Term } from './step.ts'

/** What a term is in this case: a wire by its name, a rating by its plate, a room by the unit of what is measured. */
export type Notes = Readonly<
  Record<string, { readonly name?: string; readonly source?: Source; readonly unit?: string }>
>

export interface Reckoner {
  /**
   * @param given a figure for each input that is not always an assumption; the object is used up
   * @param notes made only where steps are kept
   */
  compute<I extends Inputs>(calculation: Calculation<I>, given: Given<I>, notes?: () => Notes): number
  /** Whether each step has to be made for it: what is known already would be missing in the working. */
  readonly keepsSteps?: true
}

/** Puts in what the shop assumes. */
function fill<I extends Inputs>(
  { fixed, open }: Calculation<I>,
  given: Given<I>,
  assumptions: Assumptions,
): ValuesOf<I> {
  const values = given as Record<string, unknown>
  for (const { symbol, key } of fixed) values[symbol] = assumptions[key]
  for (const symbol of open) {
    const value = values[symbol]
    if (typeof value === 'string') values[symbol] = assumptions[value as AssumptionKey]
  }
  return values as ValuesOf<I>
}

/** For what rests on no assumption. */
export const UNTRACED: Reckoner = { compute: ({ compute }, given) => compute(given as never) }

/** For numbers alone. */
export const reckonerFor = (assumptions: Assumptions): Reckoner => ({
  compute: (calculation, given) =>
    calculation.compute(
      calculation.assumesNothing ? (given as never) : fill(calculation, given, assumptions),
    ),
})

function assumedTerm(symbol: string, key: AssumptionKey, assumptions: Assumptions): Term {
  const { name, unit }: AssumptionDefinition = ASSUMPTIONS[key]
  return {
    symbol,
    name,
    value: assumptions[key],
    unit,
    source: assumptionSource(key, assumptions),
    assumption: key,
  }
}

/** A result that somebody asks about. */
export interface Wanted {
  /** Ids of the calculations of which one gave it. */
  readonly calculations: readonly string[]
  readonly value: number | null
}

/** A reckoner that keeps every step, in the order in which they were made. */
export class TracingReckoner implements Reckoner {
  readonly keepsSteps = true
  readonly #assumptions: Assumptions
  /** The weld that is being reckoned; null for what concerns them all. */
  weldId: string | null = null
  readonly #steps: { readonly calculation: Calculation; readonly step: Step }[] = []

  constructor(assumptions: Assumptions) {
    this.#assumptions = assumptions
  }

  compute<I extends Inputs>(calculation: Calculation<I>, given: Given<I>, notes?: () => Notes): number {
    const { id, title, symbol, unit, expression, method = null, source, inputs } = calculation
    const own = notes?.() ?? {}
    const keys = { ...given } as Record<string, unknown>
    const values = fill(calculation, given, this.#assumptions)
    const terms = Object.entries<Input>(inputs).map(([name, description]): Term => {
      const key = description.assumption ?? (typeof keys[name] === 'string' ? keys[name] : undefined)
      if (key !== undefined) return assumedTerm(name, key as AssumptionKey, this.#assumptions)
      return {
        symbol: name,
        name: own[name]?.name ?? description.name,
        value: values[name] as number | readonly number[],
        unit: own[name]?.unit ?? description.unit,
        source: own[name]?.source ?? description.source,
      }
    })
    const value = calculation.compute(values)
    this.#steps.push({
      calculation: calculation as Calculation,
      step: {
        id,
        weldId: this.weldId,
        title,
        expression,
        method,
        terms,
        result: { symbol, value, unit },
        source,
      },
    })
    return value
  }

  /**
   * @param wanted calculations with the result that is asked for; null takes the latest
   * @returns their steps and those that they rest on, in the order in which they were made
   */
  stepsOf(wanted: readonly Wanted[]): readonly Step[] {
    const kept = new Set<number>()
    for (const { calculations, value } of wanted) this.#keep(calculations, value, this.#steps.length, kept)
    return this.#steps.filter((_, index) => kept.has(index)).map(({ step }) => step)
  }

  /** The latest step that gave this value, or the latest at all: values are handed on unchanged. */
  #find(calculations: readonly string[], value: unknown, before: number): number {
    let latest = -1
    for (let index = before - 1; index >= 0; index -= 1) {
      const entry = this.#steps[index]
      if (!entry || !calculations.includes(entry.step.id)) continue
      if (value === null || entry.step.result.value === value) return index
      if (latest < 0) latest = index
    }
    return latest
  }

  #keep(calculations: readonly string[], value: unknown, before: number, kept: Set<number>): void {
    if (Array.isArray(value)) {
      // Of a list every entry has its own steps, as far as they were kept.
      const values = new Set<unknown>(value)
      for (let index = 0; index < before; index += 1) {
        const step = this.#steps[index]?.step
        if (step && calculations.includes(step.id) && values.has(step.result.value))
          this.#keepStep(index, kept)
      }
      return
    }
    const index = this.#find(calculations, value, before)
    if (index >= 0) this.#keepStep(index, kept)
  }

  #keepStep(index: number, kept: Set<number>): void {
    const entry = this.#steps[index]
    if (!entry || kept.has(index)) return
    kept.add(index)
    for (const [symbol, { from = [] }] of Object.entries<Input>(entry.calculation.inputs)) {
      const value = entry.step.terms.find((term) => term.symbol === symbol)?.value ?? null
      if (from.length > 0) this.#keep(from, value, index, kept)
    }
  }
}
