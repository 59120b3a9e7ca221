<script setup lang="ts">
/** What can hurt somebody, beside what it belongs to. */
const { hasCord = false, hasGenerator = false } = defineProps<{
  hasCord?: boolean
  hasGenerator?: boolean
}>()
</script>

<template>
  <p class="caution">
    Unplug before you open a machine or a panel. Wiring is for a licensed electrician; the data plate and the
    local code decide. Never a larger breaker without the cable for it.
    <template v-if="hasCord">Lay the extension cord out straight: a coiled cord melts.</template>
    <template v-if="hasGenerator">
      Run a generator outdoors: its exhaust kills. Never let one feed a building without a transfer switch.
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
