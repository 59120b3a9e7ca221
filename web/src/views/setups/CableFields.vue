<script setup lang="ts">
import QuantityField from '../../components/QuantityField.vue'
import TextField from '../../components/TextField.vue'
import { readConductorSize } from '../../components/conductorSize.ts'
import { useWorkspace } from '../../shop/workspace.ts'

/** A cable that is laid for the work: its size as printed on it, and once it is there how long it is. */
const { label, none, lengthLabel, size, lengthMm } = defineProps<{
  label: string
  /** What an empty size means. */
  none: string
  lengthLabel: string
  size: string | null
  lengthMm: number | null
}>()
const emit = defineEmits<{ size: [size: string | null]; length: [lengthMm: number | null] }>()
const workspace = useWorkspace()
</script>

<template>
  <TextField
    class="short-field"
    :label="label"
    :optional="none"
    :most="24"
    :accepts="(text) => readConductorSize(text, workspace.notation.system === 'imperial')"
    :model-value="size ?? ''"
    @update:model-value="(now) => emit('size', now === '' ? null : now)"
  />
  <QuantityField
    v-if="size !== null"
    class="short-field"
    kind="run"
    :label="lengthLabel"
    optional="not set"
    :model-value="lengthMm"
    @update:model-value="(now) => emit('length', now)"
  />
</template>

<style scoped>
.short-field {
  width: 88px;
}
</style>
