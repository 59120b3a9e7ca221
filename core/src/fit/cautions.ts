/** What the owner must be told where this decision is made: what can hurt somebody. */
import { lensShade, LENS_SHADE_SOURCE } from '../reference/lensShades.ts'
import { MATERIALS } from '../reference/materials.ts'
import type { FitContext } from './context.ts'

export interface Caution {
  readonly topic: string
  readonly says: string
}

export function cautionsFor(context: FitContext): readonly Caution[] {
  const { process, governing, joints, job, setUp, tungsten, powerSource } = context
  const shade = lensShade(process.family, governing.wanted.value)
  const cautions: Caution[] = [
    {
      topic: 'Eyes',
      says: `Lens shade at least ${shade.least}, ${shade.suggested} suggested (${LENS_SHADE_SOURCE.text}); glasses under the helmet.`,
    },
    {
      topic: 'Power',
      says: 'Unplug before opening a machine. Wiring is for a licensed electrician; data plate and code decide.',
    },
  ]
  for (const caution of new Set(
    joints.flatMap(({ joint }) => [MATERIALS[joint.materialA].caution, MATERIALS[joint.materialB].caution]),
  )) {
    if (caution) cautions.push({ topic: 'Fumes', says: caution })
  }
  if (process.shielded) {
    cautions.push({
      topic: 'Gas',
      says: 'Chain the cylinder, open it slowly and to one side. Shielding gas displaces air in closed spaces.',
    })
  } else {
    cautions.push({ topic: 'Fumes', says: 'Self-shielded wire smokes heavily: extract, or work upwind.' })
  }
  if (process.family === 'gtaw') {
    cautions.push({
      topic: 'Shock',
      says: 'A TIG torch is live at open-circuit voltage: gloves on before you touch rod or tungsten.',
    })
    if (powerSource.vrd !== true && job.place !== 'indoors') {
      cautions.push({
        topic: 'Shock',
        says: 'Damp ground and no voltage reduction device: stand dry, keep others off the work.',
      })
    }
    if (powerSource.start.includes('high-frequency')) {
      cautions.push({
        topic: 'High frequency',
        says: 'High-frequency start upsets electronics and pacemakers near by.',
      })
    }
  }
  if (tungsten?.type === 'WTh20') {
    cautions.push({
      topic: 'Dust',
      says: 'Thoriated dust is mildly radioactive: grind wet or with extraction, or use a type without thorium.',
    })
  }
  if (job.quality === 'structural' || job.quality === 'leak-tight' || job.quality === 'code-bound') {
    cautions.push({
      topic: 'Approval',
      says: 'Such welds need a qualified procedure and welder: this is advice, not approval.',
    })
  }
  if (setUp.process === 'gmaw-short' || setUp.process === 'gmaw-spray' || process.family === 'fcaw') {
    cautions.push({
      topic: 'Gun',
      says: 'The wire is live while the trigger is pulled: keep it off you and off the work.',
    })
  }
  return cautions
}
