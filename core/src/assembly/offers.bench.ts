/** All choices of a set-up from a shelf of two thousand things: under 50 ms. */
import { bench, describe } from 'vitest'
import { largeCatalogue } from '../testing/largeShelf.ts'
import { demoShop } from '../testing/samples.ts'
import { capabilityOf } from '../capability/capability.ts'
import { chosenOf, emptyChoice, needsOf } from '../capability/slots.ts'
import { assess } from '../criteria/index.ts'
import { fitOut } from './fitOut.ts'
import { offersFor } from './offers.ts'

const demo = demoShop()
const { format: _format, version: _version, ...lists } = largeCatalogue(demo, 2000)
const shelf = { ...demo, ...lists }

for (const id of ['bay-2-wire', 'bench-tig-dc', 'platform-tried']) {
  const setUp = demo.setUps.find((one) => one.id === id)
  if (!setUp) throw new Error(`the demo has no ${id}`)
  const capability = capabilityOf(demo.shop, setUp, chosenOf(setUp, shelf))
  const needs = needsOf(capability)
  describe(`${id}, a shelf of 2,000`, () => {
    bench('choices for every place', () => {
      for (const { slot } of needs) offersFor(slot, capability, null, shelf)
    })
    bench('choices for the wire', () => {
      offersFor('wire', capability, null, shelf)
    })
    bench('every criterion', () => {
      assess(capabilityOf(demo.shop, setUp, chosenOf(setUp, shelf)), null)
    })
    bench('a new set-up from nothing', () => {
      fitOut(capabilityOf(demo.shop, setUp, emptyChoice()), shelf, { which: 'all' })
    })
  })
}
