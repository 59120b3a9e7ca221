/** What a shop that buys by EN ISO calls the fillers that lists name by AWS. */
import type { Wire } from '../kinds/equipment.ts'
import type { Shop } from '../kinds/shop.ts'

/** Wire, rod and the rest; a covered electrode and a cored wire have one name each. */
type Names = readonly [wire: string, rod?: string]
export const EUROPEAN_NAMES: Readonly<Record<string, Names>> = {
  'ER70S-6': ['G3Si1', 'W3Si1'],
  'ER70S-3': ['G2Si', 'W2Si'],
  'ER70S-2': ['G2Ti', 'W2Ti'],
  'ER80S-D2': ['G4Mo', 'W4Mo'],
  ER110S: ['G 69 … Mn3Ni1CrMo', 'W 69 … Mn3Ni1CrMo'],
  'E71T-1': ['T 46 4 P M21 1'],
  'E71T-11': ['T 42 Z Z NO 1'],
  'E71T-8': ['T 42 4 Y NO 1'],
  'E71T-GS': ['T 3T Z V NO'],
  E7018: ['E 42 4 B 32'],
  E7016: ['E 42 4 B 12'],
  E6011: ['E 38 3 C 11'],
  E6010: ['E 38 3 C 21'],
  E6013: ['E 42 0 RR 12'],
  E7014: ['E 42 0 RR 32'],
  E7024: ['E 42 0 RR 53'],
  E11018: ['E 69 6 Mn2NiMo B 42'],
  ER307: ['G 18 8 Mn', 'W 18 8 Mn'],
  ER308L: ['G 19 9 L Si', 'W 19 9 L'],
  ER309L: ['G 23 12 L Si', 'W 23 12 L'],
  ER312: ['G 29 9', 'W 29 9'],
  ER316L: ['G 19 12 3 L Si', 'W 19 12 3 L'],
  'E307-16': ['E 18 8 Mn R'],
  'E308L-16': ['E 19 9 L R 12'],
  'E309L-16': ['E 23 12 L R 12'],
  'E312-16': ['E 29 9 R 12'],
  'E316L-16': ['E 19 12 3 L R 12'],
  ER1100: ['Al 1450 (Al99,5Ti)'],
  ER4043: ['AlSi5'],
  ER4047: ['AlSi12'],
  ER5183: ['AlMg4,5Mn'],
  ER5356: ['AlMg5'],
  ER5554: ['AlMg2,7Mn'],
  'ENi-CI': ['E C Ni-CI 1'],
  'ENiFe-CI': ['E C NiFe-CI 1'],
}

/**
 * @param form that it is wanted in; null where the list stands for all
 * @example fillerName('ER70S-6', 'rod', { ruleBook: 'international' }) // 'W3Si1'
 */
export function fillerName(
  classification: string,
  form: Wire['form'] | null,
  { ruleBook }: Pick<Shop, 'ruleBook'>,
): string {
  const names = ruleBook === 'international' ? EUROPEAN_NAMES[classification] : undefined
  if (!names) return classification
  const [wire, rod = wire] = names
  return form === 'rod' ? rod : wire
}
