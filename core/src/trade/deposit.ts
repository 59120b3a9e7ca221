/** From the cross-section of a weld to its passes, weld metal, filler and arc time. */
import { BEVELLED_KINDS } from '../model/jointKinds.ts'
import type { AssumptionKey } from '../assumptions/list.ts'
import { commonPractice, computed, handbook, jobField } from '../basis/source.ts'
import { assumed, calculation, from, input, inputOrAssumed, listOf } from '../calculation/calculation.ts'
import type { Reckoner } from '../calculation/reckoner.ts'
import type { Wire } from '../model/equipment.ts'
import { type Joint } from '../model/job.ts'
import type { ProcessId } from '../model/process.ts'
import { DENSITY, MATERIALS } from '../reference/materials.ts'
import { PROCESSES } from '../reference/processes.ts'
import { isCored, wireFeed } from './burnOff.ts'
import { isFillet, legsMm } from './geometry.ts'
import { thinnerMm, widthAtMm } from './groove.ts'
import { weldRun, weldVolume } from './run.ts'
import { singlePassKey } from './wantedCurrent.ts'

const DEPOSITION: Readonly<Record<ProcessId, AssumptionKey>> = {
  'gmaw-short': 'depositionGmawPct',
  'gmaw-spray': 'depositionGmawPct',
  'fcaw-s': 'depositionFcawSPct',
  'fcaw-g': 'depositionFcawGPct',
  'gtaw-dc': 'depositionGtawPct',
  'gtaw-ac': 'depositionGtawPct',
}

const UPRIGHT: readonly Joint['position'][] = ['vertical-up', 'vertical-down']

function largestLegKey(joint: Joint, process: ProcessId): AssumptionKey {
  if (!PROCESSES[process].feedsWire) return 'largestPassLegGtawMm'
  if (UPRIGHT.includes(joint.position)) return 'largestPassLegVerticalMm'
  return joint.position === 'flat' ? 'largestPassLegFlatMm' : 'largestPassLegWireMm'
}

/** Nobody welds a narrower bead: a groove that is shut at its root still takes one. */
const NARROWEST_BEAD_MM = 1
/** Exactly a whole number of layers must not become one more by a rounding. */
const roundedUp = (ratio: number): number => Math.ceil(Math.round(ratio * 1e6) / 1e6)

const passes = { title: 'Passes', symbol: 'n', unit: '' } as const

const chosenPasses = calculation({
  ...passes,
  id: 'passes-chosen',
  expression: 'n',
  inputs: { n: input('passes chosen', '', jobField('passes of the weld')) },
  compute: ({ n }) => n,
  source: jobField('passes of the weld'),
})

/** A larger leg is built of passes of the largest size: metal goes with the square of the leg. */
const filletPasses = calculation({
  ...passes,
  id: 'passes-fillet',
  expression: 'max(1, ceil(round(z_1 * z_2 / z_0^2, 6)))',
  inputs: {
    z_1: input('leg', 'mm', jobField('size of the weld')),
    z_2: input('other leg', 'mm', jobField('size of the weld')),
    z_0: inputOrAssumed('largest leg in one pass', 'mm', commonPractice()),
  },
  compute: ({ z_1, z_2, z_0 }) => Math.max(1, roundedUp((z_1 * z_2) / z_0 ** 2)),
  source: commonPractice('a larger leg is built of passes of the largest size'),
})

const layersOf = calculation({
  id: 'layers',
  title: 'Layers',
  symbol: 'm',
  unit: '',
  expression: 'max(1, ceil(round(t / t_1, 6)))',
  inputs: {
    t: input('thinner part', 'mm', jobField('thickness of the weld')),
    t_1: inputOrAssumed('thickest single pass', 'mm', commonPractice()),
  },
  compute: ({ t, t_1 }) => Math.max(1, roundedUp(t / t_1)),
  source: commonPractice('thicker parts take several layers'),
})
const groovePasses = calculation({
  ...passes,
  id: 'passes-groove',
  expression: 'max(m, sum(ceil(round(w / b, 6))))',
  inputs: {
    m: from(layersOf),
    w: listOf('width at the middle of each layer, from the root', 'mm', computed('shape of the groove')),
    b: assumed('splitLayerMm'),
  },
  compute: ({ m, w, b }) =>
    Math.max(
      m,
      w.reduce((sum, width) => sum + roundedUp(width / b), 0),
    ),
  source: commonPractice('a wide layer is split into beads; AWS D1.1 for split layers'),
})
const layeredPasses = calculation({
  ...passes,
  id: 'passes-layers',
  expression: 'm',
  inputs: { m: from(layersOf) },
  compute: ({ m }) => m,
  source: commonPractice('one pass a layer'),
})
export const passesWanted = from(chosenPasses, filletPasses, groovePasses, layeredPasses)

/** Passes of one weld: the owner's number, else what position and process allow in one. */
export function passesOf(joint: Joint, process: ProcessId, r: Reckoner): number {
  if (joint.passes !== null) return r.take(chosenPasses, { n: joint.passes })
  if (isFillet(joint)) {
    const { a, b } = legsMm(joint)
    return r.take(filletPasses, { z_1: a, z_2: b, z_0: largestLegKey(joint, process) })
  }
  const t = thinnerMm(joint)
  const m = r.take(layersOf, { t, t_1: singlePassKey(process) })
  if (!BEVELLED_KINDS.includes(joint.kind)) return r.take(layeredPasses, { m })
  const w = Array.from({ length: m }, (_, index) =>
    Math.max(NARROWEST_BEAD_MM, widthAtMm(joint, ((index + 0.5) * t) / m)),
  )
  return r.take(groovePasses, { m, w })
}

export const count = input('welds of this line', '', jobField('count of the weld'))
export const quantity = input('pieces', '', jobField('quantity of the job'))
const density = input('density', 'g/cm³', DENSITY['carbon-steel'].source)

export const weldMetal = calculation({
  id: 'weld-metal',
  title: 'Weld metal',
  symbol: 'm',
  unit: 'g',
  expression: 'V * c * q * ρ / 1000',
  inputs: { V: weldVolume, c: count, q: quantity, ρ: density },
  compute: ({ V, c, q, ρ }) => (V * c * q * ρ) / 1000,
  source: handbook('volume times density', false),
})

/** Weld metal of one line over the whole job, in g. */
export const weldMetalG = (joint: Joint, volumeMm3: number, pieces: number, r: Reckoner): number =>
  r.take(weldMetal, {
    V: volumeMm3,
    c: joint.count,
    q: pieces,
    ρ: DENSITY[MATERIALS[joint.materialA].family].value,
  })

const EFFICIENCY = handbook('deposition efficiency, welding handbooks')
const efficiency = inputOrAssumed('deposition efficiency', '%', EFFICIENCY)

const wireUsed = calculation({
  id: 'filler-wire',
  title: 'Wire used',
  symbol: 'w',
  unit: 'g',
  expression: 'm / (D / 100 * (1 - s / 100))',
  inputs: { m: from(weldMetal), D: efficiency, s: assumed('wireWastePct') },
  compute: ({ m, D, s }) => m / ((D / 100) * (1 - s / 100)),
  source: EFFICIENCY,
})
const rodUsed = calculation({
  id: 'filler-rod',
  title: 'Rod used',
  symbol: 'w',
  unit: 'g',
  expression: 'm / (D / 100)',
  inputs: { m: from(weldMetal), D: efficiency },
  compute: ({ m, D }) => m / (D / 100),
  source: EFFICIENCY,
})
export const fillerUsed = from(wireUsed, rodUsed)

/** Wire or rod that leaves the shelf for an amount of weld metal, in g. */
export function fillerG(metalG: number, process: ProcessId, r: Reckoner): number {
  const given = { m: metalG, D: DEPOSITION[process] }
  return PROCESSES[process].feedsWire ? r.take(wireUsed, given) : r.take(rodUsed, given)
}

export const wireSection = calculation({
  id: 'wire-section',
  title: 'Section of the wire',
  symbol: 'a',
  unit: 'mm²',
  expression: 'pi / 4 * d^2',
  inputs: { d: input('wire diameter', 'mm diameter', jobField('wire of the set-up')) },
  compute: ({ d }) => (Math.PI / 4) * d ** 2,
  source: handbook('geometry', false),
})

const rate = {
  title: 'Deposition rate',
  symbol: 'r',
  unit: 'g/min',
  source: handbook('deposition rate, welding handbooks'),
} as const
const solidRate = calculation({
  ...rate,
  id: 'deposition-rate',
  expression: 'a * v * ρ / 1000 * D / 100',
  inputs: { a: from(wireSection), v: from(wireFeed), ρ: density, D: efficiency },
  compute: ({ a, v, ρ, D }) => (((a * v * ρ) / 1000) * D) / 100,
})
const coredRate = calculation({
  ...rate,
  id: 'deposition-rate-cored',
  expression: 'a * v * ρ * q / 1000 * D / 100',
  inputs: {
    a: from(wireSection),
    v: from(wireFeed),
    ρ: density,
    q: assumed('coredMassFraction'),
    D: efficiency,
  },
  compute: ({ a, v, ρ, q, D }) => (((a * v * ρ * q) / 1000) * D) / 100,
})

/**
 * Weld metal laid down in a minute of arc.
 * @param feedMmPerMin wire feed speed, mm/min
 * @returns g/min
 */
export function depositionRate(
  wire: Pick<Wire, 'metal' | 'form' | 'diameterMm'>,
  feedMmPerMin: number,
  process: ProcessId,
  r: Reckoner,
): number {
  const a = r.take(wireSection, { d: wire.diameterMm })
  const given = { a, v: feedMmPerMin, ρ: DENSITY[wire.metal].value, D: DEPOSITION[process] }
  return isCored(wire) ? r.take(coredRate, given) : r.take(solidRate, given)
}

export const arcTimeByRate = calculation({
  id: 'arc-time-by-rate',
  title: 'Arc time',
  symbol: 'τ',
  unit: 's',
  expression: '60 * m / r',
  inputs: { m: from(weldMetal), r: from(solidRate, coredRate) },
  compute: ({ m, r }) => (60 * m) / r,
  source: computed('mass over rate'),
})

/** The hand sets the pace, not a wire. */
export const arcTimeByTravel = calculation({
  id: 'arc-time-by-travel',
  title: 'Arc time',
  symbol: 'τ',
  unit: 's',
  expression: '60 * L_1 * c * q * n / s',
  inputs: { L_1: weldRun, c: count, q: quantity, n: passesWanted, s: assumed('travelGtawMmPerMin') },
  compute: ({ L_1, c, q, n, s }) => (60 * L_1 * c * q * n) / s,
  source: computed('length over speed'),
})
export const arcTime = from(arcTimeByRate, arcTimeByTravel)
