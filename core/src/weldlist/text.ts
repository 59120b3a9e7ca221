/** The compact fields of a weld line: each reads what people write into parts of a joint, and prints them back. */
import { BEVELLED_KINDS } from '../model/jointKinds.ts'
import { type MaterialId } from '../model/material.ts'
import type { Joint } from '../kinds/job.ts'
import { parseQuantity } from '../quantity/parse.ts'
import { asFraction, printQuantity, printThickness } from '../quantity/print.ts'
import type { Notation } from '../quantity/units.ts'
import { MATERIALS, materialOf } from '../reference/materials.ts'
import { NOMINAL_SIZES, pipeOf, schedulesOf } from '../reference/pipes.ts'
import { examplesFor } from './examples.ts'
import { flagProblem, saidWords, takeFlags } from './flags.ts'
import { fail, plain, read, type TextRead, tooLong } from './read.ts'
import { readSection } from './sections.ts'
import { JOINT_CHOICES, type JointChoice, jointName, positionName, positionOf } from './words.ts'

/** Between the number of welds and their length. */
const EACH = /^(\d+)\s*(?:[x×*@]|pcs?\b\.?|off\b|of\b|at\b|ea\b\.?|each\b)\s*(.+)$/i
/** `(3) 12` is three of them, and `6 in long` is six inches. */
const asTyped = (text: string): string =>
  plain(text)
    .replace(/^\((\d+)\)\s*/, '$1 x ')
    .replace(/(\d|["a-z])\s+(?:long|lg\.?)$/i, '$1')

/**
 * `4 x 18 in`, `4 @ 18`, `3 at 6"`, `18 in`; `4 x round` where the tube makes the length
 * @example readWelds('4 x 18 in', notation) // { ok: true, change: { count: 4, lengthMm: 457.2 }, … }
 */
export function readWelds(text: string, notation: Notation): TextRead {
  const long = tooLong(text)
  if (long) return long
  const written = asTyped(text)
  const example = notation.system === 'imperial' ? '4 x 18 in' : '4 x 450 mm'
  const parts = EACH.exec(written)
  if (/^\d+$/.test(written) && Number(written) > 0) {
    const unit = notation.system === 'imperial' ? 'in' : 'mm'
    return fail(
      `“${written}”: ${written} welds, or ${written} ${unit}? Enter ${written} x ${example.slice(4)}, or ${written} ${unit}.`,
    )
  }
  const round = /^(\d+)\s*[x×*@]\s*round$/i.exec(written)
  if (round && Number(round[1]) >= 1 && Number(round[1]) <= 100_000)
    return read({ count: Number(round[1]) }, `${round[1]} × round`)
  if (/^\d+\s*[x×*@]$/i.test(written))
    return fail(`“${written}”: the length is missing. Enter for example ${example}.`)
  const count = parts ? Number(parts[1]) : 1
  if (count < 1 || count > 100_000)
    return fail(`“${written}”: the number of welds must be from 1 to 100000. Enter for example ${example}.`)
  const length = parseQuantity('length', parts?.[2] ?? written, notation)
  if (!length.ok)
    return fail(
      length.problem.message.replace(
        /Enter (18 in or 4 ft|450 mm or 1.2 m)\.$/,
        `Enter for example ${example}.`,
      ),
    )
  return read({ count, lengthMm: length.value }, `${count} × ${length.understood}`)
}

/** Kinds whose length follows from a diameter. */
const isRound = ({ kind, around }: Joint): boolean =>
  around || kind === 'saddle' || kind === 'plug' || kind === 'slot'

/**
 * How many welds of which length, as it is typed.
 * @example printWelds(joint, notation) // '24 × 8 in'
 */
export const printWelds = (joint: Joint, notation: Notation): string =>
  `${joint.count} × ${isRound(joint) ? 'round' : printQuantity('length', joint.lengthMm, notation)}`

/** Words that people put around the one that says which joint it is. */
const AROUND = /\b(?:welds?|joints?|grooves?|fillets?|preps?|single)\b/g

/**
 * The joint that somebody names, with the words that people put around it; undefined for none.
 * @param words lower case
 * @example jointChoiceFor('v-groove')?.kind // 'v'
 */
function jointChoiceFor(words: string): JointChoice | undefined {
  const spaced = evened(words)
  const bare = evened(spaced.replace(AROUND, ' '))
  const called = (said: string) =>
    said === ''
      ? undefined
      : JOINT_CHOICES.find((one) => one.words.includes(said) || evened(one.name.toLowerCase()) === said)
  // `fillet` alone is all around, and means a T.
  return (
    called(words) ??
    called(spaced) ??
    called(spaced.replace(/ welds?$/, '')) ??
    called(bare) ??
    called(bare.replace(/ butt$/, ''))
  )
}
const evened = (words: string): string => words.replace(/[-_,]/g, ' ').replace(/\s+/g, ' ').trim()

/**
 * `T`, `lap`, `V 60`, `bevel 45`, `tube to plate`
 * @example readJoint('V 60') // { ok: true, change: { kind: 'v', includedAngleDeg: 60, … }, … }
 */
export function readJoint(text: string): TextRead {
  const long = tooLong(text)
  if (long) return long
  const flags = takeFlags(plain(text))
  const written = flags.rest
  const lower = written.toLowerCase()
  const angled = /^(.*?)[\s,]*(\d+(?:\.\d+)?)\s*(?:°|deg|degrees)?$/.exec(lower)
  const named = jointChoiceFor(lower)
  const found = named ?? (angled ? jointChoiceFor((angled[1] ?? '').replace(/,$/, '').trim()) : undefined)
  if (!found) {
    return fail(
      written === ''
        ? 'The joint is empty. Enter for example T, lap, V 60 or tube to plate.'
        : `“${written}” is not a known joint. Enter for example T, lap, square, V 60, bevel 45, plug or tube to plate.`,
    )
  }
  const angle = named ? null : Number(angled?.[2])
  const bevelled = BEVELLED_KINDS.includes(found.kind)
  if (angle !== null && !bevelled)
    return fail(`“${written}”: a ${found.name} has no angle. Enter it without.`)
  if (angle !== null && (angle <= 0 || angle >= 180))
    return fail(
      `“${written}”: the angle must be between 0 and 180 degrees; 60 is usual for a V, 45 for a bevel.`,
    )
  const misplaced = flagProblem(flags, found.kind)
  if (misplaced) return fail(misplaced)
  return read(
    {
      ...flags.said,
      kind: found.kind,
      around: found.around,
      ...(angle === null ? {} : { includedAngleDeg: angle }),
    },
    [found.name, ...(angle === null ? [] : [`${angle}°`]), ...saidWords(flags)].join(', '),
  )
}

/**
 * The joint of a weld as it is typed.
 * @example printJoint(joint) // 'V butt 60'
 */
export const printJoint = (joint: Joint): string =>
  BEVELLED_KINDS.includes(joint.kind) && joint.includedAngleDeg !== null
    ? `${jointName(joint)} ${joint.includedAngleDeg}`
    : jointName(joint)

interface Part {
  readonly thicknessMm: number
  readonly material: MaterialId | null
  readonly diameterMm: number | null
  /** What was taken for it, where its name does not say. */
  readonly taken?: string
}

/** Decimals of an inch are no way to write a nominal size, and everybody does. */
const asNominal = (size: string): string => {
  const inches = Number(size)
  return size.includes('.') && Number.isFinite(inches) ? (asFraction(inches) ?? size) : size
}

/** One class takes the size with its spaces: two that both match a space try every way to share them. */
const PIPE = /^(?:nps ?)?([\d./ -]+)(?:in|"|”)? ?sch(?:edule)?\.? ?(\d+s?|std|xs)\b ?(.*)$/i
/**
 * `1-1/2 in sch 40 316L`, `1.5 sch 40 pipe`
 * @param written with single spaces
 */
function readPipe(written: string): Part | string | null {
  const found = PIPE.exec(written)
  if (!found) return null
  const nps = asNominal((found[1] ?? '').trim().replace(/\s+/, '-'))
  const schedules = schedulesOf(nps)
  if (!schedules)
    return `“${written}”: there is no nominal size ${nps} here. Sizes run ${NOMINAL_SIZES.join(', ')} in.`
  const pipe = pipeOf(nps, found[2] ?? '')
  if (!pipe)
    return `“${written}”: ${nps} in pipe has no schedule ${found[2]} here. Use ${schedules.join(', ')}.`
  const words = (found[3] ?? '')
    .replace(/\b(?:pipe|tube|tubing)\b/gi, ' ')
    .trim()
    .replace(/\s+/g, ' ')
  const material = words === '' ? null : materialOf(words)
  if (words !== '' && !material)
    return `“${written}”: “${words}” is not a metal. Enter for example 304, 316L, steel or 6061.`
  return { thicknessMm: pipe.wallIn * 25.4, material, diameterMm: pipe.outsideIn * 25.4 }
}

/** The longest name of a metal is that of an EN grade with its standard and its marks of delivery. */
const MOST_WORDS_OF_METAL = 10
/** Takes the metal off the end of what was written: the longest tail that names one and leaves a figure before it. */
function splitMaterial(written: string): { rest: string; material: MaterialId | null } {
  const words = written.split(' ')
  for (let from = Math.max(1, words.length - MOST_WORDS_OF_METAL); from < words.length; from += 1) {
    const material = materialOf(words.slice(from).join(' '))
    if (material) return { rest: words.slice(0, from).join(' '), material }
  }
  return { rest: written, material: null }
}

/** What a piece of metal is called by its shape: its thickness is what is welded. */
const SHAPES =
  /\b(?:plate|sheet|flat ?bar|flat|bar|strip|angle(?: iron)?|square tub(?:e|ing)|rect(?:angular)? tub(?:e|ing)|box section|tub(?:e|ing)|wall|hss)\b/gi
const BY = / ?[x×*] ?/
const SIDE = /^(?:l|hss|rhs|shs)? ?[\d.,/-][\d.,/ -]*(?:in|mm|")?$/i

/**
 * `L2x2x1/4`, `2 x 2 x 1/8`: two sides, then the wall.
 * @param written with single spaces
 * @returns the wall with what follows it; null of what is no section
 */
function wallOfSection(written: string): string | null {
  const [one = '', other = '', ...wall] = written.split(BY)
  return wall.length > 0 && wall[0] !== '' && SIDE.test(one) && SIDE.test(other) ? wall.join('x') : null
}

const FLAT =
  /^(?<one>[\d.,/-][\d.,/ -]*(?:in|mm|")?)\s?[x×*]\s?(?<other>[\d.,/-][\d.,/ -]*(?:in|mm|")?)\s?(?:flat ?bar|flat|bar|strip)\b(?<rest>.*)$/i
/**
 * `1/4 x 2 flat bar`, `2 x 1/4 in flat bar`: of two figures the smaller is the thickness.
 * @returns the thickness with what follows it; null of what is no flat bar
 */
function thicknessOfFlat(written: string, notation: Notation): string | null {
  const { one = '', other = '', rest = '' } = FLAT.exec(written)?.groups ?? {}
  if (one === '') return null
  const unit = /(?:in|mm|")$/i.exec(other)?.[0] ?? ''
  const first = /(?:in|mm|")$/i.test(one) ? one : `${one.trim()}${unit}`
  const [a, b] = [first, other].map((figure) => parseQuantity('length', figure, notation))
  const isSecond = a?.ok && b?.ok && b.value < a.value
  return `${isSecond ? other : first} ${rest}`
}

/** `4130 .065`, `304L 1/8`: the metal before the thickness. */
function metalFirst(written: string): string {
  const words = written.split(' ')
  for (let to = Math.min(3, words.length - 1); to >= 1; to -= 1) {
    const [head, tail] = [words.slice(0, to).join(' '), words.slice(to).join(' ')]
    if (materialOf(head) && /^[.\d]/.test(tail)) return `${tail} ${head}`
  }
  return written
}

/** Leaves of `2x2x1/8 tube 304` the wall and the metal. */
const withoutShape = (written: string): string =>
  plain((wallOfSection(written) ?? written).replace(SHAPES, ' '))

function readPart(text: string, fallback: MaterialId, notation: Notation): Part | string {
  const typed = plain(text)
  const pipe = readPipe(typed)
  if (pipe !== null) return pipe
  const ordered = metalFirst(typed)
  const written = thicknessOfFlat(ordered, notation) ?? ordered
  const apart = splitMaterial(written)
  const section = readSection(apart.rest, apart.material ?? fallback, notation)
  if (typeof section === 'string') return section
  if (section) return { ...section, material: apart.material }
  const { rest, material } = splitMaterial(withoutShape(written))
  const thickness = parseQuantity('thickness', rest, {
    ...notation,
    metal: MATERIALS[material ?? fallback].gauge,
  })
  return thickness.ok
    ? { thicknessMm: thickness.value, material, diameterMm: null }
    : thickness.problem.message
}

/**
 * `3/16 to 1/4`, `14 ga 304`, `16 ga 304 to 1/4 steel`, `1-1/2 in sch 40 316L to 1/4`
 * @param joint whose metals hold where none is written
 * @example readParts('14 ga 304 to 1/4 steel', joint, notation)
 */
export function readParts(text: string, joint: Joint, notation: Notation): TextRead {
  const long = tooLong(text)
  if (long) return long
  if (/\s(to|on)$/i.test(plain(text)))
    return fail(
      `“${plain(text)}”: the other part is missing. Enter for example ${examplesFor(notation).parts}.`,
    )
  const [first = '', second, ...more] = plain(text).split(/\s+(?:to|on|→|->)\s+/i)
  if (more.length > 0)
    return fail(
      `“${plain(text)}” names more than two parts. Enter for example ${examplesFor(notation).parts}.`,
    )
  const a = readPart(first, joint.materialA, notation)
  if (typeof a === 'string') return fail(a)
  const fallback = a.material ?? joint.materialB
  const b = second === undefined ? a : readPart(second, fallback, notation)
  if (typeof b === 'string') return fail(b)
  const materialA = a.material ?? joint.materialA
  const materialB = b.material ?? (second === undefined ? materialA : (a.material ?? joint.materialB))
  const change: Partial<Joint> = {
    thicknessAMm: a.thicknessMm,
    thicknessBMm: b.thicknessMm,
    materialA,
    materialB,
    ...(a.diameterMm === null ? {} : { diameterMm: a.diameterMm }),
  }
  const taken = [a.taken, second === undefined ? '' : b.taken].filter((one) => one)
  return read(change, [printParts({ ...joint, ...change }, notation), ...taken].join('; '))
}

/** Prints what reads back to the same: thickness and metal of A, and of B what differs. */
export function printParts(joint: Joint, notation: Notation): string {
  const [ofA, ofB] = [joint.materialA, joint.materialB].map((id) => MATERIALS[id].gauge)
  const a = `${printThickness(joint.thicknessAMm, ofA, notation)} ${MATERIALS[joint.materialA].short}`
  if (joint.materialA !== joint.materialB) {
    return `${a} to ${printThickness(joint.thicknessBMm, ofB, notation)} ${MATERIALS[joint.materialB].short}`
  }
  return joint.thicknessAMm === joint.thicknessBMm
    ? a
    : `${a} to ${printThickness(joint.thicknessBMm, ofB, notation)}`
}

/**
 * `2F`, `horizontal`, `vertical up`, `oh`
 * @example readPosition('3G') // { ok: true, change: { position: 'vertical-up' }, … }
 */
export function readPosition(text: string): TextRead {
  const long = tooLong(text)
  if (long) return long
  const position = positionOf(plain(text).toLowerCase())
  if (!position)
    return fail(
      `“${plain(text)}” is not a position. Enter flat, horizontal, vertical up, vertical down or overhead, or 1F to 6G, or PA to PK.`,
    )
  const name = positionName(position)
  return read({ position }, FIXED_PIPE.test(plain(text)) ? `round a fixed pipe: judged as ${name}` : name)
}
/** A pipe that is not turned is welded in all positions in turn; going up the side decides the current. */
const FIXED_PIPE = /^(?:[56][fgr]*|p[hjk]|[hj]-?l0?45)$/i
