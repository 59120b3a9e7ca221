/** Criteria of polarity: what wire and process want, and whether the source can be changed to it. */
import { commonPractice, dataPlate, type Source } from '../basis/source.ts'
import type { Capability } from '../capability/capability.ts'
import type { Polarity } from '../model/process.ts'
import { polaritiesOfClass, type Said } from '../reference/classification.ts'
import { type Param, message, word } from '../model/message.ts'
import type { Criterion } from './criterion.ts'
import { bad, good, type Judged, ofSetUp } from './grouped.ts'

/** What the wire or the electrode may be run on, the usual one first; null where neither data nor class say. */
function ofWire({ process, wire }: Capability): Said<readonly Polarity[]> | null {
  if (!wire || process.electrode === 'tungsten') return null
  if (wire.polarity !== null) return { value: [wire.polarity], source: dataPlate('the wire’s own data') }
  return polaritiesOfClass(wire.classification)
}

/** Where it may be run on what is set, that; else the usual one of the wire, or of the process. */
function wantedPolarity(capability: Capability): Polarity {
  const may = ofWire(capability)?.value
  const { polarity } = capability.settings
  if (!may) return capability.process.polarity
  return may.includes(polarity) ? polarity : (may[0] ?? capability.process.polarity)
}

/** Polarity set wrong is the commonest set-up fault there is. */
function leadsOn({ settings }: Capability, wanted: Polarity, by: Param, source: Source): Judged {
  const params = { set: word('polarity', settings.polarity), wanted: word('polarity', wanted), by }
  if (settings.polarity === wanted) return good(wanted === 'ac' ? 'on-ac' : 'on-leads', params, source)
  return bad(settings.polarity === 'ac' ? 'output-ac' : 'leads', params, source)
}

const polarityMends: Criterion['mends'] = (capability) => {
  const wanted = wantedPolarity(capability)
  const isByLeads = wanted !== 'ac' && capability.settings.polarity !== 'ac'
  return [
    {
      ...message(isByLeads ? 'swap-leads' : 'set-polarity', { wanted: word('polarity', wanted) }),
      patch: { on: 'set-up', change: { polarity: wanted } },
    },
  ]
}

/** A matter of the leads: no part of the set-up is at fault. */
const polarityOfProcess = ofSetUp(
  'polarity',
  'polarity',
  [],
  (capability) =>
    ofWire(capability) === null
      ? leadsOn(
          capability,
          capability.process.polarity,
          word('process', capability.process.id),
          commonPractice('usual polarity of the process'),
        )
      : null,
  { mends: polarityMends },
)

const polarityOfWire = ofSetUp(
  'polarity-of-wire',
  'polarity',
  ['wire'],
  (capability) => {
    const said = ofWire(capability)
    return capability.wire && said
      ? leadsOn(capability, wantedPolarity(capability), capability.wire.name, said.source)
      : null
  },
  { mends: polarityMends },
)

/** Some small machines are wired for one polarity only. */
const polarityReach = ofSetUp(
  'polarity-reach',
  'polarity',
  ['powerSource', 'wire'],
  (capability) => {
    const { powerSource } = capability
    const wanted = wantedPolarity(capability)
    if (!powerSource?.polarityChange || wanted === 'ac') return null
    const { polarityChange: change, name: source } = powerSource
    if (change !== 'fixed-dcep' && change !== 'fixed-dcen') return good(change, { source }, dataPlate())
    const only = change === 'fixed-dcep' ? 'dcep' : 'dcen'
    const params = { source, only: word('polarity', only), wanted: word('polarity', wanted) }
    return only === wanted ? good('wired', params, dataPlate()) : bad('wired-other', params, dataPlate())
  },
  { mends: () => [message('wire-or-source')] },
)

export const POLARITY_CRITERIA: readonly Criterion[] = [polarityOfProcess, polarityOfWire, polarityReach]
