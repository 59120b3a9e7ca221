/** Criteria of duty: what rest mends sets the pace of the work, and is no question of thickness. */
import { computed, dataPlate, standard } from '../basis/source.ts'
import { assumed, calculation, from, input } from '../calculation/calculation.ts'
import type { Capability } from '../capability/capability.ts'
import type { Slot } from '../kinds/slots.ts'
import { type Demand, jobDuty, mostWanted } from '../demand/demand.ts'
import { allowedDuty, dutyAtCurrentPct } from '../duty/curve.ts'
import { pauseForDutyS, PERIOD_S } from '../duty/window.ts'
import { figure, message, word } from '../model/message.ts'
import type { Process } from '../reference/processes.ts'
import { leastWindowCurrent, wantedCurrent } from '../trade/wantedCurrent.ts'
import { gunCarries, gunCarriesAt, gunCurrent, gunShortCurrent, NO_ARC_TIME } from './carries.ts'
import { type Assessment, type Criterion, fits, measured, type Mend, unknown } from './criterion.ts'
import { measuredWithin, WINDOW } from './withinWindow.ts'

const CIRCUIT = ['circuit', 'powerSource'] as const
const noSupply = message('supply')

/** @param pauseS that brings the duty in; null where one weld alone is over it */
const restMends = (pauseS: number | null, what: string): readonly Mend[] =>
  pauseS === null
    ? [message('rest-alone-fails', { what: word('holder', what) })]
    : [{ ...message('rest', { pause: figure(pauseS, 's') }), patch: { on: 'job', change: { pauseS } } }]

/** The duty that leaves the margin that the shop keeps. */
const withMargin = ({ assumptions }: Pick<Capability, 'assumptions'>, dutyPct: number): number =>
  dutyPct / (1 + assumptions.safetyMarginPct / 100)

const leastPace = calculation({
  id: 'least-pace',
  title: 'Least duty at which rest is a way to work',
  symbol: 'X_0',
  unit: '%',
  expression: 'X_0',
  inputs: { X_0: assumed('leastPaceDutyPct') },
  compute: ({ X_0 }) => X_0,
  source: computed('below it the machine is too small'),
})

/** Of so many seconds some are welded: how a pace is told. */
const SPAN_S = 30

/** What is over its duty only sets the pace, as long as that pace is one to work at. */
function paced({ reckoner, supply }: Capability, { hungriest }: Demand, found: Assessment): Assessment {
  if (found.verdict !== 'fails' || found.capacity === null || !supply) return found
  // Nobody rests for ever at full current: he turns down first, as far as the weld stays sound.
  const turnedDownPct = dutyAtCurrentPct(supply.ratedPoints, hungriest.lowA, reckoner)
  if (turnedDownPct < reckoner.compute(leastPace, {})) return found
  const { joint, oneArcS } = hungriest
  const share = found.capacity / 100
  // Nobody stops a seam around a tube every few seconds.
  const pace =
    joint.around && oneArcS !== null
      ? { code: 'pace-unbroken', of: { one: figure(oneArcS, 's'), may: figure(share * PERIOD_S, 's') } }
      : { code: 'pace', of: { arc: figure(share * SPAN_S, 's'), span: figure(SPAN_S, 's') } }
  return { ...found, verdict: 'tight', code: pace.code, params: { ...found.params, ...pace.of } }
}

/** What it is welded with: no source is paced at a current that it does not have. */
const duringDuty = calculation({
  id: 'duty-current',
  title: 'Current at which the duty is held against the plate',
  symbol: 'I_d',
  unit: 'A',
  expression: 'min(I, I_max)',
  inputs: { I: from(mostWanted), I_max: input('greatest output', 'A', dataPlate()) },
  compute: ({ I, I_max }) => Math.min(I, I_max),
  source: computed('the most that is wanted, as far as the source has it'),
})

/** Whether the source lasts through the worst ten minutes at the highest current needed. */
const sourceDuty: Criterion = {
  id: 'source-duty',
  concerns: 'arc-current',
  group: null,
  slots: CIRCUIT,
  demandFrom: [jobDuty],
  capacityFrom: [allowedDuty],
  alsoFrom: [mostWanted, duringDuty, leastPace, leastWindowCurrent],
  assess(capability, demand) {
    if (!demand || !capability.powerSource) return null
    const { wantedA, lowA } = demand.hungriest
    if (!capability.supply)
      return { ...unknown('source-duty', noSupply), params: { current: figure(wantedA, 'A') } }
    // Where it has too little even turned down, no rest helps: the output says so.
    if (capability.supply.outputMaxA < lowA) return null
    const currentA = capability.reckoner.compute(duringDuty, {
      I: wantedA,
      I_max: capability.supply.outputMaxA,
    })
    const params = { current: figure(currentA, 'A') }
    if (demand.dutyPct === null) return { ...unknown('source-duty', NO_ARC_TIME), params }
    return paced(
      capability,
      demand,
      measured(capability, 'source-duty', {
        params,
        demand: demand.dutyPct,
        capacity: dutyAtCurrentPct(capability.supply.ratedPoints, currentA, capability.reckoner),
        unit: '%',
        weldId: demand.hungriest.joint.id,
        source: standard('IEC 60974-1, data plate', true),
      }),
    )
  },
  mends: (capability, demand, { capacity }) =>
    demand && capacity !== null
      ? restMends(pauseForDutyS(demand.spells, withMargin(capability, capacity)), 'source')
      : [],
}

/** What a gas decides of a gun's rating; a torch has argon anyway. */
const gunSlots = ({ feedsWire }: Process): readonly Slot[] => (feedsWire ? ['gun', 'gas'] : ['gun'])

/** Whether the gun or torch carries the highest current needed, at the job's duty, in this gas. */
const gunDuty: Criterion = {
  id: 'gun-duty',
  concerns: 'gun-current',
  group: null,
  slots: gunSlots,
  demandFrom: [wantedCurrent],
  capacityFrom: [gunCurrent],
  alsoFrom: [jobDuty, mostWanted, gunShortCurrent, ...WINDOW],
  assess(capability, demand) {
    const { gun, process } = capability
    if (!gun) return null
    const holder = word('holder', gun.kind)
    const carries = demand ? gunCarries(capability, demand) : gunCarriesAt(capability, null)
    if (carries.missing !== null)
      return { ...unknown('gun-duty', carries.missing), params: { ...carries.missing.params, holder } }
    const source = standard('IEC 60974-7, gas', true)
    if (!demand) {
      const gas = word('inGas', process.shielded ? 'gas' : 'none')
      const params = { holder, gun: gun.name, carries: figure(carries.highA, 'A'), gas }
      return fits('gun-duty', 'carries', params, { source })
    }
    const params = { holder, gun: gun.name }
    return measuredWithin(capability, demand, 'gun-duty', {
      carried: carries,
      params,
      source,
      weld: demand.hungriest,
    })
  },
  mends({ gun, gunPoints, assumptions }, demand) {
    if (!gun || !demand || !gunPoints || gunPoints.missing !== null) return []
    const allowed = dutyAtCurrentPct(gunPoints.points, demand.hungriest.wantedA)
    return allowed < assumptions.gunLeastDutyPct
      ? [message('gun-of-higher-class', { holder: word('holder', gun.kind) })]
      : restMends(pauseForDutyS(demand.spells, allowed), gun.kind)
  },
}

export const PACE_CRITERIA: readonly Criterion[] = [sourceDuty, gunDuty]
