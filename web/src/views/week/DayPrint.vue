<script setup lang="ts">
import { dayOf, type WeekBlock } from '@brannik/core'
import { computed } from 'vue'
import type { TimeRow } from './TimeLine.vue'
import { durationText, usePlanWords } from './planWords.ts'

/** On paper: a day for each machine, to hang beside it. */
const { blocks, rows, rowOf, fromMin } = defineProps<{
  blocks: readonly WeekBlock[]
  rows: readonly TimeRow[]
  rowOf: (block: WeekBlock) => string
  fromMin: number
}>()
const { clock, day, nameOf, weekday } = usePlanWords()
/** The first day with work, of each row. */
const sheets = computed(() =>
  rows.flatMap((row) => {
    const own = blocks.filter((block) => rowOf(block) === row.id)
    const [first] = own
    if (!first) return []
    const today = dayOf(Math.max(fromMin, first.startMin))
    return [
      {
        row,
        day: weekday(Math.max(fromMin, first.startMin)),
        own: own.filter(({ startMin }) => dayOf(startMin) <= today),
      },
    ]
  }),
)
</script>

<template>
  <div class="day-print">
    <article v-for="sheet in sheets" :key="sheet.row.id">
      <h2>{{ sheet.row.title }}, {{ sheet.day }}</h2>
      <table class="ruled">
        <thead>
          <tr>
            <th scope="col">Starts</th>
            <th scope="col">Job</th>
            <th scope="col">Set-up</th>
            <th scope="col">Welder</th>
            <th scope="col">Change over</th>
            <th scope="col">Work</th>
            <th scope="col">Due</th>
            <th scope="col">Done</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="block in sheet.own" :key="block.id">
            <td>{{ clock(block.startMin) }}</td>
            <td>{{ nameOf(block) }}</td>
            <td>{{ block.setUpName }}</td>
            <td>{{ block.welderName }}</td>
            <td>{{ block.changeMin > 0 ? durationText(block.changeMin) : 'none' }}</td>
            <td>{{ durationText(block.workMin) }}</td>
            <td>{{ block.dueOn === null ? '' : day(block.dueOn) }}</td>
            <td>☐</td>
          </tr>
        </tbody>
      </table>
    </article>
  </div>
</template>

<style scoped>
.day-print {
  display: none;
}
@media print {
  .day-print {
    display: grid;
    gap: 24px;
  }
  article {
    break-inside: avoid;
  }
  th,
  td {
    padding: 4px 8px;
  }
}
</style>
