/** Shelves of any size for the figures. */
import { LIBRARY, type Shelf } from '../../core/src/index.ts'
import { demo } from './demo.ts'

/** Things of the demo and of the library over and over, every third of them to buy. */
export function shelfOf(
  counts: Readonly<Record<'powerSources' | 'guns' | 'wires' | 'gases', number>>,
): Shelf {
  const PATHS = { powerSources: 'power-sources', guns: 'guns', wires: 'wires', gases: 'gases' } as const
  const lists = Object.entries(counts).map(([key, count]) => {
    const list = key as keyof typeof PATHS
    const pattern = [
      ...demo[list],
      ...LIBRARY.flatMap(({ path, record }) => (path === PATHS[list] ? [record] : [])),
    ]
    const all = Array.from({ length: count }, (_, n) => {
      const record = pattern[n % pattern.length] as { id: string; name: string }
      const held = n % 3 === 2 ? 'candidate' : 'owned'
      const bought = 'held' in record ? { held, price: 200 + ((n * 137) % 4000) } : {}
      return { ...record, id: `${list.toLowerCase()}-${n}`, name: `${record.name} ${n}`, ...bought }
    })
    return [key, all] as const
  })
  return { ...demo, ...(Object.fromEntries(lists) as unknown as Pick<Shelf, keyof typeof counts>) }
}
