/** The sizes of a weld as they are typed: legs, throats, gaps and faces. */
import { BEVELLED_KINDS, FILLET_KINDS } from '../model/jointKinds.ts'
import type { Joint } from '../kinds/job.ts'
import { parseQuantity } from '../quantity/parse.ts'
import { printQuantity } from '../quantity/print.ts'
import { printNumber } from '../quantity/printValue.ts'
import type { Notation } from '../quantity/units.ts'
import { examplesFor } from './examples.ts'
import { flagProblem, type Flags, PENETRATION_SHORT, takeFlags } from './flags.ts'
import { fail, plain, read, type TextRead, tooLong } from './read.ts'

type SizeKey =
  | 'legMm'
  | 'legBMm'
  | 'rootGapMm'
  | 'rootFaceMm'
  | 'rootRadiusMm'
  | 'reinforcementMm'
  | 'backWeldMm'
  | 'diameterMm'
  | 'headerDiameterMm'
  | 'slotLengthMm'

type SizeChange = Partial<Pick<Joint, SizeKey | 'bothSides' | 'penetration'>>

/** What is typed is the whole of it: a word that was deleted is gone. */
function flagChange({ said }: Flags, joint: Joint): SizeChange {
  const { bothSides = false, penetration = 'as-prepared' } = said
  return {
    ...(bothSides === joint.bothSides ? {} : { bothSides }),
    ...(penetration === joint.penetration ? {} : { penetration }),
  }
}

/** Words before a figure of a groove. */
const SIZE_WORDS: ReadonlyMap<string, SizeKey> = new Map([
  ['gap', 'rootGapMm'],
  ['g', 'rootGapMm'],
  ['face', 'rootFaceMm'],
  ['f', 'rootFaceMm'],
  ['cap', 'reinforcementMm'],
  ['c', 'reinforcementMm'],
  ['back', 'backWeldMm'],
  ['radius', 'rootRadiusMm'],
  ['r', 'rootRadiusMm'],
  ['fill', 'legMm'],
  ['leg', 'legMm'],
  ['dia', 'diameterMm'],
  ['od', 'diameterMm'],
  ['hole', 'diameterMm'],
  ['header', 'headerDiameterMm'],
  ['long', 'slotLengthMm'],
])
const PRINT_ORDER: readonly (readonly [string, SizeKey])[] = [
  ['fill', 'legMm'],
  ['gap', 'rootGapMm'],
  ['face', 'rootFaceMm'],
  ['radius', 'rootRadiusMm'],
  ['cap', 'reinforcementMm'],
  ['back', 'backWeldMm'],
]
const ROUND_ORDER: readonly (readonly [string, SizeKey])[] = [
  ['od', 'diameterMm'],
  ['header', 'headerDiameterMm'],
  ['long', 'slotLengthMm'],
]

/** A comma before a word is between two sizes; one between figures is a decimal comma: `4,5` is four and a half. */
const BETWEEN_SIZES = /\s*;\s*|\s*,\s*(?=[a-z])/i
/** A fillet by its throat (a), its leg (z) or its effective throat (s), as drawings by EN ISO 2553 have it. */
const BY_SYMBOL = /^(?<symbol>[azs])\s*(?=[\d.,])(?<figure>.+)$/i
const THROAT = Math.SQRT2
const HALF_MM = 0.5
const SAME_MM = 1e-6

/** A fillet whose throat is a whole or half millimetre, and its leg is not, was sized by its throat. */
function throatOf(legMm: number): number | null {
  const isHalf = (mm: number): boolean => Math.abs(mm / HALF_MM - Math.round(mm / HALF_MM)) < SAME_MM
  const throatMm = legMm / THROAT
  return isHalf(throatMm) && !isHalf(legMm) ? Math.round(throatMm / HALF_MM) * HALF_MM : null
}

/** @returns null where the piece has no symbol; what it changes, or a message */
function readSymbol(
  piece: string,
  joint: Joint,
  notation: Notation,
): Partial<Pick<Joint, SizeKey>> | string | null {
  const { symbol = '', figure = '' } = BY_SYMBOL.exec(piece)?.groups ?? {}
  if (symbol === '') return null
  const size = parseQuantity('weldSize', figure, notation)
  if (!size.ok) return size.problem.message
  const letter = symbol.toLowerCase()
  if (FILLET_KINDS.includes(joint.kind))
    return { legMm: letter === 'z' ? size.value : size.value * THROAT, legBMm: null }
  if (letter !== 's')
    return `“${piece}”: a and z are sizes of a fillet. For a groove enter s and its depth, or gap, face and cap.`
  const thinnerMm = Math.min(joint.thicknessAMm, joint.thicknessBMm)
  if (!BEVELLED_KINDS.includes(joint.kind) || joint.kind.startsWith('double'))
    return `“${piece}”: a depth is for a groove from one side. Enter root opening and root face.`
  if (size.value > thinnerMm + SAME_MM)
    return `“${piece}”: the weld is ${size.understood} deep, but the part is thinner. Enter at most its thickness.`
  return { rootFaceMm: Math.max(0, thinnerMm - size.value) }
}

/** The unit behind the second leg is that of the first as well: `3,5 x 4,5 mm`. */
function withUnit(legs: readonly string[]): readonly string[] {
  const [first = '', second] = legs
  const unit = /[a-z"″”]+\.?$/i.exec(second?.trim() ?? '')?.[0]
  return second !== undefined && unit !== undefined && /\d$/.test(first.trim())
    ? [`${first} ${unit}`, second]
    : legs
}

/**
 * `3/16`, `1/4 x 3/8`, `gap 3/32, face 1/16, cap 1/16`, `hole 1/2 in`
 * @example readSize('1/4 x 3/8', fillet, notation) // { ok: true, change: { legMm: 6.35, legBMm: 9.525 }, … }
 */
export function readSize(text: string, joint: Joint, notation: Notation): TextRead {
  const long = tooLong(text)
  if (long) return long
  const flags = takeFlags(plain(text))
  const misplaced = flagProblem(flags, joint.kind)
  if (misplaced) return fail(misplaced)
  const isFillet = FILLET_KINDS.includes(joint.kind)
  const isPartial = flags.said.penetration === 'partial'
  const written = flags.rest
    // On a fillet the word says nothing more: `3/16 leg`.
    .replace(/(\d\S*)\s+(?:legs?|fillets?)$/i, '$1')
    // `PJP 3/16` is as deep as that.
    .replace(/^(?=[\d.])/, isPartial ? 's ' : '')
  let change: SizeChange = plain(text) === '' ? {} : flagChange(flags, joint)
  const example = examplesFor(notation)
  const number = (figure: string, wide = false) =>
    parseQuantity(wide ? 'length' : 'weldSize', figure, notation)
  if (written === '') {
    return isFillet && flags.said.bothSides === undefined
      ? fail(`The leg is empty. Enter for example ${example.leg}, or ${example.unequal} for unequal legs.`)
      : read(change, printSize({ ...joint, ...change }, notation) || 'as it was')
  }
  for (const piece of written.split(BETWEEN_SIZES)) {
    const sized = readSymbol(piece, joint, notation)
    if (typeof sized === 'string') return fail(sized)
    if (sized) {
      change = { ...change, ...sized }
      continue
    }
    const named = /^([a-z]+)\s+(.+)$/i.exec(piece)
    const key = named ? SIZE_WORDS.get((named[1] ?? '').toLowerCase()) : undefined
    if (named && !key)
      return fail(
        `“${piece}” is not valid. Enter for example ${isFillet ? `${example.leg} or ${example.unequal}` : example.groove}.`,
      )
    // What no figure follows is part of a word, or of a size that is not finished.
    const legs = !named && isFillet ? piece.split(/\s*[x×*]\s*(?=[\d.,])/i) : null
    if (legs) {
      if (legs.length > 2)
        return fail(`“${piece}” has more than two legs. Enter for example ${example.unequal}.`)
      const [a, b] = withUnit(legs).map((leg) => number(leg))
      for (const leg of [a, b]) if (leg && !leg.ok) return fail(leg.problem.message)
      const leg = a?.ok ? a.value : null
      change = { ...change, legMm: leg, legBMm: b?.ok && b.value !== leg ? b.value : null }
      continue
    }
    if (!key) return fail(`“${piece}”: enter which size it is, for example ${example.groove}.`)
    const wide = key === 'diameterMm' || key === 'headerDiameterMm' || key === 'slotLengthMm'
    const value = number(named?.[2] ?? '', wide)
    if (!value.ok) return fail(value.problem.message)
    change = { ...change, [key]: value.value }
  }
  const all = { ...joint, ...change }
  const printed = printSize(all, notation)
  if (all.legMm === null || !printed.startsWith('a ')) return read(change, printed)
  return read(change, `${printed}, z ${printNumber(all.legMm, notation.locale, 3)} mm`)
}

/**
 * The size of a weld as it is typed.
 * @example printSize(joint, notation) // '3/16 in'
 */
export function printSize(joint: Joint, notation: Notation): string {
  const print = (value: number) => printQuantity('weldSize', value, notation)
  const short = PENETRATION_SHORT[joint.penetration]
  const pieces: string[] = short === '' ? [] : [short]
  const throatMm = joint.legMm !== null && joint.legBMm === null ? throatOf(joint.legMm) : null
  if (FILLET_KINDS.includes(joint.kind) && throatMm !== null && notation.system === 'metric') {
    pieces.push(`a ${print(throatMm)}`)
  } else if (FILLET_KINDS.includes(joint.kind) && joint.legMm !== null) {
    pieces.push(joint.legBMm === null ? print(joint.legMm) : `${print(joint.legMm)} x ${print(joint.legBMm)}`)
  } else {
    for (const [word, key] of PRINT_ORDER) {
      const value = joint[key]
      if (value !== null && value > 0) pieces.push(`${word} ${print(value)}`)
    }
  }
  for (const [word, key] of ROUND_ORDER) {
    const value = joint[key]
    if (value !== null) pieces.push(`${word} ${printQuantity('length', value, notation)}`)
  }
  if (joint.bothSides) pieces.push('both sides')
  return pieces.join(', ')
}
