/** The thickest part that the set-up welds in one pass, against what one pass of the job has to melt. */
import { linksFor } from '../fit/links.ts'
import { marginPct } from '../model/finding.ts'
import { commonPractice, computed } from '../model/source.ts'
import { term } from '../model/working.ts'
import { inPasses } from '../trade/inPasses.ts'
import { ampsPerMm, passThicknessMm, singlePassKey } from '../trade/wantedCurrent.ts'
import { thinnerMm } from '../trade/groove.ts'
import { type Check, judge, unknownFinding } from './check.ts'

const NAME = { check: 'thickness', title: 'Thickness, one pass' }

export const thickness: Check = (context) => {
  const { assume, process } = context
  const perJoint = context.joints.map((figures) => {
    const links = linksFor(context, figures)
    const missing = links.find((link) => link.highA === null)?.missing ?? null
    const weakest = links.reduce((least, link) =>
      (link.highA ?? Infinity) < (least.highA ?? Infinity) ? link : least,
    )
    const perMm = ampsPerMm(figures.joint, process.id, assume)
    const byCurrentMm = (weakest.highA ?? 0) / perMm
    const demandMm = passThicknessMm(figures.joint, process.id, assume)
    return {
      figures,
      missing,
      weakest,
      perMm,
      byCurrentMm,
      demandMm,
      margin: marginPct(byCurrentMm, demandMm),
    }
  })
  const missing = perJoint.find((one) => one.missing !== null)?.missing
  if (missing) return unknownFinding(NAME, missing)
  const worst = perJoint.reduce((least, next) => (next.margin < least.margin ? next : least))
  const { joint } = worst.figures
  const passesThatFit = Math.ceil(thinnerMm(joint) / worst.byCurrentMm)
  return judge(context, NAME, {
    jointId: joint.id,
    demand: { value: worst.demandMm, unit: 'mm' },
    capacity: { value: worst.byCurrentMm, unit: 'mm' },
    restsOn: 'common practice',
    wants: 'One pass has to melt',
    gives: 'the weakest link allows',
    working: [
      ...worst.figures.wanted.steps,
      {
        says: 'Thickness that the weakest link melts in one pass',
        formula: 't = I / k',
        terms: [
          term('I', `${worst.weakest.title}: carries`, worst.weakest.highA ?? 0, 'A', computed()),
          term('k', 'current per thickness, all factors of this joint', worst.perMm, 'A/mm', computed()),
        ],
        result: { symbol: 't', value: worst.byCurrentMm, unit: 'mm' },
        source: commonPractice(),
      },
      {
        says: 'Thickest single pass of the process',
        formula: 't₂',
        terms: [assume.term(singlePassKey(process.id), 't₂')],
        result: { symbol: 't₂', value: assume.value(singlePassKey(process.id)), unit: 'mm' },
        source: commonPractice(),
      },
    ],
    mends: (verdict) =>
      verdict === 'short' && Number.isFinite(passesThatFit) && passesThatFit > 1 && passesThatFit <= 60
        ? [
            {
              says: inPasses(joint, passesThatFit),
              patch: { on: 'joint', jointId: joint.id, change: { passes: passesThatFit } },
            },
          ]
        : [],
  })
}
