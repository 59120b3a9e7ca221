<script setup lang="ts">
import {
  inShopUnits,
  type Joint,
  LINE_FIELDS,
  type LineField,
  type Notation,
  readLineField,
} from '@brannik/core'
import { computed, ref } from 'vue'
import PickField from '../../components/PickField.vue'
import TypedField from '../../components/TypedField.vue'

/** What can be done with several welds at once: one field of all of them, a copy of each, or none of them. */
const { welds, notation, numberOf } = defineProps<{
  /** The picked ones, in their order. */
  welds: readonly Joint[]
  notation: Notation
  numberOf: (id: string) => number
}>()
const emit = defineEmits<{
  change: [joints: readonly Joint[], what: string]
  duplicate: [ids: readonly string[]]
  remove: [ids: readonly string[]]
  clear: []
}>()

const FIELD_ITEMS = LINE_FIELDS.map((field) => [field, field] as const)
const field = ref<LineField>('Position')
const text = ref('')
const isTried = ref(false)

/** Each weld is read with what was typed, so that a gauge is one of its own metal. */
const read = computed(() =>
  welds.map((weld) => ({ weld, answer: readLineField(field.value, text.value, weld, notation) })),
)
const changed = computed(() => read.value.flatMap(({ answer }) => (answer.ok ? [answer.joint] : [])))
const problem = computed(() => {
  const [first, ...more] = read.value.filter(({ answer }) => !answer.ok)
  if (!first || first.answer.ok || text.value.trim() === '' || !isTried.value) return ''
  const others = more.length === 0 ? '' : ` Nor can ${more.length} more.`
  return `Weld ${numberOf(first.weld.id)} cannot be so: ${inShopUnits(first.answer.message, notation)}${others}`
})

function apply(): void {
  isTried.value = true
  if (changed.value.length < welds.length) return
  emit('change', changed.value, `${field.value.toLowerCase()} of ${welds.length} welds`)
  text.value = ''
  isTried.value = false
}
function choose(now: LineField | null): void {
  field.value = now ?? 'Position'
  isTried.value = false
}
const ids = computed(() => welds.map(({ id }) => id))
</script>

<template>
  <div class="picks" role="group" aria-label="Picked welds">
    <strong>{{ welds.length }} picked</strong>
    <form @submit.prevent="apply">
      <PickField
        class="field"
        name="Field to change"
        :items="FIELD_ITEMS"
        :model-value="field"
        @update:model-value="choose"
      />
      <TypedField
        v-model="text"
        class="text"
        :name="`${field} of the picked welds`"
        :placeholder="`new ${field.toLowerCase()}`"
        @update:model-value="isTried = false"
      />
      <button class="plain-button" type="submit" :disabled="text.trim() === ''">Change all</button>
    </form>
    <button class="plain-button" @click="emit('duplicate', ids)">Duplicate</button>
    <button class="plain-button" @click="emit('remove', ids)">Delete</button>
    <button class="link-button" @click="emit('clear')">Clear</button>
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
  </div>
</template>

<style scoped>
.picks {
  align-items: center;
  border-top: 1px solid var(--line-strong);
  display: flex;
  flex-wrap: wrap;
  gap: 6px 10px;
  padding: 6px 12px;
}
form {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}
.field {
  width: 112px;
}
.text {
  width: 150px;
}
.problem {
  flex-basis: 100%;
}
</style>
