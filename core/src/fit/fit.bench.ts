/** One job with one set-up must fit in under a millisecond, and every mend of it within a frame. */
import { bench, describe } from 'vitest'
import { demoInput, demoShop } from '../testing/samples.ts'
import { fitJob, planJob } from './fit.ts'
import { suggest } from './suggest.ts'

const shop = demoShop()

describe('one job with one set-up', () => {
  for (const { id } of shop.jobs.filter(({ setUpId }) => setUpId !== null)) {
    const input = demoInput(id)
    bench(`fit ${id}`, () => {
      fitJob(input)
    })
  }
})

describe('a job of 500 weld lines', () => {
  const input = demoInput('press-screw-post')
  const joints = Array.from({ length: 500 }, (_, index) => {
    const [joint] = [input.job.joints[index % input.job.joints.length] ?? input.job.joints[0]]
    if (!joint) throw new Error('the demo has no joint')
    return { ...joint, id: `w${index}`, lengthMm: 50 + index }
  })
  const large = { ...input, job: { ...input.job, joints } }
  bench('fit 500 lines', () => {
    fitJob(large)
  })
  bench('plan 500 lines', () => {
    planJob(large)
  })
})

describe('all mends of one job', () => {
  for (const id of ['press-frame', 'picking-platform']) {
    const input = demoInput(id)
    const entered = { shop: shop.shop, shelf: shop, setUps: shop.setUps, job: input.job, setUp: input.setUp }
    const fit = fitJob(input)
    bench(`suggest ${id}`, () => {
      suggest(entered, fit)
    })
  }
})
