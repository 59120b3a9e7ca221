/** Times as the shop's country writes them: stored in UTC, read by everybody in the shop's own zone. */
import { dateFormat } from '../dateFormat.ts'
import { useWorkspace } from '../shop/workspace.ts'

const CLOCK = { hour: 'numeric', minute: '2-digit' } as const
const DAY = { day: 'numeric', month: 'short', year: 'numeric' } as const
const FORMS = {
  /** `2:05 PM`, or `14:05` */
  clock: CLOCK,
  /** `Dec 3, 2026`, or `3 Dec 2026` */
  day: DAY,
  /** `Dec 3, 2026, 2:05 PM` */
  minute: { ...DAY, ...CLOCK },
  /** `Dec 3, 2026, 2:05:09 PM` */
  second: { ...DAY, ...CLOCK, second: '2-digit' },
  /** `December 3, 2026 at 2:05 PM`: for papers that leave the shop. */
  paper: { dateStyle: 'long', timeStyle: 'short' },
} as const satisfies Readonly<Record<string, Intl.DateTimeFormatOptions>>

/** @returns prints a time, given in any form that `Date` takes: `when(line.at, 'second')` */
export function useWhen(): (at: string | number | Date, form?: keyof typeof FORMS) => string {
  const workspace = useWorkspace()
  return (at, form = 'minute') =>
    dateFormat(workspace.notation.locale, {
      ...FORMS[form],
      timeZone: workspace.shop?.timeZone ?? undefined,
    }).format(new Date(at))
}
