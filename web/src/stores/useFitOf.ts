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
  let asked = 0

  watch(
    [input, options],
    async ([now, wanted]) => {
      asked += 1
      const mine = asked
      if (!now || now.job.joints.length <= SMALL) {
        fit.value = now ? fitJob(now, wanted) : null
        isComputing.value = false
        return
      }
      isComputing.value = true
      const answer = await inWorker().fit(now, wanted)
      if (mine !== asked) return
      fit.value = answer
      isComputing.value = false
    },
    { immediate: true, flush: 'sync' },
  )
  return { fit, isComputing }
}
