/** Wires and rods by AWS classification and diameter. */
import { type Metal } from '../model/material.ts'
import type { SpoolMm, Wire } from '../kinds/equipment.ts'
import { isSpooled } from '../kinds/spooled.ts'
import { type Source, standard } from '../basis/source.ts'
import { idOf, type LibraryEntry, type SizeKey, WIRE_SIZES } from './entry.ts'
import { heldWord, type Package, wireEntry } from './wireEntry.ts'

interface Row {
  readonly classification: string
  readonly metal: Metal
  readonly form: Wire['form']
  readonly sizes: readonly SizeKey[]
  readonly summary: string
  readonly source: Source
}

const A5_18 = standard('AWS A5.18, classification', true)
const A5_1 = standard('AWS A5.1, classification', true)
const A5_4 = standard('AWS A5.4, classification', true)
const A5_9 = standard('AWS A5.9, classification', true)
const A5_10 = standard('AWS A5.10, classification', true)
const A5_20 = standard('AWS A5.20, classification', true)

const THIN = ['0.6', '0.8', '0.9', '1.0', '1.2', '1.6'] as const
const RODS = ['1.6', '2.4', '3.2'] as const
const STICKS = ['2.4', '3.2', '4.0'] as const

const row = (
  classification: string,
  metal: Metal,
  form: Wire['form'],
  sizes: readonly SizeKey[],
  source: Source,
  summary: string,
): Row => ({ classification, metal, form, sizes, summary, source })

const ROWS: readonly Row[] = [
  row('ER70S-3', 'carbon-steel', 'solid', THIN, A5_18, 'clean steel; less silicon'),
  row('ER70S-6', 'carbon-steel', 'solid', THIN, A5_18, 'steel, also with mill scale; more silicon'),
  row('ER308L', 'stainless', 'solid', ['0.8', '0.9', '1.2'], A5_9, '304 stainless'),
  row('ER309L', 'stainless', 'solid', ['0.8', '0.9', '1.2'], A5_9, 'stainless to carbon steel'),
  row('ER316L', 'stainless', 'solid', ['0.8', '0.9', '1.2'], A5_9, '316 stainless'),
  row('ER4043', 'aluminium', 'solid', ['0.8', '0.9', '1.2al', '1.6'], A5_10, 'castings, 6xxx; soft'),
  row('ER5356', 'aluminium', 'solid', ['0.8', '0.9', '1.2al', '1.6'], A5_10, '5xxx, 6xxx; stiffer'),
  row(
    'E71T-1C/M',
    'carbon-steel',
    'cored-gas-shielded',
    ['0.9', '1.2', '1.6'],
    A5_20,
    'all positions, CO₂ or mix',
  ),
  row('E70T-1C', 'carbon-steel', 'cored-gas-shielded', ['1.2', '1.6'], A5_20, 'flat and horizontal, CO₂'),
  row(
    'E71T-11',
    'carbon-steel',
    'cored-self-shielded',
    ['0.8', '0.9', '1.2', '1.6'],
    A5_20,
    'outdoors, several passes',
  ),
  row('E71T-GS', 'carbon-steel', 'cored-self-shielded', ['0.8', '0.9'], A5_20, 'outdoors, one pass, thin'),
  row('E6010', 'carbon-steel', 'covered', STICKS, A5_1, 'roots and rusty steel, DC'),
  row('E6011', 'carbon-steel', 'covered', STICKS, A5_1, 'roots and rusty steel, AC too'),
  row('E6013', 'carbon-steel', 'covered', STICKS, A5_1, 'thin clean steel'),
  row('E7014', 'carbon-steel', 'covered', STICKS, A5_1, 'easy on the hand'),
  row('E7018', 'carbon-steel', 'covered', STICKS, A5_1, 'structural, low hydrogen'),
  row('E7024', 'carbon-steel', 'covered', STICKS, A5_1, 'flat and horizontal, deposits most'),
  row('E308L-16', 'stainless', 'covered', ['2.4', '3.2'], A5_4, '304 stainless by stick'),
  row('E309L-16', 'stainless', 'covered', ['2.4', '3.2'], A5_4, 'stainless to carbon steel by stick'),
  row('ER70S-2', 'carbon-steel', 'rod', RODS, A5_18, 'steel by TIG'),
  row('ER70S-6', 'carbon-steel', 'rod', RODS, A5_18, 'steel by TIG'),
  row('ER308L', 'stainless', 'rod', RODS, A5_9, '304 stainless by TIG'),
  row('ER309L', 'stainless', 'rod', RODS, A5_9, 'stainless to carbon steel by TIG'),
  row('ER316L', 'stainless', 'rod', RODS, A5_9, '316 stainless by TIG'),
  row('ER4043', 'aluminium', 'rod', RODS, A5_10, 'castings, 6xxx by TIG'),
  row('ER5356', 'aluminium', 'rod', RODS, A5_10, '5xxx, 6xxx by TIG'),
]

/** Net mass on each spool, g, steel and aluminium (usual packages of ISO 544 spools, from memory). */
const SPOOL_G: readonly {
  readonly spoolMm: SpoolMm
  readonly steel: number
  readonly aluminium: number | null
}[] = [
  { spoolMm: 100, steel: 1000, aluminium: 450 },
  { spoolMm: 200, steel: 5000, aluminium: null },
  { spoolMm: 300, steel: 15_000, aluminium: 7000 },
]
const ROD_PACKAGE_G = 5000
/** Ten pounds, the tin or box that most shops buy. */
const STICK_PACKAGE_G = 4536
/** Thicker wire is not wound on the smallest spool. */
const SMALL_SPOOL_MOST_MM = 1.1

function packagesOf(one: Row, sizeMm: number): readonly Package[] {
  if (!isSpooled(one))
    return [{ spoolMm: null, packageG: one.form === 'rod' ? ROD_PACKAGE_G : STICK_PACKAGE_G }]
  return SPOOL_G.flatMap(({ spoolMm, steel, aluminium }) => {
    const packageG = one.metal === 'aluminium' ? aluminium : steel
    return packageG === null || (spoolMm === 100 && sizeMm > SMALL_SPOOL_MOST_MM)
      ? []
      : [{ spoolMm, packageG }]
  })
}

function entry(one: Row, key: SizeKey, pack: Package): LibraryEntry<'wires'> {
  const { mm: diameterMm, inch, metric } = WIRE_SIZES[key]
  const { classification, metal, form, summary, source } = one
  const on = pack.spoolMm === null ? heldWord(one) : `S ${pack.spoolMm}`
  return wireEntry({
    ...pack,
    id: idOf('lib', classification, metric, on),
    called: `${inch} ${classification}`,
    classification,
    metal,
    form,
    diameterMm,
    summary,
    source,
    units: 'imperial',
  })
}

export const LIBRARY_WIRES: readonly LibraryEntry<'wires'>[] = ROWS.flatMap((one) =>
  one.sizes.flatMap((key) => packagesOf(one, WIRE_SIZES[key].mm).map((pack) => entry(one, key, pack))),
)
