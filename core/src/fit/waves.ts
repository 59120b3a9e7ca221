/** The shape of the current to start with: pulse, alternating current, slopes. */
import type { Capability } from '../capability/capability.ts'
import { commonPractice, computed, dataPlate } from '../basis/source.ts'
import { assumed, calculation, from, input } from '../calculation/calculation.ts'
import type { WeldFigures } from '../demand/weldFigures.ts'
import { SPRAY_TRANSITION_SOURCE, sprayTransitionA } from '../reference/sprayTransition.ts'
import { wireFeed } from '../trade/burnOff.ts'
import { tungstenLightsA } from '../reference/tungstenRanges.ts'
import { thinnerFamily, wantedCurrent } from '../trade/wantedCurrent.ts'

export interface Pulse {
  readonly peakA: number
  readonly baseA: number
  /** Share of the time at the peak, %. */
  readonly sharePct: number
  readonly hz: number
}

const PRACTICE = commonPractice('common practice: a start for pulsing, then by ear and eye')

const pulsePeak = calculation({
  id: 'pulse-peak',
  title: 'Peak: well above what throws a drop',
  symbol: 'I_p',
  unit: 'A',
  expression: 'f * I_t',
  inputs: {
    f: assumed('pulsePeakFactor'),
    I_t: input('current above which this wire sprays', 'A', SPRAY_TRANSITION_SOURCE),
  },
  compute: ({ f, I_t }) => f * I_t,
  source: PRACTICE,
})
const pulseBase = calculation({
  id: 'pulse-base',
  title: 'Base: keeps the arc alight, throws no drop',
  symbol: 'I_b',
  unit: 'A',
  expression: 'f * I_t',
  inputs: {
    f: assumed('pulseBaseFactor'),
    I_t: input('current above which this wire sprays', 'A', SPRAY_TRANSITION_SOURCE),
  },
  compute: ({ f, I_t }) => f * I_t,
  source: PRACTICE,
})
const pulseShare = calculation({
  id: 'pulse-share',
  title: 'Share of the time at the peak, for this mean current',
  symbol: 's',
  unit: '%',
  expression: '100 * min(1, max(0, (I - I_b) / (I_p - I_b)))',
  inputs: { I: from(wantedCurrent), I_b: from(pulseBase), I_p: from(pulsePeak) },
  compute: ({ I, I_b, I_p }) => 100 * Math.min(1, Math.max(0, (I - I_b) / (I_p - I_b))),
  source: computed('mean current = peak × share + base × the rest'),
})
const pulseFrequency = calculation({
  id: 'pulse-frequency',
  title: 'Frequency: a drop as thick as the wire with each pulse',
  symbol: 'f',
  unit: 'Hz',
  expression: '1.5 * v / 60 / d',
  inputs: { v: from(wireFeed), d: input('wire diameter', 'mm diameter', dataPlate('the wire')) },
  compute: ({ v, d }) => (1.5 * v) / 60 / d,
  source: computed('wire that is fed over the volume of a drop of its own diameter'),
})

const tigPeak = calculation({
  id: 'tig-pulse-peak',
  title: 'Peak of a slow pulse with the same mean current',
  symbol: 'I_p',
  unit: 'A',
  expression: 'I / (s / 100 + b / 100 * (1 - s / 100))',
  inputs: { I: from(wantedCurrent), s: assumed('tigPulseSharePct'), b: assumed('tigPulseBasePct') },
  compute: ({ I, s, b }) => I / (s / 100 + (b / 100) * (1 - s / 100)),
  source: computed('mean current = peak × share + base × the rest'),
})
const tigBase = calculation({
  id: 'tig-pulse-base',
  title: 'Base of a slow pulse',
  symbol: 'I_b',
  unit: 'A',
  expression: 'I_p * b / 100',
  inputs: { I_p: from(tigPeak), b: assumed('tigPulseBasePct') },
  compute: ({ I_p, b }) => (I_p * b) / 100,
  source: PRACTICE,
})

/**
 * @param feedMmPerMin null without a wire
 * @returns how to pulse at the current that the weld wants; null where the process or the source does not
 */
export function pulseFor(
  capability: Capability,
  weld: WeldFigures,
  feedMmPerMin: number | null,
): Pulse | null {
  const { process, fedWire, powerSource, supply, electrode, assumptions, reckoner } = capability
  const { wantedA: I, joint } = weld
  if (process.id === 'gmaw-pulse') {
    const I_t = fedWire && sprayTransitionA(thinnerFamily(joint), fedWire.diameterMm)
    if (!fedWire || !I_t || feedMmPerMin === null) return null
    const I_p = reckoner.compute(pulsePeak, { I_t })
    const I_b = reckoner.compute(pulseBase, { I_t })
    const sharePct = reckoner.compute(pulseShare, { I, I_b, I_p })
    return {
      peakA: I_p,
      baseA: I_b,
      sharePct,
      hz: reckoner.compute(pulseFrequency, { v: feedMmPerMin, d: fedWire.diameterMm }),
    }
  }
  const pulses = powerSource?.processes.some(({ family, pulse }) => family === 'gtaw' && pulse) ?? false
  if (process.family !== 'gtaw' || !pulses) return null
  const I_p = reckoner.compute(tigPeak, { I })
  const mostA = Math.min(supply?.outputMaxA ?? Infinity, electrode.range?.maxA ?? Infinity)
  // Neither the source nor the tungsten has more for a peak.
  if (I_p > mostA) return null
  return {
    peakA: I_p,
    baseA: reckoner.compute(tigBase, { I_p }),
    sharePct: assumptions.tigPulseSharePct,
    hz: assumptions.tigPulseHz,
  }
}
export const PULSE_FROM = [pulsePeak, pulseBase, pulseShare, pulseFrequency, tigPeak, tigBase]

export interface Alternating {
  /** Share of electrode-positive, %; null where the source does not set it. */
  readonly positivePct: number | null
  /** Hz; null where the source does not set it. */
  readonly hz: number | null
}

const within = (value: number, least: number, most: number): number => Math.min(most, Math.max(least, value))

/** @returns balance and frequency, within what the source sets; null on direct current */
export function alternatingFor(
  { process, powerSource, assumptions }: Capability,
  weld: WeldFigures,
): Alternating | null {
  if (process.id !== 'gtaw-ac' || !powerSource) return null
  const { acBalance, acFrequency } = powerSource
  const { kind } = weld.joint
  const isEdge = kind === 'edge' || kind === 'outside-corner'
  const { acThinMm, acThinHz, acUsualHz, acPositivePct } = assumptions
  // A higher frequency narrows the arc: an edge does not melt away beside it.
  const hz = isEdge || weld.heatedMm <= acThinMm ? acThinHz : acUsualHz
  return {
    positivePct: acBalance && within(acPositivePct, acBalance.minPct, acBalance.maxPct),
    hz: acFrequency && within(hz, acFrequency.minHz, acFrequency.maxHz),
  }
}

/** Seconds in which the current rises at the start and falls at the end. */
export interface Slopes {
  readonly upS: number
  readonly downS: number
}
/** @returns null where nobody slopes: by wire and by stick */
export const slopesFor = ({ process, assumptions }: Capability): Slopes | null =>
  process.family === 'gtaw' ? { upS: assumptions.upSlopeS, downS: assumptions.downSlopeS } : null

/**
 * @returns currents that light the arc and fill the crater, within what the source has; null where it has none, and by
 *   wire for the start
 */
export function momentsFor(
  { process, powerSource, tungsten, assumptions }: Capability,
  currentA: number,
): { readonly startAmpsA: number | null; readonly endAmpsA: number | null } {
  const { startAmps = null, endAmps = null } = powerSource ?? {}
  const lightsA = (tungsten && tungstenLightsA(tungsten.diameterMm)) ?? 0
  const share = (pct: number) => (currentA * pct) / 100
  return {
    startAmpsA:
      startAmps !== null && process.family === 'gtaw'
        ? within(Math.max(lightsA, share(assumptions.startAmpsPct)), startAmps.minA, startAmps.maxA)
        : null,
    endAmpsA:
      endAmps !== null && process.electrode !== 'covered'
        ? within(share(assumptions.endAmpsPct), endAmps.minA, endAmps.maxA)
        : null,
  }
}
