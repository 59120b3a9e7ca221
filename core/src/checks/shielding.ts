/** Whether gas, process, metal, wind and filler go together. */
import { judgeGroup } from '../assembly/judge.ts'
import type { FitContext } from '../fit/context.ts'
import { type Finding, type Verdict, VERDICT_RANK } from '../model/finding.ts'
import { commonPractice, jobField, type Source, standard } from '../model/source.ts'
import { term } from '../model/working.ts'
import { printValue } from '../quantity/printValue.ts'
import { MATERIALS } from '../reference/materials.ts'
import { type Check, unknownFinding } from './check.ts'

const NAME = { check: 'shielding', title: 'Gas and filler' }

interface Rule {
  readonly verdict: Verdict
  readonly says: string
  readonly source: Source
}

const rule = (says: string, source: Source = commonPractice(), verdict: Verdict = 'short'): Rule => ({
  verdict,
  says,
  source,
})

function windRules({ job, process, assume, shop }: FitContext): Rule[] {
  if (!process.shielded || job.place === 'indoors') return []
  const limit = assume.term('windLimitKmPerH', 'w')
  if (job.windKmPerH === null) {
    return [rule('Outdoors, and the wind at the weld is not given', limit.source, 'unknown')]
  }
  const words = (kmPerH: number) => printValue(kmPerH, 'km/h', shop.unitSystem)
  return job.windKmPerH > Number(limit.value)
    ? [
        rule(
          `Wind of ${words(job.windKmPerH)} blows the gas away above ${words(Number(limit.value))}: screen the weld or use self-shielded wire`,
          limit.source,
        ),
      ]
    : []
}

/** What the rules of compatibility say of gas and filler, and what is not chosen. */
function togetherRules({ assembly, process, gas, wire }: FitContext): Rule[] {
  const broken = judgeGroup('shielding', assembly)
    .filter(({ judgement }) => judgement.verdict !== 'fits')
    .map(({ judgement }) => judgement)
  return [
    ...broken,
    ...(process.shielded && !gas ? [rule('The set-up has no gas', commonPractice(), 'unknown')] : []),
    ...(process.feedsWire && !wire ? [rule('The set-up has no wire', commonPractice(), 'unknown')] : []),
  ]
}

function depthRules({ process, joints, assume, shop }: FitContext): Rule[] {
  if (process.id !== 'gmaw-short') return []
  const limit = assume.term('shortCircuitLimitMm', 't')
  const thick = joints.find(
    ({ joint }) => Math.min(joint.thicknessAMm, joint.thicknessBMm) > Number(limit.value) + 1e-6,
  )
  if (!thick || MATERIALS[thick.joint.materialA].family !== 'carbon-steel') return []
  return [
    rule(
      `Short-circuit above ${printValue(limit.value, 'mm', shop.unitSystem)} of steel may not fuse: use spray or flux-cored, or a qualified procedure`,
      limit.source,
    ),
  ]
}

export const shielding: Check = (context): Finding => {
  const { gas, process, wire, job } = context
  const broken = [...togetherRules(context), ...windRules(context), ...depthRules(context)]
  broken.sort((a, b) => VERDICT_RANK[b.verdict] - VERDICT_RANK[a.verdict])
  const first = broken[0]
  const gives = process.shielded ? (gas?.name ?? 'no gas') : 'no gas'
  const working = [
    {
      says: first ? 'Rules that this set-up breaks' : 'Gas, filler, metal, wind and process go together',
      formula: 'trade rules',
      terms: broken.map((one, index) => term(`${index + 1}`, one.says, '', '', one.source)),
      result: { symbol: 'gas', value: gives, unit: '' },
      source: standard('AWS D1.1 for wind; otherwise common practice', true),
    },
    {
      says: 'What was looked at',
      formula: 'gas, filler, place',
      terms: [
        term('gas', 'gas', gives, '', jobField('set-up')),
        term('filler', 'wire or rod', wire?.name ?? 'none', '', jobField('set-up')),
        term('place', 'place', job.place, '', jobField('job')),
      ],
      result: { symbol: 'rules broken', value: broken.length, unit: '' },
      source: commonPractice(),
    },
  ]
  const common = { demand: null, capacity: gives, working }
  if (first?.verdict === 'unknown')
    return unknownFinding(NAME, first.says, { ...common, says: `${first.says}.` })
  return {
    check: NAME.check,
    title: NAME.title,
    demand: common.demand,
    capacity: common.capacity,
    working,
    verdict: first?.verdict ?? 'fits',
    says: first ? `${broken.map(({ says }) => says).join('. ')}.` : 'Gas, filler and place suit the metal.',
    jointId: null,
    marginPct: null,
    missing: null,
    restsOn: first ? first.source.text : 'common practice',
    mends: [],
  }
}
