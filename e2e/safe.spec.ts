/** Nothing is lost, and nobody comes in who should not: as the owner lives it, with real key presses. */
import type { Job } from '@brannik/core'
import { readFile } from 'node:fs/promises'
import type { Page } from '@playwright/test'
import { pick } from './pick.ts'
import { expect, test } from './server.ts'

const PASSWORD = 'cider by the barrel'
const saved = (page: Page) => expect(page.getByRole('status').filter({ hasText: /^Saved/ })).toBeVisible()
const welds = (page: Page) => page.getByLabel('Welds', { exact: true })

/** As people do: select what is there, and type. */
async function type(page: Page, label: string, text: string): Promise<void> {
  const field = page.getByLabel(label, { exact: true })
  await field.click()
  await page.keyboard.press('Control+a')
  await field.pressSequentially(text)
  // What is typed is stored when the field is left.
  await page.keyboard.press('Tab')
}

async function signIn(page: Page, name: string, password = PASSWORD): Promise<void> {
  await page.getByLabel('Name').pressSequentially(name)
  await page.getByLabel('Password').pressSequentially(password)
  await page.keyboard.press('Enter')
}

test('two tabs with the server down keep both edits, and both are asked about', async ({
  context,
  server,
}) => {
  const [one, two] = [await context.newPage(), await context.newPage()]
  for (const page of [one, two]) {
    await page.goto(`${server.url}/jobs/press-frame/fit`)
    await expect(welds(page)).toHaveValue('24')
    await saved(page)
  }
  await server.kill()
  await type(one, 'Welds', '41')
  await type(two, 'Welds', '42')
  for (const page of [one, two])
    await expect(page.getByText('Not saved: the server does not respond')).toBeVisible()
  await one.reload().catch(() => undefined)
  await server.start()
  await one.goto(`${server.url}/jobs/press-frame/fit`)
  // Both ask again by themselves; whichever comes second is asked about.
  const second = async (): Promise<Page | null> => {
    for (const page of [one, two])
      if (await page.getByText('Changed in another place.').isVisible()) return page
    return null
  }
  await expect.poll(async () => (await second()) !== null, { timeout: 90_000 }).toBe(true)
  const later = (await second()) as Page
  const stored = async () => (await server.record<Job>('jobs/press-frame')).joints[0]?.count
  await expect(welds(one)).toHaveValue('41')
  await expect(welds(two)).toHaveValue('42')
  expect(await stored()).toBe(later === one ? 42 : 41)
  await later.getByRole('button', { name: 'Keep mine' }).click()
  await saved(later)
  expect(await stored()).toBe(later === one ? 41 : 42)
})

test('many tabs of one browser load, hear of each other, and hold one connection', async ({
  context,
  server,
}) => {
  const COUNT = process.env['TEST_LONG'] === '1' ? 20 : 8
  const pages: Page[] = []
  for (let count = 0; count < COUNT; count += 1) {
    const page = await context.newPage()
    await page.goto(`${server.url}/jobs/press-frame`)
    await expect(page.getByLabel('Pieces')).toHaveValue('4')
    pages.push(page)
  }
  await server.replace<Job>('jobs/press-frame', (job) => ({ ...job, quantity: 9 }))
  for (const page of pages) await expect(page.getByLabel('Pieces')).toHaveValue('9')
  // The first one is gone; the others go on hearing.
  await pages[0]?.close()
  await server.replace<Job>('jobs/press-frame', (job) => ({ ...job, quantity: 11 }))
  for (const page of pages.slice(1)) await expect(page.getByLabel('Pieces')).toHaveValue('11')
  await expect.poll(() => server.streams()).toBe(1)
})

test('another shop on the same address is shown, and what was typed for the one before is kept as a file', async ({
  context,
  home,
  server,
}) => {
  const page = await context.newPage()
  await page.goto(`${server.url}/jobs/press-frame/fit`)
  await expect(welds(page)).toHaveValue('24')
  await server.kill()
  await type(page, 'Welds', '43')
  await expect(page.getByText('Not saved: the server does not respond')).toBeVisible()
  // The demo anew: records of the same names and versions.
  await home.reset()
  const aside = page.getByRole('region', { name: 'Changes to another shop' })
  await expect(aside).toContainText('job Press frame')
  await expect(welds(page)).toHaveValue('24')
  await saved(page)
  expect((await server.record<Job>('jobs/press-frame')).joints[0]?.count).toBe(24)
  const downloading = page.waitForEvent('download')
  await aside.getByRole('button', { name: 'Save as a file' }).click()
  const file = JSON.parse(await readFile(await (await downloading).path(), 'utf8')) as {
    drafts: { draft: { record: Job } }[]
  }
  expect(file.drafts[0]?.draft.record.joints[0]?.count).toBe(43)
  await aside.getByRole('button', { name: 'Discard' }).click()
  await expect(aside).toBeHidden()
  await page.reload()
  await expect(welds(page)).toHaveValue('24')
  await expect(aside).toBeHidden()
})

test('what two closed tabs left is laid before whoever comes next, one after the other', async ({
  context,
  server,
}) => {
  const left = await Promise.all(
    ['51', '52'].map(async (count) => ({ count, page: await context.newPage() })),
  )
  for (const { page } of left) {
    await page.goto(`${server.url}/jobs/press-frame/fit`)
    await expect(welds(page)).toHaveValue('24')
    await page.route('**/api/jobs/press-frame', (route) => route.abort())
  }
  for (const { count, page } of left) {
    await type(page, 'Welds', count)
    await expect(page.getByText('Not saved:')).toBeVisible()
  }
  for (const { page } of left) await page.close()
  const next = await context.newPage()
  await next.goto(`${server.url}/jobs/press-frame/fit`)
  await expect(next.getByText('Changed in another place.')).toBeVisible()
  await expect(welds(next)).toHaveValue('52')
  expect((await server.record<Job>('jobs/press-frame')).joints[0]?.count).toBe(51)
  await next.getByRole('button', { name: 'Keep mine' }).click()
  await saved(next)
})

test('one job that cannot be computed says so in its row, opens, and is deleted; the others stand', async ({
  page,
  server,
}) => {
  await server.sql(
    `update record set version = version + 1, body = jsonb_set(body, '{joints,0,materialA}', '"unobtainium"') where kind = 'job' and id = 'press-frame'`,
  )
  await page.goto(`${server.url}/jobs`)
  const row = page.getByRole('row').filter({ hasText: 'Press frame' })
  await expect(row).toContainText('cannot be computed')
  await expect(page.getByRole('row').filter({ hasText: 'Tank manifold' })).toContainText('Fits')
  await row.getByRole('link', { name: 'Fit Press frame' }).click()
  await expect(page.getByRole('heading', { name: /cannot be (computed|shown)/ })).toBeVisible()
  await page.goto(`${server.url}/jobs/press-frame`)
  await expect(page.getByText(/cannot be (computed|shown)/).first()).toBeVisible()
  await page.goto(`${server.url}/jobs`)
  await page.getByRole('button', { name: 'Delete Press frame' }).click()
  await expect(row).toBeHidden()
  await expect.poll(async () => (await fetch(`${server.url}/api/jobs/press-frame`)).status).toBe(404)
})

test('a deleted job comes back, and an earlier version too', async ({ page, server }) => {
  await page.goto(`${server.url}/jobs/loader-fork/fit`)
  await saved(page)
  await type(page, 'Welds', '7')
  await saved(page)
  await expect.poll(async () => (await server.record<Job>('jobs/loader-fork')).joints[0]?.count).toBe(7)
  await page.getByRole('link', { name: 'Jobs' }).click()
  await page.getByRole('button', { name: 'Delete Loader fork repair' }).click()
  await expect.poll(async () => (await fetch(`${server.url}/api/jobs/loader-fork`)).status).toBe(404)

  await page.getByRole('link', { name: 'Shop', exact: true }).click()
  await page.getByRole('link', { name: 'Records and backup' }).click()
  await page.getByRole('tab', { name: 'Deleted' }).click()
  await page.getByRole('button', { name: 'Restore Loader fork repair' }).click()
  await expect(page.getByText('Nothing deleted.')).toBeVisible()
  await expect.poll(async () => (await fetch(`${server.url}/api/jobs/loader-fork`)).status).toBe(200)

  await page.goto(`${server.url}/jobs/loader-fork`)
  await page.getByRole('button', { name: 'More for this job' }).click()
  await page.getByText('Earlier versions').click()
  await page.getByRole('button', { name: /version 1 by the demo/ }).click()
  await expect(page.getByRole('row').filter({ hasText: 'number of welds' })).toContainText('7')
  await page.getByRole('button', { name: 'Restore this version' }).click()
  await expect.poll(async () => (await server.record<Job>('jobs/loader-fork')).joints[0]?.count).not.toBe(7)
})

test('the shop is backed up from the page, and its age stands beside what is saved', async ({
  page,
  server,
}) => {
  await page.goto(`${server.url}/jobs`)
  await page.getByRole('link', { name: 'No backup yet' }).click()
  await page.getByRole('button', { name: 'Back up now' }).click()
  await expect(page.getByRole('link', { name: 'Backed up just now' })).toBeVisible()
  const download = page.waitForEvent('download')
  await page.getByRole('link', { name: 'Download' }).click()
  expect((await download).suggestedFilename()).toMatch(/^brannik-.*-by-hand\.dump$/)
  await page.getByRole('tab', { name: 'Changes' }).click()
  await expect(page.getByRole('row').filter({ hasText: 'made a backup' })).toContainText('this machine')
})

test('a program gets its token once', async ({ page, server }) => {
  await page.goto(`${server.url}/people`)
  await page.getByRole('tab', { name: 'Other programs' }).click()
  await page.getByLabel('Program').pressSequentially('Stock counter')
  await page.getByRole('button', { name: 'Create token' }).click()
  const secret = await page.getByText(/^brannik_/).innerText()
  const ask = () => fetch(`${server.url}/api/jobs`, { headers: { Authorization: `Bearer ${secret}` } })
  expect((await ask()).status).toBe(200)
  await page.getByRole('button', { name: 'Revoke Stock counter' }).click()
  await expect(page.getByText('No tokens.')).toBeVisible()
  expect((await ask()).status).toBe(401)
})

test.describe('on the machine of the shop', () => {
  test.use({ settings: { THIS_MACHINE: 'link' } })

  test('a browser that has not opened the link of the start is told how, and is in with it', async ({
    page,
    server,
  }) => {
    await page.goto(`${server.url}/jobs`)
    await expect(page.getByRole('heading', { name: 'Open the link from the start' })).toBeVisible()
    await expect(page.getByText('Press frame')).toBeHidden()
    await expect(page.getByLabel('Password')).toBeHidden()
    await server.sql(`insert into machine_link (secret_hash) values (sha256('the-link'))`)
    await page.goto(`${server.url}/here/the-link`)
    await page.goto(`${server.url}/jobs`)
    await expect(page.getByRole('link', { name: 'Press frame', exact: true })).toBeVisible()
  })
})

test.describe('with sign-in', () => {
  test.use({ settings: { SIGN_IN: 'always' } })

  test('the owner makes accounts; a guest reads, and nothing of what they change is stored', async ({
    browser,
    stopped,
  }) => {
    await stopped.addAccount('Hazel', 'owner', PASSWORD)
    await stopped.start()
    const owner = await (await browser.newContext()).newPage()
    await owner.goto(`${stopped.url}/records`)
    await signIn(owner, 'Hazel', 'not the password')
    await expect(owner.getByRole('alert')).toContainText('do not belong together')
    await owner.getByLabel('Name').fill('')
    await signIn(owner, 'Hazel')
    await owner.getByRole('link', { name: 'People' }).click()
    await owner.getByRole('button', { name: 'Add account' }).click()
    await owner.getByLabel('Name').pressSequentially('Rowan')
    await owner.getByLabel(/^Password/).pressSequentially(PASSWORD)
    await pick(owner, 'Role', 'guest')
    await owner.getByRole('button', { name: 'Create account' }).click()
    await expect(owner.getByRole('row').filter({ hasText: 'Rowan' })).toBeVisible()

    const guest = await (await browser.newContext()).newPage()
    await guest.goto(`${stopped.url}/jobs`)
    await signIn(guest, 'Rowan')
    await guest.getByRole('button', { name: 'Delete Press frame' }).click()
    await expect(guest.getByText('Your role is guest')).toBeVisible()
    await expect(guest.getByRole('link', { name: 'Press frame', exact: true })).toBeVisible()
    await guest.getByRole('link', { name: 'Shop', exact: true }).click()
    await guest.getByRole('link', { name: 'Records and backup' }).click()
    await expect(guest.getByRole('link', { name: 'People' })).toBeHidden()

    await owner.getByRole('button', { name: 'Delete Rowan' }).click()
    await expect(owner.getByRole('row').filter({ hasText: 'Rowan' })).toBeHidden()
    await guest.reload()
    await expect(guest.getByRole('heading', { name: 'Sign in' })).toBeVisible()
  })

  test('what one typed and the server never got waits for them, and is never saved as somebody else’s', async ({
    page,
    stopped,
  }) => {
    for (const name of ['Hazel', 'Perry']) await stopped.addAccount(name, 'owner', PASSWORD)
    await stopped.start()
    await page.goto(`${stopped.url}/jobs/press-frame/fit`)
    await signIn(page, 'Hazel')
    await expect(welds(page)).toHaveValue('24')
    await page.route('**/api/jobs/press-frame', (route) => route.abort())
    await type(page, 'Welds', '44')
    await expect(page.getByText('Not saved:')).toBeVisible()
    await page.getByRole('button', { name: /Hazel/ }).click()
    await page.getByText('Sign out', { exact: true }).click()
    const asked = page.getByRole('dialog', { name: 'Not saved yet' })
    await expect(asked).toContainText('Press frame: not saved yet')
    await asked.getByRole('button', { name: 'Sign out' }).click()
    await page.unroute('**/api/jobs/press-frame')

    await signIn(page, 'Perry')
    await expect(welds(page)).toHaveValue('24')
    await saved(page)
    await page.getByRole('button', { name: /Perry/ }).click()
    await page.getByText('Sign out', { exact: true }).click()
    await signIn(page, 'Hazel')
    await expect(welds(page)).toHaveValue('44')
    await saved(page)
    await page.getByRole('link', { name: 'Shop', exact: true }).click()
    await page.getByRole('link', { name: 'Records and backup' }).click()
    await page.getByRole('tab', { name: 'Changes' }).click()
    await expect(page.getByRole('row').filter({ hasText: 'changed job press-frame' })).toContainText('Hazel')
  })

  test('a session that ends while somebody types loses nothing', async ({ page, stopped }) => {
    await stopped.addAccount('Hazel', 'owner', PASSWORD)
    await stopped.start()
    await page.goto(`${stopped.url}/jobs/press-frame/fit`)
    await signIn(page, 'Hazel')
    await expect(welds(page)).toHaveValue('24')
    await expect(page.getByRole('link', { name: 'No backup yet' })).toBeVisible()
    await stopped.sql('delete from session')
    await type(page, 'Welds', '33')
    await expect(page.getByRole('heading', { name: 'Sign in' })).toBeVisible()
    await signIn(page, 'Hazel')
    await expect(welds(page)).toHaveValue('33')
    await saved(page)
    await page.getByRole('button', { name: /Hazel/ }).click()
    await page.getByText('Sign out everywhere').click()
    await expect(page.getByRole('heading', { name: 'Sign in' })).toBeVisible()
  })
})
