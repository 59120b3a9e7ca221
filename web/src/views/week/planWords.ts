/** What a plan says, in words: times, lateness, conflicts and what would help. */
import { DAY_MIN, dayOf, timeOf, type WeekBlock } from '@brannik/core'
import { dateFormat } from '../../dateFormat.ts'
import { useWorkspace } from '../../shop/workspace.ts'
import { useMoney } from '../../stores/useMoney.ts'
import type { WeekAnswer, WeekAsks } from '../../engine/questions/week.ts'

type Conflict = WeekAnswer['conflicts'][number]
type Save = WeekAsks['saves']['answer'][number]
type LeftOut = WeekAnswer['week']['leftOut'][number]

const HOUR_MIN = 60
const NEVER = 'never'

/** @example durationText(80) // '1 h 20 min' */
export function durationText(minutes: number): string {
  const whole = Math.max(0, Math.round(minutes))
  const [hours, rest] = [Math.floor(whole / HOUR_MIN), whole % HOUR_MIN]
  return hours === 0 ? `${rest} min` : rest === 0 ? `${hours} h` : `${hours} h ${rest} min`
}

export function usePlanWords() {
  const workspace = useWorkspace()
  const money = useMoney()
  const locale = (): string => workspace.notation.locale
  /** @param time a minute on the shop's clock, or a day: the zone of this device changes nothing of it */
  const printed = (time: string, how: Intl.DateTimeFormatOptions): string =>
    dateFormat(locale(), { ...how, timeZone: 'UTC' }).format(new Date(`${time}:00Z`))
  /** A run for which no welder has enough hours has no end. */
  const clock = (minute: number): string =>
    Number.isFinite(minute) ? printed(timeOf(minute), { hour: 'numeric', minute: '2-digit' }) : NEVER
  const day = (iso: string): string =>
    printed(`${iso}T00:00`, { weekday: 'short', day: 'numeric', month: 'short' })
  const weekday = (minute: number): string => day(dayOf(minute))
  const dayName = (minute: number): string => printed(timeOf(minute), { weekday: 'short' })
  const when = (minute: number): string =>
    Number.isFinite(minute) ? `${weekday(minute)} ${clock(minute)}` : NEVER
  /** Late is counted in days: customers count so. */
  function lateText(minutes: number): string {
    if (!Number.isFinite(minutes)) return 'never done'
    const days = Math.ceil(minutes / DAY_MIN)
    return days === 1 ? '1 day late' : `${days} days late`
  }
  const nameOf = ({ jobName, part, sharePct }: WeekBlock): string =>
    sharePct === 100 ? jobName : `${jobName}, part ${part}`

  function conflictText(conflict: Conflict): string {
    const { jobName } = conflict
    switch (conflict.kind) {
      case 'late':
        return `${jobName} is ${lateText(conflict.byMin)}.`
      case 'never':
        return `No welder has enough hours for ${jobName}.`
      case 'pin-late':
        return `${jobName} starts ${durationText(conflict.byMin)} after its pin${conflict.because === null ? '' : `: ${conflict.because} is in the way`}.`
      case 'runs-out':
        return `${conflict.item.name} runs out ${when(conflict.atMin)}, at weld ${conflict.ends.welds + 1} of ${conflict.ends.of} of ${jobName}.`
      case 'no-torch':
        return `${jobName} needs preheat, and the shop has no preheating torch.`
    }
  }
  /** The two cheapest ways out that need no search. */
  function waysOut(conflict: Conflict): readonly { readonly text: string; readonly to: string }[] {
    if (conflict.kind === 'runs-out') {
      const { packs, price, otherSetUps } = conflict
      const cost = price === null ? '' : `, ${money(packs * price)}`
      return [
        { text: `Order ${packs} of it${cost}`, to: 'order' },
        ...(otherSetUps[0] === undefined ? [] : [{ text: `Use ${otherSetUps[0]}`, to: 'block' }]),
      ]
    }
    if (conflict.kind === 'no-torch') return [{ text: 'Enter the torches that you have', to: 'assumptions' }]
    if (conflict.kind === 'pin-late') return [{ text: 'Unpin it', to: 'unpin' }]
    if (conflict.kind === 'never') return [{ text: 'Look at the hours of the welders', to: 'welders' }]
    return []
  }
  function saveText({ kind, price, isRent, setUpName, lateMin, later }: Save): string {
    const what = {
      first: 'Do it first',
      overtime: 'Work overtime',
      unpin: 'Remove all pins',
      machine: `${isRent ? 'Rent' : 'Buy'} ${setUpName ?? 'a machine'}`,
    }[kind]
    const cost = price === 0 ? '' : `, about ${money(Math.round(price))}${isRent ? ' a day' : ''}`
    const rest = lateMin === 0 ? 'in time then' : `${lateText(lateMin)} then`
    const others = later.length === 0 ? '' : `. Later by it: ${later.join(', ')}`
    return `${what}${cost}: ${rest}${others}.`
  }
  const leftOutText = ({ run, why }: LeftOut): string =>
    why === 'no-welder'
      ? `${run.job.name}: no welder may weld it.`
      : `${run.job.name}: nothing owned does it.`
  return {
    clock,
    dayName,
    weekday,
    day,
    when,
    lateText,
    nameOf,
    conflictText,
    waysOut,
    saveText,
    leftOutText,
  }
}
