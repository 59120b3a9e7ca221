<script setup lang="ts">
/** What can hurt somebody, beside what it belongs to. */
const { hasCord = false, hasGenerator = false } = defineProps<{
  hasCord?: boolean
  hasGenerator?: boolean
}>()
</script>

<template>
  <p class="caution">
    Unplug the machine before you open it. Wiring is for a licensed electrician. Data plate and local code
    decide. Never fit a larger breaker without matching cable.
    <template v-if="hasCord">Lay the extension cord out straight. A coiled cord melts.</template>
    <template v-if="hasGenerator">
      Run a generator outdoors. Its exhaust kills. Never feed a building without a transfer switch.
    </template>
  </p>
</template>

<style scoped>
.caution {
  color: var(--ink-2);
  font-size: var(--text-s);
  margin: 0;
}
</style>
