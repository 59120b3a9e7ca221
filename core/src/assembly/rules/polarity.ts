/** Rules of polarity: what wire and process want, and whether the source can be changed to it. */
import { commonPractice, dataPlate } from '../../model/source.ts'
import { term } from '../../model/working.ts'
import type { Assembly } from '../assembly.ts'
import { fits, type Judge, type Rule, short } from '../rule.ts'

export const POLARITY_WORDS = {
  dcep: 'DC, electrode positive (DCEP)',
  dcen: 'DC, electrode negative (DCEN)',
  ac: 'AC',
} as const

/** The wire's own data decide, else the usual polarity of the process. */
export const wantedPolarity = ({ process, wire }: Pick<Assembly, 'process' | 'wire'>) =>
  (process.feedsWire ? wire?.polarity : null) ?? process.polarity

/** Polarity set wrong is the commonest set-up fault there is. */
const polarityOfWire: Judge = (assembly) => {
  const { process, wire, settings } = assembly
  const wanted = wantedPolarity(assembly)
  const ofWire = process.feedsWire && wire !== null && wire.polarity !== null
  const wants = ofWire ? wire.name : process.workshopWord
  const source = ofWire ? dataPlate('the wire’s own data') : commonPractice('usual polarity of the process')
  const steps = () => [
    {
      says: 'Polarity wanted',
      formula: 'the wire’s data, else the process',
      terms: [term('set', 'leads of the set-up', POLARITY_WORDS[settings.polarity], '', dataPlate('set-up'))],
      result: { symbol: 'wanted', value: POLARITY_WORDS[wanted], unit: '' },
      source,
    },
  ]
  if (settings.polarity === wanted) return fits(() => `Leads on ${POLARITY_WORDS[wanted]}`, source, { steps })
  return short(
    () => `Leads are on ${settings.polarity.toUpperCase()}; ${wants} wants ${POLARITY_WORDS[wanted]}`,
    source,
    {
      steps,
      mends: [
        {
          says: `Swap the leads to ${POLARITY_WORDS[wanted]}`,
          patch: { on: 'set-up', change: { polarity: wanted } },
        },
      ],
    },
  )
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
  { id: 'polarity', title: 'Polarity', group: 'polarity', slots: ['wire'], judge: polarityOfWire },
  {
    id: 'polarity-reach',
    title: 'Polarity that it can take',
    group: 'polarity',
    slots: ['powerSource', 'wire'],
    judge: polarityReach,
  },
]
