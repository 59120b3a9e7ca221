/** The chain for one weld: what each link carries beside what the weld wants, and which link gives out first. */
import type { Capability } from '../capability/capability.ts'
import {
  type Carries,
  circuitCarries,
  electrodeCarries,
  gunCarries,
  type LinkId,
  sourceCarries,
} from '../criteria/carries.ts'
import { marginWithin, verdictOfRoom } from '../criteria/criterion.ts'
import type { Demand } from '../demand/demand.ts'
import type { WeldFigures } from '../demand/weldFigures.ts'
import { figure, list, type Param, told, type Told, word } from '../model/told.ts'
import { type Verdict, worstVerdict } from '../model/verdict.ts'

export interface ChainLink {
  readonly id: LinkId
  /** What the link is called, such as gun or torch. */
  readonly kind: Param
  /** What stands there. */
  readonly detail: Param
  /** Null where something is missing: then `missing` tells of it. */
  readonly lowA: number | null
  readonly highA: number | null
  readonly missing: Told | null
  readonly verdict: Verdict
  /** Room to the nearer end of what it carries, A; negative where it gives out. Null where unknown. */
  readonly spareA: number | null
}

export interface Chain {
  readonly jointId: string
  readonly wantedA: number
  readonly windowA: { readonly low: number; readonly high: number }
  readonly links: readonly ChainLink[]
  readonly verdict: Verdict
  /** The link with least room: it gives out first. Null where a link is unknown and none fails. */
  readonly first: LinkId | null
  /** Its room, A: the one large figure. */
  readonly spareA: number | null
  readonly told: Told
}

function judged(
  c: Capability,
  id: LinkId,
  kind: Param,
  detail: Param,
  carries: Carries,
  wantedA: number,
): ChainLink {
  if (carries.missing !== null)
    return {
      id,
      kind,
      detail,
      lowA: null,
      highA: null,
      missing: carries.missing,
      verdict: 'unknown',
      spareA: null,
    }
  const { lowA, highA } = carries
  const spareA = Math.min(highA - wantedA, lowA > 0 ? wantedA - lowA : Number.POSITIVE_INFINITY)
  // A published range of a wire or a tungsten may be used to its ends; ratings keep the shop's margin.
  const verdict = verdictOfRoom(c, marginWithin(c, wantedA, highA, lowA, 'A'), id === 'electrode')
  return { id, kind, detail, lowA, highA, missing: null, verdict, spareA }
}

/** `Name, 240 V`; a set with an engine of its own says so. */
const sourceDetail = ({ powerSource, circuit }: Capability): Param =>
  list([powerSource?.name ?? '', circuit ? figure(circuit.voltageV, 'V') : word('supply', 'engine')])

function linksOf(c: Capability, d: Demand, weld: WeldFigures): readonly ChainLink[] {
  const { circuit, gun, process, wire, tungsten } = c
  const electrode = process.feedsWire ? wire : tungsten
  const onCircuit = circuitCarries(c, d, weld)
  const link = (id: LinkId, kind: string, detail: Param, carries: Carries): ChainLink =>
    judged(c, id, word('link', kind), detail, carries, weld.wantedA)
  return [
    ...(onCircuit ? [link('circuit', 'circuit', circuit?.name ?? '', onCircuit)] : []),
    link('source', 'source', sourceDetail(c), sourceCarries(c, d)),
    link('gun', gun?.kind ?? (process.feedsWire ? 'gun' : 'torch'), gun?.name ?? '', gunCarries(c, d)),
    link(
      'electrode',
      process.feedsWire ? 'wire' : 'tungsten',
      electrode?.name ?? word('supply', 'none'),
      electrodeCarries(c),
    ),
  ]
}

function toldOf(
  d: Demand,
  wantedA: number,
  first: ChainLink | undefined,
  missing: ChainLink | undefined,
): Told {
  const wanted = figure(wantedA, 'A')
  if (missing?.missing && first?.verdict !== 'fails') {
    const { kind, missing: what } = missing
    return told('not-known', { wanted, kind, missing: what })
  }
  if (!first || first.highA === null || first.lowA === null) return told('wants', { wanted })
  const { kind, detail, lowA, highA, id } = first
  const low = figure(lowA, 'A')
  const params = { wanted, kind, detail, low, high: figure(highA, 'A') }
  const withDuty = d.dutyPct !== null && id !== 'electrode'
  const duty = withDuty ? { duty: figure(d.dutyPct ?? 0, '%') } : {}
  if (first.spareA !== null && first.spareA < 0) {
    if (wantedA < lowA) return told('too-high', params)
    return told(withDuty ? 'gives-out-at-duty' : 'gives-out', { ...params, ...duty })
  }
  return wantedA - lowA < highA - wantedA && lowA > 0
    ? told('near-low-end', params)
    : told(withDuty ? 'would-give-out-at-duty' : 'would-give-out', { ...params, ...duty })
}

/**
 * @returns the links in the order in which the amps pass them, and which has least room
 * @example chainFor(capability, demand, weld).first // 'circuit': it gives out first
 */
export function chainFor(c: Capability, d: Demand, weld: WeldFigures): Chain {
  const { wantedA } = weld
  const links = linksOf(c, d, weld)
  const first = links
    .filter((link) => link.spareA !== null)
    .reduce<ChainLink | undefined>(
      (least, link) => (!least || (link.spareA ?? 0) < (least.spareA ?? 0) ? link : least),
      undefined,
    )
  const missing = links.find((link) => link.verdict === 'unknown')
  const decided = first !== undefined && (first.verdict === 'fails' || !missing)
  return {
    jointId: weld.joint.id,
    wantedA,
    windowA: { low: weld.lowA, high: weld.highA },
    links,
    verdict: worstVerdict(links.map((link) => link.verdict)),
    first: decided ? first.id : null,
    spareA: decided ? first.spareA : null,
    told: toldOf(d, wantedA, first, missing),
  }
}
