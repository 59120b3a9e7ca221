/** British and American spelling: the product writes the first, and shows the one of the shop’s locale. */

/** Beginnings of words, British and American; what follows stays. */
const AMERICAN: readonly (readonly [british: string, american: string])[] = [
  ['aluminium', 'aluminum'],
  ['anodis', 'anodiz'],
  ['oxidis', 'oxidiz'],
  ['galvanis', 'galvaniz'],
  ['neutralis', 'neutraliz'],
  ['recognis', 'recogniz'],
  ['colour', 'color'],
  ['labour', 'labor'],
  ['vapour', 'vapor'],
  ['grey', 'gray'],
  ['metre', 'meter'],
  ['litre', 'liter'],
  ['centre', 'center'],
  ['fibre', 'fiber'],
  ['catalogue', 'catalog'],
]
const FOUND = new RegExp(AMERICAN.map(([british]) => british).join('|'), 'gi')
const BY_BRITISH = new Map(AMERICAN)

function american(found: string): string {
  const word = BY_BRITISH.get(found.toLowerCase()) ?? found
  return found.charAt(0) === found.charAt(0).toUpperCase()
    ? word.charAt(0).toUpperCase() + word.slice(1)
    : word
}

const INCH_FIRST = /[\d./–-]+ (?:in|°F) \((?<own>[\d.,–]+ (?:mm|°C))\)/g
const METRIC_FIRST = /(?<own>[\d.,–]+(?: to [\d.,–]+)? (?:mm|°C)) \([\d./–-]+(?: to [\d./–-]+)? (?:in|°F)\)/g

/**
 * Texts of the product say a rule of thumb in both units; a metric shop is told its own alone.
 * @example inOwnUnits('1 in (25 mm) beside it', 'metric') // '25 mm beside it'
 */
export const inOwnUnits = (text: string, system: 'imperial' | 'metric'): string =>
  system === 'metric' && text.includes('(')
    ? text.replaceAll(INCH_FIRST, '$<own>').replaceAll(METRIC_FIRST, '$<own>')
    : text

/** Whether the shop spells as in the United States; all others spell as in Britain. */
export const isAmerican = (locale: string): boolean => locale === 'en-US'

/**
 * Words of the product, never what somebody named: a shop’s “Aluminium bench” keeps its name.
 * @example spelled('cast aluminium', 'en-US') // 'cast aluminum'
 */
export const spelled = (text: string, locale: string): string =>
  isAmerican(locale) ? text.replace(FOUND, american) : text
