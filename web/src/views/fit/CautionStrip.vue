<script setup lang="ts">
import { cautionText, type Message } from '@brannik/core'
import { computed } from 'vue'
import { useWorkspace } from '../../shop/workspace.ts'

/** What can hurt somebody, beside the decision that leads there. */
const { cautions } = defineProps<{ cautions: readonly Message[] }>()

const workspace = useWorkspace()
const spoken = computed(() => cautions.map((caution) => cautionText(workspace.speech, caution)))
</script>

<template>
  <section class="cautions" aria-label="Cautions">
    <p v-for="caution in spoken" :key="caution.text">
      <strong>{{ caution.topic }}</strong> {{ caution.text }}
    </p>
  </section>
</template>

<style scoped>
.cautions {
  color: var(--ink-2);
  columns: 2;
  column-gap: 24px;
  font-size: var(--text-s);
  line-height: 1.35;
}
p {
  break-inside: avoid;
  margin-bottom: 3px !important;
}
strong {
  color: var(--ink);
  margin-right: 2px;
}
@media screen and (max-width: 900px) {
  .cautions {
    columns: 1;
  }
}
</style>
