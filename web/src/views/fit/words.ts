/** The workshop's words for what the schemas name. */
import {
  type Job,
  type Joint,
  MATERIALS,
  printValue,
  PROCESSES,
  type SetUp,
  type UnitSystem,
} from '@brannik/core'

export const JOINT_WORDS: Record<Joint['kind'], string> = {
  tee: 'T-joint',
  lap: 'lap joint',
  'inside-corner': 'inside corner',
  'outside-corner': 'outside corner',
  'butt-square': 'square butt',
  'butt-v': 'V butt',
}
export const POSITION_WORDS: Record<Joint['position'], string> = {
  flat: 'flat',
  horizontal: 'horizontal',
  'vertical-up': 'vertical up',
  'vertical-down': 'vertical down',
  overhead: 'overhead',
}
export const QUALITY_WORDS: Record<Job['quality'], string> = {
  ordinary: 'ordinary',
  cosmetic: 'cosmetic',
  'leak-tight': 'leak-tight',
  structural: 'structural',
}

/** `T-joint in carbon steel, 24 × 8 in, horizontal` */
export function jointWords(joint: Joint, system: UnitSystem): string {
  const length = printValue(joint.lengthMm, 'mm length', system)
  return `${JOINT_WORDS[joint.kind]} in ${MATERIALS[joint.material].name}, ${joint.count} × ${length}, ${POSITION_WORDS[joint.position]}`
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
