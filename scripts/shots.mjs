/** `npm run shots`: the pictures of docs/screenshots, taken of the demo shop on a database of their own. */
import { mkdirSync } from 'node:fs'
import { join } from 'node:path'
import { explain, ROOT } from './lib/run.mjs'
import { onStage } from './lib/stage.mjs'

/** For what the other demo may not have. */
const PATIENCE_MS = 8000
const SIZE = { width: 1280, height: 800 }
/** `DEMO=metric npm run shots` takes all of them of the other demo, to be looked at and not kept. */
const isMetric = process.env.DEMO === 'metric'
const FOLDER = join(ROOT, isMetric ? '.data/screenshots-metric' : 'docs/screenshots')

/** A Monday on which something is late: the plan begins now, whenever that is. */
const MORNING = new Date('2027-02-01T13:30:00Z')

/** Each: file name, address, and what is done before the picture. */
const SHOTS = [
  {
    name: 'today',
    path: '/today',
    now: MORNING,
    act: async (page) => {
      await page.locator('.next dd').first().waitFor()
      await page.getByText('Open the list to tick').waitFor()
    },
  },
  {
    name: 'week',
    path: '/week',
    now: MORNING,
    act: async (page) => {
      await page.locator('[data-block^="pressing-tray"]').click()
      await page.getByRole('button', { name: 'Split in two' }).waitFor()
    },
  },
  { name: 'fit', path: '/jobs/press-frame/fit' },
  {
    name: 'card',
    path: isMetric ? '/jobs/press-frame/card' : '/jobs/press-frame/card?set-up=bay-2-wire',
    act: (page) => page.getByRole('heading', { name: 'Set-up card' }).waitFor(),
  },
  {
    name: 'dial-in',
    path: isMetric ? '/jobs/press-frame/card?at=trial' : '/jobs/press-frame/card?set-up=bay-2-wire&at=trial',
    act: (page) => page.getByText('History of this weld').waitFor(),
  },
  { name: 'log', path: '/jobs/press-frame/log', act: (page) => page.getByText('yard door open').waitFor() },
  {
    name: 'learned',
    path: '/learned',
    act: (page) => page.getByText('than planned').first().waitFor(),
  },
  {
    name: 'change-over',
    path: '/change-over/bay-2-wire',
    act: (page) => page.getByText('Quicker changes').waitFor(),
  },
  { name: 'capacity', path: '/capacity/bay-2-wire' },
  { name: 'set-up', path: '/set-ups/platform-tried' },
  {
    name: 'board',
    path: '/board',
    act: async (page) => {
      // The columns are in their order once the whole board is worked out.
      await page.getByText('Cheapest: buy').waitFor()
      await page.getByRole('gridcell', { name: /^Press frame, Quillon 210, Bay 2/ }).click()
    },
  },
  {
    name: 'power',
    path: '/power?job=press-frame&set-up=marl-yard',
    act: (page) => page.getByRole('img', { name: /breaker trips/ }).waitFor(),
  },
  {
    name: 'power-shop',
    path: '/power/shop?at=press-frame.north-wall-wire,press-frame.marl-yard,pressing-tray.bench-tig-dc,press-frame.bay-3-spray,loader-fork.orchard-stick',
    dark: true,
    act: (page) => page.getByRole('heading', { name: /overloaded/ }).waitFor(),
  },
  {
    name: 'kit',
    path: '/buy',
    act: (page) => page.getByRole('heading', { name: 'Jobs done by purchase cost' }).waitFor(),
  },
  { name: 'jobs', path: '/jobs' },
  {
    name: 'job',
    path: '/jobs/press-screw-post',
    act: (page) => page.getByRole('textbox', { name: 'Size of weld 2' }).focus(),
  },
  {
    name: 'runs-out',
    path: '/stores/runs-out',
    act: (page) =>
      page
        .getByText(/ends at weld/)
        .first()
        .waitFor(),
  },
  {
    name: 'cost',
    path: '/jobs/press-frame/cost',
    act: (page) => page.getByText('9 runs of 10').waitFor(),
  },
]

/** Of the demo under IEC and EN ISO. */
const METRIC_SHOTS = [
  {
    name: 'fit-metric',
    path: '/jobs/press-frame/fit',
    act: (page) =>
      page
        .getByText('none fails')
        .or(page.getByText(/^(fits|tight)/))
        .first()
        .waitFor(),
  },
]

async function shoot(browser, address, { name, path, dark, now, act }) {
  const context = await browser.newContext({ viewport: SIZE, colorScheme: dark ? 'dark' : 'light' })
  const page = await context.newPage()
  if (isMetric) page.setDefaultTimeout(PATIENCE_MS)
  if (now) await page.clock.setFixedTime(now)
  await page.goto(new URL(path, address).href)
  await page.getByRole('heading', { level: 1 }).first().waitFor()
  // What is shown of the one demo by name need not be there in the other: then the page is taken as it stands.
  await act?.(page).catch((error) => {
    if (!isMetric) throw error
  })
  await page.waitForTimeout(900)
  await page.screenshot({ path: join(FOLDER, `${name}.png`) })
  await context.close()
}

const shots =
  (list) =>
  async ({ browser, address }) => {
    mkdirSync(FOLDER, { recursive: true })
    const only = process.argv.slice(2)
    for (const shot of list.filter(({ name }) => only.length === 0 || only.includes(name)))
      await shoot(browser, address, shot)
  }

try {
  await onStage(shots(SHOTS), { demo: isMetric ? 'metric' : true })
  if (!isMetric) await onStage(shots(METRIC_SHOTS), { demo: 'metric' })
} catch (error) {
  explain(error)
  process.exit(1)
}
