/** One next change at the machine: the commonest cause that is not ruled out yet, with its test, its change and the way back. */
import { message, type Message } from '../model/message.ts'
import { type Cause, SIGNS_OF, type WeldClass } from './causes.ts'

export interface NextChange {
  readonly cause: Cause
  /** How it is ruled out, in seconds. */
  readonly test: Message
  /** What to change where it is the cause. */
  readonly change: Message
  /** How to undo the change where it did not help. */
  readonly undo: Message
  /** Of how many it is which. */
  readonly step: number
  readonly of: number
}

/** What moves a setting has its own way back; a part that was put right stays so. */
const SETTINGS: ReadonlySet<Cause> = new Set([
  'volts',
  'wire-speed',
  'inductance',
  'amps',
  'balance',
  'post-flow',
  'travel',
  'stick-out',
  'arc-length',
  'angle',
])

/**
 * The list only shortens: nothing is asked twice, and it ends.
 * @param ruledOut causes that a test has ruled out, or whose change did not help
 * @returns null where nothing is left that is safe to try: stop, and ask somebody
 * @example nextChange('solid', 'porosity', ['gas'])?.cause // 'draft'
 */
export function nextChange(
  weldClass: WeldClass,
  sign: string,
  ruledOut: readonly Cause[],
): NextChange | null {
  const causes = SIGNS_OF[weldClass][sign] ?? []
  const at = causes.findIndex((one) => !ruledOut.includes(one))
  const cause = causes[at]
  if (cause === undefined) return null
  return {
    cause,
    test: message(`test-${cause}`),
    change: message(isTooHot(sign, cause) ? `less-${cause}` : `change-${cause}`),
    undo: message(SETTINGS.has(cause) ? 'undo-setting' : 'undo-none'),
    step: at + 1,
    of: causes.length,
  }
}

/** Too hot is turned down, whatever the band says; undercut is too hot by its amps, and too fast by its travel. */
const TOO_HOT: Readonly<Record<string, readonly Cause[]>> = {
  'burns-through': ['amps', 'wire-speed', 'volts', 'travel'],
  undercut: ['amps'],
}
const isTooHot = (sign: string, cause: Cause): boolean => TOO_HOT[sign]?.includes(cause) ?? false
