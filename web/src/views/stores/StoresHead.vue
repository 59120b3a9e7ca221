<script setup lang="ts">
import PlaceHead from '../../components/PlaceHead.vue'
import { useStoresTabs } from './storesTabs.ts'

const tabs = useStoresTabs()
</script>

<template>
  <PlaceHead title="Stores" :tabs="tabs"><slot /></PlaceHead>
</template>
