/** From morning to evening of one day of the demo, with real keys and by pointer: on a laptop, a tablet and a phone. */
import type { Welder, WorkPlan } from '@brannik/core'
import type { Page } from '@playwright/test'
import { expect, test } from './server.ts'

const SIZES = [
  { name: 'laptop', size: { width: 1280, height: 800 } },
  { name: 'tablet', size: { width: 820, height: 1180 } },
  { name: 'phone', size: { width: 390, height: 844 } },
] as const
/** Half past eight on a Monday, by the shop's clock. */
const MORNING = new Date('2027-02-01T13:30:00Z')

const open = async (page: Page, url: string): Promise<void> => {
  await page.clock.setFixedTime(MORNING)
  await page.goto(url)
}
const nextOf = (page: Page) => page.locator('.next')

for (const { name, size } of SIZES)
  test(`a day is worked through on a ${name}`, async ({ page, server }) => {
    await page.setViewportSize(size)
    await open(page, `${server.url}/`)
    await expect(page).toHaveURL(/\/today$/)
    await expect(page.getByRole('heading', { level: 1, name: 'Today' })).toBeVisible()
    // The late one first, with what is on its machine.
    await expect(nextOf(page).getByRole('heading', { name: 'Tank manifold' })).toBeVisible()
    await expect(nextOf(page)).toContainText('On the machine now: Bench TIG, DC')
    await expect(nextOf(page).getByRole('link', { name: /^Change over · / })).toBeVisible()
    await expect(page.getByRole('region', { name: 'In the way' })).toContainText('Hoist beam, aluminium')

    await nextOf(page).getByRole('button', { name: 'Start' }).click()
    await expect(nextOf(page)).toContainText('Running')
    await nextOf(page).getByRole('button', { name: 'Pause' }).press('Enter')
    await expect(nextOf(page)).toContainText('Paused')
    await nextOf(page).getByRole('button', { name: 'Resume' }).press('Enter')

    // Something breaks meanwhile.
    await page.getByRole('button', { name: 'Something broke' }).click()
    const broke = page.getByRole('dialog', { name: 'Something broke' })
    await broke.getByLabel('What has to be done now').pressSequentially('Loader')
    await page.getByRole('option', { name: /Loader fork repair/ }).click()
    await broke.getByRole('button', { name: 'Do it there' }).first().click()
    await expect(broke).toBeHidden()

    // Done, with two numbers.
    await page.getByRole('button', { name: /^Sedge 200/ }).click()
    await expect(nextOf(page).getByRole('heading', { name: 'Tank manifold' })).toBeVisible()
    await nextOf(page).getByRole('button', { name: 'Done' }).click()
    const done = page.getByRole('dialog', { name: 'Done: Tank manifold' })
    const minutes = done.getByLabel('Minutes, without pauses')
    await minutes.press('ControlOrMeta+a')
    await minutes.pressSequentially('120')
    await done.getByRole('button', { name: 'Save as done' }).click()
    await expect(page.getByRole('region', { name: 'Done', exact: true })).toContainText(
      'Tank manifold: 2 h, planned',
    )
    await page.reload()
    await expect(page.getByRole('region', { name: 'Done', exact: true })).toContainText(
      'Tank manifold: 2 h, planned',
    )
    await expect(page.locator('.today')).not.toContainText('1 late')
    // Nothing hangs over the side.
    expect(await page.evaluate(() => document.documentElement.scrollWidth - innerWidth)).toBeLessThanOrEqual(
      0,
    )
    // What worked is written down while it is fresh.
    await page.getByRole('link', { name: 'Log the settings: Tank manifold' }).click()
    await expect(page).toHaveURL(/\/jobs\/tank-manifold\/log$/)
  })

for (const early of ['', 'Loader'])
  test(`a list that was pressed before it was there opens late, with “${early}” that was typed meanwhile`, async ({
    page,
    server,
  }) => {
    await open(page, `${server.url}/today`)
    await expect(nextOf(page).getByRole('heading', { name: 'Tank manifold' })).toBeVisible()
    let release = (): void => undefined
    const held = new Promise<void>((resolve) => (release = resolve))
    await page.route('**/*.js', async (route) => {
      const response = await route.fetch()
      // The dialog comes, its list does not.
      if ((await response.text()).includes('v-autocomplete')) await held
      await route.fulfill({ response })
    })
    await page.getByRole('button', { name: 'Something broke' }).click()
    const field = page.getByRole('dialog', { name: 'Something broke' }).getByLabel('What has to be done now')
    await field.click()
    await page.keyboard.type(early)
    await expect(field).toHaveValue(early)
    await expect(page.getByRole('listbox')).toHaveCount(0)
    release()
    await expect(page.getByRole('option').filter({ hasText: 'Loader fork repair' })).toBeVisible()
    // Typed on, at its end.
    await page.keyboard.type('Loader fork'.slice(early.length))
    await expect(page.getByRole('option')).toHaveText([/Loader fork repair/])
    await page.keyboard.press('Enter')
    await expect(field).toHaveValue(/^Loader fork repair/)
  })

test('a job is moved by pointer and by keys, pinned, split, and all of it undone', async ({
  page,
  server,
}) => {
  await open(page, `${server.url}/week`)
  const block = page.locator('[data-block^="pressing-tray"]')
  await expect(block).toBeVisible()
  const before = await block.boundingBox()
  if (!before) throw new Error('the block is not drawn')
  await page.mouse.move(before.x + before.width / 2, before.y + before.height / 2)
  await page.mouse.down()
  await page.mouse.move(before.x + 250, before.y + before.height / 2, { steps: 6 })
  await page.mouse.up()
  await expect(block).toHaveAttribute('title', /pinned/)
  const after = await block.boundingBox()
  expect(after?.x).toBeGreaterThan(before.x + 150)

  await block.focus()
  const label = await block.getAttribute('title')
  await page.keyboard.press('Shift+ArrowRight')
  await expect(block).not.toHaveAttribute('title', label ?? '')
  await block.focus()
  await page.keyboard.press('p')
  await expect(block).not.toHaveAttribute('title', /pinned/)

  await block.click()
  const panel = page.getByRole('region', { name: 'Chosen job' })
  await panel.getByRole('button', { name: 'Split in two' }).click()
  await expect(page.locator('[data-block^="pressing-tray"]')).toHaveCount(2)
  await page.keyboard.press('ControlOrMeta+z')
  await expect(page.locator('[data-block^="pressing-tray"]')).toHaveCount(1)

  const start = panel.getByLabel('Start')
  await start.press('ControlOrMeta+a')
  await start.pressSequentially('yesterday')
  await start.press('Tab')
  await expect(panel).toContainText('is not a day and a time')
  await start.press('ControlOrMeta+a')
  await start.pressSequentially('Feb 3 9:45')
  await start.press('Tab')
  await expect(block).toHaveAttribute('title', /Wed, Feb 3.* 9:45/)
})

/** What is late is kept after two that have time. */
const LATE_LAST = [
  { jobId: 'pressing-tray', run: '2027-03-12', setUpId: 'bench-tig-dc', startsAt: '2027-02-01T08:30' },
  { jobId: 'picking-platform', run: '2027-04-02', setUpId: 'bench-tig-ac', startsAt: '2027-02-01T10:00' },
  { jobId: 'tank-manifold', run: '2027-01-22', setUpId: 'bench-tig-316', startsAt: '2027-02-01T12:30' },
].map((block) => ({
  ...block,
  part: 1,
  sharePct: 100,
  welderId: 'rowan',
  endsAt: block.startsAt,
  isPinned: false,
}))

test('a better plan is sought, offered, and kept only by a press', async ({ page, server }) => {
  await server.replace<WorkPlan>('work-plans/plan', (plan) => ({ ...plan, blocks: LATE_LAST }))
  await open(page, `${server.url}/week`)
  const late = page.locator('[data-block^="tank-manifold"]')
  await expect(late).toHaveAttribute('title', /Mon, Feb 1 12:02/)
  await page.getByRole('button', { name: 'Find a better plan' }).click()
  await expect(page.getByText(/Work with changeovers is at most/)).toBeVisible()
  // Nothing is imposed.
  await expect(late).toHaveAttribute('title', /Mon, Feb 1 12:02/)
  await page.getByRole('button', { name: 'Keep this plan' }).click()
  await expect(late).toHaveAttribute('title', /Mon, Feb 1 8/)
  await expect(page.getByRole('button', { name: 'Undo' }).first()).toBeVisible()
  await page.getByRole('button', { name: 'Try the plan on the breakers' }).click()
  await expect(page.getByText(/No breaker trips|trips /).first()).toBeVisible()
  const ics = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Export' }).click()
  await page.getByText('Calendar (iCalendar)').click()
  expect((await ics).suggestedFilename()).toBe('plan.ics')
})

test('where nobody has hours, Today and the week say so, and lead to the hours', async ({ page, server }) => {
  for (const id of ['rowan', 'hazel'])
    await server.replace<Welder>(`welders/${id}`, (welder) => ({
      ...welder,
      awayFrom: '2026-01-01',
      awayUntil: '2029-12-31',
    }))
  await open(page, `${server.url}/today`)
  await expect(nextOf(page)).toContainText('done never')
  await expect(page.getByRole('region', { name: 'In the way' })).toContainText(
    'No welder has enough hours for',
  )
  await page.goto(`${server.url}/week`)
  await expect(page.getByText('No welder has enough hours for Press frame.')).toBeVisible()
  await expect(page.locator('[data-block]')).toHaveCount(0)
})

test('away from the network the last plan stays, and says so', async ({ page, context, server }) => {
  await open(page, `${server.url}/today`)
  await expect(nextOf(page).getByRole('heading', { name: 'Tank manifold' })).toBeVisible()
  await context.setOffline(true)
  await nextOf(page).getByRole('button', { name: 'Start' }).click()
  await expect(nextOf(page)).toContainText('Running')
  await expect(page.locator('.today')).toContainText('What you press is sent later')
  await context.setOffline(false)
  await expect(page.locator('.today')).not.toContainText('What you press is sent later')
  await page.reload()
  await expect(nextOf(page)).toContainText('Running')
})
