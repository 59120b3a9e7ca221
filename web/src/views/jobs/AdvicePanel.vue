<script setup lang="ts">
import {
  fillerName,
  filletText,
  type Plan,
  type Job,
  type Joint,
  MATERIALS,
  pairNames,
  printSize,
  PROCESSES,
  type ProcessWant,
  type SetUp,
  type Source,
  sourceText,
  weldAdvice,
  type Wire,
} from '@brannik/core'
import { computed } from 'vue'
import { useMoney } from '../../stores/useMoney.ts'
import { usePrint } from '../../stores/usePrint.ts'
import { useWorkspace } from '../../shop/workspace.ts'

/** What to know of the weld in hand: its size, its filler, its preparation, where it burns through. */
const { job, joint, plan, setUp, wire } = defineProps<{
  job: Job
  joint: Joint
  plan: Plan | null
  setUp: SetUp | null
  wire: Wire | null
}>()
const emit = defineEmits<{ leg: [mm: number] }>()

const workspace = useWorkspace()
const { print, number, spell } = usePrint()
const sourceWords = (source: Source): string => sourceText(workspace.speech, source)
const summary = computed(() => plan?.welds.find(({ jointId }) => jointId === joint.id) ?? null)
const advice = computed(() =>
  weldAdvice(
    joint,
    job,
    { wire, summary: summary.value },
    workspace.shop ?? { assumptions: {}, filletRule: 'd1.1' },
  ),
)
const nameOf = (classification: string): string =>
  workspace.shop ? fillerName(classification, null, workspace.shop) : classification
const fillet = computed(() => advice.value.fillet)
const pair = computed(() => advice.value.pair)
const WORD = { under: 'too small', right: 'right', over: 'over-welded' } as const
const money = useMoney()
/** What the metals themselves can do to whoever welds them. */
const cautions = computed(() => [
  ...new Set(
    [MATERIALS[joint.materialA].caution, MATERIALS[joint.materialB].caution].filter((one) => one !== null),
  ),
])
const overWords = computed(() => {
  const over = fillet.value?.overWeld
  if (!over || !fillet.value) return ''
  const cost =
    over.extraCost === null
      ? ''
      : `, about ${money(over.extraCost < 100 ? over.extraCost : Math.round(over.extraCost))} of wire and time`
  return `${number(over.timesMetal, 2)} times the metal of ${sized(fillet.value.recommendedMm)}: ${print(over.extraG, 'g')} more${cost}.`
})
/** A procedure of EN ISO 15614 goes by them. */
const groups = computed(() => {
  if (workspace.shop?.ruleBook !== 'international') return ''
  const named = new Set([joint.materialA, joint.materialB].flatMap((id) => MATERIALS[id].isoGroup ?? []))
  return named.size === 0 ? '' : `ISO/TR 15608 group ${[...named].join(' and ')}`
})
/** As such a weld is written: by its throat where that is the round figure. */
const sized = (legMm: number): string =>
  printSize(
    {
      ...joint,
      legMm: Number(legMm.toFixed(6)),
      legBMm: null,
      diameterMm: null,
      headerDiameterMm: null,
      slotLengthMm: null,
    },
    workspace.notation,
  )
/** From the least that still makes the weld to where it burns through; thick parts do not. */
const windowWords = ({ lowA, highA }: ProcessWant): string =>
  highA === null
    ? `from ${print(Math.round(lowA), 'A')}`
    : `${Math.round(lowA)} to ${print(Math.round(highA), 'A')}`
</script>

<template>
  <div class="advice">
    <section v-if="fillet">
      <h2>
        Size <span :class="fillet.verdict">{{ WORD[fillet.verdict] }}</span>
      </h2>
      <p>{{ filletText(workspace.speech, fillet.code) }}</p>
      <dl>
        <dt>Minimum by code, for the thicker part</dt>
        <dd>{{ print(fillet.minimumMm, 'mm') }}</dd>
        <dt>Bead as wide as the plate (shop rule, not code work)</dt>
        <dd>{{ print(Number(fillet.beadAsWideMm.toFixed(2)), 'mm') }}</dd>
        <template v-if="fillet.largestMm !== null">
          <dt>Maximum along this edge</dt>
          <dd>{{ print(fillet.largestMm, 'mm') }}</dd>
        </template>
        <dt>Throat</dt>
        <dd>{{ print(Number(fillet.throatMm.toFixed(2)), 'mm') }}</dd>
      </dl>
      <p v-if="overWords" class="over-words">{{ overWords }}</p>
      <button
        v-if="fillet.verdict !== 'right' || overWords !== ''"
        class="plain-button"
        @click="emit('leg', fillet.recommendedMm)"
      >
        Use {{ sized(fillet.recommendedMm) }}
      </button>
      <p class="label">{{ sourceWords(fillet.source) }}</p>
    </section>

    <section>
      <h2>
        {{ spell(pairNames(joint)) }}
        <span v-if="pair.weldable === 'no'" class="under">do not weld</span>
        <span v-else-if="pair.weldable === 'needs-procedure'" class="over">needs a procedure</span>
      </h2>
      <p v-if="groups !== ''" class="label">{{ groups }}</p>
      <p v-if="pair.text">{{ spell(pair.text) }}</p>
      <ul v-if="pair.fillers.length > 0" class="fillers">
        <li
          v-for="filler in pair.fillers.slice(0, 4)"
          :key="filler.classification"
          v-tip="sourceWords(filler.source)"
        >
          <strong>{{ nameOf(filler.classification) }}</strong> {{ spell(filler.reason) }}
        </li>
        <li
          v-for="filler in pair.excluded"
          :key="filler.classification"
          v-tip="sourceWords(filler.source)"
          class="not"
        >
          <strong>not {{ nameOf(filler.classification) }}</strong> {{ spell(filler.reason) }}
        </li>
      </ul>
      <p v-for="line in pair.preparation" :key="line" class="quiet">{{ spell(line) }}</p>
      <p v-if="pair.preheat" class="quiet">{{ spell(pair.preheat.text) }}</p>
      <p v-for="caution in cautions" :key="caution" class="caution">
        <strong>Caution</strong> {{ spell(caution) }}
      </p>
    </section>

    <section>
      <h2>Current needed</h2>
      <table>
        <thead>
          <tr>
            <th scope="col">By</th>
            <th scope="col" class="number">Needs</th>
            <th scope="col" class="number">Minimum</th>
            <th scope="col" class="number">Passes</th>
          </tr>
        </thead>
        <tbody>
          <tr
            v-for="want in advice.wants"
            :key="want.process"
            :class="{ chosen: want.process === setUp?.process }"
          >
            <th scope="row">{{ PROCESSES[want.process].workshopWord }}</th>
            <td class="number">{{ print(Math.round(want.wantedA), 'A') }}</td>
            <td class="number">{{ windowWords(want) }}</td>
            <td class="number">{{ want.passes }}</td>
          </tr>
        </tbody>
      </table>
      <p v-if="summary" class="quiet">
        One weld is {{ print(summary.runMm, 'mm length')
        }}<template v-if="summary.arcS !== null"
          >. Arc time of the job: {{ print(summary.arcS, 's') }}</template
        >.
      </p>
    </section>
  </div>
</template>

<style scoped>
table {
  border-collapse: collapse;
}
table th {
  font-weight: 400;
  padding: 1px 0;
  text-align: left;
}
thead th {
  color: var(--ink-2);
  font-size: var(--text-s);
}
th.number,
td.number {
  padding-left: 8px;
  text-align: right;
  white-space: nowrap;
}
.chosen {
  box-shadow:
    -6px 0 var(--sheet),
    -9px 0 var(--copper);
  font-weight: 700;
}
.chosen th {
  font-weight: 700;
}
.advice {
  display: grid;
  gap: 10px;
}
section {
  border-top: 1px solid var(--line);
  display: grid;
  gap: 3px;
  padding-top: 8px;
}
h2 {
  font-size: var(--text-m);
  font-weight: 600;
}
h2 span {
  font-weight: 700;
  margin-left: 6px;
}
.right {
  color: var(--fits);
}
.under {
  color: var(--fails);
}
.over,
.over-words {
  color: var(--tight);
}
dl {
  display: grid;
  gap: 1px 12px;
  grid-template-columns: 1fr auto;
}
dt {
  color: var(--ink-2);
}
dd {
  font-weight: 600;
  text-align: right;
}
.fillers {
  display: grid;
  gap: 1px;
}
.not {
  color: var(--fails);
}
.plain-button {
  justify-self: start;
}
</style>
