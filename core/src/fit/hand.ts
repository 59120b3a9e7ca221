/** What the hand has to know of a weld: how far the tip is from the root, where the next stringer goes, where it is cold. */
import { weldCountOf } from '../joints/weldCount.ts'
import type { Capability } from '../capability/capability.ts'
import { longReach, type Reach } from '../criteria/tipReach.ts'
import type { WeldFigures } from '../demand/weldFigures.ts'
import { DENSITY } from '../reference/materials.ts'
import { currentAtLongerA, wireFeedSpeed } from '../trade/burnOff.ts'
import { thinnerFamily } from '../trade/wantedCurrent.ts'

/** A tip this far back in the nozzle is what some guns have, mm (3/8 in). */
const SET_BACK_MM = 9.525
/** Step from one stringer to the next, mm (1/8 to 3/16 in; common practice, no source). */
const STEP_MM = [3.175, 4.7625] as const
/** From here on aluminium draws the first inch’s heat away, mm (common practice, no source). */
const COLD_START_MM = 3

export interface Hand {
  /** What a tip set back by 3/8 in takes from the arc at the same wire speed, A; null by torch and stick. */
  readonly setBackA: number | null
  /** The tip cannot come as near as the technique wants; null where it can. */
  readonly reach: Reach | null
  /** From the middle of one stringer to the next, mm; null where there are fewer than three passes. */
  readonly stepOverMm: number | null
  /** The first inch of aluminium is cold. */
  readonly warmFirst: boolean
}

/** A bead across is nearly a triangle with a right angle: as wide as twice the root of its area. */
function stepOverOf({ passes, metalG, runMm, joint }: WeldFigures, pieces: number): number | null {
  if (passes < 3) return null
  const density = DENSITY[thinnerFamily(joint)].value
  const areaMm2 = (metalG * 1000) / (density * runMm * weldCountOf(joint) * pieces * passes)
  const [least, most] = STEP_MM
  return Math.min(most, Math.max(least, Math.sqrt(areaMm2)))
}

/**
 * @param pieces of the job
 * @param preheatC null where the part is as cold as the shop
 */
export function handFor(
  capability: Capability,
  weld: WeldFigures,
  { pieces, preheatC }: { readonly pieces: number; readonly preheatC: number | null },
): Hand {
  const { process, fedWire, reckoner } = capability
  const feed = fedWire && wireFeedSpeed(fedWire, weld.wantedA, process.id, reckoner)
  return {
    setBackA:
      fedWire && feed !== null
        ? weld.wantedA - currentAtLongerA(fedWire, feed, process.id, SET_BACK_MM, reckoner)
        : null,
    reach: longReach(capability, weld),
    stepOverMm: stepOverOf(weld, pieces),
    warmFirst:
      preheatC === null && thinnerFamily(weld.joint) === 'aluminium' && weld.heatedMm >= COLD_START_MM,
  }
}
