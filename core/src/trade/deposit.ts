/** From the cross-section of a weld to its passes, weld metal, filler and arc time. */
import type { Assume } from '../assumptions/assume.ts'
import type { AssumptionKey } from '../assumptions/list.ts'
import type { Wire } from '../model/equipment.ts'
import type { Joint } from '../model/job.ts'
import { commonPractice, computed, handbook, jobField } from '../model/source.ts'
import { term, type Worked } from '../model/working.ts'
import { DENSITY, MATERIALS } from '../reference/materials.ts'
import { PROCESSES, type ProcessId } from '../reference/processes.ts'
import { isCored, wireAreaMm2 } from './burnOff.ts'
import { isFillet, thinnerMm, weldLengthMm } from './geometry.ts'
import { singlePassKey } from './wantedCurrent.ts'

const DEPOSITION: Readonly<Record<ProcessId, AssumptionKey>> = {
  'gmaw-short': 'depositionGmawPct',
  'gmaw-spray': 'depositionGmawPct',
  'fcaw-s': 'depositionFcawSPct',
  'fcaw-g': 'depositionFcawGPct',
  'gtaw-dc': 'depositionGtawPct',
  'gtaw-ac': 'depositionGtawPct',
}

/** Passes of one weld: the owner's number, else what the thickest single pass or the largest single-pass leg asks. */
export function passesOf(joint: Joint, process: ProcessId, assume: Assume): Worked {
  const legKey: AssumptionKey = PROCESSES[process].feedsWire ? 'largestPassLegWireMm' : 'largestPassLegGtawMm'
  if (joint.passes !== null) {
    const chosen = term('n', 'passes chosen', joint.passes, '', jobField('passes of the job'))
    return {
      value: joint.passes,
      steps: [
        {
          says: 'Passes',
          formula: 'n',
          terms: [chosen],
          result: { symbol: 'n', value: joint.passes, unit: '' },
          source: jobField('passes of the job'),
        },
      ],
    }
  }
  const ofLeg = isFillet(joint)
  const leg = joint.legMm ?? thinnerMm(joint)
  // A larger leg is built of passes of the largest size: metal goes with the square of the leg.
  const raw = ofLeg
    ? (leg / assume.value(legKey)) ** 2
    : thinnerMm(joint) / assume.value(singlePassKey(process))
  const value = Math.max(1, Math.ceil(raw - 1e-6))
  return {
    value,
    steps: [
      {
        says: 'Passes',
        formula: ofLeg ? 'n = ⌈(z / z₁)²⌉' : 'n = ⌈t / t₁⌉',
        terms: ofLeg
          ? [term('z', 'leg', leg, 'mm', jobField('weld size of the job')), assume.term(legKey, 'z₁')]
          : [
              term('t', 'thinner part', thinnerMm(joint), 'mm', jobField('thickness of the job')),
              assume.term(singlePassKey(process), 't₁'),
            ],
        result: { symbol: 'n', value, unit: '' },
        source: commonPractice(),
      },
    ],
  }
}

/** Weld metal of one joint over the whole job, in g. */
export function weldMetalG(joint: Joint, quantity: number, area: Worked): Worked {
  const density = DENSITY[MATERIALS[joint.material].family]
  const length = weldLengthMm(joint, quantity)
  const value = (area.value * length * density.value) / 1000
  return {
    value,
    steps: [
      ...area.steps,
      {
        says: 'Weld metal',
        formula: 'm = A · ℓ · ρ / 1000',
        terms: [
          term('A', 'cross-section', area.value, 'mm²', computed()),
          term(
            'ℓ',
            `weld length: ${joint.count} × one weld × ${quantity} pieces`,
            length,
            'mm',
            jobField('lengths of the job'),
          ),
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
  const length = weldLengthMm(joint, quantity)
  const value = (60 * length * passes.value) / assume.value('travelGtawMmPerMin')
  return {
    value,
    steps: [
      ...passes.steps,
      {
        says: 'Arc time',
        formula: 'τ = 60 · ℓ · n / s',
        terms: [
          term('ℓ', 'weld length', length, 'mm', jobField('lengths of the job')),
          term('n', 'passes', passes.value, '', computed()),
          assume.term('travelGtawMmPerMin', 's'),
        ],
        result: { symbol: 'τ', value, unit: 's' },
        source: computed('length over speed'),
      },
    ],
  }
}
