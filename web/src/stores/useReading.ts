/** How this shop reads a gauge: its units, and what it leaves in a cylinder. */
import { assumptionsOf, type Reading } from '@brannik/core'
import { computed, type ComputedRef } from 'vue'
import { useWorkspace } from '../shop/workspace.ts'

const NOTHING_CHANGED = { assumptions: {} }

export function useReading(): ComputedRef<Reading> {
  const workspace = useWorkspace()
  return computed(() => ({
    notation: workspace.notation,
    remainderBar: assumptionsOf(workspace.shop ?? NOTHING_CHANGED).cylinderRemainderBar,
  }))
}
