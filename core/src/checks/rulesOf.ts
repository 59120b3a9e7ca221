/** Some groups of the compatibility rules as one check: the worst rule decides, each stands in the working. */
import { byWorst, judgeGroup, missingSlots, type RuleFinding, worstOf } from '../assembly/judge.ts'
import { compared, type RuleGroup } from '../assembly/rule.ts'
import { type Slot, slotWords } from '../assembly/slots.ts'
import type { FitContext } from '../fit/context.ts'
import { type Finding, VERDICT_RANK } from '../model/finding.ts'
import { sourceWords } from '../model/source.ts'
import type { Check, CheckName } from './check.ts'

interface Group {
  readonly name: CheckName
  readonly groups: readonly RuleGroup[]
  /** Places of the set-up that belong here: an empty one that is needed makes the check unknown. */
  readonly slots: readonly Slot[]
  /** Rules that another check has already. */
  readonly without?: readonly string[]
  /** The sentence where nothing is wrong. */
  readonly wellSaid: (context: FitContext) => string
}

const sentence = (text: string): string => (/[.!?]$/.test(text) ? text : `${text}.`)

function finding(
  context: FitContext,
  name: CheckName,
  looked: readonly RuleFinding[],
  wellSaid: string,
): Finding {
  const ranked = byWorst(looked)
  const broken = ranked.filter(({ judgement }) => judgement.verdict !== 'fits')
  const first = broken[0]
  return {
    check: name.check,
    title: name.title,
    verdict: worstOf(looked),
    says: first ? broken.map(({ judgement }) => sentence(judgement.says)).join(' ') : wellSaid,
    jointId: null,
    demand: null,
    capacity: first ? first.rule.title : looked.length === 1 ? '1 rule met' : `${looked.length} rules met`,
    marginPct: null,
    missing:
      first?.judgement.verdict === 'unknown' ? (first.judgement.missing ?? first.judgement.says) : null,
    restsOn: first ? sourceWords(first.judgement.source) : 'data plate, practice',
    // Read when somebody opens it: a fit would spend more on these than on the rules.
    get working() {
      return ranked.flatMap(({ rule, judgement }) => compared(judgement, rule.title))
    },
    mends: context.wantsMends ? broken.flatMap(({ judgement }) => judgement.mends ?? []) : [],
  }
}

export const rulesOf =
  ({ name, groups, slots, without = [], wellSaid }: Group): Check =>
  (context) => {
    const looked = groups
      .flatMap((group) => judgeGroup(group, context.assembly))
      .filter(({ rule }) => !without.includes(rule.id))
    const missing = missingSlots(context.assembly).filter((slot) => slots.includes(slot))
    if (looked.length === 0 && missing.length === 0) return null
    const found = finding(context, name, looked, wellSaid(context))
    if (missing.length === 0 || VERDICT_RANK[found.verdict] > VERDICT_RANK.unknown) return found
    const words = missing.map((slot) => slotWords(slot, context.process)).join(', ')
    return {
      check: name.check,
      title: name.title,
      verdict: 'unknown',
      says: `Not chosen: ${words}.`,
      jointId: null,
      demand: null,
      capacity: null,
      marginPct: null,
      missing: `${words} of the set-up`,
      restsOn: 'missing data',
      working: found.working,
      mends: [],
    }
  }
