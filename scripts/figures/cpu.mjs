/** What something costs a page in CPU. Where others have a share of the machine it grows much less than the time that passes. */

/** Within a page: CPU is counted from `FROM` to the next `TO`. */
export const FROM = 'cpu-from'
export const TO = 'cpu-to'

/**
 * @param act has the page mark what is counted: `performance.mark(FROM)` and `performance.mark(TO)`
 * @returns of each, ms of CPU of the page's main thread
 */
export async function cpuOf(page, act) {
  const browser = page.context().browser()
  await browser.startTracing(page, { categories: ['toplevel', 'blink.user_timing'] })
  await act()
  const { traceEvents } = JSON.parse(await browser.stopTracing())
  const marks = traceEvents.filter(({ name }) => name === FROM || name === TO).sort((a, b) => a.ts - b.ts)
  const [{ pid, tid }] = marks
  // What a task of its thread runs within itself is part of it.
  let endUs = 0
  const tasks = traceEvents
    .filter((one) => one.pid === pid && one.tid === tid && one.ph === 'X' && one.name.endsWith('RunTask'))
    .sort((a, b) => a.ts - b.ts)
    .filter(({ ts, dur }) => {
      if (ts < endUs) return false
      endUs = ts + dur
      return true
    })
  return marks.flatMap(({ name, ts: to }, index) => {
    const before = marks[index - 1]
    if (name !== TO || before?.name !== FROM) return []
    // It may begin and end within a task: then it has its share.
    const cpuUs = tasks.reduce((sum, { ts, dur, tdur = 0 }) => {
      const within = Math.min(to, ts + dur) - Math.max(before.ts, ts)
      return within > 0 ? sum + (tdur * within) / dur : sum
    }, 0)
    return [cpuUs / 1000]
  })
}
