/** Without the server: views load as they were last fetched, what is changed waits, and nothing kept outlives a sign-out. */
import type { Job } from '@brannik/core'
import type { Page } from '@playwright/test'
import { enter } from './enter.ts'
import { untilKept } from './kept.ts'
import { expect, type Server, test } from './server.ts'

test.use({ serviceWorkers: 'allow' })

async function openAndKeep(page: Page, server: Server): Promise<void> {
  await page.goto(`${server.url}/jobs/press-frame/fit`)
  await expect(page.locator('main .headline')).toBeVisible()
  await untilKept(page)
}

test('the shop is there without its server, says so, and what is changed is stored once it is back', async ({
  page,
  server,
}) => {
  await openAndKeep(page, server)
  const headline = (await page.locator('main .headline').textContent()) ?? ''
  await server.kill()
  await page.reload()
  await expect(page.locator('main .headline')).toHaveText(headline)
  await expect(page.getByText(/Offline: the shop as of \d{1,2}:\d\d\s[AP]M/)).toBeVisible()
  // A view that was never open loads as well.
  await page.goto(`${server.url}/jobs/tank-manifold`)
  const pieces = page.getByLabel('Pieces')
  await enter(pieces, '6')
  await pieces.press('Tab')
  await expect(page.getByText('Not saved: the server does not respond')).toBeVisible()
  await server.start()
  await expect(page.getByText(/^Saved/)).toBeVisible()
  expect((await server.record<Job>('jobs/tank-manifold')).quantity).toBe(6)
  await expect(page.getByText(/Offline/)).toBeHidden()
})

test('what was changed elsewhere meanwhile shows once the server is back', async ({ page, server }) => {
  await openAndKeep(page, server)
  await server.kill()
  await page.reload()
  await expect(page.getByText(/Offline/)).toBeVisible()
  await server.sql(
    `update record set body = jsonb_set(body, '{name}', '"Press frame, the tall one"'), version = version + 1
     where kind = 'job' and id = 'press-frame'`,
  )
  await server.start()
  await expect(page.getByText('Press frame, the tall one').first()).toBeVisible()
})

test.describe('where people sign in', () => {
  test.use({ settings: { SIGN_IN: 'always' } })

  test('nothing that is kept outlives a sign-out', async ({ page, stopped }) => {
    await stopped.addAccount('Hazel', 'owner', 'cider by the barrel')
    await stopped.start()
    await page.goto(stopped.url)
    await page.getByLabel('Name').pressSequentially('Hazel')
    await page.getByLabel('Password').pressSequentially('cider by the barrel')
    await page.keyboard.press('Enter')
    await expect(page.getByRole('heading', { name: 'Sign in' })).toBeHidden()
    await openAndKeep(page, stopped)
    await page.getByRole('button', { name: /Hazel/ }).click()
    await page.getByText('Sign out everywhere').click()
    await expect(page.getByRole('heading', { name: 'Sign in' })).toBeVisible()
    const kept = () =>
      page.evaluate(async () => (await caches.keys()).filter((one) => one.startsWith('shop')))
    await expect.poll(kept).toEqual([])
    await stopped.kill()
    await page.reload()
    await expect(page.getByText('The shop cannot be loaded')).toBeVisible()
  })
})
