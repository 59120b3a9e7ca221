/** A thread that reads and computes what would hold up the others: one question after the other. */
import { parentPort } from 'node:worker_threads'
import { answerTo, type Ask } from '../documents/documents.ts'

export interface Question {
  readonly ask: Ask
  readonly bytes: Uint8Array
}

parentPort?.on('message', ({ ask, bytes }: Question) => {
  const outcome = answerTo(ask, bytes)
  const moves = outcome.ok && outcome.value instanceof Uint8Array ? [outcome.value.buffer] : []
  parentPort?.postMessage(outcome, moves)
})
