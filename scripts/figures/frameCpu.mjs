/** What a page's frames cost it in CPU. Unlike their length it is hardly longer where others have a share of the machine. */

/**
 * @param act has the page mark the end of each frame, and its begin before the first: `performance.mark('frame')`
 * @returns of each frame, ms of CPU of the page's main thread
 */
export async function cpuOfFrames(page, act) {
  const browser = page.context().browser()
  await browser.startTracing(page, { categories: ['toplevel', 'blink.user_timing'] })
  await act()
  const { traceEvents } = JSON.parse(await browser.stopTracing())
  const marks = traceEvents.filter(({ name }) => name === 'frame').sort((a, b) => a.ts - b.ts)
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
  return marks.slice(1).map(({ ts: to }, index) => {
    const from = marks[index].ts
    // A frame ends within a task: each has its share.
    const cpuUs = tasks.reduce((sum, { ts, dur, tdur = 0 }) => {
      const within = Math.min(to, ts + dur) - Math.max(from, ts)
      return within > 0 ? sum + (tdur * within) / dur : sum
    }, 0)
    return cpuUs / 1000
  })
}
