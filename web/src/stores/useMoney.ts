/** Money as the shop's currency is written. */
import { computed } from 'vue'
import { useWorkspace } from '../shop/workspace.ts'

/** @returns prints an amount: `$3.90`, `$2,150` */
export function useMoney(): (amount: number) => string {
  const workspace = useWorkspace()
  const format = computed(
    () =>
      new Intl.NumberFormat(workspace.notation.locale, {
        style: 'currency',
        currency: workspace.shop?.currency ?? 'USD',
        trailingZeroDisplay: 'stripIfInteger',
      }),
  )
  return (amount) => format.value.format(amount)
}
