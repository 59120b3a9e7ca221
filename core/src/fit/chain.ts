/** The chain for one joint: what each link carries beside what the joint wants, and which link gives out first. */
import { marginPct, type Verdict, verdictOfMargin, worstVerdict } from '../model/finding.ts'
import type { Step } from '../model/working.ts'
import { printValue } from '../quantity/printValue.ts'
import type { FitContext } from './context.ts'
import type { JointFigures } from './jointFigures.ts'
import { type Link, type LinkId, linksFor } from './links.ts'

export interface ChainLink extends Link {
  readonly verdict: Verdict
  /** Room to the nearer end of what it carries, A; negative where it gives out. null where unknown. */
  readonly spareA: number | null
}

export interface Chain {
  readonly jointId: string
  readonly wantedA: number
  readonly windowA: { readonly low: number; readonly high: number }
  readonly wantedWorking: readonly Step[]
  readonly links: readonly ChainLink[]
  readonly verdict: Verdict
  /** The link with least room: it gives out first. null where a link is unknown and none is short. */
  readonly first: LinkId | null
  /** Its room, A: the one large figure. */
  readonly spareA: number | null
  readonly says: string
}

function judged(context: FitContext, link: Link, wantedA: number): ChainLink {
  if (link.highA === null || link.lowA === null) return { ...link, verdict: 'unknown', spareA: null }
  const spareA = Math.min(link.highA - wantedA, link.lowA > 0 ? wantedA - link.lowA : Infinity)
  const margin = Math.min(marginPct(link.highA, wantedA), marginPct(wantedA, link.lowA))
  // A published range of a wire or a tungsten may be used to its ends; ratings keep the shop's margin.
  const safety = link.id === 'electrode' ? 0 : context.assume.value('safetyMarginPct')
  return { ...link, spareA, verdict: verdictOfMargin(margin, safety) }
}

function sentence(
  context: FitContext,
  wantedA: number,
  first: ChainLink | undefined,
  unknown: ChainLink | undefined,
): string {
  const amps = (value: number) => printValue(value, 'A', 'metric')
  if (unknown && first?.verdict !== 'short') {
    return `The joint wants ${amps(wantedA)}. ${unknown.title}: ${unknown.missing ?? 'not known'}.`
  }
  if (!first || first.highA === null || first.lowA === null) return `The joint wants ${amps(wantedA)}.`
  const name = first.title.toLowerCase()
  const duty =
    context.duty && first.id !== 'electrode'
      ? ` at the job’s ${printValue(context.duty.value, '%', 'metric')} duty`
      : ''
  if (first.spareA !== null && first.spareA < 0) {
    return wantedA < first.lowA
      ? `The ${name} cannot go low enough. The joint wants ${amps(wantedA)}; ${first.detail} starts at ${amps(first.lowA)}.`
      : `The ${name} gives out first. The joint wants ${amps(wantedA)}; ${first.detail} sustains ${amps(first.highA)}${duty}.`
  }
  return wantedA - first.lowA < first.highA - wantedA && first.lowA > 0
    ? `The joint wants ${amps(wantedA)}. The ${name} is nearest its low end, ${amps(first.lowA)}.`
    : `The joint wants ${amps(wantedA)}. The ${name} would give out first, at ${amps(first.highA)}${duty}.`
}

export function chainFor(context: FitContext, figures: JointFigures): Chain {
  const wantedA = figures.wanted.value
  const links = linksFor(context, figures).map((link) => judged(context, link, wantedA))
  const known = links.filter((link) => link.spareA !== null)
  const first = known.reduce<ChainLink | undefined>(
    (least, link) => (!least || (link.spareA ?? 0) < (least.spareA ?? 0) ? link : least),
    undefined,
  )
  const unknown = links.find((link) => link.verdict === 'unknown')
  const decided = first !== undefined && (first.verdict === 'short' || !unknown)
  return {
    jointId: figures.joint.id,
    wantedA,
    windowA: figures.windowA,
    wantedWorking: figures.wanted.steps,
    links,
    verdict: worstVerdict(links.map((link) => link.verdict)),
    first: decided ? first.id : null,
    spareA: decided ? first.spareA : null,
    says: sentence(context, wantedA, first, unknown),
  }
}
