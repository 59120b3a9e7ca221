/** Small parts that go together are known from one job to the next, and so must hang on nothing that another job says. */
import { expect, it } from 'vitest'
import type { Joint } from '../kinds/job.ts'
import { does } from '../model/verdict.ts'
import { demoShop } from '../testing/samples.ts'
import { Ground } from './ground.ts'

const demo = demoShop()
const named = <T extends { readonly id: string }>(list: readonly T[], id: string): T => {
  const found = list.find((one) => one.id === id)
  if (!found) throw new Error(`the demo has no ${id}`)
  return found
}
/** All of them hold the tip 3/8 in back. */
const parts = demo.parts.map((part) => (part.kind === 'nozzle' ? { ...part, tipRecessMm: 9.525 } : part))

/** @returns whether each set with a nozzle is tight, for a job of one kind of weld after the other, on one ground */
function tightOf(kinds: readonly Joint['kind'][]): readonly (readonly boolean[])[] {
  const ground = new Ground(
    demo.shop,
    { ...demo, parts },
    {
      withLibrary: false,
      isPricedOnly: true,
      costEnd: 'most',
      counts: does,
      isForNow: false,
    },
  )
  return kinds.map((kind) => {
    const frame = named(demo.jobs, 'press-frame')
    const job = { ...frame, joints: frame.joints.map((joint) => ({ ...joint, kind })) }
    const begun = ground
      .begunFor(job)
      .find(({ pair }) => pair.process === 'gmaw-short' && pair.wire.id === 'er70s6-035')
    if (!begun) throw new Error('no wire goes by short circuit')
    const main = ground
      .begin('gmaw-short', begun.pair.wire, named(demo.powerSources, 'quillon-210'))
      .with('gun', named(demo.guns, 'gun-250'))
      .with('gas', named(demo.gases, 'mix-75-25'))
    const { small } = ground.searchFor(begun, main.settings.polarity)
    const sets = small.byCluster(main, () => false)?.flat() ?? []
    return sets
      .filter(({ items }) => items.some(([slot]) => slot === 'nozzle'))
      .map(({ spent }) => spent.isTight)
  })
}

// Common practice, no source: a tip far back in its nozzle keeps the arc from the root of a corner, and of no butt.
it('a tip far back is tight in a corner and not on a butt, whichever job was looked at before', () => {
  // With either flow meter.
  const [inCorner, onButt] = [
    [true, true],
    [false, false],
  ]
  expect(tightOf(['tee', 'square'])).toEqual([inCorner, onButt])
  expect(tightOf(['square', 'tee'])).toEqual([onButt, inCorner])
})
