/** The shape of every rule of compatibility, and the few words that they share. */
import type { Mend, Verdict } from '../model/finding.ts'
import { commonPractice, type Source } from '../model/source.ts'
import { type Step, term } from '../model/working.ts'
import { printQuantity } from '../quantity/index.ts'
import { printValue } from '../quantity/printValue.ts'
import type { Assembly } from './assembly.ts'
import type { Slot } from './slots.ts'

export const RULE_GROUPS = ['source', 'polarity', 'wire-path', 'torch', 'shielding', 'gas-path'] as const
export type RuleGroup = (typeof RULE_GROUPS)[number]

/** What a rule says of an assembly. */
export interface Judgement {
  readonly verdict: Verdict
  /** One sentence, without its full stop. */
  readonly says: string
  readonly source: Source
  /** What is missing, where the verdict is `unknown`. */
  readonly missing?: string | undefined
  /** Made only when somebody opens it. */
  readonly steps?: (() => readonly Step[]) | undefined
  readonly mends?: readonly Mend[] | undefined
}

/** @returns null where the rule does not apply, or where a part that it looks at is not chosen */
export type Judge = (assembly: Assembly) => Judgement | null

export interface Rule {
  readonly id: string
  readonly title: string
  readonly group: RuleGroup
  /** Every place whose part the answer depends on. */
  readonly slots: readonly Slot[]
  readonly judge: Judge
}

const PRACTICE = commonPractice()

interface Rest {
  readonly steps?: Judgement['steps']
  /** With figures to print, what makes them. */
  readonly mends?: readonly Mend[] | (() => readonly Mend[]) | undefined
}

const NOTHING: Rest = {}
/** A sentence, or what makes it. */
type Said = string | (() => string)
const spoken = (said: Said): string => (typeof said === 'string' ? said : said())

/** Thousands of these are made for one list of choices: the sentence and its figures only where somebody reads them. */
class Judged implements Judgement {
  readonly missing: string | undefined = undefined
  readonly verdict: Verdict
  readonly source: Source
  readonly steps: Judgement['steps']
  readonly #mends: Rest['mends']
  readonly #said: Said

  constructor(verdict: Verdict, said: Said, source: Source, { steps, mends }: Rest) {
    this.verdict = verdict
    this.#said = said
    this.source = source
    this.steps = steps
    this.#mends = mends
  }

  get mends(): readonly Mend[] | undefined {
    return typeof this.#mends === 'function' ? this.#mends() : this.#mends
  }

  get says(): string {
    return spoken(this.#said)
  }
}
export const fits = (says: Said, source: Source = PRACTICE, rest: Rest = NOTHING): Judgement =>
  new Judged('fits', says, source, rest)
export const tight = (says: Said, source: Source = PRACTICE, rest: Rest = NOTHING): Judgement =>
  new Judged('tight', says, source, rest)
export const short = (says: Said, source: Source = PRACTICE, rest: Rest = NOTHING): Judgement =>
  new Judged('short', says, source, rest)
/** What would mend it, in words; the screen looks for it on the shelf. */
export const wants = (says: Said): Rest => ({
  mends: () => [{ says: spoken(says) }],
})
export const notKnown = (missing: string): Judgement => ({
  verdict: 'unknown',
  says: `Not known: ${missing}`,
  source: PRACTICE,
  missing,
  steps: undefined,
  mends: undefined,
})

/** Inch and metric names of one size differ by a few hundredths: 0.035 in is 0.889 mm, sold as 0.9. */
export const SAME_SIZE_MM = 0.06
export const isSameSize = (oneMm: number, otherMm: number): boolean =>
  Math.abs(oneMm - otherMm) < SAME_SIZE_MM

export const diameter = ({ shop }: Assembly, valueMm: number): string =>
  printQuantity('diameter', valueMm, shop.unitSystem)
export const print = ({ shop }: Assembly, value: number, unit: string): string =>
  printValue(value, unit, shop.unitSystem)

/** The working of a rule that compares rather than reckons: what was looked at, and what it must be. */
export const compared = (judgement: Judgement, title: string): readonly Step[] =>
  judgement.steps?.() ?? [
    {
      says: title,
      formula: 'rule of the trade or of the standard',
      terms: [term('·', judgement.says, '', '', judgement.source)],
      result: { symbol: '', value: judgement.verdict, unit: '' },
      source: judgement.source,
    },
  ]
