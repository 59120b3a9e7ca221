/** The workshop's words for what the schemas name. */
import {
  type Job,
  type Joint,
  jointName,
  pairNames,
  positionName,
  printValue,
  PROCESSES,
  type SetUp,
  type UnitSystem,
} from '@brannik/core'

export const QUALITY_WORDS: Record<Job['quality'], string> = {
  ordinary: 'ordinary',
  cosmetic: 'cosmetic',
  'leak-tight': 'leak-tight',
  structural: 'structural',
  'code-bound': 'by a code',
}

/** `T-joint in carbon steel, 24 × 8 in, horizontal` */
export function jointWords(joint: Joint, system: UnitSystem): string {
  const length = joint.around ? 'round' : printValue(joint.lengthMm, 'mm length', system)
  return `${jointName(joint)} in ${pairNames(joint)}, ${joint.count} × ${length}, ${positionName(joint.position)}`
}

/** `4 pieces, structural, indoors` */
export function jobWords(job: Job, system: UnitSystem): string {
  const pieces = job.quantity === 1 ? '1 piece' : `${job.quantity} pieces`
  const wind =
    job.place === 'outdoors' && job.windKmPerH !== null
      ? `, wind ${printValue(job.windKmPerH, 'km/h', system)}`
      : ''
  return `${pieces}, ${QUALITY_WORDS[job.quality]}, ${job.place}${wind}`
}

export const processWords = (setUp: SetUp): string => PROCESSES[setUp.process].workshopWord
