<script setup lang="ts">
import {
  type Advice,
  changeToTryText,
  HEAT_SCALE,
  heatColorText,
  type Move,
  signText,
  stopText,
} from '@brannik/core'
import { computed, ref, watch } from 'vue'
import { useWorkspace } from '../../shop/workspace.ts'

/** One next change: its test first; where that is it, what to do, and the way back. */
const { advice, sign, canGoBack } = defineProps<{
  advice: Advice
  sign: string
  canGoBack: boolean
}>()
const emit = defineEmits<{
  ruledOut: []
  found: []
  set: [move: Move]
  back: []
  close: []
}>()
const workspace = useWorkspace()

/** The cause was found: its change is shown. */
const isFound = ref(false)
const cause = computed(() => advice.next?.cause ?? null)
watch([cause, () => sign], () => (isFound.value = false))
const said = computed(() => advice.next && changeToTryText(workspace.speech, advice.next))
const name = computed(() => signText(workspace.speech, sign))
/** The color tells heat and shielding, by TIG. */
const hasColors = computed(() => sign === 'dull-grey' || sign === 'sugar-root')

function found(): void {
  isFound.value = true
  emit('found')
}
function set(): void {
  if (advice.next?.move) emit('set', advice.next.move)
}
function back(): void {
  if (isFound.value) isFound.value = false
  else emit('back')
}
</script>

<template>
  <section class="step" aria-live="polite" :aria-label="`Find the cause: ${name}`">
    <p class="label">
      {{ name }}<template v-if="advice.next"> · {{ advice.next.step }} of {{ advice.next.of }}</template>
    </p>
    <ul v-if="hasColors" class="colors">
      <li v-for="color in HEAT_SCALE" :key="color">
        <i :class="color" aria-hidden="true" />{{ heatColorText(workspace.speech, color) }}
      </li>
    </ul>
    <template v-if="advice.next && said">
      <h3>{{ said.cause }}</h3>
      <p>{{ said.test }}</p>
      <template v-if="isFound">
        <p class="change">{{ said.change }}</p>
        <p class="label">{{ said.undo }}</p>
      </template>
    </template>
    <p v-else class="change">{{ stopText(workspace.speech, advice) }}</p>
    <p class="acts">
      <button v-if="advice.next && !isFound" class="plain-button" @click="emit('ruledOut')">
        Yes, all right
      </button>
      <button v-if="advice.next && !isFound" class="plain-button main" @click="found">No, that is it</button>
      <button v-if="isFound && advice.next?.move" class="plain-button main" @click="set">Set it here</button>
      <button v-if="advice.next && isFound" class="plain-button" @click="emit('ruledOut')">
        It did not help
      </button>
      <button v-if="isFound || canGoBack" class="plain-button" @click="back">Back</button>
      <button class="plain-button" @click="emit('close')">Close</button>
    </p>
  </section>
</template>

<style scoped>
.step {
  border: 1px solid var(--line-strong);
  border-radius: var(--radius);
  display: grid;
  gap: 6px;
  padding: 12px 14px;
}
h3 {
  font-size: var(--text-l);
}
.change {
  font-weight: 700;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  margin-top: 4px;
}
.acts button {
  min-height: 48px;
}
.colors {
  display: grid;
  font-size: var(--text-s);
  gap: 2px;
}
.colors li {
  align-items: center;
  display: flex;
  gap: 8px;
}
.colors i {
  border: 1px solid var(--line-strong);
  border-radius: 50%;
  flex: none;
  height: 16px;
  width: 16px;
}
/* Colors of heated steel, not of the theme. */
.silver {
  background: linear-gradient(90deg, #d7d9da 50%, #d9c58f 50%);
}
.gold {
  background: linear-gradient(90deg, #b98b3a 50%, #7a5583 50%);
}
.blue {
  background: #3f628c;
}
.grey {
  background: linear-gradient(90deg, #7c7c7a 50%, #2b2a29 50%);
}
</style>
