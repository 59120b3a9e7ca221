<script setup lang="ts">
import { scaleLog } from 'd3'
import { computed } from 'vue'

/** One bar a set-up on a logarithmic axis of thickness, with the jobs’ thicknesses as ticks through all of them. */
export interface CapacityRow {
  readonly id: string
  readonly name: string
  readonly note: string
  /** mm; null where nothing is welded, or nothing is known. */
  readonly bar: {
    readonly thinnestMm: number
    readonly thinMm: number
    readonly singleMm: number
    /** Null where nothing ends it. */
    readonly thickestMm: number | null
    readonly limitMm: number | null
  } | null
  /** Ends in words. */
  readonly thinEnd: string
  readonly thickEnd: string
}
export interface ThicknessTick {
  readonly mm: number
  readonly label: string
  readonly jobs: string
}
const { rows, ticks, scale, chosen } = defineProps<{
  rows: readonly CapacityRow[]
  ticks: readonly ThicknessTick[]
  /** Round thicknesses below the bars. */
  scale: readonly { readonly mm: number; readonly label: string }[]
  chosen: string | null
}>()
const emit = defineEmits<{ choose: [id: string] }>()

const LEAST_MM = 0.4
const MOST_MM = 30
const x = scaleLog([LEAST_MM, MOST_MM], [0, 100]).clamp(true)
const span = (from: number, to: number) => ({
  left: `${x(from)}%`,
  width: `${Math.max(0.4, x(to) - x(from))}%`,
})

/** Labels that would stand on each other are left out, the line stays. */
const APART_PCT = 7
const labelled = computed(() => {
  let last = -APART_PCT
  return ticks.map((tick) => {
    const at = x(tick.mm)
    const isShown = at - last >= APART_PCT
    if (isShown) last = at
    return { ...tick, at, isShown }
  })
})
</script>

<template>
  <div class="bars">
    <div class="row axis">
      <span class="label">Set-up</span>
      <span class="label end">Thin end</span>
      <span class="area">
        <span
          v-for="tick in labelled"
          :key="tick.mm"
          v-tip="tick.jobs"
          class="tick-label"
          :style="{ left: `${tick.at}%` }"
          >{{ tick.isShown ? tick.label : '' }}</span
        >
      </span>
      <span class="label end">Thick end</span>
    </div>
    <button
      v-for="row in rows"
      :key="row.id"
      class="row"
      :class="{ chosen: row.id === chosen }"
      :aria-pressed="row.id === chosen"
      @click="emit('choose', row.id)"
    >
      <span class="name">
        {{ row.name }} <small>{{ row.note }}</small>
      </span>
      <span class="end">{{ row.thinEnd }}</span>
      <span class="area" aria-hidden="true">
        <span v-for="tick in labelled" :key="tick.mm" class="tick" :style="{ left: `${tick.at}%` }" />
        <template v-if="row.bar">
          <span class="faint" :style="span(row.bar.thinnestMm, row.bar.limitMm ?? MOST_MM)" />
          <span class="solid" :style="span(row.bar.thinMm, row.bar.thickestMm ?? MOST_MM)" />
          <span class="single" :style="{ left: `${x(row.bar.singleMm)}%` }" />
        </template>
      </span>
      <span class="end">{{ row.thickEnd }}</span>
    </button>
    <div class="row axis below" aria-hidden="true">
      <span class="label">thickness, logarithmic</span>
      <span />
      <span class="area">
        <span v-for="one in scale" :key="one.mm" class="tick-label" :style="{ left: `${x(one.mm)}%` }">{{
          one.label
        }}</span>
      </span>
      <span />
    </div>
  </div>
</template>

<style scoped>
.bars {
  display: grid;
}
.row {
  align-items: center;
  background: none;
  border: 0;
  border-left: 3px solid transparent;
  border-top: 1px solid var(--line);
  color: var(--ink);
  display: grid;
  gap: 12px;
  grid-template-columns: 210px 134px minmax(0, 1fr) 150px;
  min-height: 34px;
  padding: 0 12px 0 9px;
  text-align: left;
}
button.row {
  cursor: pointer;
}
button.row:hover {
  background: var(--sunk);
}
.row.chosen {
  background: var(--copper-soft);
  border-left-color: var(--copper);
}
.axis {
  border-top: 0;
  min-height: 26px;
}

.below {
  border-top: 1px solid var(--ink-2);
}
.name {
  font-weight: 700;
  line-height: 1.15;
  overflow: hidden;
  text-overflow: ellipsis;
}
small,
.label,
.tick-label {
  color: var(--ink-2);
  font-size: var(--text-s);
  font-weight: 400;
}
small {
  display: block;
}
.end {
  font-size: var(--text-s);
  font-variant-numeric: tabular-nums;
}
.area {
  align-self: stretch;
  position: relative;
}
.area > * {
  position: absolute;
}
.tick {
  border-left: 1px dashed var(--line-strong);
  bottom: 0;
  top: 0;
}
.tick-label {
  bottom: 3px;
  transform: translateX(-50%);
  white-space: nowrap;
}
.faint,
.solid {
  border-radius: 2px;
  top: 50%;
  transform: translateY(-50%);
}
.faint {
  border: 1px dashed var(--ink-2);
  height: 10px;
}
.solid {
  background: var(--steel);
  height: 14px;
}
.single {
  border-left: 3px solid var(--copper);
  height: 22px;
  top: 50%;
  transform: translate(-50%, -50%);
}
@media (max-width: 900px) {
  .row {
    grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
    padding-block: 4px;
  }
  .area {
    grid-column: 1 / -1;
    min-height: 22px;
    order: 5;
  }
}
</style>
