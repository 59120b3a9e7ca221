/** Whether the wire or the tungsten runs well at every joint's current: neither starved nor overloaded. */
import { electrodeRange } from '../fit/electrodeRange.ts'
import { electrodeLink } from '../fit/links.ts'
import type { Mend } from '../model/finding.ts'
import { tungstenDiametersFor } from '../reference/tungstenRanges.ts'
import { wireDiametersFor } from '../reference/wireRanges.ts'
import type { FitContext } from '../fit/context.ts'
import { type Check, judge, unknownFinding } from './check.ts'
import { rangeMargin } from './rangeMargin.ts'

/** The size that runs at every joint of the job: of the same kind, on the shelf or not. */
function otherSizes({ process, wire, joints }: FitContext): Mend[] {
  const wanted = joints.map((figures) => figures.wanted.value)
  const leastA = Math.min(...wanted)
  const mostA = Math.max(...wanted)
  const sizes =
    wire && process.feedsWire
      ? wireDiametersFor(wire, leastA, mostA)
      : tungstenDiametersFor(process.id === 'gtaw-ac' ? 'ac' : 'dcen', leastA, mostA)
  return sizes
    .slice(0, 1)
    .map((value) => ({ says: 'A diameter that runs there:', measure: { value, unit: 'mm diameter' } }))
}

export const electrode: Check = (context) => {
  const answer = electrodeRange(context)
  const name = { check: 'electrode', title: `${answer.title} current` }
  if (answer.missing !== null) return unknownFinding(name, answer.missing)
  const { minA, maxA, source } = answer.range
  const { figures, margin } = rangeMargin(context, minA, maxA)
  return judge(context, name, {
    jointId: figures.joint.id,
    demand: { value: figures.wanted.value, unit: 'A' },
    capacity: { value: maxA, unit: 'A', lowValue: minA },
    margin,
    // A published range is the maker's or the standard's own margin: its ends may be used.
    wantsMargin: false,
    restsOn:
      source.kind === 'standard'
        ? 'AWS A5.12'
        : source.kind === 'data-plate'
          ? 'wire data'
          : 'common practice',
    wants: 'The joint wants',
    gives: `${answer.detail} runs`,
    working: [...figures.wanted.steps, ...electrodeLink(context).working],
    mends: () => otherSizes(context),
  })
}
