/** Criteria of a supply that a generator makes: does it give enough hour after hour, and for a moment. */
import { dataPlate } from '../basis/source.ts'
import { mostWanted } from '../demand/demand.ts'
import { figure, told } from '../model/told.ts'
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
  ...(generator && loadsOnGenerator(generator.id, building).length > 0 ? [told('others-off')] : []),
  told('generator-of', {
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
  assess(c, d) {
    const { generator, circuit, supply, draw, r } = c
    if (!d || !generator || !circuit) return null
    if (!draw || !supply) return unknown('generator-runs', c.supply ? c.drawMissing : told('supply'))
    const I_1 = inputCurrentA(draw, weldingDrawnA(supply, d.hungriest.wantedA, r), r)
    return measured(c, 'generator-runs', {
      params: { generator: generator.name },
      demand: askedOfGeneratorKva(generator, circuit, c.building, I_1, 'running', r),
      capacity: generatorRunningKva(generator, r),
      unit: 'kVA',
      weldId: d.hungriest.joint.id,
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
  assess(c) {
    const { generator, circuit, supply, draw, r } = c
    if (!generator || !circuit || !draw || !supply) return null
    const capacity = generatorStartingKva(generator, r)
    if (capacity === null) return null
    const I_1 = greatestInputA(supply, draw, r)
    return measured(c, 'generator-starts', {
      params: { generator: generator.name },
      demand: askedOfGeneratorKva(generator, circuit, c.building, I_1, 'peak', r),
      capacity,
      unit: 'kVA',
      isLimit: true,
      source: PLATE,
    })
  },
  mends: lacking,
}

export const GENERATOR_CRITERIA: readonly Criterion[] = [runs, starts]
