/** The metals a part can be made of, with what the computation and the owner need to know of each. */
import { handbook, type Source } from '../basis/source.ts'
import type { MaterialId, Metal } from '../model/material.ts'
import type { GaugeTableId } from '../quantity/gauges.ts'

/** What a filler and a procedure see of it. */
export type MetalGroup =
  | 'carbon'
  | 'austenitic'
  | 'ferritic'
  | 'al-pure'
  | 'al-5xxx'
  | 'al-high-magnesium'
  | 'al-6xxx'
  | 'al-cast'
  | 'al-unweldable'
  | 'cast-iron'
  | 'quenched-tempered'
  | 'hardenable'

export interface Material {
  readonly id: MaterialId
  readonly name: string
  /** For a cell of a table; reads back to the same metal. */
  readonly short: string
  readonly family: Metal
  readonly group: MetalGroup
  readonly gauge: GaugeTableId
  /** Group by ISO/TR 15608 (from memory); null where it has none. */
  readonly isoGroup: string | null
  /** Other words that people write for it, lower case. */
  readonly words: readonly string[]
  /** What the owner must know before the arc is struck on it. */
  readonly caution: string | null
  /** What is done to it first. */
  readonly preparation: string
}

const CHROMIUM =
  'Stainless fume contains hexavalent chromium: use extraction at the arc, or a fitted respirator.'
const BRIGHT = 'Aluminium gives heavy fume and strong reflected light. Use extraction and cover your skin.'
const STAINLESS_FIRST =
  'Degrease. Use a stainless brush kept for stainless. Keep carbon steel dust away. Purge the back of a leak-tight weld.'
const ALUMINIUM_FIRST =
  'Solvent first (never chlorinated), dry, then brush off the oxide with a stainless brush kept for aluminium.'

const SHORT: Readonly<Record<MaterialId, string>> = {
  'hot-rolled': 'steel',
  'structural-355': 'S355',
  'cold-rolled': 'CR',
  galvanised: 'galv',
  'stainless-304': '304',
  'stainless-316': '316L',
  'stainless-430': '430',
  'aluminium-1100': '1100',
  'aluminium-3003': '3003',
  'aluminium-5052': '5052',
  'aluminium-5754': '5754',
  'aluminium-5083': '5083',
  'aluminium-5086': '5086',
  'aluminium-6061': '6061',
  'aluminium-6063': '6063',
  'aluminium-6082': '6082',
  'aluminium-cast': 'cast al',
  'aluminium-7075': '7075',
  'aluminium-2024': '2024',
  'cast-iron': 'cast iron',
  'quenched-tempered': 'Q&T',
  'medium-carbon': '1045',
  'chrome-moly': '4130',
}

const ISO_GROUP: Readonly<Record<MaterialId, string | null>> = {
  'hot-rolled': '1.1',
  'structural-355': '1.2',
  'cold-rolled': '1.1',
  galvanised: '1.1',
  'stainless-304': '8.1',
  'stainless-316': '8.1',
  'stainless-430': '7.1',
  'aluminium-1100': '21',
  'aluminium-3003': '22.1',
  'aluminium-5052': '22.3',
  'aluminium-5754': '22.3',
  'aluminium-5083': '22.4',
  'aluminium-5086': '22.4',
  'aluminium-6061': '23.1',
  'aluminium-6063': '23.1',
  'aluminium-6082': '23.1',
  'aluminium-cast': '24.2',
  'aluminium-7075': '23.2',
  'aluminium-2024': null,
  'cast-iron': '71',
  'quenched-tempered': '3.1',
  'medium-carbon': '11.2',
  'chrome-moly': '5.1',
}

const material = (
  id: MaterialId,
  name: string,
  family: Metal,
  group: MetalGroup,
  words: readonly string[],
  part: Partial<Pick<Material, 'gauge' | 'caution' | 'preparation'>> = {},
): Material => ({
  id,
  name,
  short: SHORT[id],
  isoGroup: ISO_GROUP[id],
  family,
  group,
  words,
  gauge: family,
  caution: family === 'stainless' ? CHROMIUM : family === 'aluminium' ? BRIGHT : null,
  preparation:
    family === 'stainless'
      ? STAINLESS_FIRST
      : family === 'aluminium'
        ? ALUMINIUM_FIRST
        : 'Clean to bright metal.',
  ...part,
})

const MATERIAL_LIST: readonly Material[] = [
  material(
    'hot-rolled',
    'carbon steel',
    'carbon-steel',
    'carbon',
    [
      'steel',
      'carbon steel',
      'mild steel',
      'ms',
      'cs',
      'hr',
      'hot rolled',
      'hot-rolled',
      'a36',
      's185',
      's235',
      's275',
      'p235',
      'p265',
      'st37',
      '1.0038',
      '1.0044',
    ],
    {
      preparation: 'Grind the mill scale off the joint and 1 in (25 mm) beside it.',
    },
  ),
  material(
    'structural-355',
    'S355 structural steel',
    'carbon-steel',
    'carbon',
    ['s355', 'p355', 'st52', 'a572', 'a572-50', 'a992', 'grade 50', '1.0045', '1.0577'],
    {
      preparation: 'Grind the mill scale off the joint and 1 in (25 mm) beside it.',
    },
  ),
  material(
    'cold-rolled',
    'cold-rolled steel',
    'carbon-steel',
    'carbon',
    ['cr', 'cold rolled', 'cold-rolled', 'crs', 'dc01', 'dc03', 'dc04', '1.0330'],
    {
      preparation: 'Wipe the mill oil off with solvent and let it dry.',
    },
  ),
  material(
    'galvanised',
    'galvanised steel',
    'carbon-steel',
    'carbon',
    [
      'galv',
      'galvanised',
      'galvanized',
      'galvanised steel',
      'galvanized steel',
      'zinc',
      'dx51',
      's350gd',
      's250gd',
    ],
    {
      gauge: 'galvanised',
      caution:
        'Zinc fume causes metal fume fever. Remove the coat 2 in (50 mm) each side. Use extraction, or work upwind.',
      preparation: 'Remove the zinc 2 in (50 mm) each side. Paint it after.',
    },
  ),
  material('stainless-304', '304 stainless', 'stainless', 'austenitic', [
    '304',
    '304l',
    '304/304l',
    'ss',
    'stainless',
    'stainless steel',
    '308',
    '1.4301',
    '1.4307',
    '1.4306',
    '1.4541',
    '321',
    'x5crni18-10',
    'x2crni18-9',
  ]),
  material('stainless-316', '316L stainless', 'stainless', 'austenitic', [
    '316',
    '316l',
    '316/316l',
    '316ti',
    '1.4401',
    '1.4404',
    '1.4435',
    '1.4571',
    'x2crnimo17-12-2',
  ]),
  material('stainless-430', '430 stainless', 'stainless', 'ferritic', [
    '430',
    'ferritic',
    '409',
    '1.4016',
    '1.4509',
    '1.4512',
  ]),
  material('aluminium-1100', '1100 aluminium', 'aluminium', 'al-pure', [
    '1100',
    '1050',
    '1050a',
    '1200',
    '1xxx',
    'al99.5',
  ]),
  material('aluminium-3003', '3003 aluminium', 'aluminium', 'al-pure', [
    '3003',
    '3103',
    '3xxx',
    'almn1',
    'almn1cu',
  ]),
  material('aluminium-5052', '5052 aluminium', 'aluminium', 'al-5xxx', ['5052', 'almg2.5']),
  material('aluminium-5754', '5754 aluminium', 'aluminium', 'al-5xxx', ['5754', 'almg3']),
  material('aluminium-5083', '5083 aluminium', 'aluminium', 'al-high-magnesium', [
    '5083',
    'almg4.5mn',
    'almg4.5mn0.7',
  ]),
  material('aluminium-5086', '5086 aluminium', 'aluminium', 'al-high-magnesium', ['5086', 'almg4']),
  material('aluminium-6061', '6061 aluminium', 'aluminium', 'al-6xxx', [
    '6061',
    'almg1sicu',
    'al',
    'alu',
    'aluminium',
    'aluminum',
  ]),
  material('aluminium-6063', '6063 aluminium', 'aluminium', 'al-6xxx', [
    '6063',
    '6060',
    'almgsi',
    'almgsi0.5',
    'almg0.7si',
  ]),
  material('aluminium-6082', '6082 aluminium', 'aluminium', 'al-6xxx', ['6082', 'almgsi1', 'alsi1mgmn']),
  material(
    'aluminium-cast',
    'cast aluminium',
    'aluminium',
    'al-cast',
    ['cast aluminium', 'cast aluminum', 'cast al', '356', 'alsi7mg', 'alsi10mg', 'alsi12'],
    {
      preparation: `${ALUMINIUM_FIRST} Bake oil out of an old casting. Open cracks to sound metal.`,
    },
  ),
  material('aluminium-7075', '7075 aluminium', 'aluminium', 'al-unweldable', [
    '7075',
    'alzn5.5mgcu',
    'alznmgcu1.5',
  ]),
  material('aluminium-2024', '2024 aluminium', 'aluminium', 'al-unweldable', ['2024', 'alcu4mg1']),
  material(
    'cast-iron',
    'cast iron',
    'carbon-steel',
    'cast-iron',
    ['cast iron', 'ci', 'iron', 'gg20', 'gg25', 'ggg40', 'gjl-200', 'gjl-250', 'gjs-400'],
    {
      preparation: 'Bake or burn out the oil. Open the crack to its ends and drill them.',
    },
  ),
  material(
    'quenched-tempered',
    'quenched and tempered steel',
    'carbon-steel',
    'quenched-tempered',
    [
      'q&t',
      'qt',
      'quenched and tempered',
      'ar400',
      'ar450',
      'ar500',
      'ar',
      's690',
      's890',
      's960',
      '400hb',
      '450hb',
    ],
    {
      preparation: 'Grind to bright metal and keep it dry. Hydrogen cracks it.',
    },
  ),
  material(
    'medium-carbon',
    '1045 medium-carbon steel',
    'carbon-steel',
    'hardenable',
    [
      '1045',
      '1040',
      'c45',
      'c45e',
      'c35',
      '1.0503',
      '1.1191',
      'medium carbon',
      'medium-carbon',
      'medium-carbon steel',
    ],
    {
      preparation:
        'Grind to bright metal and keep it dry. Hydrogen cracks it. Cool it slowly under a blanket.',
    },
  ),
  material(
    'chrome-moly',
    '4130 chrome-moly steel',
    'carbon-steel',
    'hardenable',
    [
      '4130',
      '4140',
      '25crmo4',
      '34crmo4',
      '42crmo4',
      '1.7218',
      '1.7225',
      'chrome moly',
      'chromoly',
      'chrome-moly',
    ],
    { preparation: 'Clean to bright metal, inside of tube too. Keep draughts off while it cools.' },
  ),
]

export const MATERIALS: Readonly<Record<MaterialId, Material>> = Object.fromEntries(
  MATERIAL_LIST.map((one) => [one.id, one]),
) as Record<MaterialId, Material>

/** A standard before the name, and the marks of delivery behind it: `EN 10025-2 S355J2+N` is S355, `DX51D+Z275` DX51. */
const DOCUMENT = /^(?:din |en )+(?:iso )?\d{3,5}(?:-\d)?[: ]+/
const ALLOY = /^en[ -]?a[wc][ -]?(?=\d{4}|al)/
const GRADE =
  /^([sp](?:1|2|3|4|6|8|9)\d{2}(?:gd)?|dc0\d|dx5\d|c45|c35)(?:[a-z]{0,2}\d?[a-z]?\d?)? ?(?:\+ ?[a-z]{1,3}\d*(?:[- ][a-z]+)*)*$/
/** EN writes 5754 as `AlMg3` and 6082 as `AlSi1MgMn`; a decimal comma is one. */
const TEMPER = /(?<=^\d{4}a?)[- ](?:h\d{1,3}|t\d{1,3}|o|f)$/
const stemOf = (lower: string): string => {
  const bare = lower
    .replace(DOCUMENT, '')
    .replace(/^en-(?=gj)/, '')
    .replace(ALLOY, '')
    .replace(TEMPER, '')
    .replaceAll(/(?<=\d),(?=\d)/g, '.')
    .replace(/^al (?=mg|si|99)/, 'al')
  return GRADE.exec(bare)?.[1] ?? bare
}

/**
 * The material that a word names, or null.
 * @example materialOf('304') // 'stainless-304'
 */
export function materialOf(words: string): MaterialId | null {
  const lower = stemOf(words.trim().toLowerCase().replace(/\s+/g, ' '))
  return (
    MATERIAL_LIST.find(
      ({ name, id, words: known }) => known.includes(lower) || name.toLowerCase() === lower || id === lower,
    )?.id ?? null
  )
}

/** Density in g/cm³ (= mg/mm³). */
export const DENSITY: Readonly<Record<Metal, { value: number; source: Source }>> = {
  'carbon-steel': { value: 7.85, source: handbook('density of carbon steel, machinery handbooks') },
  stainless: { value: 8.0, source: handbook('density of austenitic stainless, machinery handbooks') },
  aluminium: { value: 2.7, source: handbook('density of aluminium, machinery handbooks') },
}
