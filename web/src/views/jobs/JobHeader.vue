<script setup lang="ts">
import { type Job, QUALITIES } from '@brannik/core'
import { computed } from 'vue'
import ChoiceField from '../../components/ChoiceField.vue'
import DateField from '../../components/DateField.vue'
import CountField from '../../components/CountField.vue'
import PickField from '../../components/PickField.vue'
import TextField from '../../components/TextField.vue'
import { usePrint } from '../../stores/usePrint.ts'
import { useWorkspace } from '../../shop/workspace.ts'
import { QUALITY_WORDS } from '../fit/words.ts'

/** What a job is, besides its welds: written once, at the top. */
const { job } = defineProps<{ job: Job }>()
const emit = defineEmits<{ change: [change: Partial<Job>, what: string] }>()

const workspace = useWorkspace()
const { spell } = usePrint()
const KM_PER_MILE = 1.609344

const currency = computed(() => workspace.shop?.currency ?? '')
const isImperial = computed(() => workspace.notation.system === 'imperial')
const wind = computed(() =>
  job.windKmPerH === null
    ? null
    : Number((isImperial.value ? job.windKmPerH / KM_PER_MILE : job.windKmPerH).toFixed(1)),
)
function setWind(value: number | null): void {
  emit(
    'change',
    { windKmPerH: value === null ? null : isImperial.value ? value * KM_PER_MILE : value },
    'wind',
  )
}
/** Temperatures are written to whole degrees of the shop's scale. */
const shown = (valueC: number | null): number | null =>
  valueC === null ? null : Math.round(isImperial.value ? valueC * 1.8 + 32 : valueC)
const inC = (value: number | null): number | null =>
  value === null || !isImperial.value ? value : (value - 32) / 1.8
const degree = computed(() => (isImperial.value ? '°F' : '°C'))
const QUALITY_CHOICES = QUALITIES.map((one) => [one, QUALITY_WORDS[one]] as const)
const PLACES = [
  ['indoors', 'indoors'],
  ['outdoors', 'outdoors'],
] as const
const SIZINGS = [
  ['code-table', 'code table'],
  ['bead-as-wide', 'plate thickness'],
] as const
</script>

<template>
  <div class="header">
    <TextField
      class="name"
      label="Job"
      empty="The name is empty. Write what the job is."
      :model-value="job.name"
      @update:model-value="(name) => emit('change', { name }, 'name')"
    />
    <CountField
      label="Pieces"
      :least="1"
      :most="100000"
      :model-value="job.quantity"
      @update:model-value="(value) => value !== null && emit('change', { quantity: value }, 'pieces')"
    />
    <CountField
      label="Times a year"
      decimals
      :least="0.01"
      :most="10000"
      optional="once"
      :model-value="job.timesPerYear"
      @update:model-value="(timesPerYear) => emit('change', { timesPerYear }, 'times a year')"
    />
    <CountField
      class="wide"
      :label="`A run brings in, ${currency}`"
      decimals
      :least="0"
      :most="1e9"
      optional="not recorded"
      :model-value="job.worthPerRun"
      @update:model-value="(worthPerRun) => emit('change', { worthPerRun }, 'what a run brings in')"
    />
    <DateField
      class="wide"
      label="Due"
      :model-value="job.dueOn"
      @update:model-value="(dueOn) => emit('change', { dueOn }, 'due date')"
    />
    <PickField
      class="middle"
      label="Place"
      :items="PLACES"
      :model-value="job.place"
      @update:model-value="(now) => now && emit('change', { place: now }, 'place')"
    />
    <CountField
      v-if="job.place === 'outdoors'"
      class="middle"
      :label="isImperial ? 'Wind, mph' : 'Wind, km/h'"
      :least="0"
      :most="isImperial ? 90 : 150"
      decimals
      optional="unknown"
      :model-value="wind"
      @update:model-value="setWind"
    />
    <PickField
      class="middle"
      label="How good"
      :items="QUALITY_CHOICES"
      :model-value="job.quality"
      @update:model-value="(now) => now && emit('change', { quality: now }, 'quality')"
    />
    <PickField
      class="wide"
      label="Fillets sized by"
      :items="SIZINGS"
      :model-value="job.sizing"
      @update:model-value="(now) => now && emit('change', { sizing: now }, 'sizing')"
    />
    <CountField
      class="middle"
      :label="`Service, ${degree}`"
      :least="isImperial ? -459 : -273"
      :most="isImperial ? 2000 : 1200"
      optional="ordinary"
      :model-value="shown(job.serviceTemperatureC)"
      @update:model-value="
        (value) => emit('change', { serviceTemperatureC: inC(value) }, 'service temperature')
      "
    />
    <CountField
      class="middle"
      :label="`Preheat, ${degree}`"
      :least="isImperial ? 86 : 30"
      :most="isImperial ? 1292 : 700"
      optional="none"
      :model-value="shown(job.preheatC)"
      @update:model-value="(value) => emit('change', { preheatC: inC(value) }, 'preheat')"
    />
    <label class="check">
      <span class="label">{{ spell('Anodised') }}</span>
      <VCheckbox
        :model-value="job.anodised"
        @update:model-value="emit('change', { anodised: !job.anodised }, spell('anodising'))"
      />
    </label>
    <CountField
      label="Hours"
      :least="0.05"
      :most="10000"
      decimals
      optional="open"
      :model-value="job.hoursSetAside"
      @update:model-value="(value) => emit('change', { hoursSetAside: value }, 'hours set aside')"
    />
    <ChoiceField
      label="Set-up"
      class="set-up"
      :items="workspace.setUps"
      optional="none yet"
      :model-value="job.setUpId"
      @update:model-value="(id) => emit('change', { setUpId: id }, 'set-up')"
    />
    <TextField
      class="note"
      label="Note"
      :model-value="job.note"
      @update:model-value="(note) => emit('change', { note }, 'note')"
    />
  </div>
</template>

<style scoped>
.header {
  align-items: start;
  display: flex;
  gap: 6px;
}
.header > * {
  flex: 0 0 76px;
}
.header > .name {
  flex: 1 1 150px;
}
.header > .wide {
  flex-basis: 138px;
}
.header > .middle {
  flex-basis: 108px;
}
.header > .set-up {
  flex: 0 0 168px;
}
.header > .check {
  display: grid;
  flex-basis: 54px;
}
.header {
  flex-wrap: wrap;
}
.header > .note {
  flex: 1 1 300px;
}
.name :deep(input) {
  font-weight: 700;
}
.set-up {
  min-width: 0;
}
@media screen and (max-width: 1100px) {
  .header {
    flex-wrap: wrap;
  }
}
</style>
