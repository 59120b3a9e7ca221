/** The circuit, what stands above it, and the leads. */
import type { CriterionWords } from '../language.ts'

export const SUPPLY: Readonly<Record<string, CriterionWords>> = {
  'supply-voltage': {
    title: 'Supply voltage',
    short: 'voltage',
    sides: { demand: '{takes|or}', capacity: '{gives}' },
    sentences: {
      takes: 'Takes {gives}. Check that links or plug are set for it',
      'other-supply': '{source} takes {takes|or} for {process}; {circuit} gives {gives}',
    },
  },
  'supply-setting': {
    title: 'Links or plug',
    sentences: {
      links: 'Set the links inside {source} to {volts} before it is plugged in, unplugged while you do',
      plug: 'Put the {volts} plug on {source}',
      automatic: '{source} finds {volts} by itself',
      fixed: '{source} stays on {volts}',
      'set-right': '{source} is set for {set}, and the supply is {volts}',
      'set-other':
        '{source} is set for {set}, and the supply is {volts}: change it before it is plugged in, unplugged while you do',
    },
  },
  'breaker-holds': {
    title: 'Breaker holds',
    short: 'breaker',
    sentences: {
      measured: 'Heats the breaker like a steady {demand}; it holds {capacity}',
      beside: 'Counts as {demand} continuous; with {others|and} running {together}: the breaker may trip',
      'below-idle':
        'At rest alone the machine draws {idle}, and the breaker holds {capacity}: it never stays in',
      early:
        'Counts as {demand} continuous; the breaker holds {capacity}. The quickest breakers of its standard count {early} and may trip',
      'turned-down':
        'Heats the breaker like a steady {demand}; it holds {capacity}. Turned down to {current} it holds, slower and with smaller beads',
    },
  },
  cable: {
    title: 'Cable, this job',
    short: 'cable',
    sentences: { measured: 'The job’s heating equals a steady {demand}; {size} carries {capacity}' },
  },
  'conductor-rule': {
    title: 'Cable, by the rule',
    short: 'cable, rule',
    sentences: {
      measured: 'The machine asks for a cable of {demand}; {size} carries {capacity}',
      'other-process':
        'By {process} the machine asks for a cable of {demand}, and the circuit is not rewired for another process; {size} carries {capacity}',
    },
  },
  'breaker-rule': {
    title: 'Breaker, by the rule',
    short: 'breaker, rule',
    sentences: {
      measured: 'The breaker is {demand}; the rule allows up to {capacity}',
      'own-protection':
        'The breaker is {demand}; for this machine the rule allows up to {capacity}, and more where the machine protects itself against overcurrent: see its plate or its manual',
    },
  },
  'breaker-load-rule': {
    title: 'Breaker, load by the rule',
    short: 'breaker, load',
    sentences: {
      measured: 'The machine draws {demand} by its plate; the breaker is {capacity}',
      'other-process': 'By {process} the machine draws {demand} by its plate; the breaker is {capacity}',
    },
  },
  'outlet-rule': {
    title: 'Outlet',
    short: 'outlet',
    sentences: {
      measured: 'The plate asks for {demand}; the outlet, {outlet}, is rated {capacity}.',
      'other-process':
        'By {process}, which asks most, the plate asks for {demand}; the outlet, {outlet}, is rated {capacity}.',
    },
  },
  'outlet-breaker-rule': {
    title: 'Breaker before the outlet',
    short: 'breaker, outlet',
    sentences: { measured: 'The breaker is {demand}; the outlet, {outlet}, is rated {capacity}' },
  },
  'cord-breaker-rule': {
    title: 'Breaker before the cord',
    short: 'breaker, cord',
    sentences: {
      measured:
        'The breaker is {demand}; a cord of {cord} carries {capacity}, so the breaker must not be larger',
    },
  },
  'outlet-supply': {
    title: 'Outlet for this supply',
    short: 'outlet',
    sentences: {
      'made-for': '{outlet} is made for {gives}',
      'other-supply': '{outlet} is not made for {gives}',
    },
  },
  inrush: {
    title: 'Switching on',
    short: 'inrush',
    sentences: {
      'inrush-not-given':
        'No data: the plate of {source} does not give its inrush current. If the breaker trips when you switch it on, use a slower type: C for B, D for C',
      measured:
        'Switched on it takes some {demand} for a moment; below {capacity} this kind of breaker does not throw',
      'may-throw':
        'Switched on it takes some {demand} for a moment; from {capacity} on some breakers of this kind throw at that, others hold',
    },
  },
  volts: {
    title: 'Volts at the machine',
    short: 'volts',
    sentences: {
      measured: 'Drawing {drawn}, {lost} is lost on the way to the machine',
      sags: 'Drawing {drawn}, {lost} is lost on the way: the arc is weaker than its dial says',
    },
  },
  cord: {
    title: 'Extension cord',
    short: 'cord',
    sentences: {
      measured:
        'The job’s heating equals a steady {demand}; {length} of {size} carry {capacity}, laid out straight: a coiled cord melts',
    },
  },
  'generator-runs': {
    title: 'Generator, running',
    short: 'generator',
    sentences: {
      measured:
        'Machine and what else runs there ask for {demand}; {generator} gives {capacity} where it stands',
    },
  },
  'generator-starts': {
    title: 'Generator, for a moment',
    short: 'generator peak',
    sentences: {
      measured:
        'At its highest draw, with what else runs, {demand} is asked for a moment; {generator} gives {capacity}',
    },
  },
  leads: {
    title: 'Welding leads',
    short: 'leads',
    sentences: { measured: 'The job heats the leads like a steady {demand}; {size} carries {capacity}' },
  },
  'lead-volts': {
    title: 'Volts lost in the leads',
    short: 'leads',
    sentences: {
      measured:
        '{length} of {size} lose {demand} before the arc; for the same power from the supply it burns with {lost} less. Up to {capacity} is usual',
    },
  },
  'return-volts': {
    title: 'Work clamp',
    short: 'work clamp',
    sentences: {
      measured: '{demand} between clamp and work: good up to {capacity}',
      lost: '{demand} between clamp and work, good is up to {capacity}: {heat} heat the clamp, and the arc burns with {lost} less',
    },
  },
}
