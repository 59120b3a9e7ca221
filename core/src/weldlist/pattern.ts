/** How a weld is interrupted, as it is typed. */
import type { Joint } from '../kinds/job.ts'
import { parseQuantity } from '../quantity/parse.ts'
import { printQuantity } from '../quantity/print.ts'
import type { Notation } from '../quantity/units.ts'
import { examplesFor } from './examples.ts'
import { fail, plain, read, type TextRead, tooLong } from './read.ts'

/**
 * Empty or `continuous`; `2-6`, `50-150 mm`, `2-6 staggered`
 * @example readPattern('2-6', notation) // { ok: true, change: { pattern: 'intermittent', … }, … }
 */
export function readPattern(text: string, notation: Notation): TextRead {
  const long = tooLong(text)
  if (long) return long
  const written = plain(text)
  if (written === '' || /^cont(inuous)?\.?$/i.test(written)) {
    return read({ pattern: 'continuous', segmentMm: null, pitchMm: null }, 'continuous')
  }
  const staggered = /\s*\b(stag(gered)?|z)\b\s*/i
  // The last dash parts the two: 1-1/2 has one of its own.
  const both = written
    .replace(staggered, ' ')
    .replace(/^(?:stitch|skip|intermittent)(?: weld)?:?\s+/i, '')
    .trim()
  const gapped = BY_GAP.exec(both)?.groups
  if (gapped) return readGapped(written, gapped, staggered.test(written), notation)
  const pair = /^(.+)\s*(?:@|\bon\b)\s*(\d.*)$/i.exec(both) ?? /^(.+)\s*[-–]\s*(\d.*)$/.exec(both)
  if (!pair)
    return fail(
      `“${written}” is not a pattern. Enter continuous, or ${examplesFor(notation).pattern}, with staggered after it where it is.`,
    )
  const unit = /[a-z"]+\.?$/i.exec(pair[2] ?? '')?.[0] ?? ''
  const segment = parseQuantity(
    'length',
    /[a-z"]/i.test(pair[1] ?? '') ? (pair[1] ?? '') : `${pair[1]} ${unit}`.trim(),
    notation,
  )
  const pitch = parseQuantity('length', pair[2] ?? '', notation)
  if (!segment.ok) return fail(segment.problem.message)
  if (!pitch.ok) return fail(pitch.problem.message)
  if (pitch.value < segment.value)
    return fail(
      `“${written}”: the pitch of ${pitch.understood} is shorter than its weld of ${segment.understood}. Pitch is from middle to middle.`,
    )
  const pattern = staggered.test(written) ? 'staggered' : 'intermittent'
  const change: Partial<Joint> = { pattern, segmentMm: segment.value, pitchMm: pitch.value }
  return read(
    change,
    `${segment.understood} every ${pitch.understood}${pattern === 'staggered' ? ', staggered' : ''}`,
  )
}

/** EN ISO 2553: `50(100)` is 50 of weld and 100 between, `5 x 50(100)` five of them. */
const BY_GAP = /^(?:(?<elements>\d+)\s*[x×*]\s*)?(?<segment>[^()]+)\((?<gap>[^()]+)\)$/

function readGapped(
  written: string,
  { elements, segment = '', gap = '' }: Readonly<Record<string, string | undefined>>,
  isStaggered: boolean,
  notation: Notation,
): TextRead {
  const [weld, between] = [segment, gap].map((figure) => parseQuantity('length', figure, notation))
  if (!weld?.ok) return fail(weld?.problem.message ?? written)
  if (!between?.ok) return fail(between?.problem.message ?? written)
  const count = elements === undefined ? null : Number(elements)
  if (count !== null && count < 1) return fail(`“${written}”: enter at least one weld.`)
  const pitchMm = weld.value + between.value
  const pattern = isStaggered ? 'staggered' : 'intermittent'
  const lengthMm = count === null ? null : count * weld.value + (count - 1) * between.value
  return read(
    { pattern, segmentMm: weld.value, pitchMm, ...(lengthMm === null ? {} : { lengthMm }) },
    `${weld.understood} and ${between.understood} between${isStaggered ? ', staggered' : ''}`,
  )
}

/**
 * How a weld is interrupted, as it is typed.
 * @example printPattern(joint, notation) // '2-6 in'
 */
export function printPattern(joint: Joint, notation: Notation): string {
  if (joint.pattern === 'continuous' || joint.segmentMm === null || joint.pitchMm === null)
    return 'continuous'
  const print = (value: number) => printQuantity('length', value, notation)
  return `${print(joint.segmentMm)} @ ${print(joint.pitchMm)}${joint.pattern === 'staggered' ? ' staggered' : ''}`
}
