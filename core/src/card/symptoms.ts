/** The signs of trouble that a process and wire really have, each with the one thing to change first. Common practice, no source. */
import type { Capability } from '../capability/capability.ts'
import { PRINTED_SIGNS, SIGNS_OF, type WeldClass, weldClassOf } from '../dialin/causes.ts'

export interface Symptom {
  readonly sign: string
  /** In few words, as it is printed. */
  readonly change: string
}

const FIRST: Readonly<Record<WeldClass, Readonly<Record<string, string>>>> = {
  solid: {
    ropey: 'volts-up',
    'wide-spatter': 'volts-down',
    stubs: 'wire-down',
    'burns-back': 'wire-up',
    porosity: 'gas-wind-dirt',
    stutters: 'feed-path',
  },
  aluminium: {
    soot: 'push-and-clean',
    'cold-start': 'warm-first',
    birdnest: 'tension-less',
    'burns-back': 'tip-larger',
    porosity: 'gas-wind-dirt',
    'burns-through': 'travel-faster',
  },
  'self-shielded': {
    'worm-tracks': 'volts-down',
    'wide-spatter': 'polarity-first',
    stubs: 'wire-down',
    'slag-trapped': 'drag-more',
    porosity: 'stick-out-longer',
    stutters: 'feed-path',
  },
  cored: {
    ropey: 'volts-up',
    'worm-tracks': 'volts-down',
    'slag-trapped': 'drag-more',
    stubs: 'wire-down',
    porosity: 'gas-wind-dirt',
    stutters: 'feed-path',
  },
  'tig-dc': {
    'tungsten-balls': 'polarity-first',
    'tungsten-black': 'post-flow',
    'arc-wanders': 'regrind',
    porosity: 'gas-wind-dirt',
    'dull-grey': 'travel-faster',
    dipped: 'regrind-clean',
  },
  'tig-ac': {
    'tungsten-balls': 'balance-less',
    'black-specks': 'balance-more',
    'arc-wanders': 'regrind',
    porosity: 'gas-wind-dirt',
    'burns-through': 'travel-faster',
    dipped: 'regrind-clean',
  },
  stick: {
    sticks: 'amps-up',
    undercut: 'amps-down-slower',
    'slag-trapped': 'arc-shorter',
    porosity: 'rods-dry',
    'arc-blow': 'clamp-move',
    'wide-spatter': 'arc-shorter',
  },
}

/** @returns six signs that this process and wire really have, each with the first thing to change */
export function symptomsOf(of: Pick<Capability, 'process' | 'wire'>): readonly Symptom[] {
  const weldClass = weldClassOf(of)
  const signs = Object.keys(SIGNS_OF[weldClass]).slice(0, PRINTED_SIGNS)
  return signs.map((sign) => ({ sign, change: FIRST[weldClass][sign] ?? '' }))
}
