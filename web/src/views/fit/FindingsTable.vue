<script setup lang="ts">
import { type Finding, printMeasure } from '@brannik/core'
import { computed } from 'vue'
import MarginBar from '../../charts/MarginBar.vue'
import VerdictMark from '../../components/VerdictMark.vue'
import { useWorkspace } from '../../stores/workspace.ts'

/** Every check as one row, in two columns, with its margin about a common zero. A row opens its working. */
const { findings, openCheck } = defineProps<{ findings: readonly Finding[]; openCheck: string | null }>()
const emit = defineEmits<{ open: [finding: Finding] }>()

const workspace = useWorkspace()
const print = (measure: Finding['demand']): string => printMeasure(measure, workspace.system)
const halves = computed(() => {
  const middle = Math.ceil(findings.length / 2)
  return [findings.slice(0, middle), findings.slice(middle)]
})
</script>

<template>
  <div class="findings">
    <table
      v-for="(half, index) in halves"
      :key="index"
      class="sheet ruled"
      :aria-label="index === 0 ? 'Checks from panel to arc' : 'Checks of metal and stores'"
    >
      <thead>
        <tr>
          <th scope="col">Check</th>
          <th scope="col" class="number">Job wants</th>
          <th scope="col" class="number">Set-up gives</th>
          <th scope="col" class="margin">Margin</th>
          <th scope="col">Verdict</th>
        </tr>
      </thead>
      <tbody>
        <tr
          v-for="finding in half"
          :key="finding.check"
          :class="{ open: finding.check === openCheck }"
          :title="`${finding.says} Rests on: ${finding.restsOn}`"
          @click="emit('open', finding)"
        >
          <th scope="row">
            <button
              class="title"
              :data-testid="`finding-${finding.check}`"
              @click.stop="emit('open', finding)"
            >
              {{ finding.title }}
            </button>
          </th>
          <td class="number clip">{{ print(finding.demand) }}</td>
          <td class="number clip">{{ print(finding.capacity) }}</td>
          <td class="margin"><MarginBar :margin-pct="finding.marginPct" :verdict="finding.verdict" /></td>
          <td><VerdictMark :verdict="finding.verdict" /></td>
        </tr>
      </tbody>
    </table>
  </div>
</template>

<style scoped>
.findings {
  align-items: start;
  display: grid;
  gap: 8px;
  grid-template-columns: repeat(2, minmax(0, 1fr));
}
table {
  table-layout: fixed;
}
th,
td {
  height: 25px;
  padding: 0 4px;
  white-space: nowrap;
}
th:first-child {
  padding-left: 12px;
}
.ruled .number {
  text-align: right;
}
thead .number {
  width: 18.5%;
}
thead .margin {
  padding-left: 10px;
  width: 132px;
}
td.margin {
  padding-left: 10px;
}
thead th:last-child {
  width: 86px;
}
.clip {
  font-weight: 600;
  overflow: hidden;
  text-overflow: ellipsis;
}
tbody tr {
  cursor: pointer;
}
tbody tr:hover,
tbody tr.open {
  background: var(--sunk);
}
.title {
  background: none;
  border: 0;
  color: inherit;
  cursor: pointer;
  font-weight: 400;
  padding: 0;
  text-align: left;
}
tr:hover .title {
  text-decoration: underline;
}
@media (max-width: 1180px) {
  .findings {
    grid-template-columns: minmax(0, 1fr);
  }
}
@media (max-width: 560px) {
  .margin {
    display: none;
  }
  th,
  td {
    height: 34px;
  }
}
</style>
