/** Runs the rules over an assembly: all of them, those of one group, or those that look at one place. */
import { type Verdict, VERDICT_RANK, worstVerdict } from '../model/finding.ts'
import type { Assembly } from './assembly.ts'
import { type Judgement, type Rule, RULE_GROUPS, type RuleGroup } from './rule.ts'
import { RULES } from './rules/index.ts'
import { needsOf, type Slot, SLOTS } from './slots.ts'

export interface RuleFinding {
  readonly rule: Rule
  readonly judgement: Judgement
}

function run(rules: readonly Rule[], assembly: Assembly): RuleFinding[] {
  const found: RuleFinding[] = []
  for (const rule of rules) {
    const judgement = rule.judge(assembly)
    if (judgement) found.push({ rule, judgement })
  }
  return found
}

/** @returns what every rule that applies says, in the order of the chain */
export const judgeAll = (assembly: Assembly): readonly RuleFinding[] => run(RULES, assembly)

const BY_GROUP = new Map(
  RULE_GROUPS.map((group) => [group, RULES.filter((rule) => rule.group === group)] as const),
)
export const judgeGroup = (group: RuleGroup, assembly: Assembly): readonly RuleFinding[] =>
  run(BY_GROUP.get(group) ?? [], assembly)

const BY_SLOT = new Map<Slot, Rule[]>()
for (const rule of RULES) {
  for (const slot of rule.slots) BY_SLOT.set(slot, [...(BY_SLOT.get(slot) ?? []), rule])
}
export const rulesOfSlot = (slot: Slot): readonly Rule[] => BY_SLOT.get(slot) ?? []
export const judgeSlot = (slot: Slot, assembly: Assembly): readonly RuleFinding[] =>
  run(rulesOfSlot(slot), assembly)

/** Places that this set-up needs and that are empty. */
export const missingSlots = (assembly: Assembly): readonly Slot[] =>
  needsOf(assembly)
    .filter(({ slot, required }) => required && assembly[slot] === null)
    .map(({ slot }) => slot)

export const worstOf = (findings: readonly RuleFinding[]): Verdict =>
  worstVerdict(findings.map(({ judgement }) => judgement.verdict))

/** Places whose part breaks a rule. */
export const shortSlots = (assembly: Assembly): readonly Slot[] =>
  SLOTS.filter((slot) => worstOf(judgeSlot(slot, assembly)) === 'short')

/** Worst first; among equals as they came. */
export const byWorst = (findings: readonly RuleFinding[]): readonly RuleFinding[] =>
  [...findings].sort((a, b) => VERDICT_RANK[b.judgement.verdict] - VERDICT_RANK[a.judgement.verdict])
