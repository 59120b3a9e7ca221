<script setup lang="ts">
import type { Caution } from '@brannik/core'

/** What can hurt somebody, beside the decision that leads there. */
const { cautions } = defineProps<{ cautions: readonly Caution[] }>()
</script>

<template>
  <section class="cautions" aria-label="Cautions">
    <p v-for="caution in cautions" :key="caution.says">
      <strong>{{ caution.topic }}</strong> {{ caution.says }}
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
@media (max-width: 900px) {
  .cautions {
    columns: 1;
  }
}
</style>
