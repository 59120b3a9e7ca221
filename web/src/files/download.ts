/** A text leaves the browser as a file. */

/** @param type its media type; a CSV gets the mark that tells a spreadsheet it is UTF-8 */
export function download(name: string, text: string, type: string): void {
  const url = URL.createObjectURL(
    new Blob([type === 'text/csv' ? `\ufeff${text}` : text], { type: `${type};charset=utf-8` }),
  )
  const link = document.createElement('a')
  link.href = url
  link.download = name
  link.click()
  URL.revokeObjectURL(url)
}
