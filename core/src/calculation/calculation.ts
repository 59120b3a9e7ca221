/**
 * One calculation: what it finds, the formula as it is shown, and the same formula as code. A test evaluates the shown
 * formula of every one against its code, so that a working cannot tell another story than the number.
 */
import { ASSUMPTIONS, type AssumptionDefinition, type AssumptionKey } from '../assumptions/list.ts'
import { computed, type Source } from '../basis/source.ts'

/** What goes into a calculation. */
export interface Input {
  readonly name: string
  readonly unit: string
  readonly source: Source
  /** Always this assumption: whoever calculates need not give it. */
  readonly assumption?: AssumptionKey
  /** May be given as the key of an assumption instead of a figure. */
  readonly takesAssumption?: boolean
  /** A list of figures, one for each weld, layer or the like. */
  readonly isList?: boolean
  /** Ids of the calculations of which one gives this input. */
  readonly from?: readonly string[]
}

export type Inputs = Readonly<Record<string, Input>>

export type ValuesOf<I extends Inputs> = {
  readonly [S in keyof I]: I[S] extends { readonly isList: true } ? readonly number[] : number
}

/** What whoever calculates has to give: every input that is not always the same assumption. */
export type Given<I extends Inputs> = {
  [S in keyof I as I[S] extends { readonly assumption: AssumptionKey } ? never : S]: I[S] extends {
    readonly isList: true
  }
    ? readonly number[]
    : I[S] extends { readonly takesAssumption: true }
      ? number | AssumptionKey
      : number
}

// eslint-disable-next-line @typescript-eslint/no-explicit-any -- a list of calculations has inputs of every shape
export interface Calculation<I extends Inputs = any> {
  readonly id: string
  /** What it finds, in plain words. */
  readonly title: string
  readonly symbol: string
  /** An inside unit, or a plain word. */
  readonly unit: string
  /** The formula over the symbols of the inputs, in the syntax of mathjs. */
  readonly expression: string
  /** Set where no formula finds it: the table or the search that does. `expression` then names what was found. */
  readonly method?: string
  readonly inputs: I
  readonly compute: (values: ValuesOf<I>) => number
  readonly source: Source
  /** Symbols that are always an assumption, with its key. */
  readonly fixed: readonly { readonly symbol: string; readonly key: AssumptionKey }[]
  /** Symbols that may be given as the key of an assumption. */
  readonly open: readonly string[]
  /** Whether both are empty. */
  readonly assumesNothing: boolean
}

const all = new Map<string, Calculation>()

/** Every calculation that has been defined, by its id: what the tests walk. */
export const everyCalculation = (): ReadonlyMap<string, Calculation> => all

/**
 * Defines a calculation.
 * @throws RangeError where the id is taken
 * @example
 * const arcTimeByRate = calculation({
 *   id: 'arc-time-by-rate', title: 'Arc time', symbol: 'τ', unit: 's', expression: '60 * m / r',
 *   inputs: { m: from(weldMetal), r: from(depositionRate) },
 *   compute: ({ m, r }) => (60 * m) / r,
 *   source: computed('mass over rate'),
 * })
 */
export function calculation<const I extends Inputs>(
  definition: Omit<Calculation<I>, 'fixed' | 'open' | 'assumesNothing'>,
): Calculation<I> {
  if (all.has(definition.id)) throw new RangeError(`there are two calculations ${definition.id}`)
  const entries = Object.entries(definition.inputs)
  const fixed = entries.flatMap(([symbol, { assumption }]) =>
    assumption ? [{ symbol, key: assumption }] : [],
  )
  const open = entries.flatMap(([symbol, { takesAssumption }]) => (takesAssumption ? [symbol] : []))
  const assumesNothing = fixed.length + open.length === 0
  const made: Calculation<I> = { ...definition, fixed, open, assumesNothing }
  all.set(definition.id, made)
  return made
}

/**
 * A figure that was entered, read off a plate, or found in a table.
 * @param made ids of the calculations that give it, where a layer above makes it
 */
export const input = (name: string, unit: string, source: Source, ...made: readonly string[]) => ({
  name,
  unit,
  source,
  from: made,
})

/** A figure of the plate where it gives one, else an assumption. */
export const inputOrAssumed = (name: string, unit: string, source: Source) => ({
  name,
  unit,
  source,
  takesAssumption: true as const,
})

/** A list of figures. */
export const listOf = (name: string, unit: string, source: Source, ...made: readonly string[]) => ({
  name,
  unit,
  source,
  isList: true as const,
  from: made,
})

/** What another calculation has found; where several can, whichever was made. */
export const from = (first: Calculation, ...others: readonly Calculation[]) => ({
  name: first.title.toLowerCase(),
  unit: first.unit,
  source: computed(),
  from: [first, ...others].map(({ id }) => id),
})

/** An assumption that the shop may change. */
export const assumed = <K extends AssumptionKey>(key: K) => {
  const { name, unit, source }: AssumptionDefinition = ASSUMPTIONS[key]
  return { name, unit, source, assumption: key }
}
