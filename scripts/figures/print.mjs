/** How a figure is printed, and what is taken of many. */

/** One line of JSON. */
export const print = (figure, value, unit) =>
  process.stdout.write(`${JSON.stringify({ figure, value: Number(value.toPrecision(3)), unit })}\n`)

/** @param share 0.95: all but one in twenty are below it */
export const shareOf = (values, share) =>
  [...values].sort((a, b) => a - b)[Math.min(values.length - 1, Math.floor(values.length * share))]
export const median = (values) => shareOf(values, 0.5)

/** @param ask gives an answer of the server, told which run it is @returns ms, the median, with the body read */
export async function timedAnswer(runs, ask) {
  const times = []
  for (let run = 0; run < runs; run += 1) {
    const began = performance.now()
    const answer = await ask(run)
    await answer.text()
    if (!answer.ok) throw new Error(`${answer.url} answered ${answer.status}`)
    times.push(performance.now() - began)
  }
  return median(times)
}
