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

/**
 * A published standard, with its clause.
 * @param fromMemory whether it was not looked up
 * @example standard('IEC 60974-1, 11.2')
 */
export const standard = (text: string, fromMemory = false): Source => ({ kind: 'standard', text, fromMemory })
/**
 * A handbook or a table of the trade.
 * @param fromMemory whether it was not looked up
 */
export const handbook = (text: string, fromMemory = true): Source => ({ kind: 'handbook', text, fromMemory })
/** What a machine says of itself. */
export const dataPlate = (text = 'data plate'): Source => ({ kind: 'data-plate', text })
/** What somebody wrote of the job, or of its parts. */
export const jobField = (text: string): Source => ({ kind: 'job', text })
/** What the shop has settled for itself. */
export const shopField = (text: string): Source => ({ kind: 'shop', text })
/**
 * A fact of the trade that nothing published holds.
 * @example commonPractice('about 1 s per 10 A')
 */
export const commonPractice = (text = 'common practice, no source'): Source => ({
  kind: 'common-practice',
  text,
})
/** A figure that was worked out before. */
export const computed = (text = 'calculated above'): Source => ({ kind: 'computed', text })

/** The words of a source as a person reads them. */
export function sourceWords(source: Source): string {
  return source.fromMemory ? `${source.text} (from memory)` : source.text
}
