/** Words of what a set-up welds: positions, ends, limits. */
import { ENGLISH, HOLDER, type LimitId, type Process } from '@brannik/core'

export const POSITION_WORDS: Readonly<Record<string, string>> = ENGLISH.vocabulary['position'] ?? {}

const ELECTRODE_WORDS: Readonly<Record<Process['electrode'], string>> = {
  wire: 'wire',
  tungsten: 'tungsten',
  covered: 'electrode',
}
const HOLDER_WORDS = { gun: 'gun', torch: 'torch', holder: 'holder' } as const

/** What sets an end, as the workshop calls it. */
export function limitWords(by: LimitId, { electrode }: Pick<Process, 'electrode'>): string {
  switch (by) {
    case 'circuit':
      return 'circuit'
    case 'source':
      return 'power source'
    case 'gun':
      return HOLDER_WORDS[HOLDER[electrode]]
    case 'electrode':
      return ELECTRODE_WORDS[electrode]
    case 'feeder':
      return 'wire feeder'
    case 'transition':
      return 'spray begins'
    case 'bead':
      return 'one bead'
    case 'short-circuit':
      return 'short-circuit'
    case 'class':
      return 'class of the wire'
    case 'position':
      return 'slag out of position'
  }
}

/** `240 V`, or the engine. */
export const supplyWords = (voltageV: number | null, phases: 1 | 3): string =>
  voltageV === null ? 'its own engine' : `${voltageV} V${phases === 3 ? ', three-phase' : ''}`
