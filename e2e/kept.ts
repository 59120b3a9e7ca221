/** Until the service worker has the whole shop. It comes a few seconds after the answer, and fetches one list after the other. */
import { LISTED } from '@brannik/core'
import { expect, type Page } from '@playwright/test'

const PATHS = ['/api/me', '/api/shop', ...LISTED.map(({ path }) => `/api/${path}?limit=500`)]

export const untilKept = (page: Page): Promise<void> =>
  expect
    .poll(() =>
      page.evaluate(async (paths) => {
        const kept = await Promise.all(paths.map((path) => caches.match(path)))
        return paths.filter((_, index) => kept[index] === undefined)
      }, PATHS),
    )
    .toEqual([])
