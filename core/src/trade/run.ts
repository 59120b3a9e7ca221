/** How far one weld runs, in how many segments, and how much metal it takes. */
import { handbook, jobField } from '../basis/source.ts'
import { calculation, from, input } from '../calculation/calculation.ts'
import type { Reckoner } from '../calculation/reckoner.ts'
import type { Joint } from '../kinds/job.ts'
import { isFillet, legsMm, weldArea, weldAreaMm2 } from './geometry.ts'
import { thinnerMm } from './groove.ts'

const GEOMETRY = handbook('geometry', false)
const field = (name: string, unit = 'mm') => input(name, unit, jobField(`${name} of the weld`))
const LENGTH = 'Length of one weld'
const length = { title: LENGTH, symbol: 'L_1', unit: 'mm length', source: GEOMETRY }

const segments = calculation({
  id: 'segments',
  title: 'Segments of one weld',
  symbol: 'k',
  unit: '',
  expression: 'max(1, floor(round((L - s) / p, 6)) + 1)',
  inputs: { L: field('length', 'mm length'), s: field('segment'), p: field('pitch') },
  compute: ({ L, s, p }) => Math.max(1, rowOf(L, s, p)),
  source: GEOMETRY,
})
const secondRow = calculation({
  id: 'segments-second-row',
  title: 'Segments of both rows',
  symbol: 'k_2',
  unit: '',
  expression: 'k + max(0, floor(round((L - p / 2 - s) / p, 6)) + 1)',
  inputs: {
    k: from(segments),
    L: field('length', 'mm length'),
    s: field('segment'),
    p: field('pitch'),
  },
  compute: ({ k, L, s, p }) => k + Math.max(0, rowOf(L - p / 2, s, p)),
  source: GEOMETRY,
})
/** Segments in one row; the rounding keeps 300 mm in pitches of 50 mm from losing its last one. */
const rowOf = (lengthMm: number, segmentMm: number, pitchMm: number): number =>
  Math.floor(Math.round(((lengthMm - segmentMm) / pitchMm) * 1e6) / 1e6) + 1

/** Segments of one weld: 1 where it is continuous. A staggered one has a second row between those of the first. */
export function segmentsOf(joint: Joint, reckoner: Reckoner): number {
  const { pattern, segmentMm: s, pitchMm: p, lengthMm: L } = joint
  if (pattern === 'continuous' || s === null || p === null || joint.around) return 1
  const k = reckoner.compute(segments, { L, s, p })
  return pattern === 'staggered' ? reckoner.compute(secondRow, { k, L, s, p }) : k
}

/** Simpson's rule. */
function integrate(f: (x: number) => number, from: number, to: number, steps: number): number {
  const h = (to - from) / steps
  let sum = f(from) + f(to)
  for (let i = 1; i < steps; i += 1) sum += f(from + i * h) * (i % 2 === 0 ? 2 : 4)
  return (sum * h) / 3
}

/**
 * Length of the line on which a branch meets a header at a right angle, both round.
 * @param r radius of the branch, mm
 * @param R radius of the header, mm; not below r
 */
export function saddleLengthMm(r: number, R: number): number {
  const speed = (angle: number) => {
    const depth = Math.sqrt(Math.max(1e-12, R ** 2 - (r * Math.sin(angle)) ** 2))
    const dz = (-(r ** 2) * Math.sin(angle) * Math.cos(angle)) / depth
    return Math.hypot(r, dz)
  }
  // A quarter is enough: the line is the same in all four.
  return 4 * integrate(speed, 0, Math.PI / 2, 256)
}

const plugRun = calculation({
  ...length,
  id: 'run-plug',
  expression: 'pi * d',
  inputs: { d: field('hole') },
  compute: ({ d }) => Math.PI * d,
})
const slotRun = calculation({
  ...length,
  id: 'run-slot',
  expression: '2 * (L - d) + pi * d',
  inputs: { L: field('slot'), d: field('width') },
  compute: ({ L, d }) => 2 * (L - d) + Math.PI * d,
})
const saddleRun = calculation({
  ...length,
  id: 'run-saddle',
  expression: 'L_1',
  method: 'length of the line where the tubes meet, integrated round the branch (Simpson’s rule)',
  inputs: { d: field('branch'), D: field('header') },
  compute: ({ d, D }) => saddleLengthMm(d / 2, D / 2),
})
const roundFilletRun = calculation({
  ...length,
  id: 'run-round-fillet',
  expression: 'pi * (D + 2 / 3 * z)',
  inputs: { D: field('tube'), z: field('leg') },
  compute: ({ D, z }) => Math.PI * (D + (2 * z) / 3),
})
const roundGrooveRun = calculation({
  ...length,
  id: 'run-round-groove',
  expression: 'pi * (D - t)',
  inputs: { D: field('tube'), t: field('wall') },
  compute: ({ D, t }) => Math.PI * (D - t),
})
const segmentedRun = calculation({
  ...length,
  id: 'run-segmented',
  expression: 'k * s',
  inputs: { k: from(secondRow, segments), s: field('segment') },
  compute: ({ k, s }) => k * s,
})
const straightRun = calculation({
  ...length,
  id: 'run-straight',
  expression: 'L',
  inputs: { L: field('length', 'mm length') },
  compute: ({ L }) => L,
})

export const weldRun = from(
  straightRun,
  segmentedRun,
  roundGrooveRun,
  roundFilletRun,
  saddleRun,
  slotRun,
  plugRun,
)

/** Length of one weld along its middle, mm: what is travelled and what is filled. */
export function weldRunMm(joint: Joint, segmentCount: number, reckoner: Reckoner): number {
  const { diameterMm: d, headerDiameterMm } = joint
  if (joint.kind === 'plug' && d !== null) return reckoner.compute(plugRun, { d })
  if (joint.kind === 'slot' && d !== null) return reckoner.compute(slotRun, { L: joint.slotLengthMm ?? d, d })
  if (joint.kind === 'saddle' && d !== null && headerDiameterMm !== null)
    return reckoner.compute(saddleRun, { d, D: headerDiameterMm })
  if (joint.around && d !== null) {
    return isFillet(joint)
      ? reckoner.compute(roundFilletRun, { D: d, z: legsMm(joint).b })
      : reckoner.compute(roundGrooveRun, { D: d, t: thinnerMm(joint) })
  }
  if (joint.pattern !== 'continuous' && joint.segmentMm !== null && joint.pitchMm !== null)
    return reckoner.compute(segmentedRun, { k: segmentCount, s: joint.segmentMm })
  return reckoner.compute(straightRun, { L: joint.lengthMm })
}

const volume = { title: 'Metal of one weld', symbol: 'V', unit: 'mm³', source: GEOMETRY }

const holeVolume = calculation({
  ...volume,
  id: 'volume-hole',
  expression: '(pi * d^2 / 4 + d * (L - d)) * t',
  inputs: { d: field('width of the hole'), L: field('length of the hole'), t: field('part with the hole') },
  compute: ({ d, L, t }) => ((Math.PI * d ** 2) / 4 + d * (L - d)) * t,
})
const runVolume = calculation({
  ...volume,
  id: 'volume-run',
  expression: 'A * L_1',
  inputs: { A: weldArea, L_1: weldRun },
  compute: ({ A, L_1 }) => A * L_1,
})
export const weldVolume = from(runVolume, holeVolume)

/** Metal of one weld, mm³: section times run, or the hole of a plug or slot. */
export function weldVolumeMm3(joint: Joint, runMm: number, reckoner: Reckoner): number {
  const d = joint.diameterMm
  if ((joint.kind === 'plug' || joint.kind === 'slot') && d !== null) {
    const L = joint.kind === 'slot' ? (joint.slotLengthMm ?? d) : d
    return reckoner.compute(holeVolume, { d, L, t: joint.thicknessAMm })
  }
  return reckoner.compute(runVolume, { A: weldAreaMm2(joint, reckoner), L_1: runMm })
}
