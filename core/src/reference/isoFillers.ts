/**
 * Fillers as EN ISO classes them: what each part of a designation says, and the AWS class that is used for the same work.
 * Nothing here says that two products are the same: it says which family a filler is of, and how it is run. From memory.
 */
import { type Source, standard } from '../basis/source.ts'
import type { Wire } from '../kinds/equipment.ts'
import { aluminiumClass, nickelIronClass, stainlessAlloy, steelAlloy } from './isoAlloys.ts'

/** Position digit: 1 all, 2 all but downward, 3 flat and horizontal, 4 flat, 5 as 3 and downward. */
export type IsoPosition = 1 | 2 | 3 | 4 | 5

/** One designation, read. */
export interface IsoClass {
  readonly source: Source
  /** The AWS class that is used for the same work. */
  readonly aws: string
  readonly forms: readonly Wire['form'][]
  readonly position: IsoPosition | null
  /** Gas that a cored wire is classed with; null where it says none. */
  readonly gas: 'co2' | 'mixed' | 'either' | null
  /** Whether it is for one pass only. */
  readonly isSinglePass: boolean
  /** What a covered electrode may be run on, by its recovery digit; null where it does not say. */
  readonly isDirectOnly: boolean | null
}

/** A designation with its blanks gone, upper case: `G424M213SI1`. */
type Reader = (text: string, spaced: string) => IsoClass | null

const SOLID: readonly Wire['form'][] = ['solid']
const ROD: readonly Wire['form'][] = ['rod']
const COVERED: readonly Wire['form'][] = ['covered']
const GAS_CORED: readonly Wire['form'][] = ['cored-gas-shielded']
const SELF_CORED: readonly Wire['form'][] = ['cored-self-shielded']

const classed = (
  document: string,
  aws: string,
  forms: readonly Wire['form'][],
  part: Partial<IsoClass> = {},
): IsoClass => ({
  source: standard(`${document}, classification`, true),
  aws,
  forms,
  position: null,
  gas: null,
  isSinglePass: false,
  isDirectOnly: null,
  ...part,
})

const positionOf = (digit: string | undefined): IsoPosition | null =>
  digit === undefined ? null : (Number(digit) as IsoPosition)
/** C1 is CO₂; M and a figure are argon with CO₂ or oxygen; NO is none. */
const gasOfSymbol = (symbol: string | undefined): IsoClass['gas'] => {
  if (symbol === undefined || symbol.startsWith('N')) return null
  if (symbol.includes('/')) return 'either'
  return symbol.startsWith('C') ? 'co2' : 'mixed'
}

/** From this yield strength on, 100 N/mm² and less, a filler is for high-strength steel alone (EN ISO 16834, 18275, 18276). */
const HIGH_STRENGTH = /^(55|62|69|79|89)/
/** Its classes have no name in A5.18 that shops use: one stands for all. */
const HIGH_STRENGTH_AWS = 'ER110S'

const WIRE_A =
  /^(?<form>[GW])(?:(?<strength>\d\d)(?:[ZA]|\d)?)?(?:M\d\d|C1|I[13]|[MC](?=MN|[GW]?\d[A-Z]))?[GW]?(?<alloy>(?:MN)?\d?(?:SI|TI|AL|MO|NI|CR|MN)[A-Z\d]*)$/
const WIRE_B = /^(?<form>[GW])\d\dA?[ZY\d]?(?:M\d\d|C1|I1)?[SW](?<kind>[2346])$/
/** Names of DIN 8559, older and still on every package. */
const OLD_WIRE = /^(?<form>W?)SG(?<kind>[123])$/
const OF_KIND: Readonly<Record<string, string>> = {
  '2': 'ER70S-2',
  '3': 'ER70S-3',
  '4': 'ER70S-4',
  '6': 'ER70S-6',
}
const OF_OLD: Readonly<Record<string, string>> = { '1': 'ER70S-3', '2': 'ER70S-6', '3': 'ER70S-6' }
const formOf = (letter: string | undefined): readonly Wire['form'][] => (letter === 'W' ? ROD : SOLID)

const solidSteel: Reader = (text) => {
  const old = OLD_WIRE.exec(text)?.groups
  if (old) return classed('DIN 8559', OF_OLD[old['kind'] ?? ''] ?? '', formOf(old['form']))
  const byTensile = WIRE_B.exec(text)?.groups
  if (byTensile) {
    const document = byTensile['form'] === 'W' ? 'EN ISO 636-B' : 'EN ISO 14341-B'
    return classed(document, OF_KIND[byTensile['kind'] ?? ''] ?? '', formOf(byTensile['form']))
  }
  const groups = WIRE_A.exec(text)?.groups
  if (!groups) return null
  if (HIGH_STRENGTH.test(groups['strength'] ?? '') || /^MN\dNI/.test(groups['alloy'] ?? ''))
    return classed('EN ISO 16834-A', HIGH_STRENGTH_AWS, formOf(groups['form']))
  const alloy = steelAlloy(groups['alloy'] ?? '')
  if (!alloy) return null
  const bare = groups['form'] === 'W' ? 'EN ISO 636-A' : 'EN ISO 14341-A'
  return classed(alloy.isCreepResisting ? 'EN ISO 21952-A' : bare, alloy.aws, formOf(groups['form']))
}

const CORED_A =
  /^T ?(?<strength>3[58]|42|46|50|55|62|69|79|89|[345]T) ?(?<impact>[ZAY]|\d)? ?(?:(?:[A-Z0-9.,]*(?:NI|MO|CR)[A-Z0-9]*|Z) )?(?<type>[RPBMVWYZ]) ?(?<gas>NO|N|(?:C1|C|M\d\d|M)(?:\/(?:C1|C|M\d\d|M))?)? ?(?<position>[1-5])?(?: ?H\d\d?)?$/
/** Type of core, with the AWS class of the same slag; V to Z are run without gas. */
const OF_CORE: Readonly<Record<string, string>> = {
  R: 'E70T-1',
  P: 'E71T-1',
  B: 'E71T-5',
  M: 'E70C-6M',
  V: 'E71T-14',
  W: 'E70T-7',
  Y: 'E71T-8',
  Z: 'E71T-11',
}
const CORED_B =
  /^T(?<strength>\d\d)[ZYA\d]?T(?<use>1[0-5]|\d)-?(?<position>[01])(?<gas>NO|N|C1|C|M\d\d|M)?(?:[A-Z\d-]*)$/

const coredSteel: Reader = (text, spaced) => {
  const b = CORED_B.exec(text)?.groups
  if (b) {
    const metal = b['use'] === '15'
    const aws = metal ? 'E70C-6M' : `E7${b['position'] ?? ''}T-${b['use'] ?? ''}`
    const isSelf = /^(3|4|6|7|8|10|11|13|14)$/.test(b['use'] ?? '')
    return classed('EN ISO 17632-B', aws, isSelf ? SELF_CORED : GAS_CORED, { gas: gasOfSymbol(b['gas']) })
  }
  const a = CORED_A.exec(spaced)?.groups
  if (!a) return null
  const { strength = '', type = '', gas, position } = a
  const isSelf = gas?.startsWith('N') ?? /[VWY]/.test(type)
  const strong = HIGH_STRENGTH.test(strength)
  return classed(
    strong ? 'EN ISO 18276-A' : 'EN ISO 17632-A',
    strong ? HIGH_STRENGTH_AWS : (OF_CORE[type] ?? ''),
    isSelf ? SELF_CORED : GAS_CORED,
    {
      gas: gasOfSymbol(gas),
      position: positionOf(position),
      isSinglePass: type === 'V' || strength.endsWith('T'),
    },
  )
}

const COVERED_A =
  /^E(?<strength>3[58]|42|46|50|55|62|69|79|89)(?<impact>[ZA]|\d)?(?:(?:MN)?(?:\d?NI)?(?:CR)?(?:MO)?)(?<covering>RR|RC|RA|RB|A|C|R|B)(?:(?<recovery>[1-8])(?<position>[1-5])?)?(?:H\d\d?)?$/
/** Recovery above which the covering brings iron powder of its own: 105 %, 125 %. */
const HAS_IRON = /[3-8]/
const MUCH_IRON = /[5-8]/
const DIRECT_ONLY = /[2468]/
const COVERED_B =
  /^E(?<strength>43|49|55|57)(?<covering>10|11|12|13|14|15|16|18|19|20|24|27|28|48)(?:[A-Z\d-]*)$/
const TENSILE: Readonly<Record<string, string>> = { '43': '60', '49': '70', '55': '80', '57': '80' }

function coveredAws(covering: string, recovery: string): string {
  if (covering === 'B') return HAS_IRON.test(recovery) ? 'E7018' : 'E7016'
  if (covering === 'C') return DIRECT_ONLY.test(recovery) ? 'E6010' : 'E6011'
  if (covering === 'A') return 'E6020'
  return MUCH_IRON.test(recovery) ? 'E7024' : 'E6013'
}

const coveredSteel: Reader = (text) => {
  const b = COVERED_B.exec(text)?.groups
  if (b)
    return classed('EN ISO 2560-B', `E${TENSILE[b['strength'] ?? ''] ?? ''}${b['covering'] ?? ''}`, COVERED)
  const a = COVERED_A.exec(text)?.groups
  if (!a) return null
  const { strength = '', covering = '', recovery = '' } = a
  const strong = HIGH_STRENGTH.test(strength)
  const aws = coveredAws(covering, recovery)
  const position = positionOf(a['position'])
  return classed(
    strong ? 'EN ISO 18275-A' : 'EN ISO 2560-A',
    // Of the basic ones E7048 is that for welding downward.
    strong ? 'E11018' : covering === 'B' && position === 5 ? 'E7048' : aws,
    COVERED,
    { position, isDirectOnly: recovery === '' ? null : DIRECT_ONLY.test(recovery) },
  )
}

const STAINLESS = /^(?<form>[GWPSTE])(?<rest>\d.*)$/
const COVERING = /^(?<covering>[RB])(?:(?<recovery>[1-8])?(?<position>[1-5]))?$/
const CORE = /^(?<type>[RPMUZ])?(?<gas>NO|N|C1|C|M\d\d|M|I1)?(?<position>[1-5])?$/

const stainless: Reader = (text) => {
  const { form, rest = '' } = STAINLESS.exec(text)?.groups ?? {}
  const found = form === undefined ? null : stainlessAlloy(rest)
  if (!found) return null
  const { alloy, left } = found
  if (form === 'E') {
    const covered = COVERING.exec(left)?.groups
    if (!covered) return null
    const isBasic = covered['covering'] === 'B'
    return classed('EN ISO 3581-A', `E${alloy}-${isBasic ? '15' : '17'}`, COVERED, {
      position: positionOf(covered['position']),
      isDirectOnly: isBasic || DIRECT_ONLY.test(covered['recovery'] ?? '') ? true : null,
    })
  }
  if (form === 'T') {
    const cored = CORE.exec(left)?.groups
    if (!cored) return null
    const isSelf = cored['gas']?.startsWith('N') ?? false
    return classed('EN ISO 17633-A', `E${alloy}T1`, isSelf ? SELF_CORED : GAS_CORED, {
      gas: gasOfSymbol(cored['gas']),
      position: positionOf(cored['position']),
    })
  }
  return left === '' ? classed('EN ISO 14343-A', `ER${alloy}`, form === 'W' ? ROD : SOLID) : null
}

/** Material number of a stainless filler (EN ISO 14343, 3581; numbers of EN 10027-2). */
const OF_NUMBER: Readonly<Record<string, string>> = {
  '1.4302': '308',
  '1.4316': '308L',
  '1.4332': '309L',
  '1.4337': '312',
  '1.4370': '307',
  '1.4430': '316L',
  '1.4459': '309LMO',
  '1.4462': '2209',
  '1.4551': '347',
  '1.4576': '318',
  '1.4842': '310',
}
const NUMBER = /^(?<form>[GWE]?)(?<number>1\.4\d{3})$/
const byNumber: Reader = (text) => {
  const { form = '', number = '' } = NUMBER.exec(text)?.groups ?? {}
  const alloy = OF_NUMBER[number]
  if (alloy === undefined) return null
  if (form === 'E') return classed('EN 10027-2, material number', `E${alloy}-17`, COVERED)
  return classed(
    'EN 10027-2, material number',
    `ER${alloy}`,
    form === 'W' ? ROD : form === 'G' ? SOLID : [...SOLID, ...ROD],
  )
}

const aluminium: Reader = (text) => {
  const aws = aluminiumClass(text)
  return aws === null ? null : classed('EN ISO 18273', aws, [...SOLID, ...ROD])
}

const castIron: Reader = (text) => {
  const aws = nickelIronClass(text)
  return aws === null ? null : classed('EN ISO 1071', aws, COVERED)
}

const READERS: readonly Reader[] = [
  solidSteel,
  coredSteel,
  coveredSteel,
  stainless,
  byNumber,
  aluminium,
  castIron,
]

/**
 * @param part one designation, without the name of its standard
 * @returns null where it is none of EN ISO
 * @example readIsoClass('E 42 4 B 32 H5')?.aws // 'E7018'
 */
export function readIsoClass(part: string): IsoClass | null {
  const spaced = part.trim().toUpperCase().replaceAll(/\s+/g, ' ')
  const text = spaced.replaceAll(' ', '')
  for (const read of READERS) {
    const found = read(text, spaced)
    if (found) return found
  }
  return null
}
