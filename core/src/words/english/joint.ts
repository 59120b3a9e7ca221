/** The joint, and how it is welded. */
import type { CriterionWords } from '../language.ts'

export const JOINT: Readonly<Record<string, CriterionWords>> = {
  'weld-stands': {
    title: 'Figures of the weld',
    short: 'weld contradicts',
    sentences: {
      'leg-over-edge':
        'A leg of {is} is larger than the edge of {bound} that it is welded on: change one of them. Reckoned with {meanwhile} until then',
      'leg-over-corner':
        'A leg of {is} is larger than the thinner part of {bound} at this corner: change one of them. Reckoned with {meanwhile} until then',
      'leg-over-flare':
        'A fill of {is} is deeper than the flare of {bound}: change one of them, or leave it empty for flush. Reckoned with {meanwhile} until then',
      'face-over-part':
        'A root face of {is} leaves no groove in a part of {bound}: make it smaller, or choose a square joint. Reckoned without a face until then',
      'radius-over-groove':
        'A root radius of {is} is deeper than the groove of {bound}: make it smaller. Reckoned with {meanwhile} until then',
      'wall-over-radius':
        'A wall of {is} does not go into a tube of {bound} radius: change one of them. Reckoned with {meanwhile} until then',
      'branch-over-header':
        'A branch of {is} is larger than the tube of {bound} that it sits on: change one of them. Reckoned with {meanwhile} until then',
      'slot-under-width':
        'A slot {is} long is shorter than its width of {bound}: make it longer, or choose a plug. Reckoned with {meanwhile} until then',
      'passes-too-thin':
        '{is} passes leave less than a leg of 1 mm (0.04 in) to each; {bound} is the most for this leg. Reckoned with {meanwhile} until then',
    },
  },
  'short-circuit-depth': {
    title: 'Short-circuit transfer',
    short: 'short-circuit',
    sentences: {
      'may-not-fuse':
        'Short-circuit above {most} of steel may not fuse: use spray or flux-cored, or a qualified procedure',
      downward:
        'Short-circuit run downward laps over cold on steel above {most}: its pool runs ahead of the arc',
      fuses: 'Short-circuit fuses steel up to {most}',
      aluminium: 'Short-circuit laps cold on aluminium: spray or pulse it',
    },
  },
  'spray-transition': {
    title: 'Spray and the joint',
    short: 'too thin for spray',
    sentences: {
      sprays: 'This wire sprays above {transition}',
      'open-root':
        'A spray falls through a root opening of {gap}: back it, or close the root by short-circuit or TIG first',
      hotter:
        'This wire sprays only above {transition}, and the joint would do with {wants}: expect a hot, fluid pool, or take short-circuit or pulse',
      'burns-through':
        'This wire sprays only above {transition}, and the joint burns through from {most} on: take short-circuit, pulse or a thinner wire',
    },
  },
  'spray-position': {
    title: 'Spray and position',
    short: 'spray, position',
    sentences: {
      holds: 'Spray holds in these positions',
      'runs-out':
        'Sprayed steel runs out of welds {position}: it holds in flat joints and horizontal fillets only, unless it is pulsed',
    },
  },
  'square-depth': {
    title: 'Depth of a square joint',
    sentences: {
      reaches: 'The arc reaches through a square joint of {most}',
      bevel: 'The arc does not reach the root of a square joint of {thickness}, only of {most}: bevel it',
    },
  },
  'cored-class': {
    title: 'Class of the wire',
    short: 'wire class',
    sentences: {
      within: '{wire} joins parts up to {most}',
      'single-pass': '{wire} is for a single pass: a second one over it cracks',
      'too-thick': '{wire} is for parts up to {most}',
    },
  },
  'cored-position': {
    title: 'Cored wire out of position',
    short: 'position',
    sentences: {
      holds: 'Out of position this wire holds up to {most}',
      runs: 'Out of position this wire holds its pool up to {most}; the weld wants {wants}',
    },
  },
  preheat: {
    title: 'Most preheat',
    short: 'preheat too hot',
    sentences: {
      'too-hot': 'Preheated to {temperature}, and this metal stands {most}. {why}',
      held: 'Preheated to {temperature}: measure it beside the joint, on both sides, and hold it between passes',
    },
  },
  travel: {
    title: 'Travel by hand',
    sentences: {
      'by-hand': 'A hand keeps up with it',
      'too-fast':
        'Even turned down, the bead asks for {travel} of travel, and a hand keeps up to {most}: it comes out larger than it was asked for',
      'too-slow': 'The bead asks for {travel} of travel: below {least} the pool piles up and rolls over cold',
    },
  },
  'tip-reach': {
    title: 'Tip to the root',
    short: 'tip too far',
    sentences: {
      near: 'The nozzle lets the tip come as near as usual',
      far: 'In this corner the tip stays {least} from the root, usual is up to {usual}: {lost} less at the same wire speed',
    },
  },
  prequalified: {
    title: 'Prequalified',
    short: 'not prequalified',
    sentences: {
      'short-circuit': 'AWS D1.1 does not prequalify short-circuit: it needs a qualified procedure',
      downward: 'AWS D1.1 prequalifies vertical welds upward only: downward needs a qualified procedure',
    },
  },
  'back-purge': {
    title: 'Back purge',
    short: 'no purge',
    sentences: {
      purged: 'Argon on the back until the root is cool, about 150 °C (300 °F)',
      'fluxed-rod': '{wire} covers the back of the root by itself',
      accepted: 'No back purge: the root sugars, which an ordinary weld may accept',
      sugars: 'No back purge: air burns the back of a stainless root black and porous',
    },
  },
  'least-preheat': {
    title: 'Least preheat',
    short: 'preheat',
    sentences: {
      warm: '{thickness} of this steel needs {least} by {filler}; the job gives {has}',
      table:
        '{thickness} of this steel needs {least} by {filler}, before the arc and between passes; the job gives {has}',
      'carbon-equivalent':
        'This steel hardens: {thickness} of it needs {least} by {filler}, and slow cooling; the job gives {has}',
    },
  },
}
