/** Evidence in words. */
import type { VisualList } from '../events/evidenceTaken.ts'
import type { VisualItem } from '../record/visual.ts'
import { benchSpeechOf } from './benchSpeech.ts'
import { VISUAL_LIST_NAMES } from './english/evidence.ts'
import { filled, type Speech } from './speech.ts'

/** @returns what is looked at, with its limit */
export function visualText(speech: Speech, { told }: VisualItem): string {
  const spoken = benchSpeechOf(speech)
  return filled(spoken, spoken.bench.visual, told)
}

/** @returns the name of a list */
export const visualListName = (list: VisualList): string => VISUAL_LIST_NAMES[list] ?? list
