<script setup lang="ts">
import type { TextRead } from '@brannik/core'
import { computed, ref, useId, watch } from 'vue'

/** One cell of a weld line: reads at every key, says what it understood, keeps what it could not read. */
const { printed, label, read, accept } = defineProps<{
  printed: string
  label: string
  read: (text: string) => TextRead
  /** Takes what was read; answers what is wrong with it, or nothing. */
  accept: (read: TextRead & { ok: true }) => string | null
}>()

const id = useId()
const text = ref(printed)
const focused = ref(false)
const problem = ref<string | null>(null)
const understood = ref<string | null>(null)

watch(
  () => printed,
  (now) => {
    if (!focused.value || text.value === '') text.value = now
    if (!focused.value) problem.value = null
  },
)

function onInput(event: Event): void {
  text.value = (event.target as HTMLInputElement).value
  const answer = read(text.value)
  understood.value = answer.ok ? answer.understood : null
  problem.value = answer.ok ? accept(answer) : answer.message
}

function onBlur(): void {
  focused.value = false
  understood.value = null
  if (problem.value === null) text.value = printed
}

/** Escape gives up what cannot be read. */
function onEscape(): void {
  text.value = printed
  problem.value = null
  understood.value = null
}
const hint = computed(() =>
  focused.value && problem.value === null && understood.value !== text.value ? understood.value : null,
)
</script>

<template>
  <div class="cell" :class="{ wrong: problem !== null }">
    <input
      :value="text"
      type="text"
      autocomplete="off"
      spellcheck="false"
      :aria-label="label"
      :aria-invalid="problem !== null"
      :aria-describedby="problem || hint ? id : undefined"
      @input="onInput"
      @focus="focused = true"
      @blur="onBlur"
      @keydown.esc.stop="onEscape"
    />
    <p v-if="problem" :id="id" class="bubble problem" role="alert">{{ problem }}</p>
    <p v-else-if="hint" :id="id" class="bubble">{{ hint }}</p>
  </div>
</template>

<style scoped>
.cell {
  min-width: 0;
  position: relative;
}
input {
  background: transparent;
  border: 1px solid transparent;
  border-radius: 3px;
  color: var(--ink);
  height: 28px;
  padding: 0 6px;
  text-overflow: ellipsis;
  width: 100%;
}
input:hover {
  border-color: var(--line-strong);
}
input:focus {
  background: var(--sheet);
  border-color: var(--copper);
  outline: 1px solid var(--copper);
}
.wrong input {
  border-color: var(--fails);
}
</style>
