/** A page that stays open while Brannik is brought to a newer version: what it has not fetched yet is no longer there. */
import type { Router } from 'vue-router'

/** The script that a page begins with: its name changes with every version. */
export const scriptOf = (page: Document): string | null =>
  page.querySelector('script[type=module][src]')?.getAttribute('src') ?? null

/** Whether the server has a newer page than this one; false where it does not answer. */
export async function isOutdated(): Promise<boolean> {
  const answer = await fetch('/', { cache: 'no-store' }).catch(() => null)
  if (!answer?.ok) return false
  const newest = scriptOf(new DOMParser().parseFromString(await answer.text(), 'text/html'))
  return newest !== null && newest !== scriptOf(document)
}

/** A view of an older version that cannot be fetched any more is opened as the server has it now. */
export function reloadOutdated(router: Router, open: (address: string) => void): void {
  router.onError(async (_error, to) => {
    if (await isOutdated()) open(router.resolve(to).href)
  })
}
