/** The metals a joint can be made of, with what the computation needs of each. */
import { handbook, type Source } from '../model/source.ts'
import type { GaugeTableId } from './gauges.ts'

export const MATERIAL_IDS = [
  'carbon-steel',
  'galvanised',
  'stainless-304',
  'stainless-316l',
  'aluminium-5052',
  'aluminium-6061',
] as const
export type MaterialId = (typeof MATERIAL_IDS)[number]

export type MetalFamily = 'carbon-steel' | 'stainless' | 'aluminium'

export interface Material {
  readonly id: MaterialId
  readonly name: string
  readonly family: MetalFamily
  readonly gauge: GaugeTableId
  /** What the owner must know before the arc is struck on it. */
  readonly caution: string | null
}

const CHROMIUM = 'Stainless fume holds hexavalent chromium: extract at the arc or wear a fitted respirator.'
const ALUMINIUM =
  'Aluminium gives heavy fume and strong reflected light: extract, cover skin, brush with its own stainless brush.'

const MATERIAL_LIST: readonly Material[] = [
  {
    id: 'carbon-steel',
    name: 'carbon steel',
    family: 'carbon-steel',
    gauge: 'carbon-steel',
    caution: null,
  },
  {
    id: 'galvanised',
    name: 'galvanised steel',
    family: 'carbon-steel',
    gauge: 'galvanised',
    caution:
      'Zinc fume gives metal-fume fever: take the coat off 2 in (50 mm) each side, extract, work upwind.',
  },
  {
    id: 'stainless-304',
    name: '304 stainless',
    family: 'stainless',
    gauge: 'stainless',
    caution: CHROMIUM,
  },
  {
    id: 'stainless-316l',
    name: '316L stainless',
    family: 'stainless',
    gauge: 'stainless',
    caution: CHROMIUM,
  },
  {
    id: 'aluminium-5052',
    name: '5052 aluminium',
    family: 'aluminium',
    gauge: 'aluminium',
    caution: ALUMINIUM,
  },
  {
    id: 'aluminium-6061',
    name: '6061 aluminium',
    family: 'aluminium',
    gauge: 'aluminium',
    caution: ALUMINIUM,
  },
]

export const MATERIALS: Readonly<Record<MaterialId, Material>> = Object.fromEntries(
  MATERIAL_LIST.map((material) => [material.id, material]),
) as Record<MaterialId, Material>

/** Density in g/cm³ (= mg/mm³). */
export const DENSITY: Readonly<Record<MetalFamily, { value: number; source: Source }>> = {
  'carbon-steel': { value: 7.85, source: handbook('density of carbon steel, machinery handbooks') },
  stainless: { value: 8.0, source: handbook('density of austenitic stainless, machinery handbooks') },
  aluminium: { value: 2.7, source: handbook('density of aluminium, machinery handbooks') },
}
