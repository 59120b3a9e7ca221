/** What computes for the page: a snapshot of the shop, kept up by deltas, and the questions that can be asked of it. */
import { type Answer, type Arguments, QUESTIONS, type QuestionName } from './questions/index.ts'
import { reasonOf } from '../reason.ts'
import { NotTaken } from './notTaken.ts'
import { changedBy, type Delta, EMPTY_SNAPSHOT } from './snapshot.ts'

export class Engine {
  #snapshot = EMPTY_SNAPSHOT

  /** Takes in what has changed. */
  #take(delta: Delta): void {
    try {
      this.#snapshot = changedBy(this.#snapshot, delta)
    } catch (error) {
      throw new NotTaken(reasonOf(error))
    }
  }

  /**
   * @param delta what has changed since the question before; null where nothing has
   * @throws NotTaken where it cannot be taken in
   */
  async ask<K extends QuestionName>(
    delta: Delta | null,
    question: K,
    ...of: Arguments<K>
  ): Promise<Answer<K>> {
    if (delta) this.#take(delta)
    // Of the shop as it was when the question was asked, however long its code takes to arrive.
    const snapshot = this.#snapshot
    const { answer } = await QUESTIONS[question]()
    return (await (answer as (...all: unknown[]) => unknown)(snapshot, ...of)) as Answer<K>
  }
}
