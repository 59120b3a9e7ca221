<script setup lang="ts">
import { computed } from 'vue'
import { useRoute } from 'vue-router'
import PlaceHead from '../../components/PlaceHead.vue'
import JobPower from './JobPower.vue'
import ShopPower from './ShopPower.vue'

/** What trips when: one job on every circuit, or everyone at once on the whole supply. */
const route = useRoute()
const isShop = computed(() => route.params['page'] === 'shop')
const tabs = computed(() => [
  { title: 'One job', to: { name: 'power', params: { page: undefined } }, isHere: !isShop.value },
  { title: 'Whole shop', to: { name: 'power', params: { page: 'shop' } }, isHere: isShop.value },
])
</script>

<template>
  <section class="power">
    <PlaceHead title="Power" :tabs="tabs" />
    <ShopPower v-if="isShop" />
    <JobPower v-else />
  </section>
</template>

<style scoped>
.power {
  display: grid;
  gap: 10px;
  grid-template-columns: minmax(0, 1fr);
  padding: 10px 20px 20px;
}
</style>
