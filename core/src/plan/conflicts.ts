/** What stands in the way of a plan, where it stands: lateness, pins that cannot hold, what runs out, what is lacking. */
import type { Lasts } from '../card/lasts.ts'
import type { FitInput } from '../fit/fit.ts'
import { inStock, stockId } from '../kinds/counts.ts'
import type { StockItem } from '../kinds/index.ts'
import { takesOf, type StoredKind } from '../stores/takes.ts'
import type { WeekBlock } from './build.ts'
import { hoursOf } from './hours.ts'
import type { Interval } from './problem.ts'
import { minuteOf } from './shopTime.ts'
import type { Ways } from './ways.ts'
import type { PlannedBlock } from '../kinds/workPlan.ts'

interface OfBlock {
  readonly blockId: string
  readonly jobId: string
  readonly jobName: string
  readonly setUpId: string
}
export type Conflict = OfBlock &
  (
    | { readonly kind: 'late'; readonly byMin: number }
    /** Nobody has hours for it. */
    | { readonly kind: 'never' }
    | { readonly kind: 'pin-late'; readonly byMin: number; readonly because: string | null }
    | {
        readonly kind: 'runs-out'
        readonly item: { readonly kind: StoredKind; readonly id: string; readonly name: string }
        readonly ends: Lasts
        /** About when, on the shop's clock. */
        readonly atMin: number
        readonly packs: number
        readonly price: number | null
        /** Other set-ups that do the job without this wire or gas, by name. */
        readonly otherSetUps: readonly string[]
      }
    | { readonly kind: 'no-torch' }
  )

/** A pin that holds by less is no conflict. */
const PIN_SLACK_MIN = 1
const SLACK = 1e-6
const HUNDRED = 100

export interface ConflictQuestion {
  readonly ways: Ways
  readonly kept: readonly PlannedBlock[]
  /** The question of a fit; null where its parts are not there. */
  readonly inputFor: (jobId: string, setUpId: string) => FitInput | null
  readonly stock: readonly StockItem[]
  readonly nowMin: number
  /** Hours of each welder, by his name. */
  readonly works: ReadonlyMap<string, readonly Interval[]>
}

const ofBlock = ({ id, jobId, jobName, setUpId }: WeekBlock): OfBlock => ({
  blockId: id,
  jobId,
  jobName,
  setUpId,
})

/** When so much of a block is done, by the hours of its welder. */
function minuteAt(
  { startMin, endMin, welderName }: WeekBlock,
  share: number,
  works: ConflictQuestion['works'],
): number {
  const hours = hoursOf(works.get(welderName) ?? [{ startMin, endMin }])
  return hours.end(hours.next(startMin), (hours.worked(endMin) - hours.worked(startMin)) * share)
}

/** What ends at which block, when everything is drawn in the order of the plan; with what all of it lacks. */
function runningOut(
  blocks: readonly WeekBlock[],
  { ways, inputFor, stock, works }: ConflictQuestion,
): readonly Conflict[] {
  const left = new Map<string, number>()
  const ending = new Map<string, Extract<Conflict, { readonly kind: 'runs-out' }>>()
  for (const block of blocks) {
    const input = inputFor(block.jobId, block.setUpId)
    if (!input) continue
    for (const take of takesOf(input)) {
      const id = stockId(take.kind, take.itemId)
      const before = left.get(id) ?? inStock(stock, take.kind, take.itemId)
      if (before === null) continue
      const amount = (take.amount * block.sharePct) / HUNDRED
      const after = before - amount
      left.set(id, after)
      if (after >= -SLACK) continue
      const key = take.kind === 'wire' ? 'wireId' : take.kind === 'gas' ? 'gasId' : 'tungstenId'
      const { ways: all } = ways.ofJob(input.job)
      const first = ending.get(id) ?? {
        ...ofBlock(block),
        kind: 'runs-out' as const,
        item: { kind: take.kind, id: take.itemId, name: take.name },
        ends: take.endsWith(Math.max(0, before)),
        atMin: minuteAt(block, Math.max(0, before) / amount, works),
        packs: 0,
        price: take.packPrice,
        otherSetUps: all.flatMap(({ setUp }) => (setUp[key] === take.itemId ? [] : [setUp.name])),
      }
      // What later jobs lack comes in the same order.
      ending.set(id, { ...first, packs: Math.ceil(-after / take.packSize - SLACK) })
    }
  }
  return [...ending.values()]
}

/** @returns by block in the order of the plan, the gravest first */
export function conflictsOf(blocks: readonly WeekBlock[], question: ConflictQuestion): readonly Conflict[] {
  const { kept, ways } = question
  const own = blocks.flatMap((block): readonly Conflict[] => {
    const found: Conflict[] = []
    if (!Number.isFinite(block.endMin)) return [{ ...ofBlock(block), kind: 'never' }]
    if (block.isPinned && block.work === null) {
      const pin = kept.find(
        (one) => one.jobId === block.jobId && one.run === block.run && one.part === block.part,
      )
      const wantedMin = pin ? Math.max(minuteOf(pin.startsAt), question.nowMin) : block.startMin
      const byMin = block.startMin - wantedMin
      const inTheWay = blocks.find(
        (one) =>
          one !== block &&
          (one.sourceId === block.sourceId || one.welderName === block.welderName) &&
          one.startMin <= wantedMin &&
          one.endMin > wantedMin,
      )
      if (byMin > PIN_SLACK_MIN && inTheWay)
        found.push({ ...ofBlock(block), kind: 'pin-late', byMin, because: inTheWay.jobName })
    }
    if (block.lateMin > 0) found.push({ ...ofBlock(block), kind: 'late', byMin: block.lateMin })
    const { job } = question.inputFor(block.jobId, block.setUpId) ?? {}
    if (job && job.preheatC !== null && ways.assumptions.preheatTorches === 0)
      found.push({ ...ofBlock(block), kind: 'no-torch' })
    return found
  })
  return [...own, ...runningOut(blocks, question)]
}
