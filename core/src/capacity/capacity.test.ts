/** What set-ups weld, against what shops know of such machines (common practice, no source), and by the model's inverse. */
import { USUAL_RUN } from '../kinds/usualRun.ts'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { assumptionsOf } from '../assumptions/assume.ts'
import { reckonerFor } from '../calculation/reckoner.ts'
import { capabilityOf } from '../capability/capability.ts'
import { chosenOf } from '../capability/slots.ts'
import { gunCarriesAt } from '../criteria/carries.ts'
import type { SupplyRating } from '../kinds/equipment.ts'
import { isSpooled } from '../kinds/spooled.ts'
import type { Position } from '../model/jointKinds.ts'
import {
  sampleCapability,
  sampleFeeder,
  sampleGun,
  samplePowerSource,
  sampleSupply,
  sampleWire,
} from '../testing/equipment.ts'
import { demoShop, joint } from '../testing/samples.ts'
import { thicknessAtMm } from '../trade/thicknessAt.ts'
import { wantedCurrentOf } from '../trade/wantedCurrent.ts'
import {
  type Capacity,
  type CapacityColumn,
  type CapacityFigure,
  capacityOf,
  explainCapacity,
} from './capacity.ts'
import { runs } from '../testing/runs.ts'

const INCH = 25.4
const r = reckonerFor(assumptionsOf({ assumptions: {} }))
const demo = demoShop()
const capabilityFor = (setUpId: string) => {
  const setUp = demo.setUps.find(({ id }) => id === setUpId)
  if (!setUp) throw new Error('demo')
  return capabilityOf(demo.shop, setUp, chosenOf(setUp, demo))
}
const own = ({ columns }: Capacity): CapacityColumn => {
  const found = columns.find(({ isOwn }) => isOwn)
  if (!found) throw new Error('no column')
  return found
}
const at = (column: CapacityColumn, position: Position = 'flat') => {
  const found = column.ranges.find((range) => range.position === position)
  if (!found) throw new Error(`nothing ${position}`)
  return found
}

/** It gives 140 A at most and 90 A at 20 % on 120 V. */
const feeding = (feeder: ReturnType<typeof sampleFeeder>) =>
  samplePowerSource({
    processes: (['gmaw', 'fcaw', 'gtaw', 'smaw'] as const).map((family) => ({
      family,
      outputs: ['dc', 'ac'],
      pulse: false,
      claimMinMm: null,
      claimMaxMm: family === 'gmaw' ? 6.35 : null,
      supplies: [
        sampleSupply({
          voltageV: 120,
          outputMinA: 30,
          outputMaxA: 140,
          ratedPoints: [{ currentA: 90, dutyPct: 20, loadV: null }],
          i1MaxA: 20,
        }),
      ],
    })),
    feeder,
  })

/** A 120 V source of 140 A at most and 90 A at 20 %. */
const small = (part: Parameters<typeof sampleCapability>[0] = {}) =>
  sampleCapability({
    circuit: {
      id: 'c',
      name: 'c',
      voltageV: 120,
      phases: 1,
      breakerA: 30,
      conductorSize: '10 AWG',
      columnC: 75,
      ...USUAL_RUN,
      held: 'owned',
      price: null,
      lengthMm: 5000,
    },
    powerSource: feeding(sampleFeeder({ feedMinMmPerMin: 1000, feedMaxMmPerMin: 17_000 })),
    wire: sampleWire({ diameterMm: 0.762 }),
    ...part,
  })

describe('a 120 V source of 140 A at most and 90 A at 20 % (common practice)', () => {
  const off = (mm: number | undefined, inches: number) => Math.abs((mm ?? 0) / INCH / inches - 1)
  it('solid wire of 0.035 ends at 1/8 in, of 0.030 a little above', () => {
    const limitOf = (diameterMm: number) =>
      at(own(capacityOf(small({ wire: sampleWire({ diameterMm }) })))).limit?.mm
    expect(off(limitOf(0.889), 1 / 8)).toBeLessThan(0.1)
    expect(off(limitOf(0.762), 1 / 8)).toBeLessThan(0.1)
    // Without the rest that its limits allow it ends at 12 ga.
    const steady = small({ assumptions: { capacityLimitDutyPct: 20 } })
    expect(off(at(own(capacityOf(steady))).limit?.mm, 0.1046)).toBeLessThan(0.05)
  })
  it('self-shielded 0.035 comfortable at 3/16, makes 1/4 at its limits, and 3/8 no more', () => {
    const wire = sampleWire({ form: 'cored-self-shielded', classification: 'E71T-11' })
    const range = at(
      own(
        capacityOf(
          small({
            process: 'fcaw-s',
            wire,
            gas: null,
            gun: sampleGun({ ratings: [{ gas: 'none', wave: 'dc', currentA: 150, dutyPct: 35 }] }),
          }),
        ),
      ),
    )
    expect(off(range.thickest?.mm, 3 / 16)).toBeLessThan(0.15)
    expect(range.limit?.mm).toBeGreaterThan(INCH / 4)
    expect(range.limit?.mm).toBeLessThan((INCH * 3) / 8)
  })
  it('aluminium 1/16 comfortable, 12 ga at its limit with preheat', () => {
    const wire = sampleWire({ metal: 'aluminium', classification: 'ER5356', diameterMm: 0.762 })
    const range = at(own(capacityOf(small({ process: 'gmaw-pulse', wire }))))
    expect(range.thickest?.mm).toBeGreaterThan(INCH / 16)
    expect(range.preheatedMm).toBeGreaterThan(0.0808 * INCH)
    expect(range.thickest?.mm).toBeLessThan(0.0808 * INCH)
  })
})

describe('the ends', () => {
  it('are those of the current needed, by every set-up of the demo', () => {
    let compared = 0
    for (const { id } of demo.setUps) {
      const c = capabilityFor(id)
      const column = own(capacityOf(c))
      const mostA = Math.min(...column.links.map((link) => link.mostA))
      const leastA = Math.max(...column.links.map((link) => link.leastA))
      for (const { position, thickest, thinnest, thin } of column.ranges) {
        const wants = (thicknessMm: number) => {
          const material = {
            'carbon-steel': 'hot-rolled',
            stainless: 'stainless-304',
            aluminium: 'aluminium-6061',
          } as const
          const metal = material[c.wire?.metal ?? 'carbon-steel']
          const one = joint({
            kind: 'tee',
            thicknessAMm: thicknessMm,
            thicknessBMm: thicknessMm,
            materialA: metal,
            materialB: metal,
            position,
          })
          return wantedCurrentOf(
            one,
            c.process.id,
            c.wire && (isSpooled(c.wire) || c.process.id === 'smaw') ? c.wire : null,
            r,
          )
        }
        if (thickest && ['source', 'gun', 'electrode', 'circuit', 'feeder'].includes(thickest.by)) {
          expect(wants(thickest.mm).wantedA).toBeCloseTo(mostA, 6)
          compared += 1
        }
        if (thinnest.by !== 'transition' && thinnest.mm < wants(1).burnThroughMm - 1e-9) {
          expect(wants(thinnest.mm).highA).toBeCloseTo(leastA, 6)
          if (thin.mm < (thickest?.mm ?? Infinity)) expect(wants(thin.mm).wantedA).toBeCloseTo(leastA, 6)
          compared += 1
        }
        expect(thinnest.mm).toBeLessThanOrEqual(thin.mm + 1e-9)
        expect(thin.mm).toBeLessThanOrEqual((thickest?.mm ?? Infinity) + 1e-9)
      }
    }
    expect(compared).toBeGreaterThan(30)
  })
  it('name the link that sets them', () => {
    expect(at(own(capacityOf(capabilityFor('marl-yard')))).thickest?.by).toBe('source')
    expect(at(own(capacityOf(capabilityFor('bench-tig-ac')))).thickest?.by).toBe('gun')
    expect(at(own(capacityOf(capabilityFor('bench-tig-dc')))).thickest?.by).toBe('electrode')
    const slow = small({
      powerSource: samplePowerSource({ feeder: sampleFeeder({ feedMaxMmPerMin: 4000 }) }),
      circuit: sampleCapability().circuit,
    })
    expect(at(own(capacityOf(slow))).thickest?.by).toBe('feeder')
    const thin = { ...sampleCapability().circuit, breakerA: 15, conductorSize: '14 AWG', voltageV: 240 }
    expect(at(own(capacityOf(sampleCapability({ circuit: thin as never })))).thickest?.by).toBe('circuit')
  })
  it('a gun is used for short welds above what it sustains; below the slowest feed there is no current', () => {
    const links = (capability: ReturnType<typeof small>, id: string) =>
      own(capacityOf(capability)).links.find((link) => link.id === id)
    const carries = gunCarriesAt(small(), assumptionsOf({ assumptions: {} }).capacityDutyPct)
    if (carries.missing !== null) throw new Error('the sample has no gun')
    expect(carries.mostA).toBeGreaterThan(carries.highA)
    expect(links(small(), 'gun')?.limitA).toBe(carries.mostA)
    expect(links(small(), 'gun')?.mostA).toBe(carries.highA)
    // Feeders: 1 m/min of 0.030 in are some 20 A (2.0 in/min per A, common practice); without a slowest there is no floor.
    expect(links(small(), 'feeder')?.leastA).toBeGreaterThan(15)
    expect(links(small(), 'feeder')?.leastA).toBeLessThan(27)
    const free = small({
      powerSource: feeding(sampleFeeder({ feedMinMmPerMin: null, feedMaxMmPerMin: 17_000 })),
    })
    expect(links(free, 'feeder')?.leastA).toBe(0)
  })
  it('without a wire is that of carbon steel, else of the wire’s metal', () => {
    expect(capacityOf(small({ wire: null })).metal).toBe('carbon-steel')
    expect(capacityOf(capabilityFor('spool-gun')).metal).toBe('aluminium')
  })
  it('of short-circuit steel are never above 1/4 in, whatever the source gives', () => {
    expect(at(own(capacityOf(capabilityFor('bay-2-wire')))).thickest).toEqual({
      mm: 6.35,
      by: 'short-circuit',
    })
  })
  it('more current never lowers the thickest pass, a lower floor never raises the thinnest', () => {
    const amps = fc.double({ min: 60, max: 400, noNaN: true })
    fc.assert(
      fc.property(amps, amps, (a, b) => {
        const made = (outputMaxA: number, outputMinA: number) => {
          const supply: Partial<SupplyRating> = {
            outputMaxA,
            outputMinA,
            ratedPoints: [{ currentA: outputMaxA, dutyPct: 60, loadV: null }],
          }
          const powerSource = samplePowerSource({
            processes: [
              {
                family: 'gmaw',
                outputs: ['dc'],
                pulse: false,
                claimMinMm: null,
                claimMaxMm: null,
                supplies: [sampleSupply({ voltageV: 240, ...supply })],
              },
            ],
            feeder: sampleFeeder(),
          })
          return own(
            capacityOf(
              sampleCapability({
                powerSource,
                wire: sampleWire({ metal: 'stainless', classification: 'ER308L' }),
              }),
            ),
          ).ranges
        }
        const [low, high] = [Math.min(a, b), Math.max(a, b)]
        const [less, more] = [made(low, 20), made(high, 20)]
        for (const range of less) {
          const same = more.find(({ position }) => position === range.position)
          expect(same?.thickest?.mm ?? Infinity).toBeGreaterThanOrEqual(
            (range.thickest?.mm ?? Infinity) - 1e-9,
          )
          expect(same?.single.mm).toBeGreaterThanOrEqual(range.single.mm - 1e-9)
        }
        const floors = [made(500, low / 5), made(500, high / 5)]
        expect(floors[0]?.[0]?.thinnest.mm).toBeLessThanOrEqual(
          (floors[1]?.[0]?.thinnest.mm ?? Infinity) + 1e-9,
        )
      }),
      { numRuns: runs(60) },
    )
  })
})

describe('positions', () => {
  it('sprayed steel is for flat and horizontal; aluminium sprays in all', () => {
    expect(own(capacityOf(capabilityFor('bay-3-spray'))).ranges.map(({ position }) => position)).toEqual([
      'flat',
      'horizontal',
    ])
    expect(own(capacityOf(capabilityFor('spool-gun'))).ranges).toHaveLength(5)
  })
  it('a cored wire is turned down out of position, an E70T wire and an E7024 stay down', () => {
    const cored = own(capacityOf(capabilityFor('yard-cored')))
    expect(at(cored, 'overhead').thickest?.by).toBe('position')
    const only = (wire: ReturnType<typeof sampleWire>, process: 'fcaw-s' | 'smaw') =>
      own(
        capacityOf(capabilityFor(process === 'smaw' ? 'yard-stick' : 'yard-cored').with('wire', wire)),
      ).ranges.map(({ position }) => position)
    const down = ['flat', 'horizontal']
    expect(
      only(
        sampleWire({ form: 'cored-self-shielded', classification: 'E70T-4', diameterMm: 1.143 }),
        'fcaw-s',
      ),
    ).toEqual(down)
    expect(only(sampleWire({ form: 'covered', classification: 'E7024', diameterMm: 3.175 }), 'smaw')).toEqual(
      down,
    )
  })
})

describe('passes', () => {
  it('a single pass ends where the hand lays no more; several go on', () => {
    const { single, thickest } = at(own(capacityOf(capabilityFor('yard-cored'))))
    expect(single.by).toBe('bead')
    // What the wire lays down at 4 in/min of travel with the current of its own plate: some 0.4 in.
    expect(single.mm / INCH).toBeCloseTo(0.4, 2)
    expect(thickest).toEqual({ mm: 19.05, by: 'class' })
  })
  it('E71T-GS is for one pass of 3/16 in at most (AWS A5.20)', () => {
    const wire = sampleWire({ form: 'cored-self-shielded', classification: 'E71T-GS' })
    const { single, thickest, limit } = at(own(capacityOf(capabilityFor('yard-cored').with('wire', wire))))
    expect(single).toEqual({ mm: 4.7625, by: 'class' })
    expect(thickest).toEqual(single)
    expect(limit).toEqual(single)
  })
  it('a stick at its own current welds whatever thickness, in several passes', () => {
    const { single, thickest, limit } = at(own(capacityOf(capabilityFor('yard-stick'))))
    expect([thickest, limit]).toEqual([null, null])
    expect(single.by).toBe('bead')
  })
})

describe('preheat of aluminium', () => {
  it('goes to 120 °C and no further: a lever of about a sixth of the current', () => {
    const range = at(own(capacityOf(capabilityFor('bench-tig-ac'))))
    expect(range.preheatedMm).toBeGreaterThan(range.limit?.mm ?? Infinity)
    // (600 − 120) / (600 − 20): what is still to heat.
    const warm = range.limit
      ? wantedCurrentOf(
          joint({
            kind: 'tee',
            materialA: 'aluminium-6061',
            materialB: 'aluminium-6061',
            thicknessAMm: range.limit.mm,
            thicknessBMm: range.limit.mm,
          }),
          'gtaw-ac',
          null,
          r,
        )
      : null
    if (!warm) throw new Error('there is a limit')
    expect(thicknessAtMm((warm.wantedA * 580) / 480, warm.law, r)).toBeCloseTo(range.preheatedMm ?? 0, 6)
    expect(at(own(capacityOf(capabilityFor('bay-2-wire')))).preheatedMm).toBeNull()
    expect(assumptionsOf({ assumptions: {} }).aluminiumPreheatMostC).toBe(120)
  })
})

describe('supply voltages', () => {
  it('each column of the plate, its own first; of others no circuit is looked at', () => {
    const { columns } = capacityOf(capabilityFor('north-wall-wire'))
    expect(columns.map(({ voltageV, isOwn }) => [voltageV, isOwn])).toEqual([
      [120, true],
      [240, false],
    ])
    expect(columns.map(({ links }) => links.some(({ id }) => id === 'circuit'))).toEqual([true, false])
    expect(at(columns[1] as CapacityColumn).thickest?.mm).toBeGreaterThan(
      at(columns[0] as CapacityColumn).thickest?.mm ?? Infinity,
    )
  })
  it('an engine has one column and no circuit', () => {
    const { columns } = capacityOf(capabilityFor('heath-stick'))
    expect(columns.map(({ voltageV, isOwn }) => [voltageV, isOwn])).toEqual([[null, true]])
  })
  it('carry the claim of the maker for this process', () => {
    expect(capacityOf(capabilityFor('bay-2-wire')).columns[0]).toMatchObject({ claimMaxMm: 9.525 })
    expect(capacityOf(capabilityFor('yard-stick')).columns[0]).toMatchObject({ claimMaxMm: null })
  })
  it('without a gun nothing is known, and it says so', () => {
    const [column] = capacityOf(capabilityFor('bay-2-wire').with('gun', null)).columns
    expect(column).toMatchObject({ missing: { code: 'gun' }, ranges: [] })
    expect(capacityOf(capabilityFor('bay-2-wire').with('powerSource', null)).columns).toEqual([])
  })
  it('a source that cannot reach the wire’s least welds nothing', () => {
    expect(own(capacityOf(small({ wire: sampleWire({ diameterMm: 1.6 }) }))).ranges).toEqual([])
  })
})

describe('a working', () => {
  it('opens from every figure, and names the assumptions of the capacity', () => {
    const c = capabilityFor('bench-tig-ac')
    const range = at(own(capacityOf(c)))
    const values: Readonly<Record<CapacityFigure, number | null>> = {
      thinnest: range.thinnest.mm,
      thin: range.thin.mm,
      single: range.single.mm,
      thickest: range.thickest?.mm ?? null,
      limit: range.limit?.mm ?? null,
      preheated: range.preheatedMm,
    }
    for (const [figure, value] of Object.entries(values)) {
      const steps = explainCapacity(c, 240, 'flat', figure as CapacityFigure)
      expect(steps.at(-1)?.result.value, figure).toBe(value)
    }
    const named = explainCapacity(c, 240, 'flat', 'preheated').flatMap(({ terms }) =>
      terms.flatMap(({ assumption }) => assumption ?? []),
    )
    for (const key of ['aluminiumPreheatMostC', 'aluminiumMeltsC', 'windowLowPct', 'gunShortDutyPct'])
      expect(named).toContain(key)
    expect(
      explainCapacity(capabilityFor('marl-yard'), 120, 'flat', 'thickest').map(({ id }) => id),
    ).toContain('capacity-duty')
  })
  it('names what a position takes off a cored wire', () => {
    const steps = explainCapacity(capabilityFor('yard-cored'), 240, 'overhead', 'thickest')
    const named = steps.flatMap(({ terms }) => terms.flatMap(({ assumption }) => assumption ?? []))
    expect(named).toContain('coredOutOfPositionPct')
  })
  it('is empty where there is no such figure', () => {
    expect(explainCapacity(capabilityFor('bay-2-wire'), 999, 'flat', 'thin')).toEqual([])
    expect(explainCapacity(capabilityFor('yard-stick'), 240, 'flat', 'thickest')).toEqual([])
    expect(explainCapacity(capabilityFor('bay-3-spray'), 480, 'overhead', 'thin')).toEqual([])
  })
})
