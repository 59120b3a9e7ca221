/**
 * What has to be done to a machine between two set-ups, in the order in which hands do it. What is the same is not
 * mentioned. The order is a rule of the craft: unplug before hands go in, polarity before power, work clamp off before
 * wire is fed, gas before the arc.
 */
import { assumptionsOf } from '../assumptions/assume.ts'
import type { Shop } from '../kinds/shop.ts'
import type { Chosen } from '../capability/slots.ts'
import { isSpooled } from '../kinds/spooled.ts'
import type { Slot } from '../kinds/slots.ts'
import { CHANGE_STEPS, type ChangeStepCode } from '../assumptions/changeMinutes.ts'
import { figure, list, type Param, type Params, word } from '../model/message.ts'
import { isCo2 } from '../reference/gases.ts'
import { PROCESSES } from '../reference/processes.ts'
import { gasFlowOf } from '../trade/gasFlow.ts'
import { type Reckoner, reckonerFor } from '../calculation/reckoner.ts'
import { grooveInUse } from '../trade/rollGroove.ts'
import { BARE, type ChangedKey, differingKeys, type OnMachine, type State } from './onMachine.ts'
import { STEP_TIMES, timingsOf } from './learned.ts'
import type { ChangeStep, Trap, Waste } from './step.ts'

export interface Changeover {
  readonly steps: readonly ChangeStep[]
  readonly minutes: number
  /** Wire cut away and gas purged. */
  readonly waste: Waste
}

const S_PER_MIN = 60
/** Torch parts that hold the tungsten: changed as one set. */
const TORCH_PARTS = ['collet', 'colletBody', 'cup', 'backCap'] as const satisfies readonly Slot[]
const SUPPLY_KEYS = ['powerSourceId', 'circuitId', 'cordSize', 'cordLengthMm'] as const
const LEAD_KEYS = ['leadSize', 'leadLengthMm'] as const

/** The pair of a machine as it is and as it shall be, with what differs. */
class Pair {
  readonly differs: ReadonlySet<ChangedKey>
  readonly from: OnMachine | null
  readonly state: State

  constructor(
    from: OnMachine | null,
    readonly to: OnMachine,
  ) {
    // Another machine starts bare: what hung on the first one has to be carried over.
    this.from = from?.state.powerSourceId === to.state.powerSourceId ? from : null
    this.state = this.from?.state ?? BARE
    this.differs = new Set(differingKeys(this.state, to.state))
  }

  has(...keys: readonly ChangedKey[]): boolean {
    return keys.some((key) => this.differs.has(key))
  }
  part<S extends Slot>(slot: S): readonly [Chosen[S] | null, Chosen[S] | null] {
    return [this.from?.parts[slot] ?? null, this.to.parts[slot]]
  }
  /** What these keys become, of those that differ. */
  sets(...keys: readonly ChangedKey[]): Partial<State> {
    return Object.fromEntries(
      keys.filter((key) => this.differs.has(key)).map((key) => [key, this.to.state[key]]),
    )
  }
}

interface Made {
  readonly code: ChangeStepCode
  readonly sets: Partial<State>
  readonly params?: Params
  readonly traps?: readonly (Trap | false)[]
  readonly waste?: Waste
  readonly otherWay?: ChangeStep['otherWay']
}

const nameOf = (part: { readonly name: string } | null): string => part?.name ?? ''

/** Wire on its spool comes off where another takes its place, or where it is fed by something else. */
function wireSteps(pair: Pair, cutMm: number): readonly Made[] {
  const [old, next] = pair.part('wire')
  const [oldGun] = pair.part('gun')
  const changes =
    pair.has('wireId', 'feederId') || (pair.has('gunId') && (oldGun?.feeder || pair.to.parts.gun?.feeder))
  const steps: Made[] = []
  const offSpool = old !== null && isSpooled(old)
  if (changes && offSpool) {
    const gunMm = oldGun?.lengthMm ?? 0
    steps.push({
      code: 'wire-off',
      sets: {},
      params: { wire: old.name },
      waste: { wireMm: cutMm, gasL: 0 },
      otherWay: { code: 'cut-and-waste', waste: { wireMm: cutMm + gunMm, gasL: 0 } },
    })
  }
  if (pair.has('wireId') && old !== null && !offSpool)
    steps.push({ code: 'rods-away', sets: {}, params: { wire: old.name } })
  if (!changes || next === null) {
    // Nothing takes its place: taking it off is what sets it.
    const last = steps.at(-1)
    if (last && pair.has('wireId')) steps[steps.length - 1] = { ...last, sets: pair.sets('wireId') }
    return steps
  }
  if (isSpooled(next)) {
    const isOtherSpool = offSpool && old.spoolMm !== next.spoolMm
    steps.push({
      code: 'spool-on',
      sets: pair.sets('wireId'),
      params: { wire: next.name, where: word('spoolPlace', pair.to.parts.gun?.feeder ? 'gun' : 'hub') },
      // A spool gun has a place for its own size.
      traps: [isOtherSpool && !pair.to.parts.gun?.feeder && 'spool-adapter'],
    })
  } else steps.push({ code: 'rods-out', sets: pair.sets('wireId'), params: { wire: next.name } })
  return steps
}

/** Whether wire has to be fed through the gun anew. */
function feedsAnew(pair: Pair): boolean {
  const { wire } = pair.to.parts
  return wire !== null && isSpooled(wire) && pair.has('wireId', 'gunId', 'linerId', 'feederId')
}

function feedPathSteps(pair: Pair): readonly Made[] {
  const [oldWire, wire] = pair.part('wire')
  const [oldRoll, roll] = pair.part('roll')
  const [oldLiner, liner] = pair.part('liner')
  const steps: Made[] = []
  const toAluminium =
    wire?.metal === 'aluminium' && oldWire !== null && oldWire.metal !== 'aluminium' && isSpooled(oldWire)
  // A spool gun has a wire path of its own, in which no steel has run.
  const isOwnPath = Boolean(pair.to.parts.gun?.feeder)
  if (toAluminium && !isOwnPath && isSpooled(wire))
    steps.push({ code: 'clean-grooves', sets: {}, traps: ['steel-dust'] })
  if (pair.has('rollId')) {
    const knurled =
      oldRoll && oldWire && isSpooled(oldWire) && grooveInUse(oldRoll, oldWire).form === 'v-knurled'
    const smooth = roll && wire && isSpooled(wire) && grooveInUse(roll, wire).form !== 'v-knurled'
    steps.push({
      code: 'roll',
      sets: pair.sets('rollId'),
      params: { roll: nameOf(roll), old: nameOf(oldRoll) },
      traps: [Boolean(knurled && smooth) && 'knurled-to-smooth'],
    })
  } else if (roll && wire && oldWire && isSpooled(wire) && isSpooled(oldWire) && pair.has('wireId')) {
    const [before, now] = [grooveInUse(roll, oldWire), grooveInUse(roll, wire)]
    if (before !== now)
      steps.push({
        code: 'roll-turn',
        sets: {},
        params: {
          roll: roll.name,
          groove: word('groove', now.form),
          size: figure(now.wireMaxMm, 'mm diameter'),
        },
        traps: [before.form === 'v-knurled' && now.form !== 'v-knurled' && 'knurled-to-smooth'],
      })
  }
  if (pair.has('linerId'))
    steps.push({
      code: 'liner',
      sets: pair.sets('linerId'),
      params: { liner: nameOf(liner), old: nameOf(oldLiner) },
      traps: [Boolean(toAluminium && oldLiner?.material === 'steel') && 'steel-liner'],
    })
  return steps
}

function gunSteps(pair: Pair): readonly Made[] {
  const [oldGun, gun] = pair.part('gun')
  const [oldFeeder, feeder] = pair.part('feeder')
  const steps: Made[] = []
  if (pair.has('gunId') && oldGun) steps.push({ code: 'gun-off', sets: {}, params: { gun: oldGun.name } })
  if (pair.has('feederId') && oldFeeder)
    steps.push({ code: 'feeder-off', sets: {}, params: { feeder: oldFeeder.name } })
  if (pair.has('feederId') && feeder)
    steps.push({ code: 'feeder-on', sets: pair.sets('feederId'), params: { feeder: feeder.name } })
  if (pair.has('gunId') && gun)
    steps.push({
      code: 'gun-on',
      sets: pair.sets('gunId'),
      params: { gun: gun.name },
      traps: [pair.to.parts.gas !== null && gun.kind === 'gun' && 'o-rings'],
    })
  return steps
}

function torchSteps(pair: Pair): readonly Made[] {
  const keys = TORCH_PARTS.map((slot) => `${slot}Id` as const)
  const named = TORCH_PARTS.filter((slot) => pair.has(`${slot}Id`)).map(
    (slot) => pair.to.parts[slot] ?? pair.from?.parts[slot] ?? null,
  )
  const steps: Made[] = []
  if (pair.has(...keys))
    steps.push({
      code: 'torch-parts',
      sets: pair.sets(...keys),
      params: { parts: list(named.map(nameOf)) },
      traps: [pair.from !== null && 'hot-parts'],
    })
  const { tungsten } = pair.to.parts
  const stickOut = pair.to.state.stickOutMm
  const params: Params = {
    tungsten: nameOf(tungsten),
    stickOut: stickOut === null ? '' : figure(stickOut, 'mm'),
  }
  if (pair.has('tungstenId'))
    steps.push({ code: 'tungsten', sets: pair.sets('tungstenId', 'stickOutMm'), params })
  else if (pair.has('stickOutMm')) steps.push({ code: 'stick-out', sets: pair.sets('stickOutMm'), params })
  return steps
}

function endSteps(pair: Pair): readonly Made[] {
  const [oldTip, tip] = pair.part('tip')
  const [oldNozzle, nozzle] = pair.part('nozzle')
  const isOpened = pair.has('tipId', 'nozzleId') || feedsAnew(pair)
  const hadAny = oldTip !== null || oldNozzle !== null
  const getsAny = tip !== null || nozzle !== null
  const steps: Made[] = []
  if (isOpened && hadAny) steps.push({ code: 'tip-off', sets: {}, traps: ['hot-parts'] })
  if (isOpened && getsAny)
    steps.push({
      code: 'tip-on',
      sets: pair.sets('tipId', 'nozzleId'),
      params: { tip: nameOf(tip), nozzle: nameOf(nozzle) },
    })
  return steps
}

function gasSteps(pair: Pair, flowLPerMin: number, purgeS: number): readonly Made[] {
  const [oldGas, gas] = pair.part('gas')
  const [oldMeter, meter] = pair.part('flowMeter')
  const shields = (state: State): boolean => state.process !== null && PROCESSES[state.process].shielded
  const opensLine = pair.has('gasId', 'flowMeterId') || (pair.has('gunId') && gas !== null)
  const steps: Made[] = []
  if (oldGas && shields(pair.state) && (opensLine || !shields(pair.to.state)))
    steps.push({ code: 'gas-off', sets: {}, params: { gas: oldGas.name } })
  if (pair.has('gasId') && gas) {
    const isInert = oldGas === null || oldGas.argonPct + oldGas.heliumPct > 99.9
    steps.push({
      code: 'gas-swap',
      sets: pair.sets('gasId', 'flowMeterId'),
      params: { gas: gas.name, meter: nameOf(meter) },
      traps: [
        oldGas !== null && isCo2(oldGas) !== isCo2(gas) && 'cylinder-fitting',
        pair.to.parts.tungsten !== null && !isInert && 'mixed-gas-on-tig',
      ],
    })
  } else if (pair.has('flowMeterId') && meter)
    steps.push({
      code: 'meter',
      sets: pair.sets('flowMeterId'),
      params: { meter: meter.name },
      traps: [oldMeter !== null && 'meter-scale'],
    })
  const opensAgain = gas !== null && shields(pair.to.state) && !shields(pair.state)
  if ((gas !== null && (opensLine || opensAgain)) || pair.has('flowLPerMin'))
    steps.push({
      code: 'flow',
      sets: pair.sets('flowLPerMin'),
      params: { flow: figure(pair.to.state.flowLPerMin ?? flowLPerMin, 'L/min') },
      ...(opensLine ? { waste: { wireMm: 0, gasL: (flowLPerMin * purgeS) / S_PER_MIN } } : {}),
    })
  return steps
}

/** How this machine changes its polarity: a lead, a plug, or the panel. */
const polarityWay = ({ to }: Pair): Param => {
  const { powerSource } = to.parts
  return word(
    'polarityWay',
    to.state.polarity === 'ac' ? 'automatic' : (powerSource?.polarityChange ?? 'leads'),
  )
}

function powerSteps(pair: Pair): readonly Made[] {
  const { to } = pair
  const { process, polarity, linksSetV } = to.state
  const steps: Made[] = []
  if (pair.has('linksSetV'))
    steps.push({
      code: 'links',
      sets: pair.sets('linksSetV'),
      params: { volts: linksSetV === null ? '' : figure(linksSetV, 'V') },
      traps: ['links-first'],
    })
  if (pair.has(...LEAD_KEYS))
    steps.push({ code: 'leads', sets: pair.sets(...LEAD_KEYS), params: { size: to.state.leadSize ?? '' } })
  if (pair.has('polarity') && polarity !== null)
    steps.push({
      code: 'polarity',
      sets: pair.sets('polarity'),
      params: {
        polarity: word('leadsOf', `${polarity}-${process === null ? 'wire' : PROCESSES[process].electrode}`),
        way: polarityWay(pair),
      },
      traps: [pair.state.polarity !== null && 'polarity-forgotten'],
    })
  if (pair.has('process') && process !== null)
    steps.push({ code: 'process', sets: pair.sets('process'), params: { process: word('process', process) } })
  if (pair.has('start'))
    steps.push({
      code: 'arc-start',
      sets: pair.sets('start'),
      params: { start: to.state.start === null ? '' : word('start', to.state.start) },
    })
  return steps
}

/** Steps for which hands go into the machine: it is unplugged first. */
const HANDS_IN: ReadonlySet<ChangeStepCode> = new Set([
  'tip-off',
  'wire-off',
  'gun-off',
  'feeder-off',
  'clean-grooves',
  'roll',
  'roll-turn',
  'liner',
  'feeder-on',
  'gun-on',
  'leads',
  'spool-on',
  'torch-parts',
  'tungsten',
  'links',
  'polarity',
])
/** Changes after which nothing needs to be tried. */
const TRIVIAL: ReadonlySet<ChangeStepCode> = new Set(['flow', 'rods-away', 'gas-off', 'stick-out'])

function allSteps(
  pair: Pair,
  figures: { readonly cutMm: number; readonly purgeS: number; readonly flowLPerMin: number },
): readonly Made[] {
  const made: Made[] = [
    ...gunSteps(pair),
    ...wireSteps(pair, figures.cutMm),
    ...feedPathSteps(pair),
    ...torchSteps(pair),
    ...endSteps(pair),
    ...powerSteps(pair),
    ...gasSteps(pair, figures.flowLPerMin, figures.purgeS),
  ]
  const { circuit, powerSource } = pair.to.parts
  const outlet: Params = { circuit: nameOf(circuit), source: nameOf(powerSource) }
  const handsIn = made.some(({ code }) => HANDS_IN.has(code))
  const moves = pair.has(...SUPPLY_KEYS)
  // On a bare machine everything begins unplugged.
  if ((handsIn || moves) && pair.from)
    made.push({ code: 'power-off', sets: {}, params: { source: nameOf(powerSource) } })
  if (moves && circuit)
    made.push({
      code: 'supply',
      sets: pair.sets(...SUPPLY_KEYS),
      params: { ...outlet, volts: figure(circuit.voltageV, 'V') },
    })
  else if (moves || handsIn)
    made.push({ code: 'power-on', sets: moves ? pair.sets(...SUPPLY_KEYS) : {}, params: outlet })
  if (feedsAnew(pair)) {
    const { wire } = pair.to.parts
    made.push({ code: 'clamp-off', sets: {} })
    made.push({ code: 'feed', sets: {}, params: { wire: nameOf(wire) } })
    made.push({ code: 'tension', sets: {}, params: { mark: tensionMarkOf(pair.to.parts) ?? '' } })
  }
  if (made.some(({ code }) => !TRIVIAL.has(code))) {
    made.push({ code: 'settings', sets: {} })
    made.push({ code: 'scrap', sets: {} })
  }
  return made
}

/**
 * The feeder's own mark for this form of wire; null where nobody has read it.
 * @example tensionMarkOf(chosen) // '3'
 */
export function tensionMarkOf({
  gun,
  powerSource,
  feeder,
  wire,
}: Pick<Chosen, 'gun' | 'powerSource' | 'feeder' | 'wire'>): string | null {
  const path = gun?.feeder ?? powerSource?.feeder ?? feeder
  return path?.tensionMarks.find(({ form }) => form === wire?.form)?.mark ?? null
}

const ORDER = new Map(CHANGE_STEPS.map((code, index) => [code, index]))
const NO_WASTE: Waste = { wireMm: 0, gasL: 0 }

/**
 * @param from what is on the machine; null where that is not recorded, or it is bare
 * @param to as it shall be
 * @returns the steps in order, their minutes and what they use up; no step where nothing differs
 * @example changeoverBetween(shop, yardCored, bay2Wire).steps.map(({ code }) => code) // ['power-off', 'tip-off', …, 'scrap']
 */
export function changeoverBetween(
  shop: Shop,
  from: OnMachine | null,
  to: OnMachine,
  reckoner: Reckoner = reckonerFor(assumptionsOf(shop)),
): Changeover {
  const assumptions = assumptionsOf(shop)
  const pair = new Pair(from, to)
  const { process } = to.state
  const flowLPerMin =
    to.parts.gas === null || process === null
      ? 0
      : gasFlowOf(
          {
            settings: { flowLPerMin: to.state.flowLPerMin },
            process: PROCESSES[process],
            wire: to.parts.wire,
            cup: to.parts.cup,
            gas: to.parts.gas,
          },
          reckonerFor(assumptions),
        )
  const made =
    pair.differs.size === 0
      ? []
      : allSteps(pair, { cutMm: assumptions.changeCutMm, purgeS: assumptions.changePurgeS, flowLPerMin })
  const timings = from?.timings ?? []
  const steps = made
    .toSorted((a, b) => (ORDER.get(a.code) ?? 0) - (ORDER.get(b.code) ?? 0))
    .map(({ code, sets, params = {}, traps = [], waste = null, otherWay = null }): ChangeStep => {
      const taken = timings.filter(({ step }) => step === code).map((timing) => timing.minutes)
      return {
        code,
        params,
        minutes: reckoner.compute(STEP_TIMES[code], timingsOf(taken)),
        timed: taken.length,
        sets,
        traps: traps.filter((trap) => trap !== false),
        waste,
        otherWay,
      }
    })
  const waste = steps.reduce(
    (sum, step) => ({
      wireMm: sum.wireMm + (step.waste?.wireMm ?? 0),
      gasL: sum.gasL + (step.waste?.gasL ?? 0),
    }),
    NO_WASTE,
  )
  return {
    steps,
    minutes: steps.reduce((sum, { minutes }) => sum + minutes, 0),
    waste,
  }
}

/**
 * @returns the state after the steps
 * @example applied(a, changeoverBetween(shop, a, b).steps) // the state of b
 */
export const applied = (state: State, steps: readonly ChangeStep[]): State =>
  steps.reduce<State>((now, { sets }) => ({ ...now, ...sets }), state)
