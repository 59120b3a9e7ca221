/** Who speaks at the machine: with the words of changeover and card, which are fetched with them and no sooner. */
import { ENGLISH_BENCH } from './english/bench.ts'
import type { BenchLanguage } from './language.ts'
import { type Speech, spelledAll } from './speech.ts'

export interface BenchSpeech extends Speech {
  readonly bench: BenchLanguage
}
const known = new WeakMap<Speech, BenchSpeech>()

/** @returns the same speech, with every text of card and changeover as the shop spells them */
export function benchSpeechOf(speech: Speech): BenchSpeech {
  const found = known.get(speech)
  if (found) return found
  const { language, notation } = speech
  const bench = spelledAll(ENGLISH_BENCH, notation.locale)
  const vocabulary = { ...language.vocabulary, ...bench.vocabulary }
  const made = { notation, language: { ...language, vocabulary }, bench }
  known.set(speech, made)
  return made
}
