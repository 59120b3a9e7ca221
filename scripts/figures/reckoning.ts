/** Figures of the computation alone, in one thread: a board, one cell, one working. Prints one line of JSON a figure. */
import { readFileSync } from 'node:fs'
import {
  capabilityOf,
  chosenOf,
  demandOf,
  explain,
  readDocument,
  shopDocumentSchema,
  assess,
} from '../../core/src/index.ts'
import { Engine } from '../../web/src/engine/engine.ts'

const RUNS = 7

const read = readDocument(
  shopDocumentSchema,
  JSON.parse(readFileSync('demo/tollgate-orchard-works.json', 'utf8')),
)
if (!read.ok) throw new Error('the demo cannot be read')
const { format: _format, version: _version, ...demo } = read.value

const print = (figure: string, value: number, unit: string): void => {
  process.stdout.write(`${JSON.stringify({ figure, value: Number(value.toPrecision(3)), unit })}\n`)
}
const median = (values: readonly number[]): number =>
  [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)] ?? 0
/** @returns ms of each run; the first, cold, stands first */
const timed = (work: () => void): number[] =>
  Array.from({ length: RUNS }, () => {
    const began = performance.now()
    work()
    return performance.now() - began
  })

/** Jobs and set-ups of the demo again and again, each different in its numbers, so that nothing is found twice. */
function largeShop(jobCount: number, weldCount: number, setUpCount: number) {
  const allJoints = demo.jobs.flatMap(({ joints }) => joints)
  const [firstJob] = demo.jobs
  if (!firstJob) throw new Error('the demo has no job')
  const jobs = Array.from({ length: jobCount }, (_, n) => ({
    ...firstJob,
    id: `job-${n}`,
    joints: Array.from({ length: weldCount }, (_weld, w) => {
      const joint = allJoints[(n * 7 + w) % allJoints.length]
      if (!joint) throw new Error('the demo has no weld')
      return { ...joint, id: `w${w}`, lengthMm: 60 + n + w }
    }),
  }))
  const setUps = Array.from({ length: setUpCount }, (_, n) => {
    const setUp = demo.setUps[n % demo.setUps.length]
    if (!setUp) throw new Error('the demo has no set-up')
    return { ...setUp, id: `set-up-${n}` }
  })
  return { ...demo, jobs, setUps }
}

function board(): void {
  const shop = largeShop(200, 5, 60)
  const jobIds = shop.jobs.map(({ id }) => id)
  const setUpIds = shop.setUps.map(({ id }) => id)
  const times = timed(() => {
    const engine = new Engine()
    const lists = Object.entries(shop).flatMap(([key, put]) =>
      Array.isArray(put) ? [{ key, put, removed: [] }] : [],
    )
    engine.take({ shop: shop.shop, lists } as never)
    if (engine.board(jobIds, setUpIds).length !== 12_000) throw new Error('the board is not whole')
  })
  print('board-200x5x60', median(times.slice(1)), 'ms')
  print('board-200x5x60-cold', times[0] ?? 0, 'ms')
}

function oneCell(): void {
  const job = demo.jobs.find(({ id }) => id === 'press-frame')
  const setUp = demo.setUps.find(({ id }) => id === job?.setUpId)
  if (!job || !setUp) throw new Error('the demo has no press frame')
  const chosen = chosenOf(setUp, demo)
  const capability = () => capabilityOf(demo.shop, setUp, chosen)
  const demand = () => demandOf(job, setUp.process, chosen.wire, demo.shop)
  const CELLS = 500
  const perCell = (work: () => void): number =>
    median(
      timed(() => {
        for (let n = 0; n < CELLS; n += 1) work()
      }).slice(1),
    ) / CELLS
  // As on a board, where both sides are known already; and with both made anew.
  const sides = { capability: capability(), demand: demand() }
  print(
    'one-cell',
    perCell(() => assess(sides.capability, sides.demand)),
    'ms',
  )
  print(
    'one-cell-anew',
    perCell(() => assess(capability(), demand())),
    'ms',
  )
  const ids = assess(capability(), demand()).map(({ criterion }) => criterion)
  const workings = timed(() => {
    for (const id of ids) explain(id, capability(), demand())
  })
  print('explain-one', median(workings.slice(1)) / ids.length, 'ms')
}

board()
oneCell()
