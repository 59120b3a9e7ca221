/** From the cross-section of a weld to its passes, weld metal, filler and arc time. */
import type { Assume } from '../assumptions/assume.ts'
import type { AssumptionKey } from '../assumptions/list.ts'
import type { Wire } from '../model/equipment.ts'
import { BEVELLED_KINDS, type Joint } from '../model/job.ts'
import { commonPractice, computed, handbook, jobField } from '../model/source.ts'
import { term, type Worked } from '../model/working.ts'
import { DENSITY, MATERIALS } from '../reference/materials.ts'
import { PROCESSES, type ProcessId } from '../reference/processes.ts'
import { isCored, wireAreaMm2 } from './burnOff.ts'
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

function chosenPasses(passes: number): Worked {
  const source = jobField('passes of the weld')
  return {
    value: passes,
    steps: [
      {
        says: 'Passes',
        formula: 'n',
        terms: [term('n', 'passes chosen', passes, '', source)],
        result: { symbol: 'n', value: passes, unit: '' },
        source,
      },
    ],
  }
}

function filletPasses(joint: Joint, process: ProcessId, assume: Assume): Worked {
  const key = largestLegKey(joint, process)
  const { a, b } = legsMm(joint)
  // A larger leg is built of passes of the largest size: metal goes with the square of the leg.
  const value = Math.max(1, Math.ceil((a * b) / assume.value(key) ** 2 - 1e-6))
  return {
    value,
    steps: [
      {
        says: 'Passes',
        formula: 'n = ⌈z₁·z₂ / z₀²⌉',
        terms: [
          term('z₁', 'leg', a, 'mm', jobField('weld size of the job')),
          term('z₂', 'other leg', b, 'mm', jobField('weld size of the job')),
          assume.term(key, 'z₀'),
        ],
        result: { symbol: 'n', value, unit: '' },
        source: commonPractice('a larger leg is built of passes of the largest size'),
      },
    ],
  }
}

/** Layers by the thickest single pass; a layer wider than the limit is split into beads. */
function groovePasses(joint: Joint, process: ProcessId, assume: Assume): Worked {
  const key = singlePassKey(process)
  const t = thinnerMm(joint)
  const layers = Math.max(1, Math.ceil(t / assume.value(key) - 1e-6))
  const split = assume.value('splitLayerMm')
  const beads = Array.from({ length: layers }, (_, index) => {
    const width = BEVELLED_KINDS.includes(joint.kind) ? widthAtMm(joint, ((index + 0.5) * t) / layers) : 0
    return Math.max(1, Math.ceil(width / split - 1e-6))
  })
  const value = beads.reduce((sum, n) => sum + n, 0)
  return {
    value,
    steps: [
      {
        says: 'Layers and passes',
        formula: 'n = Σ ⌈wᵢ / b⌉ over ⌈t / t₁⌉ layers',
        terms: [
          term('t', 'thinner part', t, 'mm', jobField('thickness of the job')),
          assume.term(key, 't₁'),
          term('layers', 'layers', layers, '', computed()),
          term(
            'wᵢ',
            'beads by layer, from the root',
            beads.join(' + '),
            '',
            computed('width of the groove at the layer'),
          ),
          assume.term('splitLayerMm', 'b'),
        ],
        result: { symbol: 'n', value, unit: '' },
        source: commonPractice('thicker parts take several passes; AWS D1.1 for split layers'),
      },
    ],
  }
}

/** Passes of one weld: the owner's number, else what position and process allow in one. */
export function passesOf(joint: Joint, process: ProcessId, assume: Assume): Worked {
  if (joint.passes !== null) return chosenPasses(joint.passes)
  return isFillet(joint) ? filletPasses(joint, process, assume) : groovePasses(joint, process, assume)
}

/** Weld metal of one line over the whole job, in g. */
export function weldMetalG(joint: Joint, quantity: number, assume: Assume): Worked {
  const density = DENSITY[MATERIALS[joint.materialA].family]
  const volume = weldVolume(joint, assume)
  const welds = joint.count * quantity
  const value = (volume.value * welds * density.value) / 1000
  return {
    value,
    steps: [
      ...volume.steps,
      {
        says: 'Weld metal',
        formula: 'm = V · N · ρ / 1000',
        terms: [
          term('V', 'metal of one weld', volume.value, 'mm³', computed()),
          term('N', `${joint.count} welds × ${quantity} pieces`, welds, '', jobField('counts of the job')),
          term('ρ', 'density', density.value, 'g/cm³', density.source),
        ],
        result: { symbol: 'm', value, unit: 'g' },
        source: handbook('volume times density', false),
      },
    ],
  }
}

/** Wire or rod that leaves the shelf for an amount of weld metal, in g. */
export function fillerG(metal: Worked, process: ProcessId, assume: Assume): Worked {
  const feedsWire = PROCESSES[process].feedsWire
  const efficiency = assume.value(DEPOSITION[process]) / 100
  const waste = feedsWire ? assume.value('wireWastePct') / 100 : 0
  const value = metal.value / efficiency / (1 - waste)
  return {
    value,
    steps: [
      ...metal.steps,
      {
        says: feedsWire ? 'Wire used' : 'Rod used',
        formula: feedsWire ? 'w = m / (D · (1 − s))' : 'w = m / D',
        terms: [
          term('m', 'weld metal', metal.value, 'g', computed()),
          assume.term(DEPOSITION[process], 'D'),
          ...(feedsWire ? [assume.term('wireWastePct', 's')] : []),
        ],
        result: { symbol: 'w', value, unit: 'g' },
        source: handbook('deposition efficiency, welding handbooks'),
      },
    ],
  }
}

/**
 * Weld metal laid down in a minute of arc.
 * @param feed wire feed speed, mm/min
 * @returns g/min, with the steps of the feed speed before its own
 */
export function depositionRate(wire: Wire, feed: Worked, process: ProcessId, assume: Assume): Worked {
  const density = DENSITY[wire.metal]
  const cored = isCored(wire)
  const area = wireAreaMm2(wire.diameterMm)
  const value =
    ((area * feed.value * density.value * (cored ? assume.value('coredMassFraction') : 1)) / 1000) *
    (assume.value(DEPOSITION[process]) / 100)
  return {
    value,
    steps: [
      ...feed.steps,
      {
        says: 'Deposition rate',
        formula: cored ? 'r = a · v · ρ · q · D / 1000' : 'r = a · v · ρ · D / 1000',
        terms: [
          term('a', 'section of the wire', area, 'mm²', computed('π·d²/4')),
          term('v', 'wire feed speed', feed.value, 'mm/min', computed()),
          term('ρ', 'density', density.value, 'g/cm³', density.source),
          ...(cored ? [assume.term('coredMassFraction', 'q')] : []),
          assume.term(DEPOSITION[process], 'D'),
        ],
        result: { symbol: 'r', value, unit: 'g/min' },
        source: handbook('deposition rate, welding handbooks'),
      },
    ],
  }
}

/** Arc time of a wire-fed weld, in s. */
export function arcTimeByRate(metal: Worked, rate: Worked): Worked {
  const value = rate.value > 0 ? (60 * metal.value) / rate.value : 0
  return {
    value,
    steps: [
      ...metal.steps,
      ...rate.steps,
      {
        says: 'Arc time',
        formula: 'τ = 60 · m / r',
        terms: [
          term('m', 'weld metal', metal.value, 'g', computed()),
          term('r', 'deposition rate', rate.value, 'g/min', computed()),
        ],
        result: { symbol: 'τ', value, unit: 's' },
        source: computed('mass over rate'),
      },
    ],
  }
}

/** Arc time of a TIG weld, in s: the hand sets the pace, not a wire. */
export function arcTimeByTravel(joint: Joint, quantity: number, passes: Worked, assume: Assume): Worked {
  const run = weldRun(joint)
  const welds = joint.count * quantity
  const value = (60 * run.value * welds * passes.value) / assume.value('travelGtawMmPerMin')
  return {
    value,
    steps: [
      ...run.steps,
      ...passes.steps,
      {
        says: 'Arc time',
        formula: 'τ = 60 · ℓ₁ · N · n / s',
        terms: [
          term('ℓ₁', 'one weld', run.value, 'mm length', computed()),
          term('N', `${joint.count} welds × ${quantity} pieces`, welds, '', jobField('counts of the job')),
          term('n', 'passes', passes.value, '', computed()),
          assume.term('travelGtawMmPerMin', 's'),
        ],
        result: { symbol: 'τ', value, unit: 's' },
        source: computed('length over speed'),
      },
    ],
  }
}
