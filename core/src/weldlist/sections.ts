/** Sections as a drawing names them by EN: tubes by diameter and wall, nominal sizes, hollow sections, flats, beams. */
import type { MaterialId } from '../model/material.ts'
import { parseQuantity } from '../quantity/parse.ts'
import type { Notation } from '../quantity/units.ts'
import { channelOf, CHANNELS } from '../reference/channels.ts'
import { BEAM_SERIES, beamHeights, beamOf, NOMINAL_DIAMETERS, tubeOf } from '../reference/sections.ts'

export interface Section {
  readonly thicknessMm: number
  /** Outside, mm; null of what is not round. */
  readonly diameterMm: number | null
  /** What was taken for it, where the name does not say. */
  readonly taken: string
}

const NOMINAL = /^dn\s*(?<dn>\d+)(?:\s*[x×*]\s*(?<wall>\S.*))?$/i
const BEAM = new RegExp(
  `^(?<series>${BEAM_SERIES.join('|')})\\s*(?<height>\\d+)(?:\\s+(?<part>web|flange))?$`,
  'i',
)
/** `C4x5.4`: an American channel by depth and weight. */
const CHANNEL = /^c\s*(?<name>\d+\s*[x×*]\s*[\d.]+)(?:\s+(?<part>web|flange))?$/i
/** `1.5 OD x .065`, `1-1/2 in OD x 0.065 in wall`. */
const OUTSIDE =
  /^(?<outside>[\d.,/-][\d.,/ -]*(?:in|mm|")?)\s*o\.?d\.?\s*[x×*]\s*(?<wall>[\d.].*?)(?:\s*wall)?(?:\s*tub(?:e|ing))?$/i
/** Names before the figures: a flat bar and hollow sections; `Ø` and CHS are round. */
const NAMED = /^(?<name>fb|flat|rhs|shs|chs|ø|⌀|o\.?d\.?)\s*(?<figures>\d.*)$/i
const BY = /\s*[x×*]\s*/
const ROUND = /^(?:chs|ø|⌀|o)/i
/** `60,3x2,9`: a diameter that is no whole number is that of a tube. */
const TUBE = /^(?<outside>\d+[.,]\d+)\s*(?:mm)?\s*[x×*]\s*(?<wall>\d+(?:[.,]\d+)?(?:\s*mm)?)$/

/**
 * @param material what it is made of, for nominal sizes: of stainless they are other tubes
 * @returns null of what is no section by EN; a message where it is one and cannot be read
 * @example readSection('60,3x2,9', 'hot-rolled', notation) // { thicknessMm: 2.9, diameterMm: 60.3, taken: '' }
 */
export function readSection(
  written: string,
  material: MaterialId,
  notation: Notation,
): Section | string | null {
  const mm = (text: string): number | string => {
    const read = parseQuantity('thickness', text, notation)
    return read.ok ? read.value : read.problem.message
  }
  const section = (wall: string, outside: string | null): Section | string => {
    const thicknessMm = mm(wall)
    if (typeof thicknessMm === 'string') return thicknessMm
    const diameter = outside === null ? null : parseQuantity('length', outside, notation)
    if (diameter && !diameter.ok) return diameter.problem.message
    return { thicknessMm, diameterMm: diameter?.value ?? null, taken: '' }
  }

  const nominal = NOMINAL.exec(written)?.groups
  if (nominal) {
    const wall = nominal['wall'] === undefined ? null : mm(nominal['wall'])
    if (typeof wall === 'string') return wall
    const tube = tubeOf(nominal['dn'] ?? '', material, wall)
    if (tube)
      return {
        thicknessMm: tube.wallMm,
        diameterMm: tube.outsideMm,
        taken: `${tube.outsideMm} × ${tube.wallMm} mm, ${tube.document}`,
      }
    return NOMINAL_DIAMETERS.includes(nominal['dn'] ?? '')
      ? `“${written}”: the wall is missing. Enter for example DN ${nominal['dn']} x 6.3.`
      : `“${written}”: there is no nominal diameter ${nominal['dn']} here. Sizes run ${NOMINAL_DIAMETERS.join(', ')}.`
  }
  const beam = BEAM.exec(written)?.groups
  if (beam) {
    const series = (beam['series'] ?? '').toUpperCase()
    const found = beamOf(series, beam['height'] ?? '')
    if (!found)
      return `“${written}”: there is no ${series} ${beam['height']} here. Heights run ${beamHeights(series).join(', ')}.`
    const isWeb = beam['part']?.toLowerCase() === 'web'
    return {
      thicknessMm: isWeb ? found.webMm : found.flangeMm,
      diameterMm: null,
      taken: isWeb
        ? 'its web'
        : `its flange. For the web, ${found.webMm} mm, enter ${series} ${beam['height']} web`,
    }
  }
  const channel = CHANNEL.exec(written)?.groups
  if (channel) {
    const name = `C${(channel['name'] ?? '').replace(/\s*[x×*]\s*/, 'x')}`
    const found = channelOf(name)
    if (!found) return `“${written}”: there is no ${name} here. Channels: ${CHANNELS.join(', ')}.`
    const isWeb = channel['part']?.toLowerCase() === 'web'
    return {
      thicknessMm: isWeb ? found.webMm : found.flangeMm,
      diameterMm: null,
      taken: isWeb ? 'its web' : `its flange. For the web enter ${name} web`,
    }
  }
  const outside = OUTSIDE.exec(written)?.groups
  if (outside) return section(outside['wall'] ?? '', outside['outside'] ?? '')
  const named = NAMED.exec(written)?.groups
  if (named) {
    const figures = (named['figures'] ?? '').split(BY)
    if (figures.length < 2) return null
    const isRound = ROUND.test(named['name'] ?? '')
    return section(figures.at(-1) ?? '', isRound ? (figures[0] ?? '') : null)
  }
  const tube = TUBE.exec(written)?.groups
  return tube ? section(tube['wall'] ?? '', tube['outside'] ?? '') : null
}
