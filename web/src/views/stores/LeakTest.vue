<script setup lang="ts">
import type { Vessel } from '@brannik/core'
import { computed, ref } from 'vue'
import CountField from '../../components/CountField.vue'
import GaugeField from '../log/GaugeField.vue'
import { useMoney } from '../../stores/useMoney.ts'
import { usePrint } from '../../stores/usePrint.ts'

/** What a closed line loses overnight: the valve of the cylinder open, the torch shut, read twice. */
const { vessel, pricePerL } = defineProps<{ vessel: Vessel; pricePerL: number | null }>()
const { print } = usePrint()
const money = useMoney()
const evening = ref<number | null>(null)
const morning = ref<number | null>(null)
const hours = ref<number | null>(14)

const HOURS_PER_MONTH = 730
/** Less than the gauge can show in a night is no leak. */
const TIGHT_L_PER_H = 0.5
const lost = computed(() => {
  if (evening.value === null || morning.value === null || !hours.value) return null
  return (evening.value - morning.value) / hours.value
})
const said = computed(() => {
  if (lost.value === null) return ''
  if (lost.value < 0) return 'More in the morning than in the evening: read both at the same temperature.'
  if (lost.value < TIGHT_L_PER_H) return 'Tight: it loses less than the gauge can show.'
  const month = lost.value * HOURS_PER_MONTH
  const cost = pricePerL === null ? '' : `, ${money(Math.round(month * pricePerL))} a month`
  return `Loses ${print(lost.value * 24, 'L')} a day${cost}. Soap every fitting, then read again.`
})
</script>

<template>
  <details class="leak">
    <summary>Leak test overnight</summary>
    <p class="label">
      Shut the torch, leave the cylinder valve open. Read in the evening and in the morning.
    </p>
    <div class="fields">
      <GaugeField v-model="evening" :gas="vessel" label="In the evening" />
      <GaugeField v-model="morning" :gas="vessel" label="In the morning" />
      <CountField v-model="hours" label="Hours between" :least="1" :most="1000" decimals />
    </div>
    <p v-if="said" role="status">{{ said }}</p>
  </details>
</template>

<style scoped>
.leak {
  border-top: 1px solid var(--line);
  padding-top: 6px;
}
summary {
  cursor: pointer;
  min-height: 28px;
}
.fields {
  align-items: start;
  display: grid;
  gap: 8px;
}
@media (pointer: coarse) {
  summary {
    align-content: center;
    min-height: 48px;
  }
}
</style>
