/** `npm run figures`: what is promised of speed and size, measured here and now; one line of JSON a figure. */
import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { explain, quiet, ROOT } from './lib/run.mjs'
import { median, print } from './figures/print.mjs'
import { events } from './figures/events.mjs'
import { ledger } from './figures/ledger.mjs'
import { log } from './figures/log.mjs'
import { years } from './figures/years.mjs'
import { installNpm } from './lib/packages.mjs'
import { onStage } from './lib/stage.mjs'

/** Bundled, as the thread of a page runs it. */
async function reckoning() {
  const { build } = await import('esbuild')
  const outdir = join(ROOT, '.data/figures')
  await build({
    entryPoints: ['reckoning', 'boardThread', 'couldThread', 'plan'].map((one) =>
      join(ROOT, `scripts/figures/${one}.ts`),
    ),
    bundle: true,
    platform: 'node',
    // It fetches its WebAssembly from beside itself.
    external: ['highs'],
    format: 'esm',
    outdir,
    outExtension: { '.js': '.mjs' },
    logLevel: 'error',
  })
  for (const one of ['reckoning', 'plan']) {
    const done = quiet(process.execPath, [join(outdir, `${one}.mjs`)])
    if (!done.ok) throw new Error(done.err)
    process.stdout.write(done.out)
  }
}

/** Every thread of the server has been asked often enough to run as it does all day; the first answer is told apart. */
const WARM_UPS = 24

/** The largest job that is legal: how long its whole answer takes, and how large it is. */
async function largestAnswer(address) {
  const question = JSON.parse(readFileSync(join(ROOT, 'demo/fit-press-frame.json'), 'utf8'))
  const { joints } = question.job
  const many = Array.from({ length: 5000 }, (_, n) => ({
    ...joints[n % joints.length],
    id: `w${n}`,
    lengthMm: 40 + (n % 900),
  }))
  const body = JSON.stringify({ ...question, job: { ...question.job, joints: many } })
  const times = []
  let size = 0
  for (let run = 0; run < WARM_UPS + 7; run += 1) {
    const began = performance.now()
    const answer = await fetch(new URL('/api/fit', address), {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body,
    })
    const text = await answer.text()
    if (answer.status !== 200) throw new Error(`the fit was refused: ${text.slice(0, 300)}`)
    times.push(performance.now() - began)
    size = Buffer.byteLength(text)
  }
  print('answer-5000-welds', median(times.slice(WARM_UPS)), 'ms')
  print('answer-5000-welds-cold', times[0], 'ms')
  print('answer-5000-welds-size', size / 1e6, 'MB')
}

/** The pages are driven by what the browser tests are written in. */
async function readTypeScript() {
  await installNpm()
  const { register } = await import('tsx/esm/api')
  register()
}

async function figures() {
  await readTypeScript()
  await reckoning()
  const pages = await import('./figures/pages.mjs')
  await onStage(async ({ browser, address, databaseUrl }) => {
    await largestAnswer(address)
    await pages.firstLoad(browser, address)
    await pages.slowFirstLoad(browser, address)
    await pages.keyToPaint(browser, address)
    await pages.cardPdf(browser, address)
    await pages.hourOfMeasurements(browser, address)
    await pages.checkerFindings(browser, address)
    await pages.memoryOfBoards(browser, address)
    await pages.keyInLongJob(browser, address)
    await pages.largeBoard(browser, address)
    await log(address, databaseUrl)
    await ledger(address, databaseUrl)
    await events(address, databaseUrl)
  })
  await onStage(({ address, databaseUrl }) => years(address, databaseUrl))
  await onStage(({ browser, address }) => pages.firstHour(browser, address), { demo: false })
}

figures().catch((error) => {
  explain(error)
  process.exit(1)
})
