/** Into how many passes a weld is shared: a bead has limits both ways, and a groove has its layers. */
import type { AssumptionKey } from '../assumptions/list.ts'
import { commonPractice, computed, jobField } from '../basis/source.ts'
import { assumed, calculation, from, input, inputOrAssumed, listOf } from '../calculation/calculation.ts'
import type { Reckoner } from '../calculation/reckoner.ts'
import type { Joint } from '../kinds/job.ts'
import type { Position } from '../model/jointKinds.ts'
import type { ProcessId } from '../model/process.ts'
import { PROCESSES } from '../reference/processes.ts'
import { deposition } from './depositionRate.ts'
import { isFillet, legsMm, weldArea, weldAreaMm2 } from './geometry.ts'
import { thinnerMm, widthAtMm } from './groove.ts'
import { isLayered, layers, layersOf, type PassKind, roundedUp } from './layers.ts'

const BEAD_BY_POSITION: Readonly<Record<Position, AssumptionKey>> = {
  flat: 'beadWireMm2',
  horizontal: 'beadWireMm2',
  'vertical-up': 'beadUprightMm2',
  'vertical-down': 'beadDownMm2',
  overhead: 'beadOverheadMm2',
}
function beadKey({ position }: Joint, process: ProcessId): AssumptionKey {
  const { electrode } = PROCESSES[process]
  if (electrode === 'tungsten') return 'beadGtawMm2'
  const key = BEAD_BY_POSITION[position]
  if (electrode === 'covered' && key === 'beadWireMm2') return 'beadStickMm2'
  return key === 'beadWireMm2' && process === 'fcaw-g' ? 'beadCoredGasMm2' : key
}

const bead = { title: 'Most metal that one pass lays by hand', symbol: 'B', unit: 'mm²' } as const
const most = inputOrAssumed('most metal in a pass', 'mm²', commonPractice())
const beadByHand = calculation({
  ...bead,
  id: 'bead-by-hand',
  expression: 'a',
  inputs: { a: most },
  compute: ({ a }) => a,
  source: commonPractice('a larger pool cannot be held'),
})
const beadByRate = calculation({
  ...bead,
  id: 'bead-by-rate',
  expression: 'min(a, 1000 * r / (ρ * v))',
  inputs: {
    a: most,
    r: deposition,
    ρ: input('density', 'g/cm³', computed('metal of the wire')),
    v: assumed('travelLeastMmPerMin'),
  },
  compute: ({ a, r, ρ, v }) => Math.min(a, (1000 * r) / (ρ * v)),
  source: commonPractice('nor does anybody travel slower than his slowest'),
})
export const beadMost = from(beadByHand, beadByRate)

/** Nobody welds a narrower bead: a groove that is shut at its root still takes one. */
export const NARROWEST_BEAD_MM = 1

const passes = { title: 'Passes', symbol: 'n', unit: '' } as const

const chosenPasses = calculation({
  ...passes,
  id: 'passes-chosen',
  expression: 'n',
  inputs: { n: input('passes chosen', '', jobField('passes of the weld')) },
  compute: ({ n }) => n,
  source: jobField('passes of the weld'),
})
const filletPasses = calculation({
  ...passes,
  id: 'passes-fillet',
  expression: 'max(1, min(ceil(round(A / B, 6)), floor(round(z_1 * z_2 / z_0^2, 6))))',
  inputs: {
    A: weldArea,
    B: beadMost,
    z_1: input('leg', 'mm', jobField('size of the weld')),
    z_2: input('other leg', 'mm', jobField('size of the weld')),
    z_0: assumed('leastPassLegMm'),
  },
  compute: ({ A, B, z_1, z_2, z_0 }) =>
    Math.max(1, Math.min(roundedUp(A / B), Math.floor(Math.round(((z_1 * z_2) / z_0 ** 2) * 1e6) / 1e6))),
  source: commonPractice('a larger leg is built of passes, none of them below the least leg'),
})
const groovePasses = calculation({
  ...passes,
  id: 'passes-groove',
  expression: 'max(m, ceil(round(A / B, 6)), sum(ceil(round(w / b, 6))))',
  inputs: {
    m: layers,
    A: weldArea,
    B: beadMost,
    w: listOf('width at the middle of each layer, from the root', 'mm', computed('shape of the groove')),
    b: assumed('splitLayerMm'),
  },
  compute: ({ m, A, B, w, b }) =>
    Math.max(
      m,
      roundedUp(A / B),
      w.reduce((sum, width) => sum + roundedUp(width / b), 0),
    ),
  source: commonPractice('by layers, by the metal of a pass; AWS D1.1 splits wide layers'),
})
const layeredPasses = calculation({
  ...passes,
  id: 'passes-layers',
  expression: 'm',
  inputs: { m: layers },
  compute: ({ m }) => m,
  source: commonPractice('a hole is filled a layer a pass'),
})
const beadPasses = calculation({
  ...passes,
  id: 'passes-beads',
  expression: 'max(1, ceil(round(A / B, 6)))',
  inputs: { A: weldArea, B: beadMost },
  compute: ({ A, B }) => Math.max(1, roundedUp(A / B)),
  source: commonPractice('by the metal of a pass'),
})
const allPasses = [chosenPasses, filletPasses, groovePasses, layeredPasses, beadPasses] as const
const n = from(...allPasses)
const rootPasses = calculation({
  ...passes,
  id: 'passes-root',
  title: 'Root pass among them',
  expression: 'min(1, n)',
  inputs: { n },
  compute: ({ n }) => Math.min(1, n),
  source: commonPractice('one bead closes the root'),
})
const fill = { ...passes, title: 'Fill passes among them' } as const
const fillPassesChosen = calculation({
  ...fill,
  id: 'passes-fill-chosen',
  expression: 'max(0, n - 1)',
  inputs: { n },
  compute: ({ n }) => Math.max(0, n - 1),
  source: computed('all but the root pass'),
})
const fillPasses = calculation({
  ...fill,
  id: 'passes-fill',
  expression: 'max(n - 1, ceil(round(A * (1 - x) / B, 6)))',
  inputs: {
    n,
    A: weldArea,
    x: input('share of the root pass', '', computed('metal of the root pass over that of all')),
    B: beadMost,
  },
  compute: ({ n, A, x, B }) => Math.max(n - 1, roundedUp((A * (1 - x)) / B)),
  source: commonPractice('what the root pass leaves open, by the metal of a pass'),
})
const passesOfBoth = calculation({
  ...passes,
  id: 'passes-of-both',
  expression: 'n_1 + n_2',
  inputs: { n_1: from(rootPasses), n_2: from(fillPassesChosen, fillPasses) },
  compute: ({ n_1, n_2 }) => n_1 + n_2,
  source: computed('sum'),
})
export const passesWanted = from(...allPasses, rootPasses, fillPassesChosen, fillPasses, passesOfBoth)

/**
 * @param deposited by a fill pass; null by a rod, or where no wire is chosen
 * @param rootShare of all the metal of the groove
 * @returns how many of the passes of a groove are of which kind, and both together
 */
export function passesByKind(
  joint: Joint,
  process: ProcessId,
  deposited: Deposited | null,
  { passes: all, rootShare: x }: { readonly passes: number; readonly rootShare: number },
  reckoner: Reckoner,
): Readonly<Record<PassKind, number>> & { readonly both: number } {
  const n_1 = reckoner.compute(rootPasses, { n: all })
  const n_2 =
    joint.passes === null
      ? reckoner.compute(fillPasses, {
          n: all,
          A: weldAreaMm2(joint, reckoner),
          x,
          B: beadMostMm2(joint, process, deposited, reckoner),
        })
      : reckoner.compute(fillPassesChosen, { n: all })
  return { root: n_1, fill: n_2, both: reckoner.compute(passesOfBoth, { n_1, n_2 }) }
}

/** What is laid down in a minute of arc, and how heavy it is. */
export interface Deposited {
  readonly gPerMin: number
  readonly densityGPerCm3: number
}

/**
 * @param deposited null where no wire is chosen, or by a rod
 * @returns the most metal that one pass lays, mm²
 */
export function beadMostMm2(
  joint: Joint,
  process: ProcessId,
  deposited: Deposited | null,
  reckoner: Reckoner,
): number {
  const a = beadKey(joint, process)
  return deposited
    ? reckoner.compute(beadByRate, { a, r: deposited.gPerMin, ρ: deposited.densityGPerCm3 })
    : reckoner.compute(beadByHand, { a })
}

/**
 * Passes of one weld: the owner's number, else what layers, hand and wire allow.
 * @param deposited null where no wire is chosen, or by a rod
 */
export function passesOf(
  joint: Joint,
  process: ProcessId,
  deposited: Deposited | null,
  reckoner: Reckoner,
): number {
  if (joint.passes !== null) return reckoner.compute(chosenPasses, { n: joint.passes })
  if (joint.kind === 'plug' || joint.kind === 'slot')
    return reckoner.compute(layeredPasses, { m: layersOf(joint, process, reckoner) })
  const B = beadMostMm2(joint, process, deposited, reckoner)
  const A = weldAreaMm2(joint, reckoner)
  if (isFillet(joint)) {
    const legs = legsMm(joint)
    return reckoner.compute(filletPasses, { A, B, z_1: legs.a, z_2: legs.b })
  }
  if (!isLayered(joint)) return reckoner.compute(beadPasses, { A, B })
  const m = layersOf(joint, process, reckoner)
  const t = thinnerMm(joint)
  const w = Array.from({ length: m }, (_, index) =>
    Math.max(NARROWEST_BEAD_MM, widthAtMm(joint, ((index + 0.5) * t) / m)),
  )
  return reckoner.compute(groovePasses, { m, A, B, w })
}
