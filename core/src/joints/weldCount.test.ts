/** A fillet on both sides is two welds: in filler, arcs, time and heat it is as if each had been listed. */
import fc from 'fast-check'
import { expect, it } from 'vitest'
import { demandOf } from '../demand/demand.ts'
import { fitJob } from '../fit/fit.ts'
import { demoInput, demoShop } from '../testing/samples.ts'
import { runs } from '../testing/runs.ts'
import { weldCountOf } from './weldCount.ts'

const { job, ...rest } = demoInput('press-frame')
const [first] = job.joints
if (!first) throw new Error('the press frame has no weld')
const { shop, wires } = demoShop()
const wire = wires.find(({ form }) => form === 'solid') ?? null
const withWelds = (count: number, bothSides: boolean, quantity: number) => ({
  ...job,
  quantity,
  joints: [{ ...first, kind: 'tee' as const, around: false, count, bothSides }],
})

it('uses the filler, arcs and hours of twice as many welds', () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 40 }), fc.integer({ min: 1, max: 9 }), (count, pieces) => {
      const [pairs, singles] = [withWelds(count, true, pieces), withWelds(2 * count, false, pieces)].map(
        (one) => demandOf(one, 'gmaw-short', wire, shop),
      )
      for (const figure of ['fillerG', 'arcs', 'arcS', 'workH'] as const)
        expect(pairs?.[figure], figure).toBeCloseTo(singles?.[figure] as number, 6)
    }),
    { numRuns: runs(30) },
  )
})

it('has the verdicts, duty and cost of them as well', () => {
  const [pairs, singles] = [withWelds(12, true, 2), withWelds(24, false, 2)].map((one) =>
    fitJob({ ...rest, job: one }),
  )
  expect(pairs?.criteria.map(({ criterion, verdict }) => [criterion, verdict])).toEqual(
    singles?.criteria.map(({ criterion, verdict }) => [criterion, verdict]),
  )
  expect(pairs?.dutyPct).toBeCloseTo(singles?.dutyPct as number, 6)
  expect(pairs?.cost?.job).toEqual(singles?.cost?.job)
})

it('counts one side once', () => {
  expect([true, false].map((bothSides) => weldCountOf({ count: 6, bothSides }))).toEqual([12, 6])
})
