/** The supply of the shop as it is drawn, with everybody who may weld at the same time: what carries it, and what does not. */
import { computed, dataPlate } from '../basis/source.ts'
import { calculation, input, listOf } from '../calculation/calculation.ts'
import { type Reckoner, TracingReckoner, UNTRACED } from '../calculation/reckoner.ts'
import type { Step } from '../calculation/step.ts'
import { ALL_RULE_BOOKS } from '../supply/index.ts'
import { ampacityA, ampacityReading } from '../supply/readings.ts'
import { capabilityOf } from '../capability/capability.ts'
import { chosenOf } from '../capability/slots.ts'
import { verdictAlone } from '../criteria/verdictAlone.ts'
import { demandOf } from '../demand/demand.ts'
import type { Job } from '../kinds/job.ts'
import type { SetUp } from '../kinds/equipment.ts'
import type { Shelf } from '../kinds/shelf.ts'
import type { Shop } from '../kinds/shop.ts'
import { type Verdict, VERDICT_RANK, worstVerdict } from '../model/verdict.ts'
import { isEngineDriven } from '../kinds/engineDriven.ts'
import { heldThrough, type HowLong, type NodeCurve, type NodeShift, shiftOf } from './shift.ts'
import { type AtWork, type LeftOut, type Node, type Together, togetherOf } from './together.ts'

/** What the rule book asks of a cable for all that hangs on it, A. */
export interface GroupRule {
  readonly askedA: number
  readonly carriesA: number
  readonly source: string
}

export interface NodePower {
  readonly kind: Node['kind']
  readonly id: string
  readonly name: string
  readonly verdict: Verdict
  readonly heldA: number
  /** Names of what hangs on it. */
  readonly carries: readonly string[]
  /** Of the machines alone; null where none hangs on it, and for a cable that the rule book does not have. */
  readonly rule: GroupRule | null
  readonly shift: NodeShift
  readonly curve: NodeCurve
}

/** Whether two may weld at the same time. */
export interface Pair {
  readonly a: string
  readonly b: string
  /** Null where nothing carries both. */
  readonly verdict: Verdict | null
  /** What gives out, or comes nearest to it. */
  readonly at: string | null
}

export interface ShopPower {
  readonly machines: readonly { readonly id: string; readonly name: string }[]
  readonly leftOut: readonly LeftOut[]
  /** From the generators and services down to the circuits. */
  readonly nodes: readonly NodePower[]
  readonly hours: number
  readonly runs: number
  readonly verdict: Verdict
}

/** Above this chance of a trip in a shift nobody calls it holding. */
const SELDOM = 0.05

const groupAsked = calculation({
  id: 'group-asked',
  title: 'Cable load of everything on it',
  symbol: 'I_all',
  unit: 'A',
  expression: 'I_m + sum(I_o)',
  inputs: {
    I_m: {
      ...input('machines, by code', 'A', computed('rule book')),
      from: ALL_RULE_BOOKS.flatMap((book) => book.from['conductor-rule']?.demand.map(({ id }) => id) ?? []),
    },
    I_o: listOf('each other load, running', 'A', dataPlate('other load')),
  },
  compute: ({ I_m, I_o }) => I_o.reduce((sum, one) => sum + one, I_m),
  source: computed('the rule book has a share for welders; the others are counted whole'),
})

function ruleOf({ drawers, rules }: Together, { run, carries }: Node, reckoner: Reckoner): GroupRule | null {
  const machines = carries.flatMap(({ drawer }) => drawers[drawer]?.machine ?? [])
  const ampacity = run && rules.ampacity(run)
  if (machines.length === 0 || !run || !ampacity) return null
  const asked = rules.conductorA(machines, reckoner)
  const others = carries.flatMap(({ drawer }) => {
    const one = drawers[drawer]
    return one && one.machine === null ? [Math.max(0, ...one.beats.map(({ onA }) => onA))] : []
  })
  return {
    askedA: reckoner.compute(groupAsked, { I_m: asked.value, I_o: others.length === 0 ? [0] : others }),
    carriesA: ampacityA(run.conductorSize, ampacity, reckoner),
    source: asked.source.text,
  }
}

/**
 * @returns the steps of what the rule asks of one cable for all that hangs on it, and of what it carries
 * @example explainGroup(shop, shelf, atWork, 'panel', 'shop-panel').at(-1)?.result.symbol // 'A_c'
 */
export function explainGroup(
  shop: Shop,
  shelf: Shelf,
  atWork: readonly AtWork[],
  kind: NodePower['kind'],
  id: string,
): readonly Step[] {
  const together = togetherOf(shop, shelf, atWork)
  const node = together.nodes.find((one) => one.kind === kind && one.id === id)
  if (!node) return []
  const tracer = new TracingReckoner(together.assumptions)
  ruleOf(together, node, tracer)
  return tracer.stepsOf([
    { calculations: [groupAsked.id], value: null },
    { calculations: [ampacityReading.id], value: null },
  ])
}

function verdictOf(
  { aboveShare, trips }: Pick<NodeShift, 'aboveShare' | 'trips'>,
  rule: GroupRule | null,
): Verdict {
  const isOverRule = rule !== null && rule.askedA > rule.carriesA * (1 + 1e-9)
  if (trips === null) return aboveShare > SELDOM ? 'fails' : aboveShare > 0 ? 'tight' : 'fits'
  const { early, nominal } = trips
  if (isOverRule || nominal.times > SELDOM * nominal.of) return 'fails'
  return early.times > 0 ? 'tight' : 'fits'
}

/** A node with only these at work. */
const only = (node: Node, which: ReadonlySet<number>): Node => ({
  ...node,
  carries: node.carries.filter(({ drawer }) => which.has(drawer)),
})

/** Shifts that are tried for each pair: it is told apart whether it holds, not how often it goes. */
const PAIR_RUNS = 8

/**
 * One machine with each of those after it, in the order of `ShopPower.machines`: looked at where somebody asks, for there are
 * many pairs and each takes shifts of its own.
 * @param id of the machine
 * @returns each pair once over all machines
 * @example pairsOf(shop, shelf, atWork, 'north-wall-wire', { hours: 8, runs: 40, seed: 1 })[0]?.verdict // 'fits'
 */
export function pairsOf(
  shop: Shop,
  shelf: Shelf,
  atWork: readonly AtWork[],
  id: string,
  howLong: Omit<HowLong, 'runs'>,
): readonly Pair[] {
  const together = togetherOf(shop, shelf, atWork)
  const { drawers, nodes } = together
  const machines = drawers.flatMap(({ machine }, index) => (machine === null ? [] : [index]))
  const loads = drawers.flatMap(({ machine }, index) => (machine === null ? [index] : []))
  const place = machines.findIndex((index) => drawers[index]?.id === id)
  const a = machines[place]
  if (a === undefined) return []
  const others = machines.slice(place + 1)
  // Everybody's shift is laid out once, whoever else is looked at beside him.
  const shared = others.flatMap((b) =>
    nodes
      .filter(({ carries }) => [a, b].every((one) => carries.some(({ drawer }) => drawer === one)))
      .map((node) => ({ ...only(node, new Set([a, b, ...loads])), b })),
  )
  const held = heldThrough({ ...together, nodes: shared }, { ...howLong, runs: PAIR_RUNS })
  return others.map((b): Pair => {
    const pair = { a: id, b: drawers[b]?.id ?? '' }
    const found = held
      .filter(({ node }) => node.b === b)
      .map((one) => ({
        name: one.node.name,
        verdict: verdictOf(one, ruleOf(together, one.node, UNTRACED)),
      }))
    const verdict = worstVerdict(found.map((one) => one.verdict))
    const worst = found.find((one) => one.verdict === verdict)
    return worst ? { ...pair, verdict, at: worst.name } : { ...pair, verdict: null, at: null }
  })
}

/**
 * @param atWork who may weld at the same time
 * @returns the same for the same seed
 * @example shopPowerOf(shop, shelf, [{ job, setUp }], { hours: 8, runs: 40, seed: 1 }).nodes[0]?.verdict
 */
export function shopPowerOf(
  shop: Shop,
  shelf: Shelf,
  atWork: readonly AtWork[],
  howLong: HowLong,
): ShopPower {
  const together = togetherOf(shop, shelf, atWork)
  const { drawers, leftOut } = together
  const nodes = shiftOf(together, howLong).map(({ node, shift, curve }): NodePower => {
    const { kind, id, name, heldA, carries } = node
    const rule = ruleOf(together, node, UNTRACED)
    return {
      kind,
      id,
      name,
      heldA,
      rule,
      verdict: verdictOf(shift, rule),
      carries: carries.map(({ drawer }) => drawers[drawer]?.name ?? ''),
      shift,
      curve,
    }
  })
  return {
    machines: drawers.flatMap(({ id, name, machine }) => (machine === null ? [] : [{ id, name }])),
    leftOut,
    nodes,
    hours: howLong.hours,
    runs: howLong.runs,
    verdict: worstVerdict(nodes.map(({ verdict }) => verdict)),
  }
}

/** So many hands a shop has at once, at most; whoever has more says who they are. */
const MOST_LIKELY = 10
/** Jobs and set-ups that are tried for a machine that none is planned for. */
const MOST_TRIED = 12

/** The planned job that a machine does best, with any of its set-ups. */
function bestOf(shop: Shop, shelf: Shelf, own: readonly SetUp[], planned: readonly Job[]): readonly AtWork[] {
  let best: readonly AtWork[] = []
  let least: number = VERDICT_RANK.fails
  for (const setUp of own) {
    const chosen = chosenOf(setUp, shelf)
    const capability = capabilityOf(shop, setUp, chosen)
    for (const job of planned) {
      const demand = demandOf(job, setUp.process, chosen.wire, shop)
      const rank = VERDICT_RANK[verdictAlone(capability, demand)]
      if (rank >= least) continue
      least = rank
      best = [{ job, setUp }]
    }
  }
  return best
}

/**
 * @returns who is likely to weld together: each machine of the shop once, at a job that is planned for it; the others at the
 * job that they do best, up to ten in all
 * @example likelyTogether(setUps, jobs, shop, shelf).length // as many as there are machines with a set-up
 */
export function likelyTogether(
  setUps: readonly SetUp[],
  jobs: readonly Job[],
  shop: Shop,
  shelf: Shelf,
): readonly AtWork[] {
  const planned = jobs.filter(({ state, joints }) => state === 'planned' && joints.length > 0)
  const machines = shelf.powerSources.filter((source) => source.held === 'owned' && !isEngineDriven(source))
  const likely = machines.flatMap(({ id }): readonly AtWork[] => {
    const own = setUps.filter(({ powerSourceId }) => powerSourceId === id)
    for (const job of planned) {
      const setUp = own.find((one) => one.id === job.setUpId)
      if (setUp) return [{ job, setUp }]
    }
    return []
  })
  const busy = new Set(likely.map(({ setUp }) => setUp.powerSourceId))
  for (const { id } of machines) {
    if (likely.length >= MOST_LIKELY) break
    if (busy.has(id)) continue
    const own = setUps.filter(({ powerSourceId }) => powerSourceId === id)
    likely.push(...bestOf(shop, shelf, own.slice(0, MOST_TRIED), planned.slice(0, MOST_TRIED)))
  }
  return likely.slice(0, MOST_LIKELY)
}
