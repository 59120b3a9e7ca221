/** What a filler's AWS classification says by itself: the positions, the direction and the gas it is made for. */
import type { Wire } from '../model/equipment.ts'
import { isOutOfPosition, type Position } from '../model/jointKinds.ts'
import { dataPlate, type Source, standard } from '../basis/source.ts'
import { COVERED_CLASS_SOURCE, coveredClassOf } from './coveredElectrodes.ts'

/** E 7 1 T - 1 C/M: strength, position, cored, usability, gas (AWS A5.20; A5.22 for stainless ends likewise). */
const CORED = /^E\d{1,3}?(?<position>[01])T-?(?<usability>\d{1,2}|GS)(?<gas>C\/M|M\/C|C|M)?/i

export interface Said<T> {
  readonly value: T
  readonly source: Source
}

const A5_20 = standard('AWS A5.20, classification of cored steel electrodes', true)

const partsOf = (classification: string) =>
  CORED.exec(classification.replaceAll(' ', '').toUpperCase())?.groups ?? null

/** @returns the wire's own data, else what the classification says; null for a wire that neither binds */
export function positionsOf(
  wire: Pick<Wire, 'positions' | 'classification'>,
): Said<NonNullable<Wire['positions']>> | null {
  if (wire.positions !== null) return { value: wire.positions, source: dataPlate('the wire’s own data') }
  const covered = coveredClassOf(wire.classification)
  if (covered) return { value: covered.positions, source: COVERED_CLASS_SOURCE }
  const parts = partsOf(wire.classification)
  if (!parts) return null
  return { value: parts['position'] === '0' ? 'flat-horizontal' : 'all', source: A5_20 }
}

/** Usability of AWS A5.20, Table 2: its classes for vertical welds upward, and those for downward; others it leaves open. */
const UPWARD = ['1', '5', '8', '9', '12']
const DOWNWARD = ['10', '11', '13', '14', 'GS']

/**
 * @returns whether its class is for welding downward; null where it does not say
 * @example isForDownhill('E7018')?.value // false
 */
export function isForDownhill(classification: string): Said<boolean> | null {
  const covered = coveredClassOf(classification)
  if (covered) return { value: covered.isForDownhill, source: COVERED_CLASS_SOURCE }
  const usability = partsOf(classification)?.['usability'] ?? ''
  if (UPWARD.includes(usability)) return { value: false, source: A5_20 }
  return DOWNWARD.includes(usability) ? { value: true, source: A5_20 } : null
}

/** @returns why a wire or electrode is not for a position, for flat and horizontal only or upward only; null where it is */
export function notForPosition(
  wire: Pick<Wire, 'positions' | 'classification'>,
  position: Position,
): Said<'beyond' | 'upward-only'> | null {
  if (!isOutOfPosition(position)) return null
  const positions = positionsOf(wire)
  if (positions?.value === 'flat-horizontal') return { value: 'beyond', source: positions.source }
  const downhill = position === 'vertical-down' ? isForDownhill(wire.classification) : null
  return downhill?.value === false ? { value: 'upward-only', source: downhill.source } : null
}

/** What a cored wire may join, by its class. */
export interface CoredLimits {
  /** Thickest part, mm; null where the class sets none. */
  readonly mostMm: number | null
  /** Whether a second pass over the first is none of its business. */
  readonly isSinglePass: boolean
  readonly source: Source
}

const GS_MOST_MM = 4.7625
const T11_MOST_MM = 19.05

/**
 * @returns limits of thickness and passes that the class itself sets; null where it sets none
 * @example coredLimitsOf('E71T-GS')?.isSinglePass // true
 */
export function coredLimitsOf(classification: string): CoredLimits | null {
  const usability = partsOf(classification)?.['usability']
  if (usability === 'GS') return { mostMm: GS_MOST_MM, isSinglePass: true, source: A5_20 }
  if (usability === '11') return { mostMm: T11_MOST_MM, isSinglePass: false, source: A5_20 }
  return null
}

/** @returns the gas a cored wire is made for; null where neither its data nor its class says */
export function gasOf(
  wire: Pick<Wire, 'gasWanted' | 'classification'>,
): Said<NonNullable<Wire['gasWanted']>> | null {
  if (wire.gasWanted !== null) return { value: wire.gasWanted, source: dataPlate('the wire’s own data') }
  const gas = partsOf(wire.classification)?.['gas']
  if (!gas) return null
  const value = gas === 'C' ? 'co2' : gas === 'M' ? 'mixed' : 'either'
  return { value, source: A5_20 }
}
