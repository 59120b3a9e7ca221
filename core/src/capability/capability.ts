/**
 * What a set-up can carry, with no job in it: its parts, whole or half put together, and the figures that follow from
 * them. A figure is made when it is first asked for, and kept.
 */
import { type Assumptions, assumptionsOf } from '../assumptions/assume.ts'
import { dataPlate } from '../basis/source.ts'
import { type Reckoner, reckonerFor } from '../calculation/reckoner.ts'
import type {
  Circuit,
  Feeder,
  Generator,
  Panel,
  SetUp,
  SupplyRating,
  WireFeeder,
} from '../kinds/equipment.ts'
import { isSpooled } from '../kinds/spooled.ts'
import type { Shop } from '../kinds/shop.ts'
import { message, type Message } from '../model/message.ts'
import { type Process, PROCESSES, type Wave, waveOf } from '../reference/processes.ts'
import { earlyConstantS, timeConstantS } from '../supply/breaker/overload.ts'
import { type Draw, drawOf } from '../supply/inputCurrent.ts'
import { inputFault } from '../supply/plateCheck.ts'
import { ruleBookOf } from '../supply/index.ts'
import type { BreakerModel } from '../supply/breaker/breakerModel.ts'
import type { Ampacity, RuleBook } from '../supply/ruleBook.ts'
import { type Supply, supplyOf } from '../supply/supplyOf.ts'
import type { Lead } from '../supply/leads.ts'
import type { Cord } from '../supply/voltageDrop.ts'
import { gasFlowOf } from '../trade/gasFlow.ts'
import { type ElectrodeRange, electrodeRangeOf } from './electrodeRange.ts'
import { type GunPoints, gunPointsOf } from './gunPoints.ts'
import type { Chosen } from './slots.ts'
import type { Slot, SlotItems } from '../kinds/slots.ts'
import { type SupplyAnswer, supplyFor } from './supplyFor.ts'

/** What is chosen of a set-up beside its parts. */
export type Settings = Pick<
  SetUp,
  | 'process'
  | 'polarity'
  | 'linksSetV'
  | 'cordSize'
  | 'cordLengthMm'
  | 'leadSize'
  | 'leadLengthMm'
  | 'returnV'
  | 'start'
  | 'electronicsNear'
  | 'stickOutMm'
  | 'flowLPerMin'
>

/** Of a set-up of which nobody has said more than its process and polarity. */
export const NOTHING_SET = {
  start: null,
  electronicsNear: false,
  stickOutMm: null,
  flowLPerMin: null,
  cordSize: null,
  cordLengthMm: null,
  leadSize: null,
  leadLengthMm: null,
  returnV: null,
  linksSetV: null,
} as const satisfies Omit<Settings, 'process' | 'polarity'>

/** What pushes the wire, with the name of what it is built into. */
export interface FeedPath {
  readonly name: string
  readonly feeder: WireFeeder | Feeder
}

/** Parts that decide what the feed path is. */
export const FEED_SLOTS = ['powerSource', 'feeder', 'gun'] as const satisfies readonly Slot[]

const NO_SUPPLY: SupplyAnswer = { supply: null, why: message('power-source'), offered: [] }

/** Inside a generator its maker has chosen the wire for the breaker of the outlet. */
const asItsBreaker = ({ breakerA }: Circuit): Ampacity => ({
  value: breakerA,
  tableA: breakerA,
  ambientFactor: 1,
  bundleFactor: 1,
  terminalA: breakerA,
  source: dataPlate('generator'),
})

export class Capability implements Chosen {
  readonly process: Process
  readonly circuit: Chosen['circuit']
  readonly powerSource: Chosen['powerSource']
  readonly feeder: Chosen['feeder']
  readonly gun: Chosen['gun']
  readonly wire: Chosen['wire']
  readonly roll: Chosen['roll']
  readonly liner: Chosen['liner']
  readonly tip: Chosen['tip']
  readonly nozzle: Chosen['nozzle']
  readonly tungsten: Chosen['tungsten']
  readonly collet: Chosen['collet']
  readonly colletBody: Chosen['colletBody']
  readonly cup: Chosen['cup']
  readonly backCap: Chosen['backCap']
  readonly gas: Chosen['gas']
  readonly flowMeter: Chosen['flowMeter']
  readonly stock: Chosen['stock']
  readonly claims: Chosen['claims']
  readonly building: Chosen['building']
  readonly bench: Chosen['bench']
  #powerFeed: Supply | null | undefined
  #supplyAnswer: SupplyAnswer | undefined
  #draw: Draw | null | undefined
  #gunPoints: GunPoints | null | undefined
  #electrode: ElectrodeRange | undefined
  #flowLPerMin: number | undefined
  #ampacity: Ampacity | null | undefined
  #breakerConstantS: number | undefined
  #earlyConstantS: number | undefined

  /** @param reckoner what runs the calculations: for numbers alone, or keeping every step */
  constructor(
    readonly shop: Shop,
    readonly settings: Settings,
    chosen: Chosen,
    readonly reckoner: Reckoner,
    readonly assumptions: Assumptions = assumptionsOf(shop),
  ) {
    this.process = PROCESSES[settings.process]
    this.circuit = chosen.circuit
    this.powerSource = chosen.powerSource
    this.feeder = chosen.feeder
    this.gun = chosen.gun
    this.wire = chosen.wire
    this.roll = chosen.roll
    this.liner = chosen.liner
    this.tip = chosen.tip
    this.nozzle = chosen.nozzle
    this.tungsten = chosen.tungsten
    this.collet = chosen.collet
    this.colletBody = chosen.colletBody
    this.cup = chosen.cup
    this.backCap = chosen.backCap
    this.gas = chosen.gas
    this.flowMeter = chosen.flowMeter
    this.stock = chosen.stock
    this.claims = chosen.claims
    this.building = chosen.building
    this.bench = chosen.bench
  }

  /** The same set-up with another part in one of its places; null empties it. What does not hang on it is not made anew. */
  with<S extends Slot>(slot: S, item: SlotItems[S] | null): Capability {
    const made = new Capability(this.shop, this.settings, this, this.reckoner, this.assumptions)
    // A search makes these by the hundred thousand: what it is made of is not copied twice.
    const parts: { [P in Slot]: SlotItems[P] | null } = made
    parts[slot] = item
    if (slot !== 'circuit' && slot !== 'powerSource') {
      made.#powerFeed = this.#powerFeed
      made.#supplyAnswer = this.#supplyAnswer
      made.#draw = this.#draw
      made.#ampacity = this.#ampacity
      made.#breakerConstantS = this.#breakerConstantS
      made.#earlyConstantS = this.#earlyConstantS
    }
    if (slot !== 'gun' && slot !== 'gas') made.#gunPoints = this.#gunPoints
    if (slot !== 'wire' && slot !== 'tungsten') made.#electrode = this.#electrode
    return made
  }

  /** The same parts, set otherwise. */
  withSettings(change: Partial<Settings>): Capability {
    return new Capability(this.shop, { ...this.settings, ...change }, this, this.reckoner)
  }

  /** The same set-up, reckoned once more by a reckoner that keeps the steps. */
  reckonedBy(reckoner: Reckoner): Capability {
    return new Capability(this.shop, this.settings, this, reckoner)
  }

  get rules(): RuleBook {
    return ruleBookOf(this.shop)
  }

  /** What comes out of the source: a stick may be run on either. */
  get wave(): Wave {
    return waveOf(this.process, this.settings.polarity)
  }

  /** What the machine hangs on; null where nothing is chosen. */
  get powerFeed(): Supply | null {
    if (this.#powerFeed === undefined)
      this.#powerFeed = supplyOf(this.powerSource, this.circuit, this.building)
    return this.#powerFeed
  }

  /** Cables above the circuit, the nearest first. */
  get supplyPanels(): readonly Panel[] {
    return this.powerFeed?.kind === 'circuit' ? this.powerFeed.panels : []
  }

  /** What makes the power, where it is not the supplier; null for that. */
  get generator(): Generator | null {
    return this.powerFeed === null || this.powerFeed.kind === 'engine' ? null : this.powerFeed.generator
  }

  /** Whether the cable is the shop's to judge: that of a generator's outlet is its maker's. */
  get isWiredByShop(): boolean {
    return this.powerFeed?.kind === 'circuit'
  }

  /** The plate's column for the circuit, or why there is none. */
  get supplyAnswer(): SupplyAnswer {
    this.#supplyAnswer ??= this.powerSource
      ? supplyFor(this.powerSource, this.process.id, this.wave, this.circuit)
      : NO_SUPPLY
    return this.#supplyAnswer
  }

  get supply(): SupplyRating | null {
    return this.supplyAnswer.supply
  }

  /** How the source draws on the circuit; null where it has no rating for it, or where its plate cannot be right. */
  get draw(): Draw | null {
    if (this.#draw === undefined) {
      const { supply, powerSource, circuit, process } = this
      this.#draw =
        supply && powerSource && circuit && !inputFault(process.family, supply)
          ? drawOf(powerSource, supply, circuit, process.family, this.reckoner)
          : null
    }
    return this.#draw
  }

  /** Why there is no draw. */
  get drawMissing(): Message {
    const { supply, powerSource, process } = this
    const fault = supply ? inputFault(process.family, supply) : null
    return fault
      ? message('plate-fault', { source: powerSource?.name ?? '', ...fault.params })
      : message('supply')
  }

  /** What the circuit's conductor carries; null for a size that the rule book does not have. */
  get ampacity(): Ampacity | null {
    if (this.#ampacity === undefined) {
      const { circuit } = this
      this.#ampacity = !circuit
        ? null
        : this.isWiredByShop
          ? this.rules.ampacity(circuit)
          : asItsBreaker(circuit)
    }
    return this.#ampacity
  }

  /** Extension cord between the outlet and the machine; null for none. */
  get cord(): Cord | null {
    const { cordSize, cordLengthMm } = this.settings
    return cordSize !== null && cordLengthMm !== null ? { size: cordSize, lengthMm: cordLengthMm } : null
  }

  /** Electrode and work lead; null where they are the machine's own. */
  get lead(): Lead | null {
    const { leadSize, leadLengthMm } = this.settings
    return leadSize !== null && leadLengthMm !== null ? { size: leadSize, lengthMm: leadLengthMm } : null
  }

  /** How the circuit's breaker behaves, by its standard. */
  get breaker(): BreakerModel {
    return this.rules.breaker(this.circuit?.breakerKind ?? null)
  }

  /** Time constant of the circuit's breaker, s; only where there is a circuit. */
  get breakerConstantS(): number {
    this.#breakerConstantS ??= timeConstantS(this.breaker, this.circuit?.breakerA ?? 0, this.reckoner)
    return this.#breakerConstantS
  }

  /** The same of the quickest breaker that its standard allows, s. */
  get breakerEarlyConstantS(): number {
    this.#earlyConstantS ??= earlyConstantS(this.breaker, this.circuit?.breakerA ?? 0, this.reckoner)
    return this.#earlyConstantS
  }

  /** The gun's or torch's rated points in this gas; null where none is chosen. */
  get gunPoints(): GunPoints | null {
    if (this.#gunPoints === undefined) {
      const { gun, gas, process } = this
      this.#gunPoints = gun ? gunPointsOf({ gun, gas, process, wave: this.wave }, this.reckoner) : null
    }
    return this.#gunPoints
  }

  /** Usable current of wire or tungsten. */
  get electrode(): ElectrodeRange {
    this.#electrode ??= electrodeRangeOf(this.process, this.wire, this.tungsten)
    return this.#electrode
  }

  /** A spool gun feeds by itself; else the source does; else a feeder in a case of its own. */
  get feedPath(): FeedPath | null {
    const { gun, powerSource, feeder } = this
    if (gun?.feeder) return { name: gun.name, feeder: gun.feeder }
    if (powerSource?.feeder) return { name: powerSource.name, feeder: powerSource.feeder }
    return feeder ? { name: feeder.name, feeder } : null
  }

  /** Greatest wire speed on this supply voltage, mm/min; null where not known, or where nothing feeds. */
  get feedMaxMmPerMin(): number | null {
    const own = this.feedPath?.feeder.feedMaxMmPerMin ?? null
    const onVoltage = this.feedPath ? (this.supply?.feedMaxMmPerMin ?? null) : null
    if (own === null || onVoltage === null) return own ?? onVoltage
    return Math.min(own, onVoltage)
  }

  /** The wire on a spool that this process feeds; null for a rod or none. */
  get fedWire(): Chosen['wire'] {
    return this.process.feedsWire && this.wire && isSpooled(this.wire) ? this.wire : null
  }

  get flowLPerMin(): number {
    this.#flowLPerMin ??= gasFlowOf(this, this.reckoner)
    return this.#flowLPerMin
  }
}

/**
 * @returns what a set-up of these parts can carry; places that are empty bind nothing
 * @example capabilityOf(shop, setUp, chosenOf(setUp, shelf)).gunPoints // what the gun carries in this gas
 */
export const capabilityOf = (shop: Shop, settings: Settings, chosen: Chosen): Capability =>
  new Capability(shop, settings, chosen, reckonerFor(assumptionsOf(shop)))
