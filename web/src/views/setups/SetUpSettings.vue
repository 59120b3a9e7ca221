<script setup lang="ts">
import {
  START_WORDS,
  POLARITIES,
  PROCESS_IDS,
  type ProcessId,
  PROCESSES,
  type SetUp,
  START_METHODS,
  wordOf,
} from '@brannik/core'
import { computed } from 'vue'
import QuantityField from '../../components/QuantityField.vue'
import { useNotice } from '../../stores/notice.ts'
import { useWorkspace } from '../../stores/workspace.ts'

/** How a set-up is run: process, polarity, start, stick-out, flow; and for which job it is looked at. */
const { setUp, jobId } = defineProps<{ setUp: SetUp; jobId: string }>()
const emit = defineEmits<{
  change: [part: Partial<SetUp>, what: string, which?: 'small' | 'all']
  job: [id: string]
}>()

const workspace = useWorkspace()
const notice = useNotice()
const process = computed(() => PROCESSES[setUp.process])
const jobs = computed(() => [
  { id: '', name: 'no particular job' },
  ...workspace.jobs.filter((job) => job.joints.length > 0),
])
const valueOf = (event: Event): string => (event.target as HTMLInputElement | HTMLSelectElement).value

function rename(text: string): void {
  if (text.trim() === '' || text.length > 120) {
    notice.show('The name of a set-up has 1 to 120 characters. The old one stays.')
    return
  }
  emit('change', { name: text.trim() }, 'name')
}
/** Another process has another usual polarity, and what cannot do it makes room for what can. */
function setProcess(processId: ProcessId): void {
  emit('change', { process: processId, polarity: PROCESSES[processId].polarity }, 'process', 'all')
}
</script>

<template>
  <div class="settings">
    <label class="name"
      ><span class="label">Name</span
      ><input class="field" :value="setUp.name" @change="rename(valueOf($event))"
    /></label>
    <label
      ><span class="label">Process</span>
      <select
        class="field process-field"
        :value="setUp.process"
        @change="setProcess(valueOf($event) as ProcessId)"
      >
        <option v-for="one in PROCESS_IDS" :key="one" :value="one">
          {{ PROCESSES[one].workshopWord }}
        </option>
      </select></label
    >
    <label
      ><span class="label">Polarity</span>
      <select
        class="field polarity"
        :value="setUp.polarity"
        @change="emit('change', { polarity: valueOf($event) as SetUp['polarity'] }, 'polarity')"
      >
        <option
          v-for="one in POLARITIES"
          :key="one"
          :value="one"
          :title="wordOf(workspace.speech, 'polarity', one)"
        >
          {{ one.toUpperCase() }}
        </option>
      </select></label
    >
    <template v-if="process.family === 'gtaw'">
      <label
        ><span class="label">Start wanted</span>
        <select
          class="field"
          :value="setUp.start ?? ''"
          @change="emit('change', { start: (valueOf($event) || null) as SetUp['start'] }, 'start')"
        >
          <option value="">as the machine</option>
          <option v-for="one in START_METHODS" :key="one" :value="one">
            {{ START_WORDS[one] }}
          </option>
        </select></label
      >
      <QuantityField
        class="short-field"
        kind="weldSize"
        label="Stick-out"
        optional="not set"
        :model-value="setUp.stickOutMm"
        @update:model-value="(now) => emit('change', { stickOutMm: now }, 'stick-out')"
      />
    </template>
    <QuantityField
      v-if="process.shielded"
      class="short-field"
      kind="gasFlow"
      label="Gas flow"
      optional="by rule"
      :model-value="setUp.flowLPerMin"
      @update:model-value="(now) => emit('change', { flowLPerMin: now }, 'gas flow')"
    />
    <label v-if="process.family === 'gtaw'" class="check"
      ><input
        type="checkbox"
        :checked="setUp.electronicsNear"
        @change="emit('change', { electronicsNear: !setUp.electronicsNear }, 'electronics near by')"
      />
      electronics near by</label
    >
    <label class="for-job"
      ><span class="label">Looked at for the job</span>
      <select :value="jobId" class="field" @change="emit('job', valueOf($event))">
        <option v-for="job in jobs" :key="job.id" :value="job.id">{{ job.name }}</option>
      </select></label
    >
  </div>
</template>

<style scoped>
.settings {
  align-items: end;
  display: flex;
  flex-wrap: wrap;
  gap: 6px 12px;
}
.settings > label {
  display: grid;
}
.settings .name {
  flex: 1 1 130px;
  max-width: 240px;
}
.polarity {
  width: 94px;
}
.process-field {
  width: 162px;
}
.short-field {
  width: 88px;
}
.settings .check {
  align-items: center;
  display: flex;
  gap: 6px;
  height: 32px;
}
.for-job {
  margin-left: auto;
}
.for-job select {
  width: 168px;
}
</style>
