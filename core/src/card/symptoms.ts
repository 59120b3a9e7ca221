/** What goes wrong with each process and wire, and the one thing to change first. Common practice, no source. */
import type { Capability } from '../capability/capability.ts'

export interface Symptom {
  readonly sign: string
  readonly change: string
}
const pair = (sign: string, change: string): Symptom => ({ sign, change })

const SOLID = [
  pair('ropey', 'volts-up'),
  pair('wide-spatter', 'volts-down'),
  pair('stubs', 'wire-down'),
  pair('burns-back', 'wire-up'),
  pair('porosity', 'gas-wind-dirt'),
  pair('stutters', 'feed-path'),
]
const ALUMINIUM = [
  pair('soot', 'push-and-clean'),
  pair('cold-start', 'warm-first'),
  pair('birdnest', 'tension-less'),
  pair('burns-back', 'tip-larger'),
  pair('porosity', 'gas-wind-dirt'),
  pair('burns-through', 'travel-faster'),
]
const SELF_SHIELDED = [
  pair('worm-tracks', 'volts-down'),
  pair('wide-spatter', 'polarity-first'),
  pair('stubs', 'wire-down'),
  pair('slag-trapped', 'drag-more'),
  pair('porosity', 'stick-out-longer'),
  pair('stutters', 'feed-path'),
]
const CORED = [
  pair('ropey', 'volts-up'),
  pair('worm-tracks', 'volts-down'),
  pair('slag-trapped', 'drag-more'),
  pair('stubs', 'wire-down'),
  pair('porosity', 'gas-wind-dirt'),
  pair('stutters', 'feed-path'),
]
const TIG = [
  pair('tungsten-balls', 'polarity-first'),
  pair('tungsten-black', 'post-flow'),
  pair('arc-wanders', 'regrind'),
  pair('porosity', 'gas-wind-dirt'),
  pair('dull-grey', 'travel-faster'),
  pair('dipped', 'regrind-clean'),
]
const TIG_AC = [
  pair('tungsten-balls', 'balance-less'),
  pair('black-specks', 'balance-more'),
  pair('arc-wanders', 'regrind'),
  pair('porosity', 'gas-wind-dirt'),
  pair('burns-through', 'travel-faster'),
  pair('dipped', 'regrind-clean'),
]
const STICK = [
  pair('sticks', 'amps-up'),
  pair('undercut', 'amps-down-slower'),
  pair('slag-trapped', 'arc-shorter'),
  pair('porosity', 'rods-dry'),
  pair('arc-blow', 'clamp-move'),
  pair('wide-spatter', 'arc-shorter'),
]

/** @returns six signs that this process and wire really have, each with the first thing to change */
export function symptomsOf({ process, wire }: Pick<Capability, 'process' | 'wire'>): readonly Symptom[] {
  if (process.electrode === 'covered') return STICK
  if (process.id === 'gtaw-ac') return TIG_AC
  if (process.electrode === 'tungsten') return TIG
  if (wire?.metal === 'aluminium') return ALUMINIUM
  if (process.id === 'fcaw-s') return SELF_SHIELDED
  return process.id === 'fcaw-g' ? CORED : SOLID
}
