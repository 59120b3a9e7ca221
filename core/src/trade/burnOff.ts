/** Burn-off: how fast a wire melts at a current. Melting-rate equation of the AWS Welding Handbook. */
import { fillerFamilyOf } from '../reference/fillerFamilies.ts'
import type { AssumptionKey } from '../assumptions/list.ts'
import { commonPractice, handbook, jobField } from '../basis/source.ts'
import { assumed, calculation, from, input, inputOrAssumed } from '../calculation/calculation.ts'
import type { Reckoner } from '../calculation/reckoner.ts'
import type { Wire } from '../kinds/equipment.ts'
import type { Metal } from '../model/material.ts'
import type { ProcessId } from '../model/process.ts'
import { coredUsabilityOf } from '../reference/classification.ts'

interface BurnOff {
  /** mm/(s·A) at 1.2 mm. */
  readonly alpha: number
  /** 1/(s·A²) at 1.2 mm. */
  readonly beta: number
}

const COEFFICIENTS: Readonly<Record<Metal, BurnOff>> = {
  // α of 0.27 to 0.30 is published for mild steel, electrode positive. At 0.28 the model meets the workshop's
  // in/min per ampere (3.5, 2.0, 1.6, 1.0 for 0.023 to 0.045 in) within 10 %; at 0.30 it runs up to 20 % above.
  'carbon-steel': { alpha: 0.28, beta: 5e-5 },
  stainless: { alpha: 0.29, beta: 8e-5 },
  // Aluminium conducts so well that its extension hardly heats.
  aluminium: { alpha: 0.92, beta: 0 },
}
/** Silicon lowers what melts: the 4xxx fillers burn off more slowly than the 5xxx. */
const ALUMINIUM_SILICON: BurnOff = { alpha: 0.8, beta: 0 }
function coefficientsOf({ metal, form, classification }: MeltedWire): BurnOff {
  if (form === 'cored-self-shielded') {
    const { alpha, beta } = COEFFICIENTS['carbon-steel']
    return { alpha: coredUsabilityOf(classification)?.value.burnOff ?? alpha, beta }
  }
  return metal === 'aluminium' && fillerFamilyOf(classification) === 'al-silicon'
    ? ALUMINIUM_SILICON
    : COEFFICIENTS[metal]
}

/** The figures of a wire that melting rests on. */
export type MeltedWire = Pick<Wire, 'metal' | 'form' | 'diameterMm' | 'classification'>
const SOURCE = handbook('AWS Welding Handbook, melting rate v = αI + βLI², coefficients at 1.2 mm')

const EXTENSION: Partial<Record<ProcessId, AssumptionKey>> = {
  'gmaw-short': 'extensionShortMm',
  'gmaw-spray': 'extensionSprayMm',
  'gmaw-pulse': 'extensionSprayMm',
  'fcaw-s': 'extensionFcawSMm',
  'fcaw-g': 'extensionFcawGMm',
}

const extensionOf = (process: ProcessId, { classification }: MeltedWire): AssumptionKey | number =>
  coredUsabilityOf(classification)?.value.extensionMm ?? EXTENSION[process] ?? 'extensionShortMm'

export const isCored = (wire: Pick<Wire, 'form'>): boolean =>
  wire.form === 'cored-self-shielded' || wire.form === 'cored-gas-shielded'

const diameter = input('wire diameter', 'mm diameter', jobField('wire of the set-up'))
const alpha = {
  title: 'Burn-off by the arc',
  symbol: 'α',
  unit: 'mm/(s·A)',
  source: SOURCE,
} as const
const beta = { title: 'Burn-off by resistance', symbol: 'β', unit: '1/(s·A²)', source: SOURCE } as const
const alphaAt = input('burn-off by the arc at 1.2 mm', 'mm/(s·A)', SOURCE)
const betaAt = input('burn-off by resistance at 1.2 mm', '1/(s·A²)', SOURCE)

const alphaSolid = calculation({
  ...alpha,
  id: 'burn-off-alpha',
  expression: 'a * (1.2 / d)^2',
  inputs: { a: alphaAt, d: diameter },
  compute: ({ a, d }) => a * (1.2 / d) ** 2,
})
/** A cored wire carries its current in the sheath alone. */
const alphaCored = calculation({
  ...alpha,
  id: 'burn-off-alpha-cored',
  expression: 'a * (1.2 / d)^2 / q',
  inputs: { a: alphaAt, d: diameter, q: assumed('coredMetalFraction') },
  compute: ({ a, d, q }) => (a * (1.2 / d) ** 2) / q,
})
const betaSolid = calculation({
  ...beta,
  id: 'burn-off-beta',
  expression: 'b * (1.2 / d)^4',
  inputs: { b: betaAt, d: diameter },
  compute: ({ b, d }) => b * (1.2 / d) ** 4,
})
const betaCored = calculation({
  ...beta,
  id: 'burn-off-beta-cored',
  expression: 'b * (1.2 / d)^4 / q^2',
  inputs: { b: betaAt, d: diameter, q: assumed('coredMetalFraction') },
  compute: ({ b, d, q }) => (b * (1.2 / d) ** 4) / q ** 2,
})

export const wireFeed = calculation({
  id: 'wire-feed',
  title: 'Wire feed speed that the current burns off',
  symbol: 'v',
  unit: 'mm/min',
  expression: '60 * (α * I + β * L * I^2)',
  inputs: {
    I: input('current', 'A', jobField('current needed'), 'wanted-current'),
    α: from(alphaSolid, alphaCored),
    β: from(betaSolid, betaCored),
    L: inputOrAssumed('electrode extension', 'mm', SOURCE),
  },
  compute: ({ I, α, β, L }) => 60 * (α * I + β * L * I ** 2),
  source: SOURCE,
})

function coefficients(wire: MeltedWire, reckoner: Reckoner) {
  const base = coefficientsOf(wire)
  const d = wire.diameterMm
  return isCored(wire)
    ? {
        α: reckoner.compute(alphaCored, { a: base.alpha, d }),
        β: reckoner.compute(betaCored, { b: base.beta, d }),
      }
    : {
        α: reckoner.compute(alphaSolid, { a: base.alpha, d }),
        β: reckoner.compute(betaSolid, { b: base.beta, d }),
      }
}

/**
 * Wire feed speed that a current burns off.
 * @param currentA mean arc current, A
 * @returns mm/min
 */
export const wireFeedSpeed = (
  wire: MeltedWire,
  currentA: number,
  process: ProcessId,
  reckoner: Reckoner,
): number =>
  reckoner.compute(wireFeed, { I: currentA, ...coefficients(wire, reckoner), L: extensionOf(process, wire) })

const feed = input('wire feed speed', 'mm/min', jobField('as set'))
const feedCurrentSteel = calculation({
  id: 'current-at-feed',
  title: 'Current at which this feed burns off',
  symbol: 'I',
  unit: 'A',
  expression: '(sqrt(α^2 + 4 * β * L * v / 60) - α) / (2 * β * L)',
  inputs: {
    α: from(alphaSolid, alphaCored),
    β: from(betaSolid, betaCored),
    L: inputOrAssumed('electrode extension', 'mm', SOURCE),
    v: feed,
  },
  compute: ({ α, β, L, v }) => (Math.sqrt(α ** 2 + (4 * β * L * v) / 60) - α) / (2 * β * L),
  source: SOURCE,
})
/** Aluminium: the extension hardly heats, so the feed goes straight with the current. */
const feedCurrentAluminium = calculation({
  id: 'current-at-feed-straight',
  title: 'Current at which this feed burns off',
  symbol: 'I',
  unit: 'A',
  expression: 'v / 60 / α',
  inputs: { α: from(alphaSolid, alphaCored), v: feed },
  compute: ({ α, v }) => v / 60 / α,
  source: SOURCE,
})
/** More wire beyond the tip heats more by itself: at the same feed the arc draws less. */
export const feedCurrentLong = calculation({
  id: 'current-at-feed-long',
  title: 'Current at this feed with more wire beyond the tip',
  symbol: 'I',
  unit: 'A',
  expression: '(sqrt(α^2 + 4 * β * (L + e) * v / 60) - α) / (2 * β * (L + e))',
  inputs: {
    α: from(alphaSolid, alphaCored),
    β: from(betaSolid, betaCored),
    L: inputOrAssumed('electrode extension', 'mm', SOURCE),
    e: input('more of it', 'mm', commonPractice()),
    v: feed,
  },
  compute: ({ α, β, L, e, v }) => (Math.sqrt(α ** 2 + (4 * β * (L + e) * v) / 60) - α) / (2 * β * (L + e)),
  source: SOURCE,
})
export const feedCurrent = [feedCurrentSteel, feedCurrentAluminium] as const

/**
 * The inverse: the current at which a wire fed at this speed burns off, in A.
 * @param feedMmPerMin wire feed speed, mm/min
 */
export function currentAtFeed(
  wire: MeltedWire,
  feedMmPerMin: number,
  process: ProcessId,
  reckoner: Reckoner,
): number {
  const { α, β } = coefficients(wire, reckoner)
  return β === 0
    ? reckoner.compute(feedCurrentAluminium, { α, v: feedMmPerMin })
    : reckoner.compute(feedCurrentSteel, { α, β, L: extensionOf(process, wire), v: feedMmPerMin })
}

/**
 * @param moreMm wire beyond the tip above the usual extension, mm
 * @returns A at the same feed; of aluminium the same, for its extension hardly heats
 * @example currentAtLongerA(wire, 7200, 'gmaw-short', 9.5, r) // some 20 A below that at the usual extension
 */
export function currentAtLongerA(
  wire: MeltedWire,
  feedMmPerMin: number,
  process: ProcessId,
  moreMm: number,
  reckoner: Reckoner,
): number {
  const { α, β } = coefficients(wire, reckoner)
  return β === 0
    ? reckoner.compute(feedCurrentAluminium, { α, v: feedMmPerMin })
    : reckoner.compute(feedCurrentLong, { α, β, L: extensionOf(process, wire), e: moreMm, v: feedMmPerMin })
}
