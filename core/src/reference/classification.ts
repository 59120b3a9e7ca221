/** What a filler's AWS classification says by itself: positions, direction, polarity, passes and gas. */
import { remembered } from '../basis/remembered.ts'
import type { Wire } from '../kinds/equipment.ts'
import { isOutOfPosition, type Position } from '../model/jointKinds.ts'
import type { Polarity } from '../model/process.ts'
import { dataPlate, type Source, standard } from '../basis/source.ts'
import { coveredClassOf } from './coveredElectrodes.ts'
import { designationOf } from './designation.ts'
import type { IsoClass, IsoPosition } from './isoFillers.ts'

/** E 7 1 T - 1 C/M: strength, position, cored, usability, gas (AWS A5.20; A5.22 for stainless ends likewise). */
const CORED = /^E\d{1,3}?(?<position>[01])T-?(?<usability>1[0-4]|\d|GS)-?(?<gas>C\/M|M\/C|C1?|M\d*)?/

export interface Said<T> {
  readonly value: T
  readonly source: Source
}

const A5_20 = standard('AWS A5.20, classification of cored steel electrodes', true)

const coredGroups = (classification: string) => CORED.exec(designationOf(classification).aws)?.groups ?? null
/** What EN ISO says by a position digit, the first that has one. */
const positioned = (classification: string): (IsoClass & { position: IsoPosition }) | null => {
  const found = designationOf(classification).iso.find(({ position }) => position !== null)
  return found?.position ? { ...found, position: found.position } : null
}

/** @returns the wire's own data, else what the classification says; null for a wire that neither binds */
export function positionsOf(
  wire: Pick<Wire, 'positions' | 'classification'>,
): Said<NonNullable<Wire['positions']>> | null {
  if (wire.positions !== null) return { value: wire.positions, source: dataPlate('the wire’s own data') }
  const iso = positioned(wire.classification)
  if (iso) return { value: iso.position < 3 ? 'all' : 'flat-horizontal', source: iso.source }
  const covered = coveredClassOf(wire.classification)
  if (covered) return { value: covered.positions, source: covered.source }
  const parts = coredGroups(wire.classification)
  if (!parts) return null
  return { value: parts['position'] === '0' ? 'flat-horizontal' : 'all', source: A5_20 }
}

/** What the usability of a cored wire says (AWS A5.20, Table 2); what it leaves open is null. */
interface Usability {
  readonly shielding: 'gas' | 'self'
  readonly polarities: readonly Polarity[] | null
  readonly isSinglePass: boolean
  /** Whether vertical welds are run downward; null of a class for flat and horizontal. */
  readonly isForDownhill: boolean | null
  /** Thickest part, mm. */
  readonly mostMm: number | null
  /** Arc volts above those of the other self-shielded wires at the same current: common practice, no source. */
  readonly moreV: number
  /** Burn-off by the arc at 1.2 mm, mm/(s·A): fitted to usual procedures, no source. Null where it burns off like any steel. */
  readonly burnOff: number | null
  /** Electrode extension that it is run with, mm; null where that of its process holds. */
  readonly extensionMm: number | null
}
/** The flux takes heat to make its own gas: on DCEN these wires are fed more slowly than others, those for sheet most. */
const SHEET_BURN_OFF = 0.12
const PLATE_BURN_OFF = 0.22
const usability = (
  shielding: Usability['shielding'],
  polarities: Usability['polarities'],
  isForDownhill: boolean | null,
  part: Partial<Usability> = {},
): Usability => ({
  shielding,
  polarities,
  isForDownhill,
  isSinglePass: false,
  mostMm: null,
  moreV: 0,
  burnOff: null,
  extensionMm: null,
  ...part,
})
const SHEET_MOST_MM = 4.7625
const T11_MOST_MM = 19.05

const USABILITY: Readonly<Record<string, Usability>> = {
  '1': usability('gas', ['dcep'], false),
  '2': usability('gas', ['dcep'], null, { isSinglePass: true }),
  '3': usability('self', ['dcep'], null, { isSinglePass: true, mostMm: SHEET_MOST_MM, moreV: 1 }),
  '4': usability('self', ['dcep'], null, { moreV: 7, extensionMm: 60 }),
  '5': usability('gas', ['dcep', 'dcen'], false),
  '6': usability('self', ['dcep'], null, { moreV: 5, extensionMm: 30 }),
  '7': usability('self', ['dcen'], null, { moreV: 3, burnOff: PLATE_BURN_OFF, extensionMm: 30 }),
  '8': usability('self', ['dcen'], false, { burnOff: PLATE_BURN_OFF, extensionMm: 20 }),
  '9': usability('gas', ['dcep'], false),
  '10': usability('self', ['dcen'], true, { isSinglePass: true, burnOff: SHEET_BURN_OFF }),
  '11': usability('self', ['dcen'], true, { mostMm: T11_MOST_MM, burnOff: SHEET_BURN_OFF }),
  '12': usability('gas', ['dcep'], false),
  '13': usability('self', ['dcen'], true, { isSinglePass: true, burnOff: SHEET_BURN_OFF }),
  '14': usability('self', ['dcen'], true, { isSinglePass: true, burnOff: SHEET_BURN_OFF }),
  GS: usability('self', null, true, {
    isSinglePass: true,
    mostMm: SHEET_MOST_MM,
    burnOff: SHEET_BURN_OFF,
  }),
}

/** @returns what the class of a cored wire says of its use; null of another filler, or of a class left open */
export const coredUsabilityOf = remembered((classification: string): Said<Usability> | null => {
  const value = USABILITY[coredGroups(classification)?.['usability'] ?? '']
  return value ? { value, source: A5_20 } : null
})

/**
 * @returns whether its class is for welding downward; null where it does not say
 * @example isForDownhill('E7018')?.value // false
 */
export function isForDownhill(classification: string): Said<boolean> | null {
  const iso = positioned(classification)
  if (iso) return { value: iso.position === 1 || iso.position === 5, source: iso.source }
  const covered = coveredClassOf(classification)
  if (covered) return { value: covered.isForDownhill, source: covered.source }
  const value = coredUsabilityOf(classification)?.value.isForDownhill ?? null
  return value === null ? null : { value, source: A5_20 }
}

/**
 * @returns the polarities that the class of a wire or an electrode is run on, the usual one first; null where it does not say
 * @example polaritiesOfClass('E70T-4')?.value // ['dcep']
 */
export function polaritiesOfClass(classification: string): Said<readonly Polarity[]> | null {
  const covered = coveredClassOf(classification)
  if (covered) return { value: covered.polarities, source: covered.source }
  const value = coredUsabilityOf(classification)?.value.polarities ?? null
  return value === null ? null : { value, source: A5_20 }
}

/**
 * @returns why a wire or electrode is not for a position: for flat and horizontal only, upward only, or flat alone; null
 * where it is
 */
export function notForPosition(
  wire: Pick<Wire, 'positions' | 'classification'>,
  position: Position,
): Said<'beyond' | 'upward-only' | 'flat-alone'> | null {
  const iso = wire.positions === null ? positioned(wire.classification) : null
  // One digit is for the flat position alone, one for flat, horizontal and downward.
  if (iso?.position === 4 && position === 'horizontal') return { value: 'flat-alone', source: iso.source }
  if (iso?.position === 5 && position === 'vertical-down') return null
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

/**
 * @returns limits of thickness and passes that the class itself sets; null where it sets none
 * @example coredLimitsOf('E71T-GS')?.isSinglePass // true
 */
export function coredLimitsOf(classification: string): CoredLimits | null {
  const onePass = designationOf(classification).iso.find(({ isSinglePass }) => isSinglePass)
  if (onePass) return { mostMm: null, isSinglePass: true, source: onePass.source }
  const said = coredUsabilityOf(classification)
  if (!said) return null
  const { mostMm, isSinglePass } = said.value
  return mostMm !== null || isSinglePass ? { mostMm, isSinglePass, source: said.source } : null
}

/** @returns the gas a cored wire is made for; null where neither its data nor its class says */
export function gasOf(
  wire: Pick<Wire, 'gasWanted' | 'classification'>,
): Said<NonNullable<Wire['gasWanted']>> | null {
  if (wire.gasWanted !== null) return { value: wire.gasWanted, source: dataPlate('the wire’s own data') }
  const iso = designationOf(wire.classification).iso.filter(({ gas }) => gas !== null)
  const [first] = iso
  if (first?.gas) {
    // Classed with one gas and with another: it runs in either.
    const value = iso.every(({ gas }) => gas === first.gas) ? first.gas : 'either'
    return { value, source: first.source }
  }
  const gas = coredGroups(wire.classification)?.['gas']
  if (!gas) return null
  const value = /[/]/.test(gas) ? 'either' : gas.startsWith('C') ? 'co2' : 'mixed'
  return { value, source: A5_20 }
}
