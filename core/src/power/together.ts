/** Who welds at the same time, and every breaker that carries them: circuits, the panels above, and generators. */
import { type Assumptions, assumptionsOf } from '../assumptions/assume.ts'
import { reckonerFor } from '../calculation/reckoner.ts'
import { type Capability, capabilityOf } from '../capability/capability.ts'
import { chosenOf } from '../capability/slots.ts'
import { machineLoads } from '../criteria/wiringRules.ts'
import { demandOf } from '../demand/demand.ts'
import type { Circuit, Generator, Panel, SetUp } from '../kinds/equipment.ts'
import type { Job } from '../kinds/job.ts'
import type { Shelf } from '../kinds/shelf.ts'
import type { Shop } from '../kinds/shop.ts'
import type { Beat } from '../supply/breaker/heat.ts'
import { type Tripping, trippingOf } from '../supply/breaker/overload.ts'
import { generatorRunningKva } from '../supply/generator.ts'
import { ruleBookOf } from '../supply/index.ts'
import { rootPhases } from '../supply/inputCurrent.ts'
import type { RuleBook, WelderDraw } from '../supply/ruleBook.ts'
import { generatorOf, panelsAbove } from '../supply/supplyOf.ts'
import { beatsOf } from './trips.ts'

/** One machine at one job. */
export interface AtWork {
  readonly job: Job
  readonly setUp: SetUp
}

/** What draws: a machine at its job, or another load. */
export interface Drawer {
  readonly id: string
  readonly name: string
  readonly circuit: Circuit
  readonly beats: readonly Beat[]
  /** Drawn for the first moment of every beat, A; 0 for what starts without a rush. */
  readonly startA: number
  /** As a rule book counts it; null for what is no welder. */
  readonly machine: WelderDraw | null
  /** Where it begins is chance: somewhere in its pattern. Null for what is on from the first second to the last. */
  readonly isSteady: boolean
}

/** Who cannot be reckoned with, and why. */
export interface LeftOut {
  readonly id: string
  readonly why: 'engine' | 'other-volts' | 'no-arc-time' | 'same-machine' | 'parts'
}

/** How what hangs on a node loads its lines. */
export type Wired =
  /** All lines alike. */
  | 'all'
  /** Between two lines, or on one against the neutral: which, by its turn in the panel. */
  | { readonly between: 0 | 1 | 2 }
  | { readonly on: 0 | 1 | 2 }

/** A breaker, or a generator, that carries several. */
export interface Node {
  readonly kind: 'circuit' | 'panel' | 'generator'
  readonly id: string
  readonly name: string
  readonly voltageV: number
  readonly phases: 1 | 3
  /** What it holds without end, A: of the breaker as warm as it is, of the generator by its running power. */
  readonly heldA: number
  /** Heat stores with the rating that their heat is counted in; null of a generator, which does not trip by heat. */
  readonly trips: Omit<Tripping, 'heldA'> | null
  readonly carries: readonly { readonly drawer: number; readonly wired: Wired }[]
  readonly run: Circuit | Panel | null
}

export interface Together {
  readonly drawers: readonly Drawer[]
  readonly leftOut: readonly LeftOut[]
  readonly nodes: readonly Node[]
  readonly rules: RuleBook
  readonly assumptions: Assumptions
}

const SAME_VOLTS = 0.1
const isSame = (a: number, b: number): boolean => Math.abs(a / b - 1) <= SAME_VOLTS

/**
 * A panel deals its single-phase circuits to its lines in turn, as they stand in it.
 * @param turn place of the circuit among the single-phase ones of this panel
 */
function wiredIn(panel: Panel, circuit: Circuit | Panel, turn: number): Wired {
  if (circuit.phases === 3) return 'all'
  const third = (turn % 3) as 0 | 1 | 2
  if (panel.phases === 3) return isSame(circuit.voltageV, panel.voltageV) ? { between: third } : { on: third }
  return isSame(circuit.voltageV, panel.voltageV) ? 'all' : { on: (turn % 2) as 0 | 1 }
}

/** The pattern that a load draws by: all day, or again and again. */
const MINUTE_S = 60
const DAY_S = 86_400

function loadDrawers(shelf: Shelf): readonly Drawer[] {
  return shelf.loads.flatMap((load): readonly Drawer[] => {
    const circuit = shelf.circuits.find(({ id }) => id === load.circuitId)
    if (!circuit) return []
    const isSteady = load.onMin === null || load.offMin === null
    const onS = load.onMin === null || isSteady ? DAY_S : load.onMin * MINUTE_S
    const offS = load.offMin === null || isSteady ? 0 : load.offMin * MINUTE_S
    return [
      {
        id: load.id,
        name: load.name,
        circuit,
        beats: [{ onS, offS, times: 1, onA: load.runningA, offA: 0 }],
        startA: load.startingA ?? 0,
        machine: null,
        isSteady,
      },
    ]
  })
}

type Found = { readonly drawer: Drawer } | { readonly why: LeftOut['why'] }

function machineAtWork(shop: Shop, shelf: Shelf, { job, setUp }: AtWork): Found {
  const chosen = chosenOf(setUp, shelf)
  const capability: Capability = capabilityOf(shop, setUp, chosen)
  if (capability.powerFeed?.kind === 'engine') return { why: 'engine' }
  const { circuit } = capability
  if (!circuit || !chosen.powerSource || !chosen.gun) return { why: 'parts' }
  const demand = demandOf(job, setUp.process, chosen.wire, shop)
  if (!capability.draw) return { why: 'other-volts' }
  const beats = beatsOf(capability, demand)
  if (!beats || beats.every(({ onS, times }) => onS * times === 0)) return { why: 'no-arc-time' }
  const [machine = null] = machineLoads(capability)
  const name = `${chosen.powerSource.name}, ${job.name}`
  return { drawer: { id: setUp.id, name, circuit, beats, startA: 0, machine, isSteady: false } }
}

interface Carrier {
  readonly kind: Node['kind']
  readonly run: Circuit | Panel
  readonly wired: Wired
}

/** Places of the single-phase runs of a panel, as they stand in it. */
const turnOf = (list: readonly (Circuit | Panel)[], run: Circuit | Panel): number =>
  list.filter(({ phases }) => phases === 1).indexOf(run)

/** Everything that a circuit's current flows through, from itself up. */
function wayOf(circuit: Circuit, shelf: Shelf): readonly Carrier[] {
  const way: Carrier[] = [{ kind: 'circuit', run: circuit, wired: 'all' }]
  let below: Circuit | Panel = circuit
  for (const panel of panelsAbove(circuit, shelf)) {
    const { wired } = way[way.length - 1] as Carrier
    const beside: readonly (Circuit | Panel)[] =
      below === circuit
        ? shelf.circuits.filter(({ panelId }) => panelId === panel.id)
        : shelf.panels.filter(({ fedFromId }) => fedFromId === panel.id)
    // Legs stay legs from panel to panel, unless the one above has more of them.
    const isDealt = below === circuit || below.phases !== panel.phases
    way.push({
      kind: 'panel',
      run: panel,
      wired: isDealt ? wiredIn(panel, below, turnOf(beside, below)) : wired,
    })
    below = panel
  }
  return way
}
/**
 * @param atWork machines at their jobs; one machine that is named twice counts once
 * @returns what draws, who had to be left out, and every node that carries any of it
 */
export function togetherOf(shop: Shop, shelf: Shelf, atWork: readonly AtWork[]): Together {
  const leftOut: LeftOut[] = []
  const machines: Drawer[] = []
  const busy = new Set<string>()
  for (const one of atWork) {
    const { id, powerSourceId } = one.setUp
    const found: Found = busy.has(powerSourceId) ? { why: 'same-machine' } : machineAtWork(shop, shelf, one)
    busy.add(powerSourceId)
    if ('drawer' in found) machines.push(found.drawer)
    else leftOut.push({ id, why: found.why })
  }
  const drawers = [...machines, ...loadDrawers(shelf)]
  const rules = ruleBookOf(shop)
  const assumptions = assumptionsOf(shop)
  return { drawers, leftOut, rules, assumptions, nodes: nodesOf(shelf, drawers, rules, assumptions) }
}

interface Gathered {
  readonly kind: Node['kind']
  readonly run: Circuit | Panel
  readonly carries: { readonly drawer: number; readonly wired: Wired }[]
}

function nodesOf(
  shelf: Shelf,
  drawers: readonly Drawer[],
  rules: RuleBook,
  assumptions: Assumptions,
): readonly Node[] {
  const gathered = new Map<string, Gathered>()
  const generators = new Map<string, { readonly generator: Generator; readonly feeds: Gathered }>()
  drawers.forEach(({ circuit }, drawer) => {
    for (const { kind, run, wired } of wayOf(circuit, shelf)) {
      const key = `${kind} ${run.id}`
      const node = gathered.get(key) ?? { kind, run, carries: [] }
      node.carries.push({ drawer, wired })
      gathered.set(key, node)
    }
    const generator = generatorOf(circuit, shelf)
    if (!generator) return
    const run = panelsAbove(circuit, shelf).at(-1) ?? circuit
    const known = generators.get(generator.id) ?? {
      generator,
      feeds: { kind: 'generator' as const, run, carries: [] },
    }
    known.feeds.carries.push({ drawer, wired: 'all' })
    generators.set(generator.id, known)
  })
  const reckoner = reckonerFor(assumptions)
  const breakers = [...gathered.values()].map(({ kind, run, carries }): Node => {
    const { id, name, voltageV, phases } = run
    const { heldA, ...trips } = trippingOf(run, rules.breaker(run.breakerKind), reckoner)
    return { kind, id, name, voltageV, phases, heldA, trips, carries, run }
  })
  const made = [...generators.values()].map(({ generator, feeds: { run, carries } }): Node => {
    const { voltageV, phases } = run
    const heldA = (generatorRunningKva(generator, reckoner) * 1000) / (voltageV * rootPhases(phases))
    const { id, name } = generator
    return {
      kind: 'generator',
      id,
      name,
      voltageV,
      phases,
      heldA,
      trips: null,
      carries,
      run: null,
    }
  })
  // From the service down: what carries most stands first.
  return [
    ...made,
    ...breakers.filter(({ kind }) => kind === 'panel'),
    ...breakers.filter(({ kind }) => kind === 'circuit'),
  ]
}
