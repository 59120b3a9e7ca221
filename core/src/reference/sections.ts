/** Rolled sections and tubes by EN: what is welded of each is its wall. From memory of the standards. */
import type { MaterialId } from '../model/material.ts'
import { MATERIALS } from './materials.ts'

export interface Tube {
  readonly outsideMm: number
  readonly wallMm: number
  readonly document: string
}

/** Outside diameter by nominal size, mm (EN 10220), and wall of the medium series (EN 10255); null where it has none. */
const STEEL_DN: Readonly<Record<string, readonly [outsideMm: number, wallMm: number | null]>> = {
  '6': [10.2, 2],
  '8': [13.5, 2.3],
  '10': [17.2, 2.3],
  '15': [21.3, 2.6],
  '20': [26.9, 2.6],
  '25': [33.7, 3.2],
  '32': [42.4, 3.2],
  '40': [48.3, 3.2],
  '50': [60.3, 3.6],
  '65': [76.1, 3.6],
  '80': [88.9, 4],
  '100': [114.3, 4.5],
  '125': [139.7, 5],
  '150': [168.3, 5],
  '200': [219.1, null],
  '250': [273, null],
  '300': [323.9, null],
}
/** Tube for food and drink, series A (EN 10357). */
const FOOD_DN: Readonly<Record<string, readonly [outsideMm: number, wallMm: number]>> = {
  '10': [13, 1.5],
  '15': [19, 1.5],
  '20': [23, 1.5],
  '25': [29, 1.5],
  '32': [35, 1.5],
  '40': [41, 1.5],
  '50': [53, 1.5],
  '65': [70, 2],
  '80': [85, 2],
  '100': [104, 2],
  '125': [129, 2],
  '150': [154, 2],
}
export const NOMINAL_DIAMETERS: readonly string[] = Object.keys(STEEL_DN)

/**
 * A nominal size without a wall: of stainless the tube for food and drink, of other metals the medium series.
 * @param wallMm where it is written; null takes the usual one, and the diameter of plain tube goes with one that is written
 * @returns null of a size that is not in the series
 * @example tubeOf('50', 'hot-rolled', null) // { outsideMm: 60.3, wallMm: 3.6, document: 'EN 10255, medium' }
 */
export function tubeOf(dn: string, material: MaterialId, wallMm: number | null): Tube | null {
  const [outsideMm, usualMm] = STEEL_DN[dn] ?? []
  if (outsideMm === undefined) return null
  if (wallMm !== null) return { outsideMm, wallMm, document: 'EN 10220' }
  const food = MATERIALS[material].family === 'stainless' ? FOOD_DN[dn] : undefined
  if (food) return { outsideMm: food[0], wallMm: food[1], document: 'EN 10357, series A' }
  return usualMm === undefined || usualMm === null
    ? null
    : { outsideMm, wallMm: usualMm, document: 'EN 10255, medium' }
}

/** Web and flange of beams and channels, mm, by series and height (EN 10365). */
const BEAMS: Readonly<Record<string, Readonly<Record<string, readonly [webMm: number, flangeMm: number]>>>> =
  {
    HEA: {
      '100': [5, 8],
      '120': [5, 8],
      '140': [5.5, 8.5],
      '160': [6, 9],
      '180': [6, 9.5],
      '200': [6.5, 10],
      '220': [7, 11],
      '240': [7.5, 12],
      '260': [7.5, 12.5],
      '280': [8, 13],
      '300': [8.5, 14],
    },
    HEB: {
      '100': [6, 10],
      '120': [6.5, 11],
      '140': [7, 12],
      '160': [8, 13],
      '180': [8.5, 14],
      '200': [9, 15],
      '220': [9.5, 16],
      '240': [10, 17],
      '260': [10, 17.5],
      '280': [10.5, 18],
      '300': [11, 19],
    },
    IPE: {
      '80': [3.8, 5.2],
      '100': [4.1, 5.7],
      '120': [4.4, 6.3],
      '140': [4.7, 6.9],
      '160': [5, 7.4],
      '180': [5.3, 8],
      '200': [5.6, 8.5],
      '220': [5.9, 9.2],
      '240': [6.2, 9.8],
      '270': [6.6, 10.2],
      '300': [7.1, 10.7],
      '330': [7.5, 11.5],
      '360': [8, 12.7],
      '400': [8.6, 13.5],
    },
    UPN: {
      '80': [6, 8],
      '100': [6, 8.5],
      '120': [7, 9],
      '140': [7, 10],
      '160': [7.5, 10.5],
      '180': [8, 11],
      '200': [8.5, 11.5],
      '220': [9, 12.5],
      '240': [9.5, 13],
    },
  }
export const BEAM_SERIES: readonly string[] = Object.keys(BEAMS)
export const beamHeights = (series: string): readonly string[] => Object.keys(BEAMS[series] ?? {})

/** @example beamOf('HEA', '120') // { webMm: 5, flangeMm: 8 } */
export function beamOf(
  series: string,
  height: string,
): { readonly webMm: number; readonly flangeMm: number } | null {
  const found = BEAMS[series]?.[height]
  return found ? { webMm: found[0], flangeMm: found[1] } : null
}
