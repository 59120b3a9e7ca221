/** Keys that are pressed between asking for something and its being there: who types fast loses none. */
import { onKeyStroke } from '@vueuse/core'
import { type Ref, ref } from 'vue'

export interface EarlyKeys {
  readonly text: string
  /** Enter was pressed behind it. */
  readonly isEntered: boolean
}
export const NO_KEYS: EarlyKeys = { text: '', isEntered: false }

/** @returns what the keys so far have written; a key behind Enter is for whatever comes then */
export function afterKey(keys: EarlyKeys, key: string): EarlyKeys {
  if (keys.isEntered) return keys
  if (key === 'Enter') return { ...keys, isEntered: true }
  if (key === 'Backspace') return { ...keys, text: keys.text.slice(0, -1) }
  return key.length === 1 ? { ...keys, text: keys.text + key } : keys
}

/** @param isAwaited while it is on, keys are kept and go nowhere else */
export function useEarlyKeys(isAwaited: Readonly<Ref<boolean>>): Ref<EarlyKeys> {
  const keys = ref(NO_KEYS)
  onKeyStroke(true, (event) => {
    if (!isAwaited.value || event.ctrlKey || event.metaKey || event.altKey) return
    event.preventDefault()
    keys.value = afterKey(keys.value, event.key)
  })
  return keys
}
