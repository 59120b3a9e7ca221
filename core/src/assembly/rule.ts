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
  readonly missing?: string
  /** Made only when somebody opens it. */
  readonly steps?: () => readonly Step[]
  readonly mends?: readonly Mend[]
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

type Rest = Partial<Pick<Judgement, 'steps' | 'mends'>>

export const fits = (says: string, source: Source = PRACTICE, rest: Rest = {}): Judgement => ({
  ...rest,
  verdict: 'fits',
  says,
  source,
})
export const tight = (says: string, source: Source = PRACTICE, rest: Rest = {}): Judgement => ({
  ...rest,
  verdict: 'tight',
  says,
  source,
})
export const short = (says: string, source: Source = PRACTICE, rest: Rest = {}): Judgement => ({
  ...rest,
  verdict: 'short',
  says,
  source,
})
export const notKnown = (missing: string): Judgement => ({
  verdict: 'unknown',
  says: `Not known: ${missing}`,
  source: PRACTICE,
  missing,
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
