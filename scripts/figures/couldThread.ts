/** One thread of two that look for ways to do a job: it has the shop, is told which job and which share, and answers. */
import { parentPort, workerData } from 'node:worker_threads'
import { CouldDoSearch, type Share } from '../../core/src/index.ts'
import type { demo } from './demo.ts'

interface Asked {
  readonly jobId: string
  readonly most: number
  readonly share: Share
}
const { shop, jobs, ...shelf } = workerData as typeof demo
parentPort?.on('message', ({ jobId, most, share }: Asked) => {
  const job = jobs.find(({ id }) => id === jobId)
  if (!job) throw new Error(`there is no job ${jobId}`)
  // A search of its own: nothing is known from the run before.
  parentPort?.postMessage(new CouldDoSearch(shop, shelf).answer(job, most, share))
})
