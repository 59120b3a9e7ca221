/** What a kit is sought among: the set-ups that are written down, and for each job those that could be put together. */
import type { Part, SetUp } from '../model/equipment.ts'
import type { Job } from '../model/job.ts'
import type { Shelf } from '../model/shelf.ts'
import type { Shop } from '../model/shop.ts'
import { partsOf } from '../fit/document.ts'
import { type Could, couldDo } from './couldDo.ts'

export interface EverySetUp {
  /** With the parts of the library that the set-ups need. */
  readonly shelf: Shelf
  readonly setUps: readonly SetUp[]
  /** Of those that are not written down yet: what they are made of, by id. */
  readonly made: ReadonlyMap<string, Could>
}

/** What a set-up is made of, whatever it is called. */
const madeOf = ({ name: _name, ...rest }: Omit<SetUp, 'id'>): string =>
  JSON.stringify(Object.entries(rest).sort(([a], [b]) => a.localeCompare(b)))

/**
 * @param most set-ups to look at for each job
 * @returns each set-up once, those that lack a part left out
 */
export function everySetUpFor(
  shop: Shop,
  shelf: Shelf,
  setUps: readonly SetUp[],
  jobs: readonly Job[],
  most: number,
): EverySetUp {
  const whole = setUps.filter((setUp) => partsOf(setUp, shelf).ok)
  const known = new Set(whole.map(({ id: _id, ...setUp }) => madeOf(setUp)))
  const ids = new Set(setUps.map(({ id }) => id))
  const made = new Map<string, Could>()
  const parts = new Map<string, Part>()
  for (const job of jobs)
    for (const could of couldDo(shop, shelf, job, { most }).best) {
      const key = madeOf(could.setUp)
      if (known.has(key)) continue
      known.add(key)
      let number = made.size + 1
      while (ids.has(`could-${number}`)) number += 1
      ids.add(`could-${number}`)
      made.set(`could-${number}`, could)
      for (const part of could.parts) parts.set(part.id, { ...part, held: 'candidate' })
    }
  return {
    shelf: { ...shelf, parts: [...shelf.parts, ...parts.values()] },
    setUps: [...whole, ...[...made].map(([id, { setUp }]): SetUp => ({ ...setUp, id }))],
    made,
  }
}
