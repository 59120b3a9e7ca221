/** The places of a set-up that a thing of the shelf is put into, and which of them a set-up needs. */
import { word } from '../model/told.ts'
import { isEngineDriven } from '../model/engineDriven.ts'
import type {
  BackCap,
  Circuit,
  Collet,
  ColletBody,
  ContactTip,
  Cup,
  DriveRoll,
  Feeder,
  FlowMeter,
  Gas,
  Gun,
  Liner,
  Nozzle,
  PartKind,
  PowerSource,
  SetUp,
  Tungsten,
  Wire,
} from '../model/equipment.ts'
import type { Shelf } from '../model/shelf.ts'
import { inStock } from '../model/stock.ts'
import type { StockItem } from '../model/stockItem.ts'
import type { Process } from '../reference/processes.ts'
import { type Building, NO_BUILDING } from '../supply/supplyOf.ts'

export interface SlotItems {
  readonly circuit: Circuit
  readonly powerSource: PowerSource
  readonly feeder: Feeder
  readonly gun: Gun
  readonly roll: DriveRoll
  readonly liner: Liner
  readonly tip: ContactTip
  readonly nozzle: Nozzle
  readonly collet: Collet
  readonly colletBody: ColletBody
  readonly cup: Cup
  readonly backCap: BackCap
  readonly tungsten: Tungsten
  readonly wire: Wire
  readonly gas: Gas
  readonly flowMeter: FlowMeter
}
export type Slot = keyof SlotItems

/** In the order in which the amps, the wire and the gas reach the arc. */
export const SLOTS = [
  'circuit',
  'powerSource',
  'feeder',
  'gun',
  'wire',
  'roll',
  'liner',
  'tip',
  'nozzle',
  'tungsten',
  'collet',
  'colletBody',
  'cup',
  'backCap',
  'gas',
  'flowMeter',
] as const satisfies readonly Slot[]

/** What is in each place, null where nothing is chosen; what the shop has counted of its things; and its supply. */
export type Chosen = { readonly [S in Slot]: SlotItems[S] | null } & {
  readonly stock: readonly StockItem[]
  /** What stands above the circuit, and what else draws. */
  readonly building: Building
}

const NOTHING = {
  ...Object.fromEntries(SLOTS.map((slot) => [slot, null])),
  stock: [],
  building: NO_BUILDING,
} as unknown as Chosen
/** A set-up in which nothing is chosen yet. */
export const emptyChoice = (): Chosen => ({ ...NOTHING })

/** Which kind of small part stands in a place. */
export const PART_SLOTS: Partial<Record<Slot, PartKind>> = {
  roll: 'drive-roll',
  liner: 'liner',
  tip: 'contact-tip',
  nozzle: 'nozzle',
  collet: 'collet',
  colletBody: 'collet-body',
  cup: 'cup',
  backCap: 'back-cap',
  flowMeter: 'flow-meter',
}

/** Small parts: they follow what is chosen. */
export const SMALL_SLOTS: ReadonlySet<Slot> = new Set(SLOTS.filter((slot) => slot in PART_SLOTS))

const WHOLE_LISTS = {
  circuit: 'circuits',
  powerSource: 'powerSources',
  feeder: 'feeders',
  gun: 'guns',
  tungsten: 'tungstens',
  wire: 'wires',
  gas: 'gases',
} as const

/**
 * @returns how much of it the shop has; null for what nobody has counted, or nobody counts
 * @example inStockFor('wire', shelf.stock, wire) // 4535.9 g
 */
export const inStockFor = (
  slot: Slot,
  stock: readonly StockItem[],
  { id }: { readonly id: string },
): number | null => inStock(stock, slot in PART_SLOTS ? 'part' : slot, id)

/**
 * @returns everything of the shelf that could stand in a place, whether it fits or not
 * @example itemsFor('tip', shelf) // every contact tip
 */
export function itemsFor<S extends Slot>(slot: S, shelf: Shelf): readonly SlotItems[S][] {
  const kind = PART_SLOTS[slot]
  const list = kind
    ? shelf.parts.filter((part) => part.kind === kind)
    : shelf[WHOLE_LISTS[slot as keyof typeof WHOLE_LISTS]]
  return list as unknown as readonly SlotItems[S][]
}

type IdKey = Extract<keyof SetUp, `${string}Id`>
export const SLOT_KEYS: Readonly<Record<Slot, IdKey>> = {
  circuit: 'circuitId',
  powerSource: 'powerSourceId',
  feeder: 'feederId',
  gun: 'gunId',
  wire: 'wireId',
  roll: 'rollId',
  liner: 'linerId',
  tip: 'tipId',
  nozzle: 'nozzleId',
  tungsten: 'tungstenId',
  collet: 'colletId',
  colletBody: 'colletBodyId',
  cup: 'cupId',
  backCap: 'backCapId',
  gas: 'gasId',
  flowMeter: 'flowMeterId',
}

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

/**
 * @returns what a set-up names, from the shelf; null for a place that is empty or names what is not there
 * @example chosenOf(setUp, shelf).wire?.name // '0.035 ER70S-6'
 */
export function chosenOf(setUp: SetUp, shelf: Shelf): Chosen {
  const chosen: Record<string, unknown> = { ...emptyChoice(), stock: shelf.stock, building: shelf }
  for (const slot of SLOTS) {
    const id = setUp[SLOT_KEYS[slot]]
    chosen[slot] = id === null ? null : (itemsFor(slot, shelf).find((item) => item.id === id) ?? null)
  }
  return chosen as unknown as Chosen
}
