/** The mend of every duty: rest between welds. */
import type { Mend } from '../model/finding.ts'

/** @param pauseS computed pause; null where one weld alone is over the duty */
export function dutyMends(pauseS: number | null, who: string): Mend[] {
  if (pauseS === null) {
    return [{ says: `Rest alone does not bring it in: ${who} wants shorter welds or less current` }]
  }
  return [
    {
      says: 'Rest between welds:',
      measure: { value: pauseS, unit: 's' },
      patch: { on: 'job', change: { pauseS } },
    },
  ]
}
