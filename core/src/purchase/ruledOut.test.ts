/** What is ruled out for good stays out for every job, and nothing else does. Sources: none outside; answers with and without. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { sampleCapability, sampleGun, samplePowerSource, sampleWire } from '../testing/equipment.ts'
import { runs } from '../testing/runs.ts'
import { demoShop } from '../testing/samples.ts'
import { shelves } from '../testing/shelves.ts'
import { couldDo, CouldDoSearch } from './couldDo.ts'
import type { Option } from './options.ts'
import { RuledOut } from './ruledOut.ts'

const demo = demoShop()
const MOST = 1000

it('the ways to do a job are the same whichever jobs were looked at before it', () => {
  fc.assert(
    fc.property(shelves, fc.shuffledSubarray([...demo.jobs], { minLength: 2 }), (shelf, jobs) => {
      const search = new CouldDoSearch(demo.shop, shelf)
      for (const job of jobs) {
        const alone = couldDo(demo.shop, shelf, job, { most: MOST })
        const after = search.answer(job, MOST)
        expect(after.count).toBe(alone.count)
        expect(after.best.map(({ rank, verdict }) => [...rank, verdict])).toEqual(
          alone.best.map(({ rank, verdict }) => [...rank, verdict]),
        )
      }
    }),
    { numRuns: runs(20) },
  )
})

describe('what is out', () => {
  const [thin, thick] = [sampleWire({ id: 'thin' }), sampleWire({ id: 'thick' })]
  const [plain, other] = [samplePowerSource({ id: 'plain' }), samplePowerSource({ id: 'other' })]
  const [gun, short] = [sampleGun({ id: 'long' }), sampleGun({ id: 'short' })]
  const feeder = { ...demo.feeders[0], id: 'case' } as (typeof demo.feeders)[number]
  const second = { ...feeder, id: 'second' }
  const optionOf = (item: Option['item']): Option => ({
    item,
    spent: { unpriced: 0, toGet: 0, isTight: false, runCost: 0, buys: [] },
  })
  const capability = sampleCapability({ powerSource: plain, wire: thin })
    .with('gun', null)
    .with('feeder', null)

  it('by a criterion that looks at the wire is out with that wire alone', () => {
    const ruledOut = new RuledOut()
    ruledOut.at('gun', capability)?.add(gun, ['powerSource', 'gun', 'wire'])
    expect(ruledOut.at('gun', capability)?.has(gun)).toBe(true)
    expect(ruledOut.at('gun', capability)?.has(short)).toBe(false)
    expect(ruledOut.at('gun', capability.with('wire', thick))?.has(gun)).toBe(false)
  })

  it('by one that looks at no wire is out with each, on that source alone', () => {
    const ruledOut = new RuledOut()
    ruledOut.at('gun', capability)?.add(gun, ['powerSource', 'gun'])
    expect(ruledOut.at('gun', capability.with('wire', thick))?.has(gun)).toBe(true)
    expect(ruledOut.at('gun', capability.with('powerSource', other))?.has(gun)).toBe(false)
  })

  it('by one that looks at what is chosen later, or beside it, is not out for good', () => {
    const ruledOut = new RuledOut()
    ruledOut.at('gun', capability)?.add(gun, ['gun', 'gas'])
    expect(ruledOut.at('gun', capability)?.has(gun)).toBe(false)
    expect(ruledOut.at('gun', capability.with('feeder', feeder))).toBeNull()
    expect(ruledOut.at('tip', capability)).toBeNull()
  })

  it('is a circuit, of its own place', () => {
    const ruledOut = new RuledOut()
    const [circuit] = demo.circuits
    if (!circuit) throw new Error('the demo has no circuit')
    ruledOut.at('circuit', capability)?.add(circuit, ['circuit', 'powerSource'])
    expect(ruledOut.at('circuit', capability.with('wire', thick))?.has(circuit)).toBe(true)
    expect(ruledOut.at('gun', capability)?.has(circuit)).toBe(false)
  })

  it('is a gun that every feeder is out with, and none that one may feed', () => {
    const withGun = capability.with('gun', gun)
    const ruledOut = new RuledOut()
    const ask = () => ruledOut.at('gun', capability)?.has(gun)
    ruledOut.at('feeder', withGun)?.add(feeder, ['powerSource', 'feeder', 'gun'])
    ruledOut.withFeeders(withGun, [feeder, second].map(optionOf))
    expect(ask()).toBe(false)
    ruledOut.at('feeder', withGun)?.add(second, ['powerSource', 'feeder', 'gun', 'wire'])
    ruledOut.withFeeders(withGun, [feeder, second].map(optionOf))
    expect(ask()).toBe(true)
    expect(ruledOut.at('gun', capability.with('wire', thick))?.has(gun)).toBe(false)
    ruledOut.withFeeders(capability.with('gun', short), [feeder, second].map(optionOf))
    expect(ruledOut.at('gun', capability)?.has(short)).toBe(false)
  })
})
