<script setup lang="ts">
import { computed } from 'vue'
import { useRoute } from 'vue-router'
import { useFocusReturn } from '../components/useFocusReturn.ts'
import { viewOf } from '../views/index.ts'
import { usePrint } from '../stores/usePrint.ts'
import type { HelpPart } from './help.ts'
import { helpOf } from './viewHelps.ts'

/** What stands behind the (?) of the open view: what it answers and how to read it, beside it. */
const { activator } = defineProps<{ activator: HTMLElement }>()
const open = defineModel<boolean>({ required: true })
const emit = defineEmits<{ more: [part: HelpPart] }>()
const route = useRoute()
const { spell } = usePrint()
useFocusReturn(open)
const view = computed(() => viewOf(route.name))

function more(part: HelpPart): void {
  open.value = false
  emit('more', part)
}
</script>

<template>
  <VMenu
    v-if="view"
    v-model="open"
    :activator="activator"
    :open-on-click="false"
    location="bottom end"
    :offset="6"
    :close-on-content-click="false"
    :transition="false"
  >
    <section class="sheet view-help" role="dialog" :aria-label="`Help: ${view.title ?? view.place}`">
      <h2>{{ view.title ?? view.place }}</h2>
      <p v-for="line in helpOf(view.name)" :key="line">{{ spell(line) }}</p>
      <footer>
        <button class="link-button" @click="more('words')">Glossary</button>
        <button class="link-button" @click="more('keys')">Keys</button>
      </footer>
    </section>
  </VMenu>
</template>

<style scoped>
.view-help {
  border: 1px solid var(--line-strong);
  display: grid;
  gap: 8px;
  max-width: min(380px, calc(100vw - 24px));
  padding: 14px 18px 16px;
}
h2 {
  font-size: var(--text-l);
}
footer {
  border-top: 1px solid var(--line);
  display: flex;
  gap: 20px;
  padding-top: 8px;
}
</style>
