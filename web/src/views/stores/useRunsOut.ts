/** What the planned jobs draw from what is on hand, in words and units of the shop. */
import { arrivalsOf, type Draw, expectedGauge, type RunOut } from '@brannik/core'
import { computed } from 'vue'
import { dateFormat } from '../../dateFormat.ts'
import { type Question, useAnswer } from '../../engine/useAnswer.ts'
import { useWorkspace } from '../../shop/workspace.ts'
import { usePrint } from '../../stores/usePrint.ts'
import { useReading } from '../../stores/useReading.ts'
import { printDay } from '../../components/dates.ts'

export function useRunsOut() {
  const workspace = useWorkspace()
  const { print } = usePrint()
  const reading = useReading()
  const { answer, failure, isComputing } = useAnswer<'runsOut'>(
    computed((): Question<'runsOut'> => ['runsOut', arrivalsOf(workspace.all('orders'))]),
  )
  const amount = (value: number, unit: RunOut['unit']): string => print(value, unit)
  const day = (dueOn: string | null): string =>
    dueOn === null ? 'no due day' : printDay(dueOn, workspace.notation.locale)
  const shortened = (iso: string): string =>
    dateFormat(workspace.notation.locale, { day: 'numeric', month: 'short', timeZone: 'UTC' }).format(
      new Date(iso),
    )
  /** The gauge after a job; empty where there is none to read. */
  function gaugeText({ kind, itemId }: RunOut, { after }: Draw): string {
    const gas = kind === 'gas' ? workspace.get('gases', itemId) : null
    const gauge = gas && after !== null && after > 0 ? expectedGauge(after, gas, reading.value) : null
    return gauge ? `gauge ${gauge.value.toLocaleString(workspace.notation.locale)} ${gauge.unit}` : ''
  }
  const endText = ({ endsAt, onHand }: RunOut): string =>
    onHand === null
      ? 'not counted'
      : endsAt?.ends
        ? `ends at weld ${endsAt.ends.welds + 1} of ${endsAt.ends.of}, ${endsAt.jobName}`
        : 'lasts for all planned jobs'
  return {
    items: computed(() => answer.value ?? []),
    /** Whether there is an answer, or a reason why there is none. */
    isKnown: computed(() => answer.value !== null || failure.value !== ''),
    failure,
    isComputing,
    amount,
    day,
    shortened,
    gaugeText,
    endText,
  }
}
