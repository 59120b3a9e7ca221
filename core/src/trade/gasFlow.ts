/** Flow of shielding gas: as set at the meter, else by the cup or by the wire. */
import type { Assume } from '../assumptions/assume.ts'
import type { Cup, SetUp, Wire } from '../model/equipment.ts'
import { commonPractice, jobField } from '../model/source.ts'
import { term, type Worked } from '../model/working.ts'
import type { Process } from '../reference/processes.ts'

export interface FlowParts {
  readonly settings: Pick<SetUp, 'flowLPerMin'>
  readonly process: Process
  readonly wire: Wire | null
  readonly cup: Cup | null
  readonly assume: Assume
}

/** Where no cup is chosen: the usual one. */
const USUAL_CUP = 7
const USUAL_WIRE_MM = 0.9

/** @returns L/min, with its working */
export function flowOf({ settings, process, wire, cup, assume }: FlowParts): Worked {
  if (settings.flowLPerMin !== null) {
    return {
      value: settings.flowLPerMin,
      steps: [
        {
          says: 'Gas flow',
          formula: 'Q as set at the meter',
          terms: [],
          result: { symbol: 'Q', value: settings.flowLPerMin, unit: 'L/min' },
          source: jobField('flow of the set-up'),
        },
      ],
    }
  }
  const byCup = process.family === 'gtaw'
  const size = byCup ? (cup?.number ?? USUAL_CUP) : (wire?.diameterMm ?? USUAL_WIRE_MM)
  const perSize = assume.term(byCup ? 'flowPerCupNumber' : 'flowPerWireMm', 'q')
  const least = byCup ? 0 : assume.value('flowWireLeastLPerMin')
  const value = Math.max(least, size * Number(perSize.value))
  return {
    value,
    steps: [
      {
        says: 'Gas flow',
        formula: byCup ? 'Q = q · N' : 'Q = max(q · d, Q₀)',
        terms: byCup
          ? [perSize, term('N', 'cup number', size, '', jobField('set-up'))]
          : [
              perSize,
              term('d', 'wire diameter', size, 'mm', jobField('set-up')),
              assume.term('flowWireLeastLPerMin', 'Q₀'),
            ],
        result: { symbol: 'Q', value, unit: 'L/min' },
        source: commonPractice(),
      },
    ],
  }
}
