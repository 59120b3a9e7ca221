<script setup lang="ts">
/** The frame of people and records: panels with tables and a bar of fields, one look for all. */
</script>

<template>
  <section class="frame-of-panels"><slot /></section>
</template>

<style scoped>
.frame-of-panels {
  display: grid;
  gap: 12px;
  grid-template-columns: minmax(0, 1fr);
  max-width: 1080px;
  padding: 10px 20px 20px;
}
.frame-of-panels :deep(.panel) {
  display: grid;
  gap: 12px;
  grid-template-columns: minmax(0, 1fr);
  padding: 16px;
}
.frame-of-panels :deep(.v-table :is(th, td)) {
  font-weight: 400;
  vertical-align: middle;
}
.frame-of-panels :deep(.v-table .number) {
  text-align: right;
}
.frame-of-panels :deep(.bar) {
  align-items: end;
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
}
.frame-of-panels :deep(.bar > .frame) {
  width: 230px;
}
.frame-of-panels :deep(.bar > .role) {
  width: 120px;
}
.frame-of-panels :deep(.wide) {
  overflow-x: auto;
}
</style>
