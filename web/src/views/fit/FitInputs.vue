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
import ChoiceField from '../../components/ChoiceField.vue'
import CountField from '../../components/CountField.vue'
import QuantityField from '../../components/QuantityField.vue'
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
)
/** What goes with the rest first, and what does not with the reason; as the shelf has it until that is known. */
function offered<P extends Place>(slot: P, note: (item: SlotItems[P]) => string) {
  const items = new Map(itemsFor(slot, shelf).map((item) => [item.id, item]))
  const known: readonly OfferGlance[] =
    offers.value?.[slot] ?? [...items.keys()].map((id) => ({ id, against: null }))
  return known.flatMap(({ id, against }) => {
    const item = items.get(id)
    if (!item) return []
    const words = against ? `Does not go: ${sentenceOf(workspace.speech, against)}` : note(item)
    return [{ id, name: item.name, note: words }]
  })
}
const circuits = computed(() => offered('circuit', (c) => `${c.conductorSize}, breaker ${c.breakerA} A`))
const fillers = computed(() => offered('wire', (w) => `On the shelf: ${left('wires', w)}`))
const gases = computed(() => offered('gas', (g) => `${g.designation}, left: ${left('gases', g)}`))
const tungstens = computed(() => offered('tungsten', (t) => `In the drawer: ${left('tungstens', t)}`))
const cups = computed(() => offered('cup', (c) => `In the drawer: ${left('parts', c)}`))

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
      <QuantityField
        kind="thickness"
        label="Other part"
        :metal="otherMetal"
        :model-value="joint.thicknessBMm"
        @update:model-value="
          (value) => value !== null && emit('joint', { thicknessBMm: value }, 'other thickness')
        "
      />
      <QuantityField
        v-if="isFillet"
        kind="weldSize"
        label="Leg"
        :model-value="joint.legMm"
        @update:model-value="(value) => value !== null && emit('joint', { legMm: value }, 'leg')"
      />
      <QuantityField
        v-else
        kind="weldSize"
        label="Gap"
        :model-value="joint.rootGapMm"
        @update:model-value="(value) => value !== null && emit('joint', { rootGapMm: value }, 'gap')"
      />
      <CountField
        label="Welds"
        :least="1"
        :most="100000"
        :model-value="joint.count"
        @update:model-value="(value) => value !== null && emit('joint', { count: value }, 'number of welds')"
      />
      <QuantityField
        v-if="isRound"
        kind="length"
        label="Round"
        :model-value="joint.diameterMm"
        @update:model-value="(value) => value !== null && emit('joint', { diameterMm: value }, 'diameter')"
      />
      <QuantityField
        v-else
        kind="length"
        label="Each long"
        :model-value="joint.lengthMm"
        @update:model-value="(value) => value !== null && emit('joint', { lengthMm: value }, 'length')"
      />
      <CountField
        label="Passes"
        :least="1"
        :most="60"
        optional="auto"
        :model-value="joint.passes"
        @update:model-value="(value) => emit('joint', { passes: value }, 'passes')"
      />
      <CountField
        label="Rest, s"
        :least="0"
        :most="3600"
        unit="s"
        optional="usual"
        :model-value="job.pauseS"
        @update:model-value="(value) => emit('job', { pauseS: value }, 'rest between welds')"
      />
    </fieldset>
    <fieldset class="group set-up" :class="process.family">
      <legend class="visually-hidden">The set-up</legend>
      <ChoiceField
        label="Circuit"
        :items="circuits"
        :model-value="setUp.circuitId"
        @update:model-value="(id) => id && emit('setUp', { circuitId: id }, 'circuit')"
      />
      <ChoiceField
        :label="FILLER[process.electrode]"
        :items="fillers"
        :optional="process.electrode === 'tungsten' ? 'none' : ''"
        :model-value="setUp.wireId"
        @update:model-value="
          (id) =>
            (id || process.electrode === 'tungsten') &&
            emit('setUp', { wireId: id }, FILLER[process.electrode].toLowerCase())
        "
      />
      <ChoiceField
        v-if="process.shielded"
        label="Gas"
        :items="gases"
        :model-value="setUp.gasId"
        @update:model-value="(id) => id && emit('setUp', { gasId: id }, 'gas')"
      />
      <template v-if="process.family === 'gtaw'">
        <ChoiceField
          label="Tungsten"
          :items="tungstens"
          :model-value="setUp.tungstenId"
          @update:model-value="(id) => id && emit('setUp', { tungstenId: id }, 'tungsten')"
        />
        <ChoiceField
          label="Cup"
          :items="cups"
          :model-value="setUp.cupId"
          @update:model-value="(id) => id && emit('setUp', { cupId: id }, 'cup')"
        />
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
  .group {
    grid-auto-flow: row;
    grid-template-columns: 1fr 1fr;
  }
}
</style>
