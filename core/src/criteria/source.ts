/** Criteria of the power source: what it is rated for, how it starts, how its AC is set, what opens the gas. */
import { commonPractice, dataPlate, standard } from '../basis/source.ts'
import { assumed, calculation } from '../calculation/calculation.ts'
import type { PowerSource } from '../kinds/equipment.ts'
import { figure, list, message, word } from '../model/message.ts'
import { coveredClassOf } from '../reference/coveredElectrodes.ts'
import { gasFlow } from '../trade/gasFlow.ts'
import type { Criterion } from './criterion.ts'
import { bad, good, notKnown, ofSetUp, ofWork, poor } from './grouped.ts'
import { metalsOf } from './metals.ts'

const PLATE = dataPlate()

/** A process and a wave that the plate does not name cannot be welded with it. */
const ratedForProcess = ofSetUp(
  'rated-for-process',
  'together',
  ['powerSource'],
  ({ powerSource, process, wave }) => {
    if (!powerSource) return null
    const params = { source: powerSource.name, process: word('process', process.id) }
    const own = powerSource.processes.filter(({ family }) => family === process.family)
    if (own.length === 0) return bad('not-rated', params, PLATE)
    if (process.id === 'gmaw-pulse' && !own.some(({ pulse }) => pulse)) return bad('no-pulse', params, PLATE)
    if (own.some(({ outputs }) => outputs.includes(wave))) return good('rated', params, PLATE)
    return bad(wave === 'ac' ? 'dc-only' : 'ac-only', params, PLATE)
  },
  { concerns: 'process', mends: (_c, _d, { code, params }) => [message(`source-${code}`, params)] },
)

type Wave = 'ac' | 'dc'
const givesTigOn = (powerSource: PowerSource | null, wave: Wave): boolean =>
  powerSource?.processes.some((p) => p.family === 'gtaw' && p.outputs.includes(wave)) ?? false

const TIG_ON = {
  ac: { process: 'gtaw-ac', polarity: 'ac' },
  dc: { process: 'gtaw-dc', polarity: 'dcen' },
} as const
/** TIG is set to the other current where the source gives it; else it takes another source. */
const otherWave =
  (wave: Wave): NonNullable<Criterion['mends']> =>
  ({ powerSource }) =>
    givesTigOn(powerSource, wave)
      ? [{ ...message(`set-to-${wave}`), patch: { on: 'set-up', change: TIG_ON[wave] } }]
      : [message(wave === 'ac' ? 'source-dc-only' : 'source-ac-only')]

/** TIG on DC leaves the oxide of aluminium where it is. */
const waveForMetal = ofWork(
  'wave-for-metal',
  'together',
  ['powerSource', 'wire'],
  (capability, demand) => {
    if (capability.process.id !== 'gtaw-dc') return null
    const aluminium = metalsOf(capability, demand).find(({ metal }) => metal === 'aluminium')
    return aluminium ? bad('dc', {}, undefined, aluminium.weldId) : null
  },
  { concerns: 'wave', mends: otherWave('ac') },
)

const TIG_CURRENTS = commonPractice('currents for TIG by metal, welding handbooks, from memory')
/** Old handbooks rate AC on steel as a second choice: the arc wanders, and half the heat goes into the tungsten. */
const dcForMetal = ofWork(
  'dc-for-metal',
  'together',
  ['powerSource', 'wire'],
  (capability, demand) => {
    if (capability.process.id !== 'gtaw-ac') return null
    const steel = metalsOf(capability, demand).find(({ metal }) => metal !== 'aluminium')
    return steel ? poor('ac', { metal: word('metal', steel.metal) }, TIG_CURRENTS, steel.weldId) : null
  },
  { concerns: 'wave', mends: otherWave('dc') },
)

/** Balance and frequency can be set only where the plate has a range. */
const acControl = ofSetUp('ac-control', 'together', ['powerSource'], ({ powerSource, process }) => {
  if (process.id !== 'gtaw-ac' || !powerSource) return null
  if (!givesTigOn(powerSource, 'ac')) return null
  const { acBalance: balance, acFrequency: frequency, name } = powerSource
  if (!balance && !frequency) return poor('none', { source: name }, PLATE)
  const params = {
    source: name,
    ...(balance ? { minPct: figure(balance.minPct, ''), maxPct: figure(balance.maxPct, '%') } : {}),
    ...(frequency ? { minHz: figure(frequency.minHz, ''), maxHz: figure(frequency.maxHz, 'Hz') } : {}),
  }
  return good(balance && frequency ? 'both' : balance ? 'balance' : 'frequency', params, PLATE)
})

/** A stick strikes and holds by the volts that stand at it before the arc. */
const stickStrikes = ofSetUp(
  'stick-strikes',
  'together',
  ['powerSource', 'wire'],
  ({ process, powerSource, wire, supply }) => {
    const covered = process.electrode === 'covered' && wire ? coveredClassOf(wire.classification) : null
    if (!powerSource || !wire || !supply || !covered) return null
    if (supply.openCircuitV === null) return notKnown(message('open-circuit', { source: powerSource.name }))
    const params = {
      source: powerSource.name,
      wire: wire.name,
      open: figure(supply.openCircuitV, 'V'),
      wants: figure(covered.openCircuitV, 'V'),
    }
    const make = supply.openCircuitV >= covered.openCircuitV ? good : poor
    return make(make === good ? 'strikes' : 'goes-out', params, STRIKES)
  },
  { mends: () => [message('softer-stick')] },
)
const STRIKES = commonPractice('open-circuit volts by class of electrode, common practice, from memory')

/** How the owner wants the arc struck must be a way that the source has. */
const startMethod = ofSetUp(
  'start-method',
  'together',
  ['powerSource'],
  ({ powerSource, process, settings }) => {
    if (process.family !== 'gtaw' || !powerSource) return null
    if (powerSource.start.length === 0) return notKnown(message('start', { source: powerSource.name }))
    const wanted = settings.start
    const params = {
      source: powerSource.name,
      has: list(powerSource.start.map((method) => word('start', method))),
    }
    if (wanted === null || powerSource.start.includes(wanted)) return good('has', params, PLATE)
    return bad('other', { ...params, wanted: word('start', wanted) }, PLATE)
  },
  {
    mends: ({ powerSource }) =>
      (powerSource?.start ?? []).slice(0, 1).map((start) => ({
        ...message('start-by', { start: word('start', start) }),
        patch: { on: 'set-up', change: { start } },
      })),
  },
)

/** High frequency upsets controls, computers and pacemakers. */
const electronicsNear = ofSetUp(
  'electronics-near',
  'together',
  ['powerSource'],
  ({ powerSource, process, settings }) => {
    if (process.family !== 'gtaw' || !powerSource || !settings.electronicsNear) return null
    const usesHf =
      settings.start === 'high-frequency' ||
      (settings.start === null && powerSource.start.includes('high-frequency'))
    return usesHf
      ? bad('upsets', {}, standard('IEC 60974-10, electromagnetic compatibility', true))
      : good('none')
  },
  {
    mends({ powerSource }) {
      const start = powerSource?.start.find((method) => method !== 'high-frequency')
      return start
        ? [
            {
              ...message('start-by', { start: word('start', start) }),
              patch: { on: 'set-up', change: { start } },
            },
          ]
        : [message('no-high-frequency')]
    },
  },
)

const handValveGas = calculation({
  id: 'hand-valve-gas',
  title: 'Gas through the open hand valve, each start',
  symbol: 'V',
  unit: 'L',
  expression: 'Q * t / 60',
  inputs: { Q: gasFlow, t: assumed('handValveOpenS') },
  compute: ({ Q, t }) => (Q * t) / 60,
  source: commonPractice(),
})

/** Without a valve in the source or at the torch nothing opens the gas. */
const gasControl = ofSetUp(
  'gas-control',
  'together',
  ['powerSource', 'gun'],
  (capability) => {
    const { powerSource, gun, process, settings, cup, reckoner } = capability
    if (process.family !== 'gtaw' || !powerSource || gun?.kind !== 'torch') return null
    const params = { source: powerSource.name, gun: gun.name }
    if (powerSource.gasValve === true)
      return good(gun.valve === true ? 'leave-open' : 'switches', params, PLATE)
    if (gun.valve === true) {
      if (settings.flowLPerMin === null && !cup) return poor('wastes', params)
      const wasted = reckoner.compute(handValveGas, { Q: capability.flowLPerMin })
      return poor('wastes-so-much', { ...params, wasted: figure(wasted, 'L') })
    }
    return powerSource.gasValve === false && gun.valve === false
      ? bad('no-valve', params, PLATE)
      : notKnown(message('gas-valve', params))
  },
  {
    from: [handValveGas],
    mends: (_c, _d, { verdict }) =>
      verdict === 'tight'
        ? [message('shut-between')]
        : verdict === 'fails'
          ? [message('torch-with-valve')]
          : [],
  },
)

export const SOURCE_CRITERIA: readonly Criterion[] = [
  ratedForProcess,
  stickStrikes,
  waveForMetal,
  dcForMetal,
  acControl,
  startMethod,
  electronicsNear,
  gasControl,
]
