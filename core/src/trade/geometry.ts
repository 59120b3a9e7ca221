/** Cross-section of the weld metal that a joint takes: one formula a kind. */
import type { Assume } from '../assumptions/assume.ts'
import { FILLET_KINDS, type Joint } from '../model/job.ts'
import { handbook, jobField } from '../model/source.ts'
import { type Step, term, type Term, type Worked } from '../model/working.ts'
import { backWidthMm, CAP_SHAPE } from './caps.ts'
import { cutOf, isDoubleSided, sideAngleRad, thinnerMm, widthAtMm } from './groove.ts'

const GEOMETRY = handbook('geometry of the joint; weld metal tables of welding handbooks', false)

export const isFillet = (joint: Pick<Joint, 'kind'>): boolean => FILLET_KINDS.includes(joint.kind)

/** Both legs of a fillet, on part A and on part B. */
export function legsMm(joint: Joint): { a: number; b: number } {
  const a = joint.legMm ?? thinnerMm(joint)
  return { a, b: joint.legBMm ?? a }
}

const field = (symbol: string, name: string, value: number, unit = 'mm'): Term =>
  term(symbol, name, value, unit, jobField(`${name} of the weld`))

function area(says: string, formula: string, terms: Term[], value: number): Worked {
  const step: Step = { says, formula, terms, result: { symbol: 'A', value, unit: 'mm²' }, source: GEOMETRY }
  return { value, steps: [step] }
}

function filletArea(joint: Joint, assume: Assume): Worked {
  const { a, b } = legsMm(joint)
  const convexity = assume.term('convexityPct', 'c')
  const value = ((a * b) / 2) * (1 + Number(convexity.value) / 100)
  return joint.legBMm === null
    ? area('Weld metal across the fillet', 'A = z²/2 · (1 + c)', [field('z', 'leg', a), convexity], value)
    : area(
        'Weld metal across the fillet',
        'A = z₁·z₂/2 · (1 + c)',
        [field('z₁', 'leg', a), field('z₂', 'other leg', b), convexity],
        value,
      )
}

/** Caps on one or both sides, and the back weld of a single-sided groove. */
function caps(joint: Joint, topWidthMm: number): { value: number; formula: string; terms: Term[] } {
  const sides = isDoubleSided(joint.kind) ? 2 : 1
  const top = sides * CAP_SHAPE * topWidthMm * joint.reinforcementMm
  const back = sides === 1 ? CAP_SHAPE * backWidthMm(joint.rootGapMm, joint.backWeldMm) * joint.backWeldMm : 0
  const terms: Term[] = []
  let formula = ''
  if (joint.reinforcementMm > 0) {
    formula += ` + ${sides === 2 ? '2·' : ''}⅔·w·r`
    terms.push(
      term('w', 'width at the face', topWidthMm, 'mm', GEOMETRY),
      field('r', 'reinforcement', joint.reinforcementMm),
    )
  }
  if (back > 0) {
    formula += ' + ⅔·(g + 4·b)·b'
    terms.push(field('b', 'back weld', joint.backWeldMm))
  }
  return { value: top + back, formula, terms }
}

function squareArea(joint: Joint, assume: Assume): Worked {
  const t = thinnerMm(joint)
  const width = assume.value('squareBeadWidthPerThickness') * t
  const cap = caps(joint, width)
  return area(
    'Weld metal across the square joint',
    `A = t·g${cap.formula}`,
    [field('t', 'thinner part', t), field('g', 'root gap', joint.rootGapMm), ...cap.terms],
    t * joint.rootGapMm + cap.value,
  )
}

const CUT_WORDS: Partial<Record<Joint['kind'], string>> = {
  v: 'V',
  'double-v': 'double V',
  bevel: 'bevel',
  'double-bevel': 'double bevel',
  u: 'U',
  j: 'J',
}

function cutArea(joint: Joint): Worked {
  const t = thinnerMm(joint)
  const { depthMm } = cutOf(joint)
  const angle = sideAngleRad(joint)
  const sides = joint.kind === 'v' || joint.kind === 'double-v' || joint.kind === 'u' ? 2 : 1
  const faces = isDoubleSided(joint.kind) ? 2 : 1
  const rounded = joint.kind === 'u' || joint.kind === 'j'
  const cap = caps(joint, widthAtMm(joint, t))
  const common = [
    field('t', 'thinner part', t),
    field('g', 'root gap', joint.rootGapMm),
    term(
      'd',
      'depth of the cut',
      depthMm,
      'mm',
      jobField(`thinner part less root face${faces === 2 ? ', halved' : ''}`),
    ),
    term(
      'θ',
      'angle of a side from upright',
      (angle * 180) / Math.PI,
      '°',
      jobField('included angle of the weld'),
    ),
  ]
  const n = sides * faces
  if (!rounded) {
    const value = t * joint.rootGapMm + n * (depthMm ** 2 / 2) * Math.tan(angle) + cap.value
    return area(
      `Weld metal across the ${CUT_WORDS[joint.kind] ?? ''} groove`,
      `A = t·g + ${n}·d²/2·tan θ${cap.formula}`,
      [...common, ...cap.terms],
      value,
    )
  }
  const r = joint.rootRadiusMm
  const u = Math.PI / 2 - angle
  const h = depthMm - r * (1 - Math.sin(angle))
  const round = r ** 2 * (u / 2 - Math.sin(2 * u) / 4)
  const value =
    t * joint.rootGapMm + n * (round + h * r * Math.cos(angle) + (h ** 2 / 2) * Math.tan(angle)) + cap.value
  return area(
    `Weld metal across the ${CUT_WORDS[joint.kind] ?? ''} groove`,
    `A = t·g + ${n}·(ρ²·(u/2 − sin 2u/4) + h·ρ·cos θ + h²/2·tan θ)${cap.formula}`,
    [
      ...common,
      field('ρ', 'root radius', r),
      term('u', 'arc of the radius, 90° − θ', (u * 180) / Math.PI, '°', GEOMETRY),
      term('h', 'straight part, d − ρ·(1 − sin θ)', h, 'mm', GEOMETRY),
      ...cap.terms,
    ],
    value,
  )
}

/** Area beside a circle of radius R, from its crown down to a depth s: what one round side of a flare leaves open. */
function besideCircle(radiusMm: number, depthMm: number): number {
  const y = radiusMm - depthMm
  const under =
    (radiusMm ** 2 * Math.PI) / 4 -
    (y * Math.sqrt(Math.max(0, radiusMm ** 2 - y ** 2)) + radiusMm ** 2 * Math.asin(y / radiusMm)) / 2
  return radiusMm * depthMm - under
}

function flareArea(joint: Joint): Worked {
  const radius = (joint.diameterMm ?? 0) / 2
  const depth = joint.legMm ?? radius
  const n = joint.kind === 'flare-v' ? 2 : 1
  // Behind two rounds there is no room for a back weld.
  const cap = caps({ ...joint, backWeldMm: 0 }, n * radius + joint.rootGapMm)
  const value = n * besideCircle(radius, depth) + depth * joint.rootGapMm + cap.value
  return area(
    `Weld metal across the ${joint.kind === 'flare-v' ? 'flare V' : 'flare bevel'}`,
    `A = ${n}·(R·s − ∫√(R² − y²) dy from R − s to R) + s·g${cap.formula}`,
    [
      field('R', 'radius of the round', radius),
      field('s', 'depth of the fill', depth),
      field('g', 'root gap', joint.rootGapMm),
      ...cap.terms,
    ],
    value,
  )
}

function edgeArea(joint: Joint): Worked {
  const width = joint.thicknessAMm + joint.thicknessBMm
  return area(
    'Weld metal over the edges',
    'A = ⅔·(t₁ + t₂)·r',
    [
      field('t₁', 'one part', joint.thicknessAMm),
      field('t₂', 'other part', joint.thicknessBMm),
      field('r', 'reinforcement', joint.reinforcementMm),
    ],
    CAP_SHAPE * width * joint.reinforcementMm,
  )
}

/**
 * Area of weld metal across one weld; for a plug or slot, across its hole.
 * @returns mm², with its working
 */
export function weldAreaMm2(joint: Joint, assume: Assume): Worked {
  if (isFillet(joint)) return filletArea(joint, assume)
  switch (joint.kind) {
    case 'square':
      return squareArea(joint, assume)
    case 'flare-v':
    case 'flare-bevel':
      return flareArea(joint)
    case 'edge':
      return edgeArea(joint)
    case 'plug':
    case 'slot':
      return area(
        'Section of the filled hole',
        'A = d·t',
        [
          field('d', 'width of the hole', joint.diameterMm ?? 0),
          field('t', 'part with the hole', joint.thicknessAMm),
        ],
        (joint.diameterMm ?? 0) * joint.thicknessAMm,
      )
    default:
      return cutArea(joint)
  }
}
