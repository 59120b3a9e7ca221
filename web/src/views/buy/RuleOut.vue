<script setup lang="ts">
import { useLocalStorage } from '@vueuse/core'
import { computed } from 'vue'

/** Before a machine that does not weld is replaced: five things that are looked at in a minute. Asked once. */
const FIVE = ['polarity', 'drive roll', 'contact tip', 'spool brake', 'work clamp'] as const
const looked = useLocalStorage<readonly string[]>('brannik.ruledOut', [])
const isAsked = computed(() => FIVE.some((one) => !looked.value.includes(one)))
const toggle = (one: string): void => {
  looked.value = looked.value.includes(one)
    ? looked.value.filter((other) => other !== one)
    : [...looked.value, one]
}
</script>

<template>
  <div v-if="isAsked" class="rule-out sheet screen-only" role="group" aria-label="Rule out first">
    <span>Does a machine not weld? Rule these out before you buy or sell:</span>
    <label v-for="one in FIVE" :key="one">
      <input type="checkbox" :checked="looked.includes(one)" @change="toggle(one)" /> {{ one }}
    </label>
    <button class="link-button" @click="looked = [...FIVE]">None of my machines</button>
  </div>
</template>

<style scoped>
.rule-out {
  align-items: center;
  display: flex;
  flex-wrap: wrap;
  gap: 4px 14px;
  padding: 6px 14px;
}
label {
  align-items: center;
  cursor: pointer;
  display: inline-flex;
  gap: 6px;
}
@media (pointer: coarse) {
  label,
  button {
    min-height: 44px;
  }
  label {
    padding: 0 8px 0 12px;
  }
  input {
    height: 24px;
    width: 24px;
  }
}
</style>
