<script setup lang="ts">
import { computed, useAttrs, useId, useTemplateRef } from 'vue'
import type { VTextField } from 'vuetify/components'
import FieldFrame from './FieldFrame.vue'

/** A field that is typed into, with its name above. What else an input may have (type, inputmode, max) goes to it. */
defineOptions({ inheritAttrs: false })
const {
  label = '',
  name = '',
  problem = null,
  hint = null,
  isTyping = false,
} = defineProps<{
  label?: string
  /** Its name where no label stands above it. */
  name?: string
  problem?: string | null
  hint?: string | null
  isTyping?: boolean
}>()
const text = defineModel<string>({ required: true })
const emit = defineEmits<{ focused: [isFocused: boolean] }>()

const id = useId()
const attrs = useAttrs()
/** All but what lays the whole out. */
const inner = computed(() => {
  const { class: _class, style: _style, ...rest } = attrs
  return rest
})
const field = useTemplateRef<VTextField>('field')
defineExpose({ focus: () => field.value?.focus() })
</script>

<template>
  <FieldFrame
    :id="id"
    :class="$attrs['class']"
    :label="label"
    :problem="problem"
    :hint="hint"
    :is-typing="isTyping"
  >
    <VTextField
      :id="id"
      ref="field"
      autocomplete="off"
      :model-value="text"
      :error="problem !== null"
      :aria-label="name || undefined"
      :aria-invalid="problem !== null"
      :aria-describedby="problem || hint ? `${id}-told` : undefined"
      v-bind="inner"
      @update:model-value="(now: unknown) => (text = String(now ?? ''))"
      @update:focused="(now: boolean) => emit('focused', now)"
    />
  </FieldFrame>
</template>
