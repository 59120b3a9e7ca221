/** What a current makes of a weld: all that it wants, what still makes it, or neither. */
import type { Demand } from '../demand/demand.ts'
import type { WeldFigures } from '../demand/weldFigures.ts'
import { type Verdict, VERDICT_RANK } from '../model/verdict.ts'
import type { Source } from '../basis/source.ts'
import type { Capability } from '../capability/capability.ts'
import { figure, type Params } from '../model/message.ts'
import { burnThrough, leastWindowCurrent, mostWindowCurrent } from '../trade/wantedCurrent.ts'
import type { Carried } from './carries.ts'
import { type Assessment, measured } from './criterion.ts'

/** What the working of a current shows beside it. */
export const WINDOW = [leastWindowCurrent, mostWindowCurrent, burnThrough] as const

type Window = Pick<WeldFigures, 'wantedA' | 'lowA' | 'highA'>

/** Rounding must not make an exact fit fail. */
const SLACK = 1e-8

/**
 * @returns fits where the current needed is carried, tight where only another within the weld's window is, else fails
 * @example verdictOfCurrent({ wantedA: 150, lowA: 120, highA: null }, { highA: 130, … }) // 'tight'
 */
export function verdictOfCurrent(
  { wantedA, lowA, highA: burnsA }: Window,
  { lowA: from, highA: to, leastA, mostA }: Carried,
): Verdict {
  if (mostA < lowA * (1 - SLACK)) return 'fails'
  if (burnsA !== null && leastA > burnsA * (1 + SLACK)) return 'fails'
  return to >= wantedA * (1 - SLACK) && from <= wantedA * (1 + SLACK) ? 'fits' : 'tight'
}

/** Room to the nearer end of what is carried, as a ratio; below 1 where the current needed is outside. */
const roomOf = ({ wantedA }: Window, { lowA, highA }: Carried): number =>
  Math.min(highA / wantedA, lowA > 0 ? wantedA / lowA : Number.POSITIVE_INFINITY)

/** @returns the weld, or the pass of it, that is worst off with these currents: by verdict, then by room */
export function worstWithin({ runs, hungriest }: Demand, carried: Carried): WeldFigures {
  let worst = hungriest
  let rank = -1
  let room = Number.POSITIVE_INFINITY
  for (const weld of runs) {
    const thisRank = VERDICT_RANK[verdictOfCurrent(weld, carried)]
    const thisRoom = roomOf(weld, carried)
    if (thisRank > rank || (thisRank === rank && thisRoom < room)) {
      worst = weld
      rank = thisRank
      room = thisRoom
    }
  }
  return worst
}

interface Within {
  readonly carried: Carried
  readonly params?: Params
  readonly source: Source
  /** Where one weld decides whatever is carried; else the worst off does. */
  readonly weld?: WeldFigures
}

/** An assessment of what is carried against the current of the weld that is worst off; the window decides. */
export function measuredWithin(
  capability: Capability,
  demand: Demand,
  criterion: string,
  { carried, params = {}, source, weld = worstWithin(demand, carried) }: Within,
): Assessment {
  const verdict = verdictOfCurrent(weld, carried)
  const isBelow = carried.highA < weld.wantedA
  return measured(capability, criterion, {
    verdict,
    code: verdict === 'tight' ? (isBelow ? 'slower' : 'above-low-end') : 'measured',
    params: { ...params, least: figure(weld.lowA, 'A') },
    demand: weld.wantedA,
    capacity: carried.highA,
    capacityLow: carried.lowA,
    unit: 'A',
    weldId: weld.joint.id,
    pass: weld.pass,
    source,
  })
}
