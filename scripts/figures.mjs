/** `npm run figures`: what is promised of speed and size, measured here and now; one line of JSON a figure. */
import { readFileSync } from 'node:fs'
import { get } from 'node:http'
import { join } from 'node:path'
import { explain, quiet, ROOT } from './lib/run.mjs'
import { onStage } from './lib/stage.mjs'

const print = (figure, value, unit) =>
  process.stdout.write(`${JSON.stringify({ figure, value: Number(value.toPrecision(3)), unit })}\n`)
const median = (values) => [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)]

/** Bundled, as the thread of a page runs it. */
async function reckoning() {
  const { build } = await import('esbuild')
  const outfile = join(ROOT, '.data/figures/reckoning.mjs')
  await build({
    entryPoints: [join(ROOT, 'scripts/figures/reckoning.ts')],
    bundle: true,
    platform: 'node',
    format: 'esm',
    outfile,
    logLevel: 'error',
  })
  const done = quiet(process.execPath, [outfile])
  if (!done.ok) throw new Error(done.err)
  process.stdout.write(done.out)
}

/** Every thread of the server has its first question, and its second. */
const WARM_UPS = 6

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
  print('answer-5000-welds-size', size / 1e6, 'MB')
}

/** Bytes of an answer as they are sent. */
const sentBytes = (url) =>
  new Promise((resolve, reject) => {
    get(url, { headers: { 'Accept-Encoding': 'gzip' } }, (response) => {
      let bytes = 0
      response.on('data', (chunk) => (bytes += chunk.length))
      response.once('end', () => resolve(bytes))
    }).once('error', reject)
  })

/** All scripts that the first page needs to show its answer, those of its threads too, as they are sent. */
async function firstLoad(browser, address) {
  const page = await browser.newPage()
  const scripts = new Set()
  page.on('response', (response) => {
    if (/javascript/.test(response.headers()['content-type'] ?? '')) scripts.add(response.url())
  })
  await page.goto(new URL('/fit/press-frame', address).href)
  await page.getByTestId('headline').waitFor()
  await page.close()
  const sizes = await Promise.all([...scripts].map(sentBytes))
  print('first-load-js', sizes.reduce((sum, bytes) => sum + bytes, 0) / 1000, 'kB')
}

/** From the key to the first frame after the headline has changed. */
async function keyToPaint(browser, address) {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
  await page.goto(new URL('/fit/press-frame', address).href)
  await page.getByTestId('headline').waitFor()
  await page.waitForTimeout(500)
  await page.evaluate(() => {
    const times = []
    let typedAt = 0
    document.addEventListener('keydown', () => (typedAt = performance.now()), true)
    new MutationObserver(() => {
      if (typedAt === 0) return
      const began = typedAt
      typedAt = 0
      requestAnimationFrame(() => setTimeout(() => times.push(performance.now() - began)))
    }).observe(document.querySelector('[data-testid="headline"]'), {
      characterData: true,
      childList: true,
      subtree: true,
    })
    Object.assign(globalThis, { times })
  })
  const field = page.getByLabel('Thickness')
  // Thicknesses at which every one asks another current.
  for (let mils = 60; mils < 180; mils += 6) {
    await field.fill('0.')
    await field.press('End')
    await field.pressSequentially(`${mils}`.padStart(3, '0'))
    await page.waitForTimeout(80)
  }
  const times = await page.evaluate(() => globalThis.times)
  await page.close()
  if (times.length < 10) throw new Error(`only ${times.length} keys changed the headline`)
  print('key-to-paint', median(times), 'ms')
}

onStage(async ({ browser, address }) => {
  await reckoning()
  await largestAnswer(address)
  await firstLoad(browser, address)
  await keyToPaint(browser, address)
}).catch((error) => {
  explain(error)
  process.exit(1)
})
