/** What mends a supply: every mend is tried, and does what it says. */
import { describe, expect, it } from 'vitest'
import { type Capability, capabilityOf } from '../capability/capability.ts'
import { chosenOf } from '../capability/slots.ts'
import { demandOf } from '../demand/demand.ts'
import type { Circuit } from '../kinds/equipment.ts'
import { VERDICT_RANK, worstVerdict } from '../model/verdict.ts'
import { storesOf } from '../supply/breaker/breakerModel.ts'
import { tripsAfterS } from '../supply/breaker/heat.ts'
import { demandWith } from '../testing/demand.ts'
import { demoShop } from '../testing/samples.ts'
import { mendsOfPower, type PowerMend, supplyFindings } from './mends.ts'
import { beatsOf } from './trips.ts'

const demo = demoShop()
const found = <T extends { readonly id: string }>(list: readonly T[], id: string): T => {
  const one = list.find((item) => item.id === id)
  if (!one) throw new Error(`the demo has no ${id}`)
  return one
}
function hung(jobId: string, setUpId: string, change: Partial<Circuit> = {}) {
  const setUp = found(demo.setUps, setUpId)
  const chosen = chosenOf(setUp, demo)
  const on = capabilityOf(demo.shop, setUp, chosen)
  const c = on.circuit ? on.with('circuit', { ...on.circuit, ...change }) : on
  const d = demandOf(found(demo.jobs, jobId), setUp.process, chosen.wire, demo.shop)
  return { c, d, mends: mendsOfPower(c, d, demo.circuits) }
}
const ofKind = <K extends PowerMend['kind']>(mends: readonly PowerMend[], kind: K) =>
  mends.flatMap((one) => (one.kind === kind ? [one as Extract<PowerMend, { kind: K }>] : []))
const verdictOn = (c: Capability, d: Parameters<typeof supplyFindings>[1], circuit: Circuit) =>
  worstVerdict(supplyFindings(c.with('circuit', circuit), d).map(({ verdict }) => verdict))

describe('mends of a supply', () => {
  it('a circuit that is there costs nothing and comes first; what must be pulled costs', () => {
    const { mends } = hung('press-frame', 'north-wall-wire')
    expect(mends[0]).toMatchObject({ kind: 'move', isThere: true, cost: 0 })
    const costs = mends.map(({ cost }) => cost ?? Number.POSITIVE_INFINITY)
    expect(costs).toEqual([...costs].sort((a, b) => a - b))
  })
  it('of what costs alike the better verdict comes first, for every job and set-up of the demo', () => {
    let ties = 0
    for (const { id: jobId } of demo.jobs)
      for (const { id: setUpId } of demo.setUps) {
        const { c, mends } = hung(jobId, setUpId)
        if (!c.circuit) continue
        mends.slice(1).forEach((next, index) => {
          const before = mends[index]
          if (!before || before.cost !== next.cost) return
          expect(VERDICT_RANK[before.verdict]).toBeLessThanOrEqual(VERDICT_RANK[next.verdict])
          ties += Number(before.verdict !== next.verdict)
        })
      }
    expect(ties).toBeGreaterThan(0)
  })
  it('where all is well there is nothing to mend; a source just as strong as the weld needs is not short', () => {
    const { c, d } = hung('press-frame', 'bay-2-wire')
    expect(mendsOfPower(c, d, demo.circuits)).toEqual([])
    const mostA = c.supply?.outputMaxA ?? 0
    const asked = (lowA: number) =>
      mendsOfPower(c, demandWith(d, { hungriest: { ...d.hungriest, lowA } }), demo.circuits).map(
        ({ kind }) => kind,
      )
    expect(asked(mostA)).toEqual([])
    // Short of output nothing is mended by rest, by less current or by a breaker.
    for (const kind of asked(mostA + 1)) expect(['move', 'new-circuit']).toContain(kind)
  })

  it('a move is offered to every circuit that does better and to no other, for every job and set-up of the demo', () => {
    let moved = 0
    for (const { id: jobId } of demo.jobs)
      for (const { id: setUpId } of demo.setUps) {
        const { c, d, mends } = hung(jobId, setUpId)
        if (!c.circuit) continue
        const isShort = (on: Capability) => (on.supply?.outputMaxA ?? Infinity) < d.hungriest.lowA
        const before = isShort(c) ? 'fails' : verdictOn(c, d, c.circuit)
        const better = demo.circuits.filter((circuit) => {
          const there = c.with('circuit', circuit)
          const verdict = verdictOn(c, d, circuit)
          return (
            circuit.id !== c.circuit?.id &&
            (there.supply?.outputMaxA ?? 0) >= d.hungriest.lowA &&
            (verdict === 'fits' || verdict === 'tight') &&
            VERDICT_RANK[verdict] < VERDICT_RANK[before]
          )
        })
        const moves = ofKind(mends, 'move')
        expect(moves.map(({ circuitId }) => circuitId).toSorted()).toEqual(
          better.map(({ id }) => id).toSorted(),
        )
        for (const { circuitId, verdict, isThere, cost } of moves) {
          const circuit = found(demo.circuits, circuitId)
          expect(verdict).toBe(verdictOn(c, d, circuit))
          expect(isThere).toBe(circuit.held === 'owned')
          expect(cost).toBe(isThere ? 0 : circuit.price)
          moved += 1
        }
      }
    expect(moved).toBeGreaterThan(20)
  })

  it('none is offered on volts on which the machine has not what the joint needs', () => {
    // 1/4 in wants 187 A and at least 150; the machine has 140 A on 120 V.
    const { mends } = hung('press-frame', 'north-wall-wire')
    expect(ofKind(mends, 'new-circuit').map(({ circuit }) => circuit.voltageV)).toEqual([240])
    expect(ofKind(mends, 'less-current')).toEqual([])
    for (const { circuitId } of ofKind(mends, 'move'))
      expect(found(demo.circuits, circuitId).voltageV).toBe(240)
  })

  // NEC common practice: half as much again as I₁max, here 30 A; smaller ones would hold this job, and not the next.
  it('a new circuit does it, and begins at the breaker that is usual for the machine', () => {
    const { c, d, mends } = hung('press-frame', 'north-wall-wire')
    const [made] = ofKind(mends, 'new-circuit')
    if (!made || !c.circuit) throw new Error('no new circuit')
    const { voltageV, phases, breakerA, conductorSize } = made.circuit
    const pulled: Circuit = {
      ...c.circuit,
      voltageV,
      phases,
      conductorSize,
      columnC: 60,
      lengthMm: 15_000,
      outlet: null,
      panelId: null,
    }
    expect(verdictOn(c, d, { ...pulled, breakerA })).toBe('fits')
    expect([voltageV, phases, breakerA]).toEqual([240, 1, 45])
  })

  it('a new circuit costs what the shop says of one, and so much more for each ampere of its breaker', () => {
    const shop = {
      ...demo.shop,
      assumptions: { ...demo.shop.assumptions, newCircuitPrice: 300, newCircuitPricePerA: 4 },
    }
    const setUp = found(demo.setUps, 'north-wall-wire')
    const { d } = hung('press-frame', setUp.id)
    const [made] = ofKind(
      mendsOfPower(capabilityOf(shop, setUp, chosenOf(setUp, demo)), d, []),
      'new-circuit',
    )
    // 45 A: 300 and 45 times 4.
    expect(made).toMatchObject({ cost: 480, circuit: { breakerA: 45 } })
  })

  it('a new circuit is pulled for a machine that then has just what the weld needs, and for none that has less', () => {
    const { c, d } = hung('press-frame', 'north-wall-wire')
    const mostA = hung('press-frame', 'bay-2-wire').c.supply?.outputMaxA ?? NaN
    const pulled = (lowA: number) =>
      ofKind(mendsOfPower(c, demandWith(d, { hungriest: { ...d.hungriest, lowA } }), []), 'new-circuit')
        .length
    expect([pulled(mostA), pulled(mostA + 1)]).toEqual([1, 0])
  })

  it('a new circuit is one on which all of the supply fits, for every job and set-up of the demo', () => {
    let pulled = 0
    for (const { id: jobId } of demo.jobs)
      for (const { id: setUpId } of demo.setUps) {
        const { c, d, mends } = hung(jobId, setUpId)
        for (const { circuit, verdict } of ofKind(mends, 'new-circuit')) {
          const { voltageV, phases, breakerA, conductorSize } = circuit
          const there = { ...found(demo.circuits, 'bay-2'), voltageV, phases, breakerA, conductorSize }
          const on = c.with('circuit', {
            ...there,
            columnC: 60,
            lengthMm: 15_000,
            outlet: null,
            panelId: null,
          })
          expect(on.supply, `${jobId} ${setUpId}`).not.toBeNull()
          expect(verdict).toBe('fits')
          expect(worstVerdict(supplyFindings(on, d).map((one) => one.verdict)), `${jobId} ${setUpId}`).toBe(
            'fits',
          )
          pulled += 1
        }
      }
    expect(pulled).toBeGreaterThan(10)
  })

  it('a new circuit has the volts of the country: a plate of 240 V is pulled 230 V in Europe (IEC 60038)', () => {
    const shop = { ...demo.shop, ruleBook: 'international' as const }
    const setUp = found(demo.setUps, 'north-wall-wire')
    const { d } = hung('press-frame', setUp.id)
    const abroad = capabilityOf(shop, setUp, chosenOf(setUp, demo))
    const made = ofKind(mendsOfPower(abroad, d, []), 'new-circuit')
    expect(made.map(({ circuit }) => circuit.voltageV)).toEqual([230])
  })

  it('a breaker is made larger only as far as cable and machine let it, and then it holds', () => {
    const { c, d, mends } = hung('press-frame', 'bay-2-wire', { breakerA: 15 })
    const [larger] = ofKind(mends, 'breaker')
    if (!larger || !c.circuit) throw new Error('no larger breaker')
    expect(larger.breakerA).toBeGreaterThan(15)
    expect(larger.breakerA).toBeLessThanOrEqual(larger.mostA ?? 0)
    const { verdict } = larger
    expect(verdictOn(c, d, { ...c.circuit, breakerA: larger.breakerA })).toBe(verdict)
    expect(VERDICT_RANK[verdict]).toBeLessThan(VERDICT_RANK[verdictOn(c, d, c.circuit)])
  })

  it('with the rest that is named the breaker of the fit holds all shift, with two seconds less it does not', () => {
    const { c, d, mends } = hung('press-frame', 'bay-2-wire', { breakerA: 15 })
    const [rest] = ofKind(mends, 'rest')
    if (!rest || !c.circuit) throw new Error('no rest')
    const beats = beatsOf(c, d) ?? []
    const trips = (pauseS: number) =>
      tripsAfterS(
        beats.map((beat) => ({ ...beat, offS: beat.offS + (beat.onS > 0 ? pauseS : 0) })),
        15,
        { tripsAt: c.breaker.holds, constantS: storesOf(c.breaker, 15).late.constantS },
        8 * 3600,
      )
    expect(trips(rest.pauseS)).toBeNull()
    expect(trips(rest.pauseS - 2)).not.toBeNull()
    expect(rest.cost).toBeCloseTo(rest.moreH * 48, 6)
  })

  it('less current stays within what fuses the faces, and takes longer', () => {
    const { d, mends } = hung('press-frame', 'bay-2-wire', { breakerA: 15 })
    for (const { currentA, thicknessMm, moreH } of ofKind(mends, 'less-current')) {
      expect(currentA).toBeGreaterThanOrEqual(d.hungriest.lowA)
      expect(currentA).toBeLessThan(d.hungriest.wantedA)
      expect(thicknessMm).toBeLessThan(d.hungriest.heatedMm)
      expect(moreH).toBeGreaterThan(0)
    }
  })

  it('a cord that is too thin for its length is made thicker, and then loses little enough', () => {
    const setUp = { ...found(demo.setUps, 'bay-2-wire'), cordSize: '14 AWG', cordLengthMm: 60_960 }
    const chosen = chosenOf(setUp, demo)
    const c = capabilityOf(demo.shop, setUp, chosen)
    const d = demandOf(found(demo.jobs, 'press-frame'), setUp.process, chosen.wire, demo.shop)
    const [thicker] = ofKind(mendsOfPower(c, d, demo.circuits), 'cord')
    if (!thicker) throw new Error('no cord')
    expect(thicker.lengthMm).toBe(60_960)
    const after = supplyFindings(c.withSettings({ cordSize: thicker.size }), d)
    for (const id of ['cord', 'volts'])
      expect(after.find(({ criterion }) => criterion === id)?.verdict).toBe('fits')
    expect(thicker.verdict).toBe(worstVerdict(after.map(({ verdict }) => verdict)))
  })

  it('what fits wants none', () => {
    expect(hung('pressing-tray', 'bench-tig-dc').mends).toEqual([])
  })
})
