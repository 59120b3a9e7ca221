/** A fit as rows: every criterion that measures has its own, those that compare stand together in theirs. */
import type { Assessment, Mend } from '../criteria/criterion.ts'
import { isJudged } from '../criteria/judged.ts'
import type { Fit } from '../fit/fit.ts'
import { byWorst, type Verdict, worstVerdict } from '../model/verdict.ts'
import {
  groupTitle,
  groupWell,
  missingOf,
  sentenceOf,
  sideOf,
  sourceText,
  type Speech,
  titleOf,
} from './speech.ts'

export interface Row {
  /** Of the criterion, or of the group. */
  readonly id: string
  readonly title: string
  readonly verdict: Verdict
  /** Whether there was anything to judge it by: what nobody has counted is told and not judged. */
  readonly isJudged: boolean
  readonly sentence: string
  /** What is missing; empty where nothing is. */
  readonly missing: string
  readonly demand: string
  readonly capacity: string
  readonly marginPct: number | null
  /** Short words for what the verdict rests on. */
  readonly restsOn: string
  readonly weldId: string | null
  /** Which of its passes; null for the whole weld. */
  readonly pass: Assessment['pass']
  /** What stands in the row, worst first. */
  readonly criteria: readonly Assessment[]
  readonly mends: readonly Mend[]
}

const single = (speech: Speech, assessment: Assessment, mends: readonly Mend[]): Row => ({
  id: assessment.criterion,
  title: titleOf(speech, assessment),
  verdict: assessment.verdict,
  isJudged: isJudged(assessment),
  sentence: sentenceOf(speech, assessment),
  missing: missingOf(speech, assessment),
  demand: sideOf(speech, assessment, 'demand'),
  capacity: sideOf(speech, assessment, 'capacity'),
  marginPct: assessment.marginPct,
  restsOn: sourceText(speech, assessment.source),
  weldId: assessment.weldId,
  pass: assessment.pass,
  criteria: [assessment],
  mends,
})

function together(speech: Speech, group: string, members: readonly Assessment[], mends: Fit['mends']): Row {
  const ranked = byWorst(members)
  const broken = ranked.filter(({ verdict }) => verdict !== 'fits')
  const [first] = broken
  return {
    id: group,
    title: groupTitle(speech, group),
    verdict: worstVerdict(members.map(({ verdict }) => verdict)),
    isJudged: true,
    sentence: first
      ? broken.map((assessment) => sentenceOf(speech, assessment)).join(' ')
      : groupWell(speech, group),
    missing: first ? missingOf(speech, first) : '',
    demand: '–',
    capacity: first ? titleOf(speech, first) : `${members.length} met`,
    marginPct: null,
    restsOn: first ? sourceText(speech, first.source) : '',
    weldId: first?.weldId ?? null,
    pass: first?.pass ?? null,
    criteria: ranked,
    mends: broken.flatMap(({ criterion }) => mends[criterion] ?? []),
  }
}

/**
 * @returns the rows in the order of the chain; a group stands where its first criterion does
 * @example rowsOf(speech, fit)[0].sentence // 'Takes 120 V. Check that links or plug are set for it.'
 */
export function rowsOf(speech: Speech, { criteria, mends }: Pick<Fit, 'criteria' | 'mends'>): readonly Row[] {
  const rows: Row[] = []
  const seen = new Set<string>()
  for (const assessment of criteria) {
    const { group } = assessment
    if (group === null) {
      rows.push(single(speech, assessment, mends[assessment.criterion] ?? []))
      continue
    }
    if (seen.has(group)) continue
    seen.add(group)
    const members = criteria.filter((one) => one.group === group)
    rows.push(together(speech, group, members, mends))
  }
  return rows
}
