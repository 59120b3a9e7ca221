/** Small files that must outlive a power cut: written beside, flushed, and put in place in one step. */
import { closeSync, fsyncSync, mkdirSync, openSync, renameSync, writeSync } from 'node:fs'
import { dirname } from 'node:path'

export function flushFolder(folder) {
  const handle = openSync(folder, 'r')
  try {
    fsyncSync(handle)
  } finally {
    closeSync(handle)
  }
}

/** @param text all of the file */
export function writeDurably(path, text, mode = 0o600) {
  mkdirSync(dirname(path), { recursive: true })
  const unfinished = `${path}.${process.pid}.unfinished`
  const handle = openSync(unfinished, 'w', mode)
  try {
    writeSync(handle, text)
    fsyncSync(handle)
  } finally {
    closeSync(handle)
  }
  renameSync(unfinished, path)
  flushFolder(dirname(path))
}
