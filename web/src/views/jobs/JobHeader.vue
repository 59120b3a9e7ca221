<script setup lang="ts">
import { type Job, QUALITIES } from '@brannik/core'
import { computed, ref } from 'vue'
import ChoiceField from '../../components/ChoiceField.vue'
import CountField from '../../components/CountField.vue'
import { useWorkspace } from '../../stores/workspace.ts'
import { QUALITY_WORDS } from '../fit/words.ts'

/** What a job is, besides its welds: written once, at the top. */
const { job } = defineProps<{ job: Job }>()
const emit = defineEmits<{ change: [change: Partial<Job>, what: string] }>()

const workspace = useWorkspace()
const KM_PER_MILE = 1.609344
const nameProblem = ref('')

function setName(text: string): void {
  const name = text.trim()
  nameProblem.value =
    name === ''
      ? 'The name is empty. Write what the job is.'
      : name.length > 120
        ? 'The name is longer than 120 characters. Shorten it.'
        : ''
  if (nameProblem.value === '') emit('change', { name }, 'name')
}

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
const service = computed(() => {
  if (job.serviceTemperatureC === null) return null
  return Math.round(isImperial.value ? job.serviceTemperatureC * 1.8 + 32 : job.serviceTemperatureC)
})
function setService(value: number | null): void {
  emit(
    'change',
    { serviceTemperatureC: value === null ? null : isImperial.value ? (value - 32) / 1.8 : value },
    'service temperature',
  )
}
const valueOf = (event: Event): string => (event.target as HTMLInputElement).value
</script>

<template>
  <div class="header">
    <label class="name">
      <span class="label">Job</span>
      <input
        class="field"
        :value="job.name"
        :aria-invalid="nameProblem !== ''"
        @input="setName(valueOf($event))"
      />
      <span v-if="nameProblem" class="bubble problem" role="alert">{{ nameProblem }}</span>
    </label>
    <CountField
      label="Pieces"
      :least="1"
      :most="100000"
      :model-value="job.quantity"
      @update:model-value="(value) => value !== null && emit('change', { quantity: value }, 'pieces')"
    />
    <label class="wide">
      <span class="label">Due</span>
      <input
        class="field"
        type="date"
        :value="job.dueOn ?? ''"
        @change="emit('change', { dueOn: valueOf($event) || null }, 'due date')"
      />
    </label>
    <label class="middle">
      <span class="label">Place</span>
      <select
        class="field"
        :value="job.place"
        @change="emit('change', { place: valueOf($event) as Job['place'] }, 'place')"
      >
        <option value="indoors">indoors</option>
        <option value="outdoors">outdoors</option>
      </select>
    </label>
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
    <label class="middle">
      <span class="label">How good</span>
      <select
        class="field"
        :value="job.quality"
        @change="emit('change', { quality: valueOf($event) as Job['quality'] }, 'quality')"
      >
        <option v-for="one in QUALITIES" :key="one" :value="one">{{ QUALITY_WORDS[one] }}</option>
      </select>
    </label>
    <label class="wide">
      <span class="label">Fillets sized by</span>
      <select
        class="field"
        :value="job.sizing"
        @change="emit('change', { sizing: valueOf($event) as Job['sizing'] }, 'sizing')"
      >
        <option value="code-table">code table</option>
        <option value="bead-as-wide">plate thickness</option>
      </select>
    </label>
    <CountField
      class="middle"
      :label="isImperial ? 'Service, °F' : 'Service, °C'"
      :least="0"
      :most="isImperial ? 2000 : 1200"
      optional="ordinary"
      :model-value="service"
      @update:model-value="setService"
    />
    <label class="check">
      <span class="label">Anodised</span>
      <input
        type="checkbox"
        :checked="job.anodised"
        @change="emit('change', { anodised: !job.anodised }, 'anodising')"
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
  </div>
</template>

<style scoped>
.header {
  display: flex;
  gap: 6px;
}
.header > * {
  flex: 0 0 62px;
}
.header > .name {
  flex: 1 1 150px;
}
.header > .wide {
  flex-basis: 126px;
}
.header > .middle {
  flex-basis: 98px;
}
.header > .set-up {
  flex: 0 0 168px;
}
.header > label {
  display: grid;
  min-width: 0;
  position: relative;
}
.header > label > .field {
  width: 100%;
}
.name input {
  font-weight: 700;
}
.check input {
  height: 18px;
  margin: 7px 0;
  width: 18px;
}
.set-up {
  min-width: 0;
}
@media (max-width: 1100px) {
  .header {
    flex-wrap: wrap;
  }
}
</style>
