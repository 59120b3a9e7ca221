/** Criterion of the arc's volts: a plate proves the volts it is rated at, and an arc that takes more of them burns short. */
import { commonPractice, dataPlate } from '../basis/source.ts'
import { calculation, input, listOf } from '../calculation/calculation.ts'
import { mostWanted } from '../demand/demand.ts'
import type { WeldFigures } from '../demand/weldFigures.ts'
import { message } from '../model/message.ts'
import type { SupplyRating } from '../kinds/equipment.ts'
import type { ProcessFamily } from '../model/process.ts'
import { loadVoltageOf } from '../trade/arcVoltage.ts'
import { startingVolts, startingVoltsOf } from '../trade/startingVolts.ts'
import { thinnerFamily } from '../trade/wantedCurrent.ts'
import { BY_COLUMN, type Criterion, measured, unknown } from './criterion.ts'
import { weldWithMost } from './worstWeld.ts'

/** So much less is made up for at the bench: wire speed turned down a little, the arc a little shorter. */
const SHORT_V = 1

const PLATE = dataPlate('rated points of the plate')
const voltsGiven = calculation({
  id: 'volts-given',
  title: 'Volts that the source is rated at for this current and more',
  symbol: 'U_g',
  unit: 'V',
  expression: 'max(U_r)',
  inputs: {
    U_r: listOf(
      'load voltage of each rated point at this current or above, else of the highest point',
      'V',
      PLATE,
    ),
  },
  compute: ({ U_r }) => Math.max(...U_r),
  source: PLATE,
})
const voltsNeeded = calculation({
  id: 'volts-needed',
  title: 'Most arc volts that any weld starts with',
  symbol: 'U',
  unit: 'V',
  expression: 'U',
  inputs: { U: { ...input('start voltage of the arc', 'V', commonPractice()), from: startingVolts.from } },
  compute: ({ U }) => U,
  source: commonPractice('start voltage, then by ear and eye'),
})

type Point = SupplyRating['ratedPoints'][number]

/**
 * Volts that prove themselves at a current: what a source gives at more current it gives here too. Above its highest
 * point it is rated, as every source, at the load voltage of its current.
 */
function provenVolts(points: readonly Point[], family: ProcessFamily, currentA: number): readonly number[] {
  const voltsOf = (point: Point) => point.loadV ?? loadVoltageOf(family, point.currentA)
  const above = points.filter((point) => point.currentA >= currentA)
  if (above.length > 0) return above.map(voltsOf)
  return points.length === 0 ? [] : [Math.max(loadVoltageOf(family, currentA), ...points.map(voltsOf))]
}

/** Of a wire whose volts are set; pulsed, the source keeps them itself. */
const arcVolts: Criterion = {
  id: 'arc-volts',
  group: null,
  slots: ['circuit', 'powerSource', 'wire', 'gas'],
  facets: BY_COLUMN,
  demandFrom: [voltsNeeded],
  capacityFrom: [voltsGiven],
  alsoFrom: [mostWanted],
  assess(capability, demand) {
    const { process, supply, fedWire, gas, reckoner } = capability
    if (!demand || !process.feedsWire || process.id === 'gmaw-pulse' || !capability.powerSource) return null
    if (!supply) return unknown('arc-volts', message('supply'))
    const classification = fedWire?.classification ?? null
    const volts = ({ joint, wantedA }: WeldFigures) =>
      startingVoltsOf(
        process.id,
        { metal: thinnerFamily(joint), gas: process.shielded ? gas : null, classification },
        // Short of current the output fails; what volts it has is asked of what it gives.
        Math.min(wantedA, supply.outputMaxA),
        reckoner,
      )
    const { weld } = weldWithMost(demand, volts)
    const currentA = Math.min(weld.wantedA, supply.outputMaxA)
    const U_r = provenVolts(supply.ratedPoints, process.family, currentA)
    if (U_r.length === 0) return null
    const neededV = reckoner.compute(voltsNeeded, { U: volts(weld) })
    const givenV = reckoner.compute(voltsGiven, { U_r })
    const found = measured(capability, 'arc-volts', {
      demand: neededV,
      capacity: givenV,
      unit: 'V',
      weldId: weld.joint.id,
      source: PLATE,
    })
    if (neededV <= givenV) return { ...found, verdict: 'fits' }
    const isNear = neededV <= givenV + SHORT_V
    return { ...found, verdict: isNear ? 'tight' : 'fails', code: isNear ? 'a-little-short' : 'short' }
  },
  mends: () => [message('source-with-volts')],
}

export const ARC_CRITERIA: readonly Criterion[] = [arcVolts]
