/** A better plan while it is sought: offered when it is found, never put in place by itself. */
import { costOfPlan, keptBlock, type PlanBounds, type PlanCost, type Week } from '@brannik/core'
import { onScopeDispose, ref, shallowRef } from 'vue'
import { reasonOf } from '../../reason.ts'
import type { BoundTold, SearchTold } from './searchMessages.ts'
import type { PlanInHand } from './usePlan.ts'

export interface PlanOffer {
  readonly week: Week
  readonly moved: readonly string[]
}

/** Less is no better plan. */
const LEAST_GAIN_MIN = 1
/** Without what changes cost against the plan that was seen. */
const counted = ({ cost: { lateMin, workMin, changeMin, moves } }: Week): number =>
  costOfPlan({ lateMin, workMin, changeMin, moves, dislikedMin: 0 })

export function useSearch(plan: PlanInHand) {
  const state = ref<'idle' | 'searching' | 'done'>('idle')
  const done = ref(0)
  const offer = shallowRef<PlanOffer | null>(null)
  const bounds = shallowRef<PlanBounds | null>(null)
  /** Of the plan that the bounds were worked out for. */
  const boundOf = shallowRef<PlanCost | null>(null)
  const failure = ref('')
  let search: Worker | null = null
  let bounding: Worker | null = null
  let best: SearchTold['choice'] = null

  function stopAll(): void {
    search?.terminate()
    bounding?.terminate()
    search = bounding = null
  }
  const fail = (event: ErrorEvent): void => {
    failure.value = event.message || 'the search stopped'
    stopAll()
    state.value = 'idle'
  }

  /** What was found until now is offered. */
  async function enough(): Promise<void> {
    search?.terminate()
    search = null
    state.value = 'done'
    try {
      const found = best && (await plan.ask('found', best))
      const now = plan.answer.value?.week
      offer.value = found && now && counted(found.week) < counted(now) - LEAST_GAIN_MIN ? found : null
    } catch (error) {
      failure.value = reasonOf(error)
    }
  }
  async function seek(): Promise<void> {
    stopAll()
    state.value = 'searching'
    done.value = 0
    offer.value = null
    bounds.value = null
    failure.value = ''
    best = null
    const found = await plan.ask('problem', null)
    if (!found || state.value !== 'searching') return
    search = new Worker(new URL('./plan.worker.ts', import.meta.url), { type: 'module' })
    search.addEventListener('error', fail)
    search.addEventListener('message', ({ data }: MessageEvent<SearchTold>) => {
      done.value = data.done
      if (data.choice) best = data.choice
      if (data.done < 1) return
      boundOf.value = data.cost
      bounding = new Worker(new URL('./bound.worker.ts', import.meta.url), { type: 'module' })
      bounding.addEventListener('error', fail)
      bounding.addEventListener('message', ({ data: told }: MessageEvent<BoundTold>) => {
        bounds.value = told
        bounding?.terminate()
        bounding = null
      })
      bounding.postMessage({ problem: found.problem, cost: data.cost })
      void enough()
    })
    search.postMessage(found)
  }
  function take(): void {
    if (offer.value) plan.keep(offer.value.week.blocks.map(keptBlock), 'Better plan')
    offer.value = null
  }
  onScopeDispose(stopAll)
  return {
    state,
    done,
    offer,
    bounds,
    boundOf,
    failure,
    seek,
    enough,
    cancel() {
      stopAll()
      state.value = 'idle'
    },
    take,
  }
}
