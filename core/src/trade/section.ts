/** The cross-section of a joint with its weld, to scale: what a drawing needs, and nothing of how it is drawn. */
import type { Assumptions } from '../assumptions/assume.ts'
import type { Joint } from '../kinds/job.ts'
import { backWidthMm, CAP_SHAPE } from './caps.ts'
import { isFillet, legsMm, squareCapMm } from './geometry.ts'
import { cutOf, isDoubleSided, sidesAt, thickerMm, thinnerMm } from './groove.ts'

/** mm; y upwards. */
export type Point = readonly [x: number, y: number]

export interface Shape {
  readonly role: 'part-a' | 'part-b' | 'weld' | 'backing'
  readonly points: readonly Point[]
}

export interface Dimension {
  readonly name: string
  readonly from: Point
  readonly to: Point
  /** Drawn where it is, not beside it. */
  readonly inPlace?: boolean
}

export interface Section {
  readonly shapes: readonly Shape[]
  readonly dimensions: readonly Dimension[]
}

/** Points along a curve: enough that a drawing looks round and its area is right within a thousandth. */
const FINE = 48

const box = (x0: number, y0: number, x1: number, y1: number): Point[] => [
  [x0, y0],
  [x1, y0],
  [x1, y1],
  [x0, y1],
]

/** A parabola over a chord, bulging to the left of the way from one end to the other. */
function bulge(from: Point, to: Point, heightMm: number): Point[] {
  const dx = to[0] - from[0]
  const dy = to[1] - from[1]
  const length = Math.hypot(dx, dy)
  if (heightMm === 0 || length === 0) return [from, to]
  const normal: Point = [-dy / length, dx / length]
  return Array.from({ length: FINE + 1 }, (_, i): Point => {
    const s = i / FINE
    const h = 4 * heightMm * s * (1 - s)
    return [from[0] + dx * s + normal[0] * h, from[1] + dy * s + normal[1] * h]
  })
}

function circle(x: number, y: number, radius: number): Point[] {
  return Array.from({ length: 2 * FINE }, (_, i): Point => {
    const angle = (i * Math.PI) / FINE
    return [x + radius * Math.cos(angle), y + radius * Math.sin(angle)]
  })
}

const dimension = (name: string, from: Point, to: Point): Dimension => ({ name, from, to })

function filletSection(joint: Joint, assumptions: Assumptions): Section {
  const { a, b } = legsMm(joint)
  const tA = joint.thicknessAMm
  const tB = joint.thicknessBMm
  const reach = 1.7 * Math.max(thickerMm(joint), a, b)
  // The bulge's area is the convexity's share of the triangle.
  const hypotenuse = Math.hypot(a, b)
  const height = (((a * b) / 2) * (assumptions.convexityPct / 100)) / (CAP_SHAPE * hypotenuse)
  if (joint.kind === 'outside-corner') {
    return {
      shapes: [
        { role: 'part-a', points: box(-tA, 0, 0, reach) },
        { role: 'part-b', points: box(0, -tB, reach, 0) },
        { role: 'weld', points: [[0, 0], ...bulge([-a, 0], [0, -b], -height)] },
      ],
      dimensions: [
        dimension('leg', [-a, 0], [0, 0]),
        dimension('part A', [-tA, reach], [0, reach]),
        dimension('part B', [reach, -tB], [reach, 0]),
      ],
    }
  }
  const weld: Shape = { role: 'weld', points: [[0, 0], ...bulge([b, 0], [0, a], -height)] }
  const foot: Point = [(a ** 2 * b) / (a ** 2 + b ** 2), (a * b ** 2) / (a ** 2 + b ** 2)]
  const legs: Dimension[] = [
    dimension('leg A', [0, 0], [0, a]),
    dimension('leg B', [0, 0], [b, 0]),
    { ...dimension('throat', [0, 0], foot), inPlace: true },
  ]
  if (joint.kind === 'lap') {
    return {
      shapes: [
        { role: 'part-b', points: box(-reach / 2, -tB, reach, 0) },
        { role: 'part-a', points: box(-reach, 0, 0, tA) },
        weld,
      ],
      dimensions: [
        ...legs,
        dimension('part A', [-reach, 0], [-reach, tA]),
        dimension('part B', [reach, -tB], [reach, 0]),
      ],
    }
  }
  const baseFrom = joint.kind === 'inside-corner' ? -tA : -reach
  return {
    shapes: [
      { role: 'part-b', points: box(baseFrom, -tB, reach, 0) },
      { role: 'part-a', points: box(-tA, 0, 0, reach) },
      weld,
    ],
    dimensions: [
      ...legs,
      dimension('part A', [-tA, reach], [0, reach]),
      dimension('part B', [reach, -tB], [reach, 0]),
    ],
  }
}

/** Heights at which a side of a groove is sampled: its corners, and finely between them. */
function heightsOf(joint: Joint): number[] {
  const t = thinnerMm(joint)
  const { rootFromMm, rootToMm } = cutOf(joint)
  const even = Array.from({ length: 2 * FINE + 1 }, (_, i) => (t * i) / (2 * FINE))
  return [...new Set([...even, rootFromMm, rootToMm])].sort((a, b) => a - b)
}

function grooveSection(joint: Joint, assumptions: Assumptions): Section {
  const t = thinnerMm(joint)
  const heights = heightsOf(joint)
  const left = heights.map((y): Point => [-sidesAt(joint, y).left, y])
  const right = heights.map((y): Point => [sidesAt(joint, y).right, y])
  const top = sidesAt(joint, t)
  const bottom = sidesAt(joint, 0)
  const reach = Math.max(top.left, top.right, bottom.left, bottom.right) + 2 * thickerMm(joint)
  const plate = (side: Point[], thickness: number, x: number): Point[] => [
    [x, 0],
    ...side,
    ...(thickness > t ? [[side.at(-1)?.[0] ?? 0, thickness] as Point] : []),
    [x, thickness],
  ]
  const bead = joint.kind === 'square' ? assumptions.squareBeadWidthPerThickness * t : 0
  const capMm =
    joint.kind === 'square'
      ? squareCapMm(joint.reinforcementMm, assumptions.squareLeastMetal, t, joint.rootGapMm, bead)
      : joint.reinforcementMm
  const cap = (at: { left: number; right: number }): [number, number] =>
    joint.kind === 'square' ? [-bead / 2, bead / 2] : [-at.left, at.right]
  const [capFrom, capTo] = cap(top)
  const shapes: Shape[] = [
    { role: 'part-a', points: plate(left, joint.thicknessAMm, -reach) },
    { role: 'part-b', points: plate(right, joint.thicknessBMm, reach) },
    { role: 'weld', points: [...left, ...[...right].reverse()] },
  ]
  if (capMm > 0) {
    shapes.push({ role: 'weld', points: bulge([capFrom, t], [capTo, t], capMm) })
    if (isDoubleSided(joint.kind)) {
      const [from, to] = cap(bottom)
      shapes.push({ role: 'weld', points: bulge([from, 0], [to, 0], -capMm) })
    }
  }
  const backWidth = isDoubleSided(joint.kind) ? 0 : backWidthMm(joint.rootGapMm, joint.backWeldMm)
  if (backWidth > 0)
    shapes.push({ role: 'weld', points: bulge([-backWidth / 2, 0], [backWidth / 2, 0], -joint.backWeldMm) })
  if (joint.backing)
    shapes.push({
      role: 'backing',
      points: box(-2 * t - joint.rootGapMm, -Math.max(3, t / 2), 2 * t + joint.rootGapMm, 0),
    })
  const { rootFromMm, rootToMm } = cutOf(joint)
  return {
    shapes,
    dimensions: [
      dimension('part A', [-reach, 0], [-reach, joint.thicknessAMm]),
      dimension('part B', [reach, 0], [reach, joint.thicknessBMm]),
      ...(joint.rootGapMm > 0
        ? [dimension('gap', [-joint.rootGapMm / 2, rootFromMm], [joint.rootGapMm / 2, rootFromMm])]
        : []),
      ...(joint.rootFaceMm > 0 && joint.kind !== 'square'
        ? [
            dimension(
              'root face',
              [-sidesAt(joint, rootFromMm).left, rootFromMm],
              [-sidesAt(joint, rootToMm).left, rootToMm],
            ),
          ]
        : []),
      ...(capMm > 0
        ? [dimension('cap', [(capFrom + capTo) / 2, t], [(capFrom + capTo) / 2, t + capMm])]
        : []),
      ...(joint.kind === 'square' ? [] : [dimension('face width', [capFrom, t], [capTo, t])]),
    ],
  }
}

function flareSection(joint: Joint): Section {
  const radius = (joint.diameterMm ?? 0) / 2
  const depth = joint.legMm ?? radius
  const half = joint.rootGapMm / 2
  const twin = joint.kind === 'flare-v'
  // Even in angle: near the crown the side runs flat, and even heights would cut its corner.
  const from = Math.asin((radius - depth) / radius)
  const heights = Array.from(
    { length: 2 * FINE + 1 },
    (_, i) => radius * Math.sin(from + ((Math.PI / 2 - from) * i) / (2 * FINE)),
  )
  const sideAt = (y: number) => half + radius - Math.sqrt(Math.max(0, radius ** 2 - y ** 2))
  const left = heights.map((y): Point => [-sideAt(y), y])
  const right = heights.map((y): Point => [twin ? sideAt(y) : half, y])
  const topLeft: Point = [-(half + radius), radius]
  const topRight: Point = [twin ? half + radius : half, radius]
  const shapes: Shape[] = [
    { role: 'part-a', points: circle(-(half + radius), 0, radius) },
    twin
      ? { role: 'part-b', points: circle(half + radius, 0, radius) }
      : { role: 'part-b', points: box(half, -1.4 * radius, half + joint.thicknessBMm, 1.4 * radius) },
    { role: 'weld', points: [...left, ...right.reverse()] },
  ]
  if (joint.reinforcementMm > 0)
    shapes.push({ role: 'weld', points: bulge(topLeft, topRight, joint.reinforcementMm) })
  return {
    shapes,
    dimensions: [
      dimension('fill', [0, radius - depth], [0, radius]),
      dimension('round', [-(half + 2 * radius), 0], [-half, 0]),
    ],
  }
}

function edgeSection(joint: Joint): Section {
  const { thicknessAMm: tA, thicknessBMm: tB } = joint
  const depth = 4 * thickerMm(joint)
  return {
    shapes: [
      { role: 'part-a', points: box(-tA, -depth, 0, 0) },
      { role: 'part-b', points: box(0, -depth, tB, 0) },
      { role: 'weld', points: bulge([-tA, 0], [tB, 0], joint.reinforcementMm) },
    ],
    dimensions: [
      dimension('part A', [-tA, -depth], [0, -depth]),
      dimension('part B', [0, -depth], [tB, -depth]),
      dimension('cap', [(tB - tA) / 2, 0], [(tB - tA) / 2, joint.reinforcementMm]),
    ],
  }
}

function holeSection(joint: Joint): Section {
  const d = joint.diameterMm ?? 0
  const { thicknessAMm: tA, thicknessBMm: tB } = joint
  const reach = d / 2 + 2 * thickerMm(joint)
  return {
    shapes: [
      { role: 'part-b', points: box(-reach, -tB, reach, 0) },
      { role: 'part-a', points: box(-reach, 0, -d / 2, tA) },
      { role: 'part-a', points: box(d / 2, 0, reach, tA) },
      { role: 'weld', points: box(-d / 2, 0, d / 2, tA) },
    ],
    dimensions: [
      dimension('hole', [-d / 2, tA], [d / 2, tA]),
      dimension('part A', [-reach, 0], [-reach, tA]),
      dimension('part B', [reach, -tB], [reach, 0]),
    ],
  }
}

/**
 * @returns shapes and dimensions in mm; the weld's shapes have the area that {@link weldAreaMm2} computes
 * @example crossSection(joint, assumptionsOf(shop)).dimensions
 */
export function crossSection(joint: Joint, assumptions: Assumptions): Section {
  if (isFillet(joint)) return filletSection(joint, assumptions)
  switch (joint.kind) {
    case 'flare-v':
    case 'flare-bevel':
      return flareSection(joint)
    case 'edge':
      return edgeSection(joint)
    case 'plug':
    case 'slot':
      return holeSection(joint)
    default:
      return grooveSection(joint, assumptions)
  }
}
