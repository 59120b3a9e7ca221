/** What each machine alone would cost to own, as it is worked out one after the other. */
import { onScopeDispose, ref, shallowRef } from 'vue'
import { useWorkspace } from '../../shop/workspace.ts'
import type { KitTold, Owning, OwningQuestion } from './kitMessages.ts'

export function useOwning() {
  const workspace = useWorkspace()
  const owning = shallowRef<readonly Owning[]>([])
  const isSeeking = ref(false)
  const failure = ref('')
  let worker: Worker | null = null

  function end(): void {
    worker?.terminate()
    worker = null
    isSeeking.value = false
  }
  function seek(question: Omit<OwningQuestion, 'snapshot'>): void {
    end()
    owning.value = []
    failure.value = ''
    isSeeking.value = true
    worker = new Worker(new URL('./kit.worker.ts', import.meta.url), { type: 'module' })
    worker.addEventListener('message', ({ data }: MessageEvent<KitTold>) => {
      if (data.is === 'owning') owning.value = [...owning.value, data.owning]
      if (data.is === 'failed') failure.value = data.message
      if (data.is === 'failed' || data.is === 'done') end()
    })
    worker.addEventListener('error', (event) => {
      failure.value = event.message || 'the calculation stopped'
      end()
    })
    worker.postMessage({ ...question, snapshot: workspace.snapshot } satisfies OwningQuestion)
  }
  onScopeDispose(end)
  return { owning, isSeeking, failure, seek }
}
