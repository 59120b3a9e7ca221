/** The current through source, gun and electrode, and what it makes of the weld. */
import type { CriterionWords } from '../language.ts'

export const ARC: Readonly<Record<string, CriterionWords>> = {
  'source-duty': {
    title: 'Duty cycle at {current}',
    short: 'duty {demand}',
    sentences: {
      measured: 'The worst ten minutes need {demand} duty cycle. The source allows {capacity}',
      pace: 'Duty cycle limits you: the job needs {demand}, the source allows {capacity}. Weld {arc} in every {span}',
      'pace-unbroken':
        'Duty cycle limits you: the source allows {may} of arc in ten minutes. One weld takes {one}',
    },
  },
  'gun-duty': {
    title: '{holder} current',
    short: '{holder}',
    sentences: {
      measured: 'This weld needs {demand}. The {holder} carries {capacity} at this duty cycle',
      slower:
        'This weld needs {demand}. The {holder} carries {capacity} at this duty cycle. Rest between welds raises that',
      carries: '{gun} carries {carries} {gas}',
    },
  },
  'source-range': {
    title: 'Source output',
    short: 'source',
    shortLow: 'source too hot',
    sentences: {
      measured: 'This weld needs {demand}. The source gives {capacity}',
      slower:
        'This weld needs {demand}. The source gives {capacity}. From {least} the weld is sound: slower, with smaller beads',
      'above-low-end':
        'This weld needs {demand}. The source gives {capacity}. At its lowest it runs hot, but does not burn through',
    },
  },
  electrode: {
    title: '{holder} current',
    short: '{holder}',
    shortLow: '{holder} too thick',
    sentences: {
      measured: 'This weld needs {demand}. {name} runs at {capacity}',
      slower:
        'This weld needs {demand}. {name} runs at {capacity}. From {least} the weld is sound: slower, with smaller beads',
      'above-low-end':
        'This weld needs {demand}. {name} runs at {capacity}. Below that the arc wanders a little. Another size runs steadier',
      runs: '{name} runs at {low} to {high}',
    },
  },
  'arc-volts': {
    title: 'Arc voltage',
    short: 'arc volts',
    sentences: {
      measured: 'The arc needs {demand}. The source is rated for {capacity} at this current',
      'a-little-short':
        'The arc needs {demand}. The source is rated for {capacity} at this current. Lower the wire feed speed a little',
      short: 'The arc needs {demand}. The source is rated for {capacity} at this current. The wire stubs',
    },
  },
  'feed-speed': {
    title: 'Wire feed speed',
    short: 'wire feed',
    sentences: {
      measured: '{wire} needs {demand}. {feeder} feeds up to {capacity} on {supply}',
      'too-fast': 'At {current} {wire} needs {demand}. {feeder} feeds {capacity}',
      'at-lowest':
        'At its lowest current, {current}, {wire} needs {demand}. {feeder} feeds up to {capacity} on {supply}',
    },
  },
  thickness: {
    title: 'Thickness',
    short: 'thickness',
    sentences: {
      measured: 'The part is {demand} thick. This set-up welds up to {capacity}',
      slower:
        'The part is {demand} thick. This set-up welds {capacity} at full current. Thicker goes slower, with smaller beads',
    },
  },
  'wire-above-output': {
    title: 'Wire and output',
    sentences: {
      above: '{wire} starts at {starts}. The source gives {gives} on {supply}',
      within: '{wire} starts at {starts}. The source gives up to {gives} on {supply}',
    },
  },
  'gun-for-wire': {
    title: 'Gun rating and wire',
    sentences: {
      above: '{gun} carries {carries}. {wire} starts at {starts}',
      within: '{wire} starts at {starts}, below the {carries} of {gun}',
    },
  },
  'output-range': {
    title: 'Range switch',
    short: 'between ranges',
    sentences: {
      set: 'Set the range switch to {mark} for {current}',
      between: 'No range of the switch covers {current}',
    },
  },
  'volts-tap': {
    title: 'Voltage taps',
    short: 'taps',
    sentences: {
      near: 'Tap {mark}: {off} {way}',
      off: 'The nearest tap, {mark}, is {off} {way}. Set the wire to {feed}, about {current}, to suit it',
    },
  },
  'start-amps': {
    title: 'Start current',
    short: 'start current',
    sentences: {
      lights: 'The start current lights {tungsten}',
      'too-low': 'The start current is {most} at most. {tungsten} lights well from {lights}',
      'too-high': 'The start current is {least} at least. Thin sheet may burn through before the arc settles',
    },
  },
}
