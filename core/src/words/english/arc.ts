/** What flows through source, gun and electrode, and what it makes of the weld. */
import type { CriterionWords } from '../language.ts'

export const ARC: Readonly<Record<string, CriterionWords>> = {
  'source-duty': {
    title: 'Source duty at {current}',
    short: 'duty {demand}',
    sentences: {
      measured: 'The worst ten minutes ask {demand}; the source allows {capacity}',
      pace: 'It sets the pace: the worst ten minutes ask {demand}, and at {capacity} you weld {arc} in every {span}',
      'pace-unbroken':
        'It sets the pace: the source allows {may} of arc in ten minutes at this current, and one weld around takes {one}',
    },
  },
  'gun-duty': {
    title: '{holder} at this duty',
    short: 'gun',
    sentences: {
      measured: 'The weld wants {demand}; the {holder} carries {capacity}',
      slower:
        'It sets the pace: the weld wants {demand}, and the {holder} carries {capacity} at this duty; rest between welds lets it carry more',
      carries: '{gun} carries {carries} {gas}',
    },
  },
  'source-range': {
    title: 'Source output',
    short: 'source',
    shortLow: 'source too hot',
    sentences: {
      measured: 'The weld wants {demand}; the source gives {capacity}',
      slower:
        'The weld wants {demand}; the source gives {capacity}. From {least} on it is sound: slower, with smaller beads',
      'above-low-end':
        'The weld wants {demand}; the source gives {capacity}. At its least it is hotter than wanted, and does not burn through',
    },
  },
  electrode: {
    title: '{holder} current',
    short: '{holder}',
    shortLow: '{holder} too thick',
    sentences: {
      measured: 'The weld wants {demand}; {name} runs {capacity}',
      slower:
        'The weld wants {demand}; {name} runs {capacity}. From {least} on it is sound: slower, with smaller beads',
      'above-low-end':
        'The weld wants {demand}; {name} runs {capacity}. Below its range it wanders a little; another size runs steadier',
      runs: '{name} runs {low} to {high}',
    },
  },
  'arc-volts': {
    title: 'Volts of the arc',
    short: 'volts',
    sentences: {
      measured: 'The arc starts at {demand}; the source is rated for {capacity} at this current',
      'a-little-short':
        'The arc starts at {demand}, and the source is rated for {capacity} at this current: a little less wire speed makes up for it',
      short:
        'The arc starts at {demand}, and the source is rated for {capacity} at this current: it burns too short to run',
    },
  },
  'feed-speed': {
    title: 'Wire feed speed',
    short: 'wire feed',
    sentences: {
      measured: '{wire} burns off at {demand}; {feeder} reaches {capacity} on {supply}',
      'too-fast': 'At {current} {wire} burns off at {demand}; {feeder} feeds {capacity}',
      'at-lowest':
        'At its lowest current, {current}, {wire} burns off {demand}; {feeder} reaches {capacity} on {supply}',
    },
  },
  thickness: {
    title: 'Thickness',
    short: 'thickness',
    sentences: {
      measured: 'The part or the layer to heat is {demand}; the weakest link welds {capacity}',
      slower:
        'The part or the layer to heat is {demand}; the weakest link welds {capacity} at full current, and this slower, with smaller beads',
    },
  },
  'wire-above-output': {
    title: 'Wire and output',
    sentences: {
      above: '{wire} starts at {starts}; the source gives {gives} on {supply}',
      within: '{wire} starts at {starts}, the source gives up to {gives} on {supply}',
    },
  },
  'gun-for-wire': {
    title: 'Rating and wire',
    sentences: {
      above: '{gun} carries {carries}; {wire} starts at {starts}',
      within: '{wire} starts at {starts}, below the {carries} that {gun} carries',
    },
  },
  'output-range': {
    title: 'Range switch',
    short: 'between ranges',
    sentences: {
      set: 'Set the range switch to {mark} for {current}',
      between: 'No range of the switch has {current}: it lies between two of them',
    },
  },
  'volts-tap': {
    title: 'Voltage taps',
    short: 'taps',
    sentences: {
      near: 'Tap {mark}: {off} {way}',
      off: 'The nearest tap, {mark}, is {off} {way}: feed {feed}, about {current}, to suit it',
    },
  },
  'start-amps': {
    title: 'Start current',
    short: 'start current',
    sentences: {
      lights: 'The start current lights {tungsten}',
      'too-low': 'The start current ends at {most}: {tungsten} lights well from {lights} on',
      'too-high':
        'The start current is {least} at the least: thin sheet may burn through before the arc settles',
    },
  },
}
