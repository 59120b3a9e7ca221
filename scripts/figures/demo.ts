/** The demo for the figures of the computation, how they are timed, and how they are printed. */
import { readFileSync } from 'node:fs'
import { readDocument, shopDocumentSchema } from '../../core/src/index.ts'

const RUNS = 7

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
