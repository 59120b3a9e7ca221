/** Rules of polarity: what wire and process want, and whether the source can be changed to it. */
import { commonPractice, dataPlate, type Source } from '../../model/source.ts'
import { term } from '../../model/working.ts'
import type { Polarity } from '../../reference/processes.ts'
import type { Assembly } from '../assembly.ts'
import { fits, type Judge, type Judgement, type Rule, short } from '../rule.ts'

export const POLARITY_WORDS = {
  dcep: 'DC, electrode positive (DCEP)',
  dcen: 'DC, electrode negative (DCEN)',
  ac: 'AC',
} as const

const ofWire = ({ process, wire }: Pick<Assembly, 'process' | 'wire'>) =>
  process.feedsWire ? (wire?.polarity ?? null) : null

/** The wire’s own data decide, else the usual polarity of the process. */
export const wantedPolarity = (assembly: Pick<Assembly, 'process' | 'wire'>) =>
  ofWire(assembly) ?? assembly.process.polarity

/** Polarity set wrong is the commonest set-up fault there is. */
function leadsOn({ settings }: Assembly, wanted: Polarity, by: string, source: Source): Judgement {
  const steps = () => [
    {
      says: 'Polarity wanted',
      formula: 'the wire’s data, else the process',
      terms: [term('set', 'leads of the set-up', POLARITY_WORDS[settings.polarity], '', dataPlate('set-up'))],
      result: { symbol: 'wanted', value: POLARITY_WORDS[wanted], unit: '' },
      source,
    },
  ]
  if (settings.polarity === wanted)
    return fits(() => (wanted === 'ac' ? 'Output on AC' : `Leads on ${POLARITY_WORDS[wanted]}`), source, {
      steps,
    })
  return short(
    () =>
      `${settings.polarity === 'ac' ? 'The output is AC' : `Leads are on ${settings.polarity.toUpperCase()}`}; ${by} wants ${POLARITY_WORDS[wanted]}`,
    source,
    {
      steps,
      mends: [
        {
          says:
            wanted === 'ac' || settings.polarity === 'ac'
              ? `Set it to ${POLARITY_WORDS[wanted]}`
              : `Swap the leads to ${POLARITY_WORDS[wanted]}`,
          patch: { on: 'set-up', change: { polarity: wanted } },
        },
      ],
    },
  )
}

const polarityOfProcess: Judge = (assembly) =>
  ofWire(assembly) === null
    ? leadsOn(
        assembly,
        assembly.process.polarity,
        assembly.process.workshopWord,
        commonPractice('usual polarity of the process'),
      )
    : null

const polarityOfWire: Judge = (assembly) => {
  const wanted = ofWire(assembly)
  const { wire } = assembly
  return wire && wanted ? leadsOn(assembly, wanted, wire.name, dataPlate('the wire’s own data')) : null
}

const HOW = {
  leads: 'by swapping the leads at the terminals',
  plug: 'by the polarity plug',
  automatic: 'by itself with the process',
} as const

/** Some small machines are wired for one polarity only. */
const polarityReach: Judge = (assembly) => {
  const { powerSource } = assembly
  const wanted = wantedPolarity(assembly)
  if (!powerSource?.polarityChange || wanted === 'ac') return null
  const { polarityChange: change, name } = powerSource
  if (change !== 'fixed-dcep' && change !== 'fixed-dcen') {
    return fits(() => `${name} changes polarity ${HOW[change]}`, dataPlate())
  }
  const only = change === 'fixed-dcep' ? 'dcep' : 'dcen'
  return only === wanted
    ? fits(() => `${name} is wired for ${POLARITY_WORDS[only]}`, dataPlate())
    : short(
        () => `${name} is wired for ${POLARITY_WORDS[only]} only, and ${POLARITY_WORDS[wanted]} is wanted`,
        dataPlate(),
        {
          mends: [{ says: 'A wire made for that polarity, or another power source' }],
        },
      )
}

export const POLARITY_RULES: readonly Rule[] = [
  // A matter of the leads: no part of the set-up is at fault.
  { id: 'polarity', title: 'Polarity', group: 'polarity', slots: [], judge: polarityOfProcess },
  {
    id: 'polarity-of-wire',
    title: 'Polarity of the wire',
    group: 'polarity',
    slots: ['wire'],
    judge: polarityOfWire,
  },
  {
    id: 'polarity-reach',
    title: 'Polarity that it can take',
    group: 'polarity',
    slots: ['powerSource', 'wire'],
    judge: polarityReach,
  },
]
