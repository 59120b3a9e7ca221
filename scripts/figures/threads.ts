/** Threads of the figures: each has the shop from the beginning, and answers one question after the other. */
import { Worker } from 'node:worker_threads'

/** @param name file beside this one that they run */
export const startThreads = (name: string, count: number, shop: unknown): readonly Worker[] =>
  Array.from(
    { length: count },
    () => new Worker(new URL(`./${name}.mjs`, import.meta.url), { workerData: shop }),
  )

export const askThread = <T>(thread: Worker, question: unknown): Promise<T> =>
  new Promise((resolve, reject) => {
    const answered = (answer: T): void => {
      thread.off('error', reject)
      resolve(answer)
    }
    thread.once('message', answered).once('error', reject)
    thread.postMessage(question)
  })
