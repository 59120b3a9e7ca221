/** For benchmarks and the browser: a shelf of two thousand things, the demo's and the library's over and over. */
import { CATALOGUE_KEYS } from '../catalogue/lists.ts'
import { type Catalogue, catalogueOf, type CatalogueRecord } from '../catalogue/catalogue.ts'
import { kindOfList } from '../kinds/facts.ts'
import { LIBRARY } from '../library/index.ts'
import type { Shelf } from '../kinds/shelf.ts'

const MOST_ID = 64

/**
 * @param shelf to begin with: it stays as it is
 * @param count of all things together
 */
export function largeCatalogue(shelf: Shelf, count: number): Catalogue {
  const own = catalogueOf(shelf)
  const lists = new Map(CATALOGUE_KEYS.map((key) => [key, [...own[key]] as CatalogueRecord[]]))
  const pattern = CATALOGUE_KEYS.flatMap((key) => [
    ...own[key].map((record) => ({ key, record: record as CatalogueRecord })),
    ...LIBRARY.filter(({ path }) => path === kindOfList(key).path).map(({ record }) => ({
      key,
      record: record as CatalogueRecord,
    })),
  ])
  let total = CATALOGUE_KEYS.reduce((sum, key) => sum + own[key].length, 0)
  for (let number = 1; total < count; number += 1) {
    for (const { key, record } of pattern) {
      if (total >= count) break
      const id = `${record.id.slice(0, MOST_ID - 6)}-x${number}`
      lists.get(key)?.push({ ...record, id, name: `${record.name} no. ${number}` })
      total += 1
    }
  }
  return { ...own, ...(Object.fromEntries(lists) as unknown as Omit<Catalogue, 'format' | 'version'>) }
}
