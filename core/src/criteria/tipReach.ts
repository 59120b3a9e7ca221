/** How near the contact tip comes to the root: its place in the nozzle, and how far the nozzle goes into the corner. */
import { commonPractice, computed, jobField } from '../basis/source.ts'
import { assumed, calculation, from, input } from '../calculation/calculation.ts'
import type { Capability } from '../capability/capability.ts'
import type { WeldFigures } from '../demand/weldFigures.ts'
import { figure, message } from '../model/message.ts'
import { techniqueFor } from '../reference/technique.ts'
import { currentAtLongerA, feedCurrentLong, wireFeed, wireFeedSpeed } from '../trade/burnOff.ts'
import { isFillet } from '../trade/geometry.ts'
import { thinnerFamily } from '../trade/wantedCurrent.ts'
import type { Criterion } from './criterion.ts'
import { good, grouped, poor } from './grouped.ts'

/** A round nozzle between two plates at a right angle: its rim meets them as far from the corner as it is wide. */
const leastReach = calculation({
  id: 'tip-least-reach',
  title: 'Nearest that the tip comes to the root of a corner',
  symbol: 'h',
  unit: 'mm',
  expression: 'b / 2 + w + e',
  inputs: {
    b: input('bore of the nozzle', 'mm', jobField('nozzle of the set-up')),
    w: assumed('nozzleWallMm'),
    e: input('tip set back in it', 'mm', jobField('nozzle of the set-up')),
  },
  compute: ({ b, w, e }) => b / 2 + w + e,
  source: computed('geometry'),
})
const moreReach = calculation({
  id: 'tip-more-reach',
  title: 'Wire beyond the tip above what is usual',
  symbol: 'e',
  unit: 'mm',
  expression: 'max(0, h - h_u)',
  inputs: { h: from(leastReach), h_u: input('usual, at the most', 'mm', commonPractice()) },
  compute: ({ h, h_u }) => Math.max(0, h - h_u),
  source: commonPractice('contact tip to work, by process and position'),
})

export interface Reach {
  readonly leastMm: number
  readonly usualMm: number
  /** What the arc draws less at the wire speed of the start, A. */
  readonly lostA: number
}

/** @returns null where the tip comes near enough, where nothing is known of the nozzle, and of every joint but a corner */
export function longReach(
  { process, fedWire, nozzle, reckoner }: Capability,
  { joint, wantedA }: Pick<WeldFigures, 'joint' | 'wantedA'>,
): Reach | null {
  const { tipToWorkMm } = techniqueFor(process.id, thinnerFamily(joint), joint)
  const bore = nozzle?.insideMm ?? null
  if (!fedWire || !tipToWorkMm || bore === null || !isFillet(joint)) return null
  const leastMm = reckoner.compute(leastReach, { b: bore, e: nozzle?.tipRecessMm ?? 0 })
  const usualMm = tipToWorkMm.high
  const e = reckoner.compute(moreReach, { h: leastMm, h_u: usualMm })
  if (e <= 0) return null
  const feed = wireFeedSpeed(fedWire, wantedA, process.id, reckoner)
  return { leastMm, usualMm, lostA: wantedA - currentAtLongerA(fedWire, feed, process.id, e, reckoner) }
}

/** As a hand measures it: to a sixteenth, which is told in the shop's units. */
const SIXTEENTH_MM = 1.5875
const toSixteenth = (mm: number): number => Math.round(mm / SIXTEENTH_MM) * SIXTEENTH_MM
/** Some more is only told; so much more starves the arc and lets the gas go. */
const FAR_MM = 3

const tipReach = grouped(
  'tip-reach',
  'joint',
  ['nozzle', 'wire'],
  (capability, demand) => {
    if (!demand || !capability.fedWire || (capability.nozzle?.insideMm ?? null) === null) return null
    const found = demand.runs.flatMap((weld) => {
      const reach = longReach(capability, weld)
      return reach ? [{ weld, reach }] : []
    })
    const [first, ...others] = found
    if (!first) return demand.runs.some(({ joint }) => isFillet(joint)) ? good('near') : null
    const overOf = ({ reach }: typeof first) => reach.leastMm - reach.usualMm
    const { weld, reach } = others.reduce(
      (worst, next) => (overOf(next) > overOf(worst) ? next : worst),
      first,
    )
    const params = {
      least: figure(toSixteenth(reach.leastMm), 'mm'),
      usual: figure(reach.usualMm, 'mm'),
      lost: figure(reach.lostA, 'A'),
    }
    const make = reach.leastMm - reach.usualMm > FAR_MM ? poor : good
    return { ...make('far', params, undefined, weld.joint.id), pass: weld.pass }
  },
  { from: [leastReach, moreReach, wireFeed, feedCurrentLong], mends: () => [message('flush-nozzle')] },
)

export const REACH_CRITERIA: readonly Criterion[] = [tipReach]
