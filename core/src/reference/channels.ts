/** American Standard channels: mean thickness of the flange, and the web. AISC Manual, dimensions, from memory. */

export interface Channel {
  readonly webMm: number
  readonly flangeMm: number
}

const INCH_MM = 25.4
/** By depth in inches and weight in lb/ft: web, flange, in. */
const INCHES: Readonly<Record<string, readonly [webIn: number, flangeIn: number]>> = {
  'C3x4.1': [0.17, 0.273],
  C3x5: [0.258, 0.273],
  C3x6: [0.356, 0.273],
  'C4x5.4': [0.184, 0.296],
  'C4x7.25': [0.321, 0.296],
  'C5x6.7': [0.19, 0.32],
  C5x9: [0.325, 0.32],
  'C6x8.2': [0.2, 0.343],
  'C6x10.5': [0.314, 0.343],
  C6x13: [0.437, 0.343],
  'C7x9.8': [0.21, 0.366],
  'C7x12.25': [0.314, 0.366],
  'C8x11.5': [0.22, 0.39],
  'C8x13.75': [0.303, 0.39],
  'C8x18.75': [0.487, 0.39],
  'C9x13.4': [0.233, 0.413],
  C9x15: [0.285, 0.413],
  'C10x15.3': [0.24, 0.436],
  C10x20: [0.379, 0.436],
  'C12x20.7': [0.282, 0.501],
  C12x25: [0.387, 0.501],
  'C15x33.9': [0.4, 0.65],
}
export const CHANNELS: readonly string[] = Object.keys(INCHES)

/**
 * @returns null of a channel that is not in the table
 * @example channelOf('C4x5.4') // { webMm: 4.6736, flangeMm: 7.5184 }
 */
export function channelOf(name: string): Channel | null {
  const found = INCHES[name]
  return found ? { webMm: found[0] * INCH_MM, flangeMm: found[1] * INCH_MM } : null
}
