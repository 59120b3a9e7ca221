/** Puts the value of the list of kinds in the place of its source: a page shows records without their schemas. */
import type { Plugin } from 'vite'
import { KIND_FACTS } from '../core/src/kinds/factList.ts'

export const kindFacts = (): Plugin => ({
  name: 'kind-facts',
  enforce: 'pre',
  load: (id) =>
    /\/core\/src\/kinds\/factList\.ts$/.test(id)
      ? `export const KIND_FACTS = ${JSON.stringify(KIND_FACTS)}`
      : null,
})
