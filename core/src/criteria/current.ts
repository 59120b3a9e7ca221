/** Criteria of current: output and duty of the source, gun or torch, wire or tungsten, feed speed, thickness. */
import { commonPractice, computed, dataPlate, standard } from '../basis/source.ts'
import { calculation, from, input, listOf } from '../calculation/calculation.ts'
import { type Capability, FEED_SLOTS } from '../capability/capability.ts'
import type { Slot } from '../capability/slots.ts'
import { type Demand, jobDuty, leastWanted, mostWanted } from '../demand/demand.ts'
import type { WeldFigures } from '../demand/weldFigures.ts'
import { allowedDuty, dutyAtCurrentPct } from '../duty/curve.ts'
import { pauseForDutyS } from '../duty/window.ts'
import { figure, told, type Told, word } from '../model/told.ts'
import type { Process } from '../reference/processes.ts'
import { tungstenDiametersFor } from '../reference/tungstenRanges.ts'
import { wireDiametersFor } from '../reference/wireRanges.ts'
import { wireFeed, wireFeedSpeed } from '../trade/burnOff.ts'
import { thinnerMm } from '../trade/groove.ts'
import { currentPerMm, passThickness, wantedCurrent } from '../trade/wantedCurrent.ts'
import {
  type Carries,
  circuitCarrier,
  electrodeCarries,
  electrodeCurrent,
  electrodeLeast,
  gunCarries,
  gunCarriesAt,
  gunCurrent,
  LINK_FROM,
  lowestOutput,
  lowestOutputA,
  NO_ARC_TIME,
  sourceCarries,
} from './carries.ts'
import { type Assessment, type Criterion, fails, fits, measured, type Mend, unknown } from './criterion.ts'
import { weldNearestEnd } from './worstWeld.ts'

const PLATE = dataPlate()
const CIRCUIT = ['circuit', 'powerSource'] as const
const noSupply = told('supply')

/** @param pauseS that brings the duty in; null where one weld alone is over it */
const restMends = (pauseS: number | null, what: string): readonly Mend[] =>
  pauseS === null
    ? [told('rest-alone-fails', { what: word('holder', what) })]
    : [{ ...told('rest', { pause: figure(pauseS, 's') }), patch: { on: 'job', change: { pauseS } } }]

const outputReading = calculation({
  id: 'greatest-output',
  title: 'Greatest output on this supply voltage',
  symbol: 'I_max',
  unit: 'A',
  expression: 'I_max',
  inputs: { I_max: input('greatest output', 'A', PLATE) },
  compute: ({ I_max }) => I_max,
  source: PLATE,
})

/** Whether the source reaches the current of every weld: the thin end counts as much as the thick end. */
const sourceRange: Criterion = {
  id: 'source-range',
  group: null,
  slots: CIRCUIT,
  demandFrom: [wantedCurrent],
  capacityFrom: [outputReading],
  alsoFrom: [lowestOutput, mostWanted, leastWanted],
  assess(c, d) {
    if (!d || !c.powerSource) return null
    const lowA = lowestOutputA(c)
    if (!c.supply || lowA === null) return unknown('source-range', noSupply)
    const weld = weldNearestEnd(d, lowA, c.supply.outputMaxA)
    return measured(c, 'source-range', {
      demand: weld.wantedA,
      capacity: c.r.take(outputReading, { I_max: c.supply.outputMaxA }),
      capacityLow: lowA,
      unit: 'A',
      weldId: weld.joint.id,
      source: PLATE,
    })
  },
  mends: (_c, _d, { demand, capacityLow }) =>
    demand !== null && capacityLow !== null && demand < capacityLow
      ? [told('source-that-goes-low', { current: figure(demand, 'A') })]
      : [],
}

/** Without a job: a wire whose range starts above the source's output on this voltage never gets hot enough. */
const wireAboveOutput: Criterion = {
  id: 'wire-above-output',
  group: 'together',
  slots: [...CIRCUIT, 'wire'],
  assess({ fedWire, supply, electrode, circuit }, d) {
    if (d || !fedWire || !supply || electrode.missing !== null) return null
    const { minA, source } = electrode.range
    const params = {
      wire: fedWire.name,
      starts: figure(minA, 'A'),
      gives: figure(supply.outputMaxA, 'A'),
      supply: circuit ? figure(circuit.voltageV, 'V') : word('supply', 'engine'),
    }
    return minA > supply.outputMaxA
      ? fails('wire-above-output', 'above', params, { source })
      : fits('wire-above-output', 'within', params, { source })
  },
  mends: () => [told('thinner-wire')],
}

/** Whether the source lasts through the worst ten minutes at the highest current wanted. */
const sourceDuty: Criterion = {
  id: 'source-duty',
  group: null,
  slots: CIRCUIT,
  demandFrom: [jobDuty],
  capacityFrom: [allowedDuty],
  alsoFrom: [mostWanted],
  assess(c, d) {
    if (!d || !c.powerSource) return null
    const params = { current: figure(d.hungriest.wantedA, 'A') }
    if (!c.supply) return { ...unknown('source-duty', noSupply), params }
    if (d.dutyPct === null) return { ...unknown('source-duty', NO_ARC_TIME), params }
    return measured(c, 'source-duty', {
      params,
      demand: d.dutyPct,
      capacity: dutyAtCurrentPct(c.supply.ratedPoints, d.hungriest.wantedA, c.r),
      unit: '%',
      weldId: d.hungriest.joint.id,
      source: standard('IEC 60974-1, data plate', true),
    })
  },
  mends: (_c, d, { capacity }) =>
    d && capacity !== null ? restMends(pauseForDutyS(d.spells, capacity), 'source') : [],
}

/** What a gas decides of a gun's rating; a torch has argon anyway. */
const gunSlots = ({ feedsWire }: Process): readonly Slot[] => (feedsWire ? ['gun', 'gas'] : ['gun'])

/** Whether the gun or torch carries the highest current wanted, at the job's duty, in this gas. */
const gunDuty: Criterion = {
  id: 'gun-duty',
  group: null,
  slots: gunSlots,
  demandFrom: [wantedCurrent],
  capacityFrom: [gunCurrent],
  alsoFrom: [jobDuty, mostWanted],
  assess(c, d) {
    const { gun, process } = c
    if (!gun) return null
    const holder = word('holder', gun.kind)
    const carries = d ? gunCarries(c, d) : gunCarriesAt(c, null)
    if (carries.missing !== null)
      return { ...unknown('gun-duty', carries.missing), params: { ...carries.missing.params, holder } }
    const source = standard('IEC 60974-7, gas', true)
    if (!d) {
      const gas = word('inGas', process.shielded ? 'gas' : 'none')
      const params = { holder, gun: gun.name, carries: figure(carries.highA, 'A'), gas }
      return fits('gun-duty', 'carries', params, { source })
    }
    return measured(c, 'gun-duty', {
      params: { holder, gun: gun.name },
      demand: d.hungriest.wantedA,
      capacity: carries.highA,
      unit: 'A',
      weldId: d.hungriest.joint.id,
      source,
    })
  },
  mends({ gun, gunPoints, assumptions }, d) {
    if (!gun || !d || !gunPoints || gunPoints.missing !== null) return []
    const allowed = dutyAtCurrentPct(gunPoints.points, d.hungriest.wantedA)
    return allowed < assumptions.gunLeastDutyPct
      ? [told('gun-of-higher-class', { holder: word('holder', gun.kind) })]
      : restMends(pauseForDutyS(d.spells, allowed), gun.kind)
  },
}

/** Without a job the wire says what the gun must carry at the least. */
const gunForWire: Criterion = {
  id: 'gun-for-wire',
  group: 'together',
  slots: ['gun', 'gas', 'wire'],
  assess(c, d) {
    const { gun, fedWire, electrode } = c
    if (d || !gun || !fedWire || electrode.missing !== null) return null
    const carries = gunCarriesAt(c, null)
    if (carries.missing !== null) return null
    const { minA, source } = electrode.range
    const params = {
      gun: gun.name,
      carries: figure(carries.highA, 'A'),
      wire: fedWire.name,
      starts: figure(minA, 'A'),
    }
    return minA > carries.highA
      ? fails('gun-for-wire', 'above', params, { source })
      : fits('gun-for-wire', 'within', params, { source })
  },
  mends: ({ gun }) => [told('gun-of-higher-class', { holder: word('holder', gun?.kind ?? 'gun') })],
}

/** The size that runs at every weld of the job: of the same kind, on the shelf or not. */
function sizeMends({ process, wire }: Capability, d: Demand | null): readonly Mend[] {
  if (!d) return []
  const [leastA, mostA] = [d.thinnest.wantedA, d.hungriest.wantedA]
  const [size] =
    wire && process.feedsWire
      ? wireDiametersFor(wire, leastA, mostA)
      : tungstenDiametersFor(process.id === 'gtaw-ac' ? 'ac' : 'dcen', leastA, mostA)
  return size === undefined
    ? [told('no-size-runs')]
    : [told('size-that-runs', { size: figure(size, 'mm diameter') })]
}

/** Whether the wire or the tungsten runs well at every weld's current: neither starved nor overloaded. */
const electrode: Criterion = {
  id: 'electrode',
  group: null,
  slots: ({ feedsWire }) => (feedsWire ? ['wire'] : ['tungsten']),
  demandFrom: [wantedCurrent],
  capacityFrom: [electrodeCurrent],
  alsoFrom: [electrodeLeast, mostWanted, leastWanted],
  assess(c, d) {
    const { process, wire, tungsten } = c
    const holder = word('electrode', process.feedsWire ? 'wire' : 'tungsten')
    const carries = electrodeCarries(c)
    if (carries.missing !== null)
      return { ...unknown('electrode', carries.missing), params: { ...carries.missing.params, holder } }
    const name = (process.feedsWire ? wire?.name : tungsten?.name) ?? ''
    const { lowA, highA } = carries
    const source = c.electrode.range?.source ?? commonPractice()
    if (!d) {
      const params = { holder, name, low: figure(lowA, 'A'), high: figure(highA, 'A') }
      return fits('electrode', 'runs', params, { source })
    }
    const weld = weldNearestEnd(d, lowA, highA)
    return measured(c, 'electrode', {
      params: { holder, name },
      demand: weld.wantedA,
      capacity: highA,
      capacityLow: lowA,
      unit: 'A',
      isLimit: true,
      weldId: weld.joint.id,
      source,
    })
  },
  mends: (c, d) => sizeMends(c, d),
}

const feedReading = calculation({
  id: 'greatest-feed',
  title: 'Greatest feed speed on this supply voltage',
  symbol: 'v_max',
  unit: 'mm/min',
  expression: 'v_max',
  inputs: { v_max: input('greatest feed speed', 'mm/min', PLATE) },
  compute: ({ v_max }) => v_max,
  source: PLATE,
})

/** Whether the feeder reaches the speed at which the wire burns off: at the job's current, else at the wire's lowest. */
const feedSpeed: Criterion = {
  id: 'feed-speed',
  group: null,
  slots: ['circuit', ...FEED_SLOTS, 'wire'],
  demandFrom: [wireFeed],
  capacityFrom: [feedReading],
  alsoFrom: [mostWanted],
  assess(c, d) {
    const { process, powerSource, wire, fedWire, feedPath, feedMaxMmPerMin, circuit, r } = c
    if (!process.feedsWire || !powerSource) return null
    if (!wire) return unknown('feed-speed', told('wire'))
    // Another criterion says that a rod is no wire.
    if (!fedWire) return null
    if (!feedPath) return unknown('feed-speed', told('feeder', { source: powerSource.name }))
    if (feedMaxMmPerMin === null) return unknown('feed-speed', told('feed-max', { feeder: feedPath.name }))
    const currentA = d ? d.hungriest.wantedA : c.electrode.range?.minA
    if (currentA === undefined) return null
    const params = {
      wire: wire.name,
      feeder: feedPath.name,
      current: figure(currentA, 'A'),
      supply: circuit ? figure(circuit.voltageV, 'V') : word('supply', 'engine'),
    }
    return measured(c, 'feed-speed', {
      code: d ? 'measured' : 'at-lowest',
      params,
      demand: wireFeedSpeed(wire, currentA, process.id, r),
      capacity: r.take(feedReading, { v_max: feedMaxMmPerMin }),
      unit: 'mm/min',
      isLimit: d === null,
      weldId: d?.hungriest.joint.id ?? null,
      source: standard('AWS handbook, plate', true),
    })
  },
  mends: (_c, d) => [told(d ? 'faster-feeder' : 'thicker-wire')],
}

const weakestCurrent = calculation({
  id: 'weakest-link',
  title: 'What the weakest link carries',
  symbol: 'I_weak',
  unit: 'A',
  expression: 'min(I)',
  inputs: {
    I: listOf(
      'carried by circuit, source, gun, electrode',
      'A',
      computed(),
      ...Object.values(LINK_FROM).flatMap((calculations) => calculations.map(({ id }) => id)),
    ),
  },
  compute: ({ I }) => Math.min(...I),
  source: computed('the least decides'),
})
const byCurrent = calculation({
  id: 'thickness-by-current',
  title: 'Thickness that the weakest link melts in one pass',
  symbol: 't',
  unit: 'mm',
  expression: 'I / K',
  inputs: { I: from(weakestCurrent), K: currentPerMm },
  compute: ({ I, K }) => I / K,
  source: commonPractice(),
})

/** What the weakest link carries for each weld, A; source, gun and electrode are the same for all of them. */
function weakestLink(c: Capability, d: Demand) {
  const shared: readonly Carries[] = [sourceCarries(c, d), gunCarries(c, d), electrodeCarries(c)]
  const missing = shared.find((link) => link.missing !== null)?.missing ?? null
  const highs = shared.map((link) => (link.missing === null ? link.highA : 0))
  const carrier = circuitCarrier(c, d)
  return (weld: WeldFigures): number | Told => {
    const circuit = carrier?.(weld)
    if (circuit && circuit.missing !== null) return circuit.missing
    if (missing) return missing
    return c.r.take(weakestCurrent, { I: circuit ? [circuit.highA, ...highs] : highs })
  }
}

/** The thickest part that the set-up welds in one pass, against what one pass of the job has to melt. */
const thickness: Criterion = {
  id: 'thickness',
  group: null,
  slots: [],
  demandFrom: [passThickness],
  capacityFrom: [byCurrent],
  alsoFrom: [mostWanted],
  assess(c, d): Assessment | null {
    if (!d) return null
    const weakestFor = weakestLink(c, d)
    const first = weakestFor(d.hungriest)
    if (typeof first !== 'number') return unknown('thickness', first)
    const meltedMm = (weld: WeldFigures): number => {
      const I = weakestFor(weld)
      return typeof I === 'number' ? c.r.take(byCurrent, { I, K: weld.perMmA }) : 0
    }
    let worst = { weld: d.hungriest, melted: meltedMm(d.hungriest) }
    for (const weld of d.welds) {
      const melted = weld === d.hungriest ? worst.melted : meltedMm(weld)
      if (weld.passThicknessMm * worst.melted > worst.weld.passThicknessMm * melted) worst = { weld, melted }
    }
    const { weld, melted } = worst
    return measured(c, 'thickness', {
      demand: weld.passThicknessMm,
      capacity: melted,
      unit: 'mm',
      weldId: weld.joint.id,
      source: commonPractice('common practice'),
    })
  },
  mends(_c, d, { weldId, capacity, verdict }) {
    const joint = d?.welds.find((weld) => weld.joint.id === weldId)?.joint
    if (!joint || verdict !== 'fails' || capacity === null || capacity <= 0) return []
    const passes = Math.ceil(thinnerMm(joint) / capacity)
    return passes > 1 && passes <= MOST_PASSES ? [passesMend(joint, passes)] : []
  },
}
const MOST_PASSES = 60

/** What has no groove yet must be bevelled before it is welded in several passes. */
export const passesMend = (
  { id, kind }: { readonly id: string; readonly kind: string },
  passes: number,
): Mend & { readonly patch: NonNullable<Mend['patch']> } => ({
  ...told(kind === 'square' ? 'bevel-and-passes' : 'passes', { passes: figure(passes, '') }),
  patch: { on: 'joint', jointId: id, change: { passes } },
})

export const CURRENT_CRITERIA: readonly Criterion[] = [
  sourceRange,
  sourceDuty,
  gunDuty,
  electrode,
  feedSpeed,
  thickness,
  wireAboveOutput,
  gunForWire,
]
