/** What is used up. */
import type { CriterionWords } from '../language.ts'

export const USE: Readonly<Record<string, CriterionWords>> = {
  'wire-use': {
    title: '{filler} used',
    short: 'wire left',
    sentences: {
      measured: 'The job uses {demand}; on the shelf {capacity}',
      'wire-stock': 'The job uses {demand}. Not judged: nobody has counted {wire}',
    },
  },
  'gas-use': {
    title: 'Gas used',
    short: 'gas left',
    sentences: {
      measured: 'The job uses {demand}; left in the cylinder {capacity}',
      'gas-left': 'The job uses {demand}. Not judged: nobody has read the gauge of {gas}',
    },
  },
  'tungsten-use': {
    title: 'Tungsten used',
    short: 'tungsten left',
    sentences: {
      measured: 'The job grinds away {demand}; in the drawer {capacity}',
      'tungsten-stock': 'The job grinds away {demand}. Not judged: nobody has counted {tungsten}',
    },
  },
  'time-use': {
    title: 'Working time',
    short: 'hours',
    sentences: {
      measured: 'The job takes {demand}; set aside {capacity}',
      hours: 'The job takes {demand}. Not judged: no hours are set aside for it',
    },
  },
}
