/** Filler and gas. */
import type { CriterionWords } from '../language.ts'

export const FILLER: Readonly<Record<string, CriterionWords>> = {
  'wire-form': {
    title: 'Filler for the process',
    sentences: {
      right: '{wire} suits {process}',
      other: '{wire} is a {form}. {process} needs a {wanted}',
    },
  },
  'filler-for-metal': {
    title: 'Filler for the metal',
    short: 'wrong filler',
    sentences: {
      'not-weldable': '{pair|to}: {why}',
      excluded: '{wire} is wrong for {pair|to}: {why}',
      unusual: '{wire} is wrong for {pair|to}. Usual: {fillers}',
      'not-by-process': '{process} does not weld {pair|to} in ordinary work',
      'needs-procedure': '{pair|to} needs a procedure. {why}',
      right: '{wire} suits {pair|to}',
    },
  },
  'wire-position': {
    title: 'Wire and position',
    sentences: {
      'flat-only': '{wire} is for flat and horizontal only',
      'flat-alone': '{wire} is for flat only. The job has welds {position}',
      beyond: '{wire} is for flat and horizontal only. The job has welds {position}',
      'upward-only':
        '{wire} is not for welds {position}. Its slag runs ahead of the pool and stays in the weld',
    },
  },
  'gas-for-process': {
    title: 'Gas for the process',
    short: 'wrong gas',
    sentences: {
      'takes-none': 'Self-shielded wire needs no gas. Close the cylinder',
      inert: '{gas} is inert',
      burns: 'TIG needs pure argon. {gas} burns the tungsten',
    },
  },
  'gas-for-metal': {
    title: 'Gas for the metal',
    short: 'wrong gas',
    sentences: {
      oxidises: 'Aluminium needs pure argon. {gas} oxidises it',
      wanders: 'The arc wanders on steel in inert gas. Use an argon mix or CO₂ instead of {gas}',
      'wanders-stainless': 'The arc wanders on stainless in {gas}. The gas needs a little CO₂ or oxygen',
      corrodes: '{gas} spoils the corrosion resistance of stainless. CO₂ at most {most}',
      suits: '{gas} suits the metal',
    },
  },
  'gas-for-spray': {
    title: 'Gas for spray',
    short: 'gas for spray',
    sentences: {
      'never-sprays': 'Steel never sprays with {share} CO₂. Use at least 80 % argon',
      sprays: 'Steel sprays with {share} CO₂',
    },
  },
  'gas-of-wire': {
    title: 'Gas for the wire',
    sentences: {
      'made-for': '{wire} is made for {wanted}',
      'not-made-for': '{wire} is made for {wanted}, not {gas}',
    },
  },
  wind: {
    title: 'Wind',
    short: 'wind',
    sentences: {
      blows:
        'Wind {wind} blows the gas away. The limit is {most}. Screen the weld, or use self-shielded wire',
      still: 'Wind {wind} leaves the gas in place. The limit is {most}',
    },
  },
  'gas-fitting': {
    title: 'Cylinder fitting',
    sentences: {
      fits: '{meter} fits the valve for {wanted}',
      other: '{meter} fits the valve for {has|and}. {gas} has the valve for {wanted}',
    },
  },
  'flow-scale': {
    title: 'Flow meter scale',
    sentences: {
      true: 'Read the {scale} scale. It is true for {gas} within {within}',
      'reads-low': 'The {scale} scale reads low on {gas}. For {truth} set {reading}',
      'reads-high': 'The {scale} scale reads high on {gas}. For {truth} set {reading}',
    },
  },
  'regulator-freezing': {
    title: 'Regulator freezing',
    sentences: {
      heated: '{meter} is heated. It does not freeze',
      'may-freeze': 'CO₂ at {flow} may freeze an unheated regulator. The limit is about {most}',
      flows: 'CO₂ at {flow} does not freeze the regulator. The limit is about {most}',
    },
  },
  'flow-bounds': {
    title: 'Gas flow rate',
    short: 'gas flow',
    sentences: {
      covers: '{flow} shields the pool',
      'meter-ends': 'The scale of the meter ends at {most}. The weld needs {flow}',
      tumbles: '{flow} through a {bore} bore is turbulent and draws air in. At most {most}',
      thin: '{flow} is too low. In still air at least {least}',
    },
  },
}
