/** The shelf: plates typed in, parts imported, set-ups put together, and all of it smooth with two thousand things. */
import { readFile } from 'node:fs/promises'
import type { PowerSource, SetUp, Shelf, StockItem } from '@brannik/core'
import type { Page } from '@playwright/test'
import { largeCatalogue } from '../core/src/testing/largeShelf.ts'
import { enter } from './enter.ts'
import { expect, type Server, test } from './server.ts'

const saved = (page: Page) => expect(page.getByRole('status').filter({ hasText: /^Saved/ })).toBeVisible()
const openList = async (page: Page, server: Server, path: string) => {
  await page.goto(`${server.url}/equipment/${path}`)
  await expect(page.getByRole('link', { name: 'Equipment', exact: true })).toBeVisible()
}
const openSetUp = async (page: Page, server: Server, id: string) => {
  await page.goto(`${server.url}/set-ups/${id}`)
  await expect(page.locator('[data-slot=powerSource]')).toBeVisible()
}
const name = (page: Page) => page.getByRole('textbox', { name: 'Name', exact: true })

test('a power source is typed in from its plate; what is half typed survives a reload', async ({
  page,
  server,
}) => {
  await openList(page, server, 'power-sources')
  await page.getByRole('button', { name: 'Empty plate' }).click()
  await enter(name(page), 'Reed 180')
  await enter(page.getByLabel('Supply voltage, column 1'), '120')
  await enter(page.getByLabel('Minimum output at 120 V'), '20')
  await enter(page.getByLabel('Maximum output at 120 V'), '110')
  await enter(page.getByLabel('Duty of point 1 at 120 V'), '25')
  await expect(page.getByText('Not saved yet.')).toBeVisible()
  await expect(page.getByText(/Current \(process 1, column 1, rated point 1\)/)).toBeVisible()

  await page.reload()
  await expect(name(page)).toHaveValue('Reed 180')
  await expect(page.getByLabel('Maximum output at 120 V')).toHaveValue('110')
  await enter(page.getByLabel('Current of point 1 at 120 V'), '100')
  await expect(page.getByText('Not saved yet.')).toBeHidden()
  await saved(page)
  const stored = await server.record<PowerSource>('power-sources/power-source')
  expect(stored).toMatchObject({
    name: 'Reed 180',
    processes: [
      { family: 'gmaw', supplies: [{ voltageV: 120, ratedPoints: [{ currentA: 100, dutyPct: 25 }] }] },
    ],
  })
})

test('what cannot stand on a plate is told with its figures, kept as typed and not stored', async ({
  page,
  server,
}) => {
  await openList(page, server, 'power-sources/marl-140')
  const duty = page.getByLabel('Duty of point 1 at 120 V').first()
  const least = page.getByLabel('Minimum output at 120 V').first()
  await enter(duty, '130')
  await expect(page.getByText(/“130” is not a valid number.*1 to 100/).first()).toBeVisible()
  await enter(least, '300')
  await expect(
    page.getByText('is 300 A, above the greatest of 140 A. Swap or correct them').first(),
  ).toBeVisible()
  await enter(page.getByLabel('Duty of point 2 at 120 V').first(), '10')
  await enter(duty, '20')
  await expect(page.getByText(/Duty must fall as current rises/).first()).toBeVisible()
  await page.reload()
  await expect(least).toHaveValue('300')
  expect(
    (await server.record<PowerSource>('power-sources/marl-140')).processes[0]?.supplies[0]?.outputMinA,
  ).toBe(30)
  await page.getByRole('button', { name: 'Discard changes' }).click()
  await expect(least).toHaveValue('30')
})

test('a plate that would need an efficiency above 1 is said to be wrong, kept, and never counts as fitting', async ({
  page,
  server,
}) => {
  await openList(page, server, 'power-sources/quillon-210')
  await enter(page.getByLabel('I₁max at 240 V').first(), '12')
  await expect(
    page.getByText(/5,145 W out \(210 A at 24.5 V\) from 2,880 VA in \(12 A at 240 V\) is 1.786/),
  ).toBeVisible()
  await saved(page)
  expect(
    (await server.record<PowerSource>('power-sources/quillon-210')).processes[0]?.supplies[0]?.i1MaxA,
  ).toBe(12)
  // The press frame in bay 2 hangs on that figure.
  await server.replace('jobs/press-frame', (job: object) => ({ ...job, setUpId: 'bay-2-wire' }))
  await page.goto(`${server.url}/jobs/press-frame/fit`)
  await expect(
    page.getByRole('row').filter({ has: page.getByTestId('finding-breaker-holds') }),
  ).toContainText('Unknown')
})

test('the set-up that was tried shows each rule it breaks, and parts of the shelf mend it one by one', async ({
  page,
  server,
}) => {
  await openSetUp(page, server, 'platform-tried')
  await expect(page.getByText('Parts do not fit:')).toBeVisible()
  const rule = (id: string) => page.locator(`[data-rule=${id}]`)
  await expect(rule('roll-groove')).toContainText('needs a U groove, not smooth V')
  await rule('gas-for-metal').getByRole('button', { name: 'Argon' }).click()
  await expect(rule('gas-for-metal')).toBeHidden()
  await rule('aluminium-path')
    .getByRole('button', { name: /spool gun/ })
    .click()
  await expect(rule('liner-material')).toBeHidden()
  await expect(page.locator('[data-slot=roll]')).toBeHidden()
  await rule('tip-bore')
    .getByRole('button', { name: /Tip 0.040/ })
    .click()
  await expect(page.getByText('Parts fit.')).toBeVisible()
  await saved(page)
  expect(await server.record<SetUp>('set-ups/platform-tried')).toMatchObject({
    gasId: 'argon',
    gunId: 'dray-spool',
    rollId: null,
    linerId: null,
    tipId: 'tip-medium-0040',
  })
  await page.keyboard.press('Control+z')
  await expect(rule('tip-bore')).toBeVisible()
})

test('choices stand in the order of what fits; a greyed one says why, and yields just that when it is taken', async ({
  page,
  server,
}) => {
  await openSetUp(page, server, 'bay-2-wire')
  await page.locator('[data-slot=gas]').click()
  const offers = page.locator('[data-offer]')
  await expect(offers.first()).toHaveAttribute('data-offer', 'mix-75-25')
  const argon = page.locator('[data-offer=argon]')
  await expect(argon).toHaveClass(/grey/)
  await expect(argon).toContainText('The arc wanders on steel in inert gas')
  await argon.click()
  await page.getByRole('button', { name: 'Back to the checks' }).click()
  await expect(page.locator('[data-rule=gas-for-metal]')).toContainText(
    'The arc wanders on steel in inert gas',
  )
})

test('a rule opens with its working and source, and small parts follow the wire', async ({
  page,
  server,
}) => {
  await openSetUp(page, server, 'bay-2-wire')
  await page.getByRole('button', { name: 'Wire feed speed' }).click()
  const working = page.getByRole('complementary', { name: /Calculation/ })
  await expect(working).toContainText('60·(α·I + β·L·I²)')
  await expect(working).toContainText('AWS Welding Handbook')
  await page.keyboard.press('Escape')
  await page.locator('[data-slot=wire]').click()
  await page.getByLabel('Search the choices').fill('0.030 ER70S-6')
  await page.locator('[data-offer=er70s6-030]').click()
  // The 0.035 groove serves 0.030 wire too; the tip does not.
  await expect(page.getByText('Also changed: contact tip')).toBeVisible()
  await saved(page)
  expect(await server.record<SetUp>('set-ups/bay-2-wire')).toMatchObject({
    rollId: 'roll-quillon-v-smooth-0035',
    tipId: 'tip-medium-0030',
  })
})

test('a new set-up is put together from the shelf by keyboard', async ({ page, server }) => {
  await openSetUp(page, server, 'bay-2-wire')
  await page.getByRole('button', { name: 'New set-up' }).focus()
  await page.keyboard.press('Enter')
  await page.getByText('TIG, AC', { exact: true }).last().focus()
  await page.keyboard.press('ArrowUp')
  await page.keyboard.press('ArrowDown')
  await page.getByText('TIG, AC', { exact: true }).last().click()
  await expect(page.getByText(/^Parts fit/)).toBeVisible()
  await expect(page).toHaveURL(/set-ups\/tig-ac-sedge-200/)
  await saved(page)
  const made = await server.record<SetUp>('set-ups/tig-ac-sedge-200')
  expect(made).toMatchObject({ process: 'gtaw-ac', polarity: 'ac', powerSourceId: 'sedge-200' })
  for (const key of [
    'colletId',
    'colletBodyId',
    'cupId',
    'backCapId',
    'flowMeterId',
    'tungstenId',
  ] as const) {
    expect(made[key], key).not.toBeNull()
  }
})

test('what is counted on the shelf is stored beside the wire, seen in another tab, and undone', async ({
  page,
  context,
  server,
}) => {
  await openList(page, server, 'wires/er70s6-035')
  const other = await context.newPage()
  await openList(other, server, 'wires/er70s6-035')
  const field = page.getByLabel('Stock on hand')
  await expect(field).toHaveValue('10 lb')
  await field.click()
  await page.keyboard.press('Control+a')
  await field.pressSequentially('2.5 lb')
  await expect(page.getByRole('listitem').filter({ hasText: '0.035 ER70S-6' })).toContainText('2.5 lb')
  await page.keyboard.press('Tab')
  await saved(page)
  const stored = async () => (await server.record<StockItem>('stock/wire.er70s6-035')).amount
  expect(await stored()).toBeCloseTo(2.5 * 453.592, 0)
  await expect(other.getByLabel('Stock on hand')).toHaveValue('2.5 lb')
  await page.getByRole('heading', { level: 1 }).click()
  await page.keyboard.press('Control+z')
  await expect(field).toHaveValue('10 lb')
  await expect.poll(stored).toBeCloseTo(4535.9, 0)
})

test('a thing of the library becomes the shop’s own', async ({ page, server }) => {
  await openList(page, server, 'wires')
  await page.getByRole('button', { name: 'From the library' }).click()
  await page.getByLabel('Search the library').fill('0.030 ER5356 100')
  await page.getByRole('button', { name: 'Take 0.030 ER5356, 100 mm spool' }).click()
  await page.getByRole('button', { name: 'Done' }).click()
  await page.getByPlaceholder(/^Search wire/).fill('5356 0.030')
  await expect(page.getByRole('button', { name: /0.030 ER5356, 100 mm spool/ })).toContainText('used up')
})

test('equipment goes out and comes in without loss, and a bad row says what is wrong with it', async ({
  page,
  server,
}) => {
  await openList(page, server, 'power-sources')
  const before = await (await fetch(`${server.url}/api/catalogue`)).json()
  const fetchFile = async (title: string): Promise<string> => {
    await page.getByRole('button', { name: 'Import and export' }).click()
    const waiting = page.waitForEvent('download')
    await page.getByText(title, { exact: true }).click()
    return readFile(await (await waiting).path(), 'utf8')
  }
  const json = await fetchFile('Export all equipment (JSON)')
  expect(JSON.parse(json)).toEqual(
    expect.objectContaining({ format: 'brannik-catalogue', wires: expect.arrayContaining(before.wires) }),
  )
  const csv = await fetchFile('Export power sources (CSV)')

  const importText = async (fileName: string, text: string) => {
    await page.getByRole('button', { name: 'Import and export' }).click()
    await page.getByText(/^Import a catalog/).click()
    await page
      .locator('input[type=file]')
      .setInputFiles({ name: fileName, mimeType: 'text/plain', buffer: Buffer.from(text) })
  }
  await importText('equipment.json', json)
  await expect(page.getByRole('status').filter({ hasText: 'catalog' })).toContainText(
    /0 new, 0 replace.*unchanged/,
  )
  await page.getByRole('button', { name: 'Close' }).click()

  const edited = csv
    .split('\r\n')
    .map((line) =>
      line
        .replace(',Marl 140,', ',Marl 140 of the north wall,')
        .replace('sedge-200,Sedge 200,owned', 'sedge-200,Sedge 200,perhaps'),
    )
    .join('\r\n')
  await importText('power-sources.csv', edited)
  await expect(page.getByText('1 not imported')).toBeVisible()
  await expect(page.getByRole('row').filter({ hasText: 'Sedge' })).toContainText(
    'held is “perhaps”. Enter one of owned, candidate',
  )
  await page.getByRole('button', { name: 'Import 1' }).click()
  await expect(page.getByRole('button', { name: /Marl 140 of the north wall/ })).toBeVisible()
  expect(await server.record<PowerSource>('power-sources/marl-140')).toMatchObject({
    name: 'Marl 140 of the north wall',
  })
  await page.getByRole('button', { name: 'Undo' }).click()
  await saved(page)
  expect(await server.record<PowerSource>('power-sources/marl-140')).toEqual(
    before.powerSources.find(({ id }: { id: string }) => id === 'marl-140'),
  )
})

test('two thousand things: the list, the search and the choices stay smooth', async ({ page, server }) => {
  const catalogue = await (await fetch(`${server.url}/api/catalogue`)).json()
  const large = largeCatalogue(catalogue as unknown as Shelf, 2000)
  const had = new Set(
    Object.values(catalogue).flatMap((list) => (Array.isArray(list) ? list.map(({ id }) => id) : [])),
  )
  const fresh = Object.fromEntries(
    Object.entries(large).map(([key, list]) => [
      key,
      Array.isArray(list) ? list.filter(({ id }) => !had.has(id)) : list,
    ]),
  )
  const answer = await fetch(`${server.url}/api/catalogue`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify({ catalogue: fresh, versions: {} }),
  })
  expect(answer.status).toBe(200)

  await openList(page, server, 'wires')
  await expect(page.getByText(/^\d{3} of \d{3}$/)).toBeVisible()
  const search = page.getByPlaceholder(/^Search wire/)
  const times: number[] = []
  for (const text of ['5', '0.035', '5356', '5356 0.035', '']) {
    const before = await page.getByText(/^\d+ of \d{3}$/).textContent()
    times.push(
      await search.evaluate(
        (field, [value, was]) =>
          new Promise<number>((resolve) => {
            const count = [...document.querySelectorAll('[role=status]')].find((one) =>
              / of \d{3}$/.test(one.textContent?.trim() ?? ''),
            )
            const started = performance.now()
            const look = () => {
              if (count?.textContent?.trim() !== was?.trim() || performance.now() - started > 2000)
                requestAnimationFrame(() => resolve(performance.now() - started))
              else requestAnimationFrame(look)
            }
            ;(field as HTMLInputElement).value = value ?? ''
            field.dispatchEvent(new Event('input', { bubbles: true }))
            look()
          }),
        [text, before] as const,
      ),
    )
  }
  const frames = await page.evaluate(async () => {
    const list = document.querySelector('.v-virtual-scroll')
    const gaps: number[] = []
    let last = performance.now()
    for (let step = 0; step < 60; step += 1) {
      list?.scrollBy(0, 400)
      await new Promise(requestAnimationFrame)
      gaps.push(performance.now() - last)
      last = performance.now()
    }
    return gaps.sort((a, b) => a - b)
  })
  await openSetUp(page, server, 'bay-2-wire')
  const opening = await page.locator('[data-slot=wire]').evaluate(
    (button) =>
      new Promise<number>((resolve) => {
        const started = performance.now()
        ;(button as HTMLButtonElement).click()
        const look = () =>
          document.querySelector('[data-offer]')
            ? resolve(performance.now() - started)
            : requestAnimationFrame(look)
        look()
      }),
  )
  await expect(page.getByText(/\d+ of \d{3} fit the rest/)).toBeVisible()
  const words = (list: number[]) => list.map((ms) => ms.toFixed(0)).join(', ')
  console.log(
    `MEASURED with 2,000 things: search to new list ${words(times)} ms (60 ms of them waiting for more keys); scrolling, frames of ${frames[30]?.toFixed(1)} ms median and ${frames.at(-1)?.toFixed(1)} ms worst; choices for the wire on screen ${opening.toFixed(0)} ms after the click`,
  )
  await page.locator('[data-offer]').first().click()
  await saved(page)
})
