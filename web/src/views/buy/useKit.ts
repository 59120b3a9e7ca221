/** The cheapest kit while it is sought: what is known until now stands, and stays when it is stopped. */
import type { DecidingPrice, Made, Study, StudyPart } from '@brannik/core'
import { onScopeDispose, ref, shallowRef } from 'vue'
import { useWorkspace } from '../../shop/workspace.ts'
import type { KitGround, KitQuestion, KitTold } from './kitMessages.ts'

const NOTHING: Partial<Study> = {}

export function useKit() {
  const workspace = useWorkspace()
  const ground = shallowRef<KitGround | null>(null)
  /** Set-ups that are not written down yet, by id. */
  const made = shallowRef<ReadonlyMap<string, Made>>(new Map())
  const deciding = shallowRef<readonly DecidingPrice[]>([])
  const study = shallowRef<Partial<Study>>(NOTHING)
  const progress = shallowRef<StudyPart['progress'] | null>(null)
  const state = ref<'idle' | 'searching' | 'done' | 'stopped'>('idle')
  const failure = ref('')
  let worker: Worker | null = null

  function end(now: typeof state.value): void {
    worker?.terminate()
    worker = null
    state.value = now
  }

  function hear({ data }: MessageEvent<KitTold>): void {
    if (data.is === 'ground') ground.value = data.ground
    else if (data.is === 'made') made.value = new Map([...made.value, ...data.made])
    else if (data.is === 'deciding') deciding.value = data.prices
    else if (data.is === 'part') {
      const { progress: how, ...found } = data.part
      if (how) progress.value = how
      study.value = { ...study.value, ...found }
    } else if (data.is === 'owning') return
    else if (data.is === 'failed') {
      failure.value = data.message
      end('idle')
    } else state.value = 'done'
  }

  function startThread(): Worker {
    const thread = new Worker(new URL('./kit.worker.ts', import.meta.url), { type: 'module' })
    thread.addEventListener('message', hear)
    thread.addEventListener('error', (event) => {
      failure.value = event.message || 'the search stopped'
      end('idle')
    })
    return thread
  }

  function seek(question: Omit<KitQuestion, 'snapshot'>): void {
    // One that is done has the ways of its jobs at hand.
    if (state.value === 'searching') end('idle')
    state.value = 'searching'
    ground.value = null
    made.value = new Map()
    deciding.value = []
    study.value = NOTHING
    progress.value = null
    failure.value = ''
    worker ??= startThread()
    worker.postMessage({ ...question, snapshot: workspace.snapshot } satisfies KitQuestion)
  }

  onScopeDispose(() => end('idle'))
  return { ground, made, deciding, study, progress, state, failure, seek, stop: () => end('stopped') }
}
