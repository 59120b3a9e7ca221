<script setup lang="ts">
import { type Job, ownUnit, PRIORITIES, QUALITIES } from '@brannik/core'
import { computed } from 'vue'
import DateField from '../../components/DateField.vue'
import PickField from '../../components/PickField.vue'
import RecordField from '../../components/RecordField.vue'
import TextField from '../../components/TextField.vue'
import { usePrint } from '../../stores/usePrint.ts'
import { useWorkspace } from '../../shop/workspace.ts'
import { QUALITY_WORDS } from '../fit/words.ts'

/** What a job is, besides its welds: written once, at the top. */
const { job } = defineProps<{ job: Job }>()
const emit = defineEmits<{ change: [change: Partial<Job>, what: string] }>()

const of = computed(() => ({ of: 'job' as const, record: job }))
const change = (part: Partial<Job>, what: string): void => emit('change', part, what)

const workspace = useWorkspace()
const { spell } = usePrint()
const currency = computed(() => workspace.shop?.currency ?? '')
const own = (unit: string): string => ownUnit(unit, workspace.notation.system).unit
const QUALITY_CHOICES = QUALITIES.map((one) => [one, QUALITY_WORDS[one]] as const)
const PRIORITY_CHOICES = PRIORITIES.map((one) => [one, one] as const)
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
      empty="The name is empty. Enter a name for the job."
      :model-value="job.name"
      @update:model-value="(name) => change({ name }, 'name')"
    />
    <RecordField v-bind="of" name="quantity" what="pieces" @change="change" />
    <RecordField v-bind="of" name="timesPerYear" what="times a year" @change="change" />
    <RecordField
      v-bind="of"
      class="wide"
      name="worthPerRun"
      :label="`Revenue per run, ${currency}`"
      what="what a run brings in"
      @change="change"
    />
    <DateField
      class="wide"
      label="Due"
      :model-value="job.dueOn"
      @update:model-value="(dueOn) => emit('change', { dueOn }, 'due date')"
    />
    <PickField
      class="middle"
      label="Priority"
      :items="PRIORITY_CHOICES"
      :model-value="job.priority"
      @update:model-value="(now) => now && change({ priority: now }, 'priority')"
    />
    <PickField
      class="middle"
      label="Place"
      :items="PLACES"
      :model-value="job.place"
      @update:model-value="(now) => now && change({ place: now }, 'place')"
    />
    <RecordField
      v-if="job.place === 'outdoors'"
      v-bind="of"
      class="middle"
      name="windKmPerH"
      :label="`Wind, ${own('km/h')}`"
      optional="unknown"
      what="wind"
      @change="change"
    />
    <PickField
      class="middle"
      label="Quality"
      :items="QUALITY_CHOICES"
      :model-value="job.quality"
      @update:model-value="(now) => now && change({ quality: now }, 'quality')"
    />
    <PickField
      class="wide"
      label="Fillets sized by"
      :items="SIZINGS"
      :model-value="job.sizing"
      @update:model-value="(now) => now && change({ sizing: now }, 'sizing')"
    />
    <RecordField
      v-bind="of"
      class="middle"
      name="serviceTemperatureC"
      :label="`Service, ${own('°C')}`"
      what="service temperature"
      @change="change"
    />
    <RecordField
      v-bind="of"
      class="middle"
      name="preheatC"
      :label="`Preheat, ${own('°C')}`"
      what="preheat"
      @change="change"
    />
    <label class="check">
      <span class="label">{{ spell('Anodised') }}</span>
      <VCheckbox
        :model-value="job.anodised"
        @update:model-value="emit('change', { anodised: !job.anodised }, spell('anodising'))"
      />
    </label>
    <RecordField
      v-bind="of"
      name="hoursSetAside"
      label="Hours"
      optional="open"
      what="hours set aside"
      @change="change"
    />
    <RecordField
      v-bind="of"
      class="set-up"
      name="setUpId"
      optional="none yet"
      :items="workspace.setUps"
      what="set-up"
      @change="change"
    />
    <TextField
      class="note"
      label="Note"
      :model-value="job.note"
      @update:model-value="(note) => change({ note }, 'note')"
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
