/**
 * Fillers by family: what one class of a family joins, the others join too. A list of single classes called a dozen
 * ordinary wires wrong; the class itself says what a filler is (AWS A5.1, A5.4, A5.9, A5.10, A5.15, A5.18, A5.20, A5.28).
 */
import { remembered } from '../basis/remembered.ts'
import type { Wire } from '../kinds/equipment.ts'
import { coredUsabilityOf } from './classification.ts'
import { designationOf } from './designation.ts'

/** The first that matches names the family; of stainless the alloy does. */
const FAMILIES: readonly (readonly [RegExp, string])[] = [
  // ER80S-D2 is alloyed a little and used on carbon steel like ER70S-6.
  [/^(ER70S-|ER80S-D2|E70C-|E[67][01]T|E(60|70)(10|11|12|13|14|15|16|18|19|20|24|27|28|48)(?!\d))/, 'carbon'],
  [/^E?R?4(043|047|643|943)/, 'al-silicon'],
  [/^E?R?5(087|183|356|556|754)/, 'al-magnesium'],
  // Below 3 % of magnesium: stands heat in service.
  [/^E?R?5554/, 'al-low-magnesium'],
  [/^E?R?1(100|070|080|188|450)/, 'al-pure'],
  [/^(ER?(100|110|120)|E(10|11|12)\dT)/, 'high-strength'],
]
/** `ER308LSi`, `E308L-16`, `E308LT1-1`: alloy, then form. */
const STAINLESS = /^ER?(3\d\d|2209)(L|H)?/

/**
 * @returns the family that a classification as printed on a package belongs to; itself where no family has it
 * @example fillerFamilyOf('E71T-1C/M') // 'carbon'
 */
export const fillerFamilyOf = remembered((classification: string): string => {
  const { aws, names } = designationOf(classification)
  const families = new Set(names.map(familyOfName))
  // Two names of different metals on one package: neither is believed.
  if (families.size > 1) return classification
  return familyOfName(aws)
})
/** With niobium in place of little carbon: 347 joins what 308L joins, 318 what 316L joins. */
const STABILISED: ReadonlyMap<string, string> = new Map([
  ['347', '308L'],
  ['318', '316L'],
])
function familyOfName(name: string): string {
  const stainless = STAINLESS.exec(name)
  if (stainless) {
    const alloy = `${stainless[1] ?? ''}${stainless[2] ?? ''}`
    return `stainless-${STABILISED.get(stainless[1] ?? '') ?? alloy}`
  }
  return FAMILIES.find(([pattern]) => pattern.test(name))?.[1] ?? name
}

const COVERED = /^E(\d{4,5}(?!T)|\d{3}[A-Z]*-1\d|NI(FE)?-?CI)/

/**
 * @returns the forms that a class comes in: a bare wire is also a rod
 * @example formsOfClass('E71T-11') // ['cored-self-shielded']
 */
export const formsOfClass = remembered((classification: string): readonly Wire['form'][] => {
  const { aws: text, iso } = designationOf(classification)
  const [said] = iso
  if (said) return said.forms
  if (COVERED.test(text)) return ['covered']
  const cored = coredUsabilityOf(text)?.value
  if (cored) return [cored.shielding === 'gas' ? 'cored-gas-shielded' : 'cored-self-shielded']
  if (/^E\d{2}C|^E3\d\dL?T/.test(text)) return ['cored-gas-shielded']
  return ['solid', 'rod']
})

/** By form and classes in one text: no class has a blank in its name. */
const inForm = remembered((key: string): readonly string[] => {
  const [form = '', ...named] = key.split(' ')
  return named.flatMap((name) => {
    if ((formsOfClass(name) as readonly string[]).includes(form)) return [name]
    return form === 'covered' && /^ER3\d\dL?$/.test(name) ? [`${name.replace('ER', 'E')}-16`] : []
  })
})

/**
 * @param named fillers of a list
 * @returns those of them that come in a form; of stainless by stick the covered one has the rod's name without its R
 * @example fillersInForm(advice.fillers, 'covered') // ['E7018', 'E6011', …]
 */
export const fillersInForm = (named: readonly string[], form: Wire['form']): readonly string[] =>
  named.length === 0 ? [] : inForm(`${form} ${named.join(' ')}`)
