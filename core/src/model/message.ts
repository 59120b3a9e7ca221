/** A sentence before it is words: a code, and what it speaks of. Words make the sentence when somebody reads it. */

/** Something that a sentence names: plain text, a figure with its unit, a word of the vocabulary, or several of them. */
export type Param =
  | string
  | { readonly value: number; readonly unit: string }
  | { readonly word: string; readonly code: string }
  | { readonly list: readonly Param[] }
  | Message

export type Params = Readonly<Record<string, Param>>

/** A figure with its inside unit. */
export const figure = (value: number, unit: string): Param => ({ value, unit })
/** A word of the vocabulary, such as the workshop's word for a process. */
export const word = (kind: string, code: string): Param => ({ word: kind, code })
export const list = (params: readonly Param[]): Param => ({ list: params })

/** A code with what its sentence names: words make the sentence when somebody reads it. */
export interface Message {
  readonly code: string
  readonly params: Params
}
export const message = (code: string, params: Params = {}): Message => ({ code, params })
