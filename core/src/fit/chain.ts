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
import { HOLDER } from '../reference/processes.ts'
import { verdictOfCurrent } from '../criteria/withinWindow.ts'
import type { Demand } from '../demand/demand.ts'
import type { WeldFigures } from '../demand/weldFigures.ts'
import { figure, list, type Param, message, type Message, word } from '../model/message.ts'
import { type Verdict, VERDICT_RANK, worstVerdict } from '../model/verdict.ts'

export interface ChainLink {
  readonly id: LinkId
  /** What the link is called, such as gun or torch. */
  readonly kind: Param
  /** What stands there. */
  readonly detail: Param
  /** Null where something is missing: then `missing` tells of it. */
  readonly lowA: number | null
  readonly highA: number | null
  /** What it carries with as much rest as it takes. */
  readonly mostA: number | null
  readonly missing: Message | null
  readonly verdict: Verdict
  /** Room to the nearer end of what it carries, A; negative where it gives out. Null where unknown. */
  readonly spareA: number | null
}

export interface Chain {
  readonly jointId: string
  readonly wantedA: number
  /** What still makes the weld; no upper end where the part is too thick to burn through. */
  readonly windowA: { readonly low: number; readonly high: number | null }
  readonly links: readonly ChainLink[]
  readonly verdict: Verdict
  /** The link with least room: it gives out first. Null where a link is unknown and none fails. */
  readonly first: LinkId | null
  /** Its room, A: the one large figure. */
  readonly spareA: number | null
  /** How far that link lies outside the weld's window, A: below 0 too little, above 0 too much; null where it is inside. */
  readonly outsideA: number | null
  readonly told: Message
}

function judged(id: LinkId, kind: Param, detail: Param, carries: Carries, weld: WeldFigures): ChainLink {
  if (carries.missing !== null)
    return {
      id,
      kind,
      detail,
      lowA: null,
      highA: null,
      mostA: null,
      missing: carries.missing,
      verdict: 'unknown',
      spareA: null,
    }
  const { lowA, highA, mostA } = carries
  const { wantedA } = weld
  const spareA = Math.min(highA - wantedA, lowA > 0 ? wantedA - lowA : Number.POSITIVE_INFINITY)
  const verdict = verdictOfCurrent(weld, carries)
  return { id, kind, detail, lowA, highA, mostA, missing: null, verdict, spareA }
}

/** `Name, 240 V`; a set with an engine of its own says so. */
const sourceDetail = ({ powerSource, circuit }: Capability): Param =>
  list([powerSource?.name ?? '', circuit ? figure(circuit.voltageV, 'V') : word('supply', 'engine')])

function linksOf(capability: Capability, demand: Demand, weld: WeldFigures): readonly ChainLink[] {
  const { circuit, gun, process, wire, tungsten } = capability
  const electrode = process.electrode === 'tungsten' ? tungsten : wire
  const onCircuit = circuitCarries(capability, demand, weld)
  const link = (id: LinkId, kind: string, detail: Param, carries: Carries): ChainLink =>
    judged(id, word('link', kind), detail, carries, weld)
  return [
    ...(onCircuit ? [link('circuit', 'circuit', circuit?.name ?? '', onCircuit)] : []),
    link('source', 'source', sourceDetail(capability), sourceCarries(capability, demand)),
    link('gun', gun?.kind ?? HOLDER[process.electrode], gun?.name ?? '', gunCarries(capability, demand)),
    link(
      'electrode',
      process.electrode,
      electrode?.name ?? word('supply', 'none'),
      electrodeCarries(capability),
    ),
  ]
}

/** A range of wire or tungsten is a preference; an output is not. */
const lowEndCode = (id: LinkId, verdict: Verdict): string =>
  verdict === 'fails' ? 'too-high' : id === 'electrode' ? 'below-usual' : 'rather-high'

function toldOf(
  demand: Demand,
  { wantedA, lowA: leastA }: WeldFigures,
  first: ChainLink | undefined,
  missing: ChainLink | undefined,
): Message {
  const wanted = figure(wantedA, 'A')
  if (missing?.missing && first?.verdict !== 'fails') {
    const { kind, missing: what } = missing
    return message('not-known', { wanted, kind, missing: what })
  }
  if (!first || first.highA === null || first.lowA === null) return message('wants', { wanted })
  const { kind, detail, lowA, highA, id, verdict } = first
  const low = figure(lowA, 'A')
  const least = figure(leastA, 'A')
  const params = {
    wanted,
    kind,
    detail,
    low,
    high: figure(highA, 'A'),
    least,
    most: figure(first.mostA ?? highA, 'A'),
  }
  const withDuty = demand.dutyPct !== null && id !== 'electrode'
  const duty = withDuty ? { duty: figure(demand.dutyPct ?? 0, '%') } : {}
  if (first.spareA !== null && first.spareA < 0) {
    if (wantedA < lowA) return message(lowEndCode(id, verdict), params)
    if (verdict === 'tight') return message(highA < leastA ? 'paces' : 'cooler', { ...params, ...duty })
    return message(withDuty ? 'gives-out-at-duty' : 'gives-out', { ...params, ...duty })
  }
  return wantedA - lowA < highA - wantedA && lowA > 0
    ? message('near-low-end', params)
    : message(withDuty ? 'would-give-out-at-duty' : 'would-give-out', { ...params, ...duty })
}

/** @returns how far a failing link lies outside what still makes the weld, A */
function outsideOf({ lowA, mostA, verdict }: ChainLink, weld: WeldFigures): number | null {
  if (verdict !== 'fails' || mostA === null || lowA === null) return null
  return mostA < weld.lowA ? mostA - weld.lowA : lowA - (weld.highA ?? weld.wantedA)
}

/** What fails gives out before what only sets the pace; among equals the one with less room. */
const isWorse = (link: ChainLink, than: ChainLink): boolean =>
  VERDICT_RANK[link.verdict] === VERDICT_RANK[than.verdict]
    ? (link.spareA ?? 0) < (than.spareA ?? 0)
    : VERDICT_RANK[link.verdict] > VERDICT_RANK[than.verdict]

/**
 * @returns the links in the order in which the amps pass them, and which has least room
 * @example chainFor(capability, demand, weld).first // 'circuit': it gives out first
 */
export function chainFor(capability: Capability, demand: Demand, weld: WeldFigures): Chain {
  const { wantedA } = weld
  const links = linksOf(capability, demand, weld)
  const first = links
    .filter((link) => link.spareA !== null)
    .reduce<ChainLink | undefined>(
      (least, link) => (!least || isWorse(link, least) ? link : least),
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
    outsideA: decided ? outsideOf(first, weld) : null,
    told: toldOf(demand, weld, first, missing),
  }
}
