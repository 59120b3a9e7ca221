<script setup lang="ts">
import AssumptionGroups from './AssumptionGroups.vue'
import ShopHead from './ShopHead.vue'

/** Every figure that the computation assumes, with its source; the shop sets its own. */
</script>

<template>
  <section class="assumptions">
    <ShopHead />
    <AssumptionGroups />
  </section>
</template>

<style scoped>
.assumptions {
  display: grid;
  gap: 12px;
  grid-template-columns: minmax(0, 1fr);
  padding: 10px 20px 32px;
}
</style>
