<script setup lang="ts" generic="T">
import { computed, ref, watch } from 'vue'
import { type Read, useTyped } from './useTyped.ts'

/** One cell of a line. What it has to say is said by the line, which has the room: see `told`. */
const { printed, label, read, toldBy } = defineProps<{
  printed: string
  label: string
  read: (text: string, before: T) => Read<T>
  /** The id of what says it. */
  toldBy: string
}>()
const model = defineModel<T>({ required: true })
/** Null where there is nothing to say. */
const emit = defineEmits<{ told: [said: { readonly text: string; readonly isWrong: boolean } | null] }>()

const typed = useTyped<T>({
  value: () => model.value,
  printed: () => printed,
  read: (text, before) => read(text, before),
  take: (value) => (model.value = value),
})
const { text, refusal, hint } = typed
/** What is too long for the cell is said whole by the line, while somebody is in it. */
const isCut = ref(false)
const whole = computed(() => (isCut.value ? text.value : null))
function enter(event: FocusEvent): void {
  const { scrollWidth, clientWidth } = event.target as HTMLInputElement
  isCut.value = scrollWidth > clientWidth
  typed.enter()
}
function leave(): void {
  isCut.value = false
  typed.leave()
}
watch([refusal, hint, whole], ([wrong, understood, all]) => {
  const said = wrong ?? understood ?? all
  emit('told', said === null ? null : { text: said, isWrong: wrong !== null })
})
</script>

<template>
  <input
    class="cell"
    :class="{ wrong: refusal !== null }"
    :value="text"
    type="text"
    autocomplete="off"
    spellcheck="false"
    :aria-label="label"
    :aria-invalid="refusal !== null"
    :aria-describedby="refusal || hint ? toldBy : undefined"
    @input="typed.input(($event.target as HTMLInputElement).value)"
    @focus="enter"
    @blur="leave"
    @keydown.enter="typed.settle"
    @keydown.esc="typed.giveUp"
  />
</template>

<style scoped>
.cell {
  background: transparent;
  border: 1px solid transparent;
  border-radius: 3px;
  color: var(--ink);
  height: 28px;
  min-width: 0;
  padding: 0 6px;
  text-overflow: ellipsis;
  width: 100%;
}
.cell:hover {
  border-color: var(--line-strong);
}
.cell:focus {
  background: var(--sheet);
  border-color: var(--copper);
  outline: 1px solid var(--copper);
}
.cell.wrong {
  border-color: var(--fails);
}
</style>
