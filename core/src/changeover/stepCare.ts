/** What a step of a changeover needs beside its hands: the tools, and what can hurt. Common practice, no source. */
import type { ChangeStepCode } from '../assumptions/changeMinutes.ts'

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

export interface Care {
  readonly hazard?: Hazard
  readonly tools?: readonly Tool[]
}
const CARE: Readonly<Partial<Record<ChangeStepCode, Care>>> = {
  'power-off': { hazard: 'unplug' },
  'tip-off': { tools: ['pliers'] },
  'wire-off': { tools: ['cutters'], hazard: 'wire-end' },
  'feeder-off': { tools: ['spanner'] },
  'clean-grooves': { tools: ['air'] },
  liner: { tools: ['hex-key', 'cutters'] },
  'feeder-on': { tools: ['spanner'] },
  'spool-on': { tools: ['cutters'], hazard: 'wire-end' },
  tungsten: { tools: ['grinder'], hazard: 'grinding' },
  links: { tools: ['screwdriver', 'spanner'], hazard: 'electrician' },
  feed: { hazard: 'wire-live', tools: ['cutters'] },
  'tip-on': { tools: ['pliers'] },
  'gas-swap': { tools: ['spanner'], hazard: 'stand-aside' },
  meter: { tools: ['spanner'] },
  scrap: { tools: ['scrap'] },
}

/**
 * @returns the tools of a step, and what can hurt somebody at it; nothing where neither
 * @example careOf('feed').hazard // 'wire-live'
 */
export const careOf = (code: ChangeStepCode): Care => CARE[code] ?? {}
