<script setup lang="ts">
import { computed } from 'vue'

/** The list behind a `ChoiceField`: most of what it takes to draw one, so it is fetched when a page may show it. */
const { items } = defineProps<{ items: readonly { id: string | null; name: string; note?: string }[] }>()
const model = defineModel<string | null>({ required: true })
defineOptions({ inheritAttrs: false })

/** A name that is deleted to type another chooses nothing, unless nothing is one of the choices. */
const picked = computed({
  get: () => model.value,
  set(now) {
    if (now !== null || items.some(({ id }) => id === null)) model.value = now
  },
})

/** The first press takes the whole name, as Tab does: what is typed then takes its place. */
let isFresh = false
function takeWhole({ target }: FocusEvent): void {
  if (!(target instanceof HTMLInputElement)) return
  target.select()
  isFresh = true
}
function keepWhole({ target }: MouseEvent): void {
  if (isFresh && target instanceof HTMLInputElement && target.selectionStart === target.selectionEnd)
    target.select()
  isFresh = false
}
</script>

<template>
  <div class="list" @focusin="takeWhole" @click="keepWhole">
    <VAutocomplete
      v-bind="$attrs"
      v-model="picked"
      :items="items"
      item-value="id"
      item-title="name"
      auto-select-first
    >
      <template #item="{ props: itemProps, item }">
        <VListItem v-bind="itemProps" :subtitle="item.note ?? ''" />
      </template>
    </VAutocomplete>
  </div>
</template>

<style scoped>
.list {
  display: contents;
}
</style>
