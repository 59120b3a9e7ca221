/** The fit of a job as it changes: at once for a small one, in a worker for a large one, where the latest wins. */
import {
  type Entered,
  type Fit,
  type FitInput,
  fitJob,
  type FitOptions,
  type Plan,
  planJob,
  suggest,
  type Suggestion,
} from '@brannik/core'
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

interface Question<O> {
  readonly input: FitInput
  readonly options: O
}

/** @param here computes at once; @param away computes in the worker */
function useLatest<T, O>(
  input: Ref<FitInput | null>,
  options: Ref<O>,
  here: (input: FitInput, options: O) => T,
  away: (input: FitInput, options: O) => Promise<T>,
) {
  const answer = shallowRef<T | null>(null)
  const isComputing = ref(false)
  /** Why there is no answer; empty where there is one, or where nothing was asked. */
  const failure = ref('')
  const told = (error: unknown): string => (error instanceof Error ? error.message : String(error))
  /** What came while the worker was busy; only the last of it is worth computing. */
  let next: Question<O> | null = null
  let current: FitInput | null = null

  async function work(): Promise<void> {
    while (next) {
      const { input: mine, options: wanted } = next
      next = null
      const done = await away(mine, wanted).catch((error: unknown) => {
        failure.value = told(error)
        return null
      })
      // A small job, or none, may have taken its place meanwhile.
      if (current === mine || next !== null) answer.value = done
    }
    isComputing.value = false
  }

  watch(
    [input, options],
    ([now, wanted]) => {
      current = now
      failure.value = ''
      if (!now || now.job.joints.length <= SMALL) {
        next = null
        try {
          answer.value = now ? here(now, wanted) : null
        } catch (error) {
          answer.value = null
          failure.value = told(error)
        }
        return
      }
      next = { input: now, options: wanted }
      if (isComputing.value) return
      isComputing.value = true
      void work()
    },
    { immediate: true, flush: 'sync' },
  )
  return { answer, isComputing, failure }
}

/** The whole fit, for the view that shows its checks. */
export const useFitOf = (input: Ref<FitInput | null>, options: Ref<FitOptions>) =>
  useLatest<Fit, FitOptions>(input, options, fitJob, (now, wanted) => inWorker().fit(now, wanted))

/** The mends of a job: some thirty fits, so those of a large one are tried in the worker. */
export const suggestFor = async (entered: Entered, fit: Fit, most: number): Promise<readonly Suggestion[]> =>
  entered.job.joints.length <= SMALL ? suggest(entered, fit, most) : inWorker().suggest(entered, fit, most)

/** The figures by weld alone, for the view in which they are written. */
export const usePlanOf = (input: Ref<FitInput | null>) =>
  useLatest<Plan, null>(input, ref(null), planJob, (now) => inWorker().plan(now))
