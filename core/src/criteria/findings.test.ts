/** What is kept for one set-up is told of another only where nothing that the criterion looks at is another. */
import fc from 'fast-check'
import { expect, it } from 'vitest'
import { type Capability, capabilityOf, NOTHING_SET, type Settings } from '../capability/capability.ts'
import { chosenOf } from '../capability/slots.ts'
import { demandOf } from '../demand/demand.ts'
import { itemsFor, SLOTS } from '../kinds/slots.ts'
import { POLARITIES } from '../model/process.ts'
import { runs } from '../testing/runs.ts'
import { demoShop } from '../testing/samples.ts'
import { assess, worstOf } from './index.ts'
import { verdictAlone } from './verdictAlone.ts'

const demo = demoShop()
const { shop } = demo
const START = demo.setUps.map((setUp) => capabilityOf(shop, setUp, chosenOf(setUp, demo)))

/** Of each setting another value than most set-ups have. */
const OTHERWISE: Partial<Settings> = {
  start: 'scratch',
  electronicsNear: true,
  stickOutMm: 28,
  flowLPerMin: 3,
  cordSize: '16 AWG',
  cordLengthMm: 60_000,
  leadSize: '6 AWG',
  leadLengthMm: 60_000,
  returnV: 9,
  linksSetV: 208,
}

/** The same set-up in all but one respect. */
const changed: fc.Arbitrary<(capability: Capability) => Capability> = fc.oneof(
  fc
    .constantFrom(...SLOTS)
    .chain((slot) =>
      fc
        .option(fc.constantFrom(...itemsFor(slot, demo)), { freq: 9 })
        .map((item) => (capability: Capability) => capability.with(slot, item as never)),
    ),
  fc.constantFrom(...POLARITIES).map((polarity) => (one: Capability) => one.withSettings({ polarity })),
  fc
    .subarray(Object.entries(OTHERWISE), { minLength: 1 })
    .map((some) => (one: Capability) => one.withSettings(Object.fromEntries(some))),
  fc.constantFrom(...demo.setUps).map(
    ({ process }) =>
      (one: Capability) =>
        one.withSettings({ process }),
  ),
  fc.constant((one: Capability) =>
    capabilityOf({ ...shop, assumptions: { ...shop.assumptions, safetyMarginPct: 60 } }, one.settings, one),
  ),
  fc.constant((one: Capability) => {
    const heater = {
      id: 'heater',
      name: 'Heater',
      circuitId: one.circuit?.id ?? '',
      currentA: 19,
      isRunning: true,
    }
    return capabilityOf(shop, one.settings, {
      ...one,
      building: { ...one.building, loads: [heater as never] },
    })
  }),
)

it('every setting is among those that are changed here', () => {
  expect(Object.keys(OTHERWISE).sort()).toEqual(Object.keys(NOTHING_SET).sort())
})

it('set-ups that share a job are told what each is told alone, whichever comes first', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...demo.jobs),
      fc.constantFrom(...START),
      fc.array(changed, { minLength: 1, maxLength: 4 }),
      (job, first, changes) => {
        const demand = () => demandOf(job, first.process.id, first.wire, shop)
        const shared = demand()
        for (const one of [first, ...changes.map((change) => change(first)), first]) {
          const alone = assess(one, demand())
          expect(assess(one, shared)).toEqual(alone)
          expect([verdictAlone(one, shared), verdictAlone(one, shared)]).toEqual([
            worstOf(alone),
            worstOf(alone),
          ])
        }
      },
    ),
    { numRuns: runs(300) },
  )
})
