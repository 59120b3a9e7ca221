import type { Joint } from '../kinds/job.ts'

/**
 * How many welds a line has: a fillet on both sides of a part is two.
 * @example weldCountOf({ count: 4, bothSides: true }) // 8
 */
export const weldCountOf = ({ count, bothSides }: Pick<Joint, 'count' | 'bothSides'>): number =>
  bothSides ? 2 * count : count
