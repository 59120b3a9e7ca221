/** Words for the choices of a field. */
import { ENGLISH, type FieldDescription } from '@brannik/core'

/** @returns by choice; a choice that is a word itself is not among them */
export const choiceWords = ({ more }: Pick<FieldDescription, 'more'>): Readonly<Record<string, string>> =>
  typeof more.words === 'string' ? (ENGLISH.vocabulary[more.words] ?? {}) : (more.words ?? {})
