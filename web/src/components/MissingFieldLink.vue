<script setup lang="ts">
import { type Assessment, pathOfSlot, PROCESSES, missingFieldOf, type SetUp, slotKey } from '@brannik/core'
import { computed } from 'vue'
import type { RouteLocationRaw } from 'vue-router'
import { useWorkspace } from '../shop/workspace.ts'

/** From what is not known to the field where it is written. */
const {
  assessment,
  setUp,
  jobId,
  isBrief = false,
} = defineProps<{
  assessment: Assessment
  setUp: SetUp
  jobId: string | null
  /** The name of the thing is in the sentence beside it. */
  isBrief?: boolean
}>()
/** Labels that read badly in a sentence. */
const STOCKED: ReadonlySet<string> = new Set(['Stock on hand', 'Gas in the cylinder'])
const workspace = useWorkspace()

const to = computed<{ route: RouteLocationRaw; words: string } | null>(() => {
  const settling = missingFieldOf(assessment)
  if (!settling) return null
  const { at } = settling
  const query = {
    ...(settling.field === null ? {} : { field: settling.field }),
    // A plate has the same field for each of its processes.
    ...(at === 'powerSource' ? { process: PROCESSES[setUp.process].family } : {}),
  }
  if (at === 'job')
    return jobId === null
      ? null
      : {
          route: { name: 'job', params: { jobId }, query },
          words: (settling.field ?? 'the job').toLowerCase(),
        }
  const own = { route: { name: 'set-up', params: { id: setUp.id } }, words: 'the set-up' }
  if (at === 'set-up') return own
  const slot = at === 'feed' ? (setUp.feederId === null ? 'powerSource' : 'feeder') : at
  const id = setUp[slotKey(slot)]
  if (id === null) return own
  const list = pathOfSlot(slot)
  const name = workspace.get(list, id)?.name ?? id
  const field = settling.field && (STOCKED.has(settling.field) ? 'stock' : settling.field.toLowerCase())
  const words = field === null ? name : isBrief ? field : `${field} of ${name}`
  return { route: { name: 'equipment', params: { list, id }, query }, words }
})
</script>

<template>
  <RouterLink v-if="to" class="link-button settle" :to="to.route" @click.stop
    >Enter {{ to.words }}</RouterLink
  >
</template>
