<script setup lang="ts">
import { ref, useTemplateRef, watch } from 'vue'

/** What stands around a field: its name above with what was understood beside it, and below it what is wrong. */
const {
  id,
  label = '',
  problem = null,
  hint = null,
  isTyping = false,
} = defineProps<{
  /** Of the field. */
  id: string
  /** Empty where something beside the field says what it is. */
  label?: string
  problem?: string | null
  hint?: string | null
  /** Whoever is still typing is given a moment before being told. */
  isTyping?: boolean
}>()

/** At the right edge of the page the reason runs to the left. */
const MOST_PX = 300
const told = useTemplateRef<HTMLElement>('told')
const isAtEnd = ref(false)
watch(told, (shown) => {
  const left = shown?.parentElement?.getBoundingClientRect().left ?? 0
  isAtEnd.value = left + MOST_PX > window.innerWidth
})
</script>

<template>
  <div class="frame">
    <div v-if="label || hint" class="top" :class="{ alone: !label }">
      <label v-if="label" :for="id" class="label">{{ label }}</label>
      <span v-if="hint && !problem" :id="`${id}-told`" class="hint">{{ hint }}</span>
    </div>
    <slot />
    <p
      v-if="problem"
      :id="`${id}-told`"
      ref="told"
      class="problem told"
      :class="{ soon: isTyping, 'at-end': isAtEnd }"
      role="alert"
    >
      {{ problem }}
    </p>
  </div>
</template>

<style scoped>
.frame {
  align-content: start;
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  min-width: 0;
  position: relative;
}
.top {
  align-items: baseline;
  display: flex;
  gap: 6px;
  justify-content: space-between;
  min-width: 0;
}
.label {
  flex: 1 1 auto;
  white-space: nowrap;
}
/* What was understood takes the name's line while somebody types, all of it: it moves nothing, and no end of the name stands out. */
.hint {
  background: var(--copper-soft);
  border-radius: 2px;
  color: var(--ink);
  font-size: var(--text-s);
  padding: 0 4px;
  pointer-events: none;
  position: absolute;
  left: 0;
  min-width: 100%;
  top: 0;
  white-space: nowrap;
  z-index: 20;
}
.alone .hint {
  bottom: 100%;
  top: auto;
}
/* As wide as it needs to be read: beside it, below the neighbours, there is nothing. */
.told {
  font-size: var(--text-s);
  line-height: 1.3;
  max-width: 300px;
  overflow-wrap: break-word;
  padding-top: 2px;
  width: max-content;
}
.told.at-end {
  justify-self: end;
}
.frame:focus-within .told {
  position: relative;
  z-index: 2;
}
.soon {
  animation: told 1ms 500ms both;
}
@keyframes told {
  from {
    max-height: 0;
    overflow: hidden;
    padding: 0;
    visibility: hidden;
  }
}
</style>
