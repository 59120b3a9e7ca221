<script setup lang="ts">
import {
  FILLET_KINDS,
  itemsFor,
  type Job,
  type Joint,
  MATERIALS,
  PROCESSES,
  sentenceOf,
  type SetUp,
  type Shelf,
  type SlotItems,
} from '@brannik/core'
import { useTimeoutFn } from '@vueuse/core'
import { computed, ref, watch } from 'vue'
import QuantityField from '../../components/QuantityField.vue'
import RecordField from '../../components/RecordField.vue'
import type { OfferGlance } from '../../engine/questions/offers.ts'
import { type Question, useAnswer } from '../../engine/useAnswer.ts'
import { type Path, useWorkspace } from '../../shop/workspace.ts'
import { stockWords } from '../../files/stockWords.ts'

/** What decides: the joint's figures on the left, the set-up's parts on the right; every change recomputes at once. */
const { job, joint, setUp, shelf, isAnswered } = defineProps<{
  job: Job
  joint: Joint
  setUp: SetUp
  shelf: Shelf
  /** Whether the answer stands: what else could be chosen is sought after it. */
  isAnswered: boolean
}>()
const emit = defineEmits<{
  joint: [change: Partial<Joint>, what: string]
  job: [change: Partial<Job>, what: string]
  setUp: [change: Partial<SetUp>, what: string]
}>()

const weld = computed(() => ({ of: 'weld' as const, record: joint }))
const parts = computed(() => ({ of: 'set-up' as const, record: setUp }))
const changeWeld = (part: Partial<Joint>, what: string): void => emit('joint', part, what)
const changeJob = (part: Partial<Job>, what: string): void => emit('job', part, what)
const changeSetUp = (part: Partial<SetUp>, what: string): void => emit('setUp', part, what)

const workspace = useWorkspace()
const process = computed(() => PROCESSES[setUp.process])
const isFillet = computed(() => FILLET_KINDS.includes(joint.kind))
/** A weld all the way round is as long as its tube makes it. */
const isRound = computed(() => joint.around || joint.kind === 'saddle' || joint.kind === 'plug')
const metal = computed(() => MATERIALS[joint.materialA].gauge)
const otherMetal = computed(() => MATERIALS[joint.materialB].gauge)

const left = (path: Path, { id }: { readonly id: string }): string =>
  stockWords(path, workspace.amountOf(path, id), workspace.notation) ?? ''
type Place = 'circuit' | 'wire' | 'gas' | 'tungsten' | 'cup'
const PLACES: readonly Place[] = ['circuit', 'wire', 'gas', 'tungsten', 'cup']
/** Long enough for the answer to be painted. */
const AFTER_PAINT_MS = 120
const isWanted = ref(false)
const painted = useTimeoutFn(() => (isWanted.value = true), AFTER_PAINT_MS, { immediate: false })
watch(
  () => isAnswered,
  (now) => {
    if (now) painted.start()
  },
  { immediate: true },
)
const { answer: offers } = useAnswer(
  computed<Question<'offers'> | null>(() => (isWanted.value ? ['offers', setUp.id, PLACES] : null)),
  { looksAtJobs: false },
)
/** What goes with the rest first, and what does not with the reason; as the shelf has it until that is known. */
function offered<P extends Place>(slot: P, note: (item: SlotItems[P]) => string) {
  const items = new Map(itemsFor(slot, shelf).map((item) => [item.id, item]))
  const known: readonly OfferGlance[] =
    offers.value?.[slot] ?? [...items.keys()].map((id) => ({ id, against: null }))
  return known.flatMap(({ id, against }) => {
    const item = items.get(id)
    if (!item) return []
    const words = against ? `Does not fit: ${sentenceOf(workspace.speech, against)}` : note(item)
    return [{ id, name: item.name, note: words }]
  })
}
const circuits = computed(() => offered('circuit', (c) => `${c.conductorSize}, breaker ${c.breakerA} A`))
const fillers = computed(() => offered('wire', (w) => `On hand: ${left('wires', w)}`))
const gases = computed(() => offered('gas', (g) => `${g.designation}, left: ${left('gases', g)}`))
const tungstens = computed(() => offered('tungsten', (t) => `On hand: ${left('tungstens', t)}`))
const cups = computed(() => offered('cup', (c) => `On hand: ${left('parts', c)}`))

const FILLER = { wire: 'Wire', tungsten: 'Rod', covered: 'Electrode' } as const

/** Both parts are as thick until somebody says otherwise. */
function changeThickness(value: number | null): void {
  if (value === null) return
  const both = joint.thicknessAMm === joint.thicknessBMm
  emit('joint', both ? { thicknessAMm: value, thicknessBMm: value } : { thicknessAMm: value }, 'thickness')
}
</script>

<template>
  <div class="inputs" :class="process.family">
    <fieldset class="group job">
      <legend class="visually-hidden">The joint</legend>
      <QuantityField
        kind="thickness"
        label="Thickness"
        :metal="metal"
        :model-value="joint.thicknessAMm"
        @update:model-value="changeThickness"
      />
      <RecordField
        v-bind="weld"
        name="thicknessBMm"
        label="Other part"
        :metal="otherMetal"
        what="other thickness"
        @change="changeWeld"
      />
      <RecordField v-if="isFillet" v-bind="weld" name="legMm" optional="" what="leg" @change="changeWeld" />
      <RecordField
        v-else
        v-bind="weld"
        name="rootGapMm"
        label="Root opening"
        what="gap"
        @change="changeWeld"
      />
      <RecordField v-bind="weld" name="count" label="Welds" what="number of welds" @change="changeWeld" />
      <RecordField
        v-if="isRound"
        v-bind="weld"
        name="diameterMm"
        label="Round"
        optional=""
        what="diameter"
        @change="changeWeld"
      />
      <RecordField
        v-else
        v-bind="weld"
        name="lengthMm"
        label="Each long"
        what="length"
        @change="changeWeld"
      />
      <RecordField v-bind="weld" name="passes" optional="auto" what="passes" @change="changeWeld" />
      <RecordField
        of="job"
        :record="job"
        name="pauseS"
        label="Rest, s"
        :decimals="false"
        what="rest between welds"
        @change="changeJob"
      />
    </fieldset>
    <fieldset class="group set-up" :class="process.family">
      <legend class="visually-hidden">The set-up</legend>
      <RecordField
        v-bind="parts"
        name="circuitId"
        optional=""
        :items="circuits"
        what="circuit"
        @change="changeSetUp"
      />
      <RecordField
        v-bind="parts"
        name="wireId"
        :label="FILLER[process.electrode]"
        :optional="process.electrode === 'tungsten' ? 'none' : ''"
        :items="fillers"
        :what="FILLER[process.electrode].toLowerCase()"
        @change="changeSetUp"
      />
      <RecordField
        v-if="process.shielded"
        v-bind="parts"
        name="gasId"
        optional=""
        :items="gases"
        what="gas"
        @change="changeSetUp"
      />
      <template v-if="process.family === 'gtaw'">
        <RecordField
          v-bind="parts"
          name="tungstenId"
          optional=""
          :items="tungstens"
          what="tungsten"
          @change="changeSetUp"
        />
        <RecordField v-bind="parts" name="cupId" optional="" :items="cups" what="cup" @change="changeSetUp" />
      </template>
    </fieldset>
  </div>
</template>

<style scoped>
.inputs {
  display: grid;
  gap: 8px 16px;
  grid-template-columns: minmax(0, 21fr) minmax(0, 26fr);
}
.inputs.gtaw {
  grid-template-columns: minmax(0, 19fr) minmax(0, 28fr);
}
.group {
  align-items: start;
  border: 0;
  display: grid;
  gap: 6px;
  grid-auto-columns: minmax(0, 1fr);
  grid-auto-flow: column;
  margin: 0;
  min-width: 0;
  padding: 0;
}
.job {
  grid-template-columns: 1.25fr 1.25fr 1.25fr 0.8fr 1.2fr 0.8fr 0.85fr;
}
.set-up {
  grid-template-columns: minmax(0, 1.5fr) minmax(0, 1.2fr);
}
.set-up.gtaw {
  grid-template-columns: 1.2fr 1.15fr 0.85fr 1.15fr 0.75fr;
}
@media screen and (max-width: 1100px) {
  .inputs,
  .inputs.gtaw {
    grid-template-columns: 1fr;
  }
}
@media screen and (max-width: 700px) {
  .group,
  .set-up.gtaw {
    grid-auto-flow: row;
    grid-template-columns: 1fr 1fr;
  }
}
</style>
