/** What a criterion says it looks at of a part is all that its verdict hangs on: searches ask it once for parts alike in it. */
import fc from 'fast-check'
import { expect, it } from 'vitest'
import { type Capability, capabilityOf } from '../capability/capability.ts'
import { chosenOf } from '../capability/slots.ts'
import { demandOf } from '../demand/demand.ts'
import { itemsFor, type Slot, type SlotItems } from '../kinds/slots.ts'
import { weldsAs } from '../kinds/weldsAs.ts'
import { LIBRARY } from '../library/index.ts'
import { movedJobs } from '../testing/movedJobs.ts'
import { runs } from '../testing/runs.ts'
import { demoShop } from '../testing/samples.ts'
import type { Criterion } from './criterion.ts'
import { CRITERIA } from './index.ts'

const demo = demoShop()
const guns = LIBRARY.flatMap(({ path, record }) => (path === 'guns' ? [record as SlotItems['gun']] : []))
const shelf = { ...demo, guns: [...demo.guns, ...guns] }

const faceted = CRITERIA.filter(({ facets }) => facets !== undefined)
const slotsOf = ({ facets = {} }: Criterion): readonly Slot[] => Object.keys(facets) as Slot[]
const facetOf = ({ facets = {} }: Criterion, slot: Slot, part: SlotItems[Slot]): unknown =>
  (facets[slot] as (part: SlotItems[Slot]) => unknown)(part)

/** The same set-up with other parts that are alike in what the criterion looks at. */
function withOthers(capability: Capability, criterion: Criterion, which: number): Capability {
  return slotsOf(criterion).reduce<Capability>((so, slot) => {
    const own = so[slot]
    if (!own) return so
    const alike = itemsFor(slot, shelf).filter(
      (other) => facetOf(criterion, slot, other) === facetOf(criterion, slot, own),
    )
    return so.with(slot, (alike[which % alike.length] ?? own) as never)
  }, capability)
}

it('parts alike in what a criterion looks at have the same verdict', () => {
  let others = 0
  fc.assert(
    fc.property(fc.constantFrom(...demo.setUps), movedJobs, fc.nat(), (setUp, job, which) => {
      const capability = capabilityOf(demo.shop, setUp, chosenOf(setUp, shelf))
      const demand = demandOf(job, setUp.process, capability.wire, demo.shop)
      for (const criterion of faceted) {
        const other = withOthers(capability, criterion, which)
        if (slotsOf(criterion).some((slot) => other[slot] !== capability[slot])) others += 1
        const [one, two] = [capability, other].map((of) => criterion.assess(of, demand)?.verdict)
        expect(two).toBe(one)
      }
    }),
    { numRuns: runs(150) },
  )
  expect(others).toBeGreaterThan(runs(150))
})

/** Small and large, at a price, and kept elsewhere. */
const PACKAGES = [
  { spoolMm: 100, packageG: 900 },
  { spoolMm: 300, packageG: 15_000, packagePrice: 80 },
  { spoolMm: null, keptAt: 'loft' },
] as const
it('wires that weld alike have the same verdict, but of what looks at their package', () => {
  const differing = new Set<string>()
  fc.assert(
    fc.property(
      fc.constantFrom(...demo.setUps),
      movedJobs,
      fc.constantFrom(...PACKAGES),
      (setUp, job, packed) => {
        const capability = capabilityOf(demo.shop, setUp, chosenOf(setUp, shelf))
        if (!capability.wire) return
        const wire = { ...capability.wire, ...packed, id: 'another', name: 'Another' }
        expect(weldsAs(wire)).toBe(weldsAs(capability.wire))
        const verdicts = [capability.wire, wire].map((one) => {
          const of = capability.with('wire', one)
          const demand = demandOf(job, setUp.process, one, demo.shop)
          return CRITERIA.map((criterion) => criterion.assess(of, demand)?.verdict)
        })
        const [own = [], others = []] = verdicts
        for (const [at, { id, isByPackage }] of CRITERIA.entries())
          if (isByPackage !== true) expect([id, others[at]]).toEqual([id, own[at]])
          else if (others[at] !== own[at]) differing.add(id)
      },
    ),
    { numRuns: runs(150) },
  )
  // What looks at a package is asked of each: none of them says that it does and does not.
  expect([...differing].sort()).toEqual(
    CRITERIA.filter(({ isByPackage }) => isByPackage)
      .map(({ id }) => id)
      .sort(),
  )
})

it('what speaks only where there is no job says nothing of one', () => {
  const ofNoJob = CRITERIA.filter(({ isForNoJob }) => isForNoJob === true)
  expect(ofNoJob.map(({ id }) => id)).toEqual(['wire-above-output', 'gun-for-wire'])
  let said = 0
  for (const setUp of demo.setUps) {
    const capability = capabilityOf(demo.shop, setUp, chosenOf(setUp, demo))
    for (const criterion of ofNoJob) {
      if (criterion.assess(capability, null)) said += 1
      for (const job of demo.jobs)
        expect(
          criterion.assess(capability, demandOf(job, setUp.process, capability.wire, demo.shop)),
        ).toBeNull()
    }
  }
  expect(said).toBeGreaterThan(0)
})
