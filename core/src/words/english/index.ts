/** English: every sentence of the computation, by code; a file a subject. */
import type { Language } from '../language.ts'
import { ANSWERS } from './answers.ts'
import { ARC } from './arc.ts'
import { CARD, CARD_FIGURE_TITLES, CARD_PLACES_TITLES, CARD_STEP_WORDS, SIGN_CHANGES, SIGNS } from './card.ts'
import { CHANGE, HAND_OVER, HAZARD_WORDS, TOOL_WORDS, TRAP_WORDS } from './change.ts'
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
  change: CHANGE,
  traps: TRAP_WORDS,
  hazards: HAZARD_WORDS,
  tools: TOOL_WORDS,
  handOver: HAND_OVER,
  card: CARD,
  cardFigures: CARD_FIGURE_TITLES,
  cardPlaces: CARD_PLACES_TITLES,
  cardSteps: CARD_STEP_WORDS,
  signs: SIGNS,
  signChanges: SIGN_CHANGES,
}
