/** The welding symbol of a joint by AWS A2.4 or ISO 2553, as data for a drawing and as a text that reads back. From memory. */
import type { Joint } from '../kinds/job.ts'
import type { JointKind } from '../model/jointKinds.ts'
import { FILLET_KINDS } from '../model/jointKinds.ts'
import { printQuantity } from '../quantity/print.ts'
import type { Notation } from '../quantity/units.ts'
import { applyChange } from './applyChange.ts'
import { printPattern, readPattern } from './pattern.ts'
import { fail, type TextRead } from './read.ts'
import { printSize, readSize } from './size.ts'
import { printJoint, readJoint } from './text.ts'

export const SYMBOL_MARKS = [
  'fillet',
  'square',
  'v',
  'bevel',
  'u',
  'j',
  'flare-v',
  'flare-bevel',
  'edge',
  'plug',
  'slot',
] as const
export type SymbolMark = (typeof SYMBOL_MARKS)[number]
export type SymbolStandard = 'aws-a2.4' | 'iso-2553'

export interface WeldSymbol {
  readonly standard: SymbolStandard
  readonly mark: SymbolMark
  /** The same weld on the other side of the reference line. */
  readonly isBothSides: boolean
  /** Left of the mark: leg, throat or depth. */
  readonly size: string
  /** Right of the mark: length, or length and pitch; empty where the weld runs through. */
  readonly length: string
  readonly isStaggered: boolean
  /** At the mark of a groove: included angle and root opening; empty for none. */
  readonly angle: string
  readonly rootOpening: string
  readonly isAllAround: boolean
  readonly hasBacking: boolean
  readonly hasBackWeld: boolean
  /** In the tail. */
  readonly tail: string
}

const MARKS: Readonly<Record<JointKind, SymbolMark>> = {
  tee: 'fillet',
  lap: 'fillet',
  'inside-corner': 'fillet',
  'outside-corner': 'fillet',
  saddle: 'fillet',
  square: 'square',
  v: 'v',
  'double-v': 'v',
  bevel: 'bevel',
  'double-bevel': 'bevel',
  u: 'u',
  j: 'j',
  'flare-v': 'flare-v',
  'flare-bevel': 'flare-bevel',
  edge: 'edge',
  plug: 'plug',
  slot: 'slot',
}

/**
 * @param tail process or procedure that is named in the tail; empty for none
 * @returns what the symbol shows; its figures as the standard writes them, without a unit
 * @example weldSymbolOf(tee, notation, 'aws-a2.4').size // '3/16'
 */
export function weldSymbolOf(
  joint: Joint,
  notation: Notation,
  standard: SymbolStandard,
  tail = '',
): WeldSymbol {
  const bare = (mm: number): string => printQuantity('weldSize', mm, notation).replace(/ \S+$/, '')
  const isFillet = FILLET_KINDS.includes(joint.kind)
  const isIso = standard === 'iso-2553'
  const leg = joint.legMm === null ? '' : bare(joint.legMm)
  const legs = joint.legBMm === null ? leg : `${leg} × ${bare(joint.legBMm)}`
  const hole = joint.kind === 'plug' && joint.diameterMm !== null ? bare(joint.diameterMm) : ''
  // ISO says which size it is: z is a leg.
  const size = isFillet ? (isIso && legs !== '' ? `z${legs}` : legs) : hole
  const length =
    joint.pattern === 'continuous' || joint.segmentMm === null || joint.pitchMm === null
      ? ''
      : isIso
        ? `${bare(joint.segmentMm)} (${bare(joint.pitchMm - joint.segmentMm)})`
        : `${bare(joint.segmentMm)}-${bare(joint.pitchMm)}`
  return {
    standard,
    mark: MARKS[joint.kind],
    isBothSides: joint.bothSides || joint.kind === 'double-v' || joint.kind === 'double-bevel',
    size,
    length,
    isStaggered: joint.pattern === 'staggered',
    angle: joint.includedAngleDeg === null ? '' : `${joint.includedAngleDeg}°`,
    rootOpening: !isFillet && joint.rootGapMm > 0 ? bare(joint.rootGapMm) : '',
    isAllAround: joint.around || joint.kind === 'saddle',
    hasBacking: joint.backing,
    hasBackWeld: joint.backWeldMm > 0,
    tail: [joint.penetration === 'complete' ? 'CJP' : '', tail].filter(Boolean).join(', '),
  }
}

/**
 * The symbol as a text that reads back.
 * @example symbolText(joint, notation) // 'T-joint; 3/16 in, both sides; 2 in @ 6 in'
 */
export function symbolText(joint: Joint, notation: Notation): string {
  const pattern = printPattern(joint, notation)
  return [printJoint(joint), printSize(joint, notation), pattern === 'continuous' ? '' : pattern]
    .filter(Boolean)
    .join('; ')
}

/**
 * @param text joint, size and pattern between semicolons, any of them missing
 * @returns what changes of the joint; a message names the part that was not understood
 * @example readSymbolText('T; 3/16 both sides; 2-6', joint, notation) // { ok: true, change: { legMm: 4.7625, … }, … }
 */
export function readSymbolText(text: string, joint: Joint, notation: Notation): TextRead {
  const parts = text
    .split(';')
    .map((part) => part.trim())
    .filter(Boolean)
  if (parts.length === 0) return fail('The symbol is empty. Enter for example T-joint; 3/16; 2-6.')
  let now = joint
  let change: Partial<Joint> = {}
  const understood: string[] = []
  for (const part of parts) {
    const tries = [readJoint(part), readPattern(part, notation), readSize(part, now, notation)]
    const found = tries.find(({ ok }) => ok)
    if (!found?.ok) {
      const last = tries.at(-1)
      return fail(last && !last.ok ? last.message : `“${part}” is not valid.`)
    }
    const next = applyChange(now, found.change)
    if (!next.ok) return fail(next.message)
    now = next.joint
    change = { ...change, ...found.change }
    understood.push(found.understood)
  }
  return { ok: true, change, understood: understood.join('; ') }
}
