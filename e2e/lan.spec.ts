/** In the shop's network over TLS: a tablet signs in there, and has the shop with it where the network does not reach. */
import { mkdtempSync, rmSync } from 'node:fs'
import { networkInterfaces, tmpdir } from 'node:os'
import { join } from 'node:path'
import { untilKept } from './kept.ts'
import { expect, test } from './server.ts'

const PASSWORD = 'cider by the barrel'
const folder = mkdtempSync(join(tmpdir(), 'brannik-lan-'))
test.use({ settings: { HOST: '0.0.0.0', TLS_FOLDER: folder } })
test.afterAll(() => {
  rmSync(folder, { recursive: true, force: true })
})

test('a tablet has the shop with it over TLS, by the address of the machine', async ({
  playwright,
  launchOptions,
  stopped,
}) => {
  await stopped.addAccount('Hazel', 'owner', PASSWORD)
  await stopped.start()
  const address = Object.values(networkInterfaces())
    .flatMap((list) => list ?? [])
    .find(({ internal, family }) => !internal && family === 'IPv4')?.address
  const url = `https://${address ?? '127.0.0.1'}:${new URL(stopped.url).port}`
  // That the certificate is one that is trusted, openssl says; here the tablet has taken the two steps.
  const browser = await playwright.chromium.launch({
    ...launchOptions,
    args: [...(launchOptions.args ?? []), '--ignore-certificate-errors'],
  })
  try {
    const page = await (await browser.newContext({ serviceWorkers: 'allow' })).newPage()
    await page.goto(`${url}/jobs/press-frame/fit`)
    await page.getByLabel('Name').pressSequentially('Hazel')
    await page.getByLabel('Password').pressSequentially(PASSWORD)
    await page.getByRole('button', { name: 'Sign in' }).click()
    await expect(page.locator('main .headline')).toBeVisible()
    expect(await page.evaluate(() => isSecureContext)).toBe(true)
    await untilKept(page)
    const headline = (await page.locator('main .headline').textContent()) ?? ''
    await stopped.kill()
    await page.reload()
    await expect(page.locator('main .headline')).toHaveText(headline)
    await expect(page.getByText(/Offline: the shop as of/)).toBeVisible()
  } finally {
    await browser.close()
  }
})
