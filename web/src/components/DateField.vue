<script setup lang="ts">
import { computed } from 'vue'
import { useWorkspace } from '../shop/workspace.ts'
import { printDay, readDay } from './dates.ts'
import type { Read } from './useTyped.ts'
import ValueField from './ValueField.vue'

/** A field for a day, typed as people say it; the day that was understood is shown with its weekday. */
const { label } = defineProps<{ label: string }>()
/** `2026-12-03`; null for none. */
const model = defineModel<string | null>({ required: true })

const workspace = useWorkspace()
const locale = computed(() => workspace.notation.locale)
const printed = computed(() => (model.value === null ? '' : printDay(model.value, locale.value)))

function read(text: string): Read<string | null> {
  if (text.trim() === '') return { ok: true, value: null, understood: 'open' }
  const now = new Date()
  const day = readDay(text, locale.value, now)
  if (day !== null) return { ok: true, value: day, understood: printDay(day, locale.value) }
  const example = printDay(now.toISOString().slice(0, 10), locale.value)
  return {
    ok: false,
    message: `“${text.trim()}” is not a date. Enter for example ${example}, 2027-01-31, next Friday or in 2 weeks.`,
  }
}
</script>

<template>
  <ValueField v-model="model" :printed="printed" :read="read" :label="label" placeholder="open" />
</template>
