/** What the palette finds: every view, job, set-up and thing of the shelf, and what can be done anywhere. */
import { computed, type ComputedRef } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { RAIL } from './views/index.ts'
import { useLook } from './stores/look.ts'
import { useWorkspace } from './shop/workspace.ts'
import { TABS } from './views/equipment/tabs.ts'

export interface Command {
  readonly title: string
  readonly group: string
  readonly shortcut?: string
  readonly run: () => void
}
export interface Actions {
  readonly undo: () => void
  readonly redo: () => void
  readonly switchUnits: () => void
  readonly newJob: () => void
  readonly showShortcuts: () => void
}

export function useCommands({
  undo,
  redo,
  switchUnits,
  newJob,
  showShortcuts,
}: Actions): ComputedRef<readonly Command[]> {
  const workspace = useWorkspace()
  const router = useRouter()
  const route = useRoute()
  const { choice, theme } = useLook()
  const goTo = (name: string, params: Record<string, string> = {}) => ({
    run: () => void router.push({ name, params }),
  })

  /** On a job's fit, every set-up can be taken by name. */
  function setUpsForJob(): Command[] {
    const jobId = route.name === 'fit' ? route.params['jobId'] : undefined
    const job = typeof jobId === 'string' ? workspace.get('jobs', jobId) : null
    if (!job) return []
    return workspace.setUps.map((setUp) => ({
      group: 'Set-up',
      title: setUp.name,
      run: () => workspace.edit('jobs', job.id, { ...job, setUpId: setUp.id }, `set-up of ${job.name}`),
    }))
  }

  return computed(() => [
    ...RAIL.map(({ name, title }) => ({ group: 'Go to', title, ...goTo(name) })),
    ...workspace.jobs.map(({ id, name }) => ({ group: 'Job', title: name, ...goTo('job', { jobId: id }) })),
    ...workspace.jobs.map(({ id, name }) => ({ group: 'Fit', title: name, ...goTo('fit', { jobId: id }) })),
    ...TABS.map(({ path, title }) => ({ group: 'Equipment', title, ...goTo('equipment', { list: path }) })),
    ...workspace.setUps.map(({ id, name }) => ({
      group: 'Parts of set-up',
      title: name,
      ...goTo('set-up', { id }),
    })),
    ...setUpsForJob(),
    { group: 'Do', title: 'New job', run: newJob },
    { group: 'Do', title: 'New set-up', ...goTo('set-up') },
    { group: 'Do', title: 'Set up the shop', ...goTo('start') },
    { group: 'Do', title: 'All shortcuts', shortcut: '?', run: showShortcuts },
    { group: 'Do', title: 'Undo', shortcut: 'Ctrl Z', run: undo },
    { group: 'Do', title: 'Redo', shortcut: 'Ctrl Y', run: redo },
    {
      group: 'Look',
      title: `Units: ${workspace.notation.system === 'imperial' ? 'mm and kg' : 'inch and lb'}`,
      run: switchUnits,
    },
    {
      group: 'Look',
      title: theme.value === 'dark' ? 'Light' : 'Dark',
      run: () => (choice.value = theme.value === 'dark' ? 'light' : 'dark'),
    },
    { group: 'Look', title: 'Light or dark as the system', run: () => (choice.value = 'system') },
    ...TABS.flatMap(({ path, title }) =>
      workspace
        .all(path)
        .map(({ id, name }) => ({ group: title, title: name, ...goTo('equipment', { list: path, id }) })),
    ),
  ])
}
