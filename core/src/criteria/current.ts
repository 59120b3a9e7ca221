/** Criteria of current: output of the source, current of wire or tungsten, and both against each other. */
import { commonPractice, dataPlate } from '../basis/source.ts'
import { type Capability } from '../capability/capability.ts'
import { type Demand, leastWanted, mostWanted } from '../demand/demand.ts'
import { figure, message, word } from '../model/message.ts'
import { tungstenDiametersFor } from '../reference/tungstenRanges.ts'
import { wireDiametersFor } from '../reference/wireRanges.ts'
import { wantedCurrent } from '../trade/wantedCurrent.ts'
import {
  electrodeCarries,
  electrodeCurrent,
  electrodeLeast,
  greatestOutput,
  gunCarriesAt,
  lowestOutput,
  lowestOutputA,
} from './carries.ts'
import { type Criterion, fails, fits, type Mend, unknown } from './criterion.ts'
import { measuredWithin, WINDOW } from './withinWindow.ts'

const PLATE = dataPlate()
const CIRCUIT = ['circuit', 'powerSource'] as const
const noSupply = message('supply')

/** Whether the source reaches the current of every weld: the thin end counts as much as the thick end. */
const sourceRange: Criterion = {
  id: 'source-range',
  concerns: 'arc-current',
  isByCoupon: true,
  group: null,
  slots: CIRCUIT,
  demandFrom: [wantedCurrent],
  capacityFrom: [greatestOutput],
  alsoFrom: [lowestOutput, mostWanted, leastWanted, ...WINDOW],
  assess(capability, demand) {
    if (!demand || !capability.powerSource) return null
    const lowA = lowestOutputA(capability)
    if (!capability.supply || lowA === null) return unknown('source-range', noSupply)
    const highA = capability.reckoner.compute(greatestOutput, { I_max: capability.supply.outputMaxA })
    return measuredWithin(capability, demand, 'source-range', {
      carried: { lowA, highA, leastA: lowA, mostA: highA },
      source: PLATE,
    })
  },
  mends: (_c, _d, { demand, capacityLow }) =>
    (demand ?? 0) < (capacityLow ?? 0)
      ? [message('source-that-goes-low', { current: figure(demand ?? 0, 'A') })]
      : [],
}

/** Without a job: a wire whose range starts above the source's output on this voltage never gets hot enough. */
const wireAboveOutput: Criterion = {
  id: 'wire-above-output',
  group: 'together',
  slots: [...CIRCUIT, 'wire'],
  isForNoJob: true,
  assess({ fedWire, supply, electrode, circuit }, demand) {
    if (demand || !fedWire || !supply || electrode.missing !== null) return null
    const { minA, source } = electrode.range
    const params = {
      wire: fedWire.name,
      starts: figure(minA, 'A'),
      gives: figure(supply.outputMaxA, 'A'),
      supply: circuit ? figure(circuit.voltageV, 'V') : word('supply', 'engine'),
    }
    return minA > supply.outputMaxA
      ? fails('wire-above-output', 'above', params, { source })
      : fits('wire-above-output', 'within', params, { source })
  },
  mends: () => [message('thinner-wire')],
}

/** Without a job the wire says what the gun must carry at the least. */
const gunForWire: Criterion = {
  id: 'gun-for-wire',
  concerns: 'feed-path',
  group: 'together',
  slots: ['gun', 'gas', 'wire'],
  isForNoJob: true,
  assess(capability, demand) {
    const { gun, fedWire, electrode } = capability
    if (demand || !gun || !fedWire || electrode.missing !== null) return null
    const carries = gunCarriesAt(capability, null)
    if (carries.missing !== null) return null
    const { minA, source } = electrode.range
    const params = {
      gun: gun.name,
      carries: figure(carries.highA, 'A'),
      wire: fedWire.name,
      starts: figure(minA, 'A'),
    }
    return minA > carries.highA
      ? fails('gun-for-wire', 'above', params, { source })
      : fits('gun-for-wire', 'within', params, { source })
  },
  mends: ({ gun }) => [message('gun-of-higher-class', { holder: word('holder', gun?.kind ?? 'gun') })],
}

/** The size that runs at every weld of the job: of the same kind, on the shelf or not. */
function sizeMends({ process, wire, shop }: Capability, demand: Demand | null): readonly Mend[] {
  if (!demand) return []
  const [leastA, mostA] = [demand.thinnest.wantedA, demand.hungriest.wantedA]
  // A stick is set by its own range; only plate too thin for it brings it below.
  if (process.electrode === 'covered') return [message('thinner-stick')]
  const [size] =
    wire && process.feedsWire
      ? wireDiametersFor(wire, process.id, leastA, mostA, shop.unitSystem)
      : tungstenDiametersFor(process.id === 'gtaw-ac' ? 'ac' : 'dcen', leastA, mostA, shop.unitSystem)
  return size === undefined
    ? [message('no-size-runs')]
    : [message('size-that-runs', { size: figure(size, 'mm diameter') })]
}

/** Whether the wire or the tungsten runs well at every weld's current: neither starved nor overloaded. */
const electrode: Criterion = {
  id: 'electrode',
  concerns: 'arc-current',
  isByCoupon: true,
  group: null,
  slots: ({ electrode: burns }) => (burns === 'tungsten' ? ['tungsten'] : ['wire']),
  demandFrom: [wantedCurrent],
  capacityFrom: [electrodeCurrent],
  alsoFrom: [electrodeLeast, mostWanted, leastWanted, ...WINDOW],
  assess(capability, demand) {
    const { process, wire, tungsten } = capability
    const holder = word('electrode', process.electrode)
    const carries = electrodeCarries(capability)
    if (carries.missing !== null)
      return { ...unknown('electrode', carries.missing), params: { ...carries.missing.params, holder } }
    const name = (process.electrode === 'tungsten' ? tungsten?.name : wire?.name) ?? ''
    const { lowA, highA } = carries
    const source = capability.electrode.range?.source ?? commonPractice()
    if (!demand) {
      const params = { holder, name, low: figure(lowA, 'A'), high: figure(highA, 'A') }
      return fits('electrode', 'runs', params, { source })
    }
    return measuredWithin(capability, demand, 'electrode', {
      carried: carries,
      params: { holder, name },
      source,
    })
  },
  mends: sizeMends,
}

export const CURRENT_CRITERIA: readonly Criterion[] = [sourceRange, electrode]
/** Asked of a set-up without a job. */
export const WIRE_AND_OUTPUT_CRITERIA: readonly Criterion[] = [wireAboveOutput, gunForWire]
