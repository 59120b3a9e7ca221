/**
 * Puts the value of a list in the place of its source, where the source would bring with it what a page has no use for:
 * it shows records and fields without their schemas, and findings without the criteria.
 */
import type { Plugin } from 'vite'
import { CONCERNED } from '../core/src/criteria/concernList.ts'
import { KIND_FACTS } from '../core/src/kinds/factList.ts'
import { PLANNED_FIELDS } from '../core/src/kinds/fieldList.ts'

const FACTS: Readonly<Record<string, Readonly<Record<string, unknown>>>> = {
  '/core/src/kinds/factList.ts': { KIND_FACTS },
  '/core/src/kinds/fieldList.ts': { PLANNED_FIELDS },
  '/core/src/criteria/concernList.ts': { CONCERNED },
}

export const facts = (): Plugin => ({
  name: 'facts',
  enforce: 'pre',
  load(id) {
    const [, lists] = Object.entries(FACTS).find(([file]) => id.endsWith(file)) ?? []
    return lists
      ? Object.entries(lists)
          .map(([name, list]) => `export const ${name} = ${JSON.stringify(list)}\n`)
          .join('')
      : null
  },
})
