/** What was typed and is not stored yet, kept in the browser so that neither a reload nor a dead server loses it. */

export interface Draft<T> {
  /** null: it is to be deleted. */
  readonly record: T | null
  /** Version that the edit began from; 0 for a record that the server has never had. */
  readonly version: number
  /** What was sent and not answered: the server may have it or not. Absent where nothing was. */
  readonly unanswered?: T | null
}

const PREFIX = 'brannik.draft.'

export function keepDraft<T>(key: string, draft: Draft<T>): void {
  try {
    localStorage.setItem(PREFIX + key, JSON.stringify(draft))
  } catch {
    // Storage is full or forbidden: the edit still lives in the page, and saving goes on.
  }
}

export function dropDraft(key: string): void {
  localStorage.removeItem(PREFIX + key)
}

/** @returns null where there is none, or where it cannot be read */
export function readDraft<T>(key: string): Draft<T> | null {
  const text = localStorage.getItem(PREFIX + key)
  if (text === null) return null
  try {
    return JSON.parse(text) as Draft<T>
  } catch {
    return null
  }
}

export const draftKeys = (): string[] =>
  Object.keys(localStorage)
    .filter((key) => key.startsWith(PREFIX))
    .map((key) => key.slice(PREFIX.length))
