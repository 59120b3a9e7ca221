/** Which processes run, told apart even where a number was given again: by when they began. */
import { readFileSync } from 'node:fs'

/** @returns when the process began, in ticks since boot; null where there is none (proc(5), field 22) */
export function beginningOf(pid) {
  try {
    const stat = readFileSync(`/proc/${pid}/stat`, 'utf8')
    const [state, ...rest] = stat.slice(stat.lastIndexOf(')') + 2).split(' ')
    return state === 'Z' || state === 'X' ? null : rest[18]
  } catch {
    return null
  }
}

export function commandLineOf(pid) {
  try {
    return readFileSync(`/proc/${pid}/cmdline`, 'utf8').split('\0')
  } catch {
    return []
  }
}
