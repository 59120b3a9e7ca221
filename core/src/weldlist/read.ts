/** What reading a compact field of a weld line answers. */
import type { Joint } from '../kinds/job.ts'

export type TextRead =
  | { readonly ok: true; readonly change: Partial<Joint>; readonly understood: string }
  | { readonly ok: false; readonly message: string }

export const read = (change: Partial<Joint>, understood: string): TextRead => ({
  ok: true,
  change,
  understood,
})
export const fail = (message: string): TextRead => ({ ok: false, message })
export const plain = (text: string): string => text.trim().replace(/\s+/g, ' ')

/** Longer than anything that a person writes into one field: patterns that look back and forth take their time with it. */
export const MOST_TEXT = 200
/** @returns the failure of a text that is not looked into at all; null for any other */
export const tooLong = (text: string): ReturnType<typeof fail> | null =>
  text.length <= MOST_TEXT
    ? null
    : fail(
        `“${plain(text.slice(0, 40))}…” is ${text.length} characters long. Enter at most ${MOST_TEXT}, as on a drawing.`,
      )
