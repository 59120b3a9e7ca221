<script setup lang="ts">
import { does, type Job, PROCESSES, type SetUp, type ToBuy } from '@brannik/core'
import { computed } from 'vue'
import SheetDialog from '../../components/SheetDialog.vue'
import { type Question, useAnswer } from '../../engine/useAnswer.ts'
import { useMoney } from '../../stores/useMoney.ts'
import { useAbout } from '../../stores/useAbout.ts'
import { usePrint } from '../../stores/usePrint.ts'
import { useWorkspace } from '../../shop/workspace.ts'
import { type Cells, cellOf, verdictOf } from './boardModel.ts'

/** The pinned set-ups side by side, the same rows for all. */
const open = defineModel<boolean>({ required: true })
const { setUps, jobs, cells, toBuy, supply } = defineProps<{
  setUps: readonly SetUp[]
  jobs: readonly Job[]
  cells: Cells
  toBuy: ReadonlyMap<string, ToBuy | null>
  supply: (setUp: SetUp) => string
}>()
const emit = defineEmits<{ unpin: [setUpId: string] }>()

const workspace = useWorkspace()
const money = useMoney()
const about = useAbout()
const { print } = usePrint()
const { answer: capacities } = useAnswer<'capacities'>(
  computed((): Question<'capacities'> | null =>
    open.value ? ['capacities', setUps.map(({ id }) => id)] : null,
  ),
)

function flat(setUp: SetUp): { readonly thin: string; readonly thick: string } {
  const columns = capacities.value?.[setUp.id]?.columns ?? []
  const column = columns.find(({ isOwn }) => isOwn) ?? columns[0]
  const range = column?.ranges.find(({ position }) => position === 'flat')
  if (!range) return { thin: '–', thick: '–' }
  return { thin: about(range.thinnest.mm), thick: range.thickest ? about(range.thickest.mm) : 'any' }
}
const doneBy = (setUp: SetUp): readonly Job[] =>
  jobs.filter(({ id }) => does(verdictOf(cells, id, setUp.id) ?? 'fails'))
const names = (list: readonly Job[]): string =>
  list.length === 0 ? 'none' : list.map(({ name }) => name).join(', ')
/** No other of those pinned does them. */
const alone = (setUp: SetUp): readonly Job[] =>
  doneBy(setUp).filter((job) =>
    setUps.every((other) => other.id === setUp.id || !doneBy(other).includes(job)),
  )
const price = (setUp: SetUp): string => {
  const buy = toBuy.get(setUp.id)
  if (!buy) return 'owned'
  return `${buy.names.join(', ')}${buy.price === null ? ', price not known' : `: ${money(buy.price)}`}`
}
const taken = (setUp: SetUp) => doneBy(setUp).flatMap(({ id }) => cellOf(cells, id, setUp.id)?.takes ?? [])
const summed = (values: readonly (number | null)[]): number | null => {
  const known = values.filter((value) => value !== null)
  return known.length === 0 ? null : known.reduce((sum, value) => sum + value, 0)
}
const shown = (value: number | null, unit: string): string => (value === null ? '–' : print(value, unit))
const source = ({ powerSourceId }: SetUp) => workspace.get('power-sources', powerSourceId)
/** The plate’s column for its circuit; of a set that an engine drives the only one. */
function ratings(setUp: SetUp): string {
  const circuit = setUp.circuitId === null ? null : workspace.get('circuits', setUp.circuitId)
  const { family } = PROCESSES[setUp.process]
  const supplies = source(setUp)?.processes.find((one) => one.family === family)?.supplies ?? []
  const column = supplies.find(({ voltageV }) => voltageV === (circuit?.voltageV ?? null)) ?? supplies[0]
  return (
    column?.ratedPoints
      .map(({ currentA, dutyPct }) => `${print(currentA, 'A')} at ${print(dutyPct, '%')}`)
      .join(', ') ?? '–'
  )
}
function feed(setUp: SetUp): string {
  if (!PROCESSES[setUp.process].feedsWire) return 'none'
  const gun = workspace.get('guns', setUp.gunId)
  const apart = setUp.feederId === null ? null : workspace.get('feeders', setUp.feederId)
  const path = gun?.feeder ?? source(setUp)?.feeder ?? apart
  const most = path?.feedMaxMmPerMin ?? null
  return most === null ? 'no data' : `up to ${print(most, 'mm/min')}`
}
const { answer: changeMinutes } = useAnswer<'changeMinutes'>(
  computed<Question<'changeMinutes'>>(() => ['changeMinutes']),
)
const ROWS: readonly { readonly title: string; readonly of: (setUp: SetUp) => string }[] = [
  { title: 'Process', of: ({ process }) => PROCESSES[process].workshopWord },
  { title: 'Supply', of: (setUp) => supply(setUp) },
  { title: 'Duty cycle', of: ratings },
  { title: 'Thinnest, flat', of: (setUp) => flat(setUp).thin },
  { title: 'Thickest, flat', of: (setUp) => flat(setUp).thick },
  { title: 'Wire feed speed', of: feed },
  { title: 'Does', of: (setUp) => names(doneBy(setUp)) },
  { title: 'Hours for them', of: (setUp) => shown(summed(taken(setUp).map(({ workH }) => workH)), 'h') },
  {
    title: 'Cost for them',
    of: (setUp) => {
      const sum = summed(taken(setUp).map(({ cost }) => cost))
      return sum === null ? '–' : money(Math.round(sum))
    },
  },
  {
    title: 'Material for them',
    of: (setUp) => {
      const gas = summed(taken(setUp).map(({ gasL }) => gasL))
      const filler = shown(summed(taken(setUp).map(({ fillerG }) => fillerG)), 'g')
      return gas === null ? filler : `${filler}, ${print(gas, 'L')} of gas`
    },
  },
  { title: 'Changeover now', of: ({ id }) => shown(changeMinutes.value?.[id] ?? null, 'min') },
  { title: 'Only this one does', of: (setUp) => names(alone(setUp)) },
  { title: 'Does not do', of: (setUp) => names(jobs.filter((job) => !doneBy(setUp).includes(job))) },
  { title: 'To buy', of: price },
]
</script>

<template>
  <SheetDialog v-model="open" title="Set-ups side by side" :width="980">
    <table>
      <thead>
        <tr>
          <td></td>
          <th v-for="setUp in setUps" :key="setUp.id" scope="col">
            {{ setUp.name }}
            <button class="link-button" :aria-label="`Unpin ${setUp.name}`" @click="emit('unpin', setUp.id)">
              Unpin
            </button>
          </th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in ROWS" :key="row.title">
          <th scope="row">{{ row.title }}</th>
          <td v-for="setUp in setUps" :key="setUp.id">{{ row.of(setUp) }}</td>
        </tr>
      </tbody>
    </table>
  </SheetDialog>
</template>

<style scoped>
table {
  border-collapse: collapse;
  width: 100%;
}
th,
td {
  border-bottom: 1px solid var(--line);
  padding: 6px 14px 6px 0;
  text-align: left;
  vertical-align: top;
}
thead .link-button {
  display: block;
  font-weight: 400;
}
tbody th {
  color: var(--ink-2);
  font-weight: 400;
  white-space: nowrap;
}
</style>
