/** Criteria of polarity: what wire and process want, and whether the source can be changed to it. */
import { commonPractice, dataPlate, type Source } from '../basis/source.ts'
import type { Capability } from '../capability/capability.ts'
import type { Polarity } from '../model/process.ts'
import { polaritiesOfClass, type Said } from '../reference/classification.ts'
import { type Param, told, word } from '../model/told.ts'
import type { Criterion } from './criterion.ts'
import { bad, good, type Judged, ofSetUp } from './grouped.ts'

/** What the wire or the electrode may be run on, the usual one first; null where neither data nor class say. */
function ofWire({ process, wire }: Capability): Said<readonly Polarity[]> | null {
  if (!wire || process.electrode === 'tungsten') return null
  if (wire.polarity !== null) return { value: [wire.polarity], source: dataPlate('the wire’s own data') }
  return polaritiesOfClass(wire.classification)
}

/** Where it may be run on what is set, that; else the usual one of the wire, or of the process. */
function wantedPolarity(c: Capability): Polarity {
  const may = ofWire(c)?.value
  const { polarity } = c.settings
  if (!may) return c.process.polarity
  return may.includes(polarity) ? polarity : (may[0] ?? c.process.polarity)
}

/** Polarity set wrong is the commonest set-up fault there is. */
function leadsOn({ settings }: Capability, wanted: Polarity, by: Param, source: Source): Judged {
  const params = { set: word('polarity', settings.polarity), wanted: word('polarity', wanted), by }
  if (settings.polarity === wanted) return good(wanted === 'ac' ? 'on-ac' : 'on-leads', params, source)
  return bad(settings.polarity === 'ac' ? 'output-ac' : 'leads', params, source)
}

const polarityMends: Criterion['mends'] = (c) => {
  const wanted = wantedPolarity(c)
  const isByLeads = wanted !== 'ac' && c.settings.polarity !== 'ac'
  return [
    {
      ...told(isByLeads ? 'swap-leads' : 'set-polarity', { wanted: word('polarity', wanted) }),
      patch: { on: 'set-up', change: { polarity: wanted } },
    },
  ]
}

/** A matter of the leads: no part of the set-up is at fault. */
const polarityOfProcess = ofSetUp(
  'polarity',
  'polarity',
  [],
  (c) =>
    ofWire(c) === null
      ? leadsOn(
          c,
          c.process.polarity,
          word('process', c.process.id),
          commonPractice('usual polarity of the process'),
        )
      : null,
  { mends: polarityMends },
)

const polarityOfWire = ofSetUp(
  'polarity-of-wire',
  'polarity',
  ['wire'],
  (c) => {
    const said = ofWire(c)
    return c.wire && said ? leadsOn(c, wantedPolarity(c), c.wire.name, said.source) : null
  },
  { mends: polarityMends },
)

/** Some small machines are wired for one polarity only. */
const polarityReach = ofSetUp(
  'polarity-reach',
  'polarity',
  ['powerSource', 'wire'],
  (c) => {
    const { powerSource } = c
    const wanted = wantedPolarity(c)
    if (!powerSource?.polarityChange || wanted === 'ac') return null
    const { polarityChange: change, name: source } = powerSource
    if (change !== 'fixed-dcep' && change !== 'fixed-dcen') return good(change, { source }, dataPlate())
    const only = change === 'fixed-dcep' ? 'dcep' : 'dcen'
    const params = { source, only: word('polarity', only), wanted: word('polarity', wanted) }
    return only === wanted ? good('wired', params, dataPlate()) : bad('wired-other', params, dataPlate())
  },
  { mends: () => [told('wire-or-source')] },
)

export const POLARITY_CRITERIA: readonly Criterion[] = [polarityOfProcess, polarityOfWire, polarityReach]
