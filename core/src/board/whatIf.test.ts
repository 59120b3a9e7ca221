/** One change tried over the whole board: on the demo's circuits, guns and jobs. */
import { describe, expect, it } from 'vitest'
import { chosenOf } from '../capability/slots.ts'
import { demoShop, oneOf } from '../testing/samples.ts'
import { AS_IT_IS, chosenIf, circuitIf, jobIf, shelfIf, type WhatIf } from './whatIf.ts'

const demo = demoShop()
const { shop, setUps } = demo
const frame = oneOf(demo.jobs, 'press-frame')
const northWall = oneOf(demo.circuits, 'north-wall')
const breaker = (breakerA: number): WhatIf => ({ kind: 'breaker', circuitId: 'north-wall', breakerA })

describe('outdoors', () => {
  // A gentle breeze, Beaufort 3, is 12 to 19 km/h (WMO, from memory).
  it('a job has a gentle breeze, or the wind that it says', () => {
    const yard = jobIf({ ...frame, place: 'indoors', windKmPerH: null }, { kind: 'outdoors' })
    expect(yard.place).toBe('outdoors')
    expect(yard.windKmPerH).toBeGreaterThanOrEqual(12)
    expect(yard.windKmPerH).toBeLessThanOrEqual(19)
    expect(jobIf({ ...frame, windKmPerH: 5 }, { kind: 'outdoors' }).windKmPerH).toBe(5)
  })
  it('or not: else it is the same', () => {
    expect(jobIf(frame, AS_IT_IS)).toBe(frame)
    expect(jobIf(frame, breaker(30))).toBe(frame)
  })
})

describe('another breaker', () => {
  // NEC 240.4(D): copper of 14, 12 and 10 AWG behind 15, 20 and 30 A; Table 310.16, 60 °C: 8 AWG carries 40 A, 6 AWG 55 A.
  it.each([
    [15, '14 AWG'],
    [20, '12 AWG'],
    [30, '10 AWG'],
    [40, '8 AWG'],
    [50, '6 AWG'],
  ])('of %d A has the cable that it protects: %s', (breakerA, size) => {
    expect(circuitIf(northWall, breaker(breakerA), shop)).toEqual({
      ...northWall,
      breakerA,
      conductorSize: size,
    })
  })
  it('for which no cable is thick enough leaves the one that is there', () => {
    expect(circuitIf(northWall, breaker(9000), shop)).toEqual({ ...northWall, breakerA: 9000 })
  })
  it('is on its own circuit alone, and nothing else of the shelf changes', () => {
    const shelf = shelfIf(demo, breaker(30), shop)
    expect(shelf.circuits.map((one) => one.breakerA)).toEqual(
      demo.circuits.map((one) => (one.id === 'north-wall' ? 30 : one.breakerA)),
    )
    expect({ ...shelf, circuits: demo.circuits }).toEqual(demo)
    expect(circuitIf(northWall, AS_IT_IS, shop)).toBe(northWall)
  })
})

describe('the parts of a set-up', () => {
  const partsIf = (setUpId: string, whatIf: WhatIf, shelf = demo) => {
    const setUp = oneOf(setUps, setUpId)
    const chosen = chosenOf(setUp, shelf)
    return { before: chosen, after: chosenIf(chosen, setUp, { whatIf, shop, shelf }) }
  }
  const allOn = (circuitId: string): WhatIf => ({ kind: 'all-on', circuitId })

  it('all hang on one circuit, but for what makes its own current, or where there is no such circuit', () => {
    expect(partsIf('bay-2-wire', allOn('north-wall')).after.circuit?.id).toBe('north-wall')
    const gone = partsIf('bay-2-wire', allOn('gone'))
    expect(gone.after).toBe(gone.before)
    const engine = partsIf('heath-stick', allOn('north-wall'))
    expect(engine.after).toBe(engine.before)
  })
  it('have the other breaker where they hang on it', () => {
    expect(partsIf('north-wall-wire', breaker(30)).after.circuit?.breakerA).toBe(30)
    expect(partsIf('bay-2-wire', breaker(30)).after.circuit).toEqual(oneOf(demo.circuits, 'bay-2'))
    const engine = partsIf('heath-stick', breaker(30))
    expect(engine.after).toBe(engine.before)
  })
  it('have a spool gun where they feed aluminum, and the shop has one', () => {
    const spool: WhatIf = { kind: 'spool-gun' }
    expect(partsIf('platform-tried', spool).after.gun?.drive).toBe('spool')
    for (const id of ['bay-2-wire', 'bench-tig-ac']) {
      const kept = partsIf(id, spool)
      expect(kept.after).toBe(kept.before)
    }
    const none = { ...demo, guns: demo.guns.filter(({ drive }) => drive !== 'spool') }
    expect(partsIf('platform-tried', spool, none).after.gun?.id).toBe('gun-250')
  })
  it('are the same as it is', () => {
    const same = partsIf('bay-2-wire', AS_IT_IS)
    expect(same.after).toBe(same.before)
  })
})
