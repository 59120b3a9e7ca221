/** What a set-up can carry, part by part: which place it looks in, which figure of two holds, and what it says is missing. */
import { describe, expect, it } from 'vitest'
import { type PROCESS_IDS } from '../model/process.ts'
import type { Circuit, PowerSource } from '../kinds/equipment.ts'
import { PROCESSES } from '../reference/processes.ts'
import {
  sampleCapability,
  sampleFeeder,
  sampleGas,
  sampleGenerator,
  sampleGun,
  samplePowerSource,
  sampleSupply,
  sampleTungsten,
  sampleWire,
} from '../testing/equipment.ts'
import { demoShop } from '../testing/samples.ts'
import { capabilityOf } from './capability.ts'
import { Claims, inDueOrder, NO_CLAIMS } from './claims.ts'
import { gunGas } from './gunPoints.ts'
import { chosenOf, emptyChoice, idsOf, inStockFor, needsOf, slotWord } from './slots.ts'
import { columnFor, supplyFor } from './supplyFor.ts'

const bare = sampleCapability()
const sourceWith = (...supplies: PowerSource['processes'][number]['supplies'][number][]) =>
  samplePowerSource({
    feeder: sampleFeeder(),
    processes: [
      { family: 'gmaw', outputs: ['dc'], pulse: false, claimMinMm: null, claimMaxMm: null, supplies },
    ],
  })

describe('what pushes the wire', () => {
  const apart = { ...sampleFeeder({ feedMaxMmPerMin: 20_000 }), id: 'f', name: 'Case' }
  it('is the spool gun before the source, and the source before a case of its own', () => {
    const spool = sampleGun({ name: 'Spool', drive: 'spool', feeder: sampleFeeder() })
    const withCase = bare.with('feeder', apart as never)
    expect(withCase.with('gun', spool).feedPath?.name).toBe('Spool')
    expect(withCase.feedPath?.name).toBe('Source')
    const fedApart = withCase.with('powerSource', samplePowerSource())
    expect(fedApart.feedPath?.name).toBe('Case')
    expect(fedApart.with('feeder', null).feedPath).toBeNull()
  })
  it('feeds no faster than the lower of its own limit and that on this voltage', () => {
    const most = (own: number | null, onVoltage: number | null) =>
      bare.with('powerSource', {
        ...sourceWith(sampleSupply({ voltageV: 240, feedMaxMmPerMin: onVoltage })),
        feeder: sampleFeeder({ feedMaxMmPerMin: own }),
      }).feedMaxMmPerMin
    expect([most(17_000, 12_000), most(12_000, 17_000)]).toEqual([12_000, 12_000])
    expect([most(null, 9000), most(9000, null), most(null, null)]).toEqual([9000, 9000, null])
    const fedByNothing = bare.with('powerSource', {
      ...sourceWith(sampleSupply({ voltageV: 240, feedMaxMmPerMin: 9000 })),
      feeder: null,
    })
    expect(fedByNothing.feedMaxMmPerMin).toBeNull()
  })
  it('feeds what is on a spool, in a process that feeds: a rod is held', () => {
    expect(bare.fedWire?.id).toBe('w')
    expect(bare.with('wire', sampleWire({ form: 'rod' })).fedWire).toBeNull()
    expect(bare.with('wire', null).fedWire).toBeNull()
    expect(bare.withSettings({ process: 'gtaw-dc' }).fedWire).toBeNull()
  })
})

describe('what it hangs on', () => {
  const column = (voltageV: number | null, phases: 1 | 3 = 1) => sampleSupply({ voltageV, phases })
  const circuit = (voltageV: number, phases: 1 | 3 = 1) => ({ ...bare.circuit, voltageV, phases }) as Circuit
  // IEC 60974-1: a rating covers 10 % above and below its voltage.
  it('is the nearest column within ten per cent, of as many phases', () => {
    const offered = [column(208), column(230), column(400, 3), column(null)]
    expect(columnFor(offered, circuit(240))?.voltageV).toBe(230)
    expect(columnFor(offered, circuit(215))?.voltageV).toBe(208)
    expect(columnFor([column(230)], circuit(253))?.voltageV).toBe(230)
    expect(columnFor([column(400)], circuit(440))?.voltageV).toBe(400)
    expect(columnFor([column(230)], circuit(254))).toBeNull()
    expect(columnFor([column(230)], circuit(207))?.voltageV).toBe(230)
    expect(columnFor([column(230)], circuit(206))).toBeNull()
    expect(columnFor(offered, circuit(400))).toBeNull()
    expect(columnFor(offered, circuit(400, 3))?.phases).toBe(3)
  })
  it('says why there is none: not on the plate, no circuit, another voltage', () => {
    const source = sourceWith(column(230))
    const why = (...of: Parameters<typeof supplyFor>) => supplyFor(...of).why?.code ?? null
    expect(why(source, 'gtaw-dc', 'dc', circuit(230))).toBe('not-rated')
    expect(why(source, 'gmaw-short', 'ac', circuit(230))).toBe('not-rated')
    expect(why(source, 'gmaw-short', 'dc', null)).toBe('no-circuit')
    expect(why(source, 'gmaw-short', 'dc', circuit(120))).toBe('other-supply')
    expect(why(source, 'gmaw-short', 'dc', circuit(230))).toBeNull()
    expect(bare.with('powerSource', null).supplyAnswer).toMatchObject({
      supply: null,
      why: { code: 'power-source' },
    })
  })
  it('is made anew for another source or circuit, and kept for all else', () => {
    const first = bare.draw
    expect(first).not.toBeNull()
    expect(bare.with('gun', sampleGun()).draw).toBe(first)
    expect(bare.with('circuit', circuit(230)).draw).not.toBe(first)
    expect(bare.with('powerSource', null).draw).toBeNull()
    expect(bare.with('circuit', null).draw).toBeNull()
    expect(bare.with('circuit', null).ampacity).toBeNull()
    const feed = bare.powerFeed
    expect(bare.with('gas', null).powerFeed).toBe(feed)
  })
  it('draws nothing by a plate that cannot be right, and says so', () => {
    const wrong = bare.with('powerSource', sourceWith(sampleSupply({ voltageV: 240, i1MaxA: 5 })))
    expect(wrong.draw).toBeNull()
    expect(wrong.drawMissing).toMatchObject({ code: 'plate-fault', params: { source: 'Source' } })
    expect(bare.drawMissing.code).toBe('supply')
  })
  it('has of a generator’s outlet the wire that its maker chose, of a circuit that of the rule book', () => {
    // NEC Table 310.16: 6 AWG copper in the 75 °C column carries 65 A.
    expect(bare.isWiredByShop).toBe(true)
    expect(bare.ampacity?.value).toBe(65)
    expect(bare.generator).toBeNull()
    const chosen = {
      ...emptyChoice(),
      circuit: { ...circuit(240), generatorId: 'g' } as Circuit,
      powerSource: bare.powerSource,
      building: { ...emptyChoice().building, generators: [sampleGenerator()] },
    }
    const outlet = capabilityOf(bare.shop, bare.settings, chosen)
    expect(outlet.generator?.id).toBe('g')
    expect(outlet.isWiredByShop).toBe(false)
    expect(outlet.ampacity?.value).toBe(50)
    expect(outlet.supplyPanels).toEqual([])
  })
  it('has a cord and a lead only where size and length are both set', () => {
    const set = (change: Parameters<typeof bare.withSettings>[0]) => bare.withSettings(change)
    expect(set({ cordSize: '10 AWG', cordLengthMm: 7620 }).cord).toEqual({ size: '10 AWG', lengthMm: 7620 })
    expect([set({ cordSize: '10 AWG' }).cord, set({ cordLengthMm: 7620 }).cord]).toEqual([null, null])
    expect(set({ leadSize: '2 AWG', leadLengthMm: 6000 }).lead).toEqual({ size: '2 AWG', lengthMm: 6000 })
    expect([set({ leadSize: '2 AWG' }).lead, set({ leadLengthMm: 6000 }).lead]).toEqual([null, null])
  })
})

describe('a gun in a gas', () => {
  const gas = (of: Partial<Parameters<typeof sampleGas>[0] & object>) =>
    gunGas({ process: PROCESSES['gmaw-short'], gas: sampleGas({ argonPct: 0, co2Pct: 0, ...of }) })
  it('is rated as in argon from 99 % of inert gas, as in CO₂ in that alone, else as in a mix', () => {
    expect(gas({ argonPct: 99, oxygenPct: 1 })).toBe('argon')
    expect(gas({ argonPct: 60, heliumPct: 39, co2Pct: 1 })).toBe('argon')
    expect(gas({ argonPct: 98, oxygenPct: 2 })).toBe('mixed')
    expect(gas({ co2Pct: 100 })).toBe('co2')
    expect(gas({ argonPct: 75, co2Pct: 25 })).toBe('mixed')
    expect(gunGas({ process: PROCESSES['gmaw-short'], gas: null })).toBeNull()
    expect(gunGas({ process: PROCESSES['fcaw-s'], gas: null })).toBe('none')
    expect(gunGas({ process: PROCESSES['gtaw-dc'], gas: sampleGas({ heliumPct: 100 }) })).toBe('argon')
  })
  const points = (change: Partial<ReturnType<typeof sampleGun>>, co2Pct = 25) => {
    const found = bare
      .with('gas', sampleGas({ argonPct: 100 - co2Pct, co2Pct }))
      .with('gun', sampleGun(change)).gunPoints
    return found?.missing === null ? found.points.map(({ currentA }) => currentA) : found?.missing.code
  }
  const co2 = { gas: 'co2', wave: 'dc', currentA: 250, dutyPct: 60 } as const
  const mixed = { gas: 'mixed', wave: 'dc', currentA: 200, dutyPct: 60 } as const
  // Common practice, no source: a gun of 250 A in CO₂ is one of some 150 A in a mix of argon.
  it('is its own rating in the gas, else a share of that in CO₂', () => {
    expect(points({ ratings: [co2, mixed] })).toEqual([200])
    expect(points({ ratings: [co2, mixed] }, 100)).toEqual([250])
    expect(points({ ratings: [co2] })).toEqual([150])
    expect(points({ ratings: [mixed] }, 0)).toEqual([200])
    expect(points({ ratings: [mixed] }, 100)).toBe('gun-rating')
    expect(points({ ratings: [{ ...mixed, wave: 'ac' }] })).toBe('gun-rating')
    expect(points({ kind: 'torch' })).toBe('other-kind')
    expect(bare.with('gas', null).gunPoints).toMatchObject({ missing: { code: 'gas-for-rating' } })
    expect(bare.with('gun', null).gunPoints).toBeNull()
  })
  it('is looked at anew in another gas', () => {
    expect(bare.gunPoints).not.toBe(bare.with('gas', sampleGas({ argonPct: 0, co2Pct: 100 })).gunPoints)
    expect(bare.with('wire', sampleWire()).gunPoints).toBe(bare.gunPoints)
  })
  it('holds sticks as well on one wave as on the other', () => {
    const holder = sampleGun({
      kind: 'holder',
      ratings: [{ gas: 'none', wave: 'dc', currentA: 300, dutyPct: 60 }],
    })
    const onAc = bare.withSettings({ process: 'smaw', polarity: 'ac' }).with('gun', holder)
    expect(onAc.gunPoints).toMatchObject({ points: [{ currentA: 300 }], missing: null })
  })
})

describe('what the arc burns from', () => {
  const missing = (
    process: (typeof PROCESS_IDS)[number],
    parts: Parameters<typeof sampleCapability>[0] = {},
  ) => sampleCapability({ process, ...parts }).electrode.missing?.code ?? null
  it('is the wire, the stick or the tungsten; what is missing is named', () => {
    expect(missing('gmaw-short')).toBeNull()
    expect(missing('gmaw-short', { wire: null })).toBe('wire')
    expect(missing('gmaw-short', { wire: sampleWire({ form: 'rod' }) })).toBe('wire-is-rod')
    expect(missing('gmaw-short', { wire: sampleWire({ diameterMm: 6 }) })).toBe('wire-range')
    expect(missing('smaw', { wire: null })).toBe('covered')
    expect(
      missing('smaw', { wire: sampleWire({ form: 'covered', classification: 'E7018', diameterMm: 3.175 }) }),
    ).toBeNull()
    expect(missing('gtaw-dc')).toBe('tungsten')
    expect(missing('gtaw-dc', { tungsten: sampleTungsten() })).toBeNull()
    expect(missing('gtaw-dc', { tungsten: sampleTungsten({ diameterMm: 9 }) })).toBe('tungsten-range')
  })
  // AWS A5.12, annex, from memory: 3/32 in carries 150 to 250 A on DC, 140 to 235 A on AC.
  it('is less on AC than on DC for the same tungsten', () => {
    const most = (process: 'gtaw-dc' | 'gtaw-ac') =>
      sampleCapability({ process, tungsten: sampleTungsten({ diameterMm: 2.38125 }) }).electrode.range?.maxA
    expect([most('gtaw-dc'), most('gtaw-ac')]).toEqual([250, 235])
  })
  it('is looked at anew for another wire, and kept for another gun', () => {
    const kept = bare.electrode
    expect(bare.with('gun', null).electrode).toBe(kept)
    expect(bare.with('wire', null).electrode).not.toBe(kept)
    const tig = sampleCapability({ process: 'gtaw-dc', tungsten: sampleTungsten() })
    expect(tig.with('tungsten', null).electrode.missing?.code).toBe('tungsten')
  })
})

describe('the places of a set-up', () => {
  const places = (...of: Parameters<typeof needsOf>) => needsOf(...of).map(({ slot }) => slot)
  const source = samplePowerSource({ feeder: sampleFeeder() })
  it('of wire in gas are all from circuit to flow meter, without a tungsten', () => {
    expect(places({ process: PROCESSES['gmaw-short'], powerSource: source, gun: sampleGun() })).toEqual([
      'circuit',
      'powerSource',
      'gun',
      'wire',
      'roll',
      'liner',
      'tip',
      'nozzle',
      'gas',
      'flowMeter',
    ])
  })
  it('have a feeder where the source has none, and neither roll nor liner with a spool gun', () => {
    const process = PROCESSES['gmaw-short']
    expect(places({ process, powerSource: samplePowerSource(), gun: sampleGun() })).toContain('feeder')
    expect(places({ process, powerSource: null, gun: null })).not.toContain('feeder')
    const spool = places({ process, powerSource: samplePowerSource(), gun: sampleGun({ drive: 'spool' }) })
    for (const slot of ['feeder', 'roll', 'liner']) expect(spool).not.toContain(slot)
    expect(spool).toContain('tip')
  })
  it('have no circuit behind an engine, and no gas for self-shielded wire', () => {
    const driven = samplePowerSource({
      engine: { fuelLPerH: null },
      processes: source.processes.map((one) => ({ ...one, supplies: [sampleSupply({ voltageV: null })] })),
    })
    expect(places({ process: PROCESSES['smaw'], powerSource: driven, gun: null })).not.toContain('circuit')
    expect(places({ process: PROCESSES['fcaw-s'], powerSource: source, gun: null })).not.toContain('gas')
  })
  it('of TIG need a tungsten with what holds it; the rod may be left out', () => {
    const needs = needsOf({
      process: PROCESSES['gtaw-dc'],
      powerSource: source,
      gun: sampleGun({ kind: 'torch' }),
    })
    expect(needs.filter(({ required }) => !required)).toEqual([{ slot: 'wire', required: false }])
    expect(needs.map(({ slot }) => slot)).toEqual(
      expect.arrayContaining(['tungsten', 'collet', 'colletBody', 'cup', 'backCap']),
    )
    expect(needs.map(({ slot }) => slot)).not.toContain('tip')
  })
  it('are called by what holds the arc where that differs', () => {
    expect(slotWord('gun', { electrode: 'tungsten' })).toEqual({ word: 'slot', code: 'gun-tungsten' })
    expect(slotWord('wire', { electrode: 'covered' })).toEqual({ word: 'slot', code: 'wire-covered' })
    expect(slotWord('liner', { electrode: 'wire' })).toEqual({ word: 'slot', code: 'liner' })
  })
  it('are filled from the shelf by id; what is not there is empty', () => {
    const demo = demoShop()
    const setUp = demo.setUps.find(({ id }) => id === 'bay-2-wire')
    if (!setUp) throw new Error('the demo has no bay 2')
    const chosen = chosenOf({ ...setUp, tipId: 'gone' }, demo)
    expect(chosen.wire?.id).toBe(setUp.wireId)
    expect(chosen.tip).toBeNull()
    expect(chosen.tungsten).toBeNull()
    expect(chosen.bench).toBe(demo)
    expect(chosen.claims).toBe(NO_CLAIMS)
    const claims = new Claims(() => [])
    expect(chosenOf(setUp, { ...demo, claims }).claims).toBe(claims)
    expect(idsOf(chosen)).toMatchObject({ wireId: setUp.wireId, tipId: null, tungstenId: null })
    expect(inStockFor('wire', [], { id: 'er70s6-035' })).toBeNull()
  })
})

describe('what planned jobs claim', () => {
  const job = (id: string, dueOn: string | null, name = id) => ({ id, name, dueOn })
  const WIRE = 'wire.er70s6-035'
  const claim = (of: ReturnType<typeof job>, amount: number) => ({
    job: of,
    amounts: new Map([[WIRE, amount]]),
  })
  const first = job('a', '2027-02-01')
  const second = job('b', '2027-02-02')
  const someday = job('c', null)

  it('goes by due day, without one last, of one day by name', () => {
    expect([someday, second, first].toSorted(inDueOrder)).toEqual([first, second, someday])
    expect(inDueOrder(job('x', null, 'Gate'), job('y', null, 'Arch'))).toBeGreaterThan(0)
    expect(inDueOrder(job('x', null, 'Gate'), job('y', null, 'Gate'))).toBeLessThan(0)
  })
  it('is what those before it take, and nothing of its own', () => {
    const claims = new Claims(() => [claim(someday, 5), claim(first, 100), claim(second, 30)])
    const before = (of: typeof first) => claims.before(of, 'wire', 'er70s6-035')
    expect([before(first), before(second), before(someday)]).toEqual([0, 100, 130])
    expect(before(job('z', '2027-02-01'))).toBe(100)
    expect(before(job('0', '2027-01-01'))).toBe(0)
    // The same job with an earlier due day than it was planned with, and a later one.
    expect(before({ ...second, dueOn: '2027-01-01' })).toBe(0)
    expect(before({ ...first, dueOn: '2027-03-01' })).toBe(30)
    expect(claims.before(first, 'wire', 'other')).toBe(0)
  })
  it('is asked for once, when somebody looks', () => {
    let asked = 0
    const claims = new Claims(() => {
      asked += 1
      return [claim(first, 1)]
    })
    expect(asked).toBe(0)
    claims.before(second, 'wire', 'er70s6-035')
    claims.before(second, 'wire', 'er70s6-035')
    expect(asked).toBe(1)
  })
  it('was used by a job as far as the ledger says, never less than nothing', () => {
    const used = new Claims(
      () => [],
      [
        { jobId: 'a', item: WIRE, amount: 40 },
        { jobId: 'b', item: WIRE, amount: -3 },
      ],
    )
    expect([first, second, someday].map((of) => used.used(of, 'wire', 'er70s6-035'))).toEqual([40, 0, 0])
    expect(NO_CLAIMS.used(first, 'wire', 'er70s6-035')).toBe(0)
  })
})
