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
  spelled,
  type Notation,
} from '@brannik/core'

export const QUALITY_WORDS: Record<Job['quality'], string> = {
  ordinary: 'ordinary',
  cosmetic: 'cosmetic',
  'leak-tight': 'leak-tight',
  structural: 'structural',
  'code-bound': 'by a code',
  'exc-1': 'EXC1 by EN 1090 (ISO 5817 D)',
  'exc-2': 'EXC2 by EN 1090 (ISO 5817 C)',
  'exc-3': 'EXC3 by EN 1090 (ISO 5817 B)',
  'exc-4': 'EXC4 by EN 1090 (ISO 5817 B+)',
  'level-d': 'level D of ISO 5817',
  'level-c': 'level C of ISO 5817',
  'level-b': 'level B of ISO 5817',
}

/** `T-joint in carbon steel, 24 × 8 in, horizontal` */
export function jointWords(joint: Joint, notation: Notation): string {
  const length = joint.around ? 'round' : printValue(joint.lengthMm, 'mm length', notation)
  return `${jointName(joint)} in ${spelled(pairNames(joint), notation.locale)}, ${joint.count} × ${length}, ${positionName(joint.position)}`
}

/** `4 pieces, structural, indoors` */
export function jobWords(job: Job, notation: Notation): string {
  const pieces = job.quantity === 1 ? '1 piece' : `${job.quantity} pieces`
  const wind =
    job.place === 'outdoors' && job.windKmPerH !== null
      ? `, wind ${printValue(job.windKmPerH, 'km/h', notation)}`
      : ''
  return `${pieces}, ${QUALITY_WORDS[job.quality]}, ${job.place}${wind}`
}

export const processWords = (setUp: SetUp): string => PROCESSES[setUp.process].workshopWord
