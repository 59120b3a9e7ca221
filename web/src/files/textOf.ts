/** A file comes in as text. */

/** Lists, jobs and catalogues are text; what is larger than this is some other file. Room for twenty thousand things. */
const MOST_BYTES = 40_000_000

export type TextRead =
  { readonly ok: true; readonly text: string } | { readonly ok: false; readonly message: string }

/** @param what the file should be, for the message: `a weld list` */
export async function textOf(file: File, what: string): Promise<TextRead> {
  if (file.size > MOST_BYTES) {
    const [has, most] = [file.size, MOST_BYTES].map((bytes) => `${Number((bytes / 1e6).toFixed(1))} MB`)
    return {
      ok: false,
      message: `${file.name} has ${has}; ${what} has at most ${most}. Is it the right one?`,
    }
  }
  return { ok: true, text: await file.text() }
}
