/** How far one weld runs, in how many segments, and how much metal it takes. */
import type { Assume } from '../assumptions/assume.ts'
import type { Joint } from '../model/job.ts'
import { handbook, jobField } from '../model/source.ts'
import { type Step, term, type Worked } from '../model/working.ts'
import { isFillet, legsMm, weldAreaMm2 } from './geometry.ts'
import { thinnerMm } from './groove.ts'

const GEOMETRY = handbook('geometry', false)

/** Segments of one weld: 1 where it is continuous. A staggered one has a second row between those of the first. */
export function segmentsOf(joint: Joint): number {
  const { pattern, segmentMm, pitchMm, lengthMm } = joint
  if (pattern === 'continuous' || segmentMm === null || pitchMm === null || joint.around) return 1
  const row = (length: number) =>
    length < segmentMm ? 0 : Math.floor((length - segmentMm) / pitchMm + 1e-9) + 1
  const first = Math.max(1, row(lengthMm))
  return pattern === 'staggered' ? first + row(lengthMm - pitchMm / 2) : first
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

/** Length of one weld along its middle, mm: what is travelled and what is filled. */
export function weldRun(joint: Joint): Worked {
  const { diameterMm, headerDiameterMm } = joint
  const step = (formula: string, terms: Step['terms'], value: number): Worked => ({
    value,
    steps: [
      {
        says: 'Length of one weld',
        formula,
        terms,
        result: { symbol: 'ℓ₁', value, unit: 'mm length' },
        source: GEOMETRY,
      },
    ],
  })
  const field = (symbol: string, name: string, value: number) =>
    term(symbol, name, value, 'mm', jobField(`${name} of the weld`))
  if (joint.kind === 'plug' && diameterMm !== null) {
    return step('ℓ₁ = π·d', [field('d', 'hole', diameterMm)], Math.PI * diameterMm)
  }
  if (joint.kind === 'slot' && diameterMm !== null) {
    const length = joint.slotLengthMm ?? diameterMm
    return step(
      'ℓ₁ = 2·(L − d) + π·d',
      [field('L', 'slot', length), field('d', 'width', diameterMm)],
      2 * (length - diameterMm) + Math.PI * diameterMm,
    )
  }
  if (joint.kind === 'saddle' && diameterMm !== null && headerDiameterMm !== null) {
    const outer = { r: diameterMm / 2, R: headerDiameterMm / 2 }
    return step(
      'ℓ₁ = ∮ of the line where the tubes meet',
      [field('d', 'branch', diameterMm), field('D', 'header', headerDiameterMm)],
      saddleLengthMm(outer.r, outer.R),
    )
  }
  if (joint.around && diameterMm !== null) {
    if (isFillet(joint)) {
      const { b } = legsMm(joint)
      return step(
        'ℓ₁ = π·(D + ⅔·z)',
        [field('D', 'tube', diameterMm), field('z', 'leg', b)],
        Math.PI * (diameterMm + (2 * b) / 3),
      )
    }
    const t = thinnerMm(joint)
    return step(
      'ℓ₁ = π·(D − t)',
      [field('D', 'tube', diameterMm), field('t', 'wall', t)],
      Math.PI * (diameterMm - t),
    )
  }
  const segments = segmentsOf(joint)
  if (joint.pattern !== 'continuous' && joint.segmentMm !== null && joint.pitchMm !== null) {
    return step(
      joint.pattern === 'staggered' ? 'ℓ₁ = k·s, both rows' : 'ℓ₁ = k·s,  k = ⌊(L − s)/p⌋ + 1',
      [
        field('L', 'length', joint.lengthMm),
        field('s', 'segment', joint.segmentMm),
        field('p', 'pitch', joint.pitchMm),
        term('k', 'segments', segments, '', GEOMETRY),
      ],
      segments * joint.segmentMm,
    )
  }
  return step(
    'ℓ₁ = L',
    [term('L', 'length', joint.lengthMm, 'mm length', jobField('length of the weld'))],
    joint.lengthMm,
  )
}

/** Metal of one weld, mm³: section times run, or the hole of a plug or slot. */
export function weldVolume(joint: Joint, assume: Assume): Worked {
  const area = weldAreaMm2(joint, assume)
  if ((joint.kind === 'plug' || joint.kind === 'slot') && joint.diameterMm !== null) {
    const d = joint.diameterMm
    const length = joint.kind === 'slot' ? (joint.slotLengthMm ?? d) : d
    const value = ((Math.PI * d ** 2) / 4 + d * (length - d)) * joint.thicknessAMm
    return {
      value,
      steps: [
        {
          says: 'Metal of one weld',
          formula: joint.kind === 'plug' ? 'V = π·d²/4 · t' : 'V = (π·d²/4 + d·(L − d)) · t',
          terms: [
            term('d', 'hole', d, 'mm', jobField('hole of the weld')),
            ...(joint.kind === 'slot'
              ? [term('L', 'slot', length, 'mm', jobField('length of the slot'))]
              : []),
            term('t', 'part with the hole', joint.thicknessAMm, 'mm', jobField('thickness of the weld')),
          ],
          result: { symbol: 'V', value, unit: 'mm³' },
          source: GEOMETRY,
        },
      ],
    }
  }
  const run = weldRun(joint)
  const value = area.value * run.value
  return {
    value,
    steps: [
      ...area.steps,
      ...run.steps,
      {
        says: 'Metal of one weld',
        formula: 'V = A · ℓ₁',
        terms: [
          term('A', 'section', area.value, 'mm²', GEOMETRY),
          term('ℓ₁', 'length', run.value, 'mm length', GEOMETRY),
        ],
        result: { symbol: 'V', value, unit: 'mm³' },
        source: GEOMETRY,
      },
    ],
  }
}
