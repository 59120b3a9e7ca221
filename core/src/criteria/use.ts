/** Criteria of what the job uses up against what is there: wire or rod, gas, tungsten, hours. */
import { commonPractice, computed, dataPlate, jobField, standard } from '../basis/source.ts'
import {
  assumed,
  type Calculation,
  calculation,
  from,
  input,
  inputOrAssumed,
  listOf,
} from '../calculation/calculation.ts'
import type { Capability } from '../capability/capability.ts'
import { changeoverMinOf, changeoverTime } from '../changeover/toSetUp.ts'
import { arcsTotal, arcTotal, type Demand, fillerTotal, mostWanted, workTime } from '../demand/demand.ts'
import { inStock } from '../kinds/counts.ts'
import type { Gas, Tungsten } from '../kinds/equipment.ts'
import { isSpooled } from '../kinds/spooled.ts'
import { arcTime } from '../trade/deposit.ts'
import type { WeldFigures } from '../demand/weldFigures.ts'
import { figure, type Params, message, type Message, word } from '../model/message.ts'
import { isCo2 } from '../reference/gases.ts'
import { gasFlow } from '../trade/gasFlow.ts'
import { NO_ARC_TIME } from './carries.ts'
import { type Assessment, type Criterion, fits, measured, type Mend, unknown } from './criterion.ts'

const left = calculation({
  id: 'stock-left',
  title: 'What is there',
  symbol: 'C',
  unit: '',
  expression: 'C',
  inputs: { C: input('in stock, or set aside', '', jobField('stock, gauge or job')) },
  compute: ({ C }) => C,
  source: jobField('stock, gauge or job'),
})

const net = calculation({
  id: 'stock-net',
  title: 'What is left after the jobs due earlier',
  symbol: 'C',
  unit: '',
  expression: 'max(0, S - E)',
  inputs: {
    S: input('on hand', '', jobField('stock or gauge')),
    E: input('planned jobs due earlier use', '', computed('their filler, gas and tungsten')),
  },
  compute: ({ S, E }) => Math.max(0, S - E),
  source: commonPractice('two jobs cannot both use one spool'),
})
const rest = calculation({
  id: 'still-used',
  title: 'What the job still uses',
  symbol: 'D',
  unit: '',
  expression: 'max(0, U - T)',
  inputs: {
    U: input('the whole job uses', '', computed('filler, gas or tungsten of all its welds')),
    T: input('taken for it already', '', jobField('movements of the stores')),
  },
  compute: ({ U, T }) => Math.max(0, U - T),
  source: computed('difference'),
})
/** Less than this is a rounding, in g, L or pieces. */
const NO_CLAIM = 1e-9

interface Stock {
  readonly used: number
  readonly left: number | null
  /** What planned jobs before this one take of it. */
  readonly claimed: number
  /** What was taken for this job already. */
  readonly taken: number
  readonly unit: string
  /** What nobody has said, where `left` is null. */
  readonly missing: Message
  readonly params: Params
  readonly source: Assessment['source']
}

function againstStock(capability: Capability, id: string, stock: Stock): Assessment {
  const { unit, params, source, taken } = stock
  const used = taken > NO_CLAIM ? capability.reckoner.compute(rest, { U: stock.used, T: taken }) : stock.used
  if (stock.left === null) {
    // Nobody has to count or to set hours aside: then it is told what the job uses, and not judged.
    const { code, params: missing } = stock.missing
    return { ...fits(id, code, { ...params, ...missing }, { source }), demand: used, unit }
  }
  const isClaimed = stock.claimed > NO_CLAIM
  const capacity = isClaimed
    ? capability.reckoner.compute(net, { S: stock.left, E: stock.claimed })
    : capability.reckoner.compute(left, { C: stock.left })
  const code = taken > NO_CLAIM ? 'measured-rest' : isClaimed ? 'measured-net' : 'measured'
  return measured(capability, id, { code, params, demand: used, capacity, unit, source })
}

const claimsOn = (
  { claims }: Capability,
  { job }: Demand,
  kind: 'wire' | 'gas' | 'tungsten',
  id: string,
): Pick<Stock, 'claimed' | 'taken'> => ({
  claimed: claims.before(job, kind, id),
  taken: claims.used(job, kind, id),
})

/** How much is lacking. */
const lacking = ({ demand, capacity }: Assessment): number => (demand ?? 0) - (capacity ?? 0)
const onlyWhereFails =
  (mends: (c: Capability, assessment: Assessment, d: Demand) => readonly Mend[]): Criterion['mends'] =>
  (capability, demand, assessment) =>
    assessment.verdict === 'fails' && demand ? mends(capability, assessment, demand) : []

const criterion = (
  id: string,
  demandFrom: readonly Calculation[],
  assess: (c: Capability, d: Demand) => Assessment | null,
  mends: Criterion['mends'],
  more: Pick<Criterion, 'isByPackage'> = {},
): Criterion => ({
  ...more,
  id,
  concerns: 'use',
  group: null,
  slots: [],
  demandFrom,
  capacityFrom: [left, net],
  assess: (c, d) => d && assess(c, d),
  ...(mends ? { mends } : {}),
})

/** A shut square joint without a cap may be fused by TIG from the parts’ own metal. */
const fusesAlone = ({ joint }: WeldFigures): boolean =>
  joint.kind === 'square' && joint.rootGapMm + joint.reinforcementMm + joint.backWeldMm === 0

const FILLER = { wire: 'wire', tungsten: 'rod', covered: 'covered' } as const

const fillerUsed = calculation({
  id: 'filler-used',
  title: 'Wire or rod used, with trial beads and spatter',
  symbol: 'D',
  unit: 'g',
  expression: 'W * (1 + (k + c) / 100)',
  inputs: {
    W: from(fillerTotal),
    k: assumed('trialPct'),
    c: inputOrAssumed('more spatter in CO₂; 0 in another gas', '%', commonPractice()),
  },
  compute: ({ W, k, c }) => W * (1 + (k + c) / 100),
  source: computed('the welds, trial beads and what spatters'),
})

/** A solid wire spatters more in CO₂ than in a mix; the figures of a cored wire are of its own gas. */
const spattersMore = ({ process, gas }: Capability): boolean =>
  process.family === 'gmaw' && gas !== null && isCo2(gas)

/** @returns g of wire, rod or electrodes for the whole job, trial beads and spatter among them */
export const fillerOfJobG = (capability: Capability, demand: Demand): number =>
  capability.reckoner.compute(fillerUsed, {
    W: demand.fillerG,
    c: spattersMore(capability) ? 'co2LossPct' : 0,
  })

/** @returns the same of one weld line */
export function fillerOfWeldG(capability: Capability, demand: Demand, { fillerG }: WeldFigures): number {
  const whole = demand.fillerG
  return whole > 0 ? (fillerG / whole) * fillerOfJobG(capability, demand) : 0
}

const wireUse = criterion(
  'wire-use',
  [fillerUsed],
  (capability, demand) => {
    const { wire, process } = capability
    const filler = FILLER[process.electrode]
    const params = { filler: word('filler', filler) }
    if (!wire) {
      // TIG without a rod is a way to weld where the parts themselves give the metal.
      if (process.electrode === 'tungsten' && demand.welds.every(fusesAlone)) return null
      const missing = unknown('wire-use', message(filler))
      return { ...missing, params, demand: fillerOfJobG(capability, demand), unit: 'g' }
    }
    return againstStock(capability, 'wire-use', {
      used: fillerOfJobG(capability, demand),
      left: inStock(capability.stock, 'wire', wire.id),
      ...claimsOn(capability, demand, 'wire', wire.id),
      unit: 'g',
      missing: message('wire-stock', { wire: wire.name }),
      params,
      source: standard('handbook, stock', true),
    })
  },
  onlyWhereFails(({ wire }, assessment) => {
    if (!wire) return []
    const packages = Math.ceil(lacking(assessment) / wire.packageG)
    return [
      message('buy-packages', {
        count: figure(packages, ''),
        pack: word(
          packages > 1 ? 'packs' : 'pack',
          isSpooled(wire) ? 'spool' : wire.form === 'covered' ? 'pack' : 'tube',
        ),
        mass: figure(wire.packageG, 'g'),
      }),
    ]
  }),
  { isByPackage: true },
)

const postFlowTig = calculation({
  id: 'post-flow-tig',
  title: 'Post-flow per start, or the time a hand valve stays open',
  symbol: 'b',
  unit: 's',
  expression: 'max(b_0, b_1 * I / 10, b_v)',
  inputs: {
    b_0: assumed('postFlowGtawLeastS'),
    b_1: assumed('postFlowGtawSPer10A'),
    I: from(mostWanted),
    b_v: inputOrAssumed('a hand valve stays open; 0 without one', 's', commonPractice()),
  },
  compute: ({ b_0, b_1, I, b_v }) => Math.max(b_0, (b_1 * I) / 10, b_v),
  source: commonPractice('about 1 s per 10 A, at least some 8 s with TIG'),
})
const postFlowWire = calculation({
  id: 'post-flow-wire',
  title: 'Post-flow each start',
  symbol: 'b',
  unit: 's',
  expression: 'b',
  inputs: { b: assumed('postFlowWireS') },
  compute: ({ b }) => b,
  source: commonPractice(),
})
/** What a machine does by itself, whatever the weld. */
const postFlowOwn = calculation({
  id: 'post-flow-own',
  title: 'Post-flow each start, as the machine has it',
  symbol: 'b',
  unit: 's',
  expression: 'b',
  inputs: { b: input('post-flow of its own', 's', dataPlate()) },
  compute: ({ b }) => b,
  source: dataPlate(),
})
export const postFlow = from(postFlowWire, postFlowTig, postFlowOwn)
/** Argon behind the root, while the tube is welded and before: it comes from the same cylinder. */
const purgeGas = calculation({
  id: 'purge-gas',
  title: 'Back purge',
  symbol: 'P',
  unit: 'L',
  expression: 'Q_p * (sum(τ_p) + t_p * n_p) / 60',
  inputs: {
    Q_p: assumed('purgeFlowLPerMin'),
    τ_p: listOf('arc time of the purged welds', 's', computed(), ...arcTime.from),
    t_p: assumed('purgeBeforeS'),
    n_p: input('tubes that are purged', '', jobField('back purge of the weld')),
  },
  compute: ({ Q_p, τ_p, t_p, n_p }) => (Q_p * (τ_p.reduce((sum, s) => sum + s, 0) + t_p * n_p)) / 60,
  source: commonPractice('the root of stainless burns in air'),
})

const gasUsed = calculation({
  id: 'gas-used',
  title: 'Gas used',
  symbol: 'V',
  unit: 'L',
  expression: '(Q * (τ + (a + b) * s) / 60 + u * s + P) * (1 + l / 100)',
  inputs: {
    Q: gasFlow,
    τ: from(arcTotal),
    a: assumed('preFlowS'),
    b: postFlow,
    s: from(arcsTotal),
    u: inputOrAssumed('surge each start; 0 behind a hand valve', 'L', commonPractice()),
    l: assumed('gasLeakPct'),
    P: from(purgeGas),
  },
  compute: ({ Q, τ, a, b, s, u, l, P }) => ((Q * (τ + (a + b) * s)) / 60 + u * s + P) * (1 + l / 100),
  source: computed('flow times time'),
})

export const hasHandValve = ({ gun, powerSource }: Capability): boolean =>
  gun?.kind === 'torch' && gun.valve === true && powerSource?.gasValve !== true

/** A hose fills up behind a shut valve, and lets it out at once; a hand valve at the torch is open before the start. */
const surgeOf = (capability: Capability): 'gasSurgeL' | 0 => (hasHandValve(capability) ? 0 : 'gasSurgeL')

/** Seconds that a hot tungsten needs; a hand valve flows until somebody shuts it. */
const neededPostFlowS = (capability: Capability, demand: Demand): number =>
  capability.reckoner.compute(postFlowTig, {
    I: demand.hungriest.wantedA,
    b_v: hasHandValve(capability) ? 'handValveOpenS' : 0,
  })

/** Seconds that the machine flows by itself; null where they are set, or a hand shuts the valve. */
const ownPostFlowS = (capability: Capability): number | null =>
  hasHandValve(capability) || capability.powerSource?.postFlowByHand === true
    ? null
    : (capability.powerSource?.postFlowOwnS ?? null)

/** Seconds of flow after each arc. */
export function postFlowS(capability: Capability, demand: Demand): number {
  if (capability.process.family !== 'gtaw') return capability.reckoner.compute(postFlowWire, {})
  const own = ownPostFlowS(capability)
  return own === null
    ? neededPostFlowS(capability, demand)
    : capability.reckoner.compute(postFlowOwn, { b: own })
}

/** What a machine's own post-flow costs above what the tungsten needs. */
export interface LongFlow {
  readonly ownS: number
  readonly neededS: number
  /** Over the whole job. */
  readonly gasL: number
  /** In the shop's currency; null where the gas has no price. */
  readonly cost: number | null
}

/** @returns null where nothing flows longer than it needs to */
export function longFlowOf(capability: Capability, demand: Demand): LongFlow | null {
  const { process, gas, flowLPerMin } = capability
  const ownS = ownPostFlowS(capability)
  if (process.family !== 'gtaw' || !gas || ownS === null) return null
  const neededS = neededPostFlowS(capability, demand)
  if (ownS <= neededS) return null
  const gasL = (flowLPerMin * (ownS - neededS) * demand.arcs) / 60
  return { ownS, neededS, gasL, cost: gas.refillPrice === null ? null : (gasL / gas.fullL) * gas.refillPrice }
}

/** Gas of one line, or of the root pass or the fill passes of it, L; null without. */
export function gasOfRunL(capability: Capability, demand: Demand, run: WeldFigures): number | null {
  const { gas, process, flowLPerMin, reckoner } = capability
  if (!process.shielded || !gas || run.arcS === null) return null
  // A tube is purged while its root is welded.
  const welds = run.pass === 'fill' ? [] : [run]
  return reckoner.compute(gasUsed, {
    Q: flowLPerMin,
    τ: run.arcS,
    b: postFlowS(capability, demand),
    s: run.arcs,
    u: surgeOf(capability),
    P: reckoner.compute(purgeGas, purged({ welds, job: demand.job }, gas)),
  })
}

/** Gas of the whole job, L. */
function gasOf(capability: Capability, demand: Demand, gas: Gas, arcS: number): number {
  const { reckoner } = capability
  return reckoner.compute(gasUsed, {
    Q: capability.flowLPerMin,
    τ: arcS,
    b: postFlowS(capability, demand),
    s: demand.arcs,
    u: surgeOf(capability),
    P: reckoner.compute(
      purgeGas,
      purged({ welds: demand.runs.filter(({ pass }) => pass !== 'fill'), job: demand.job }, gas),
    ),
  })
}

/** Only argon purges; another gas of the gun has its purge from a cylinder of its own. */
function purged(
  { welds, job }: Pick<Demand, 'welds' | 'job'>,
  { argonPct }: Gas,
): { τ_p: readonly number[]; n_p: number } {
  const tubes = argonPct >= PURE_PCT ? welds.filter(({ joint }) => joint.purge) : []
  return {
    // No weld is purged: an arc of no time.
    τ_p: tubes.length > 0 ? tubes.map(({ arcS }) => arcS ?? 0) : [0],
    n_p: tubes.reduce((sum, { joint }) => sum + joint.count * job.quantity, 0),
  }
}
const PURE_PCT = 99

const gasUse = criterion(
  'gas-use',
  [gasUsed],
  (capability, demand) => {
    const { gas, process } = capability
    if (!process.shielded) return null
    if (!gas) return unknown('gas-use', message('gas'))
    if (demand.arcS === null) return unknown('gas-use', NO_ARC_TIME)
    return againstStock(capability, 'gas-use', {
      used: gasOf(capability, demand, gas, demand.arcS),
      left: inStock(capability.stock, 'gas', gas.id),
      ...claimsOn(capability, demand, 'gas', gas.id),
      unit: 'L',
      missing: message('gas-left', { gas: gas.name }),
      params: {},
      source: commonPractice('flow rule, gauge'),
    })
  },
  onlyWhereFails(({ gas }, assessment) => {
    if (!gas) return []
    const count = Math.ceil(lacking(assessment) / gas.fullL)
    return [
      message('full-cylinders', {
        count: figure(count, ''),
        cylinder: word(count > 1 ? 'packs' : 'pack', 'cylinder'),
        gas: gas.name,
      }),
    ]
  }),
)

const tungstenUsed = calculation({
  id: 'tungsten-used',
  title: 'Tungsten used',
  symbol: 'n',
  unit: 'pieces',
  expression: 'τ / 3600 * (g * G + d * D) / (L - S)',
  inputs: {
    τ: from(arcTotal),
    g: assumed('regrindsPerArcHour'),
    G: assumed('regrindLossMm'),
    d: assumed('dipsPerArcHour'),
    D: assumed('dipLossMm'),
    L: input('new electrode', 'mm length', jobField('tungsten')),
    S: assumed('stubMm'),
  },
  compute: ({ τ, g, G, d, D, L, S }) => ((τ / 3600) * (g * G + d * D)) / (L - S),
  source: commonPractice(),
})

/** Gas of the whole job, L; null where it uses none, or where nobody knows. */
export function gasOfJobL(capability: Capability, demand: Demand): number | null {
  const { gas, process } = capability
  return process.shielded && gas && demand.arcS !== null ? gasOf(capability, demand, gas, demand.arcS) : null
}

/** No longer than what the back cap cannot hold. */
const isStub = ({ assumptions }: Capability, { lengthMm }: Tungsten): boolean =>
  lengthMm <= assumptions.stubMm
const tungstensOf = ({ reckoner }: Capability, { lengthMm }: Tungsten, arcS: number): number =>
  reckoner.compute(tungstenUsed, { τ: arcS, L: lengthMm })

/** What a job takes from the stores. */
export interface Uses {
  readonly wireG: number
  readonly gasL: number
  readonly tungstens: number
}

/**
 * @returns what the criteria of use hold against the stock: g of filler, L of gas, pieces of tungsten; 0 of what is not
 *   chosen, or not known without a wire
 */
export function usesOf(capability: Capability, demand: Demand): Uses {
  const { wire, tungsten, process } = capability
  const { arcS } = demand
  return {
    wireG: wire ? fillerOfJobG(capability, demand) : 0,
    gasL: gasOfJobL(capability, demand) ?? 0,
    tungstens:
      process.family === 'gtaw' && tungsten && arcS !== null && !isStub(capability, tungsten)
        ? tungstensOf(capability, tungsten, arcS)
        : 0,
  }
}

const tungstenUse = criterion(
  'tungsten-use',
  [tungstenUsed],
  (capability, demand) => {
    const { tungsten, process } = capability
    if (process.family !== 'gtaw') return null
    if (!tungsten) return unknown('tungsten-use', message('tungsten'))
    if (demand.arcS === null) return unknown('tungsten-use', NO_ARC_TIME)
    if (isStub(capability, tungsten))
      return unknown('tungsten-use', message('tungsten-too-short', { tungsten: tungsten.name }))
    return againstStock(capability, 'tungsten-use', {
      used: tungstensOf(capability, tungsten, demand.arcS),
      left: inStock(capability.stock, 'tungsten', tungsten.id),
      ...claimsOn(capability, demand, 'tungsten', tungsten.id),
      unit: 'pieces',
      missing: message('tungsten-stock', { tungsten: tungsten.name }),
      params: {},
      source: commonPractice('common practice, stock'),
    })
  },
  onlyWhereFails(({ tungsten }, assessment) =>
    tungsten
      ? [
          message('buy-pieces', {
            count: figure(Math.ceil(lacking(assessment)), ''),
            what: tungsten.name,
          }),
        ]
      : [],
  ),
)

/** Hours are set aside by the quarter. */
const PER_HOUR = 4

/** The whole job with the changeover before it. */
const jobTime = calculation({
  id: 'job-time',
  title: 'Working time with the changeover',
  symbol: 'T',
  unit: 'h',
  expression: 'W + X / 60',
  inputs: { W: from(workTime), X: from(changeoverTime) },
  compute: ({ W, X }) => W + X / 60,
  source: computed('the changeover, then the work'),
})

const timeUse = criterion(
  'time-use',
  [jobTime],
  (capability, demand) => {
    if (demand.workH === null) return unknown('time-use', NO_ARC_TIME)
    return againstStock(capability, 'time-use', {
      used: capability.reckoner.compute(jobTime, { W: demand.workH, X: changeoverMinOf(capability) }),
      left: demand.job.hoursSetAside,
      claimed: 0,
      taken: 0,
      unit: 'h',
      missing: message('hours'),
      params: {},
      source: standard('operating factor', true),
    })
  },
  onlyWhereFails((_c, { demand }) => [
    message('set-aside', { hours: figure(Math.ceil((demand ?? 0) * PER_HOUR) / PER_HOUR, 'h') }),
  ]),
)

export const USE_CRITERIA: readonly Criterion[] = [wireUse, gasUse, tungstenUse, timeUse]
