/** What has changed could not be taken in: from then on the engine has another shop than the page. */

const NAME = 'NotTaken'

export class NotTaken extends Error {
  override readonly name = NAME
}

/** @returns whether it is that; from thread to thread an error has no class any more, but its name */
export const isNotTaken = (error: unknown): error is Error => error instanceof Error && error.name === NAME
