/** What contradicts in a weld, in words. Apart from the rest: only where welds are typed is it said without a fit. */
import { type Contradiction, contradictionParams } from '../joints/contradictions.ts'
import { capital, filled, sentence, type Speech } from './speech.ts'

/** @example contradictionText(speech, contradiction) // 'A leg of 3/8 in is larger than the edge of 1/4 in …' */
export const contradictionText = (speech: Speech, one: Contradiction): string =>
  sentence(
    capital(
      filled(speech, speech.language.criteria['weld-stands']?.sentences ?? {}, {
        code: one.code,
        params: contradictionParams(one),
      }),
    ),
  )
