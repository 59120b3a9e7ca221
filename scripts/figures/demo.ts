/** The demo for the figures of the computation, how they are timed, and how they are printed. */
import { readFileSync } from 'node:fs'
import { readDocument, shopDocumentSchema } from '../../core/src/index.ts'

export const RUNS = 7

const read = readDocument(
  shopDocumentSchema,
  JSON.parse(readFileSync('demo/tollgate-orchard-works.json', 'utf8')),
)
if (!read.ok) throw new Error('the demo cannot be read')
const { format: _format, version: _version, ...shop } = read.value
export const demo = shop

export const print = (figure: string, value: number, unit: string): void => {
  process.stdout.write(`${JSON.stringify({ figure, value: Number(value.toPrecision(3)), unit })}\n`)
}
export const median = (values: readonly number[]): number =>
  [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)] ?? 0
/** @returns ms of each run; the first, cold, stands first */
export const timed = (work: () => void, times = RUNS): number[] =>
  Array.from({ length: times }, () => {
    const began = performance.now()
    work()
    return performance.now() - began
  })
/** @returns ms of one run, cold */
export const once = (work: () => unknown): number => {
  const began = performance.now()
  work()
  return performance.now() - began
}

/** How steeply a time grows with a size: the slope of the straight line through their logarithms. */
export function growth(sizes: readonly number[], times: readonly number[]): number {
  const [x, y] = [sizes.map(Math.log), times.map(Math.log)]
  const mean = (values: readonly number[]): number => values.reduce((a, b) => a + b, 0) / values.length
  const [mx, my] = [mean(x), mean(y)]
  const above = x.reduce((sum, one, at) => sum + (one - mx) * ((y[at] ?? 0) - my), 0)
  return above / x.reduce((sum, one) => sum + (one - mx) ** 2, 0)
}
