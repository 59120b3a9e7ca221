/** A next change in sentences. */
import type { NextChange } from '../dialin/nextChange.ts'
import { message } from '../model/message.ts'
import { benchSpeechOf } from './benchSpeech.ts'
import { filled, type Speech } from './speech.ts'

export interface SpokenChange {
  readonly cause: string
  readonly test: string
  readonly change: string
  readonly undo: string
}

/**
 * @returns what to look at, and what to do where that is it
 * @example changeToTryText(speech, change).test // 'Hold a thread at the joint. Does it hang still?'
 */
export function changeToTryText(speech: Speech, { cause, test, change, undo }: NextChange): SpokenChange {
  const spoken = benchSpeechOf(speech)
  const { causes, dialIn } = spoken.bench
  return {
    cause: filled(spoken, causes, message(cause)),
    test: filled(spoken, dialIn, test),
    change: filled(spoken, dialIn, change),
    undo: filled(spoken, dialIn, undo),
  }
}

/** What is said where nothing common is left. */
export function stopText(speech: Speech): string {
  const spoken = benchSpeechOf(speech)
  return filled(spoken, spoken.bench.dialIn, message('stop'))
}
