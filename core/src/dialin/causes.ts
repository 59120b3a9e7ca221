/**
 * What is behind a bad bead, by process and wire: for each sign its causes, the commonest first, each with a test that
 * takes seconds. Feeding, leads and gas come before settings, since a fault there is taken for a wrong setting until
 * somebody buys a part. Common practice, no source.
 */
import type { Capability } from '../capability/capability.ts'

export const CAUSES = [
  'polarity',
  'rolls',
  'roll-tension',
  'spool-brake',
  'tip',
  'liner',
  'clamp',
  'gas',
  'draft',
  'dirt',
  'stick-out',
  'angle',
  'travel',
  'volts',
  'wire-speed',
  'inductance',
  'tungsten',
  'post-flow',
  'purge',
  'balance',
  'arc-length',
  'amps',
  'rods-damp',
  'arc-blow',
  'preheat',
  'torch-seal',
  'pre-flow',
  'end-heat',
] as const
export type Cause = (typeof CAUSES)[number]

/** Processes and wires that fail alike. */
export const WELD_CLASSES = [
  'solid',
  'aluminium',
  'self-shielded',
  'cored',
  'tig-dc',
  'tig-ac',
  'stick',
] as const
export type WeldClass = (typeof WELD_CLASSES)[number]

/** @returns which signs and causes a set-up has */
export function weldClassOf({ process, wire }: Pick<Capability, 'process' | 'wire'>): WeldClass {
  if (process.electrode === 'covered') return 'stick'
  if (process.id === 'gtaw-ac') return 'tig-ac'
  if (process.electrode === 'tungsten') return 'tig-dc'
  if (wire?.metal === 'aluminium') return 'aluminium'
  if (process.id === 'fcaw-s') return 'self-shielded'
  return process.id === 'fcaw-g' ? 'cored' : 'solid'
}

type Signs = Readonly<Record<string, readonly Cause[]>>

const FEED = [
  'roll-tension',
  'spool-brake',
  'tip',
  'liner',
  'rolls',
  'clamp',
] as const satisfies readonly Cause[]
const POROUS = ['gas', 'draft', 'stick-out', 'dirt', 'tip'] as const satisfies readonly Cause[]

/** By class, by sign: at most six causes, so that nobody is led on for longer. The first six signs are printed. */
export const SIGNS_OF: Readonly<Record<WeldClass, Signs>> = {
  solid: {
    ropey: ['polarity', 'clamp', 'volts', 'stick-out', 'travel', 'inductance'],
    'wide-spatter': ['polarity', 'gas', 'volts', 'stick-out', 'inductance'],
    stubs: ['clamp', 'wire-speed', 'volts', 'stick-out'],
    'burns-back': ['roll-tension', 'spool-brake', 'tip', 'wire-speed', 'volts', 'liner'],
    porosity: POROUS,
    stutters: FEED,
    undercut: ['travel', 'angle', 'volts', 'stick-out'],
    'burns-through': ['travel', 'wire-speed', 'volts', 'stick-out'],
  },
  aluminium: {
    soot: ['angle', 'gas', 'stick-out', 'dirt', 'draft'],
    'cold-start': ['preheat', 'clamp', 'wire-speed', 'travel'],
    birdnest: ['roll-tension', 'rolls', 'tip', 'liner', 'spool-brake'],
    'burns-back': ['tip', 'roll-tension', 'wire-speed', 'liner', 'volts'],
    porosity: ['dirt', 'gas', 'draft', 'stick-out', 'torch-seal'],
    'burns-through': ['travel', 'wire-speed', 'volts'],
    'burns-through-end': ['end-heat', 'travel', 'wire-speed'],
    stubs: ['clamp', 'wire-speed', 'volts', 'stick-out'],
  },
  'self-shielded': {
    'worm-tracks': ['volts', 'stick-out', 'dirt'],
    'wide-spatter': ['polarity', 'volts', 'stick-out', 'clamp'],
    stubs: ['clamp', 'wire-speed', 'volts', 'stick-out'],
    'slag-trapped': ['angle', 'travel', 'volts'],
    porosity: ['stick-out', 'volts', 'dirt', 'polarity'],
    stutters: FEED,
    'burns-back': ['roll-tension', 'spool-brake', 'tip', 'wire-speed', 'volts', 'liner'],
    'burns-through': ['polarity', 'travel', 'wire-speed', 'stick-out'],
  },
  cored: {
    ropey: ['polarity', 'volts', 'travel', 'stick-out'],
    'worm-tracks': ['volts', 'gas', 'stick-out', 'dirt'],
    'slag-trapped': ['angle', 'travel', 'volts'],
    stubs: ['clamp', 'wire-speed', 'volts', 'stick-out'],
    porosity: POROUS,
    stutters: FEED,
    'burns-back': ['roll-tension', 'spool-brake', 'tip', 'wire-speed', 'volts', 'liner'],
    undercut: ['travel', 'angle', 'volts', 'stick-out'],
  },
  'tig-dc': {
    'tungsten-balls': ['polarity', 'tungsten', 'amps'],
    'tungsten-black': ['post-flow', 'gas', 'torch-seal', 'draft'],
    'arc-wanders': ['tungsten', 'arc-length', 'dirt', 'arc-blow'],
    porosity: ['gas', 'draft', 'dirt', 'stick-out', 'torch-seal'],
    'dull-grey': ['travel', 'gas', 'amps', 'purge'],
    dipped: ['tungsten', 'arc-length', 'angle'],
    'porosity-start': ['pre-flow', 'torch-seal', 'gas', 'dirt', 'draft'],
    'sugar-root': ['purge', 'travel', 'amps'],
  },
  'tig-ac': {
    'tungsten-balls': ['balance', 'amps', 'tungsten'],
    'black-specks': ['balance', 'dirt', 'gas'],
    'arc-wanders': ['tungsten', 'arc-length', 'dirt'],
    porosity: ['dirt', 'gas', 'draft', 'torch-seal'],
    'burns-through': ['amps', 'travel', 'arc-length'],
    dipped: ['tungsten', 'arc-length', 'angle'],
    'porosity-start': ['pre-flow', 'torch-seal', 'dirt', 'gas'],
    'tungsten-black': ['post-flow', 'gas', 'torch-seal', 'draft'],
  },
  stick: {
    sticks: ['amps', 'arc-length', 'rods-damp', 'clamp'],
    undercut: ['amps', 'travel', 'angle', 'arc-length'],
    'slag-trapped': ['angle', 'amps', 'dirt', 'travel'],
    porosity: ['rods-damp', 'arc-length', 'dirt', 'polarity'],
    'arc-blow': ['arc-blow', 'clamp', 'angle'],
    'wide-spatter': ['polarity', 'arc-length', 'amps', 'rods-damp'],
    'burns-through': ['amps', 'travel', 'angle'],
    // Nothing is tried on a crack.
    cracks: [],
  },
}
/** So many are printed on a card; the screen has all. */
export const PRINTED_SIGNS = 6
