/** What is printed on a package of filler: one designation or several, by AWS, by EN ISO or by both. */
import { remembered } from '../basis/remembered.ts'
import { type IsoClass, readIsoClass } from './isoFillers.ts'

export interface Designation {
  /** As AWS has it, blanks gone, upper case: as printed, else the class that is used for the same work. */
  readonly aws: string
  /** Every name in it that AWS has or would have. */
  readonly names: readonly string[]
  /** What EN ISO adds; empty where only AWS names it. */
  readonly iso: readonly IsoClass[]
}

/** `EN ISO 14341-A: `, `AWS A5.18 `: the standard that a designation goes by. */
const DOCUMENT =
  /^(?:(?:(?:DIN|EN|ISO) ?)+[- ]?\d{3,5}(?:-\d)?(?:-[AB](?![A-Z]))?(?:[:/ ]\d{4})?|(?:AWS ?|SFA[- ]?)(?:A ?)?5\.\d\d?M?|(?:EN|ISO|AWS|SFA)\b)\s*[:–-]?\s*/
/** `E71T-1C/M` and `E308L-16/-17` are one designation: the stroke stands inside it. */
const BETWEEN = /[;|\n]|,(?=\s*[A-Z])|\/(?!\s*-?(?:\d{1,2}|\d?[CM]\d{0,2})(?:-|\s|$))/
/** What AWS begins a class with. */
const AWS = /^(ER|E|R)\d|^ENI|^E?R?[145]\d{3}/

/** A5.18M and A5.20M have the strength in N/mm²: the same classes. */
const ofInches = (name: string): string => name.replace(/^ER4[89]S-/, 'ER70S-').replace(/^E49(?=[01]T)/, 'E7')

/**
 * @example designationOf('ER70S-6 / G 42 4 M21 3Si1').aws // 'ER70S-6'
 */
export const designationOf: (printed: string) => Designation = remembered((printed) => {
  const upper = printed
    .trim()
    .toUpperCase()
    .replaceAll(/[^\S\n]+/g, ' ')
  const parts = upper.split(BETWEEN).map((part) => part.trim().replace(DOCUMENT, '').trim())
  const iso: IsoClass[] = []
  const plain: string[] = []
  for (const part of parts) {
    const name = part.replaceAll(/\s/g, '')
    const found = readIsoClass(part)
    if (found) iso.push(found)
    else if (AWS.test(name)) plain.push(ofInches(name))
  }
  const names = [...plain, ...iso.map(({ aws }) => aws)]
  return { aws: names[0] ?? upper.replaceAll(/\s/g, ''), names, iso }
})
