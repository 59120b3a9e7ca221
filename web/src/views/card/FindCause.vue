<script setup lang="ts">
import { type Card, type Cause, changeToTryText, nextChange, type SpokenCard, stopText } from '@brannik/core'
import { computed, ref, watch } from 'vue'
import { useWorkspace } from '../../shop/workspace.ts'

/** What is seen leads to one next change: the commonest cause first, ruled out by a test of seconds. */
const { symptoms, weldClass } = defineProps<{
  symptoms: SpokenCard['symptoms']
  weldClass: Card['weldClass']
}>()
const workspace = useWorkspace()

const sign = ref<string | null>(null)
const ruledOut = ref<readonly Cause[]>([])
/** The cause was found: its change is shown. */
const isFound = ref(false)
watch(
  () => weldClass,
  () => open(null),
)
function open(code: string | null): void {
  sign.value = code
  ruledOut.value = []
  isFound.value = false
}
const next = computed(() => (sign.value === null ? null : nextChange(weldClass, sign.value, ruledOut.value)))
const said = computed(() => next.value && changeToTryText(workspace.speech, next.value))
const name = computed(() => symptoms.find(({ code }) => code === sign.value)?.sign ?? '')

function ruleOut(): void {
  if (next.value) ruledOut.value = [...ruledOut.value, next.value.cause]
  isFound.value = false
}
function back(): void {
  if (isFound.value) isFound.value = false
  else ruledOut.value = ruledOut.value.slice(0, -1)
}
</script>

<template>
  <div class="find">
    <ul v-if="sign === null" class="signs">
      <li v-for="{ code, sign: words, change } in symptoms" :key="code">
        <button class="link-button screen-only" @click="open(code)">{{ words }}</button>
        <span class="printed">{{ words }}</span>
        <span>{{ change }}</span>
      </li>
    </ul>
    <section v-else class="step" aria-live="polite" :aria-label="`Find the cause: ${name}`">
      <p class="label">
        {{ name }}<template v-if="next"> · {{ next.step }} of {{ next.of }}</template>
      </p>
      <template v-if="next && said">
        <h4>{{ said.cause }}</h4>
        <p>{{ said.test }}</p>
        <template v-if="isFound">
          <p class="change">{{ said.change }}</p>
          <p class="label">{{ said.undo }}</p>
        </template>
      </template>
      <p v-else class="change">{{ stopText(workspace.speech) }}</p>
      <p class="acts">
        <button v-if="next && !isFound" class="plain-button" @click="ruleOut">Yes, all right</button>
        <button v-if="next && !isFound" class="plain-button main" @click="isFound = true">
          No, that is it
        </button>
        <button v-if="next && isFound" class="plain-button" @click="ruleOut">It did not help</button>
        <button v-if="isFound || ruledOut.length > 0" class="plain-button" @click="back">Back</button>
        <button class="plain-button" @click="open(null)">Close</button>
      </p>
    </section>
  </div>
</template>

<style scoped>
.signs li {
  border-top: 1px solid var(--line);
  display: grid;
  font-size: 13px;
  gap: 8px;
  grid-template-columns: 2fr 3fr;
  padding: 2px 0;
}
.printed {
  display: none;
}
.step {
  border: 1px solid var(--line-strong);
  border-radius: var(--radius);
  display: grid;
  gap: 4px;
  margin-top: 4px;
  padding: 10px 12px;
}
h4 {
  font-size: var(--text-l);
  margin: 0;
}
.change {
  font-weight: 700;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  margin-top: 4px;
}
@media (pointer: coarse) {
  .signs button {
    min-height: 44px;
  }
}
@media print {
  .printed {
    color: #333;
    display: inline;
  }
}
</style>
