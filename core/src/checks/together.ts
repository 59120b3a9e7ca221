/** Whether the parts of the set-up go together: start of the arc, wire path, torch, and the way of the gas. */
import { rulesOf } from './rulesOf.ts'

/** Supply and process have a check of their own. */
export const start = rulesOf({
  name: { check: 'start', title: 'Source settings' },
  group: 'source',
  slots: [],
  without: ['rated-for-process', 'rated-for-supply', 'low-current'],
  wellSaid: ({ process }) =>
    process.family === 'gtaw' ? 'Start and settings of the source suit.' : 'Settings of the source suit.',
})

export const wirePath = rulesOf({
  name: { check: 'wire-path', title: 'Wire path' },
  group: 'wire-path',
  slots: ['feeder', 'roll', 'liner', 'tip', 'nozzle'],
  wellSaid: () => 'Rolls, liner, tip, nozzle, spool and connector go with the wire and with each other.',
})

export const torchSet = rulesOf({
  name: { check: 'torch-set', title: 'Gun and torch parts' },
  group: 'torch',
  slots: ['collet', 'colletBody', 'cup', 'backCap'],
  // The job's own current and duty are checked along the chain.
  without: ['gun-rating', 'tungsten-current'],
  wellSaid: ({ process }) =>
    process.feedsWire ? 'The gun suits.' : 'Collet, body, cup, cap and tungsten are one set.',
})

export const gasPath = rulesOf({
  name: { check: 'gas-path', title: 'Meter and cylinder' },
  group: 'gas-path',
  slots: ['flowMeter'],
  wellSaid: () => 'The meter fits the cylinder and reads true.',
})
