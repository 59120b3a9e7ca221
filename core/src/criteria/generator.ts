/** Criteria of a supply that a generator makes: does it give enough hour after hour, and for a moment. */
import { dataPlate } from '../basis/source.ts'
import { mostWanted } from '../demand/demand.ts'
import { figure, message } from '../model/message.ts'
import {
  askedOfGenerator,
  askedOfGeneratorKva,
  generatorRunning,
  generatorRunningKva,
  generatorStarting,
  generatorStartingKva,
  loadsOnGenerator,
  peakOfGenerator,
} from '../supply/generator.ts'
import { greatestInputA, inputCurrentA, weldingDrawnA } from '../supply/inputCurrent.ts'
import { type Criterion, measured, unknown } from './criterion.ts'

const PLATE = dataPlate('generator')
const SLOTS = ['circuit', 'powerSource'] as const

const lacking: NonNullable<Criterion['mends']> = ({ generator, building, assumptions }, _d, { demand }) => [
  ...(generator && loadsOnGenerator(generator.id, building).length > 0 ? [message('others-off')] : []),
  message('generator-of', {
    size: figure((demand ?? 0) * (1 + assumptions.safetyMarginPct / 100), 'kVA'),
  }),
]

const runs: Criterion = {
  id: 'generator-runs',
  concerns: 'generator',
  group: null,
  slots: SLOTS,
  demandFrom: [askedOfGenerator],
  capacityFrom: [generatorRunning],
  alsoFrom: [mostWanted],
  assess(capability, demand) {
    const { generator, circuit, supply, draw, reckoner } = capability
    if (!demand || !generator || !circuit) return null
    if (!draw || !supply)
      return unknown('generator-runs', capability.supply ? capability.drawMissing : message('supply'))
    const I_1 = inputCurrentA(draw, weldingDrawnA(supply, demand.hungriest.wantedA, reckoner), reckoner)
    return measured(capability, 'generator-runs', {
      params: { generator: generator.name },
      demand: askedOfGeneratorKva(generator, circuit, capability.building, I_1, 'running', reckoner),
      capacity: generatorRunningKva(generator, reckoner),
      unit: 'kVA',
      weldId: demand.hungriest.joint.id,
      source: PLATE,
    })
  },
  mends: lacking,
}

const starts: Criterion = {
  id: 'generator-starts',
  concerns: 'generator',
  isOfSetUp: true,
  group: null,
  slots: SLOTS,
  demandFrom: [peakOfGenerator],
  capacityFrom: [generatorStarting],
  assess(capability) {
    const { generator, circuit, supply, draw, reckoner } = capability
    if (!generator || !circuit || !draw || !supply) return null
    const capacity = generatorStartingKva(generator, reckoner)
    if (capacity === null) return null
    const I_1 = greatestInputA(supply, draw, reckoner)
    return measured(capability, 'generator-starts', {
      params: { generator: generator.name },
      demand: askedOfGeneratorKva(generator, circuit, capability.building, I_1, 'peak', reckoner),
      capacity,
      unit: 'kVA',
      isLimit: true,
      source: PLATE,
    })
  },
  mends: lacking,
}

export const GENERATOR_CRITERIA: readonly Criterion[] = [runs, starts]
