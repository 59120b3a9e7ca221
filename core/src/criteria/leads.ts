/** Criteria of the welding leads: do they carry it, and what is lost in them before the arc. */
import { commonPractice, computed, shopField } from '../basis/source.ts'
import { assumed, calculation, from, input } from '../calculation/calculation.ts'
import type { Capability } from '../capability/capability.ts'
import { type Demand, jobDuty, mostWanted } from '../demand/demand.ts'
import { figure, message } from '../model/message.ts'
import { weldingDrawn, weldingDrawnA } from '../supply/inputCurrent.ts'
import {
  LEAD_SOURCE,
  leadCarriesA,
  leadSizesIn,
  leadVolts,
  lostAtArc,
  lostAtArcA,
  lostInLeads,
} from '../supply/leads.ts'
import { NO_ARC_TIME } from './carries.ts'
import { type Criterion, measured, type Mend, unknown } from './criterion.ts'

const heating = calculation({
  id: 'lead-heating',
  title: 'Continuous equivalent current for the leads',
  symbol: 'I_e',
  unit: 'A',
  expression: 'I_2 * sqrt(X / 100)',
  inputs: { I_2: from(weldingDrawn), X: from(jobDuty) },
  compute: ({ I_2, X }) => I_2 * Math.sqrt(X / 100),
  source: computed('heat goes with the square of the current'),
})
const rating = calculation({
  id: 'lead-rating',
  title: 'What the leads carry continuously',
  symbol: 'A_l',
  unit: 'A',
  expression: 'A_l',
  method: 'row of the table for this size, between two rows straight in the logarithms',
  inputs: { A_l: input('of the table', 'A', LEAD_SOURCE) },
  compute: ({ A_l }) => A_l,
  source: LEAD_SOURCE,
})
const mostLost = calculation({
  id: 'lead-volts-most',
  title: 'Most volts that the leads may eat',
  symbol: 'U_most',
  unit: 'V',
  expression: 'U_m',
  inputs: { U_m: assumed('leadsLostMostV') },
  compute: ({ U_m }) => U_m,
  source: commonPractice(),
})

const clampMost = calculation({
  id: 'return-volts-most',
  title: 'Most volts between clamp and work that are good',
  symbol: 'U_most',
  unit: 'V',
  expression: 'U_m',
  inputs: { U_m: assumed('returnMostV') },
  compute: ({ U_m }) => U_m,
  source: commonPractice(),
})
const clampMeasured = calculation({
  id: 'return-volts',
  title: 'Volts between clamp and work while it welds',
  symbol: 'U_c',
  unit: 'V',
  expression: 'U_c',
  inputs: { U_c: input('as measured', 'V', shopField('clamp of the set-up')) },
  compute: ({ U_c }) => U_c,
  source: shopField('clamp of the set-up'),
})
const clampHeat = calculation({
  id: 'return-watts',
  title: 'Heat in the clamp',
  symbol: 'P_c',
  unit: 'W',
  expression: 'U_c * I_2',
  inputs: { U_c: from(clampMeasured), I_2: from(weldingDrawn) },
  compute: ({ U_c, I_2 }) => U_c * I_2,
  source: computed('volts times amps'),
})

const clampResistance = calculation({
  id: 'clamp-resistance',
  title: 'Resistance of the clamp',
  symbol: 'R_c',
  unit: 'Ω',
  expression: 'U_c / I_2',
  inputs: { U_c: from(clampMeasured), I_2: from(weldingDrawn) },
  compute: ({ U_c, I_2 }) => U_c / I_2,
  source: computed('Ohm'),
})

/** The way back is a link too: what is lost at the clamp the arc does not have. */
const goesBack: Criterion = {
  id: 'return-volts',
  group: null,
  slots: ['powerSource'],
  demandFrom: [clampMeasured],
  capacityFrom: [clampMost],
  alsoFrom: [clampHeat, lostAtArc, mostWanted],
  assess(capability, demand) {
    const { settings, supply, process, reckoner } = capability
    if (!demand || settings.returnV === null || !supply) return null
    const U_c = reckoner.compute(clampMeasured, { U_c: settings.returnV })
    const I_2 = weldingDrawnA(supply, demand.hungriest.wantedA, reckoner)
    const found = measured(capability, 'return-volts', {
      params: {
        heat: figure(reckoner.compute(clampHeat, { U_c, I_2 }), 'W'),
        lost: figure(
          lostAtArcA(reckoner.compute(clampResistance, { U_c, I_2 }), process.family, I_2, reckoner),
          'A',
        ),
      },
      demand: U_c,
      capacity: reckoner.compute(clampMost, {}),
      unit: 'V',
      isLimit: true,
      weldId: demand.hungriest.joint.id,
      source: clampMost.source,
    })
    return found.verdict === 'fails' ? { ...found, verdict: 'tight', code: 'lost' } : found
  },
  mends: () => [message('clean-clamp')],
}

/** The thinnest leads of this length that carry the job and lose little enough. */
function leadMends(capability: Capability, demand: Demand | null): readonly Mend[] {
  const { lead, supply, process } = capability
  if (!lead || !supply || !demand) return []
  const I_2 = weldingDrawnA(supply, demand.hungriest.wantedA)
  const asked = I_2 * Math.sqrt((demand.dutyPct ?? 100) / 100)
  const size = leadSizesIn(capability.shop.unitSystem).find((one) => {
    const lost = lostInLeads({ ...lead, size: one }, process.family, I_2)
    return (
      (leadCarriesA(one) ?? 0) >= asked && (lost?.volts ?? Infinity) <= capability.assumptions.leadsLostMostV
    )
  })
  if (size === undefined) return [message('shorter-leads')]
  const patch = { on: 'set-up', change: { leadSize: size } } as const
  return [{ ...message('leads-of', { size }), patch }]
}

const carry: Criterion = {
  id: 'leads',
  group: null,
  slots: ['powerSource'],
  demandFrom: [heating],
  capacityFrom: [rating],
  alsoFrom: [jobDuty, mostWanted],
  assess(capability, demand) {
    const { lead, supply, reckoner } = capability
    if (!demand || !lead || !supply) return null
    if (demand.dutyPct === null) return unknown('leads', NO_ARC_TIME)
    const A_l = leadCarriesA(lead.size)
    if (A_l === null) return unknown('leads', message('leads', { size: lead.size }))
    const I_2 = weldingDrawnA(supply, demand.hungriest.wantedA, reckoner)
    return measured(capability, 'leads', {
      params: { size: lead.size },
      demand: reckoner.compute(heating, { I_2, X: demand.dutyPct }),
      capacity: reckoner.compute(rating, { A_l }),
      unit: 'A',
      weldId: demand.hungriest.joint.id,
      source: LEAD_SOURCE,
    })
  },
  mends: leadMends,
}

const eat: Criterion = {
  id: 'lead-volts',
  group: null,
  slots: ['powerSource'],
  demandFrom: [leadVolts],
  capacityFrom: [mostLost],
  alsoFrom: [mostWanted],
  assess(capability, demand) {
    const { lead, supply, process, reckoner } = capability
    if (!demand || !lead || !supply) return null
    const lost = lostInLeads(
      lead,
      process.family,
      weldingDrawnA(supply, demand.hungriest.wantedA, reckoner),
      reckoner,
    )
    if (!lost) return null
    const found = measured(capability, 'lead-volts', {
      params: {
        size: lead.size,
        length: figure(lead.lengthMm, 'mm length'),
        lost: figure(lost.amps, 'A'),
      },
      demand: lost.volts,
      capacity: reckoner.compute(mostLost, {}),
      unit: 'V',
      isLimit: true,
      weldId: demand.hungriest.joint.id,
      source: mostLost.source,
    })
    // The arc is weaker than its dial says: it is turned up for, and breaks no rule.
    return found.verdict === 'fails' ? { ...found, verdict: 'tight' } : found
  },
  mends: leadMends,
}

export const LEAD_CRITERIA: readonly Criterion[] = [carry, eat, goesBack]
