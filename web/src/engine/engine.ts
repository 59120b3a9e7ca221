/** What computes for the page: a snapshot of the shop, kept up by deltas, and the questions that can be asked of it. */
import { type Answer, type Arguments, QUESTIONS, type QuestionName } from './questions/index.ts'
import { changedBy, type Delta, EMPTY_SNAPSHOT } from './snapshot.ts'

export class Engine {
  #snapshot = EMPTY_SNAPSHOT

  /** Takes in what has changed. */
  take(delta: Delta): void {
    this.#snapshot = changedBy(this.#snapshot, delta)
  }

  async ask<K extends QuestionName>(question: K, ...of: Arguments<K>): Promise<Answer<K>> {
    // Of the shop as it was when the question was asked, however long its code takes to arrive.
    const snapshot = this.#snapshot
    const { answer } = await QUESTIONS[question]()
    return (await (answer as (...all: unknown[]) => unknown)(snapshot, ...of)) as Answer<K>
  }
}
