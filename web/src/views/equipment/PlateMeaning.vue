<script setup lang="ts">
import {
  type CircuitMet,
  type PlateColumnMeaning,
  type PlateWelds,
  type PowerSource,
  printQuantity,
  PROCESSES,
  sentenceOf,
} from '@brannik/core'
import { computed, shallowRef, watch } from 'vue'
import VerdictMark from '../../components/VerdictMark.vue'
import { type Question, useAnswer } from '../../engine/useAnswer.ts'
import { useAbout } from '../../stores/useAbout.ts'
import { usePrint } from '../../stores/usePrint.ts'
import { useWorkspace } from '../../shop/workspace.ts'
import { limitWords, supplyWords } from '../capacity/words.ts'

/** What the plate means in this shop: what it draws, its breaker and cable, the circuits for it, and what it welds. */
const { source, at } = defineProps<{
  /** Null while something of it is still to be filled in: then what was known stands, and says so. */
  source: PowerSource | null
  /** Place of the process on the plate. */
  at: number
}>()
const workspace = useWorkspace()
const about = useAbout()
const { print, spell } = usePrint()

const last = shallowRef<PowerSource | null>(null)
watch(
  () => source,
  (now) => {
    if (now) last.value = now
  },
  { immediate: true },
)
const { answer } = useAnswer<'plateMeaning'>(
  computed((): Question<'plateMeaning'> | null => (last.value ? ['plateMeaning', last.value, at] : null)),
)

const METALS = { 'carbon-steel': 'Steel', stainless: 'Stainless', aluminium: 'Aluminium' } as const
function weldsWords({ metal, wire, process, range }: PlateWelds): string {
  const what = wire
    ? `${printQuantity('diameter', wire.diameterMm, workspace.notation)} ${wire.classification}`
    : 'a rod'
  const upTo = range.thickest
    ? `to ${about(range.thickest.mm)} (${limitWords(range.thickest.by, PROCESSES[process])})`
    : 'up, in several passes'
  return `${spell(METALS[metal])} from ${about(range.thinnest.mm)} ${upTo}, with ${what}`
}
const inputWords = ({ input }: PlateColumnMeaning): string =>
  input ? `Draws ${print(input.greatestA, 'A')} at most` : ''
function breakerWords({ input }: PlateColumnMeaning): string {
  if (!input) return ''
  const holds =
    input.breakerHoldsA === null ? '' : `Breaker ${print(input.breakerHoldsA, 'A')} covers full output. `
  const cable = input.conductor === null ? '' : `. Cable ${input.conductor} or larger, alone on its circuit`
  const code =
    input.breakerMostA === null
      ? 'The code limits the cable only'
      : `The code allows a breaker of ${print(input.breakerMostA, 'A')}`
  return `${holds}${code}${cable}`
}
const againstWords = ({ against, isShortAtFullOutput }: CircuitMet): string =>
  [
    ...against.map((one) => sentenceOf(workspace.speech, one)),
    ...(isShortAtFullOutput ? ['Its breaker trips at full output. Turn down, or rest.'] : []),
  ].join(' ')
</script>

<template>
  <section class="meaning" aria-label="Results from the plate">
    <p v-if="last === null" class="quiet">
      When the plate is complete, you see input current, breaker, cable, circuits and thickness here.
    </p>
    <p v-else-if="source === null" class="quiet">Last complete figures. Some are still missing.</p>
    <section v-for="(column, index) in answer ?? []" :key="index">
      <h3>{{ supplyWords(column.voltageV, column.phases) }}</h3>
      <p v-if="column.input">{{ inputWords(column) }}. {{ breakerWords(column) }}.</p>
      <p v-for="welds in column.welds" :key="welds.process">{{ weldsWords(welds) }}.</p>
      <ul v-if="column.circuits.length > 0">
        <li v-for="circuit in column.circuits" :key="circuit.id">
          <VerdictMark :verdict="circuit.verdict" :word="false" />
          <span
            >{{ circuit.name
            }}<span v-if="againstWords(circuit)" class="quiet">: {{ againstWords(circuit) }}</span></span
          >
        </li>
      </ul>
      <p v-else-if="column.voltageV !== null" class="quiet">No circuit of the shop has this voltage.</p>
    </section>
    <p v-if="answer && answer.length > 0" class="label">
      Thickness of the machine alone: flat T-joint, short welds with rest. Gun and circuit may limit it
      further. The plate, the local code and an electrician decide.
    </p>
  </section>
</template>

<style scoped>
.meaning {
  display: grid;
  gap: 8px;
}
.meaning > section {
  border-top: 1px solid var(--line);
  display: grid;
  gap: 2px;
  padding-top: 6px;
}
h3 {
  font-size: inherit;
  font-weight: 700;
}
ul {
  display: grid;
  gap: 2px;
  list-style: none;
  padding: 0;
}
li {
  align-items: baseline;
  display: grid;
  gap: 8px;
  grid-template-columns: 14px minmax(0, 1fr);
}
</style>
