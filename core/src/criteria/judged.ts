/** Which criteria had nothing to be judged by. Pages read it at once: it stands apart from the calculations. */
import type { Assessment } from './criterion.ts'

/** What an owner may leave open. */
const LEFT_OPEN = ['wire-stock', 'gas-left', 'tungsten-stock', 'hours'] as const
/**
 * Whether there was anything to judge it by.
 * @returns false where the job uses something that nobody has counted; its verdict then counts for nothing
 */
export const isJudged = ({ code }: Pick<Assessment, 'code'>): boolean =>
  !(LEFT_OPEN as readonly string[]).includes(code)
