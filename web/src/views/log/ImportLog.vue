<script setup lang="ts">
import type { ReadLogRow } from '@brannik/core'
import { computed, ref, shallowRef, watch } from 'vue'
import { RequestFailed, tellEvent } from '../../api/client.ts'
import FileOrPaste from '../../components/FileOrPaste.vue'
import PreviewRows from '../../components/PreviewRows.vue'
import SheetDialog from '../../components/SheetDialog.vue'
import { useNotice } from '../../stores/notice.ts'
import { keyOfRow, readLogFile } from './logFiles.ts'

/** Rows of a log from a file: each is shown as it is understood, and a file that is read twice is stored once. */
const open = defineModel<boolean>({ required: true })
const emit = defineEmits<{ taken: [] }>()
const notice = useNotice()

const problem = ref('')
const fileName = ref('')
const rows = shallowRef<readonly ReadLogRow[]>([])
const doneCount = ref(0)
const isTaking = ref(false)
const good = computed(() => rows.value.filter(({ body }) => body !== null))
const bad = computed(() => rows.value.filter(({ body }) => body === null))
const COLUMNS = [{ title: 'Row', width: 60 }, { title: 'Weld' }, { title: 'What is wrong' }]

watch(open, () => {
  problem.value = ''
  fileName.value = ''
  rows.value = []
  doneCount.value = 0
})
function take(text: string, name: string): void {
  const read = readLogFile(text)
  fileName.value = name
  problem.value = read.ok ? '' : read.message
  rows.value = read.ok ? read.rows : []
}
const wrongOf = ({ problems }: ReadLogRow): string =>
  problems.map(({ field, message }) => `${field} ${message}`).join('. ')

async function store(): Promise<void> {
  isTaking.value = true
  problem.value = ''
  try {
    for (const row of good.value) {
      await tellEvent({ type: 'weld-recorded', subject: row.subject, body: row.body }, await keyOfRow(row))
      doneCount.value += 1
    }
    notice.show(`${doneCount.value} ${doneCount.value === 1 ? 'row is' : 'rows are'} in the log`)
    emit('taken')
    open.value = false
  } catch (error) {
    const why = error instanceof RequestFailed ? error.message : String(error)
    problem.value = `${doneCount.value} of ${good.value.length} rows are stored, then: ${why}. Press again to go on.`
    doneCount.value = 0
  } finally {
    isTaking.value = false
  }
}
</script>

<template>
  <SheetDialog v-model="open" title="Import a log" :width="760">
    <p class="quiet">
      CSV with the headings of an exported log. job_id, weld_id, welded_at, process, position, thickness_mm
      and metal are needed. The rest may be left out.
    </p>
    <div class="source">
      <FileOrPaste
        what="a log"
        choose="Choose CSV"
        paste="paste rows with their headings"
        accept=".csv,text/csv"
        @take="take"
        @refuse="(message) => (problem = message)"
      />
    </div>
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
    <template v-if="rows.length > 0">
      <p>{{ fileName }}: {{ good.length }} of {{ rows.length }} rows are understood.</p>
      <PreviewRows v-if="bad.length > 0" :items="bad" label="Rows to correct" :columns="COLUMNS" :most="6">
        <template #default="{ item }">
          <td>{{ item.row }}</td>
          <td>{{ item.subject }}</td>
          <td>{{ wrongOf(item) }}</td>
        </template>
      </PreviewRows>
    </template>
    <template #foot>
      <span class="quiet">{{ isTaking ? `${doneCount} of ${good.length} stored` : '' }}</span>
      <button class="plain-button main" :disabled="good.length === 0 || isTaking" @click="store">
        Add {{ good.length }} {{ good.length === 1 ? 'row' : 'rows' }}
      </button>
    </template>
  </SheetDialog>
</template>

<style scoped>
.source {
  align-items: start;
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
}
</style>
