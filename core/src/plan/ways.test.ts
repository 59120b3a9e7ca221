/** What a job takes of the breakers, beside its work laid out second by second. */
import { describe, expect, it } from 'vitest'
import { capabilityOf } from '../capability/capability.ts'
import { chosenOf } from '../capability/slots.ts'
import { demandOf } from '../demand/demand.ts'
import type { Job } from '../kinds/job.ts'
import type { SetUp } from '../kinds/equipment.ts'
import { beatsOf } from '../power/trips.ts'
import { demoShop, oneOf } from '../testing/samples.ts'
import { Ways } from './ways.ts'

const demo = demoShop()
const { shop, setUps, jobs } = demo
const ways = new Ways({ shop, shelf: demo, setUps })

/** Root mean square over the hottest ten minutes of the job, second by second; over all of it where it is shorter. */
function hottestA(job: Job, setUp: SetUp): number {
  const capability = capabilityOf(shop, setUp, chosenOf(setUp, demo))
  const beats = beatsOf(capability, demandOf(job, setUp.process, capability.wire, shop))
  if (!beats) throw new Error('it draws nothing')
  const squares: number[] = []
  let leftS = 0
  const put = (amps: number, seconds: number): void => {
    for (leftS += seconds; leftS >= 1; leftS -= 1) squares.push(amps ** 2)
  }
  for (const { onS, offS, times, onA, offA } of beats)
    for (let time = 0; time < times; time += 1) {
      put(onA, onS)
      put(offA, offS)
    }
  let [sum, most] = [0, 0]
  squares.forEach((square, at) => {
    sum += square - (at >= 600 ? (squares[at - 600] ?? 0) : 0)
    most = Math.max(most, sum)
  })
  return Math.sqrt(most / 600)
}

// A breaker is warm within minutes (inverse-time, UL 489): twenty minutes of tacking before do not cool the welds after.
describe('on a breaker a job counts as in its hottest ten minutes', () => {
  const cases = (['piece-by-piece', 'weld-by-weld'] as const).flatMap((order) =>
    ['press-frame', 'tank-manifold', 'pressing-tray', 'gusset-template'].map((id) => [id, order] as const),
  )
  it.each(cases)('%s, %s', (id, order) => {
    const job = { ...oneOf(jobs, id), order }
    let compared = 0
    for (const { setUp, uses } of ways.ofJob(job).ways) {
      const use = uses.find(({ key }) => key === `circuit ${setUp.circuitId}`)
      if (!use) continue
      const hottest = hottestA(job, setUp)
      expect(use.amount).toBeGreaterThan(hottest * 0.98)
      expect(use.amount).toBeLessThan(hottest * 1.05 + 0.5)
      compared += 1
    }
    expect(compared).toBeGreaterThan(0)
  })
})
