/** What a weld must stand, from the job it belongs to: what the choice of filler asks. */
import type { Job, Joint } from '../kinds/job.ts'
import { MATERIALS } from '../reference/materials.ts'
import type { Service } from '../reference/pairs.ts'
import { thickerMm } from './groove.ts'

export const serviceOf = (job: Pick<Job, 'serviceTemperatureC' | 'anodised'>, joint: Joint): Service => ({
  serviceTemperatureC: job.serviceTemperatureC,
  anodised: job.anodised,
  thickerMm: thickerMm(joint),
})

/** `304 stainless`, or `304 stainless to carbon steel` */
export function pairNames(joint: Pick<Joint, 'materialA' | 'materialB'>): string {
  const [a, b] = [MATERIALS[joint.materialA].name, MATERIALS[joint.materialB].name]
  return a === b ? a : `${a} to ${b}`
}
