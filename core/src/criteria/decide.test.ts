/** The verdict first: what is not asked would have changed neither verdict nor limit, over shops that fast-check makes. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { boardOf } from '../board/board.ts'
import { capabilityOf } from '../capability/capability.ts'
import { chosenOf, idsOf } from '../capability/slots.ts'
import { demandOf } from '../demand/demand.ts'
import type { SetUp } from '../kinds/setUp.ts'
import type { Shelf } from '../kinds/shelf.ts'
import { itemsFor, SLOTS } from '../kinds/slots.ts'
import { POLARITIES, PROCESS_IDS } from '../model/process.ts'
import type { Verdict } from '../model/verdict.ts'
import { movedJobs } from '../testing/movedJobs.ts'
import { runs } from '../testing/runs.ts'
import { demoShop } from '../testing/samples.ts'
import { shelves } from '../testing/shelves.ts'
import { concerning } from './concerns.ts'
import { type Assessment, OF_KIND } from './criterion.ts'
import { decide } from './decide.ts'
import { assess, worstOf } from './index.ts'
import { countAgainst, verdictAlone } from './verdictAlone.ts'
import { isJudged } from './judged.ts'
import { limitOf } from './limit.ts'

const demo = demoShop()

/** Whatever the two have, side by side. */
const both = (one: Shelf, other: Shelf): Shelf =>
  Object.fromEntries(
    Object.entries(other).map(([key, list]) => [
      key,
      [...one[key as keyof Shelf], ...(list as readonly unknown[])],
    ]),
  ) as unknown as Shelf

/** A set-up of the demo with anything of the shelf in any place, or nothing. */
const setUpsOf = (shelf: Shelf): fc.Arbitrary<SetUp> =>
  fc
    .record({
      setUp: fc.constantFrom(...demo.setUps),
      process: fc.option(fc.constantFrom(...PROCESS_IDS), { nil: null }),
      polarity: fc.option(fc.constantFrom(...POLARITIES), { nil: null, freq: 2 }),
      moved: fc.subarray([...SLOTS], { maxLength: 4 }),
      at: fc.array(fc.option(fc.nat(), { freq: 8 }), { minLength: SLOTS.length, maxLength: SLOTS.length }),
    })
    .map(({ setUp, process, polarity, moved, at }) => {
      const chosen = Object.fromEntries(
        moved.map((slot, index) => {
          const items = itemsFor(slot, shelf)
          const which = at[index] ?? null
          return [slot, which === null ? null : (items[which % items.length] ?? null)]
        }),
      )
      const ids = Object.entries(idsOf(chosen)).filter(([key]) => moved.some((slot) => key === `${slot}Id`))
      return {
        ...setUp,
        ...(process ? { process } : {}),
        ...(polarity ? { polarity } : {}),
        ...Object.fromEntries(ids),
      }
    })

/** The limit by its rule: by kind first, in the order of the kinds; then in the order of the criteria. */
function limitByRule(criteria: readonly Assessment[], verdict: Verdict): Assessment | null {
  const worst = criteria.filter((one) => one.verdict === verdict && isJudged(one))
  const ofKind = OF_KIND.flatMap((kind) => worst.filter(({ criterion }) => concerning(kind).has(criterion)))
  return ofKind[0] ?? worst[0] ?? null
}

/** Of a demo set-up as it is, or moved about; with an empty place where nobody has said what is in it. */
const cases = shelves
  .map((made) => both(demo, made))
  .chain((shelf) =>
    fc
      .record({
        job: fc.oneof(fc.constantFrom(...demo.jobs), movedJobs),
        setUp: fc.oneof(fc.constantFrom(...demo.setUps), setUpsOf(shelf)),
        emptied: fc.option(fc.constantFrom('roll', 'tip', 'nozzle', 'cup' as const), { nil: null }),
      })
      .map(({ job, setUp, emptied }) => {
        const chosen = chosenOf(setUp, shelf)
        return { job, setUp, chosen: emptied === null ? chosen : { ...chosen, [emptied]: null } }
      }),
  )

const GATE = 300
const TRIES = runs(GATE)

describe('the verdict first', () => {
  it('is the verdict, and names the limit, of all criteria together', () => {
    const seen = new Map<string, number>()
    fc.assert(
      fc.property(cases, ({ job, setUp, chosen }) => {
        const all = assess(
          capabilityOf(demo.shop, setUp, chosen),
          demandOf(job, setUp.process, chosen.wire, demo.shop),
        )
        const { verdict, limit, found } = decide(
          capabilityOf(demo.shop, setUp, chosen),
          demandOf(job, setUp.process, chosen.wire, demo.shop),
        )
        expect(verdict).toBe(worstOf(all))
        expect(limit).toEqual(verdict === 'fits' ? null : limitByRule(all, verdict))
        expect(limitOf(all, verdict)).toEqual(limitByRule(all, verdict))
        if (verdict !== 'fails') expect(new Set(found)).toEqual(new Set(all))
        seen.set(verdict, (seen.get(verdict) ?? 0) + 1)
      }),
      { numRuns: TRIES },
    )
    // A property over failures alone would show little; of few tries some verdicts are missing by chance.
    if (TRIES < GATE) return
    expect([...seen.keys()]).toEqual(expect.arrayContaining(['fails', 'unknown', 'tight', 'fits']))
  })

  it('is the same whatever was asked before with the same wire', () => {
    fc.assert(
      fc.property(movedJobs, fc.array(setUpsOf(demo), { minLength: 2, maxLength: 6 }), (job, setUps) => {
        const named = setUps.map((setUp, at) => ({ ...setUp, id: `${at}` }))
        const together = boardOf(demo.shop, demo, [job], named)
        for (const [at, setUp] of named.entries())
          expect(together[at]).toEqual(boardOf(demo.shop, demo, [job], [setUp])[0])
      }),
      { numRuns: runs(60) },
    )
  })

  it('alone is the same, and so is how many criteria are against it', () => {
    fc.assert(
      fc.property(cases, fc.integer({ min: 1, max: 6 }), ({ job, setUp, chosen }, fewest) => {
        const asked = () =>
          [
            capabilityOf(demo.shop, setUp, chosen),
            demandOf(job, setUp.process, chosen.wire, demo.shop),
          ] as const
        const all = assess(...asked())
        const verdict = worstOf(all)
        expect(verdictAlone(...asked())).toBe(verdict)
        const against = all.filter((one) => one.verdict === verdict).length
        expect(countAgainst(...asked(), fewest)).toBe(against < fewest ? against : null)
      }),
      { numRuns: TRIES },
    )
  })

  it('asks no more where a wrong metal settles it', () => {
    const [job] = demo.jobs.filter(({ id }) => id === 'pressing-tray')
    const setUp = demo.setUps.find(({ id }) => id === 'bay-2-wire')
    if (!job || !setUp) throw new Error('demo')
    const chosen = chosenOf(setUp, demo)
    const demand = demandOf(job, setUp.process, chosen.wire, demo.shop)
    const { limit, found } = decide(capabilityOf(demo.shop, setUp, chosen), demand)
    expect(limit?.criterion).toBe('filler-for-metal')
    // Before it come voltage and process, which the set-up meets for every job.
    expect(found.map(({ criterion }) => criterion)).toEqual(['supply-voltage', 'rated-for-process'])
  })
})
