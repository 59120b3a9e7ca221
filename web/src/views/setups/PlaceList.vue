<script setup lang="ts">
import type { Slot } from '@brannik/core'
import VerdictMark from '../../components/VerdictMark.vue'
import type { Place } from './useAssembly.ts'

/** The places of a set-up from the circuit to the arc, each with what stands in it and what is said of it. */
const { places, open, cautions } = defineProps<{
  places: readonly Place[]
  open: Slot | null
  cautions: readonly string[]
}>()
const emit = defineEmits<{ open: [slot: Slot | null]; complete: [] }>()
</script>

<template>
  <div class="places">
    <ol>
      <li v-for="one in places" :key="one.slot">
        <button
          class="pick place"
          :class="{ here: one.slot === open, wrong: one.verdict === 'fails' }"
          :aria-expanded="one.slot === open"
          :data-slot="one.slot"
          @click="emit('open', open === one.slot ? null : one.slot)"
        >
          <span class="slot">{{ one.title }}</span>
          <span class="what one-line" :class="{ nothing: one.name === null }">{{
            one.name ?? (one.required ? 'choose one' : 'none')
          }}</span>
          <span class="buy">{{ one.toBuy ? 'to buy' : '' }}</span>
          <VerdictMark :verdict="one.verdict" :word="false" />
          <span v-if="one.sentence && one.name" v-tip="one.sentence" class="label sentence">{{
            one.sentence
          }}</span>
        </button>
      </li>
    </ol>
    <p class="foot">
      <button class="link-button" @click="emit('complete')">Choose small parts from stock</button>
    </p>
    <ul class="label foot">
      <li v-for="caution in cautions" :key="caution">{{ caution }}</li>
    </ul>
  </div>
</template>

<style scoped>
.places {
  overflow: auto;
}
.place {
  align-items: center;
  gap: 0 10px;
  grid-template-columns: 96px minmax(0, 1fr) auto 16px;
  min-height: 46px;
  padding: 3px 12px 3px 10px;
}
.place.here {
  background: var(--copper-soft);
}
.slot {
  color: var(--ink-2);
}
.here .slot {
  color: var(--ink);
}
.what {
  font-weight: 600;
}
.buy {
  color: var(--copper);
  font-weight: 600;
}
.here .buy {
  color: var(--ink);
}
.nothing {
  color: var(--unknown);
  font-weight: 400;
}
.sentence {
  grid-column: 2 / -1;
  line-height: 1.25;
}
.wrong .sentence {
  color: var(--fails);
}
.here .sentence {
  color: var(--ink);
}
.foot {
  padding: 8px 13px 0;
}
@media print {
  .place {
    min-height: 34px;
  }
}
</style>
