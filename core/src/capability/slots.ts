/** The places of a set-up that a thing of the shelf is put into, and which of them a set-up needs. */
import { word } from '../model/message.ts'
import { isEngineDriven, type SetUp } from '../kinds/equipment.ts'
import { inStock } from '../kinds/counts.ts'
import type { StockItem } from '../kinds/index.ts'
import { onHandOf } from '../kinds/onHand.ts'
import type { Shelf } from '../kinds/shelf.ts'
import { itemsFor, kindOfSlot, type Slot, type SlotItems, slotKey, SLOTS } from '../kinds/slots.ts'
import type { Process } from '../reference/processes.ts'
import { type Building, NO_BUILDING } from '../supply/supplyOf.ts'
import { type Claims, NO_CLAIMS } from './claims.ts'

/** What is in each place, null where nothing is chosen; what the shop has counted of its things; and its supply. */
export type Chosen = { readonly [S in Slot]: SlotItems[S] | null } & {
  readonly stock: readonly StockItem[]
  /** What planned jobs take of it before another. */
  readonly claims: Claims
  /** What stands above the circuit, and what else draws. */
  readonly building: Building
  /** Where it is recorded what is on the machines now; null where nothing is looked up. */
  readonly bench: Shelf | null
}

const NOTHING = {
  ...Object.fromEntries(SLOTS.map((slot) => [slot, null])),
  stock: [],
  claims: NO_CLAIMS,
  building: NO_BUILDING,
  bench: null,
} as unknown as Chosen
/** A set-up in which nothing is chosen yet. */
export const emptyChoice = (): Chosen => ({ ...NOTHING })

/**
 * @returns how much of it the shop has; null for what nobody has counted, or nobody counts
 * @example inStockFor('wire', shelf.stock, wire) // 4535.9 g
 */
export const inStockFor = (
  slot: Slot,
  stock: readonly StockItem[],
  { id }: { readonly id: string },
): number | null => inStock(stock, kindOfSlot(slot), id)

/** What a set-up names in its places: the ids of these, null for an empty one. */
export const idsOf = (
  chosen: Readonly<Partial<Record<Slot, { readonly id: string } | null>>>,
): Pick<SetUp, `${Slot}Id`> =>
  Object.fromEntries(SLOTS.map((slot) => [slotKey(slot), chosen[slot]?.id ?? null])) as Pick<
    SetUp,
    `${Slot}Id`
  >

export interface Need {
  readonly slot: Slot
  /** False where the place may stay empty. */
  readonly required: boolean
}

/** Few questions, asked for every part that is tried: each is answered once. */
const known = new Map<Process, (readonly Need[] | undefined)[]>()

/**
 * @returns the places of a set-up with this process and these parts, in order
 * @example needsOf({ process: PROCESSES['fcaw-s'], powerSource, gun }).some(({ slot }) => slot === 'gas') // false
 */
export function needsOf({
  process,
  powerSource,
  gun,
}: Pick<Chosen, 'powerSource' | 'gun'> & { readonly process: Process }): readonly Need[] {
  const isDriven = powerSource !== null && isEngineDriven(powerSource)
  const isFedApart = powerSource !== null && powerSource.feeder === null
  const ownFeed = gun?.drive === 'spool'
  const key = (isDriven ? 1 : 0) + (isFedApart ? 2 : 0) + (ownFeed ? 4 : 0)
  let answers = known.get(process)
  if (!answers) known.set(process, (answers = []))
  const answered = answers[key]
  if (answered) return answered
  const need = (slot: Slot, when = true, required = true): Need[] => (when ? [{ slot, required }] : [])
  const wire = process.feedsWire
  const tungsten = process.electrode === 'tungsten'
  const needs = [
    ...need('circuit', !isDriven),
    ...need('powerSource'),
    ...need('feeder', wire && !ownFeed && isFedApart),
    ...need('gun'),
    ...need('wire', true, !tungsten),
    ...need('roll', wire && !ownFeed),
    ...need('liner', wire && !ownFeed),
    ...need('tip', wire),
    ...need('nozzle', wire),
    ...need('tungsten', tungsten),
    ...need('collet', tungsten),
    ...need('colletBody', tungsten),
    ...need('cup', tungsten),
    ...need('backCap', tungsten),
    ...need('gas', process.shielded),
    ...need('flowMeter', process.shielded),
  ]
  answers[key] = needs
  return needs
}

/** What a place is called with this process, as a word of the vocabulary. */
export const slotWord = (slot: Slot, { electrode }: Pick<Process, 'electrode'>) =>
  word('slot', slot === 'gun' || slot === 'wire' ? `${slot}-${electrode}` : slot)

/** What the shop has, with what its planned jobs take of it; without claims a job has all of it to itself. */
export type Stores = Shelf & { readonly claims?: Claims }

/**
 * @returns what a set-up names, from the shelf; null for a place that is empty or names what is not there
 * @example chosenOf(setUp, shelf).wire?.name // '0.035 ER70S-6'
 */
export function chosenOf(setUp: SetUp, shelf: Stores): Chosen {
  const chosen: Record<string, unknown> = {
    ...emptyChoice(),
    stock: onHandOf(shelf),
    claims: shelf.claims ?? NO_CLAIMS,
    building: shelf,
    bench: shelf,
  }
  for (const slot of SLOTS) {
    const id = setUp[slotKey(slot)]
    chosen[slot] = id === null ? null : (itemsFor(slot, shelf).find((item) => item.id === id) ?? null)
  }
  return chosen as unknown as Chosen
}
