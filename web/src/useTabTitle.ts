/** The tab is called by the thing that it shows: `Press frame · Fit · Brannik`. */
import { factsAt } from '@brannik/core'
import { watchEffect } from 'vue'
import { useRoute } from 'vue-router'
import { titleOf } from './views/index.ts'
import { type Path, useWorkspace } from './shop/workspace.ts'

export function useTabTitle(): void {
  const route = useRoute()
  const workspace = useWorkspace()
  /** What the address names, if it names anything. */
  function thing(): string | undefined {
    const { jobId, id, list } = route.params
    if (typeof jobId === 'string' && jobId !== '') return workspace.get('jobs', jobId)?.name
    if (typeof id !== 'string' || id === '') return undefined
    const path = typeof list === 'string' ? list : 'set-ups'
    if (factsAt(path) === null) return undefined
    const found = workspace.get(path as Path, id)
    return found && 'name' in found ? found.name : undefined
  }
  watchEffect(() => {
    document.title = [thing(), titleOf(route.name), 'Brannik'].filter(Boolean).join(' · ')
  })
}
