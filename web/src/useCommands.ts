/** What the palette finds: every view, job, set-up and thing of the shelf, and what can be done anywhere. */
import { spelled } from '@brannik/core'
import { computed, type ComputedRef } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { GLOSSARY } from './help/glossary.ts'
import type { HelpPart } from './help/help.ts'
import type { Findable } from './search/finder.ts'
import { RAIL, VIEWS } from './views/index.ts'
import { useLook } from './stores/look.ts'
import { useWorkspace } from './shop/workspace.ts'
import { copyOf } from './views/jobs/newJob.ts'
import { TABS } from './views/equipment/tabs.ts'

export interface Command extends Findable {
  readonly shortcut?: string
  readonly run: () => void
}
export interface Actions {
  readonly undo: () => void
  readonly redo: () => void
  readonly switchUnits: () => void
  readonly newJob: () => void
  readonly showHelp: (part: HelpPart, search?: string) => void
}

/** What people call a view who do not know its name yet. */
const KEYWORDS: Readonly<Record<string, string>> = {
  jobs: 'work orders list',
  board: 'which machine schedule matrix',
  'set-up': 'settings parts',
  power: 'breaker trips circuit panel electricity',
  buy: 'purchase shopping order price',
  shop: 'settings units rules preferences',
  fit: 'quote cost price gas wire use check',
  records: 'backup restore export history deleted log',
  people: 'users passwords accounts',
  assumptions: 'factors prices margins rates',
  equipment: 'machines inventory stock',
  capacity: 'thickness door chart range',
  learned: 'worn parts tips liners maintenance operating factor own figures',
  card: 'dial in settings start print qr trial',
  log: 'history record what worked evidence coupon leak test arc monitor',
}

export function useCommands({
  undo,
  redo,
  switchUnits,
  newJob,
  showHelp,
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

  /** The open job, as a new one. */
  function copies(): Command[] {
    const jobId = route.params['jobId']
    const job = typeof jobId === 'string' ? workspace.get('jobs', jobId) : null
    if (!job) return []
    return [
      {
        group: 'Do',
        title: `Copy ${job.name}`,
        keywords: 'duplicate',
        run: () => {
          const copy = copyOf(job, workspace.jobs)
          if (workspace.edit('jobs', copy.id, copy, `copy of ${job.name}`))
            void router.push({ name: 'job', params: { jobId: copy.id } })
        },
      },
    ]
  }

  /** The tabs of the places, as far as each has an address of its own. */
  const tabs = VIEWS.filter(
    ({ name, path, title }) =>
      title !== undefined && !/:\w+(?!\?)(\/|$)/.test(path) && RAIL.every((place) => place.name !== name),
  ).map(({ name, place, title = '' }) => ({
    group: place,
    title,
    weight: 1.5,
    keywords: KEYWORDS[name] ?? '',
    ...goTo(name),
  }))

  return computed(() => [
    ...RAIL.map(({ name, title }) => ({
      group: 'Go to',
      title,
      weight: 2,
      keywords: KEYWORDS[name] ?? '',
      ...goTo(name),
    })),
    ...workspace.jobs.map(({ id, name }) => ({
      group: 'Job',
      title: name,
      weight: 1.5,
      ...goTo('job', { jobId: id }),
    })),
    ...workspace.jobs.map(({ id, name }) => ({
      group: 'Fit',
      title: name,
      keywords: KEYWORDS['fit'] ?? '',
      ...goTo('fit', { jobId: id }),
    })),
    ...(['Card', 'Log'] as const).flatMap((group) =>
      workspace.jobs.map(({ id, name }) => ({
        group,
        title: name,
        keywords: KEYWORDS[group.toLowerCase()] ?? '',
        ...goTo(group.toLowerCase(), { jobId: id }),
      })),
    ),
    ...tabs,
    ...TABS.map(({ path, title }) => ({ group: 'Equipment', title, ...goTo('equipment', { list: path }) })),
    ...workspace.setUps.map(({ id, name }) => ({
      group: 'Parts of set-up',
      title: name,
      ...goTo('set-up', { id }),
    })),
    ...setUpsForJob(),
    { group: 'Do', title: 'New job', run: newJob },
    ...copies(),
    {
      group: 'Do',
      title: 'Templates',
      keywords: 'copy standard job',
      run: () => void router.push({ name: 'jobs', query: { list: 'template' } }),
    },
    { group: 'Do', title: 'New set-up', ...goTo('set-up') },
    { group: 'Do', title: 'Set up the shop', keywords: 'begin first steps wizard', ...goTo('start') },
    { group: 'Do', title: 'Print this page', keywords: 'paper pdf', run: () => window.print() },
    {
      group: 'Do',
      title: 'Help: keys',
      keywords: 'all shortcuts keyboard',
      shortcut: '?',
      run: () => showHelp('keys'),
    },
    {
      group: 'Do',
      title: 'Help: glossary',
      keywords: 'words terms meaning definition',
      run: () => showHelp('words'),
    },
    { group: 'Do', title: 'Undo', keywords: 'back mistake', shortcut: 'Ctrl Z', run: undo },
    { group: 'Do', title: 'Redo', shortcut: 'Ctrl Y', run: redo },
    {
      group: 'Look',
      title: `Units: ${workspace.notation.system === 'imperial' ? 'mm and kg' : 'inch and lb'}`,
      keywords: 'metric imperial inches millimeters',
      run: switchUnits,
    },
    {
      group: 'Look',
      title: theme.value === 'dark' ? 'Light' : 'Dark',
      keywords: 'theme night',
      run: () => (choice.value = theme.value === 'dark' ? 'light' : 'dark'),
    },
    { group: 'Look', title: 'Light or dark as the system', run: () => (choice.value = 'system') },
    ...TABS.flatMap(({ path, title }) =>
      workspace
        .all(path)
        .map(({ id, name }) => ({ group: title, title: name, ...goTo('equipment', { list: path, id }) })),
    ),
    ...GLOSSARY.map(({ term, also = '' }) => ({
      group: 'Word',
      title: spelled(term, workspace.notation.locale),
      keywords: also,
      weight: 0.8,
      run: () => showHelp('words', term),
    })),
  ])
}
