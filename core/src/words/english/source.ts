/** The power source and its settings. */
import type { CriterionWords } from '../language.ts'

export const SOURCE: Readonly<Record<string, CriterionWords>> = {
  polarity: {
    title: 'Polarity',
    short: 'polarity',
    sentences: {
      'on-ac': 'Output on AC',
      'on-leads': 'Leads on {wanted}',
      'output-ac': 'The output is AC; {by} wants {wanted}',
      leads: 'Leads are on {set}; {by} wants {wanted}',
    },
  },
  'polarity-of-wire': {
    title: 'Polarity of wire or electrode',
    short: 'polarity',
    sentences: {
      'on-ac': 'Output on AC',
      'on-leads': 'Leads on {wanted}',
      'output-ac': 'The output is AC; {by} wants {wanted}',
      leads: 'Leads are on {set}; {by} wants {wanted}',
    },
  },
  'polarity-reach': {
    title: 'Polarity that it can take',
    sentences: {
      leads: '{source} changes polarity by swapping the leads at the terminals',
      plug: '{source} changes polarity by the polarity plug',
      automatic: '{source} changes polarity by itself with the process',
      wired: '{source} is wired for {only}',
      'wired-other': '{source} is wired for {only} only, and {wanted} is wanted',
    },
  },
  'parts-chosen': { title: 'Parts chosen', sentences: {} },
  'rated-for-process': {
    title: 'Process on the plate',
    short: 'not on plate',
    sentences: {
      'not-rated': '{source} is not rated for {process}',
      rated: '{source} is rated for {process}',
      'dc-only': '{source} gives DC only: aluminium by TIG wants AC, which breaks its oxide',
      'ac-only': '{source} gives AC only: {process} wants DC',
      'no-pulse': '{source} does not pulse',
    },
  },
  'stick-strikes': {
    title: 'Striking the electrode',
    sentences: {
      strikes: '{source} stands at {open} before the arc; {wire} strikes readily from {wants} on',
      'goes-out':
        '{source} stands at {open} before the arc; {wire} wants {wants} to strike readily and not to go out',
    },
  },
  'wave-for-metal': {
    title: 'AC for aluminium',
    short: 'needs AC',
    sentences: { dc: 'Aluminium by TIG wants AC: DC does not break its oxide' },
  },
  'ac-control': {
    title: 'AC balance and frequency',
    sentences: {
      none: '{source} has neither balance nor frequency to set: a wide arc and a rounder tungsten',
      both: '{source} sets electrode-positive {minPct} to {maxPct}, {minHz} to {maxHz}',
      balance: '{source} sets electrode-positive {minPct} to {maxPct}',
      frequency: '{source} sets {minHz} to {maxHz}',
    },
  },
  'start-method': {
    title: 'Start of the arc',
    sentences: {
      has: '{source} starts by {has|or}',
      other: 'You want {wanted} start; {source} starts by {has|or} only',
    },
  },
  'electronics-near': {
    title: 'Electronics near by',
    sentences: {
      upsets:
        'High-frequency start beside sensitive electronics: it upsets controls, computers and pacemakers',
      none: 'No high frequency near the electronics',
    },
  },
  'gas-control': {
    title: 'Gas valve',
    sentences: {
      'leave-open': '{source} switches the gas: leave the torch’s hand valve open',
      switches: '{source} switches the gas',
      wastes: 'The hand valve flows until somebody shuts it: gas wasted each start',
      'wastes-so-much': 'The hand valve flows until somebody shuts it: some {wasted} wasted each start',
      'no-valve': '{source} has no gas valve and neither has {gun}: nothing opens the gas',
    },
  },
  'auto-program': {
    title: 'Automatic program',
    short: 'no program',
    sentences: {
      covered: 'A program covers {wire}, {gas}',
      'by-hand': 'No program for {wire}, {gas}: set volts and wire speed by hand',
      'no-pulse': 'No pulse program for {wire}, {gas}: the arc will not be steady without one',
    },
  },
}
