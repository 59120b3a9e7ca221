/**
 * Whole set-ups of what a shop has: each source with each process of its plate and the wires that go with it. Small parts
 * that nobody has written down yet are those of the library that go with the gun and the feeder.
 */
import { designationOf } from '../reference/designation.ts'
import { type Capability, capabilityOf, NOTHING_SET, type Settings } from '../capability/capability.ts'
import { emptyChoice, idsOf, needsOf, slotWord } from '../capability/slots.ts'
import { partOfSlot, type Slot, SMALL_SLOTS } from '../kinds/slots.ts'
import { missingSlots } from '../criteria/chosen.ts'
import { concerning } from '../criteria/concerns.ts'
import { assess, worstOf } from '../criteria/index.ts'
import { isSoldTo, LIBRARY } from '../library/index.ts'
import type { Circuit, Gun, Part, PowerSource, SetUp, Wire } from '../kinds/equipment.ts'
import { isEngineDriven } from '../kinds/engineDriven.ts'
import { isCandidate } from '../model/ownership.ts'
import { PROCESS_IDS, type ProcessId } from '../model/process.ts'
import { onHandOf } from '../kinds/onHand.ts'
import type { Shelf } from '../kinds/shelf.ts'
import type { Shop } from '../kinds/shop.ts'
import { list, message, type Message } from '../model/message.ts'
import type { Verdict } from '../model/verdict.ts'
import { PROCESSES } from '../reference/processes.ts'
import { failingSlots, fitOut } from './fitOut.ts'
import { offersFor } from './offers.ts'

/** A set-up that could be taken as it is. */
export interface Proposal {
  /** Without an id: whoever takes it gives it one. */
  readonly setUp: Omit<SetUp, 'id'>
  /** Parts of the library in it that are not on the shelf yet, as they go with its gun and feeder. */
  readonly parts: readonly Part[]
  /** The worst of what can be judged without a job. */
  readonly verdict: Verdict
}

/** Why there is none for a source and one of its processes. */
export interface Lack extends Message {
  readonly powerSourceId: string
  readonly process: ProcessId
}

export interface SetUpsProposed {
  readonly proposals: readonly Proposal[]
  readonly lacks: readonly Lack[]
}

const isOwned = (item: { readonly id: string }): boolean => !isCandidate(item)

/** Whether a plate has the process: its family, and the wave or pulse beside it. */
export function isRatedFor({ processes }: PowerSource, id: ProcessId): boolean {
  return processes.some(
    ({ family, outputs, pulse }) =>
      family === PROCESSES[id].family &&
      (id !== 'gtaw-ac' || outputs.includes('ac')) &&
      (id !== 'gtaw-dc' || outputs.includes('dc')) &&
      (id !== 'gmaw-pulse' || pulse),
  )
}

/** As it goes with a machine: what plugs into it, and the parts that screw into it. */
export function gunFor(gun: Gun, { feeder, torchConnector, gasValve }: PowerSource): Gun {
  const connector = gun.kind === 'gun' ? (feeder?.gunConnector ?? null) : torchConnector
  return {
    ...gun,
    connector: gun.connector ?? connector,
    // A torch for a machine that does not switch the gas has a valve of its own.
    valve: gun.kind === 'torch' && gun.valve === null && gasValve !== null ? !gasValve : gun.valve,
  }
}

/** A part of the library as the one that goes into this gun, or under the wire of this feeder. */
function partFor(part: Part, { gun, feeder, powerSource }: Capability): Part {
  const drive = gun?.feeder ?? feeder ?? powerSource?.feeder
  const suffix = (of: string | null | undefined) => (of ? `, ${of}` : '')
  const classOf = gun?.partsClass ?? null
  if (part.kind === 'drive-roll')
    return {
      ...part,
      id: `${part.id}-${idPart(drive?.rollSystem)}`.slice(0, 64),
      name: `${part.name}${suffix(drive?.rollSystem)}`,
      held: 'owned',
      rollSystem: drive?.rollSystem ?? null,
    }
  if ((part.kind === 'contact-tip' || part.kind === 'nozzle') && part.partsClass === null)
    return {
      ...part,
      id: `${part.id}-${idPart(classOf)}`.slice(0, 64),
      name: `${part.name}${suffix(classOf)}`,
      held: 'owned',
      partsClass: classOf,
    }
  return { ...part, held: 'owned' }
}
const idPart = (name: string | null | undefined): string =>
  (name ?? 'any')
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-+|-+$/g, '')

/** More wires than this with one source are the owner’s to put together. */
const MOST_WIRES = 3

const WAVE = concerning('wave')

/** Without its wire and what follows it. */
const withoutWire = (capability: Capability): Capability =>
  [...SMALL_SLOTS, 'wire' as const].reduce((trial, slot) => trial.with(slot, null), capability)

/** What is fed or held, as far as it goes; a set-up to begin with has the current that is usual for its metal. */
function wiresFor(trial: Capability, shelf: Shelf): readonly Wire[] {
  const going = offersFor('wire', trial, null, shelf)
    .filter(
      ({ verdict, reasons }) => verdict !== 'fails' && !reasons.some(({ criterion }) => WAVE.has(criterion)),
    )
    .map(({ item }) => item)
    // Of one wire on spools of several sizes the first is enough.
    .filter(
      (item, index, all) =>
        all.findIndex(
          (one) =>
            designationOf(one.classification).aws === designationOf(item.classification).aws &&
            one.diameterMm === item.diameterMm,
        ) === index,
    )
  return going.slice(0, MOST_WIRES)
}

/** A source for two voltages hangs where it gives more. */
function onBestCircuit(trial: Capability, shelf: Shelf, source: PowerSource, process: ProcessId): Capability {
  const plate = source.processes.find(({ family }) => family === PROCESSES[process].family)
  const outputOn = ({ voltageV }: Circuit): number =>
    plate?.supplies.find((one) => one.voltageV === voltageV)?.outputMaxA ?? 0
  const going = offersFor('circuit', trial, null, shelf).filter(({ verdict }) => verdict !== 'fails')
  const [best] = going.toSorted((a, b) => outputOn(b.item) - outputOn(a.item))
  return best && !isEngineDriven(source) ? trial.with('circuit', best.item) : trial
}

/** What is set beside the parts: the usual polarity of the wire, what the machine does else. */
export function settingsFor(process: ProcessId, wire: Wire | null, source: PowerSource | null): Settings {
  const plate = source?.processes.find(({ family }) => family === PROCESSES[process].family)
  // Many a small stick machine gives alternating current alone.
  const isAcAlone = PROCESSES[process].electrode === 'covered' && plate?.outputs.includes('dc') === false
  return {
    process,
    polarity: isAcAlone ? 'ac' : (wire?.polarity ?? PROCESSES[process].polarity),
    ...NOTHING_SET,
  }
}

const MOST_NAME = 120
/** @param wire null where there is no other to tell it from */
export function nameOfSetUp(process: ProcessId, source: PowerSource, wire: Wire | null): string {
  const { workshopWord } = PROCESSES[process]
  const what = `${workshopWord.charAt(0).toUpperCase()}${workshopWord.slice(1)}, ${source.name}`
  return (wire ? `${what}, ${wire.name}` : what).slice(0, MOST_NAME)
}

const partsSoldTo = (shop: Pick<Shop, 'unitSystem'>): readonly Part[] =>
  LIBRARY.flatMap((entry) => (entry.path === 'parts' && isSoldTo(entry, shop) ? [entry.record as Part] : []))

/** Split once: a proposal needs them many times. */
const LIBRARY_PARTS: Readonly<Record<Shop['unitSystem'], readonly Part[]>> = {
  imperial: partsSoldTo({ unitSystem: 'imperial' }),
  metric: partsSoldTo({ unitSystem: 'metric' }),
}

/** @returns small parts of the library for one place, or for all of them, as they go with gun and feeder */
export const libraryPartsFor = (slot: Slot | null, capability: Capability): readonly Part[] =>
  LIBRARY_PARTS[capability.shop.unitSystem]
    .filter(({ kind }) => slot === null || partOfSlot(slot) === kind)
    .map((part) => partFor(part, capability))

function together(shop: Shop, shelf: Shelf, source: PowerSource, process: ProcessId, wire: Wire | null) {
  const chosen = settingsFor(process, wire, source)
  const begun = capabilityOf(shop, chosen, {
    ...emptyChoice(),
    stock: onHandOf(shelf),
    building: shelf,
    bench: shelf,
    powerSource: source,
    wire,
  })
  const leave: readonly Slot[] = wire ? ['powerSource', 'wire'] : ['powerSource']
  const hung = onBestCircuit(begun, shelf, source, process)
  const main = fitOut(hung, shelf, {
    which: 'all',
    leave: [...leave, ...(hung.circuit ? ['circuit' as const] : [])],
  }).capability
  const own = new Map(shelf.parts.map((part) => [part.id, part]))
  const library = libraryPartsFor(null, main).filter(({ id }) => !own.has(id))
  const { capability } = fitOut(main, { ...shelf, parts: [...shelf.parts, ...library] }, { leave })
  return { capability, settings: chosen, library: new Set(library) }
}

/**
 * @param shelf candidates of it are left out: what is proposed is what the shop has
 * @returns set-ups whose parts go together, and for which processes of which source there is none and why
 * @example proposeSetUps(shop, shelf).proposals[0]?.setUp.name // 'MIG, short-circuit, Marl 140'
 */
export function proposeSetUps(shop: Shop, shelf: Shelf): SetUpsProposed {
  const owned: Shelf = {
    ...shelf,
    powerSources: shelf.powerSources.filter(isOwned),
    feeders: shelf.feeders.filter(isOwned),
    guns: shelf.guns.filter(isOwned),
    parts: shelf.parts.filter(isOwned),
  }
  const proposals: Proposal[] = []
  const lacks: Lack[] = []
  for (const source of owned.powerSources) {
    for (const process of PROCESS_IDS.filter((id) => isRatedFor(source, id))) {
      const empty = together(shop, owned, source, process, null).capability
      // Rolls, liner and tip follow the wire, not the other way round.
      const wires = wiresFor(withoutWire(empty), owned)
      const found = (wires.length > 0 ? wires : [null]).map((wire) =>
        together(shop, owned, source, process, wire),
      )
      for (const { capability, settings, library } of found) {
        const missing = missingSlots(capability)
        const lacksCircuit = !isEngineDriven(source) && capability.circuit === null
        // TIG can do without a rod, where the parts give the metal; a set-up to begin with has one.
        const lacksRod = capability.wire === null
        const isWrong = failingSlots(capability, null).length > 0
        if (missing.length > 0 || lacksCircuit || lacksRod || isWrong) {
          const slots: readonly Slot[] = [
            ...(lacksCircuit ? (['circuit'] as const) : []),
            ...(lacksRod ? (['wire'] as const) : []),
            ...missing,
          ]
          const what = list([...new Set(slots)].map((slot) => slotWord(slot, capability.process)))
          const why = slots.length > 0 ? message('lacks', { what }) : message('does-not-go')
          lacks.push({ ...why, powerSourceId: source.id, process })
          break
        }
        const parts = needsOf(capability).flatMap(({ slot }) => {
          const part = capability[slot] as Part | null
          return part && library.has(part) ? [part] : []
        })
        proposals.push({
          setUp: {
            name: nameOfSetUp(process, source, found.length > 1 ? capability.wire : null),
            ...settings,
            ...idsOf(capability),
          } as Omit<SetUp, 'id'>,
          parts,
          verdict: worstOf(assess(capability, null)),
        })
      }
    }
  }
  return { proposals, lacks }
}
