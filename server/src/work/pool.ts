/** Worker threads for big questions: a few of them, each question with a time limit and a memory limit. */
import { Worker } from 'node:worker_threads'
import type { Answers, Ask, Outcome } from '../documents/documents.ts'
import { LIMITS } from '../limits.ts'
import { properties } from '../faults.ts'
import { Problem } from '../problems.ts'

/** As it is built it lies beside this one; from the sources it learns to read TypeScript first. */
const FILE = new URL(import.meta.url.endsWith('.ts') ? './thread.mjs' : './thread.js', import.meta.url)

interface Task {
  readonly ask: Ask
  readonly bytes: Uint8Array
  resolve(outcome: Outcome<never>): void
  reject(error: unknown): void
}

interface Thread {
  readonly worker: Worker
  task: Task | null
  timer: NodeJS.Timeout | null
}

export interface WorkPool {
  ask<What extends keyof Answers>(
    ask: Extract<Ask, { what: What }>,
    bytes: Uint8Array,
  ): Promise<Outcome<Answers[What]>>
  readonly waiting: () => number
  /** Starts a thread before anybody asks: the first question then does not wait for it. */
  warm(): void
  close(): Promise<void>
}

const tooLong = (workMs: number): Problem =>
  new Problem(
    422,
    'Takes too long',
    `This takes more than ${workMs / 1000} s to work out, and was stopped. Ask for fewer welds or things at once.`,
  )
const tooMuch = (): Problem =>
  new Problem(413, 'Too much', 'This takes more memory than one question may. Send less at once.')
const tooMany = (): Problem =>
  new Problem(503, 'Busy', 'Other big questions are being worked out. Try again in a moment.', {
    retryAfterS: 2,
  })

export function createWorkPool({
  workMs = LIMITS.workMs,
  threads = LIMITS.workThreads,
}: { workMs?: number; threads?: number } = {}): WorkPool {
  const running: Thread[] = []
  const waiting: Task[] = []
  let isClosed = false

  function end(thread: Thread, error: Problem): void {
    const { task } = thread
    if (thread.timer) clearTimeout(thread.timer)
    thread.task = null
    running.splice(running.indexOf(thread), 1)
    void thread.worker.terminate()
    task?.reject(error)
    next()
  }

  function start(): Thread {
    const worker = new Worker(FILE, {
      execArgv: [],
      resourceLimits: { maxOldGenerationSizeMb: LIMITS.workMemoryMb },
    })
    worker.unref()
    const thread: Thread = { worker, task: null, timer: null }
    worker.on('message', (outcome: Outcome<never>) => {
      const { task } = thread
      if (thread.timer) clearTimeout(thread.timer)
      thread.task = null
      task?.resolve(outcome)
      next()
    })
    worker.on('error', (error) => {
      if (running.includes(thread))
        end(thread, properties(error).code === 'ERR_WORKER_OUT_OF_MEMORY' ? tooMuch() : fault(error))
    })
    running.push(thread)
    return thread
  }

  const fault = (error: Error): Problem =>
    new Problem(500, 'A fault of the server', `The computation failed: ${error.message}. Please report it.`)

  function next(): void {
    if (isClosed) return
    const free = running.find(({ task }) => task === null)
    const task = free || running.length < threads ? waiting.shift() : undefined
    if (!task) return
    const thread = free ?? start()
    thread.task = task
    thread.timer = setTimeout(() => {
      end(thread, tooLong(workMs))
    }, workMs)
    thread.worker.postMessage({ ask: task.ask, bytes: task.bytes })
    next()
  }

  return {
    ask: (ask, bytes) =>
      new Promise((resolve, reject) => {
        if (isClosed || waiting.length >= LIMITS.workWaiting) {
          reject(tooMany())
          return
        }
        waiting.push({ ask, bytes, resolve, reject })
        next()
      }),
    waiting: () => waiting.length,
    warm() {
      if (running.length === 0) start()
    },
    async close() {
      isClosed = true
      for (const task of waiting.splice(0)) task.reject(tooMany())
      for (const thread of running.splice(0)) {
        if (thread.timer) clearTimeout(thread.timer)
        thread.task?.reject(tooMany())
        await thread.worker.terminate()
      }
    },
  }
}
