/** What could stand in each place of a set-up, and what taking it costs. */
import { libraryPartsFor } from '../assembly/propose.ts'
import type { Capability } from '../capability/capability.ts'
import { itemsFor, partOfSlot, type Slot, type SlotItems } from '../kinds/slots.ts'
import { isCandidate } from '../model/ownership.ts'
import type { PowerSource } from '../kinds/equipment.ts'
import type { Shelf } from '../kinds/shelf.ts'
import { typicalPartPrice } from '../reference/typicalPrices.ts'

/** Something that has to be bought. */
export interface Purchase {
  /** Place and id: `powerSource fen-320`. */
  readonly key: string
  /** Small parts of the library stand for each other: of a set of them one is looked at. */
  readonly likeKey: string
}

/** What a set-up that is half put together costs so far. */
export interface Spent {
  /** Large things to buy that have no price. */
  readonly unpriced: number
  readonly toGet: number
  readonly isTight: boolean
  /** What a run costs at least. */
  readonly runCost: number
  readonly buys: readonly Purchase[]
}

export const NOTHING_SPENT: Spent = { unpriced: 0, toGet: 0, isTight: false, runCost: 0, buys: [] }

export const TIGHT: Spent = { ...NOTHING_SPENT, isTight: true }

export const together = (a: Spent, b: Spent): Spent =>
  // What is owned costs nothing to take: most of what is tried.
  b === NOTHING_SPENT
    ? a
    : {
        unpriced: a.unpriced + b.unpriced,
        toGet: a.toGet + b.toGet,
        isTight: a.isTight || b.isTight,
        runCost: a.runCost + b.runCost,
        buys: b.buys.length === 0 ? a.buys : a.buys.length === 0 ? b.buys : [...a.buys, ...b.buys],
      }

/** @returns below 0 where the first is cheaper to get */
export const compareToGet = (a: Spent, b: Spent): number => a.unpriced - b.unpriced || a.toGet - b.toGet

/** Cheapest to get first, then what fits, then cheapest to run. @returns below 0 where the first is better */
export const compareSpent = (a: Spent, b: Spent): number =>
  compareToGet(a, b) || Number(a.isTight) - Number(b.isTight) || a.runCost - b.runCost

/** One thing in one place. */
export interface Option {
  readonly item: SlotItems[Slot]
  readonly spent: Spent
}

/** What is used up is bought for every job, and is no purchase here. */
export const USED_UP: ReadonlySet<Slot> = new Set(['wire', 'gas', 'tungsten'])

/** The price as it is listed; null for what has none. */
export const priceOf = (item: SlotItems[Slot]): number | null => ('price' in item ? item.price : null)

/**
 * @returns what it counts in a plan: a small part without a price as much as its kind costs at most, so that a missing
 *   price never wins; null for a large thing without one
 */
export function countedPrice(slot: Slot, item: SlotItems[Slot], typicalPriceFactor: number): number | null {
  const kind = partOfSlot(slot)
  return priceOf(item) ?? (kind ? typicalPartPrice(kind).high * typicalPriceFactor : null)
}

export const keyOf = (slot: Slot, { id }: { readonly id: string }): string => `${slot} ${id}`

/** Everything of a thing but its name and its price. */
function likenessOf(item: SlotItems[Slot]): string {
  const { id: _id, name: _name, price: _price, held: _held, ...rest } = item as Partial<PowerSource>
  return JSON.stringify(rest)
}

/** Of things that differ in name and price alone nobody needs another than the first. */
export function cheapestOfEach<T>(sorted: readonly T[], itemOf: (one: T) => SlotItems[Slot]): readonly T[] {
  const seen = new Set<string>()
  return sorted.filter((one) => {
    const likeness = likenessOf(itemOf(one))
    if (seen.has(likeness)) return false
    seen.add(likeness)
    return true
  })
}

/** @returns things that differ in name and price alone side by side: what goes with one goes with the others */
export function alike<T extends SlotItems[Slot]>(items: readonly T[]): readonly (readonly T[])[] {
  const groups = new Map<string, T[]>()
  for (const item of items) {
    const likeness = likenessOf(item)
    const group = groups.get(likeness)
    if (group) group.push(item)
    else groups.set(likeness, [item])
  }
  return [...groups.values()]
}

/** Of the feeder that the wire goes through. */
export const rollSystemOf = ({ gun, feeder, powerSource }: Capability): string | null =>
  (gun?.feeder ?? feeder ?? powerSource?.feeder)?.rollSystem ?? null
/** What a part of the library is made to go with. */
const libraryKey = (capability: Capability): string =>
  `${capability.gun?.partsClass ?? ''} ${rollSystemOf(capability) ?? ''}`

/** Of the shelf, and small parts of the library that are made to go with the rest. */
export class Options {
  readonly #library = new Map<string, Option>()
  readonly #ofShelf = new Map<Slot, readonly Option[]>()
  readonly #ofLibrary = new Map<string, readonly Option[]>()
  readonly #byCost = new Map<string, readonly (readonly Option[])[]>()

  /**
   * @param typicalPriceFactor what typical prices are multiplied by for the currency of the shop
   * @param isPricedOnly whether large things without a price are left out
   */
  constructor(
    readonly shelf: Shelf,
    readonly withLibrary: boolean,
    readonly typicalPriceFactor: number,
    readonly isPricedOnly: boolean,
  ) {}

  /** Cheapest first: the first that goes is then often the best. */
  of(slot: Slot): readonly Option[] {
    const known = this.#ofShelf.get(slot)
    if (known) return known
    const ofShelf = itemsFor(slot, this.shelf)
      .map((item) => this.#optionOf(slot, item, false))
      .filter(({ spent }) => !(this.isPricedOnly && spent.unpriced > 0))
      .sort((a, b) => compareSpent(a.spent, b.spent))
    const cheapest = cheapestOfEach(ofShelf, ({ item }) => item)
    this.#ofShelf.set(slot, cheapest)
    return cheapest
  }

  /** Small parts that nobody has entered, made to go with the rest. */
  #libraryFor(slot: Slot, capability: Capability): readonly Option[] {
    if (!this.withLibrary || partOfSlot(slot) === null) return []
    const key = `${slot} ${libraryKey(capability)}`
    const known = this.#ofLibrary.get(key)
    if (known) return known
    const own = new Set(this.of(slot).map(({ item }) => item.id))
    const made = libraryPartsFor(slot, capability)
      .filter(({ id }) => !own.has(id))
      .map((part) => {
        const option = this.#library.get(part.id) ?? this.#optionOf(slot, part as SlotItems[Slot], true)
        this.#library.set(part.id, option)
        return option
      })
    this.#ofLibrary.set(key, made)
    return made
  }

  /** What there is for a place, of the shelf and of the library, in groups of what costs the same to get; cheapest first. */
  byCost(slot: Slot, capability: Capability): readonly (readonly Option[])[] {
    const ofLibrary = this.#libraryFor(slot, capability)
    const key = ofLibrary.length > 0 ? `${slot} ${libraryKey(capability)}` : slot
    const known = this.#byCost.get(key)
    if (known) return known
    const all = [...this.of(slot), ...ofLibrary].sort((a, b) => compareSpent(a.spent, b.spent))
    const groups: Option[][] = []
    for (const option of all) {
      const group = groups.at(-1)
      const [first] = group ?? []
      if (group && first && compareSpent(first.spent, option.spent) === 0) group.push(option)
      else groups.push([option])
    }
    this.#byCost.set(key, groups)
    return groups
  }

  isOfLibrary(item: { readonly id: string } | null): boolean {
    return item !== null && this.#library.get(item.id)?.item === item
  }

  #optionOf(slot: Slot, item: SlotItems[Slot], isOfLibrary: boolean): Option {
    if (USED_UP.has(slot) || !(isOfLibrary || isCandidate(item))) return { item, spent: NOTHING_SPENT }
    const price = countedPrice(slot, item, this.typicalPriceFactor)
    const key = keyOf(slot, item)
    const buys = [{ key, likeKey: isOfLibrary ? `${slot} of the library` : key }]
    return { item, spent: { ...NOTHING_SPENT, unpriced: price === null ? 1 : 0, toGet: price ?? 0, buys } }
  }
}
