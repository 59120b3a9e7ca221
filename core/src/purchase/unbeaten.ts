/** Ways that were found, and what they make hopeless. */

/** Beyond so many ways of one job only those are kept that need nothing bought. */
export const MOST_WAYS = 3000

/** Sets of small parts, by their keys, of which one has to be bought. */
export type OneOf = readonly (readonly string[])[]

/** What a way needs bought. */
export interface Needing {
  readonly needs: readonly string[]
  readonly oneOf: readonly OneOf[]
}

const isWithin = (few: readonly string[], many: readonly string[]): boolean =>
  few.every((one) => many.includes(one))

/** Whether whoever has one of the second has one of the first. */
const isImplied = (first: OneOf, second: OneOf): boolean =>
  first === second || second.every((set) => first.some((one) => isWithin(one, set)))

export const needsNoMore = (a: Needing, b: Needing): boolean =>
  isWithin(a.needs, b.needs) && a.oneOf.every((one) => b.oneOf.some((other) => isImplied(one, other)))

/** All of which none is beaten by one before it: as cheap to run, and needing nothing beside. */
export class UnbeatenWays<T extends Needing> {
  /** By the first thing that it needs: what needs another is no part of what is looked at. Cheapest first. */
  readonly #byFirst = new Map<string, T[]>()
  #count = 0
  #isFull = false

  /**
   * @param counted what a run counts
   * @param most beyond which only what needs nothing bought is kept
   */
  constructor(
    readonly counted: (way: T) => number,
    readonly most: number,
  ) {}

  /** Whether something was left out for want of room. */
  get isFull(): boolean {
    return this.#isFull
  }

  get found(): readonly T[] {
    return [...this.#byFirst.values()].flat()
  }

  /** Whether nothing that costs this and needs this, and may need small parts beside, is worth a look. */
  isHopeless(counted: number, needs: readonly string[], oneOf: readonly OneOf[] = []): boolean {
    const asked = { needs, oneOf }
    const isBeatenIn = (key: string): boolean => {
      for (const one of this.#byFirst.get(key) ?? []) {
        if (this.counted(one) > counted) return false
        if (needsNoMore(one, asked)) return true
      }
      return false
    }
    return isBeatenIn(NOTHING) || needs.some(isBeatenIn)
  }

  keep(way: T): void {
    const { needs, oneOf } = way
    if (this.isHopeless(this.counted(way), needs, oneOf)) return
    if (needs.length + oneOf.length > 0 && this.#count >= this.most) {
      this.#isFull = true
      return
    }
    const first = needs[0] ?? NOTHING
    const list = this.#byFirst.get(first) ?? []
    const dearer = list.findIndex((one) => this.counted(one) > this.counted(way))
    list.splice(dearer < 0 ? list.length : dearer, 0, way)
    this.#byFirst.set(first, list)
    this.#count += 1
  }
}
const NOTHING = ''
