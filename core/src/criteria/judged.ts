/** Which criteria had nothing to be judged by. Pages read it at once: it stands apart from the calculations. */
import type { Assessment } from './criterion.ts'

/** What an owner may leave open; the inrush is on few plates. */
const LEFT_OPEN = ['wire-stock', 'gas-left', 'tungsten-stock', 'hours', 'inrush-not-given'] as const
/**
 * Whether there was anything to judge it by.
 * @returns false where the job uses something that nobody has counted, or the plate is silent; its verdict then counts for nothing
 */
export const isJudged = ({ code }: Pick<Assessment, 'code'>): boolean =>
  !(LEFT_OPEN as readonly string[]).includes(code)
