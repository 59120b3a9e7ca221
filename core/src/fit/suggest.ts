/** What would mend it: every change that the shelf and the job allow, tried for real and ranked. */
import type { SetUp } from '../model/equipment.ts'
import { type Patch, type Verdict, VERDICT_RANK } from '../model/finding.ts'
import type { Job } from '../model/job.ts'
import type { Shelf } from '../model/shelf.ts'
import type { Shop } from '../model/shop.ts'
import { printValue } from '../quantity/printValue.ts'
import { PROCESSES } from '../reference/processes.ts'
import { inPasses } from '../trade/inPasses.ts'
import { assemblyOf, chosenOf } from '../assembly/assembly.ts'
import { fitOut } from '../assembly/fitOut.ts'
import { slotWords } from '../assembly/slots.ts'
import { partsOf } from './document.ts'
import { type Fit, fitJob } from './fit.ts'
import { applyPatch } from './patch.ts'

export interface Suggestion {
  readonly says: string
  readonly patch: Patch
  /** The worst verdict with the change made. */
  readonly verdict: Verdict
  /** How many checks are then short. */
  readonly shortCount: number
  /** Room of the chain's weakest link then, A. */
  readonly spareA: number | null
}

export interface Entered {
  readonly shop: Shop
  readonly shelf: Shelf
  readonly setUps: readonly SetUp[]
  readonly job: Job
  readonly setUp: SetUp
}

interface Candidate {
  readonly says: string
  readonly patch: Patch
}

const MOST_PASSES_MORE = 3

function candidates({ shelf, setUps, setUp, job, shop }: Entered, fit: Fit): Candidate[] {
  const process = PROCESSES[setUp.process]
  const others = <T extends { id: string }>(list: readonly T[], now: string | null) =>
    list.filter(({ id }) => id !== now)
  const onSetUp = (says: string, change: Extract<Patch, { on: 'set-up' }>['change']): Candidate => ({
    says,
    patch: { on: 'set-up', change },
  })
  const wires = others(shelf.wires, setUp.wireId).filter(
    (wire) => (wire.form === 'rod') !== process.feedsWire,
  )
  const joint = job.joints.find(({ id }) => id === fit.governingJointId)
  const passesNow = joint?.passes ?? 1
  const morePasses = Array.from({ length: MOST_PASSES_MORE }, (_, index) => passesNow + index + 1)
  return [
    ...others(shelf.circuits, setUp.circuitId).map((c) => onSetUp(c.name, { circuitId: c.id })),
    ...wires.map((w) => onSetUp(w.name, { wireId: w.id })),
    ...others(shelf.gases, setUp.gasId).map((g) => onSetUp(g.name, { gasId: g.id })),
    ...others(shelf.guns, setUp.gunId).map((g) => onSetUp(g.name, { gunId: g.id })),
    ...(process.family === 'gtaw'
      ? others(shelf.tungstens, setUp.tungstenId).map((t) => onSetUp(t.name, { tungstenId: t.id }))
      : []),
    ...fit.findings.flatMap(({ mends }) =>
      mends.flatMap(({ says, patch, measure }) =>
        patch
          ? [
              {
                says: measure ? `${says} ${printValue(measure.value, measure.unit, shop.unitSystem)}` : says,
                patch,
              },
            ]
          : [],
      ),
    ),
    ...(joint
      ? morePasses.map((passes): Candidate => ({
          says: inPasses(joint, passes),
          patch: { on: 'joint', jointId: joint.id, change: { passes } },
        }))
      : []),
    ...others(setUps, setUp.id).map((s): Candidate => ({
      says: `Set-up: ${s.name}`,
      patch: { on: 'job-set-up', setUpId: s.id },
    })),
  ]
}

/** Parts that others have to go with. */
const LEADING = ['powerSourceId', 'gunId', 'wireId', 'gasId', 'tungstenId'] as const

/** Rolls, liner, tip and the like follow a change of gun, wire or source: nobody changes the wire and keeps the rolls. */
function withItsParts({ shop, shelf, setUp }: Entered, { says, patch }: Candidate): Candidate {
  if (patch.on !== 'set-up' || !LEADING.some((key) => key in patch.change)) return { says, patch }
  const then = { ...setUp, ...patch.change }
  const { change, changed } = fitOut(assemblyOf(shop, then, chosenOf(then, shelf), null), shelf)
  if (changed.length === 0) return { says, patch }
  const process = PROCESSES[then.process]
  const parts = changed.map((slot) => slotWords(slot, process)).join(', ')
  return {
    says: `${says}, with its ${parts}`,
    patch: { on: 'set-up', change: { ...patch.change, ...change } },
  }
}

const shortChecksOf = (fit: Fit): string[] =>
  fit.findings.filter(({ verdict }) => verdict === 'short').map(({ check }) => check)
const unknownsOf = (fit: Fit): number => fit.findings.filter(({ verdict }) => verdict === 'unknown').length
const chainOf = (fit: Fit) => fit.chains.find(({ jointId }) => jointId === fit.governingJointId)

/**
 * @param fit what holds now
 * @param most how many to answer
 * @returns changes that leave fewer checks short (and none more unknown), best first; none where nothing is short
 */
export function suggest(entered: Entered, fit: Fit, most = 4): readonly Suggestion[] {
  const shortNow = shortChecksOf(fit)
  if (shortNow.length === 0) return []
  const seen = new Set<string>()
  const tried: (Suggestion & { order: number })[] = []
  candidates(entered, fit).forEach(({ says, patch }, order) => {
    const key = JSON.stringify(patch)
    if (seen.has(key)) return
    seen.add(key)
    const whole = withItsParts(entered, { says, patch })
    const { job, setUp } = applyPatch(entered, whole.patch, entered.setUps)
    const answer = partsOf(setUp, entered.shelf)
    if (!answer.ok) return
    const then = fitJob({ shop: entered.shop, job, setUp, ...answer.parts }, { mends: false })
    const shortThen = shortChecksOf(then)
    const shortCount = shortThen.length
    if (shortCount >= shortNow.length || unknownsOf(then) > unknownsOf(fit)) return
    // What mends one thing must not break another.
    if (shortThen.some((check) => !shortNow.includes(check))) return
    tried.push({
      says: whole.says,
      patch: whole.patch,
      verdict: then.verdict,
      shortCount,
      spareA: chainOf(then)?.spareA ?? null,
      order,
    })
  })
  // Fewest short, then best verdict; among equals the smaller change, which stands earlier in the list.
  tried.sort(
    (a, b) =>
      a.shortCount - b.shortCount || VERDICT_RANK[a.verdict] - VERDICT_RANK[b.verdict] || a.order - b.order,
  )
  return tried.slice(0, most).map(({ says, patch, verdict, shortCount, spareA }) => ({
    says,
    patch,
    verdict,
    shortCount,
    spareA,
  }))
}
