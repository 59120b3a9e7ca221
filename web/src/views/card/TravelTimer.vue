<script setup lang="ts">
import { printQuantity, timedTravel, turnsPerMin } from '@brannik/core'
import { useIntervalFn } from '@vueuse/core'
import { computed, ref } from 'vue'
import ChoiceField from '../../components/ChoiceField.vue'
import { useWorkspace } from '../../shop/workspace.ts'
import { usePrint } from '../../stores/usePrint.ts'

/** Travel by the clock: press at the start and at the end of an inch, or of a turn, and read the speed. */
const { chartMmPerMin, jobId, weldId } = defineProps<{
  chartMmPerMin: number | null
  jobId: string
  weldId: string
}>()
const emit = defineEmits<{ read: [travelMmPerMin: number] }>()
const workspace = useWorkspace()
const { number } = usePrint()

const joint = computed(() => workspace.get('jobs', jobId)?.joints.find(({ id }) => id === weldId) ?? null)
/** Across what it turns; null where nothing turns. */
const diameterMm = computed(() => (joint.value?.around === true ? joint.value.diameterMm : null))
const inches = computed(() => workspace.notation.system === 'imperial')
const lengths = computed(() => [
  { id: 'one', name: inches.value ? '1 in' : '25 mm' },
  { id: 'four', name: inches.value ? '4 in' : '100 mm' },
  ...(diameterMm.value === null ? [] : [{ id: 'turn', name: 'one turn' }]),
])
const picked = ref('one')
const lengthMm = computed(() => {
  if (picked.value === 'turn' && diameterMm.value !== null) return Math.PI * diameterMm.value
  return (inches.value ? 25.4 : 25) * (picked.value === 'four' ? 4 : 1)
})

const beganAt = ref<number | null>(null)
const seconds = ref(0)
useIntervalFn(() => {
  if (beganAt.value !== null) seconds.value = (Date.now() - beganAt.value) / 1000
}, 100)
const travel = computed(() => (beganAt.value === null ? timedTravel(lengthMm.value, seconds.value) : null))
function press(): void {
  if (beganAt.value === null) {
    seconds.value = 0
    beganAt.value = Date.now()
    return
  }
  seconds.value = (Date.now() - beganAt.value) / 1000
  beganAt.value = null
  if (travel.value !== null) emit('read', Number(travel.value.toPrecision(3)))
}
const TENTHS = { minimumFractionDigits: 1, maximumFractionDigits: 1 }
/** Always to a tenth: the line does not jump while it runs. */
const clocked = computed(() => seconds.value.toLocaleString(workspace.notation.locale, TENTHS))
const speed = (mmPerMin: number): string => printQuantity('travelSpeed', mmPerMin, workspace.notation)
const rpm = computed(() =>
  diameterMm.value === null || chartMmPerMin === null
    ? null
    : Number(turnsPerMin(chartMmPerMin, diameterMm.value).toPrecision(2)),
)
</script>

<template>
  <section class="timer" aria-label="Travel by the clock">
    <ChoiceField
      class="length"
      label="Time over"
      :items="lengths"
      :model-value="picked"
      @update:model-value="(id) => (picked = id ?? 'one')"
    />
    <button class="plain-button" @click="press">{{ beganAt === null ? 'Start timing' : 'Stop' }}</button>
    <p aria-live="polite">
      <template v-if="beganAt !== null">{{ clocked }} s</template>
      <template v-else-if="travel !== null"
        ><strong>{{ speed(travel) }}</strong> in {{ clocked }} s</template
      >
      <span v-if="chartMmPerMin !== null" class="label">
        chart {{ speed(chartMmPerMin)
        }}<template v-if="rpm !== null">, {{ number(rpm) }} rpm on a turntable</template>
      </span>
    </p>
  </section>
</template>

<style scoped>
.timer {
  align-items: center;
  display: flex;
  flex-wrap: wrap;
  gap: 8px 14px;
}
.length {
  flex: none;
  width: 150px;
}
button {
  min-height: 48px;
}
</style>
