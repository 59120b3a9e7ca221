/** The plan of the week: as it was kept, brought up to now; pinned, moved and kept by hand. */
import { keptBlock, PLAN_ID, type PlannedBlock, type WeekBlock, type WorkPlan } from '@brannik/core'
import { computed, type ComputedRef } from 'vue'
import { engine } from '../../engine/client.ts'
import type { WeekAnswer, WeekAsked, WeekAsks } from '../../engine/questions/week.ts'
import { type Question, useAnswer } from '../../engine/useAnswer.ts'
import { useWork, type Work } from '../../shop/work.ts'
import { useNotice } from '../../stores/notice.ts'
import { useWorkspace } from '../../shop/workspace.ts'
import { useShopClock } from './shopClock.ts'

export interface PlanInHand {
  readonly work: Work
  readonly nowMin: ComputedRef<number>
  readonly today: ComputedRef<string>
  readonly kept: ComputedRef<readonly PlannedBlock[]>
  /** Null until it is worked out, and where it cannot be. */
  readonly answer: ComputedRef<WeekAnswer | null>
  readonly blocks: ComputedRef<readonly WeekBlock[]>
  readonly failure: ComputedRef<string>
  readonly isComputing: ComputedRef<boolean>
  readonly asked: ComputedRef<WeekAsked>
  readonly ask: <K extends keyof WeekAsks>(
    what: K,
    more: WeekAsks[K]['asked'],
    blocks?: readonly PlannedBlock[],
  ) => Promise<WeekAsks[K]['answer'] | null>
  /** Keeps blocks as the plan, in one step that can be undone. */
  readonly keep: (blocks: readonly PlannedBlock[], label: string) => void
  /** What is on the screen, as it would be kept. */
  readonly shown: ComputedRef<readonly PlannedBlock[]>
  /**
   * Keeps a plan that was changed by hand: what begins within the hours after it moves where it has to.
   * @param blocks the whole plan, with what was changed
   */
  readonly change: (
    blocks: readonly PlannedBlock[],
    aroundMin: readonly number[],
    label: string,
  ) => Promise<void>
}

/** @returns whether it is the same run, and the same part of it */
export const isOf = (
  one: Pick<PlannedBlock, 'jobId' | 'run' | 'part'>,
  other: Pick<PlannedBlock, 'jobId' | 'run' | 'part'>,
): boolean => one.jobId === other.jobId && one.run === other.run && one.part === other.part

export function usePlan(): PlanInHand {
  const workspace = useWorkspace()
  const work = useWork()
  const notice = useNotice()
  const { nowMin, today } = useShopClock()
  const kept = computed(() => workspace.get('work-plans', PLAN_ID)?.blocks ?? [])
  const asked = computed((): WeekAsked => ({
    blocks: kept.value,
    marks: work.marks.value,
    nowMin: nowMin.value,
  }))
  const { answer, failure, isComputing } = useAnswer<'week'>(
    computed((): Question<'week'> | null => (workspace.shop ? ['week', 'now', asked.value, null] : null)),
    { looksAtJobs: true },
  )
  const found = computed(() => answer.value as WeekAnswer | null)
  const ask: PlanInHand['ask'] = async (what, more, blocks = kept.value) =>
    (await engine.ask(
      workspace.snapshot,
      'week',
      what as never,
      { ...asked.value, blocks },
      more as never,
    )) as never
  function keep(blocks: readonly PlannedBlock[], label: string): void {
    const before = workspace.get('work-plans', PLAN_ID)
    const record: WorkPlan = { ...(before ?? { id: PLAN_ID, name: 'Plan' }), blocks: [...blocks] }
    if (workspace.edit('work-plans', PLAN_ID, record, label)) notice.show(label, true)
  }
  return {
    work,
    nowMin,
    today,
    kept,
    answer: found,
    blocks: computed(() => found.value?.week.blocks ?? []),
    failure: computed(() => failure.value),
    isComputing: computed(() => isComputing.value),
    asked,
    ask,
    keep,
    shown: computed(() => (found.value?.week.blocks ?? []).map(keptBlock)),
    async change(blocks, aroundMin, label) {
      const week = await ask('calm', aroundMin, blocks)
      keep(week ? week.blocks.map(keptBlock) : blocks, label)
    },
  }
}
