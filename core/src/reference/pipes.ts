/**
 * Pipe by nominal size and schedule: outside diameter and wall. In inches, as ASME B36.10M and B36.19M print
 * them (from memory).
 */

interface PipeRow {
  readonly nps: string
  readonly outsideIn: number
  /** Schedule to wall; 40 and 40S, 80 and 80S are the same up to 10 in. */
  readonly wallsIn: Readonly<Record<string, number>>
}

const row = (
  nps: string,
  outsideIn: number,
  s5: number,
  s10: number,
  s40: number,
  s80: number,
  s160: number | null = null,
): PipeRow => ({
  nps,
  outsideIn,
  wallsIn: { '5S': s5, '10S': s10, '40': s40, '80': s80, ...(s160 === null ? {} : { '160': s160 }) },
})

const PIPES: readonly PipeRow[] = [
  row('1/4', 0.54, 0.049, 0.065, 0.088, 0.119),
  row('3/8', 0.675, 0.049, 0.065, 0.091, 0.126),
  row('1/2', 0.84, 0.065, 0.083, 0.109, 0.147, 0.188),
  row('3/4', 1.05, 0.065, 0.083, 0.113, 0.154, 0.219),
  row('1', 1.315, 0.065, 0.109, 0.133, 0.179, 0.25),
  row('1-1/4', 1.66, 0.065, 0.109, 0.14, 0.191, 0.25),
  row('1-1/2', 1.9, 0.065, 0.109, 0.145, 0.2, 0.281),
  row('2', 2.375, 0.065, 0.109, 0.154, 0.218, 0.344),
  row('2-1/2', 2.875, 0.083, 0.12, 0.203, 0.276, 0.375),
  row('3', 3.5, 0.083, 0.12, 0.216, 0.3, 0.438),
  row('4', 4.5, 0.083, 0.12, 0.237, 0.337, 0.531),
  row('6', 6.625, 0.109, 0.134, 0.28, 0.432, 0.719),
  row('8', 8.625, 0.109, 0.148, 0.322, 0.5, 0.906),
  row('10', 10.75, 0.134, 0.165, 0.365, 0.594, 1.125),
  row('12', 12.75, 0.156, 0.18, 0.406, 0.688, 1.312),
]

export interface Pipe {
  readonly nps: string
  readonly schedule: string
  readonly outsideIn: number
  readonly wallIn: number
}

export const NOMINAL_SIZES: readonly string[] = PIPES.map(({ nps }) => nps)

/** @returns null for a size that the table does not have */
export const schedulesOf = (nps: string): readonly string[] | null => {
  const found = PIPES.find((pipe) => pipe.nps === nps)
  return found ? Object.keys(found.wallsIn) : null
}

/** `std` is schedule 40 and `xs` schedule 80 up to 8 in, the sizes of this work; `40S` is 40. */
function normalSchedule(schedule: string): string {
  const upper = schedule.toUpperCase()
  if (upper === 'STD' || upper === '40S') return '40'
  if (upper === 'XS' || upper === '80S') return '80'
  if (upper === '5' || upper === '10') return `${upper}S`
  return upper
}

/** @returns the pipe, or null where the table has no such size or schedule */
export function pipeOf(nps: string, schedule: string): Pipe | null {
  const found = PIPES.find((pipe) => pipe.nps === nps)
  const wanted = normalSchedule(schedule)
  const wallIn = found?.wallsIn[wanted]
  return found && wallIn !== undefined ? { nps, schedule: wanted, outsideIn: found.outsideIn, wallIn } : null
}
