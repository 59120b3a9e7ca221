/** Whether the gun or torch carries the highest current wanted, at the job's duty, in this gas. */
import { dutyAtCurrentPct } from '../duty/curve.ts'
import { pauseFor } from '../fit/context.ts'
import { gunPoints } from '../fit/gunPoints.ts'
import { gunLink } from '../fit/links.ts'
import { type Check, judge, unknownFinding } from './check.ts'
import { dutyMends } from './dutyMends.ts'

export const gunDuty: Check = (context) => {
  const { gun, governing, assume } = context
  const name = { check: 'gun-duty', title: gun.kind === 'gun' ? 'Gun at this duty' : 'Torch at this duty' }
  const link = gunLink(context)
  if (link.highA === null) return unknownFinding(name, link.missing ?? 'a rating of the gun')
  const currentA = governing.wanted.value
  return judge(context, name, {
    jointId: governing.joint.id,
    demand: { value: currentA, unit: 'A' },
    capacity: { value: link.highA, unit: 'A' },
    restsOn: 'IEC 60974-7, gas',
    wants: 'The joint wants',
    gives: `the ${gun.kind} carries`,
    working: [...governing.wanted.steps, ...link.working],
    mends: () => {
      const answer = gunPoints(context)
      if (answer.missing !== null) return []
      const allowed = dutyAtCurrentPct(answer.points, currentA)
      return allowed < assume.value('gunLeastDutyPct')
        ? [{ says: `A ${gun.kind} of a higher class: at this current rest alone does not cool this one` }]
        : dutyMends(pauseFor(context, allowed), `the ${gun.kind}`)
    },
  })
}
