/** A text, or bytes, leave the browser as a file. */

/** @param type its media type; a CSV gets the mark that tells a spreadsheet it is UTF-8 */
export const download = (name: string, text: string, type: string): void =>
  give(name, new Blob([type === 'text/csv' ? `\ufeff${text}` : text], { type: `${type};charset=utf-8` }))

/** @param type its media type */
export const downloadBytes = (name: string, bytes: Uint8Array, type: string): void =>
  give(name, new Blob([bytes.slice()], { type }))

function give(name: string, blob: Blob): void {
  const url = URL.createObjectURL(blob)
  const link = document.createElement('a')
  link.href = url
  link.download = name
  link.click()
  URL.revokeObjectURL(url)
}
