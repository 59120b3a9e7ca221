/** All choices of a set-up from a shelf of two thousand things: under 50 ms. */
import { bench, describe } from 'vitest'
import { largeCatalogue } from '../testing/largeShelf.ts'
import { demoShop } from '../testing/samples.ts'
import { assemblyOf, chosenOf } from './assembly.ts'
import { fitOut } from './fitOut.ts'
import { judgeAll } from './judge.ts'
import { offersFor } from './offers.ts'
import { emptyChoice, needsOf } from './slots.ts'

const demo = demoShop()
const { format: _format, version: _version, ...lists } = largeCatalogue(demo, 2000)
const shelf = { ...demo, ...lists }

for (const id of ['bay-2-wire', 'bench-tig-dc', 'platform-tried']) {
  const setUp = demo.setUps.find((one) => one.id === id)
  if (!setUp) throw new Error(`the demo has no ${id}`)
  const assembly = assemblyOf(demo.shop, setUp, chosenOf(setUp, shelf), null)
  const needs = needsOf(assembly)
  describe(`${id}, a shelf of 2,000`, () => {
    bench('choices for every place', () => {
      for (const { slot } of needs) offersFor(slot, assembly, shelf)
    })
    bench('choices for the wire', () => {
      offersFor('wire', assembly, shelf)
    })
    bench('every rule', () => {
      judgeAll(assembly)
    })
    bench('a new set-up from nothing', () => {
      fitOut({ ...assembly, ...emptyChoice() }, shelf, 'all')
    })
  })
}
