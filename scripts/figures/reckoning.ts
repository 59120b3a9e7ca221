/** Figures of the computation alone, in one thread: a board, one cell, one working. Prints one line of JSON a figure. */
import {
  capabilityOf,
  cardOf,
  changeoverBetween,
  claimOf,
  costLinesOf,
  sidesOf,
  spreadOf,
  Claims,
  runOut,
  chosenOf,
  demandOf,
  explain,
  onMachineOf,
  partsOf,
  pairsOf,
  powerOf,
  shopPowerOf,
  trialOf,
  tripsOf,
  assess,
} from '../../core/src/index.ts'
import { shiftOf } from '../../core/src/power/shift.ts'
import { togetherOf } from '../../core/src/power/together.ts'
import { readPattern } from '../../core/src/weldlist/pattern.ts'
import { MOST_TEXT } from '../../core/src/weldlist/read.ts'
import { readSize } from '../../core/src/weldlist/size.ts'
import { readJoint, readParts, readPosition, readWelds } from '../../core/src/weldlist/text.ts'
import { board, largestJob, machineBoard } from './board.ts'
import { could } from './could.ts'
import { demo, growth, median, once, print, timed } from './demo.ts'
import { kit } from './kit.ts'
import { writtenKit } from './writtenKit.ts'
import { practiceResiduals } from '../../core/src/testing/practiceSettings.ts'

/** A month of 200 jobs of 20 welds: what each leaves for the next, and where each wire, gas and tungsten ends. */
function stores(): void {
  const kinds = demo.jobs.flatMap((job) => {
    const setUp = demo.setUps.find(({ id }) => id === job.setUpId)
    const answer = setUp && partsOf(setUp, demo)
    return setUp && answer?.ok ? [{ shop: demo.shop, job, setUp, ...answer.parts }] : []
  })
  const inputs = Array.from({ length: 200 }, (_, index) => {
    const input = kinds[index % kinds.length]
    if (!input) throw new Error('the demo has no job with a set-up')
    const { job } = input
    const joints = Array.from({ length: 20 }, (_weld, at) => {
      const joint = job.joints[at % job.joints.length]
      if (!joint) throw new Error('a job has a weld')
      return { ...joint, id: `weld-${at}` }
    })
    const dueOn = `2027-01-${String((index % 28) + 1).padStart(2, '0')}`
    return { ...input, job: { ...job, id: `job-${index}`, joints, dueOn } }
  })
  print('stores-200-jobs-x-20-welds-netted', median(timed(() => runOut(inputs, demo.stock)).slice(1)), 'ms')
  const [input] = inputs
  const sides = input && sidesOf(input)
  const lines = sides && costLinesOf(sides.capability, sides.demand)
  if (!lines) throw new Error('the demo job has no cost')
  print('quote-1000-draws', median(timed(() => spreadOf(lines)).slice(1)), 'ms')
  print(
    'stores-200-jobs-x-20-welds-claimed',
    median(
      timed(() => {
        const claims = new Claims(() => inputs.map(claimOf))
        for (const { job } of inputs) claims.before(job, 'wire', 'er70s6-035')
      }).slice(1),
    ),
    'ms',
  )
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

/** Every job with every set-up on every circuit, until there were ten thousand; and what one chart of a breaker takes. */
function power(): void {
  const PAIRS = 10_000
  const work = (): number => {
    let looked = 0
    for (;;)
      for (const job of demo.jobs)
        for (const setUp of demo.setUps) {
          looked += powerOf(demo.shop, demo, job, setUp).circuits.length
          if (looked >= PAIRS) return looked
        }
  }
  print('power-10000', median(timed(work).slice(1)), 'ms')
  const job = demo.jobs.find(({ id }) => id === 'press-frame')
  const setUp = demo.setUps.find(({ id }) => id === 'north-wall-wire')
  if (!job || !setUp) throw new Error('the demo has no press frame')
  const capability = capabilityOf(demo.shop, setUp, chosenOf(setUp, demo))
  const demand = demandOf(job, setUp.process, chosenOf(setUp, demo).wire, demo.shop)
  print('trip-chart', median(timed(() => tripsOf(capability, demand, true)).slice(1)), 'ms')
  shift()
}

/** Ten machines at work for eight hours: one shift, second by second. */
function shift(): void {
  const { shelf, atWork } = machinesAtWork(10)
  const together = togetherOf(demo.shop, shelf, atWork)
  if (together.leftOut.length > 0) throw new Error('a machine of the ten was left out')
  const oneShift = () => shiftOf(together, { hours: 8, runs: 1, seed: 1 })
  print('shift-8h-10-machines', median(timed(oneShift).slice(1)), 'ms')
  shopPower()
}

/** So many machines, each under a name of its own, on the circuits of the demo in turn. */
function machinesAtWork(count: number) {
  const [setUp] = demo.setUps
  const [job] = demo.jobs
  const source = demo.powerSources.find(({ id }) => id === setUp?.powerSourceId)
  if (!setUp || !job || !source) throw new Error('the demo has no set-up, job or machine')
  const ids = Array.from({ length: count }, (_, n) => `machine-${n}`)
  const shelf = { ...demo, powerSources: [...demo.powerSources, ...ids.map((id) => ({ ...source, id }))] }
  const circuits = ['bay-1', 'bay-2', 'yard']
  const atWork = ids.map((id, n) => ({
    job,
    setUp: { ...setUp, id, powerSourceId: id, circuitId: circuits[n % circuits.length] ?? '' },
  }))
  return { shelf, atWork }
}

/** Everybody at work, and one machine with each of the others, which is asked where somebody looks. */
function shopPower(): void {
  const how = { hours: 8, seed: 1 }
  const sizes = [4, 8, 15, 30]
  const all: number[] = []
  const pairs: number[] = []
  for (const size of sizes) {
    const { shelf, atWork } = machinesAtWork(size)
    all.push(once(() => shopPowerOf(demo.shop, shelf, atWork, { ...how, runs: 40 })))
    pairs.push(once(() => pairsOf(demo.shop, shelf, atWork, atWork[0]?.setUp.id ?? '', how)))
  }
  const ten = machinesAtWork(10)
  print(
    'shop-power-10-machines-40-shifts',
    once(() => shopPowerOf(demo.shop, ten.shelf, ten.atWork, { ...how, runs: 40 })),
    'ms',
  )
  const allPairs = (): void => {
    for (const { setUp } of ten.atWork) pairsOf(demo.shop, ten.shelf, ten.atWork, setUp.id, how)
  }
  print('shop-power-10-machines-45-pairs', once(allPairs), 'ms')
  print('shop-power-30-machines-40-shifts', all.at(-1) ?? 0, 'ms')
  print('shop-power-growth', growth(sizes, all), '')
  print('shop-power-pairs-of-one-of-30', pairs.at(-1) ?? 0, 'ms')
  print('shop-power-pairs-growth', growth(sizes, pairs), '')
}

/** What people may type, at its longest, and twice as short: a reader that takes four times as long for twice as much is none. */
function typedTexts(): void {
  const notation = { system: 'imperial', locale: 'en-US' } as const
  const joint = demo.jobs[0]?.joints[0]
  if (!joint) throw new Error('the demo has no weld')
  const readers: readonly ((text: string) => unknown)[] = [
    (text) => readWelds(text, notation),
    readJoint,
    (text) => readParts(text, joint, notation),
    readPosition,
    (text) => readSize(text, joint, notation),
    (text) => readPattern(text, notation),
  ]
  const SEEDS = ['1', '1/', '1 ', '1 x ', 'to ', 'a1', '3/16 in to ', '1/8 in sch ', 's355+a ', '(', '1,']
  // One reading takes microseconds: many together, and the quickest of them, which nothing disturbed.
  const TIMES = 20
  const longest = (length: number): number => {
    const texts = SEEDS.map((seed) => seed.repeat(length).slice(0, length))
    return Math.max(
      ...readers.flatMap((readText) =>
        texts.map((text) => {
          const many = (): void => {
            for (let n = 0; n < TIMES; n += 1) readText(text)
          }
          return Math.min(...timed(many)) / TIMES
        }),
      ),
    )
  }
  longest(MOST_TEXT)
  const short = longest(MOST_TEXT / 2)
  const long = longest(MOST_TEXT)
  print('typed-text-longest', long, 'ms')
  print('typed-text-growth', long / short, 'times, for twice as long')
}

/** The card of a weld, the changeover of a pair, and all pairs of sixty set-ups. */
function bench(): void {
  const job = demo.jobs.find(({ id }) => id === 'press-screw-post')
  const setUp = demo.setUps.find(({ id }) => id === job?.setUpId)
  const parts = setUp && partsOf(setUp, demo)
  if (!job || !setUp || !parts?.ok) throw new Error('the demo has no press screw post')
  const input = { shop: demo.shop, job, setUp, ...parts.parts }
  print('card', median(timed(() => cardOf(input, '')).slice(1)), 'ms')
  const state = { settings: null, sign: 'stubs', ruledOut: [] } as const
  print('next-change', median(timed(() => trialOf(input, '', state)).slice(1)), 'ms')
  const SIXTY = 60
  const sixty = Array.from({ length: SIXTY }, (_, at) => {
    const like = demo.setUps[at % demo.setUps.length]
    if (!like) throw new Error('the demo has no set-up')
    return onMachineOf(like, demo)
  })
  const matrix = (): void => {
    for (const from of sixty) for (const to of sixty) changeoverBetween(demo.shop, from, to)
  }
  const all = median(timed(matrix).slice(1))
  print('changeover', all / SIXTY ** 2, 'ms')
  print('changeover-60-by-60', all, 'ms')
}

typedTexts()
bench()
stores()
await board()
machineBoard()
largestJob()
oneCell()
power()
await could()
await writtenKit()
await kit()

// How far the model's starting settings are off everyday practice.
for (const { what, currentPct, voltsPct, feedPct } of practiceResiduals()) {
  print(`practice, ${what}: current off`, currentPct, '%')
  if (voltsPct !== null) print(`practice, ${what}: volts off`, voltsPct, '%')
  if (feedPct !== null) print(`practice, ${what}: wire speed off`, feedPct, '%')
}
