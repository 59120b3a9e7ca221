/** Whoever follows a link to a field finds it in sight and can type at once: `?field=Open-circuit voltage`. */
import { useTimeoutFn } from '@vueuse/core'
import { onMounted, watch } from 'vue'
import { useRoute } from 'vue-router'

const EVERY_MS = 100
/** A view that is fetched, and its fields, may take a moment. */
const MOST_TRIES = 30

/** The field itself, or one whose label says the same with its unit or in short: `Wind, mph`, `Hours`. */
function find(label: string): HTMLElement | null {
  const wanted = label.toLowerCase()
  const labels = [...document.querySelectorAll<HTMLLabelElement>('main label')].map((one) => ({
    one,
    text: one.textContent.trim().toLowerCase(),
  }))
  const named =
    labels.find(({ text }) => text === wanted) ??
    labels.find(({ text }) => text !== '' && (text.startsWith(wanted) || wanted.startsWith(text)))
  // A plate has one in each of its columns: `Open-circuit voltage at 240 V`.
  return (
    named?.one.control ?? document.querySelector<HTMLElement>(`main [aria-label^="${CSS.escape(label)}"]`)
  )
}

export function useNamedField(): void {
  const route = useRoute()
  let tries = 0
  function look(): void {
    const label = route.query['field']
    if (typeof label !== 'string' || label === '') return
    const control = find(label)
    if (control) {
      control.scrollIntoView({ block: 'center' })
      control.focus()
      if (control instanceof HTMLInputElement) control.select()
    } else if ((tries += 1) < MOST_TRIES) again.start()
  }
  const again = useTimeoutFn(look, EVERY_MS, { immediate: false })
  const begin = (): void => {
    tries = 0
    again.stop()
    look()
  }
  onMounted(begin)
  watch(() => route.query['field'], begin)
}
