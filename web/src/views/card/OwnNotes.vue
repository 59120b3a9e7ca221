<script setup lang="ts">
import { settledOf, wearPartsOf, type SetUp } from '@brannik/core'
import { computed, shallowRef, watch } from 'vue'
import { eventsOf } from '../../shop/eventList.ts'
import { happenings } from '../../shop/happenings.ts'
import { useOutbox } from '../../shop/outbox.ts'
import { useSession } from '../../shop/session.ts'
import { useWorkspace } from '../../shop/workspace.ts'
import { useNotice } from '../../stores/notice.ts'
import { usePrint } from '../../stores/usePrint.ts'
import { useWhen } from '../../stores/useWhen.ts'
import { useMachineRecord } from '../learned/useWear.ts'
import { PART_WORDS, wearText } from '../learned/wearWords.ts'

/** What the log says of this machine before it is used: parts that are due, and a breaker that has tripped. */
const { setUp } = defineProps<{ setUp: SetUp }>()
const workspace = useWorkspace()
const session = useSession()
const notice = useNotice()
const when = useWhen()
const { print, number } = usePrint()
const outbox = useOutbox()
const record = useMachineRecord(computed(() => setUp.powerSourceId))

/** Trips that somebody has left, by the key of the breaker: a new one is told again. */
const left = shallowRef<ReadonlyMap<string, number>>(new Map())
watch(
  happenings,
  async () => {
    const settled = await eventsOf('lesson-settled').catch(() => [])
    left.value = new Map(
      [...settledOf(settled)].flatMap(([key, { choice, evidence }]) =>
        choice === 'left' && key.startsWith('breaker.') ? [[key, evidence]] : [],
      ),
    )
  },
  { immediate: true },
)
const due = computed(() =>
  (record.value?.wear ?? []).filter(
    ({ part, state }) => state !== 'good' && wearPartsOf(setUp.process).includes(part),
  ),
)
const tripped = computed(() =>
  (record.value?.breakers ?? []).find(
    (one) =>
      one.circuitId === setUp.circuitId &&
      one.sourceId === setUp.powerSourceId &&
      one.tripped > (left.value.get(one.key) ?? 0),
  ),
)
const circuit = computed(() => (setUp.circuitId ? workspace.get('circuits', setUp.circuitId) : null))
function replaced(part: (typeof due.value)[number]['part']): void {
  outbox.record({
    type: 'part-replaced',
    subject: `wear.${setUp.powerSourceId}`,
    body: { part, replacedAt: new Date().toISOString(), note: '' },
  })
  notice.show(`${PART_WORDS[part]} counts from now on`)
}
</script>

<template>
  <ul v-if="due.length > 0 || tripped" class="notes">
    <li v-for="wear in due" :key="wear.part">
      <span
        ><strong>{{ PART_WORDS[wear.part] }} {{ wear.state === 'due' ? 'due' : 'due soon' }}.</strong>
        {{ wearText(wear, print, number) }}</span
      >
      <button class="plain-button screen-only" :disabled="!session.mayRecord" @click="replaced(wear.part)">
        Changed now
      </button>
    </li>
    <li v-if="tripped">
      <span
        ><strong
          >{{ circuit?.name ?? 'The breaker' }} tripped {{ tripped.tripped }} of
          {{ tripped.tripped + tripped.held }} times</strong
        >
        with this machine, last on {{ when(tripped.trippedAt ?? '', 'day') }}.</span
      >
    </li>
  </ul>
</template>

<style scoped>
.notes {
  border-left: 3px solid var(--tight);
  display: grid;
  gap: 4px;
  margin-top: 10px;
  padding: 2px 10px;
}
li {
  align-items: center;
  display: flex;
  flex-wrap: wrap;
  gap: 4px 12px;
  justify-content: space-between;
}
</style>
