/**
 * Asks the engine. Before each question it is told what has changed in the shop. A thread that breaks is started anew,
 * and whoever waited is told.
 */
import { diffOf, emptySent, type Sent } from './delta.ts'
import { isNotTaken } from './notTaken.ts'
import type { Answer, Arguments, QuestionName } from './questions/index.ts'
import type { Snapshot } from './snapshot.ts'
import { type Started, startEngine } from './start.ts'

interface Running extends Started {
  readonly sent: Sent
}

/** How many times in a row a thread may break before it is let be. */
const MOST_STARTS = 5

export interface EngineClient {
  /**
   * @param snapshot the shop as it is now
   * @throws Error what went wrong, in words; the next question finds an engine again
   */
  ask<K extends QuestionName>(snapshot: Snapshot, question: K, ...of: Arguments<K>): Promise<Answer<K>>
}

/** @param start starts an engine; `onBreak` is called when it breaks */
export function createEngineClient(start: (onBreak: (message: string) => void) => Started): EngineClient {
  let running: Running | null = null
  let broken = 0
  const waiting = new Set<(error: Error) => void>()

  function onBreak(message: string): void {
    running?.stop()
    running = null
    broken += 1
    for (const reject of waiting) reject(new Error(message))
    waiting.clear()
  }
  function reached(): Running {
    if (running) return running
    if (broken >= MOST_STARTS) throw new Error('the calculation keeps failing. Reload the page')
    running = { ...start(onBreak), sent: emptySent() }
    return running
  }

  return {
    ask(snapshot, question, ...of) {
      return new Promise((resolve, reject) => {
        const fail = (error: unknown): void => {
          waiting.delete(fail)
          reject(error instanceof Error ? error : new Error(String(error)))
        }
        waiting.add(fail)
        try {
          const own = reached()
          const asked = own.engine as unknown as { ask: (...of: unknown[]) => Promise<unknown> }
          // With the question, in one message: each costs the page a part of the time from a key to its frame.
          asked.ask(diffOf(snapshot, own.sent), question, ...of).then(
            (answer) => {
              // What broke meanwhile has been told.
              if (!waiting.delete(fail)) return
              broken = 0
              resolve(answer as never)
            },
            (error: unknown) => {
              // What it did not take it does not have, whatever `sent` says: a new one is told everything.
              if (isNotTaken(error) && running === own) onBreak(error.message)
              else fail(error)
            },
          )
        } catch (error) {
          fail(error)
        }
      })
    },
  }
}

/** The page's engine. */
export const engine = createEngineClient(startEngine)
/** With the one that helps where many jobs are asked about: it starts with the first such question. */
export const engines: readonly EngineClient[] = [engine, createEngineClient(startEngine)]
