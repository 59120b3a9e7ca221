/** Alloy symbols of EN ISO fillers, with the AWS name of the same alloy. From memory of the standards. */

interface SteelAlloy {
  readonly aws: string
  /** EN ISO 21952: for steel that is hot in service. */
  readonly isCreepResisting: boolean
}

/** EN ISO 14341-A, 636-A and 21952-A. */
const STEEL: ReadonlyMap<string, string> = new Map([
  ['2SI', 'ER70S-3'],
  ['3SI1', 'ER70S-6'],
  ['3SI2', 'ER70S-6'],
  ['4SI1', 'ER70S-6'],
  ['2TI', 'ER70S-2'],
  ['2AL', 'ER70S-2'],
  ['4MO', 'ER80S-D2'],
  ['2MO', 'ER70S-A1'],
  ['3NI1', 'ER80S-NI1'],
  ['2NI1', 'ER80S-NI1'],
  ['2NI2', 'ER80S-NI2'],
  ['2NI3', 'ER80S-NI3'],
])
const CREEP: ReadonlyMap<string, string> = new Map([
  ['MOSI', 'ER70S-A1'],
  ['CRMO1SI', 'ER80S-B2'],
  ['CRMO1', 'ER80S-B2'],
  ['CRMO2SI', 'ER90S-B3'],
  ['CRMO2', 'ER90S-B3'],
])

/** @example steelAlloy('3SI1')?.aws // 'ER70S-6' */
export function steelAlloy(symbol: string): SteelAlloy | null {
  const creep = CREEP.get(symbol)
  if (creep !== undefined) return { aws: creep, isCreepResisting: true }
  const aws = STEEL.get(symbol)
  return aws === undefined ? null : { aws, isCreepResisting: false }
}

/** EN ISO 14343-A, 3581-A, 17633-A: the longest that fits is the alloy. */
const STAINLESS: readonly (readonly [symbol: string, alloy: string])[] = (
  [
    ['19 9 L Si', '308LSI'],
    ['19 9 L', '308L'],
    ['19 9 H', '308H'],
    ['19 9 Nb Si', '347SI'],
    ['19 9 Nb', '347'],
    ['19 9', '308'],
    ['19 12 3 L Si', '316LSI'],
    ['19 12 3 L', '316L'],
    ['19 12 3 H', '316H'],
    ['19 12 3 Nb Si', '318SI'],
    ['19 12 3 Nb', '318'],
    ['19 12 3', '316'],
    ['18 16 5 N L', '317L'],
    ['19 13 4 L', '317L'],
    ['23 12 L Si', '309LSI'],
    ['23 12 2 L', '309LMO'],
    ['23 12 L', '309L'],
    ['24 13 L', '309L'],
    ['22 12 H', '309'],
    ['22 12', '309'],
    ['18 8 Mn', '307'],
    ['20 10 3', '308MO'],
    ['25 20', '310'],
    ['29 9', '312'],
    ['22 9 3 N L', '2209'],
    ['25 9 4 N L', '2594'],
    ['13 4', '410NIMO'],
  ] as const
)
  .map(([symbol, alloy]) => [symbol.replaceAll(' ', '').toUpperCase(), alloy] as const)
  .toSorted(([a], [b]) => b.length - a.length)

/**
 * @param text what stands behind the form letter, blanks gone
 * @returns the alloy, and what stands behind it; null of an alloy that is not known
 * @example stainlessAlloy('199LR12') // { alloy: '308L', left: 'R12' }
 */
export function stainlessAlloy(text: string): { readonly alloy: string; readonly left: string } | null {
  const found = STAINLESS.find(([symbol]) => text.startsWith(symbol))
  return found ? { alloy: found[1], left: text.slice(found[0].length) } : null
}

/** EN ISO 18273 by number or by chemical symbol. */
const ALUMINIUM_NUMBER =
  /^(?:SAL|AL)?-?(?<number>1\d{3}|40(?:10|11|18|43|46|47)|4145|4643|4943|5087|5183|5249|5356|5554|5556|5654|5754)A?(?:\(AL.*\))?$/
const ALUMINIUM_SYMBOL: readonly (readonly [RegExp, string])[] = [
  [/^AL99([.,]\d|$)/, '1100'],
  [/^ALMG5CR|^ALMG5/, '5356'],
  [/^ALMG4[.,]?5MN/, '5183'],
  [/^ALMG2[.,]?7MN|^ALMG3MN/, '5554'],
  [/^ALMG3/, '5754'],
  [/^ALSI5/, '4043'],
  [/^ALSI7/, '4643'],
  [/^ALSI1[0-2]/, '4047'],
]
/** By number: the AWS name has no A, and 1450 is nearly pure. */
const PURE = /^1/

/** @example aluminiumClass('SAL5356(ALMG5CR)') // 'ER5356' */
export function aluminiumClass(text: string): string | null {
  const number = ALUMINIUM_NUMBER.exec(text)?.groups?.['number']
  if (number !== undefined) return PURE.test(number) ? 'ER1100' : `ER${number}`
  const symbol = text.replace(/^S(?=AL)/, '')
  const found = ALUMINIUM_SYMBOL.find(([pattern]) => pattern.test(symbol))
  return found ? `ER${found[1]}` : null
}

/** EN ISO 1071. */
export function nickelIronClass(text: string): string | null {
  if (/^ECNIFE-?(CI|1|2)/.test(text)) return 'ENIFE-CI'
  return /^ECNI-?CI/.test(text) ? 'ENI-CI' : null
}
