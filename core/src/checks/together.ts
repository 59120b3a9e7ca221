/** Whether the parts of the set-up go together: start of the arc, wire path, torch, and the way of the gas. */
import { rulesOf } from './rulesOf.ts'

export const together = rulesOf({
  name: { check: 'together', title: 'Parts go together' },
  groups: ['source', 'torch', 'wire-path', 'gas-path'],
  slots: ['feeder', 'roll', 'liner', 'tip', 'nozzle', 'collet', 'colletBody', 'cup', 'backCap', 'flowMeter'],
  // These have checks of their own, with the job's figures.
  without: [
    'rated-for-process',
    'rated-for-supply',
    'low-current',
    'gun-rating',
    'torch-rating',
    'tungsten-current',
  ],
  wellSaid: ({ process }) =>
    process.feedsWire
      ? 'Rolls, liner, tip, nozzle, spool, connector and meter go with the wire and with each other.'
      : 'Collet, body, cup, cap and tungsten are one set; start, connector and meter suit.',
})
