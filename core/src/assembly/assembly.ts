/** A set-up with its parts as the rules look at it: whole, or half put together. */
import { type Assume, assumptionsOf } from '../assumptions/assume.ts'
import type { Feeder, SetUp, SupplyRating, WireFeeder } from '../model/equipment.ts'
import type { Shelf } from '../model/shelf.ts'
import type { Shop } from '../model/shop.ts'
import type { MetalFamily } from '../reference/materials.ts'
import type { PairAdvice } from '../reference/pairs.ts'
import { type Process, PROCESSES } from '../reference/processes.ts'
import { supplyFor } from '../fit/supplyFor.ts'
import type { Position } from '../model/job.ts'
import { type Chosen, emptyChoice, itemsFor, type Slot, SLOT_KEYS, SLOTS } from './slots.ts'

/** What a job asks of a set-up. */
export interface Demands {
  readonly leastA: number
  readonly mostA: number
  /** Arc-on share of the worst ten minutes, %; null where it cannot be reckoned. */
  readonly dutyPct: number | null
  readonly metals: readonly MetalFamily[]
  readonly positions: readonly Position[]
  /** Each pair of metals with what is known of it. */
  readonly pairs: readonly { readonly names: string; readonly advice: PairAdvice }[]
}

export type Settings = Pick<
  SetUp,
  'process' | 'polarity' | 'start' | 'electronicsNear' | 'stickOutMm' | 'flowLPerMin'
>

export interface Assembly extends Chosen {
  readonly shop: Shop
  readonly assume: Assume
  readonly process: Process
  readonly settings: Settings
  readonly demands: Demands | null
}

/** An assembly to try things in. */
export type Trial = { -readonly [K in keyof Assembly]: Assembly[K] }

/** @param demands what the job asks; null to look at the set-up alone */
export const assemblyOf = (
  shop: Shop,
  settings: Settings,
  chosen: Chosen,
  demands: Demands | null,
): Assembly => ({
  // Spelled out: a fit makes one of these, and spreading costs more than several rules.
  shop,
  assume: assumptionsOf(shop),
  process: PROCESSES[settings.process],
  settings,
  demands,
  circuit: chosen.circuit,
  powerSource: chosen.powerSource,
  feeder: chosen.feeder,
  gun: chosen.gun,
  wire: chosen.wire,
  roll: chosen.roll,
  liner: chosen.liner,
  tip: chosen.tip,
  nozzle: chosen.nozzle,
  tungsten: chosen.tungsten,
  collet: chosen.collet,
  colletBody: chosen.colletBody,
  cup: chosen.cup,
  backCap: chosen.backCap,
  gas: chosen.gas,
  flowMeter: chosen.flowMeter,
})

/** @returns what a set-up names, from the shelf; null for a place that is empty or names what is not there */
export function chosenOf(setUp: SetUp, shelf: Shelf): Chosen {
  const chosen: Record<Slot, unknown> = { ...emptyChoice() }
  for (const slot of SLOTS) {
    const id = setUp[SLOT_KEYS[slot]]
    chosen[slot] = id === null ? null : (itemsFor(slot, shelf).find((item) => item.id === id) ?? null)
  }
  return chosen as unknown as Chosen
}

/** What pushes the wire, with the name of what it is built into. */
export interface FeedPath {
  readonly name: string
  readonly feeder: WireFeeder | Feeder
}

/** A spool gun feeds by itself; else a feeder in a case of its own; else the source's. */
export function feedPathOf({
  gun,
  feeder,
  powerSource,
}: Pick<Chosen, 'gun' | 'feeder' | 'powerSource'>): FeedPath | null {
  if (gun?.feeder) return { name: gun.name, feeder: gun.feeder }
  if (powerSource?.feeder) return { name: powerSource.name, feeder: powerSource.feeder }
  return feeder ? { name: feeder.name, feeder } : null
}

/** Parts that decide what the feed path is. */
export const FEED_SLOTS = ['powerSource', 'feeder', 'gun'] as const satisfies readonly Slot[]

/** The plate's column for the circuit, or for the engine; null where something is missing or does not meet. */
export const supplyOf = ({ circuit, powerSource, process }: Assembly): SupplyRating | null =>
  powerSource ? supplyFor(powerSource, process.id, circuit).supply : null

/** Greatest wire speed on this supply voltage, mm/min; null where not known. */
export function feedMaxOf(path: FeedPath, supply: SupplyRating | null): number | null {
  const own = path.feeder.feedMaxMmPerMin
  const onVoltage = supply?.feedMaxMmPerMin ?? null
  if (own === null || onVoltage === null) return own ?? onVoltage
  return Math.min(own, onVoltage)
}

/** Metals that are welded: the job's, else those that the wire is for. */
export const metalsOf = ({ demands, wire }: Assembly): readonly MetalFamily[] =>
  demands?.metals ?? (wire ? [wire.metal] : [])
