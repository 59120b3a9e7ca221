/** English: every sentence of the computation, by code; a file a subject. */
import type { Language } from '../language.ts'
import { ANSWERS } from './answers.ts'
import { ARC } from './arc.ts'
import { FEED } from './feed.ts'
import { FILLER } from './filler.ts'
import { JOINT } from './joint.ts'
import { SOURCE } from './source.ts'
import { SUPPLY } from './supply.ts'
import { TORCH } from './torch.ts'
import { USE } from './use.ts'
import { VOCABULARY } from './vocabulary.ts'

export const ENGLISH: Language = {
  vocabulary: VOCABULARY,
  criteria: { ...SUPPLY, ...ARC, ...SOURCE, ...TORCH, ...FEED, ...FILLER, ...JOINT, ...USE },
  ...ANSWERS,
}
