/** Wire, gas, tungsten and time that a job uses. */
import type { CriterionWords } from '../language.ts'

export const USE: Readonly<Record<string, CriterionWords>> = {
  'wire-use': {
    title: '{filler} used',
    short: 'wire on hand',
    sentences: {
      measured: 'The job uses {demand}. On hand: {capacity}',
      'measured-net': 'The job uses {demand}. Left after jobs due earlier: {capacity}',
      'measured-rest': 'The job still uses {demand}. Left for it: {capacity}',
      'wire-stock': 'The job uses {demand}. Enter the stock of {wire} to see if it lasts',
    },
  },
  'gas-use': {
    title: 'Gas used',
    short: 'gas on hand',
    sentences: {
      measured: 'The job uses {demand}. In the cylinder: {capacity}',
      'measured-net': 'The job uses {demand}. Left after jobs due earlier: {capacity}',
      'measured-rest': 'The job still uses {demand}. Left for it: {capacity}',
      'gas-left': 'The job uses {demand}. Enter the cylinder pressure of {gas} to see if it lasts',
    },
  },
  'tungsten-use': {
    title: 'Tungsten used',
    short: 'tungsten on hand',
    sentences: {
      measured: 'The job uses {demand}. On hand: {capacity}',
      'measured-net': 'The job uses {demand}. Left after jobs due earlier: {capacity}',
      'measured-rest': 'The job still uses {demand}. Left for it: {capacity}',
      'tungsten-stock': 'The job uses {demand}. Enter the stock of {tungsten} to see if it lasts',
    },
  },
  'time-use': {
    title: 'Working time',
    short: 'hours',
    sentences: {
      measured: 'The job takes {demand}. Planned: {capacity}',
      hours: 'The job takes {demand}. Enter its planned hours to compare',
    },
  },
}
