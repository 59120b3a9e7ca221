/** `npm run shots`: the pictures of docs/screenshots, taken of the demo shop on a database of their own. */
import { mkdirSync } from 'node:fs'
import { join } from 'node:path'
import { explain, ROOT } from './lib/run.mjs'
import { onStage } from './lib/stage.mjs'

const SIZE = { width: 1280, height: 800 }
const FOLDER = join(ROOT, 'docs/screenshots')

/** As a shop writes it, with two rows that cannot enter. */
const WELD_LIST = `Qty,Weld length [in],joint,thk (in),material,leg (in),Remarks
24,8,T,1/4,steel,3/16,uprights
8,six,lap,14 ga,steel,1/16,
4,12,V,3/8,steel,,base seam
2,4,T,2 ga,304,1/8,drip tray
16,3,outside corner,3/16,steel,1/8,
`

/** Each: file name, address, and what is done before the picture. */
const SHOTS = [
  { name: 'fit', path: '/fit/press-frame' },
  { name: 'fit-dark', path: '/fit/press-frame', dark: true },
  { name: 'fit-tig', path: '/fit/pressing-tray' },
  {
    name: 'working',
    path: '/fit/press-frame',
    act: (page) => page.getByTestId('finding-source-duty').click(),
  },
  { name: 'equipment', path: '/equipment/power-sources/quillon-210' },
  {
    name: 'library',
    path: '/equipment/wires',
    act: async (page) => {
      await page.getByRole('button', { name: 'From the library' }).click()
      await page.getByLabel('Search the library').fill('5356')
    },
  },
  { name: 'set-up', path: '/set-ups/platform-tried' },
  {
    name: 'choices',
    path: '/set-ups/bay-2-wire',
    act: (page) => page.locator('[data-slot=wire]').click(),
  },
  { name: 'set-up-tig', path: '/set-ups/osier-tig', dark: true },
  { name: 'jobs', path: '/jobs' },
  {
    name: 'job',
    path: '/jobs/press-screw-post',
    act: (page) => page.getByRole('textbox', { name: 'Size of weld 2' }).focus(),
  },
  {
    name: 'order',
    path: '/jobs/tank-manifold',
    act: (page) => page.getByRole('tab', { name: 'Order and times' }).click(),
  },
  {
    name: 'import',
    path: '/jobs/press-frame',
    act: async (page) => {
      await page.getByRole('button', { name: 'Import and export' }).click()
      await page.getByText('Import a weld list').click()
      await page.getByRole('textbox', { name: 'Or paste rows here' }).fill(WELD_LIST)
    },
  },
  { name: 'shop', path: '/shop' },
  {
    name: 'earlier',
    path: '/fit/press-frame',
    act: async (page) => {
      await page.getByLabel('Welds', { exact: true }).fill('32')
      await page.waitForTimeout(1200)
      await page.getByRole('link', { name: 'Press frame' }).first().click()
      await page.getByRole('button', { name: 'More' }).click()
      await page.getByText('Earlier versions').click()
      await page.getByRole('button', { name: /version 1 by/ }).click()
      await page.getByRole('cell').first().waitFor()
    },
  },
  {
    name: 'records',
    path: '/jobs',
    act: async (page) => {
      await page.getByRole('button', { name: 'Copy Loader fork repair' }).click()
      await page.waitForTimeout(900)
      await page.getByRole('button', { name: 'Delete Loader fork repair, copy' }).click()
      await page.waitForTimeout(900)
      await page.getByRole('link', { name: 'Records' }).click()
      await page.getByRole('button', { name: 'Back up now' }).click()
      await page.getByRole('link', { name: 'Backed up just now' }).waitFor()
      await page.getByRole('tab', { name: 'What was done' }).click()
      await page.getByText('made a backup').waitFor()
      await page.waitForTimeout(5500)
    },
  },
]

async function shoot(browser, address, { name, path, dark, act }) {
  const context = await browser.newContext({ viewport: SIZE, colorScheme: dark ? 'dark' : 'light' })
  const page = await context.newPage()
  await page.goto(new URL(path, address).href)
  await page.getByRole('heading', { level: 1 }).first().waitFor()
  await act?.(page)
  await page.waitForTimeout(300)
  await page.screenshot({ path: join(FOLDER, `${name}.png`) })
  await context.close()
}

async function shots({ browser, address }) {
  mkdirSync(FOLDER, { recursive: true })
  const only = process.argv.slice(2)
  for (const shot of SHOTS.filter(({ name }) => only.length === 0 || only.includes(name)))
    await shoot(browser, address, shot)
}

onStage(shots).catch((error) => {
  explain(error)
  process.exit(1)
})
