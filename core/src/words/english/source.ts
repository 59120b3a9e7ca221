/** The power source and its settings. */
import type { CriterionWords } from '../language.ts'

const LEADS = {
  'on-ac': 'Output on AC',
  'on-leads': 'Leads on {wanted}',
  'output-ac': 'The output is AC. {by} needs {wanted}',
  leads: 'The leads are on {set}. {by} needs {wanted}',
}

export const SOURCE: Readonly<Record<string, CriterionWords>> = {
  polarity: { title: 'Polarity', short: 'polarity', sentences: LEADS },
  'polarity-of-wire': { title: 'Polarity of wire or electrode', short: 'polarity', sentences: LEADS },
  'polarity-reach': {
    title: 'Polarity change',
    sentences: {
      leads: 'Swap the leads at the terminals of {source} to change polarity',
      plug: 'Move the polarity plug of {source} to change polarity',
      automatic: '{source} changes polarity with the process',
      wired: '{source} is wired for {only}',
      'wired-other': '{source} is wired for {only} only. The job needs {wanted}',
    },
  },
  'parts-chosen': { title: 'Parts chosen', sentences: {} },
  'rated-for-process': {
    title: 'Process on the plate',
    short: 'not on plate',
    sentences: {
      'not-rated': 'The plate of {source} does not list {process}',
      rated: '{source} is rated for {process}',
      'dc-only': '{source} is DC only. TIG on aluminium needs AC to break the oxide',
      'ac-only': '{source} is AC only. {process} needs DC',
      'no-pulse': '{source} has no pulse',
    },
  },
  'stick-strikes': {
    title: 'Striking the electrode',
    sentences: {
      strikes: '{source} has {open} open-circuit. {wire} strikes well from {wants}',
      'goes-out': '{source} has {open} open-circuit. {wire} needs {wants} to strike well and stay lit',
    },
  },
  'wave-for-metal': {
    title: 'AC for aluminium',
    short: 'needs AC',
    sentences: { dc: 'TIG on aluminium needs AC. DC does not break the oxide' },
  },
  'dc-for-metal': {
    title: 'DC for steel',
    short: 'DC is usual',
    sentences: { ac: 'TIG on {metal} is usual on DCEN. On AC the arc wanders and the tungsten wears fast' },
  },
  'ac-control': {
    title: 'AC balance and frequency',
    sentences: {
      none: '{source} has no balance or frequency control. Expect a wide arc and a rounder tungsten',
      both: '{source} sets electrode-positive {minPct} to {maxPct}, {minHz} to {maxHz}',
      balance: '{source} sets electrode-positive {minPct} to {maxPct}',
      frequency: '{source} sets {minHz} to {maxHz}',
    },
  },
  'start-method': {
    title: 'Arc start',
    sentences: {
      has: '{source} starts by {has|or}',
      other: 'The set-up needs {wanted} start. {source} starts by {has|or} only',
    },
  },
  'electronics-near': {
    title: 'Electronics nearby',
    sentences: {
      upsets: 'High-frequency start disturbs controls, computers and pacemakers nearby',
      none: 'No high frequency near the electronics',
    },
  },
  'gas-control': {
    title: 'Gas valve',
    sentences: {
      'leave-open': '{source} switches the gas. Leave the hand valve of the torch open',
      switches: '{source} switches the gas',
      wastes: 'The gas flows until you close the hand valve. Every start wastes some',
      'wastes-so-much': 'The gas flows until you close the hand valve. Every start wastes about {wasted}',
      'no-valve': 'Neither {source} nor {gun} has a gas valve. Nothing opens the gas',
    },
  },
  'auto-program': {
    title: 'Automatic program',
    short: 'no program',
    sentences: {
      covered: 'A program covers {wire}, {gas}',
      'by-hand': 'No program for {wire}, {gas}. Set volts and wire speed by hand',
      'no-pulse': 'No pulse program for {wire}, {gas}. Without one the arc is unsteady',
    },
  },
}
