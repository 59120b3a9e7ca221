/** What else hangs on a circuit takes its share of the breaker: Kirchhoff, and the heat store of UL 489 (from memory). */
import { describe, expect, it } from 'vitest'
import { capabilityOf } from '../capability/capability.ts'
import { chosenOf } from '../capability/slots.ts'
import { circuitCarries } from '../criteria/carries.ts'
import { criterionOf, mendsOf } from '../criteria/index.ts'
import { demandOf } from '../demand/demand.ts'
import type { OtherLoad } from '../kinds/equipment.ts'
import { demoShop } from '../testing/samples.ts'
import { byTurnsOn, heldBesideA } from './otherLoads.ts'
import { reckonerFor } from '../calculation/reckoner.ts'
import { assumptionsOf } from '../assumptions/assume.ts'

const demo = demoShop()
const r = reckonerFor(assumptionsOf({ assumptions: {} }))
const load = (part: Partial<OtherLoad>): OtherLoad => ({
  id: 'other',
  name: 'Other',
  circuitId: 'bay-2',
  runningA: 10,
  startingA: null,
  onMin: null,
  offMin: null,
  ...part,
})
function framed(loads: readonly OtherLoad[], jobId = 'press-frame', setUpId = 'bay-2-wire') {
  const setUp = demo.setUps.find(({ id }) => id === setUpId)
  const job = demo.jobs.find(({ id }) => id === jobId)
  if (!setUp || !job) throw new Error('demo')
  const chosen = chosenOf(setUp, { ...demo, loads: [...loads] })
  const c = capabilityOf(demo.shop, setUp, chosen)
  const d = demandOf(job, setUp.process, chosen.wire, demo.shop)
  const found = criterionOf('breaker-holds').assess(c, d)
  if (!found) throw new Error('no breaker')
  return { c, d, found }
}

describe('what is on all day', () => {
  it('takes its amps for good, from breaker, cable and what the circuit carries', () => {
    const [alone, beside] = [framed([]), framed([load({})])]
    expect((alone.found.capacity ?? 0) - (beside.found.capacity ?? 0)).toBeCloseTo(10, 9)
    const carries = ({ c, d }: typeof alone) => {
      const found = circuitCarries(c, d, d.hungriest)
      return found?.missing === null ? found.highA : NaN
    }
    expect(carries(beside)).toBeLessThan(carries(alone))
    expect(framed([load({ runningA: 45 })]).found.verdict).toBe('fails')
  })
  it('on another circuit it takes nothing, and never more than there is', () => {
    expect(framed([load({ circuitId: 'yard' })]).found).toEqual(framed([]).found)
    const [circuit] = demo.circuits
    if (!circuit) throw new Error('demo')
    expect(heldBesideA(20, circuit, [load({ circuitId: circuit.id, runningA: 90 })], r)).toBe(0)
  })
})

describe('what comes and goes', () => {
  const compressor = (part: Partial<OtherLoad> = {}) => load({ runningA: 60, onMin: 4, offMin: 9, ...part })
  it('makes tight what holds alone: it can be switched off', () => {
    const { c, d, found } = framed([compressor()])
    expect(framed([]).found.verdict).toBe('fits')
    expect([found.verdict, found.code]).toEqual(['tight', 'beside'])
    expect(mendsOf(found, c, d)[0]?.code).toBe('others-on-circuit-off')
  })
  it('small, or short beside the breaker, changes nothing', () => {
    expect(framed([compressor({ runningA: 3 })]).found.verdict).toBe('fits')
    expect(framed([compressor({ onMin: 0.1, offMin: 60 })]).found.verdict).toBe('fits')
  })
  it('heats as much as all its amps where it stays on long, and less the shorter it is on', () => {
    const [circuit] = demo.circuits
    if (!circuit) throw new Error('demo')
    const heat = (onMin: number) =>
      byTurnsOn(circuit, [compressor({ circuitId: circuit.id, onMin })], 200)[0]?.heatA ?? NaN
    expect(heat(60)).toBeCloseTo(60, 3)
    expect(heat(4)).toBeLessThan(60)
    expect(heat(1)).toBeLessThan(heat(4))
  })
  it('the demo’s bench by the compressor is told so', () => {
    const bench = framed(demo.loads, 'hoist-beam', 'bench-tig-ac')
    expect([bench.found.verdict, bench.found.code]).toEqual(['tight', 'beside'])
  })
})
