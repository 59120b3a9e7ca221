/** Figures of the pages: what they load, how soon they answer, a key on the screen, what a checker finds, the first hour. */
import { readFileSync } from 'node:fs'
import { get } from 'node:http'
import { join } from 'node:path'
import { ROOT } from '../lib/run.mjs'
import { cpuOf, FROM, TO } from './cpu.mjs'
import { median, print, shareOf } from './print.mjs'

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
export async function firstLoad(browser, address) {
  const page = await browser.newPage()
  const scripts = new Map()
  // What is fetched once the answer stands, such as what seeks the mends, is no part of the way to it.
  await page.addInitScript(() => {
    const watch = new MutationObserver(() => {
      if (!document.querySelector('[data-testid="headline"]')) return
      Object.assign(globalThis, { answeredAt: Date.now() })
      watch.disconnect()
    })
    watch.observe(document, { childList: true, subtree: true })
  })
  page.on('response', (response) => {
    if (/javascript/.test(response.headers()['content-type'] ?? ''))
      scripts.set(response.url(), response.request().timing().startTime)
  })
  await page.goto(new URL('/jobs/press-frame/fit', address).href)
  await page.getByTestId('headline').waitFor()
  const answeredAt = await page.evaluate(() => globalThis.answeredAt)
  await page.close()
  const first = [...scripts].flatMap(([url, askedAt]) => (askedAt <= answeredAt ? [url] : []))
  const sizes = await Promise.all(first.map(sentBytes))
  print('first-load-js', sizes.reduce((sum, bytes) => sum + bytes, 0) / 1000, 'kB')
}

/** From the key to the first frame after the headline has changed. */
export async function keyToPaint(browser, address) {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
  await page.goto(new URL('/jobs/press-frame/fit', address).href)
  await page.getByTestId('headline').waitFor()
  await page.waitForTimeout(500)
  await page.evaluate(
    ([from, to]) => {
      const times = []
      let typedAt = 0
      const typed = () => {
        typedAt = performance.now()
        performance.mark(from)
      }
      document.addEventListener('keydown', typed, true)
      new MutationObserver(() => {
        if (typedAt === 0) return
        const began = typedAt
        typedAt = 0
        const painted = () => {
          times.push(performance.now() - began)
          performance.mark(to)
        }
        requestAnimationFrame(() => setTimeout(painted))
      }).observe(document.querySelector('[data-testid="headline"]'), {
        characterData: true,
        childList: true,
        subtree: true,
      })
      Object.assign(globalThis, { times, forgetKey: () => (typedAt = 0) })
    },
    [FROM, TO],
  )
  const field = page.getByLabel('Thickness')
  // Thicknesses at which every one asks another current. Some ninety keys: of thirty the second worst would be the p95.
  const typeAll = async () => {
    for (let mils = 60; mils < 180; mils += 2) {
      await field.fill('0.')
      await field.press('End')
      // As somebody types who looks at what it does: each key has its answer before the next.
      await field.pressSequentially(`${mils}`.padStart(3, '0'), { delay: 150 })
      await page.waitForTimeout(150)
      // A key that asked for the same current changed no headline.
      await page.evaluate(() => globalThis.forgetKey())
    }
  }
  await typeAll()
  const times = await page.evaluate(() => globalThis.times)
  if (times.length < 10) throw new Error(`only ${times.length} keys changed the headline`)
  print('key-to-paint', median(times), 'ms')
  print('key-to-paint-p95', shareOf(times, 0.95), 'ms')
  // Beside it there is the wait for a frame, 17 ms at the most.
  const cpu = await cpuOf(page, typeAll)
  await page.close()
  print('key-to-paint-cpu', median(cpu), 'ms')
  print('key-to-paint-cpu-p95', shareOf(cpu, 0.95), 'ms')
}

/** What a phone on a slow line and a tired laptop have: a quarter of this CPU, 1.6 Mbit/s, 150 ms away. */
const SLOW = { cpu: 4, bytesPerS: 1.6e6 / 8, latencyMs: 150 }

/** From the address to the headline of a fit, nothing of it there before. */
export async function slowFirstLoad(browser, address) {
  const times = []
  for (let run = 0; run < 3; run += 1) {
    const context = await browser.newContext()
    const page = await context.newPage()
    const session = await context.newCDPSession(page)
    await session.send('Emulation.setCPUThrottlingRate', { rate: SLOW.cpu })
    await session.send('Network.emulateNetworkConditions', {
      offline: false,
      latency: SLOW.latencyMs,
      downloadThroughput: SLOW.bytesPerS,
      uploadThroughput: SLOW.bytesPerS,
    })
    const began = performance.now()
    await page.goto(new URL('/jobs/press-frame/fit', address).href, { waitUntil: 'commit' })
    await page.getByTestId('headline').waitFor({ timeout: 60_000 })
    times.push(performance.now() - began)
    await context.close()
  }
  print('first-load-slow', median(times) / 1000, 's')
}

const WELDS = 500
/** A job as long as the longest that people write, from the demo's own welds. */
async function longJob(address) {
  const { job } = JSON.parse(readFileSync(join(ROOT, 'demo/fit-press-frame.json'), 'utf8'))
  const joints = Array.from({ length: WELDS }, (_, n) => ({
    ...job.joints[n % job.joints.length],
    id: `w${n}`,
    lengthMm: 40 + (n % 300),
  }))
  const answer = await fetch(new URL('/api/jobs', address), {
    method: 'POST',
    headers: { 'Content-Type': 'application/json', 'Idempotency-Key': `figures-${Date.now()}` },
    body: JSON.stringify({ ...job, id: 'long-job', name: 'Long job', joints }),
  })
  if (!answer.ok) throw new Error(`the job was refused: ${(await answer.text()).slice(0, 300)}`)
}

/** A cell that is worked out. */
const KNOWN_CELL = '[role=gridcell]:is(.fits, .tight, .fails, .unknown)'

/** Of a page: compiled code comes and goes with what is looked at often, and what is drawn is no script's. */
const NOT_OF_SCRIPTS = new Set(['code', 'object shape', 'native', 'synthetic'])
/** What the scripts of a page hold: objects, lists, texts and functions, once everything is collected that may be. */
async function heldBytes(session) {
  const parts = []
  session.on('HeapProfiler.addHeapSnapshotChunk', ({ chunk }) => parts.push(chunk))
  await session.send('HeapProfiler.collectGarbage')
  await session.send('HeapProfiler.takeHeapSnapshot', { reportProgress: false })
  session.removeAllListeners('HeapProfiler.addHeapSnapshotChunk')
  const { nodes, snapshot } = JSON.parse(parts.join(''))
  const { node_fields: fields, node_types: types } = snapshot.meta
  const [type, size] = [fields.indexOf('type'), fields.indexOf('self_size')]
  let bytes = 0
  for (let at = 0; at < nodes.length; at += fields.length)
    if (!NOT_OF_SCRIPTS.has(types[type][nodes[at + type]])) bytes += nodes[at + size]
  return bytes
}

const BOARDS = 50
/** How much more a page holds after it has shown fifty boards than after one. */
export async function memoryOfBoards(browser, address) {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
  const session = await page.context().newCDPSession(page)
  const board = page.getByRole('grid', { name: 'Board' })
  await page.goto(new URL('/board/set-ups', address).href)
  await page.locator(KNOWN_CELL).first().waitFor()
  const show = async () => {
    await page.getByRole('link', { name: 'Jobs', exact: true }).first().click()
    await board.waitFor({ state: 'detached' })
    await page.goBack()
    await page.locator(KNOWN_CELL).first().waitFor()
  }
  // What is fetched with the first of each view is no leak.
  for (let n = 0; n < 3; n += 1) await show()
  const one = await heldBytes(session)
  for (let n = 0; n < BOARDS; n += 1) await show()
  const many = await heldBytes(session)
  await page.close()
  print('page-memory-after-one-board', one / 1e6, 'MB')
  print('page-memory-after-50-boards', many / 1e6, 'MB')
}

/** From the key to the first frame after it, in a weld of a job of 500, with all that follows from the key. */
export async function keyInLongJob(browser, address) {
  await longJob(address)
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
  await page.goto(new URL('/jobs/long-job', address).href)
  const parts = page.getByRole('textbox', { name: 'Parts of weld 3', exact: true })
  await parts.waitFor()
  await page.waitForTimeout(3000)
  await page.evaluate(() => {
    const times = []
    document.addEventListener(
      'keydown',
      ({ timeStamp }) =>
        requestAnimationFrame(() => setTimeout(() => times.push(performance.now() - timeStamp))),
      true,
    )
    Object.assign(globalThis, { times })
  })
  for (const cell of ['Parts of weld 3', 'Parts of weld 5', 'Parts of weld 7']) {
    await page.getByRole('textbox', { name: cell, exact: true }).click()
    for (const text of ['3/8 in steel', '5/16 in steel', '1/4 in steel']) {
      await page.keyboard.press('Control+a')
      await page.keyboard.type(text, { delay: 90 })
    }
    await page.keyboard.press('Tab')
  }
  const times = await page.evaluate(() => globalThis.times)
  await page.close()
  print('key-to-paint-500-welds-p95', shareOf(times, 0.95), 'ms')
}

/** From the press to the file, of a card: laid out in a thread of its own, which has to be fetched the first time. */
export async function cardPdf(browser, address) {
  const page = await browser.newPage()
  await page.goto(new URL('/jobs/press-frame/card?set-up=bay-2-wire', address).href)
  await page.getByRole('heading', { name: 'Set-up card' }).waitFor()
  const press = async () => {
    const began = performance.now()
    const given = page.waitForEvent('download')
    await page.getByRole('button', { name: 'PDF', exact: true }).click()
    await given
    return performance.now() - began
  }
  print('card-pdf-first', await press(), 'ms')
  print('card-pdf', median([await press(), await press(), await press()]), 'ms')
  await page.close()
}

/** An hour of a hundred readings a second: from the file to its figures, and the longest frame meanwhile. */
export async function hourOfMeasurements(browser, address) {
  const rows = Array.from({ length: 360_000 }, (_, at) => {
    const isArc = at % 4000 < 2600
    return `${(at / 100).toFixed(2)},${isArc ? 19 + (at % 17) / 10 : 62},${isArc ? 150 + (at % 29) : 0},${isArc ? 8100 : 0},${isArc ? 14.2 : 0}`
  })
  const buffer = Buffer.from(['time_s,volts,amps,wfs_mm/min,gas_l/min', ...rows].join('\n'))
  const read = async () => {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
    await page.goto(new URL('/jobs/press-frame/monitor?set-up=bay-2-wire', address).href)
    await page.getByRole('button', { name: 'Start live' }).waitFor()
    await page.waitForTimeout(1000)
    await page.evaluate(() => {
      Object.assign(globalThis, { readMs: null, longestMs: 0 })
      const input = document.querySelector('input[type=file]')
      let [beganMs, lastMs] = [0, 0]
      input.addEventListener('change', () => (lastMs = beganMs = performance.now()), {
        once: true,
        capture: true,
      })
      const frame = () => {
        const nowMs = performance.now()
        if (lastMs > 0) globalThis.longestMs = Math.max(globalThis.longestMs, nowMs - lastMs)
        if (lastMs > 0) lastMs = nowMs
        const isShown = document.querySelector('[aria-label="Measured against the plan"]') !== null
        if (isShown && beganMs > 0) globalThis.readMs ??= nowMs - beganMs
        if (globalThis.readMs === null || nowMs - beganMs < globalThis.readMs + 500)
          requestAnimationFrame(frame)
      }
      requestAnimationFrame(frame)
    })
    await page.locator('input[type=file]').setInputFiles({ name: 'hour.csv', mimeType: 'text/csv', buffer })
    await page.waitForFunction(() => globalThis.readMs !== null)
    await page.waitForTimeout(700)
    const measured = await page.evaluate(() => [globalThis.readMs, globalThis.longestMs])
    await page.close()
    return measured
  }
  const runs = [await read(), await read(), await read()]
  print('hour-of-measurements', median(runs.map(([readMs]) => readMs)), 'ms')
  print('hour-of-measurements-longest-frame', median(runs.map(([, longestMs]) => longestMs)), 'ms')
}

/** What reads TypeScript here marks every function that has a name, those that are run in the page too. */
const KNOWS_MARKS = 'globalThis.__name ??= (marked) => marked'

/** What the checker finds in every view and in what opens, light and dark. */
export async function checkerFindings(browser, address) {
  const { violations } = await import('../../e2e/axe.ts')
  const { OPENED, take, VIEWS } = await import('../../e2e/views.ts')
  const context = await browser.newContext({ bypassCSP: true })
  await context.addInitScript(KNOWS_MARKS)
  const page = await context.newPage()
  const found = []
  const opened = [...VIEWS.map((path) => ({ what: path, path, steps: [] })), ...OPENED]
  for (const { what, path, steps } of opened) {
    await page.goto(new URL(path, address).href)
    await page.getByRole('heading', { level: 1 }).waitFor()
    // Once: what a step begins has begun.
    await take(page, steps)
    for (const colorScheme of ['light', 'dark']) {
      await page.emulateMedia({ colorScheme })
      for (const one of await violations(page)) found.push(`${what}, ${colorScheme}: ${one}`)
    }
    await page.emulateMedia({ colorScheme: 'light' })
  }
  await context.close()
  for (const one of found) process.stderr.write(`${one}\n`)
  print('axe-findings', found.length, 'findings')
}

/** How often something is pressed or typed into, from an empty database to a first fit. */
export async function firstHour(browser, address) {
  const { walkToFirstFit } = await import('../../e2e/firstFit.ts')
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
  await page.addInitScript(KNOWS_MARKS)
  print('interactions-to-first-fit', await walkToFirstFit(page, address), 'interactions')
  await page.close()
}

const BOARD_JOBS = 500
const BOARD_SET_UPS = 200
/** The demo’s own jobs and set-ups, many times over: it takes the shop’s place. */
async function largeShop(address) {
  const whole = await (await fetch(new URL('/api/whole', address))).json()
  const many = (list, count, more) =>
    Array.from({ length: count }, (_, n) => {
      const one = list[n % list.length]
      return n < list.length
        ? one
        : { ...one, id: `${one.id.slice(0, 40)}-${n}`, name: `${one.name} ${n}`, ...more(one) }
    })
  const jobs = many(
    whole.jobs.filter(({ state }) => state === 'planned'),
    BOARD_JOBS,
    // One weld each: what is measured is the board.
    ({ joints }) => ({ joints: joints.slice(0, 1) }),
  )
  const setUps = many(whole.setUps, BOARD_SET_UPS, () => ({}))
  const kept = whole.jobs.filter(({ state }) => state !== 'planned')
  const answer = await fetch(new URL('/api/whole', address), {
    method: 'POST',
    headers: { 'Content-Type': 'application/json', 'Idempotency-Key': `figures-${Date.now()}` },
    body: JSON.stringify({ whole: { ...whole, jobs: [...jobs, ...kept], setUps }, replaces: whole.shop.id }),
  })
  if (!answer.ok) throw new Error(`the large shop was refused: ${(await answer.text()).slice(0, 300)}`)
}

/** Until every cell of a large board is worked out. */
async function untilWhole(page) {
  const toGo = page.getByText(/jobs to go/)
  await toGo.waitFor()
  await toGo.waitFor({ state: 'detached', timeout: 120_000 })
}

/** A board of 500 jobs and 200 set-ups: its first cells, all of them, and its frames as it is scrolled. */
export async function largeBoard(browser, address) {
  await largeShop(address)
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 } })
  const page = await context.newPage()
  await page.addInitScript((known) => {
    const times = {}
    new MutationObserver((_records, observer) => {
      if (!times.grid && document.querySelector('[role=grid]')) times.grid = performance.now()
      if (!document.querySelector(known)) return
      times.cells = performance.now()
      // What watches would slow what is measured.
      observer.disconnect()
    }).observe(document, { attributeFilter: ['class'], childList: true, subtree: true })
    Object.assign(globalThis, { boardTimes: times })
  }, KNOWN_CELL)
  await page.goto(new URL('/board/set-ups', address).href)
  await page.locator(KNOWN_CELL).first().waitFor()
  const { grid, cells } = await page.evaluate(() => globalThis.boardTimes)
  print('board-500x200-first-cells', cells - grid, 'ms')
  await untilWhole(page)
  print('board-500x200-whole', (await page.evaluate(() => performance.now())) - grid, 'ms')
  // Every other page of this browser finds the application kept.
  await page.evaluate(async () => {
    await navigator.serviceWorker.ready
  })
  await page.close()
  await boardScroll(context, address)
  await context.close()
}

/** The frames of that board as it is scrolled both ways, first and once more. */
async function boardScroll(context, address) {
  const page = await context.newPage()
  await page.goto(new URL('/board/set-ups', address).href)
  await untilWhole(page)
  const scroll = () =>
    page.evaluate(
      async ([from, to]) => {
        const board = document.querySelector('[role=grid]')
        board.scrollTo(0, 0)
        await new Promise((resolve) => setTimeout(resolve, 1000))
        const spent = []
        let last = performance.now()
        for (let step = 0; step < 120; step += 1) {
          performance.mark(from)
          board.scrollBy(step % 3 === 0 ? 160 : 0, 120)
          await new Promise(requestAnimationFrame)
          performance.mark(to)
          const now = performance.now()
          spent.push(now - last)
          last = now
        }
        return spent
      },
      [FROM, TO],
    )
  const cold = await scroll()
  print('board-scroll-worst-frame-cold', Math.max(...cold), 'ms')
  // Scrolled before, as a board is that is worked with.
  const frames = await scroll()
  print('board-scroll-worst-frame', Math.max(...frames), 'ms')
  print('board-scroll-frame-p95', shareOf(frames, 0.95), 'ms')
  print('board-scroll-frame-median', median(frames), 'ms')
  const cpu = await cpuOf(page, scroll)
  await page.close()
  print('board-scroll-worst-frame-cpu', Math.max(...cpu), 'ms')
  print('board-scroll-frame-cpu-median', median(cpu), 'ms')
}
