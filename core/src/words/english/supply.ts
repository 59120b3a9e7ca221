/** The circuit, what is above it, and the leads. */
import type { CriterionWords } from '../language.ts'

export const SUPPLY: Readonly<Record<string, CriterionWords>> = {
  'supply-voltage': {
    title: 'Supply voltage',
    short: 'voltage',
    sides: { demand: '{takes|or}', capacity: '{gives}' },
    sentences: {
      takes: 'Takes {gives}. Check that links or plug are set for it',
      'other-supply': '{source} takes {takes|or} for {process}. {circuit} gives {gives}',
    },
  },
  'supply-setting': {
    title: 'Links or plug',
    sentences: {
      links: 'Unplug {source}, then set its links to {volts}',
      plug: 'Put the {volts} plug on {source}',
      automatic: '{source} detects {volts} by itself',
      fixed: '{source} is fixed at {volts}',
      'set-right': '{source} is set for {set}. The supply is {volts}',
      'set-other': '{source} is set for {set}. The supply is {volts}. Unplug it, then change the setting',
    },
  },
  'breaker-holds': {
    title: 'Breaker',
    short: 'breaker',
    sentences: {
      measured: 'Counts as {demand} continuous. The breaker holds {capacity}',
      beside: 'Counts as {demand} continuous. With {others|and} running, {together}. The breaker may trip',
      'below-idle':
        'The machine draws {idle} at idle. The breaker holds {capacity}. It trips even without an arc',
      early:
        'Counts as {demand} continuous. The breaker holds {capacity}. Fast breakers of this type count {early} and may trip',
      'turned-down':
        'Counts as {demand} continuous. The breaker holds {capacity}. At {current} it holds: slower, with smaller beads',
    },
  },
  cable: {
    title: 'Circuit cable',
    short: 'cable',
    sentences: { measured: 'Counts as {demand} continuous. {size} carries {capacity}' },
  },
  'conductor-rule': {
    title: 'Circuit cable by code',
    short: 'cable by code',
    sentences: {
      measured: 'By code this machine needs a cable for {demand}. {size} carries {capacity}',
      'other-process':
        'For {process} this machine needs a cable for {demand} by code. {size} carries {capacity}',
    },
  },
  'breaker-rule': {
    title: 'Breaker size by code',
    short: 'breaker size',
    sentences: {
      measured: 'The breaker is {demand}. The code allows up to {capacity}',
      'own-protection':
        'The breaker is {demand}. The code allows up to {capacity}, or more if the machine has its own overcurrent protection. Check its plate or manual',
    },
  },
  'breaker-load-rule': {
    title: 'Breaker load by code',
    short: 'breaker load',
    sentences: {
      measured: 'The machine draws {demand} by its plate. The breaker is {capacity}',
      'other-process': 'For {process} the machine draws {demand} by its plate. The breaker is {capacity}',
    },
  },
  'outlet-rule': {
    title: 'Outlet',
    short: 'outlet',
    sentences: {
      measured: 'By its plate the machine needs {demand}. The outlet, {outlet}, is rated {capacity}',
      'other-process':
        'By its plate the machine needs {demand} for {process}. The outlet, {outlet}, is rated {capacity}',
    },
  },
  'outlet-breaker-rule': {
    title: 'Breaker and outlet',
    short: 'breaker, outlet',
    sentences: { measured: 'The breaker is {demand}. The outlet, {outlet}, is rated {capacity}' },
  },
  'cord-breaker-rule': {
    title: 'Breaker and cord',
    short: 'breaker, cord',
    sentences: {
      measured: 'The breaker is {demand}. Cord {cord} carries {capacity}. The breaker must not be larger',
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
    title: 'Inrush',
    short: 'inrush',
    sentences: {
      'inrush-not-given':
        'No data: the plate of {source} does not give its inrush current. If the breaker trips when you switch it on, use a slower type: C for B, D for C',
      measured: 'Inrush is about {demand}. This breaker type holds below {capacity}',
      'may-throw': 'Inrush is about {demand}. Some breakers of this type trip from {capacity}, others hold',
    },
  },
  volts: {
    title: 'Voltage at the machine',
    short: 'volts',
    sentences: {
      measured: 'Voltage drop {lost} at {drawn}',
      sags: 'Voltage drop {lost} at {drawn}. The arc will be weaker than the dial setting',
    },
  },
  cord: {
    title: 'Extension cord',
    short: 'cord',
    sentences: {
      measured:
        'Counts as {demand} continuous. {length} of {size} carries {capacity}, laid out straight. A coiled cord melts',
    },
  },
  'generator-runs': {
    title: 'Generator, running',
    short: 'generator',
    sentences: {
      measured: 'The machine and other loads need {demand}. {generator} gives {capacity} at this site',
    },
  },
  'generator-starts': {
    title: 'Generator, peak',
    short: 'generator peak',
    sentences: {
      measured: 'At peak, with other loads, {demand} is needed. {generator} gives {capacity}',
    },
  },
  leads: {
    title: 'Welding leads',
    short: 'leads',
    sentences: { measured: 'Counts as {demand} continuous. {size} carries {capacity}' },
  },
  'lead-volts': {
    title: 'Voltage drop in the leads',
    short: 'leads',
    sentences: {
      measured: '{length} of {size} drops {demand}. The arc has {lost} less. Up to {capacity} is usual',
    },
  },
  'return-volts': {
    title: 'Work clamp',
    short: 'work clamp',
    sentences: {
      measured: '{demand} between clamp and work. Up to {capacity} is good',
      lost: '{demand} between clamp and work. Up to {capacity} is good. The clamp takes {heat}, and the arc has {lost} less',
    },
  },
}
