/** One job with one set-up must fit in under a millisecond, and every mend of it within a frame. */
import { bench, describe } from 'vitest'
import { demoInput, demoShop } from '../testing/samples.ts'
import { fitJob } from './fit.ts'
import { suggest } from './suggest.ts'

const shop = demoShop()

describe('one job with one set-up', () => {
  for (const { id } of shop.jobs) {
    const input = demoInput(id)
    bench(`fit ${id}`, () => {
      fitJob(input)
    })
  }
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
