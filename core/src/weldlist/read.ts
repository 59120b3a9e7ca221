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
