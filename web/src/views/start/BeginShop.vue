<script setup lang="ts">
import { type Shop } from '@brannik/core'
import { ref } from 'vue'
import { useRouter } from 'vue-router'
import PickField from '../../components/PickField.vue'
import TypedField from '../../components/TypedField.vue'
import { reasonOf } from '../../reason.ts'
import { useWorkspace } from '../../shop/workspace.ts'
import { emptyShop, localeHere } from './emptyShop.ts'

/** The name of a new shop and its units; then the shop is there, empty, and the guided start opens. */
const emit = defineEmits<{ begun: [] }>()
const workspace = useWorkspace()
const router = useRouter()

const name = ref('')
const unitSystem = ref<Shop['unitSystem'] | null>(localeHere() === 'en-US' ? 'imperial' : 'metric')
const problem = ref<string | null>(null)
const isBusy = ref(false)

const UNITS = [
  ['imperial', 'inch, lb, ft³'],
  ['metric', 'mm, kg, L'],
] as const

async function begin(): Promise<void> {
  if (isBusy.value) return
  if (name.value.trim() === '') {
    problem.value = 'The name is empty. Enter the name of your shop.'
    return
  }
  isBusy.value = true
  try {
    await workspace.begin(emptyShop(name.value.trim(), unitSystem.value ?? 'imperial'))
    emit('begun')
    await router.push({ name: 'start' })
  } catch (error) {
    problem.value = `Not started: ${reasonOf(error)}`
  } finally {
    isBusy.value = false
  }
}
</script>

<template>
  <form class="begin-shop" @submit.prevent="begin">
    <TypedField
      v-model="name"
      label="Name of your shop"
      :problem="problem"
      @update:model-value="problem = null"
    />
    <PickField v-model="unitSystem" label="Units" :items="UNITS" />
    <button class="plain-button main" :disabled="isBusy">
      {{ isBusy ? 'Beginning…' : 'Start my shop' }}
    </button>
  </form>
</template>

<style scoped>
.begin-shop {
  display: grid;
  gap: 12px;
  grid-template-columns: minmax(0, 1fr) 150px;
}
.begin-shop button {
  grid-column: 1 / -1;
  justify-self: start;
}
</style>
