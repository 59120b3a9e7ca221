/** Minutes onto a bare machine, which are kept by what decides them: the same as those of its steps, whatever is put on. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { TracingReckoner } from '../calculation/reckoner.ts'
import { type Capability, capabilityOf } from '../capability/capability.ts'
import { chosenOf } from '../capability/slots.ts'
import { SLOTS } from '../kinds/slots.ts'
import { runs } from '../testing/runs.ts'
import { demoShop } from '../testing/samples.ts'
import { changeoverMinOf, changeoverTo, changeoverWagesOf } from './toSetUp.ts'

const demo = demoShop()
const bareOf = (at: number): Capability => {
  const setUp = demo.setUps[at % demo.setUps.length]
  if (!setUp) throw new Error('the demo has no set-up')
  return capabilityOf(demo.shop, setUp, { ...chosenOf(setUp, demo), bench: null })
}
const cases = fc.record({
  first: fc.nat(100),
  other: fc.nat(100),
  emptied: fc.subarray([...SLOTS]),
  swapped: fc.subarray([...SLOTS]),
  stickOutMm: fc.option(fc.integer({ min: 5, max: 20 })),
  leadSize: fc.constantFrom(null, '2 AWG'),
  flowLPerMin: fc.option(fc.integer({ min: 5, max: 20 })),
  polarity: fc.constantFrom('dcep', 'dcen', 'ac' as const),
})

describe('minutes onto a bare machine', () => {
  it('cost the wages of that time', () => {
    const stick = bareOf(demo.setUps.findIndex(({ id }) => id === 'yard-stick'))
    // Holder 1.5, leads 2, polarity 1.5, supply 1.5, process 0.3, rods 0.5, settings 0.7, scrap 2: ten minutes.
    expect(changeoverMinOf(stick)).toBeCloseTo(10, 6)
    expect(changeoverWagesOf(stick)).toBeCloseTo(stick.assumptions.labourPerHour / 6, 6)
  })
  it('are those of its steps, in whichever order set-ups are asked about', () => {
    const seen = new Set<number>()
    fc.assert(
      fc.property(cases, ({ first, other, emptied, swapped, ...settings }) => {
        const from = bareOf(other)
        let made = bareOf(first).withSettings(settings)
        for (const slot of swapped) made = made.with(slot, from[slot])
        for (const slot of emptied) made = made.with(slot, null)
        const minutes = changeoverMinOf(made)
        seen.add(minutes)
        expect(minutes).toBeCloseTo(changeoverTo(made).minutes, 9)
      }),
      { numRuns: runs(400) },
    )
    expect(seen.size).toBeGreaterThan(10)
  })

  it('keep every step in a working, though they are known', () => {
    const setUp = bareOf(0)
    const known = changeoverMinOf(setUp)
    const tracing = new TracingReckoner(setUp.assumptions)
    expect(changeoverMinOf(setUp.reckonedBy(tracing))).toBe(known)
    const steps = tracing.stepsOf([{ calculations: ['changeover-time'], value: null }])
    expect(steps.length).toBeGreaterThan(changeoverTo(setUp).steps.length / 2)
    expect(steps.at(-1)?.result.value).toBe(known)
  })

  it('are none without a machine, and less where most of it hangs there already', () => {
    expect(changeoverMinOf(bareOf(0).with('powerSource', null))).toBe(0)
    const present = demo.presentSetUps[0]
    const setUp = demo.setUps.find(({ powerSourceId }) => powerSourceId === present?.id)
    if (!setUp) throw new Error('the demo has nothing on a machine')
    const chosen = chosenOf(setUp, demo)
    const there = changeoverMinOf(capabilityOf(demo.shop, setUp, chosen))
    expect(there).toBeCloseTo(changeoverTo(capabilityOf(demo.shop, setUp, chosen)).minutes, 9)
    expect(there).not.toBe(changeoverMinOf(capabilityOf(demo.shop, setUp, { ...chosen, bench: null })))
  })
})
