<script setup lang="ts">
import {
  START_WORDS,
  POLARITIES,
  PROCESS_IDS,
  type ProcessId,
  PROCESSES,
  type SetUp,
  START_METHODS,
} from '@brannik/core'
import { computed } from 'vue'
import ChoiceField from '../../components/ChoiceField.vue'
import PickField from '../../components/PickField.vue'
import RecordField from '../../components/RecordField.vue'
import TextField from '../../components/TextField.vue'
import { useWorkspace } from '../../shop/workspace.ts'
import CableFields from './CableFields.vue'

/** How a set-up is run: process, polarity, start, stick-out, flow; and for which job it is looked at. */
const { setUp, jobId } = defineProps<{ setUp: SetUp; jobId: string }>()
const emit = defineEmits<{
  change: [part: Partial<SetUp>, what: string, which?: 'small' | 'all']
  job: [id: string]
}>()

const of = computed(() => ({ of: 'set-up' as const, record: setUp }))
const change = (part: Partial<SetUp>, what: string): void => emit('change', part, what)
const POLARITY_CHOICES = POLARITIES.map((one) => [one, one.toUpperCase()] as const)
const START_CHOICES = START_METHODS.map((one) => [one, START_WORDS[one]] as const)

const workspace = useWorkspace()
const process = computed(() => PROCESSES[setUp.process])
const jobs = computed(() => workspace.jobs.filter((job) => job.joints.length > 0))

/** Another process has another usual polarity, and what cannot do it makes room for what can. */
function setProcess(processId: ProcessId): void {
  emit('change', { process: processId, polarity: PROCESSES[processId].polarity }, 'process', 'all')
}
</script>

<template>
  <div class="settings">
    <TextField
      class="name"
      label="Name"
      empty="The name is empty. Enter a name for the set-up."
      :model-value="setUp.name"
      @update:model-value="(name) => change({ name }, 'name')"
    />
    <PickField
      class="process-field"
      label="Process"
      :items="PROCESS_IDS.map((one) => [one, PROCESSES[one].workshopWord] as const)"
      :model-value="setUp.process"
      @update:model-value="(now) => now && setProcess(now)"
    />
    <PickField
      class="polarity"
      label="Polarity"
      :items="POLARITY_CHOICES"
      :model-value="setUp.polarity"
      @update:model-value="(now) => now && change({ polarity: now }, 'polarity')"
    />
    <template v-if="process.family === 'gtaw'">
      <PickField
        class="start"
        label="Arc start"
        :items="START_CHOICES"
        optional="as the machine"
        :model-value="setUp.start"
        @update:model-value="(now) => change({ start: now }, 'start')"
      />
      <RecordField
        v-bind="of"
        class="short-field"
        name="stickOutMm"
        label="Stick-out"
        quantity="weldSize"
        what="stick-out"
        @change="change"
      />
    </template>
    <RecordField
      v-if="process.shielded"
      v-bind="of"
      class="short-field"
      name="flowLPerMin"
      what="gas flow"
      @change="change"
    />
    <VCheckbox
      v-if="process.family === 'gtaw'"
      class="check"
      label="electronics nearby"
      :model-value="setUp.electronicsNear"
      @update:model-value="emit('change', { electronicsNear: !setUp.electronicsNear }, 'electronics nearby')"
    />
    <CableFields
      label="Extension cord"
      none="none"
      length-label="Its length"
      :size="setUp.cordSize"
      :length-mm="setUp.cordLengthMm"
      @size="(cordSize) => emit('change', { cordSize }, 'extension cord')"
      @length="(cordLengthMm) => emit('change', { cordLengthMm }, 'length of the cord')"
    />
    <CableFields
      label="Welding leads"
      none="its own"
      length-label="Both together"
      :size="setUp.leadSize"
      :length-mm="setUp.leadLengthMm"
      @size="(leadSize) => emit('change', { leadSize }, 'welding leads')"
      @length="(leadLengthMm) => emit('change', { leadLengthMm }, 'length of the leads')"
    />
    <RecordField
      v-bind="of"
      class="short-field"
      name="returnV"
      label="Clamp drop, V"
      :most="100"
      optional="not yet"
      what="volts at the clamp"
      @change="change"
    />
    <ChoiceField
      class="for-job"
      label="Check for job"
      :items="jobs"
      optional="no job"
      :model-value="jobId || null"
      @update:model-value="(now) => emit('job', now ?? '')"
    />
  </div>
</template>

<style scoped>
/* What is wrong with a field is said below it: nothing beside it may hang there. */
.settings {
  align-items: start;
  display: flex;
  flex-wrap: wrap;
  gap: 6px 12px;
}
.settings .name {
  flex: 1 1 130px;
  max-width: 240px;
}
.polarity {
  width: 94px;
}
.process-field {
  width: 190px;
}
.start {
  width: 150px;
}
.short-field {
  width: 88px;
}
.settings .check {
  flex: none;
  padding-top: 12px;
}
.for-job {
  margin-left: auto;
  width: 176px;
}
</style>
