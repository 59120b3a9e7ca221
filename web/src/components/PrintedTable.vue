<script setup lang="ts">
import { usePrinting } from './usePrinting.ts'

/** A list as it stands on paper, whole, however long; on the screen it is not there. */
defineProps<{
  title: string
  head: readonly string[]
  /** Asked for only when it is printed. */
  rows: () => readonly (readonly string[])[]
}>()
const isPrinting = usePrinting()
</script>

<template>
  <table v-if="isPrinting" class="printed">
    <caption>
      {{
        title
      }}
    </caption>
    <thead>
      <tr>
        <th v-for="name in head" :key="name" scope="col">{{ name }}</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="(row, index) in rows()" :key="index">
        <td v-for="(cell, column) in row" :key="column">{{ cell }}</td>
      </tr>
    </tbody>
  </table>
</template>

<style scoped>
@media screen {
  .printed {
    display: none;
  }
}
.printed {
  border-collapse: collapse;
  width: 100%;
}
caption {
  font-weight: 700;
  padding-bottom: 4px;
  text-align: left;
}
th,
td {
  border-bottom: 1px solid var(--line);
  padding: 3px 10px 3px 0;
  text-align: left;
  vertical-align: top;
}
</style>
