/** How the numbers of a criterion or of a link were worked out: the same calculations once more, keeping the steps. */
import { TracingReckoner, type Wanted } from '../calculation/reckoner.ts'
import type { Step } from '../calculation/step.ts'
import type { Capability } from '../capability/capability.ts'
import { type Demand, traceDemand } from '../demand/demand.ts'
import { metalCalculations, type WeldFigures } from '../demand/weldFigures.ts'
import type { PassKind } from '../trade/layers.ts'
import { passesWanted } from '../trade/passes.ts'
import { leastWindowCurrent, burnThrough, mostWindowCurrent, wantedCurrent } from '../trade/wantedCurrent.ts'
import {
  circuitCarries,
  electrodeCarries,
  gunCarries,
  LINK_FROM,
  type LinkId,
  sourceCarries,
} from './carries.ts'
import { roomAbove, roomBelow, roomLeft } from './criterion.ts'
import { criterionOf } from './index.ts'

const ids = (calculations: readonly { readonly id: string }[] = []): readonly string[] =>
  calculations.map(({ id }) => id)
const latest = (calculations: readonly { readonly id: string }[] = []): Wanted[] =>
  calculations.map(({ id }) => ({ calculations: [id], value: null }))

function tracerFor(
  capability: Capability,
  demand: Demand | null,
  weldId: string | null,
  pass: PassKind | null = null,
): TracingReckoner {
  const tracer = new TracingReckoner(capability.assumptions)
  if (demand) traceDemand(demand, weldId, tracer, pass ?? 'fill')
  return tracer
}

/**
 * @returns the steps that end in the demand, the capacity and the margin of a criterion; empty where nothing is
 *   reckoned, or where it does not apply
 * @throws RangeError for an id that no criterion has
 * @example explain('source-duty', capability, demand).at(-1)?.symbol // 'X'
 */
export function explain(criterionId: string, capability: Capability, demand: Demand | null): readonly Step[] {
  const criterion = criterionOf(criterionId)
  const assessment = criterion.assess(capability, demand)
  if (!assessment) return []
  const tracer = tracerFor(capability, demand, assessment.weldId, assessment.pass)
  criterion.assess(capability.reckonedBy(tracer), demand)
  return tracer.stepsOf([
    { calculations: ids(criterion.demandFrom), value: assessment.demand },
    { calculations: ids(criterion.capacityFrom), value: assessment.capacity },
    ...latest(criterion.alsoFrom),
    { calculations: ids([roomAbove, roomBelow]), value: assessment.marginPct },
    ...latest([roomLeft]),
  ])
}

/**
 * @returns the steps that end in what one link of the chain carries for a weld
 * @example explainLink('circuit', capability, demand, demand.hungriest) // the steps to its amps
 */
export function explainLink(
  link: LinkId,
  capability: Capability,
  demand: Demand,
  weld: WeldFigures,
): readonly Step[] {
  const tracer = tracerFor(capability, demand, weld.joint.id)
  const traced = capability.reckonedBy(tracer)
  if (link === 'circuit') circuitCarries(traced, demand, weld)
  else if (link === 'source') sourceCarries(traced, demand)
  else if (link === 'gun') gunCarries(traced, demand)
  else electrodeCarries(traced)
  return tracer.stepsOf(latest(LINK_FROM[link]))
}

/** What can be asked of one weld line. */
export const WELD_FIGURES = ['wanted', 'passes', 'metal', 'arc'] as const
export type WeldFigure = (typeof WELD_FIGURES)[number]

/**
 * @returns the steps that end in one figure of a weld
 * @example explainWeld('wanted', demand, demand.hungriest) // the steps to what the weld wants
 */
export function explainWeld(figure: WeldFigure, demand: Demand, weld: WeldFigures): readonly Step[] {
  const tracer = new TracingReckoner(demand.assumptions)
  traceDemand(demand, weld.joint.id, tracer)
  const wanted: Readonly<Record<WeldFigure, readonly Wanted[]>> = {
    wanted: [
      { calculations: ids([wantedCurrent]), value: weld.wantedA },
      { calculations: ids([leastWindowCurrent]), value: weld.lowA },
      ...(weld.highA === null
        ? latest([burnThrough])
        : [{ calculations: ids([mostWindowCurrent]), value: weld.highA }]),
    ],
    passes: [{ calculations: passesWanted.from, value: weld.passes }],
    metal: [{ calculations: metalCalculations.metal, value: weld.metalG }],
    arc: [{ calculations: metalCalculations.arc, value: weld.arcS }],
  }
  return tracer.stepsOf(wanted[figure])
}
