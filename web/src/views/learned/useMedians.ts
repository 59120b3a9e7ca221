/** Minutes that steps of a changeover really took, against those that were planned. */
import {
  ASSUMPTIONS,
  assumptionsOf,
  CHANGE_STEPS,
  type ChangeStepCode,
  median,
  minutesKeyOf,
} from '@brannik/core'
import { computed, type ComputedRef } from 'vue'
import { useWorkspace } from '../../shop/workspace.ts'

export interface TimedStep {
  readonly step: ChangeStepCode
  readonly title: string
  readonly median: number
  readonly n: number
  readonly planned: number
}

/** @returns the steps that were timed on any machine, the one timed oftenest first */
export function useMedians(): ComputedRef<readonly TimedStep[]> {
  const workspace = useWorkspace()
  return computed(() => {
    const assumptions = assumptionsOf({ assumptions: workspace.shop?.assumptions ?? {} })
    const timings = workspace.all('present-set-ups').flatMap((one) => one.timings)
    return CHANGE_STEPS.flatMap((step): TimedStep[] => {
      const own = timings.filter((one) => one.step === step).map(({ minutes }) => minutes)
      const key = minutesKeyOf(step)
      return own.length === 0
        ? []
        : [
            {
              step,
              title: ASSUMPTIONS[key].name,
              median: median(own),
              n: own.length,
              planned: assumptions[key],
            },
          ]
    }).toSorted((a, b) => b.n - a.n)
  })
}
