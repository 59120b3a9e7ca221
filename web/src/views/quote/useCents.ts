/** Money to the cent, as a cost and a quote are written. */
import { computed } from 'vue'
import { useWorkspace } from '../../shop/workspace.ts'

/** @returns prints cents: `$298.44` */
export function useCents(currency?: () => string): (cents: number) => string {
  const workspace = useWorkspace()
  const format = computed(
    () =>
      new Intl.NumberFormat(workspace.notation.locale, {
        style: 'currency',
        currency: currency?.() ?? workspace.shop?.currency ?? 'USD',
      }),
  )
  return (cents) => format.value.format(cents / 100)
}
