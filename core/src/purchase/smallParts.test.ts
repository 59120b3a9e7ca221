/** Small parts that go together are known from one job to the next, and so must hang on nothing that another job says. */
import { expect, it } from 'vitest'
import type { Capability } from '../capability/capability.ts'
import type { Job, Joint } from '../kinds/job.ts'
import type { Shelf } from '../kinds/shelf.ts'
import type { Slot, SlotItems } from '../kinds/slots.ts'
import { does } from '../model/verdict.ts'
import { demoShop } from '../testing/samples.ts'
import { Ground } from './ground.ts'

const demo = demoShop()
const named = <T extends { readonly id: string }>(list: readonly T[], id: string): T => {
  const found = list.find((one) => one.id === id)
  if (!found) throw new Error(`the demo has no ${id}`)
  return found
}
const groundOf = (shelf: Shelf, withLibrary: boolean): Ground =>
  new Ground(demo.shop, shelf, {
    withLibrary,
    isPricedOnly: true,
    costEnd: 'most',
    counts: does,
    isForNow: false,
  })

/** A job by short circuit with one wire: its search, and what of a set-up is chosen before small parts are. */
function seekingFor(ground: Ground, job: Job) {
  const begun = ground
    .begunFor(job)
    .find(({ pair }) => pair.process === 'gmaw-short' && pair.wire.id === 'er70s6-035')
  if (!begun) throw new Error('no wire goes by short circuit')
  const seeking = ground.searchFor(begun, named(demo.powerSources, 'quillon-210'))
  const main = (sourceId: string, gunId: string): Capability =>
    seeking.bare
      .with('powerSource', named(demo.powerSources, sourceId))
      .with('gun', named(demo.guns, gunId))
      .with('gas', named(demo.gases, 'mix-75-25'))
  return { main, ...seeking }
}

/** All of them hold the tip 3/8 in back. */
const parts = demo.parts.map((part) => (part.kind === 'nozzle' ? { ...part, tipRecessMm: 9.525 } : part))

/** @returns whether each set with a nozzle is tight, for a job of one kind of weld after the other, on one ground */
function tightOf(kinds: readonly Joint['kind'][]): readonly (readonly boolean[])[] {
  const ground = groundOf({ ...demo, parts }, false)
  return kinds.map((kind) => {
    const frame = named(demo.jobs, 'press-frame')
    const job = { ...frame, joints: frame.joints.map((joint) => ({ ...joint, kind })) }
    const { small, main } = seekingFor(ground, job)
    const sets = small.byCluster(main('quillon-210', 'gun-250'), () => false)?.flat() ?? []
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

// Common practice, no source: a tip screws into guns of its class alone, a roll onto drives of its make alone.
it('are made for the gun and the drive that they go with, whichever were looked at before', () => {
  const { search, small, main } = seekingFor(
    groundOf({ ...demo, parts: [] }, true),
    named(demo.jobs, 'press-frame'),
  )
  const setUps = [
    main('quillon-210', 'gun-250'),
    main('quillon-210', 'gun-150'),
    main('marl-140', 'gun-150'),
    main('marl-140', 'gun-250'),
  ]
  for (const setUp of setUps) {
    const { partsClass } = setUp.gun ?? {}
    const rollSystem = setUp.powerSource?.feeder?.rollSystem
    const tips = search.byCost('tip', setUp).all
    expect(tips.length).toBeGreaterThan(0)
    for (const { item } of tips) expect(item).toMatchObject({ partsClass })
    const best = small.best(setUp)?.items ?? []
    const parts = new Map<string, SlotItems[Slot]>(best)
    expect(parts.get('roll')).toMatchObject({ rollSystem })
    expect(parts.get('nozzle')).toMatchObject({ partsClass })
  }
})
