<script setup lang="ts">
import PlaceHead from '../../components/PlaceHead.vue'
import { useShopTabs } from './shopTabs.ts'

const tabs = useShopTabs()
</script>

<template>
  <PlaceHead title="Shop" :tabs="tabs"><slot /></PlaceHead>
</template>
