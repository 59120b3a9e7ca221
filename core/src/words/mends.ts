/** Sentences of what would bring a criterion in, apart from all others: a page has its answer before it has these. */
import type { Mend } from '../criteria/criterion.ts'
import type { Suggestion } from '../fit/suggest.ts'
import { isAmerican } from '../basis/spelling.ts'
import { ENGLISH_MENDS } from './english/mends.ts'
import type { Templates } from './language.ts'
import { capital, filled, type Speech, spelledAll } from './speech.ts'

let american: Templates | null = null
/** As the shop spells. */
function mendsOf({ notation: { locale } }: Speech): Templates {
  if (!isAmerican(locale)) return ENGLISH_MENDS
  american ??= spelledAll(ENGLISH_MENDS, locale)
  return american
}

/**
 * A mend in words.
 * @example mendText(speech, mend) // 'Buy 3 more spools of 33 lb'
 */
export const mendText = (speech: Speech, mend: Mend): string => capital(filled(speech, mendsOf(speech), mend))

/** What a suggestion or a mend would do, for a button. */
export const suggestionText = (
  speech: Speech,
  { code, params }: Pick<Suggestion, 'code' | 'params'>,
): string => {
  const { suggestions } = speech.language
  return capital(filled(speech, code in suggestions ? suggestions : mendsOf(speech), { code, params }))
}
