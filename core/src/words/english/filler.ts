/** Filler and gas. */
import type { CriterionWords } from '../language.ts'

export const FILLER: Readonly<Record<string, CriterionWords>> = {
  'wire-form': {
    title: 'Filler for the process',
    sentences: {
      right: '{wire} is a filler for {process}',
      other: '{wire} is a {form}; {process} wants a {wanted}',
    },
  },
  'filler-for-metal': {
    title: 'Filler for the metal',
    short: 'wrong filler',
    sentences: {
      'not-weldable': '{pair|to}: {why}',
      excluded: '{wire} is not for {pair|to}: {why}',
      unusual: '{wire} is not for {pair|to}: usual are {fillers}',
      'not-by-process': '{pair|to} is not welded by {process} in ordinary work',
      'needs-procedure': '{pair|to} needs a procedure. {why}',
      right: '{wire} is a filler for {pair|to}',
    },
  },
  'wire-position': {
    title: 'Wire and position',
    sentences: {
      'flat-only': '{wire} is for flat and horizontal only',
      'flat-alone': '{wire} is for the flat position alone, and the job has welds {position}',
      beyond: '{wire} is for flat and horizontal only, and the job has welds {position}',
      'upward-only':
        '{wire} is not for welds {position}: its slag runs ahead of the pool and stays in the weld',
    },
  },
  'gas-for-process': {
    title: 'Gas for the process',
    short: 'wrong gas',
    sentences: {
      'takes-none': 'Self-shielded wire takes no gas: close the cylinder',
      inert: '{gas} is inert',
      burns: 'TIG wants pure argon: {gas} burns the tungsten',
    },
  },
  'gas-for-metal': {
    title: 'Gas for the metal',
    short: 'wrong gas',
    sentences: {
      oxidises: 'Aluminium wants pure argon: {gas} oxidises it',
      wanders: 'Steel wire wanders in inert gas: use an argon mix or CO₂ instead of {gas}',
      'wanders-stainless':
        'Stainless wire wanders in {gas} and piles up: it wants a little CO₂ or oxygen in the gas',
      corrodes: '{gas} takes the corrosion resistance out of stainless: CO₂ of {most} at most',
      suits: '{gas} suits the metal',
    },
  },
  'gas-for-spray': {
    title: 'Gas for spray',
    short: 'gas for spray',
    sentences: {
      'never-sprays': 'With {share} CO₂ steel never sprays: use at least 80 % argon',
      sprays: '{share} CO₂ lets steel spray',
    },
  },
  'gas-of-wire': {
    title: 'Gas of the wire',
    sentences: {
      'made-for': '{wire} is made for {wanted}',
      'not-made-for': '{wire} is made for {wanted}, not {gas}',
    },
  },
  wind: {
    title: 'Wind',
    sentences: {
      blows: 'Wind of {wind} blows the gas away above {most}: screen the weld or use self-shielded wire',
      still: 'Wind of {wind} leaves the gas where it is, up to {most}',
    },
  },
  'gas-fitting': {
    title: 'Cylinder fitting',
    sentences: {
      fits: '{meter} fits the valve for {wanted}',
      other: '{meter} fits the valve for {has|and}; {gas} has the valve for {wanted}',
    },
  },
  'flow-scale': {
    title: 'Flow meter scale',
    sentences: {
      true: 'Read the {scale} scale: true for {gas} within {within}',
      'reads-low': 'The {scale} scale reads low on {gas}: for {truth} set {reading}',
      'reads-high': 'The {scale} scale reads high on {gas}: for {truth} set {reading}',
    },
  },
  'regulator-freezing': {
    title: 'Freezing',
    sentences: {
      heated: '{meter} is heated: it does not freeze',
      'may-freeze': 'CO₂ at {flow} may freeze a regulator without heater, from about {most} on',
      flows: 'CO₂ at {flow} does not freeze the regulator, up to about {most}',
    },
  },
  'flow-bounds': {
    title: 'Flow of the gas',
    short: 'gas flow',
    sentences: {
      covers: '{flow} covers the pool',
      'meter-ends': 'The scale of the meter ends at {most}; the weld needs {flow}',
      tumbles: '{flow} through a bore of {bore} tumbles and draws air in: up to {most} leaves it smoothly',
      thin: '{flow} is thin: in still air at least {least}',
    },
  },
}
