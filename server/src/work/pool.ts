/**
 * Worker threads for what is big: each task with a time limit and a memory limit. Questions and what is to be stored have
 * threads of their own, so that nobody's computing keeps others from saving; and of several who ask, each gets a turn.
 */
import { Worker } from 'node:worker_threads'
import type { Answers, Ask, Outcome } from '../documents/documents.ts'
import { LIMITS } from '../limits.ts'
import { properties } from '../faults.ts'
import { Problem } from '../problems.ts'

/** As it is built it lies beside this one; from the sources it learns to read TypeScript first. */
const FILE = new URL(import.meta.url.endsWith('.ts') ? './thread.mjs' : './thread.js', import.meta.url)

const LANES = ['questions', 'saves'] as const
type Lane = (typeof LANES)[number]
const laneOf = ({ what }: Ask): Lane => (what === 'fit' ? 'questions' : 'saves')

interface Task {
  readonly ask: Ask
  readonly who: string
  readonly bytes: Uint8Array
  resolve(outcome: Outcome<never>): void
  reject(error: unknown): void
}

interface Thread {
  readonly lane: Lane
  readonly worker: Worker
  task: Task | null
  timer: NodeJS.Timeout | null
}

export interface WorkPool {
  ask<What extends keyof Answers>(
    ask: Extract<Ask, { what: What }>,
    bytes: Uint8Array,
    who: string,
  ): Promise<Outcome<Answers[What]>>
  readonly waiting: () => number
  /** Starts threads before anybody asks: the first question then does not wait for one. */
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
const tooManyOfYours = (): Problem =>
  new Problem(
    429,
    'Too many at once',
    `You have ${LIMITS.workOfOne} big questions on their way already. Wait for their answers, then ask the next.`,
    { retryAfterS: 2 },
  )

export function createWorkPool({
  workMs = LIMITS.workMs,
  threads = { questions: LIMITS.workThreads, saves: LIMITS.saveThreads },
}: { workMs?: number; threads?: Readonly<Record<Lane, number>> } = {}): WorkPool {
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

  function start(lane: Lane): Thread {
    const worker = new Worker(FILE, {
      execArgv: [],
      resourceLimits: { maxOldGenerationSizeMb: LIMITS.workMemoryMb },
    })
    worker.unref()
    const thread: Thread = { lane, worker, task: null, timer: null }
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

  const workOf = (lane: Lane): readonly Task[] =>
    running.flatMap((thread) => (thread.lane === lane && thread.task ? [thread.task] : []))
  /** By who asks: at which turn one of theirs was taken last. */
  const taken = new Map<string, number>()
  let turn = 0
  /** The first of who has waited longest for a turn: who asks much does not go before who asks once. */
  function takeNext(lane: Lane): Task | undefined {
    const [first, ...others] = waiting.filter(({ ask }) => laneOf(ask) === lane)
    if (!first) {
      if (waiting.length === 0 && running.every(({ task }) => task === null)) taken.clear()
      return undefined
    }
    const last = ({ who }: Task): number => taken.get(who) ?? 0
    const task = others.reduce((best, one) => (last(one) < last(best) ? one : best), first)
    taken.set(task.who, (turn += 1))
    waiting.splice(waiting.indexOf(task), 1)
    return task
  }
  function nextIn(lane: Lane): void {
    const all = running.filter((thread) => thread.lane === lane)
    const free = all.find(({ task }) => task === null)
    const task = free || all.length < threads[lane] ? takeNext(lane) : undefined
    if (!task) return
    const thread = free ?? start(lane)
    thread.task = task
    thread.timer = setTimeout(() => {
      end(thread, tooLong(workMs))
    }, workMs)
    thread.worker.postMessage({ ask: task.ask, bytes: task.bytes })
    nextIn(lane)
  }
  function next(): void {
    if (!isClosed) LANES.forEach(nextIn)
  }

  return {
    ask: (ask, bytes, who) =>
      new Promise((resolve, reject) => {
        const lane = laneOf(ask)
        const ofLane = waiting.filter((one) => laneOf(one.ask) === lane)
        if (isClosed || ofLane.length >= LIMITS.workWaiting) {
          reject(tooMany())
          return
        }
        const own = [...ofLane, ...workOf(lane)].filter((one) => one.who === who)
        if (lane === 'questions' && own.length >= LIMITS.workOfOne) {
          reject(tooManyOfYours())
          return
        }
        waiting.push({ ask, bytes, who, resolve, reject })
        next()
      }),
    waiting: () => waiting.length,
    warm() {
      for (const lane of LANES) if (!running.some((thread) => thread.lane === lane)) start(lane)
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
