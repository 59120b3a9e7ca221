/** Times of day as the shop prints them: stored in UTC, read by everybody in the shop's own zone. */
import { useWorkspace } from '../shop/workspace.ts'

const CLOCK = { hour: '2-digit', minute: '2-digit' } as const
const DAY = { day: 'numeric', month: 'short', year: 'numeric' } as const
const FORMS = {
  /** `14:05` */
  clock: CLOCK,
  /** `3 Dec 2026` */
  day: DAY,
  /** `3 Dec 2026, 14:05` */
  minute: { ...DAY, ...CLOCK },
  /** `3 Dec 2026, 14:05:09` */
  second: { ...DAY, ...CLOCK, second: '2-digit' },
  /** `December 3, 2026 at 2:05 PM`, as the shop's country writes it: for papers that leave the shop. */
  paper: { dateStyle: 'long', timeStyle: 'short' },
} as const satisfies Readonly<Record<string, Intl.DateTimeFormatOptions>>

/** @returns prints a time, given in any form that `Date` takes: `when(line.at, 'second')` */
export function useWhen(): (at: string | number | Date, form?: keyof typeof FORMS) => string {
  const workspace = useWorkspace()
  return (at, form = 'minute') =>
    new Intl.DateTimeFormat(form === 'paper' ? workspace.notation.locale : 'en-GB', {
      ...FORMS[form],
      timeZone: workspace.shop?.timeZone ?? undefined,
    }).format(new Date(at))
}
