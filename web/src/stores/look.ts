/** Light or dark: the system's choice until somebody makes one. */
import { usePreferredDark, useLocalStorage } from '@vueuse/core'
import { computed } from 'vue'

export type LookChoice = 'system' | 'light' | 'dark'

export function useLook() {
  const choice = useLocalStorage<LookChoice>('brannik.look', 'system')
  const systemDark = usePreferredDark()
  const theme = computed(() =>
    choice.value === 'system' ? (systemDark.value ? 'dark' : 'light') : choice.value,
  )
  return { choice, theme }
}
