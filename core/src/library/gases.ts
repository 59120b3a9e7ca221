/** Shielding gases by ISO 14175 designation. */
import type { Gas } from '../kinds/equipment.ts'
import { standard } from '../basis/source.ts'
import { idOf, type LibraryEntry } from './entry.ts'

const ISO_14175 = standard('ISO 14175, designation; cylinder contents from memory', true)
/** A 50 L cylinder at 200 bar, compressibility counted, L of free gas. */
const CYLINDER_L = 10_600
/** 30 kg of CO₂, L of free gas (8.74 ft³/lb). */
const CO2_CYLINDER_L = 16_370

type Parts = readonly [argonPct: number, co2Pct: number, oxygenPct: number, heliumPct: number]

const entry = (
  name: string,
  designation: string,
  [argonPct, co2Pct, oxygenPct, heliumPct]: Parts,
  summary: string,
): LibraryEntry<'gases'> => {
  const record: Gas = {
    id: idOf('lib', designation),
    name,
    designation,
    argonPct,
    co2Pct,
    oxygenPct,
    heliumPct,
    fullL: co2Pct === 100 ? CO2_CYLINDER_L : CYLINDER_L,
    keptAt: null,
    refillPrice: null,
  }
  return { path: 'gases', record, summary, source: ISO_14175 }
}

export const LIBRARY_GASES: readonly LibraryEntry<'gases'>[] = [
  entry('Argon', 'I1', [100, 0, 0, 0], 'all TIG; aluminium by MIG'),
  entry('Helium', 'I2', [0, 0, 0, 100], 'hot; thick aluminium, mixed with argon'),
  entry('75/25 Ar/He', 'I3-ArHe-25', [75, 0, 0, 25], 'thick aluminium'),
  entry('98/2 Ar/CO₂', 'M12-ArC-2', [98, 2, 0, 0], 'stainless by spray'),
  entry('98/2 Ar/O₂', 'M13-ArO-2', [98, 0, 2, 0], 'stainless and steel by spray'),
  entry('90/7.5/2.5 He/Ar/CO₂', 'M12-HeArC-7,5/2,5', [7.5, 2.5, 0, 90], 'stainless by short-circuit'),
  entry('90/10 Ar/CO₂', 'M20-ArC-10', [90, 10, 0, 0], 'steel by spray'),
  entry('82/18 Ar/CO₂', 'M21-ArC-18', [82, 18, 0, 0], 'steel, short-circuit to spray'),
  entry('80/20 Ar/CO₂', 'M21-ArC-20', [80, 20, 0, 0], 'steel and gas-shielded cored wire'),
  entry('75/25 Ar/CO₂', 'M21-ArC-25', [75, 25, 0, 0], 'steel by short-circuit, little spatter'),
  entry('CO₂', 'C1', [0, 100, 0, 0], 'steel, deep and hot; more spatter'),
]
