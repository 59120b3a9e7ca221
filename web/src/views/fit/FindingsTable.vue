<script setup lang="ts">
import type { Row } from '@brannik/core'
import { computed } from 'vue'
import MarginBar from '../../charts/MarginBar.vue'
import VerdictMark from '../../components/VerdictMark.vue'

/** Every criterion that measures, and every group of those that compare, as one row, in two columns. A row opens. */
const { rows, openRow } = defineProps<{ rows: readonly Row[]; openRow: string | null }>()
const emit = defineEmits<{ open: [id: string] }>()

/** What compares and fits has no figures to show: it stands in one line, and opens all the same. */
const isPlain = ({ verdict, marginPct, criteria }: Row): boolean =>
  verdict === 'fits' && marginPct === null && criteria.every((one) => one.demand === null)
const plain = computed(() => rows.filter(isPlain))
const halves = computed(() => {
  const shown = rows.filter((row) => !isPlain(row))
  const middle = Math.ceil(shown.length / 2)
  return [shown.slice(0, middle), shown.slice(middle)]
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
          v-for="row in half"
          :key="row.id"
          v-tip="`${row.sentence}${row.restsOn ? ` Rests on: ${row.restsOn}.` : ''}`"
          :class="{ open: row.id === openRow }"
          @click="emit('open', row.id)"
        >
          <th scope="row">
            <button class="title" :data-testid="`finding-${row.id}`" @click.stop="emit('open', row.id)">
              {{ row.title }}
            </button>
          </th>
          <td class="number clip">{{ row.demand }}</td>
          <td class="number clip">{{ row.capacity }}</td>
          <td class="margin"><MarginBar :margin-pct="row.marginPct" :verdict="row.verdict" /></td>
          <td><VerdictMark :verdict="row.verdict" /></td>
        </tr>
        <tr v-if="index === 1 && plain.length > 0" class="plain">
          <td colspan="5">
            <VerdictMark verdict="fits" :word="false" /> Fits<template
              v-for="(row, place) in plain"
              :key="row.id"
              >{{ place > 0 ? ', ' : ': '
              }}<button
                v-tip="row.sentence"
                class="title"
                :data-testid="`finding-${row.id}`"
                @click.stop="emit('open', row.id)"
              >
                {{ row.title }}
              </button></template
            >
          </td>
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
tr:not(.plain):hover .title,
.plain .title:hover {
  text-decoration: underline;
}
.plain {
  cursor: default;
}
.plain td :deep(svg) {
  vertical-align: -2px;
}
.plain td {
  overflow: hidden;
  padding-left: 12px;
  text-overflow: ellipsis;
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
