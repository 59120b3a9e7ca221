/** One running Brannik on the same data: a second start must not take the database from under the first. */
import { createHash } from 'node:crypto'
import { mkdirSync, readFileSync, realpathSync, rmSync, writeFileSync } from 'node:fs'
import { createServer } from 'node:net'
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

/**
 * A name that the system gives to one process, and takes back when that ends, however it ends: of two at the same moment
 * one gets it. A file could be taken for left over by both.
 */
const holdName = (folder) =>
  new Promise((resolve) => {
    const name = createHash('sha256').update(realpathSync(folder)).digest('hex')
    const holder = createServer().unref()
    holder.once('error', () => resolve(false))
    holder.listen(`\0brannik-${name}`, () => resolve(true))
  })

/** @param folder of the data; the mark in it goes when this process ends */
export async function onlyOnce(folder) {
  try {
    mkdirSync(folder, { recursive: true })
  } catch (error) {
    throw new Remedy(
      `${folder} cannot be made (${error.code}). Choose a place where this user may write: BRANNIK_DATA=… npm start`,
    )
  }
  const isHeld = await holdName(folder)
  const running = whoRuns(folder)
  if (running && running.pid !== process.pid) throw alreadyRuns(running)
  if (!isHeld) throw new Remedy(`Another start is going on in ${folder}. Try again in a moment.`)
  const file = fileIn(folder)
  const mark = JSON.stringify({ pid: process.pid, began: beginningOf(process.pid), checkout: ROOT })
  try {
    // What is there is of a Brannik that ended without a word.
    rmSync(file, { force: true })
    writeFileSync(file, mark, { flag: 'wx', mode: 0o644, flush: true })
  } catch (error) {
    throw new Remedy(
      `${folder} cannot be written (${error.code}). ${error.code === 'ENOSPC' ? 'The disk is full: free some space.' : 'Give this user the right to, or choose another place: BRANNIK_DATA=… npm start'}`,
    )
  }
  process.on('exit', () => {
    if (whoRuns(folder)?.pid === process.pid) rmSync(file, { force: true })
  })
}
