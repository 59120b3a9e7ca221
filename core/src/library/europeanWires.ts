/** Wires, rods and electrodes by EN ISO and in millimetres (ISO 544): what a European counter sells. From memory. */
import type { Metal } from '../model/material.ts'
import type { Wire } from '../kinds/equipment.ts'
import { isSpooled } from '../kinds/spooled.ts'
import { standard } from '../basis/source.ts'
import { idOf, type LibraryEntry } from './entry.ts'
import { heldWord, type Package, wireEntry } from './wireEntry.ts'

interface Row {
  /** As the counter calls it. */
  readonly word: string
  readonly classification: string
  readonly metal: Metal
  readonly form: Wire['form']
  readonly sizesMm: readonly number[]
  readonly summary: string
  readonly document: string
}
const row = (
  word: string,
  classification: string,
  metal: Metal,
  form: Wire['form'],
  sizesMm: readonly number[],
  document: string,
  summary: string,
): Row => ({ word, classification, metal, form, sizesMm, summary, document })

const STEEL = 'carbon-steel'
const THIN = [0.6, 0.8, 1.0, 1.2, 1.6]
const FINE = [0.8, 1.0, 1.2]
const RODS = [1.6, 2.0, 2.4, 3.2]
const STICKS = [2.0, 2.5, 3.2, 4.0, 5.0]

const ROWS: readonly Row[] = [
  row('G3Si1', 'G 42 4 M21 3Si1', STEEL, 'solid', THIN, 'EN ISO 14341-A', 'steel; some mill scale'),
  row('G4Si1', 'G 46 4 M21 4Si1', STEEL, 'solid', FINE, 'EN ISO 14341-A', 'steel, also rusty; more silicon'),
  row('G 19 9 L Si', 'G 19 9 L Si', 'stainless', 'solid', FINE, 'EN ISO 14343-A', '1.4301, 1.4307'),
  row('G 19 12 3 L Si', 'G 19 12 3 L Si', 'stainless', 'solid', FINE, 'EN ISO 14343-A', '1.4401, 1.4404'),
  row(
    'G 23 12 L Si',
    'G 23 12 L Si',
    'stainless',
    'solid',
    FINE,
    'EN ISO 14343-A',
    'stainless to carbon steel',
  ),
  row('G 18 8 Mn', 'G 18 8 Mn', 'stainless', 'solid', FINE, 'EN ISO 14343-A', 'unlike steels, tough'),
  row('AlSi5', 'S Al 4043A (AlSi5)', 'aluminium', 'solid', FINE, 'EN ISO 18273', 'castings, 6xxx; soft'),
  row('AlMg5', 'S Al 5356 (AlMg5Cr)', 'aluminium', 'solid', FINE, 'EN ISO 18273', '5xxx, 6xxx; stiffer'),
  row(
    'rutile cored',
    'T 46 4 P C1/M21 1 H5',
    STEEL,
    'cored-gas-shielded',
    [1.0, 1.2, 1.4, 1.6],
    'EN ISO 17632-A',
    'all positions',
  ),
  row(
    'metal cored',
    'T 46 6 M M21 1 H5',
    STEEL,
    'cored-gas-shielded',
    [1.0, 1.2, 1.4],
    'EN ISO 17632-A',
    'deposits fast, no slag',
  ),
  row(
    'self-shielded',
    'T 42 Z Z NO 1',
    STEEL,
    'cored-self-shielded',
    [0.9, 1.2, 1.6],
    'EN ISO 17632-A',
    'outdoors',
  ),
  row('rutile', 'E 42 0 RR 12', STEEL, 'covered', STICKS, 'EN ISO 2560-A', 'thin clean steel'),
  row('basic', 'E 42 4 B 32 H5', STEEL, 'covered', STICKS, 'EN ISO 2560-A', 'structural, low hydrogen'),
  row('cellulose', 'E 38 3 C 21', STEEL, 'covered', [2.5, 3.2, 4.0], 'EN ISO 2560-A', 'roots of pipe, DC'),
  row(
    'E 19 9 L R',
    'E 19 9 L R 12',
    'stainless',
    'covered',
    [2.0, 2.5, 3.2],
    'EN ISO 3581-A',
    '1.4301 by stick',
  ),
  row(
    'E 23 12 L R',
    'E 23 12 L R 12',
    'stainless',
    'covered',
    [2.5, 3.2],
    'EN ISO 3581-A',
    'stainless to carbon steel by stick',
  ),
  row('W3Si1', 'W 42 5 W3Si1', STEEL, 'rod', RODS, 'EN ISO 636-A', 'steel by TIG'),
  row('W 19 9 L', 'W 19 9 L', 'stainless', 'rod', RODS, 'EN ISO 14343-A', '1.4301, 1.4307 by TIG'),
  row('W 19 12 3 L', 'W 19 12 3 L', 'stainless', 'rod', RODS, 'EN ISO 14343-A', '1.4401, 1.4404 by TIG'),
  row(
    'W 23 12 L',
    'W 23 12 L',
    'stainless',
    'rod',
    RODS,
    'EN ISO 14343-A',
    'stainless to carbon steel by TIG',
  ),
  row('AlSi5', 'S Al 4043A (AlSi5)', 'aluminium', 'rod', RODS, 'EN ISO 18273', 'castings, 6xxx by TIG'),
  row('AlMg5', 'S Al 5356 (AlMg5Cr)', 'aluminium', 'rod', RODS, 'EN ISO 18273', '5xxx, 6xxx by TIG'),
]

const ROD_PACKAGE_G = 5000
const STICK_PACKAGE_G = 4500
/** Thicker wire is not wound on the smaller spool. */
const SMALL_SPOOL_MOST_MM = 1.1
function packagesOf(one: Row, sizeMm: number): readonly Package[] {
  if (!isSpooled(one))
    return [{ spoolMm: null, packageG: one.form === 'rod' ? ROD_PACKAGE_G : STICK_PACKAGE_G }]
  const isSoft = one.metal === 'aluminium'
  const whole: Package = { spoolMm: 300, packageG: isSoft ? 7000 : 15_000 }
  if (isSoft) return sizeMm > SMALL_SPOOL_MOST_MM ? [whole] : [{ spoolMm: 200, packageG: 2000 }, whole]
  return [{ spoolMm: 200, packageG: 5000 }, whole]
}

function entry(one: Row, diameterMm: number, pack: Package): LibraryEntry<'wires'> {
  const { word, classification, metal, form, summary, document } = one
  const size = diameterMm.toFixed(1)
  return wireEntry({
    ...pack,
    id: idOf('lib', classification, size, pack.spoolMm === null ? heldWord(one) : `S ${pack.spoolMm}`, 'mm'),
    called: `${size} ${word}`,
    classification,
    metal,
    form,
    diameterMm,
    summary,
    source: standard(`${document}, classification`, true),
    units: 'metric',
  })
}

export const EUROPEAN_WIRES: readonly LibraryEntry<'wires'>[] = ROWS.flatMap((one) =>
  one.sizesMm.flatMap((sizeMm) => packagesOf(one, sizeMm).map((pack) => entry(one, sizeMm, pack))),
)
