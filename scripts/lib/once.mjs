/** One running Brannik on the same data: a second start must not take the database from under the first. */
import { mkdirSync, openSync, closeSync, readFileSync, rmSync, writeSync, fsyncSync } from 'node:fs'
import { join } from 'node:path'
import { beginningOf } from './processes.mjs'
import { Remedy, ROOT } from './run.mjs'

const fileIn = (folder) => join(folder, 'running.json')

/** @returns the Brannik that runs on these data; null where none does */
export function whoRuns(folder) {
  try {
    const { pid, began, checkout } = JSON.parse(readFileSync(fileIn(folder), 'utf8'))
    return Number.isInteger(pid) && began !== undefined && beginningOf(pid) === began
      ? { pid, checkout }
      : null
  } catch {
    return null
  }
}

export const alreadyRuns = ({ pid, checkout }) =>
  new Remedy(
    `Brannik already runs on these data (process ${pid}, from ${checkout}). Use that one, or stop it first: kill -INT ${pid}\nFor another shop beside it choose another place: BRANNIK_DATA=… npm start`,
  )

/** @param folder of the data; the mark in it goes when this process ends */
export function onlyOnce(folder) {
  try {
    mkdirSync(folder, { recursive: true })
  } catch (error) {
    throw new Remedy(
      `${folder} cannot be made (${error.code}). Choose a place where this user may write: BRANNIK_DATA=… npm start`,
    )
  }
  const file = fileIn(folder)
  const mark = JSON.stringify({ pid: process.pid, began: beginningOf(process.pid), checkout: ROOT })
  for (let attempt = 0; attempt < 3; attempt += 1) {
    const running = whoRuns(folder)
    if (running && running.pid !== process.pid) throw alreadyRuns(running)
    try {
      // What is there is of a Brannik that ended without a word.
      rmSync(file, { force: true })
      const handle = openSync(file, 'wx', 0o644)
      writeSync(handle, mark)
      fsyncSync(handle)
      closeSync(handle)
      process.on('exit', () => {
        if (whoRuns(folder)?.pid === process.pid) rmSync(file, { force: true })
      })
      return
    } catch (error) {
      if (error.code !== 'EEXIST')
        throw new Remedy(
          `${folder} cannot be written (${error.code}). ${error.code === 'ENOSPC' ? 'The disk is full: free some space.' : 'Give this user the right to, or choose another place: BRANNIK_DATA=… npm start'}`,
        )
    }
  }
  throw new Remedy(`Another start is going on in ${folder}. Try again in a moment.`)
}
