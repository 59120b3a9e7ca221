/** What else hangs on a circuit: what is on all day takes its amps for good, what comes and goes heats the breaker by turns. */
import { computed, dataPlate } from '../basis/source.ts'
import { calculation, from, input, listOf } from '../calculation/calculation.ts'
import type { Reckoner } from '../calculation/reckoner.ts'
import type { Circuit, OtherLoad } from '../kinds/equipment.ts'
import { breakerInWarmth, overloadFactor } from './breaker/overload.ts'
import { ampacityReading } from './readings.ts'

const MINUTE_S = 60

const steadyAmps = listOf('what is on all day, each', 'A', dataPlate('other load'))
export const heldBesideSteady = calculation({
  id: 'breaker-held-beside',
  title: 'What the breaker holds beside what is on all day',
  symbol: 'I_h',
  unit: 'A',
  expression: 'max(0, I_w - sum(I_o))',
  inputs: { I_w: from(breakerInWarmth), I_o: steadyAmps },
  compute: ({ I_w, I_o }) => Math.max(0, I_w - sum(I_o)),
  source: computed('their amps are gone'),
})
export const carriedBesideSteady = calculation({
  id: 'cable-carries-beside',
  title: 'What the cable carries beside what is on all day',
  symbol: 'A_c',
  unit: 'A',
  expression: 'max(0, A_w - sum(I_o))',
  inputs: { A_w: from(ampacityReading), I_o: steadyAmps },
  compute: ({ A_w, I_o }) => Math.max(0, A_w - sum(I_o)),
  source: computed('their amps are gone'),
})
export const besideTurns = calculation({
  id: 'breaker-beside-turns',
  title: 'Heating of the breaker by the welds and by what comes and goes, as a continuous current',
  symbol: 'I_heat',
  unit: 'A',
  expression: 'I_m + sum(I_e)',
  inputs: {
    I_m: input('by the machine alone', 'A', computed('heat of the welds'), 'breaker-heat-current'),
    I_e: listOf(
      'each other load, as a continuous current',
      'A',
      computed('running amps, by how long it is on and off'),
    ),
  },
  compute: ({ I_m, I_e }) => I_m + sum(I_e),
  source: computed('they may come together'),
})

const sum = (values: readonly number[]): number => values.reduce((total, value) => total + value, 0)

const isSteady = ({ onMin, offMin }: OtherLoad): boolean => onMin === null || offMin === null

export const loadsOn = (circuit: Pick<Circuit, 'id'>, loads: readonly OtherLoad[]): readonly OtherLoad[] =>
  loads.filter(({ circuitId }) => circuitId === circuit.id)

/** @returns A of each load that is on all day */
export const steadyAmpsOn = (circuit: Circuit, loads: readonly OtherLoad[]): readonly number[] =>
  loadsOn(circuit, loads)
    .filter(isSteady)
    .map(({ runningA }) => runningA)

/** A load that comes and goes, and the steady current that heats a breaker as much, A. */
export interface ByTurns {
  readonly name: string
  readonly heatA: number
}
export const byTurnsOn = (
  circuit: Circuit,
  loads: readonly OtherLoad[],
  constantS: number,
): readonly ByTurns[] =>
  loadsOn(circuit, loads).flatMap(({ name, runningA, onMin, offMin }) =>
    onMin === null || offMin === null
      ? []
      : [{ name, heatA: runningA / overloadFactor(onMin * MINUTE_S, offMin * MINUTE_S, constantS) }],
  )

/** @returns A that is left of what a breaker holds, beside what is on all day */
export function heldBesideA(
  heldA: number,
  circuit: Circuit,
  loads: readonly OtherLoad[],
  reckoner: Reckoner,
): number {
  const I_o = steadyAmpsOn(circuit, loads)
  return I_o.length === 0 ? heldA : reckoner.compute(heldBesideSteady, { I_w: heldA, I_o })
}
/** @returns A that is left of what a cable carries, beside what is on all day */
export function carriedBesideA(
  carriedA: number,
  circuit: Circuit,
  loads: readonly OtherLoad[],
  reckoner: Reckoner,
): number {
  const I_o = steadyAmpsOn(circuit, loads)
  return I_o.length === 0 ? carriedA : reckoner.compute(carriedBesideSteady, { A_w: carriedA, I_o })
}
