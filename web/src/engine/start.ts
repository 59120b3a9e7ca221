/** Starts the engine in a thread of its own. */
import { type Remote, wrap } from 'comlink'
import type { Engine } from './engine.ts'

export interface Started {
  /** As it is reached from the page. */
  readonly engine: Remote<Engine> | Engine
  readonly stop: () => void
}

/** @param onBreak called when the thread breaks, with what is known of why */
export function startEngine(onBreak: (message: string) => void): Started {
  const worker = new Worker(new URL('./engine.worker.ts', import.meta.url), { type: 'module' })
  worker.addEventListener('error', (event) => {
    onBreak(event.message || 'the calculation stopped')
  })
  worker.addEventListener('messageerror', () => {
    onBreak('an answer could not be read')
  })
  return {
    engine: wrap<Engine>(worker),
    stop() {
      worker.terminate()
    },
  }
}
