/** What can be asked of a power source: what each is called, in which unit, and what belongs to it. */
import type { Requirement, RequirementKind } from '../kinds/requirementSheet.ts'

export interface RequirementWords {
  readonly title: string
  readonly unit: string
  /** Whether more is better, or less, or whether it is only there or not. */
  readonly better: 'more' | 'less' | 'there'
  /** Whether it speaks of one process, and whether it must. */
  readonly process: 'none' | 'may' | 'must'
  /** Whether an amount belongs to it; at a current a duty. */
  readonly asks: 'nothing' | 'amount' | 'amount-at-current'
}

const there = (
  title: string,
  process: RequirementWords['process'] = 'none',
  asks: RequirementWords['asks'] = 'nothing',
  unit = '',
): RequirementWords => ({ title, unit, better: 'there', process, asks })
const measured = (
  title: string,
  unit: string,
  better: 'more' | 'less',
  process: RequirementWords['process'] = 'none',
): RequirementWords => ({ title, unit, better, process, asks: 'amount' })

export const REQUIREMENT_WORDS: Readonly<Record<RequirementKind, RequirementWords>> = {
  process: there('Process', 'must'),
  'lowest-current': measured('Lowest current', 'A', 'less', 'may'),
  'highest-current': measured('Highest current', 'A', 'more', 'may'),
  'duty-at-current': { ...measured('Duty', '%', 'more', 'may'), asks: 'amount-at-current' },
  'ac-frequency': measured('Highest AC frequency', 'Hz', 'more'),
  pulse: there('Pulse'),
  'start-high-frequency': there('High-frequency start'),
  'start-lift': there('Lift start'),
  'input-voltage': there('Supply voltage', 'none', 'amount', 'V'),
  'runs-here': there('Runs on an owned circuit', 'may'),
  'feed-speed': measured('Maximum wire feed speed', 'mm/min', 'more'),
  spool: measured('Largest spool', 'mm', 'more'),
  'torch-length': measured('Longest gun or torch that fits', 'mm', 'more', 'may'),
  'torch-weight': measured('Lightest gun or torch that fits, with hose', 'g', 'less', 'may'),
  weight: measured('Weight to carry', 'g', 'less'),
  noise: measured('Noise', 'dB(A)', 'less'),
  'memories-locked': there('Locked programs'),
  'post-flow-by-hand': there('Adjustable post-flow'),
  'service-near': there('Serviced nearby'),
  price: measured('Price', '', 'less'),
}

/**
 * @returns a requirement with no amount yet, of middling weight
 * @example newRequirement('weight', { must: true }).weight // 5
 */
export const newRequirement = (what: RequirementKind, part: Partial<Requirement> = {}): Requirement => ({
  what,
  process: null,
  amount: null,
  worst: null,
  atA: null,
  must: false,
  weight: 5,
  because: null,
  ...part,
})
