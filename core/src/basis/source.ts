/** Where a figure comes from. Every number that a screen shows can say it. */

export type SourceKind =
  'standard' | 'handbook' | 'data-plate' | 'shop' | 'job' | 'common-practice' | 'computed'

export interface Source {
  readonly kind: SourceKind
  /** Standard and clause, table, plate or field: short enough for a table cell. */
  readonly text: string
  /** Set where the figure could not be checked against the text itself. */
  readonly fromMemory?: boolean
}

export const standard = (text: string, fromMemory = false): Source => ({ kind: 'standard', text, fromMemory })
export const handbook = (text: string, fromMemory = true): Source => ({ kind: 'handbook', text, fromMemory })
export const dataPlate = (text = 'data plate'): Source => ({ kind: 'data-plate', text })
export const jobField = (text: string): Source => ({ kind: 'job', text })
export const shopField = (text: string): Source => ({ kind: 'shop', text })
export const commonPractice = (text = 'common practice, no source'): Source => ({
  kind: 'common-practice',
  text,
})
export const computed = (text = 'worked out above'): Source => ({ kind: 'computed', text })

/** The words of a source as a person reads them. */
export function sourceWords(source: Source): string {
  return source.fromMemory ? `${source.text} (from memory)` : source.text
}
