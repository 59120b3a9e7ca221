/** The fit of a job as it changes: at once for a small one, in a worker for a large one, where the latest wins. */
import { type Fit, type FitInput, fitJob, type FitOptions } from '@brannik/core'
import { type Remote, wrap } from 'comlink'
import { type Ref, ref, shallowRef, watch } from 'vue'
import type { FitWorker } from '../workers/fit.worker.ts'

/** Up to here a fit takes far less than a frame. */
const SMALL = 60

let worker: Remote<FitWorker> | null = null
const inWorker = (): Remote<FitWorker> => {
  worker ??= wrap<FitWorker>(
    new Worker(new URL('../workers/fit.worker.ts', import.meta.url), { type: 'module' }),
  )
  return worker
}

export function useFitOf(input: Ref<FitInput | null>, options: Ref<FitOptions>) {
  const fit = shallowRef<Fit | null>(null)
  const isComputing = ref(false)
  /** What came while the worker was busy; only the last of it is worth fitting. */
  let next: { input: FitInput; options: FitOptions } | null = null
  let current: FitInput | null = null

  async function work(): Promise<void> {
    while (next) {
      const { input: mine, options: wanted } = next
      next = null
      const answer = await inWorker().fit(mine, wanted)
      // A small job, or none, may have taken its place meanwhile.
      if (current === mine || next !== null) fit.value = answer
    }
    isComputing.value = false
  }

  watch(
    [input, options],
    ([now, wanted]) => {
      current = now
      if (!now || now.job.joints.length <= SMALL) {
        next = null
        fit.value = now ? fitJob(now, wanted) : null
        return
      }
      next = { input: now, options: wanted }
      if (isComputing.value) return
      isComputing.value = true
      void work()
    },
    { immediate: true, flush: 'sync' },
  )
  return { fit, isComputing }
}
