/** Where a worker thread begins: it learns to read TypeScript, which it does not from the thread that starts it. */
import { register } from 'tsx/esm/api'

register()
await import('./worker.ts')
