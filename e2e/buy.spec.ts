/** Buy: the cheapest kit and its proof, what could do a job, what a machine must do, and decisions that are held against today. */
import { readFile } from 'node:fs/promises'
import type { Decision, Job, PowerSource, RequirementSheet } from '@brannik/core'
import { expect, test } from './server.ts'

test('the kit is an outlet, not the machine that does it all; jobs and money change it', async ({
  page,
  server,
}) => {
  await page.goto(`${server.url}/buy`)
  const answer = page.getByRole('region', { name: /^Buy / })
  await expect(answer.getByRole('heading', { level: 2 }).first()).toContainText('Bay 1 rewired, 240 V 100 A')
  await expect(answer.getByRole('heading', { level: 2 }).first()).not.toContainText('Sorrel')
  await expect(answer).toContainText('Proven optimal: no cheaper purchase plan exists among all combinations')
  await expect(answer.getByRole('row', { name: /^Bay 1 rewired/ })).toContainText('$890')
  await expect(answer.getByRole('heading', { name: 'Next best' })).toBeVisible()
  // Without its job the outlet is worth nothing.
  await page.getByLabel('Hoist beam, aluminium', { exact: true }).uncheck()
  await expect(page.getByRole('heading', { name: /^Buy (?!Bay 1)/, level: 2 })).toBeVisible()
  await expect(page.getByRole('heading', { name: 'One job more' })).toBeVisible()
  await page.getByLabel('Hoist beam, aluminium', { exact: true }).check()
  const budget = page.getByLabel('Spending limit, USD')
  await budget.pressSequentially('500')
  await budget.press('Tab')
  await expect(page.getByText('Not done for this money: Hoist beam, aluminium')).toBeVisible()
})

test('with a limit to spend, what a run brings in is typed and kept', async ({ page, server }) => {
  await page.goto(`${server.url}/buy`)
  await expect(page.getByText('Proven optimal: no cheaper')).toBeVisible()
  // Two jobs are left to choose between.
  for (const name of [
    'Loader fork repair',
    'Press frame',
    'Press screw post',
    'Pressing tray',
    'Tank manifold',
  ])
    await page.getByLabel(name, { exact: true }).uncheck()
  const budget = page.getByLabel('Spending limit, USD')
  await budget.pressSequentially('1300')
  await budget.press('Tab')
  const worth = page.getByLabel('Revenue per run, USD: Hoist beam, aluminium')
  await worth.pressSequentially('2000')
  await worth.press('Tab')
  await expect.poll(async () => (await server.record<Job>('jobs/hoist-beam')).worthPerRun).toBe(2000)
  await expect(page.getByText('Proven optimal: no cheaper')).toBeVisible()
  await expect(page.getByText(/counted for/)).toBeVisible()
})

test('how often a job comes decides what pays', async ({ page, server }) => {
  await page.goto(`${server.url}/buy`)
  await expect(page.getByText('Proven optimal: no cheaper')).toBeVisible()
  const times = page.getByLabel('Times a year: Picking platform')
  await times.press('Control+a')
  await times.pressSequentially('0.1')
  await times.press('Tab')
  // A spool gun does not pay for a platform every ten years.
  await expect(page.getByRole('row', { name: /^Dray spool gun/ })).toBeHidden()
  await expect.poll(async () => (await server.record<Job>('jobs/picking-platform')).timesPerYear).toBe(0.1)
})

test('what could do a job is taken, with its set-up written down', async ({ page, server }) => {
  await page.goto(`${server.url}/buy/could?job=hoist-beam`)
  await expect(page.getByRole('heading', { name: /^Buy / })).toContainText('Bay 1 rewired')
  // The hoist beam is the only one that needs something bought.
  await expect(page.getByTestId('doable')).toContainText(
    'Of 8 jobs, 7 can be done with what you own, 8 with purchases.',
  )
  const row = page.getByRole('row', { name: /Sloe 310, from an auction, 3\/32 ER4043/ })
  await row.getByRole('button', { name: /^Use/ }).click()
  await expect(row.getByRole('button', { name: /^Use/ })).toHaveText('In use')
  await expect.poll(async () => (await server.record<Job>('jobs/hoist-beam')).setUpId).toMatch(/sloe-310/)
  await page.getByLabel('Job').press('Control+a')
  await page.getByLabel('Job').pressSequentially('Pressing')
  await page.getByRole('option', { name: 'Pressing tray' }).click()
  await expect(page.getByRole('heading', { name: /^What you own does it/ })).toBeVisible()
})

test('requirements rank the machines, live with the weights, and come of the jobs', async ({
  page,
  server,
}) => {
  await page.goto(`${server.url}/buy/requirements`)
  const ranking = page.getByRole('region', { name: 'Ranking' })
  const first = ranking.getByRole('listitem').first()
  await expect(first).toContainText('Fen 300, second-hand')
  await expect(first).toContainText('×')
  await expect(ranking).toContainText('How sure is the ranking?')
  // Service and quiet count for all, the price for nothing: then the new one leads.
  const price = page.getByRole('slider', { name: /^Weight of Price/ })
  await price.focus()
  for (let step = 0; step < 20; step += 1) await page.keyboard.press('ArrowLeft')
  await expect(first).not.toContainText('Fen 300, second-hand')
  await expect
    .poll(
      async () =>
        (await server.record<RequirementSheet>('requirement-sheets/next-tig-machine')).requirements.find(
          ({ what }) => what === 'price',
        )?.weight,
    )
    .toBe(0)
  await page.getByRole('button', { name: 'Suggest limits' }).click()
  await expect
    .poll(
      async () =>
        (await server.record<RequirementSheet>('requirement-sheets/next-tig-machine')).requirements.find(
          ({ what }) => what === 'weight',
        )?.worst,
    )
    .toBeGreaterThan(0)
  await page.getByLabel('Add').click()
  await page.keyboard.type('Pulse')
  await page.keyboard.press('ArrowDown')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('listitem').filter({ hasText: 'Pulse' })).toHaveCount(1)
  await page.getByRole('button', { name: 'Fill in from 7 planned jobs' }).click()
  await expect(page.getByRole('listitem').filter({ hasText: 'outdoors: Loader fork repair' })).toHaveCount(1)
  await expect(page.getByRole('region', { name: 'Ranking' })).toContainText('does not do')
})

test('a decision is written down, read as a page, and told when it no longer holds', async ({
  page,
  server,
}) => {
  await page.goto(`${server.url}/buy/could?job=hoist-beam`)
  await page
    .getByRole('row', { name: /Sloe 310, from an auction, 3\/32 ER4043/ })
    .getByRole('button', { name: /^Decide/ })
    .click()
  await page.getByLabel('Note: reasons and alternatives').pressSequentially('The outlet serves what we have.')
  await page.getByRole('button', { name: 'Save decision' }).click()
  await expect(page.getByText('Still holds. Nothing has changed since')).toBeVisible()
  await expect(page.getByText('The outlet serves what we have.')).toBeVisible()
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'PDF' }).click(),
  ])
  expect((await readFile(await file.path())).subarray(0, 5).toString()).toBe('%PDF-')
  const id = new URL(page.url()).pathname.split('/').at(-1) ?? ''
  await expect
    .poll(async () => (await server.record<Decision | undefined>(`decisions/${id}`))?.taken)
    .toMatchObject([{ jobId: 'hoist-beam', verdict: 'tight' }])
  // The plate is read again, and gives less.
  const sloe = await server.record<PowerSource>('power-sources/sloe-310')
  const [process] = sloe.processes
  const changed = {
    ...sloe,
    processes: [
      {
        ...process,
        supplies: process?.supplies.map((supply) => ({
          ...supply,
          outputMaxA: 150,
          ratedPoints: [{ currentA: 150, dutyPct: 30, loadV: null }],
        })),
      },
    ],
  }
  await server.replace('power-sources/sloe-310', () => changed)
  await expect(page.getByText('No longer holds')).toBeVisible()
  await expect(page.getByText(/maximum output 310 A → 150 A/)).toBeVisible()
})
