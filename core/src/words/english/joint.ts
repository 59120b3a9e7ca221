/** The joint, and how it is welded. */
import type { CriterionWords } from '../language.ts'

export const JOINT: Readonly<Record<string, CriterionWords>> = {
  'weld-stands': {
    title: 'Figures of the weld',
    short: 'weld figures',
    sentences: {
      'leg-over-edge':
        'A leg of {is} is larger than the {bound} edge it is on. Change one of them. Using {meanwhile} for now',
      'leg-over-corner':
        'A leg of {is} is larger than the thinner part, {bound}, at this corner. Change one of them. Using {meanwhile} for now',
      'leg-over-flare':
        'A fill of {is} is deeper than the {bound} flare. Change one of them, or leave it empty for flush. Using {meanwhile} for now',
      'face-over-part':
        'A root face of {is} leaves no groove in a part of {bound}. Make it smaller, or choose a square joint. Using no root face for now',
      'radius-over-groove':
        'A root radius of {is} is deeper than the {bound} groove. Make it smaller. Using {meanwhile} for now',
      'wall-over-radius':
        'A wall of {is} is thicker than the tube radius, {bound}. Change one of them. Using {meanwhile} for now',
      'branch-over-header':
        'A branch of {is} is larger than its header, {bound}. Change one of them. Using {meanwhile} for now',
      'slot-under-width':
        'A slot {is} long is shorter than its width, {bound}. Make it longer, or choose a plug. Using {meanwhile} for now',
      'cjp-face':
        'CJP from one side melts a root face of {bound} at most, this one is {is}. Grind it, add backing, or add a back weld. Using {meanwhile} for now',
      'cjp-closed':
        'CJP from one side needs a root opening of {bound}, this one is {is}. Open it, add backing, or add a back weld. Using {meanwhile} for now',
      'passes-too-thin':
        '{is} passes leave less than a leg of 1 mm (0.04 in) each. At most {bound} for this leg. Using {meanwhile} for now',
    },
  },
  'short-circuit-depth': {
    title: 'Short-circuit transfer',
    short: 'short-circuit',
    sentences: {
      'may-not-fuse':
        'Short-circuit may not fuse steel above {most}. Use spray or flux-cored, or a qualified procedure',
      downward: 'Short-circuit downhill laps cold on steel above {most}. The pool runs ahead of the arc',
      fuses: 'Short-circuit fuses steel up to {most}',
      aluminium: 'Short-circuit laps cold on aluminium. Use spray or pulse',
    },
  },
  'spray-transition': {
    title: 'Spray and the joint',
    short: 'too thin for spray',
    sentences: {
      sprays: 'This wire sprays above {transition}',
      'open-root':
        'Spray falls through a {gap} root opening. Back it, or weld the root by short-circuit or TIG first',
      hotter:
        'This wire sprays above {transition}. The joint needs only {wants}. Expect a hot, fluid pool, or use short-circuit or pulse',
      'burns-through':
        'This wire sprays above {transition}. The joint burns through from {most}. Use short-circuit, pulse or a thinner wire',
    },
  },
  'spray-position': {
    title: 'Spray and position',
    short: 'spray, position',
    sentences: {
      holds: 'Spray works in these positions',
      'runs-out':
        'Spray on steel is for flat and horizontal fillets only, unless pulsed. The job has welds {position}',
    },
  },
  'square-depth': {
    title: 'Depth of a square joint',
    sentences: {
      reaches: 'The arc melts through a square joint up to {most}',
      bevel: 'The arc melts through a square joint up to {most}. This one is {thickness}. Bevel it',
    },
  },
  'cored-class': {
    title: 'Class of the wire',
    short: 'wire class',
    sentences: {
      within: '{wire} joins parts up to {most}',
      'single-pass': '{wire} is for a single pass. A second pass cracks',
      'too-thick': '{wire} is for parts up to {most}',
    },
  },
  'cored-position': {
    title: 'Cored wire out of position',
    short: 'position',
    sentences: {
      holds: 'Out of position this wire holds its pool up to {most}',
      runs: 'Out of position this wire holds its pool up to {most}. The weld needs {wants}',
    },
  },
  preheat: {
    title: 'Maximum preheat',
    short: 'preheat too hot',
    sentences: {
      'too-hot': 'Preheat is {temperature}. This metal allows {most}. {why}',
      held: 'Preheat to {temperature}. Measure beside the joint, on both sides, and hold it between passes',
    },
  },
  travel: {
    title: 'Travel speed by hand',
    sentences: {
      'by-hand': 'Easy to follow by hand',
      'too-fast':
        'Even at low current the bead needs {travel} travel. A hand manages up to {most}. The bead comes out too large',
      'too-slow': 'The bead needs {travel} travel. Below {least} the pool piles up and laps cold',
    },
  },
  'tip-reach': {
    title: 'Tip to the root',
    short: 'tip too far',
    sentences: {
      near: 'The tip gets as close to the root as usual',
      far: 'In this corner the tip stays {least} from the root. Usual: up to {usual}. At the same wire speed you lose {lost}',
    },
  },
  prequalified: {
    title: 'Prequalified',
    short: 'not prequalified',
    sentences: {
      'short-circuit': 'AWS D1.1 does not prequalify short-circuit. It needs a qualified procedure',
      downward: 'AWS D1.1 prequalifies vertical welds uphill only. Downhill needs a qualified procedure',
    },
  },
  'back-purge': {
    title: 'Back purge',
    short: 'no purge',
    sentences: {
      purged: 'Keep argon on the back until the root is cool, about 150 °C (300 °F)',
      'fluxed-rod': '{wire} shields the back of the root by itself',
      accepted: 'No back purge. The root sugars. An ordinary weld may accept that',
      sugars: 'No back purge. Air burns the back of a stainless root black and porous',
    },
  },
  'least-preheat': {
    title: 'Minimum preheat',
    short: 'preheat',
    sentences: {
      warm: '{thickness} of this steel needs {least} with {filler}. The job has {has}',
      table:
        '{thickness} of this steel needs {least} with {filler}, before the arc and between passes. The job has {has}',
      'carbon-equivalent':
        'This steel hardens. {thickness} needs {least} with {filler}, and slow cooling. The job has {has}',
    },
  },
}
