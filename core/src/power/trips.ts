/** After how long of this welding the breaker goes: done once, all shift long, and with an arc that never stops. */
import type { Capability } from '../capability/capability.ts'
import type { Demand } from '../demand/demand.ts'
import { BANDS, type Band } from '../supply/breaker/breakerModel.ts'
import { type Beat, type HeatAt, heatCurve, tripsAfterS } from '../supply/breaker/heat.ts'
import { trippingOf } from '../supply/breaker/overload.ts'
import { inputCurrentA, weldingDrawnA } from '../supply/inputCurrent.ts'
import { steadyAmpsOn } from '../supply/otherLoads.ts'

export type PatternOfWork = 'job' | 'shift' | 'automatic'

export interface Trips {
  readonly pattern: PatternOfWork
  /** How long it is looked at, s. */
  readonly mostS: number
  /** s until it trips; null where it holds. */
  readonly afterS: Readonly<Record<Band, number | null>>
  /** Heat of each, 1 where it trips, up to there. Empty where nobody draws it. */
  readonly curves: Readonly<Record<Band, readonly HeatAt[]>>
}

const HOUR_S = 3600
/** A breaker is as good as settled within so many of its time constants: longer work changes nothing. */
const AUTOMATIC_S = 8 * HOUR_S

/** The job's arcs and pauses as currents from the circuit; null without arc time, or without a draw. */
export function beatsOf(
  { draw, supply }: Capability,
  { spells, hungriest, dutyPct }: Demand,
): readonly Beat[] | null {
  if (!draw || !supply || dutyPct === null) return null
  return spells.map(({ arcS, offS, times, heat }) => ({
    onS: arcS,
    offS,
    times,
    onA: inputCurrentA(draw, weldingDrawnA(supply, hungriest.wantedA * Math.sqrt(heat))),
    offA: draw.idleA,
  }))
}

/** What is on all day on the same circuit, A. */
const steadyA = ({ circuit, building }: Capability): number =>
  circuit ? steadyAmpsOn(circuit, building.loads).reduce((sum, amps) => sum + amps, 0) : 0

/** The same beats, with what is on all day beside them. */
export function besideSteady(capability: Capability, beats: readonly Beat[] | null): readonly Beat[] | null {
  const more = steadyA(capability)
  if (!beats || more === 0) return beats
  return beats.map((beat) => ({ ...beat, onA: beat.onA + more, offA: beat.offA + more }))
}

/**
 * @param isDrawn whether the curve is wanted: it costs more than all the rest
 * @returns by pattern; null without a circuit, a draw or arc time
 * @example tripsOf(capability, demand, false)?.[0]?.afterS.early // 540 s
 */
export function tripsOf(capability: Capability, demand: Demand, isDrawn: boolean): readonly Trips[] | null {
  const { circuit, draw, supply, breaker, reckoner } = capability
  const beats = besideSteady(capability, beatsOf(capability, demand))
  if (!circuit || !draw || !supply || !beats) return null
  const { ratingA, stores } = trippingOf(circuit, breaker, reckoner)
  const withoutEnd: Beat = {
    onS: AUTOMATIC_S,
    offS: 0,
    times: 1,
    onA: inputCurrentA(draw, weldingDrawnA(supply, demand.hungriest.wantedA)) + steadyA(capability),
    offA: draw.idleA + steadyA(capability),
  }
  /** Where the earliest holds, all do. */
  const afterS = (all: readonly Beat[], mostS: number): Trips['afterS'] => {
    const early = tripsAfterS(all, ratingA, stores.early, mostS)
    if (early === null) return HOLDS
    const of = (band: Band) => tripsAfterS(all, ratingA, stores[band], mostS)
    return { early, nominal: of('nominal'), late: of('late') }
  }
  const lookAt = (pattern: PatternOfWork, all: readonly Beat[], mostS: number): Trips => ({
    pattern,
    mostS,
    afterS: afterS(all, mostS),
    curves: byBand((band) => (isDrawn ? heatCurve(all, ratingA, stores[band], mostS) : [])),
  })
  return [
    lookAt('job', beats, (demand.workH ?? 0) * HOUR_S),
    lookAt('shift', beats, capability.assumptions.shiftHours * HOUR_S),
    lookAt('automatic', [withoutEnd], AUTOMATIC_S),
  ]
}

const HOLDS: Trips['afterS'] = { early: null, nominal: null, late: null }

const byBand = <T>(of: (band: Band) => T): Readonly<Record<Band, T>> =>
  Object.fromEntries(BANDS.map((band) => [band, of(band)])) as Readonly<Record<Band, T>>
