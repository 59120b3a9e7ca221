<script setup lang="ts">
import type { SpokenCard } from '@brannik/core'

/** The figures of a card to be read at two metres, on a tablet beside the machine. */
const { card, title } = defineProps<{ card: SpokenCard; title: string }>()
const emit = defineEmits<{ close: [] }>()
</script>

<template>
  <section class="sheet large" aria-label="Large figures">
    <header>
      <h2>{{ title }}</h2>
      <button class="plain-button" @click="emit('close')">Whole card</button>
    </header>
    <dl>
      <div v-for="{ id, title: name, value, unit, notes } in card.figures" :key="id">
        <dt>{{ unit ? `${name}, ${unit}` : name }}</dt>
        <dd>
          {{ value }} <small>{{ notes[0] ?? '' }}</small>
        </dd>
      </div>
    </dl>
    <p class="leads">{{ card.leads.text }}</p>
    <p class="pace">{{ card.pace }}</p>
  </section>
</template>

<style scoped>
.large {
  padding: 16px 24px;
}
header {
  align-items: center;
  display: flex;
  gap: 12px;
  justify-content: space-between;
}
dl {
  display: grid;
  gap: 8px 24px;
  grid-template-columns: repeat(auto-fit, minmax(min(100%, 300px), 1fr));
  margin: 12px 0;
}
dt {
  color: var(--ink-2);
  font-size: var(--text-l);
}
dd {
  font-size: clamp(44px, 8vw, 84px);
  font-weight: 700;
  line-height: 1.05;
}
small {
  display: block;
  font-size: var(--text-l);
  font-weight: 400;
}
.leads {
  font-size: var(--text-xxl);
  font-weight: 700;
}
.pace {
  font-size: var(--text-xl);
}
</style>
