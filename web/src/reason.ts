/** What to tell of an error, whatever was thrown. */
export const reasonOf = (error: unknown): string => (error instanceof Error ? error.message : String(error))
