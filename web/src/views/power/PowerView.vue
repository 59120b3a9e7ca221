<script setup lang="ts">
import { computed } from 'vue'
import { useRoute } from 'vue-router'
import JobPower from './JobPower.vue'
import ShopPower from './ShopPower.vue'

/** Will it run on what is here: one job on every circuit, or everybody at once on the whole supply. */
const route = useRoute()
const isShop = computed(() => route.params['page'] === 'shop')
const PAGES = [
  [undefined, 'One job'],
  ['shop', 'The whole shop'],
] as const
</script>

<template>
  <section class="power">
    <header>
      <h1>Power</h1>
      <nav class="pages screen-only" aria-label="What is looked at">
        <RouterLink
          v-for="[page, words] in PAGES"
          :key="words"
          :to="{ name: 'power', params: { page } }"
          :class="{ here: isShop === (page === 'shop') }"
          :aria-current="isShop === (page === 'shop') ? 'page' : undefined"
          >{{ words }}</RouterLink
        >
      </nav>
    </header>
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
header {
  align-items: baseline;
  display: flex;
  flex-wrap: wrap;
  gap: 4px 24px;
}
.pages {
  display: flex;
  gap: 4px 18px;
}
.pages a {
  color: var(--ink-2);
  padding: 4px 2px;
  text-decoration: none;
}
.pages a.here {
  border-bottom: 2px solid var(--copper);
  color: var(--ink);
  font-weight: 700;
}
</style>
