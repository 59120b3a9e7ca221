/** What a file has as it was before. @param names of records, one or more */
export const notSavedText = ([name = '', ...others]: readonly string[]): string =>
  others.length === 0
    ? `${name} is not saved yet, so the file has it as it was before.`
    : `${name} and ${others.length} more are not saved yet, so the file has them as they were before.`

/** What a file lacks because the server does not have it yet. @param count one or more */
export const notSentText = (count: number): string =>
  count === 1
    ? '1 entry is not sent yet, so it is not in the file. It is kept in this browser.'
    : `${count} entries are not sent yet, so they are not in the file. They are kept in this browser.`
