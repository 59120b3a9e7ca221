/** What can be asked of a power source: what each is called, in which unit, and what belongs to it. */
import type { RequirementKind } from '../kinds/requirementSheet.ts'

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
  process: there('Welds by', 'must'),
  'lowest-current': measured('Lowest current', 'A', 'less', 'may'),
  'highest-current': measured('Highest current', 'A', 'more', 'may'),
  'duty-at-current': { ...measured('Duty', '%', 'more', 'may'), asks: 'amount-at-current' },
  'ac-frequency': measured('Highest AC frequency', 'Hz', 'more'),
  pulse: there('Pulse'),
  'start-high-frequency': there('Starts by high frequency'),
  'start-lift': there('Starts by lift'),
  'input-voltage': there('Takes a supply of', 'none', 'amount', 'V'),
  'runs-here': there('Runs on a circuit that is here', 'may'),
  'feed-speed': measured('Fastest wire', 'mm/min', 'more'),
  spool: measured('Largest spool', 'mm', 'more'),
  'torch-length': measured('Longest gun or torch that goes with it', 'mm', 'more', 'may'),
  'torch-weight': measured('Lightest gun or torch that goes with it, hose and all', 'g', 'less', 'may'),
  weight: measured('Weight to carry', 'g', 'less'),
  noise: measured('Noise', 'dB(A)', 'less'),
  'memories-locked': there('Memories that nobody overwrites by accident'),
  'post-flow-by-hand': there('Post-flow set by hand'),
  'service-near': there('Mended near by'),
  price: measured('Price', '', 'less'),
}
