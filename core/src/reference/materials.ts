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
  /** Other words that people write for it, lower case. */
  readonly words: readonly string[]
  /** What the owner must know before the arc is struck on it. */
  readonly caution: string | null
  /** What is done to it first. */
  readonly preparation: string
}

const CHROMIUM = 'Stainless fume holds hexavalent chromium: extract at the arc or wear a fitted respirator.'
const BRIGHT =
  'Aluminium gives heavy fume and strong reflected light: extract, cover skin, brush with its own stainless brush.'
const STAINLESS_FIRST =
  'Degrease, then a stainless brush kept for stainless alone; no carbon steel dust near it; purge the back of a leak-tight weld.'
const ALUMINIUM_FIRST =
  'Solvent first (never a chlorinated one), dry, then take the oxide off with a stainless brush kept for aluminium alone.'

const SHORT: Readonly<Record<MaterialId, string>> = {
  'hot-rolled': 'steel',
  'cold-rolled': 'CR',
  galvanised: 'galv',
  'stainless-304': '304',
  'stainless-316': '316L',
  'stainless-430': '430',
  'aluminium-1100': '1100',
  'aluminium-3003': '3003',
  'aluminium-5052': '5052',
  'aluminium-5083': '5083',
  'aluminium-5086': '5086',
  'aluminium-6061': '6061',
  'aluminium-6063': '6063',
  'aluminium-cast': 'cast al',
  'aluminium-7075': '7075',
  'aluminium-2024': '2024',
  'cast-iron': 'cast iron',
  'quenched-tempered': 'Q&T',
  'medium-carbon': '1045',
  'chrome-moly': '4130',
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
    ['steel', 'carbon steel', 'mild steel', 'ms', 'cs', 'hr', 'hot rolled', 'hot-rolled', 'a36'],
    {
      preparation: 'Grind the mill scale off the joint and 1 in (25 mm) beside it.',
    },
  ),
  material(
    'cold-rolled',
    'cold-rolled steel',
    'carbon-steel',
    'carbon',
    ['cr', 'cold rolled', 'cold-rolled', 'crs'],
    {
      preparation: 'Wipe the mill oil off with solvent and let it dry.',
    },
  ),
  material(
    'galvanised',
    'galvanised steel',
    'carbon-steel',
    'carbon',
    ['galv', 'galvanised', 'galvanized', 'galvanised steel', 'galvanized steel', 'zinc'],
    {
      gauge: 'galvanised',
      caution:
        'Zinc fume gives metal-fume fever: take the coat off 2 in (50 mm) each side, extract, work upwind.',
      preparation: 'Take the zinc off 2 in (50 mm) each side; paint it again after.',
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
  ]),
  material('stainless-316', '316L stainless', 'stainless', 'austenitic', ['316', '316l', '316/316l']),
  material('stainless-430', '430 stainless', 'stainless', 'ferritic', ['430', 'ferritic', '409']),
  material('aluminium-1100', '1100 aluminium', 'aluminium', 'al-pure', ['1100', '1050', '1xxx']),
  material('aluminium-3003', '3003 aluminium', 'aluminium', 'al-pure', ['3003', '3xxx']),
  material('aluminium-5052', '5052 aluminium', 'aluminium', 'al-5xxx', ['5052']),
  material('aluminium-5083', '5083 aluminium', 'aluminium', 'al-high-magnesium', ['5083']),
  material('aluminium-5086', '5086 aluminium', 'aluminium', 'al-high-magnesium', ['5086']),
  material('aluminium-6061', '6061 aluminium', 'aluminium', 'al-6xxx', [
    '6061',
    'al',
    'alu',
    'aluminium',
    'aluminum',
  ]),
  material('aluminium-6063', '6063 aluminium', 'aluminium', 'al-6xxx', ['6063']),
  material(
    'aluminium-cast',
    'cast aluminium',
    'aluminium',
    'al-cast',
    ['cast aluminium', 'cast aluminum', 'cast al', '356'],
    {
      preparation: `${ALUMINIUM_FIRST} Bake oil out of an old casting; open cracks to sound metal.`,
    },
  ),
  material('aluminium-7075', '7075 aluminium', 'aluminium', 'al-unweldable', ['7075']),
  material('aluminium-2024', '2024 aluminium', 'aluminium', 'al-unweldable', ['2024']),
  material('cast-iron', 'cast iron', 'carbon-steel', 'cast-iron', ['cast iron', 'ci', 'iron'], {
    preparation: 'Bake or burn oil out, open the crack to its ends, drill them.',
  }),
  material(
    'quenched-tempered',
    'quenched and tempered steel',
    'carbon-steel',
    'quenched-tempered',
    ['q&t', 'qt', 'quenched and tempered', 'ar400', 'ar'],
    {
      preparation: 'Grind to bright metal, keep it dry: hydrogen cracks it.',
    },
  ),
  material(
    'medium-carbon',
    '1045 medium-carbon steel',
    'carbon-steel',
    'hardenable',
    ['1045', '1040', 'c45', 'medium carbon', 'medium-carbon', 'medium-carbon steel'],
    {
      preparation: 'Grind to bright metal, keep it dry: hydrogen cracks it. Cool it slowly under a blanket.',
    },
  ),
  material(
    'chrome-moly',
    '4130 chrome-moly steel',
    'carbon-steel',
    'hardenable',
    ['4130', '4140', 'chrome moly', 'chromoly', 'chrome-moly'],
    { preparation: 'Clean to bright metal, inside of tube too; no draught on it while it cools.' },
  ),
]

export const MATERIALS: Readonly<Record<MaterialId, Material>> = Object.fromEntries(
  MATERIAL_LIST.map((one) => [one.id, one]),
) as Record<MaterialId, Material>

/**
 * The material that a word names, or null.
 * @example materialOf('304') // 'stainless-304'
 */
export function materialOf(words: string): MaterialId | null {
  const lower = words.trim().toLowerCase().replace(/\s+/g, ' ')
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
