/** One step of a changeover, as data: what it does to the machine, how long it takes, what to watch. */
import type { AssumptionKey } from '../assumptions/list.ts'
import type { Message } from '../model/message.ts'
import type { ChangeStepCode } from '../model/changeSteps.ts'
import type { State } from './onMachine.ts'

/** What is easily missed in a pair of set-ups, said once, at its step. */
export const TRAPS = [
  'steel-liner',
  'knurled-to-smooth',
  'polarity-forgotten',
  'mixed-gas-on-tig',
  'cylinder-fitting',
  'links-first',
  'o-rings',
  'spool-adapter',
  'steel-dust',
  'meter-scale',
  'hot-parts',
] as const
export type Trap = (typeof TRAPS)[number]

/** What can hurt somebody at this step. */
export const HAZARDS = [
  'unplug',
  'stand-aside',
  'wire-live',
  'torch-live',
  'wire-end',
  'electrician',
  'grinding',
] as const
export type Hazard = (typeof HAZARDS)[number]

export const TOOLS = [
  'cutters',
  'spanner',
  'pliers',
  'hex-key',
  'grinder',
  'air',
  'screwdriver',
  'scrap',
] as const
export type Tool = (typeof TOOLS)[number]

/** Used up by changing over. */
export interface Waste {
  readonly wireMm: number
  readonly gasL: number
}

export interface ChangeStep extends Message {
  readonly code: ChangeStepCode
  readonly minutes: number
  /** Whether the minutes are the shop's own, and of how many timings. */
  readonly timed: number
  readonly sets: Partial<State>
  readonly traps: readonly Trap[]
  readonly hazard: Hazard | null
  readonly tools: readonly Tool[]
  readonly waste: Waste | null
  /** Another school for the same step, with what it costs more; null where there is one way. */
  readonly otherWay: { readonly code: 'cut-and-waste'; readonly waste: Waste } | null
}

/** What a step is by its nature; what it names and wastes depends on the pair. */
interface StepKind {
  readonly minutes: AssumptionKey
  readonly hazard?: Hazard
  readonly tools?: readonly Tool[]
}

/** Common practice, no source; every figure is an assumption that the shop may change. */
export const STEP_KINDS: Readonly<Record<ChangeStepCode, StepKind>> = {
  'power-off': { minutes: 'changePowerOffMin', hazard: 'unplug' },
  'gas-off': { minutes: 'changeGasOffMin' },
  'tip-off': { minutes: 'changeTipOffMin', tools: ['pliers'] },
  'wire-off': { minutes: 'changeWireOffMin', tools: ['cutters'], hazard: 'wire-end' },
  'rods-away': { minutes: 'changeRodsAwayMin' },
  'gun-off': { minutes: 'changeGunOffMin' },
  'feeder-off': { minutes: 'changeFeederOffMin', tools: ['spanner'] },
  'clean-grooves': { minutes: 'changeCleanGroovesMin', tools: ['air'] },
  roll: { minutes: 'changeRollMin' },
  'roll-turn': { minutes: 'changeRollTurnMin' },
  liner: { minutes: 'changeLinerMin', tools: ['hex-key', 'cutters'] },
  'feeder-on': { minutes: 'changeFeederOnMin', tools: ['spanner'] },
  'gun-on': { minutes: 'changeGunOnMin' },
  leads: { minutes: 'changeLeadsMin' },
  'spool-on': { minutes: 'changeSpoolOnMin', tools: ['cutters'], hazard: 'wire-end' },
  'torch-parts': { minutes: 'changeTorchPartsMin' },
  tungsten: { minutes: 'changeTungstenMin', tools: ['grinder'], hazard: 'grinding' },
  'stick-out': { minutes: 'changeStickOutMin' },
  links: { minutes: 'changeLinksMin', tools: ['screwdriver', 'spanner'], hazard: 'electrician' },
  polarity: { minutes: 'changePolarityMin' },
  'clamp-off': { minutes: 'changeClampOffMin' },
  supply: { minutes: 'changeSupplyMin' },
  'power-on': { minutes: 'changePowerOnMin' },
  process: { minutes: 'changeProcessMin' },
  feed: { minutes: 'changeFeedMin', hazard: 'wire-live', tools: ['cutters'] },
  'tip-on': { minutes: 'changeTipOnMin', tools: ['pliers'] },
  tension: { minutes: 'changeTensionMin' },
  'rods-out': { minutes: 'changeRodsOutMin' },
  'gas-swap': { minutes: 'changeGasSwapMin', tools: ['spanner'], hazard: 'stand-aside' },
  meter: { minutes: 'changeMeterMin', tools: ['spanner'] },
  flow: { minutes: 'changeFlowMin' },
  'arc-start': { minutes: 'changeArcStartMin' },
  settings: { minutes: 'changeSettingsMin' },
  scrap: { minutes: 'changeScrapMin', tools: ['scrap'] },
}
