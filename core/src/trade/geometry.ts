/** Cross-section of the weld metal that a joint takes: one formula a kind. */
import { FILLET_KINDS } from '../model/jointKinds.ts'
import { handbook, jobField } from '../basis/source.ts'
import { assumed, calculation, from, input } from '../calculation/calculation.ts'
import type { Reckoner } from '../calculation/reckoner.ts'
import { type Joint } from '../kinds/job.ts'
import { backWidthMm } from './caps.ts'
import { cutOf, isDoubleSided, sideAngleRad, thinnerMm, widthAtMm } from './groove.ts'

const GEOMETRY = handbook('geometry of the joint; weld metal tables of welding handbooks', false)

export const isFillet = (joint: Pick<Joint, 'kind'>): boolean => FILLET_KINDS.includes(joint.kind)

/** Both legs of a fillet, on part A and on part B. */
export function legsMm(joint: Joint): { a: number; b: number } {
  const a = joint.legMm ?? thinnerMm(joint)
  return { a, b: joint.legBMm ?? a }
}

const field = (name: string, unit = 'mm') => input(name, unit, jobField(`${name} of the weld`))
const thinner = field('thinner part')
const gap = field('root opening')

const filletArea = calculation({
  id: 'area-fillet',
  title: 'Weld metal across the fillet',
  symbol: 'A',
  unit: 'mm²',
  expression: 'z_1 * z_2 / 2 * (1 + c / 100)',
  inputs: { z_1: field('leg'), z_2: field('other leg'), c: assumed('convexityPct') },
  compute: ({ z_1, z_2, c }) => ((z_1 * z_2) / 2) * (1 + c / 100),
  source: GEOMETRY,
})

const faceWidthSquare = calculation({
  id: 'face-width-square',
  title: 'Width of the bead',
  symbol: 'w',
  unit: 'mm',
  expression: 'b * t',
  inputs: { b: assumed('squareBeadWidthPerThickness'), t: thinner },
  compute: ({ b, t }) => b * t,
  source: GEOMETRY,
})

const squareGroove = calculation({
  id: 'groove-square',
  title: 'Gap of the square joint',
  symbol: 'A_g',
  unit: 'mm²',
  expression: 't * g',
  inputs: { t: thinner, g: gap },
  compute: ({ t, g }) => t * g,
  source: GEOMETRY,
})
/** A joint that is shut takes metal all the same: the bead melts in and stands a little proud. */
const squareCap = calculation({
  id: 'cap-square',
  title: 'Reinforcement, no less than a bead leaves',
  symbol: 'r',
  unit: 'mm',
  expression: 'max(r, (s * t^2 - t * g) / (2 / 3 * w))',
  inputs: {
    r: field('reinforcement'),
    s: assumed('squareLeastMetal'),
    t: thinner,
    g: gap,
    w: from(faceWidthSquare),
  },
  compute: ({ r, s, t, g, w }) => squareCapMm(r, s, t, g, w),
  source: GEOMETRY,
})

/**
 * How high the cap of a square joint stands, mm.
 * @param leastMetal weld metal of a shut joint over its thickness squared
 * @param widthMm of the bead
 */
export const squareCapMm = (
  reinforcementMm: number,
  leastMetal: number,
  thicknessMm: number,
  gapMm: number,
  widthMm: number,
): number =>
  Math.max(reinforcementMm, (leastMetal * thicknessMm ** 2 - thicknessMm * gapMm) / ((2 / 3) * widthMm))

const angle = input('angle of a side from upright', '°', jobField('included angle of the weld'))
const cut = input('depth of the cut', 'mm', jobField('thinner part less root face, halved for two sides'))
const sides = input('cut sides', '', jobField('kind of the joint'))
const rad = (degrees: number): number => (degrees * Math.PI) / 180

const cutGroove = calculation({
  id: 'groove-cut',
  title: 'Groove, filled to its edges',
  symbol: 'A_g',
  unit: 'mm²',
  expression: 't * g + n * d^2 / 2 * tan(a * pi / 180)',
  inputs: { t: thinner, g: gap, n: sides, d: cut, a: angle },
  compute: ({ t, g, n, d, a }) => t * g + n * (d ** 2 / 2) * Math.tan(rad(a)),
  source: GEOMETRY,
})

const roundArc = calculation({
  id: 'groove-round-arc',
  title: 'Arc of the root radius',
  symbol: 'u',
  unit: 'rad',
  expression: '(90 - a) * pi / 180',
  inputs: { a: angle },
  compute: ({ a }) => rad(90 - a),
  source: GEOMETRY,
})
const roundStraight = calculation({
  id: 'groove-round-straight',
  title: 'Straight part above the radius',
  symbol: 'h',
  unit: 'mm',
  expression: 'd - r * (1 - sin(a * pi / 180))',
  inputs: { d: cut, r: field('root radius'), a: angle },
  compute: ({ d, r, a }) => d - r * (1 - Math.sin(rad(a))),
  source: GEOMETRY,
})
const roundGroove = calculation({
  id: 'groove-round',
  title: 'Groove, filled to its edges',
  symbol: 'A_g',
  unit: 'mm²',
  expression:
    't * g + n * (r^2 * (u / 2 - sin(2 * u) / 4) + h * r * cos(a * pi / 180) + h^2 / 2 * tan(a * pi / 180))',
  inputs: {
    t: thinner,
    g: gap,
    n: sides,
    r: field('root radius'),
    u: from(roundArc),
    h: from(roundStraight),
    a: angle,
  },
  compute: ({ t, g, n, r, u, h, a }) =>
    t * g +
    n * (r ** 2 * (u / 2 - Math.sin(2 * u) / 4) + h * r * Math.cos(rad(a)) + (h ** 2 / 2) * Math.tan(rad(a))),
  source: GEOMETRY,
})

const flareGroove = calculation({
  id: 'groove-flare',
  title: 'Flare, filled to this depth',
  symbol: 'A_g',
  unit: 'mm²',
  expression:
    'n * (R * s - (R^2 * pi / 4 - ((R - s) * sqrt(R^2 - (R - s)^2) + R^2 * asin((R - s) / R)) / 2)) + s * g',
  inputs: { n: sides, R: field('radius of the round'), s: field('depth of the fill'), g: gap },
  compute: ({ n, R, s, g }) => n * besideCircle(R, s) + s * g,
  source: GEOMETRY,
})

/** Area beside a circle of radius R, from its crown down to a depth s: what one round side of a flare leaves open. */
function besideCircle(radiusMm: number, depthMm: number): number {
  const y = radiusMm - depthMm
  const under =
    (radiusMm ** 2 * Math.PI) / 4 -
    (y * Math.sqrt(Math.max(0, radiusMm ** 2 - y ** 2)) + radiusMm ** 2 * Math.asin(y / radiusMm)) / 2
  return radiusMm * depthMm - under
}

const edgeArea = calculation({
  id: 'area-edge',
  title: 'Weld metal over the edges',
  symbol: 'A',
  unit: 'mm²',
  expression: '2 / 3 * (t_1 + t_2) * r',
  inputs: { t_1: field('one part'), t_2: field('other part'), r: field('reinforcement') },
  compute: ({ t_1, t_2, r }) => (2 / 3) * (t_1 + t_2) * r,
  source: GEOMETRY,
})

const holeArea = calculation({
  id: 'area-hole',
  title: 'Section of the filled hole',
  symbol: 'A',
  unit: 'mm²',
  expression: 'd * t',
  inputs: { d: field('width of the hole'), t: field('part with the hole') },
  compute: ({ d, t }) => d * t,
  source: GEOMETRY,
})

const capArea = calculation({
  id: 'area-cap',
  title: 'Cap over the groove',
  symbol: 'A_c',
  unit: 'mm²',
  expression: 'm * 2 / 3 * w * r',
  inputs: {
    m: input('sides with a cap', '', jobField('kind of the joint')),
    w: {
      ...input('width at the face', 'mm', GEOMETRY),
      from: [faceWidthSquare.id],
    },
    r: { ...field('reinforcement'), from: [squareCap.id] },
  },
  compute: ({ m, w, r }) => m * (2 / 3) * w * r,
  source: GEOMETRY,
})

const backArea = calculation({
  id: 'area-back',
  title: 'Back weld',
  symbol: 'A_b',
  unit: 'mm²',
  expression: '2 / 3 * (g + 4 * b) * b',
  inputs: { g: gap, b: field('back weld') },
  compute: ({ g, b }) => (2 / 3) * backWidthMm(g, b) * b,
  source: GEOMETRY,
})

const wholeArea = calculation({
  id: 'area-whole',
  title: 'Weld metal across the joint',
  symbol: 'A',
  unit: 'mm²',
  expression: 'A_g + A_c + A_b',
  inputs: {
    A_g: from(squareGroove, cutGroove, roundGroove, flareGroove),
    A_c: from(capArea),
    A_b: from(backArea),
  },
  compute: ({ A_g, A_c, A_b }) => A_g + A_c + A_b,
  source: GEOMETRY,
})

export const weldArea = from(wholeArea, filletArea, edgeArea, holeArea)

/** Groove, caps on one or both sides, and the back weld of a single-sided groove. */
function withCaps(
  joint: Joint,
  grooveMm2: number,
  faceWidthMm: number,
  reckoner: Reckoner,
  capMm = joint.reinforcementMm,
): number {
  const faces = isDoubleSided(joint.kind) ? 2 : 1
  const A_c = reckoner.compute(capArea, { m: faces, w: faceWidthMm, r: capMm })
  // Behind two rounds, and on a joint welded from both sides, there is no back weld.
  const hasBack = faces === 1 && joint.kind !== 'flare-v' && joint.kind !== 'flare-bevel'
  const A_b = reckoner.compute(backArea, { g: joint.rootGapMm, b: hasBack ? joint.backWeldMm : 0 })
  return reckoner.compute(wholeArea, { A_g: grooveMm2, A_c, A_b })
}

function squareArea(joint: Joint, reckoner: Reckoner): number {
  const t = thinnerMm(joint)
  const w = reckoner.compute(faceWidthSquare, { t })
  const g = joint.rootGapMm
  const capMm = reckoner.compute(squareCap, { r: joint.reinforcementMm, t, g, w })
  return withCaps(joint, reckoner.compute(squareGroove, { t, g }), w, reckoner, capMm)
}

function cutArea(joint: Joint, reckoner: Reckoner): number {
  const t = thinnerMm(joint)
  const { depthMm: d } = cutOf(joint)
  const a = (sideAngleRad(joint) * 180) / Math.PI
  const cutSides = joint.kind === 'v' || joint.kind === 'double-v' || joint.kind === 'u' ? 2 : 1
  const n = cutSides * (isDoubleSided(joint.kind) ? 2 : 1)
  const g = joint.rootGapMm
  const width = widthAtMm(joint, t)
  if (joint.kind !== 'u' && joint.kind !== 'j') {
    return withCaps(joint, reckoner.compute(cutGroove, { t, g, n, d, a }), width, reckoner)
  }
  const rootMm = joint.rootRadiusMm
  const u = reckoner.compute(roundArc, { a })
  const h = reckoner.compute(roundStraight, { d, r: rootMm, a })
  return withCaps(joint, reckoner.compute(roundGroove, { t, g, n, r: rootMm, u, h, a }), width, reckoner)
}

function flareArea(joint: Joint, reckoner: Reckoner): number {
  const R = (joint.diameterMm ?? 0) / 2
  const n = joint.kind === 'flare-v' ? 2 : 1
  const groove = reckoner.compute(flareGroove, { n, R, s: joint.legMm ?? R, g: joint.rootGapMm })
  return withCaps(joint, groove, n * R + joint.rootGapMm, reckoner)
}

/**
 * Area of weld metal across one weld; for a plug or slot, across its hole.
 * @returns mm²
 */
export function weldAreaMm2(joint: Joint, reckoner: Reckoner): number {
  if (isFillet(joint)) {
    const { a, b } = legsMm(joint)
    return reckoner.compute(filletArea, { z_1: a, z_2: b })
  }
  switch (joint.kind) {
    case 'square':
      return squareArea(joint, reckoner)
    case 'flare-v':
    case 'flare-bevel':
      return flareArea(joint, reckoner)
    case 'edge':
      return reckoner.compute(edgeArea, {
        t_1: joint.thicknessAMm,
        t_2: joint.thicknessBMm,
        r: joint.reinforcementMm,
      })
    case 'plug':
    case 'slot':
      return reckoner.compute(holeArea, { d: joint.diameterMm ?? 0, t: joint.thicknessAMm })
    default:
      return cutArea(joint, reckoner)
  }
}
