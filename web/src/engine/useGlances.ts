/** The answers of many jobs at a glance, as they come; the rows that are known stand until newer ones are there. */
import { type Ref, ref, shallowRef, watch } from 'vue'
import { reasonOf } from '../reason.ts'
import { useWorkspace } from '../shop/workspace.ts'
import { engines } from './client.ts'
import type { JobGlance } from './questions/glance.ts'
import { askOfJobs } from './manyJobs.ts'

export function useGlances(jobIds: Ref<readonly string[]>) {
  const workspace = useWorkspace()
  const glances = shallowRef<ReadonlyMap<string, JobGlance>>(new Map())
  /** Why there are none; empty where there are. */
  const failure = ref('')
  /** How many jobs are not calculated yet. */
  const waiting = ref(0)

  watch(
    [jobIds, () => workspace.snapshot],
    async ([ids, snapshot], _before, onCleanup) => {
      const stop = new AbortController()
      onCleanup(() => {
        stop.abort()
      })
      failure.value = ''
      waiting.value = ids.length
      try {
        await askOfJobs(engines, snapshot, 'glance', ids, [], {
          signal: stop.signal,
          onPart(rows, done) {
            glances.value = new Map([...glances.value, ...rows.map((row) => [row.jobId, row] as const)])
            waiting.value = ids.length - done
          },
        })
      } catch (error) {
        if (stop.signal.aborted) return
        glances.value = new Map()
        failure.value = reasonOf(error)
        waiting.value = 0
      }
    },
    { immediate: true },
  )
  return { glances, failure, waiting }
}
