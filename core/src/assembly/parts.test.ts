/** What goes with a machine before its plate is read: its gun, library parts, polarity and name. Common practice, no source. */
import { describe, expect, it } from 'vitest'
import { capabilityOf } from '../capability/capability.ts'
import { chosenOf, emptyChoice } from '../capability/slots.ts'
import type { Gun, PowerSource } from '../kinds/equipment.ts'
import { SLOTS, slotKey } from '../kinds/slots.ts'
import { PROCESS_IDS } from '../model/process.ts'
import { demoShop, oneOf } from '../testing/samples.ts'
import { aluminiumWays } from './aluminium.ts'
import { changeSetUp } from './change.ts'
import { failingSlots, fitOut } from './fitOut.ts'
import { offersFor } from './offers.ts'
import { gunFor, isRatedFor, libraryPartsFor, nameOfSetUp, settingsFor } from './propose.ts'
import { swapFinder } from './swaps.ts'

const demo = demoShop()
const { shop } = demo
const quillon = oneOf(demo.powerSources, 'quillon-210')
const capabilityOfSetUp = (id: string, part: object = {}) => {
  const setUp = { ...oneOf(demo.setUps, id), ...part }
  return capabilityOf(shop, setUp, chosenOf(setUp, demo))
}

describe('a plate', () => {
  const plate = (part: object): PowerSource => ({
    ...quillon,
    processes: [
      { ...quillon.processes[0], pulse: false, outputs: ['dc'], ...part },
    ] as PowerSource['processes'],
  })
  const rated = (source: PowerSource) => PROCESS_IDS.filter((id) => isRatedFor(source, id))
  it('has the processes of its family, and pulse, AC and DC where it says so', () => {
    expect(rated(plate({ family: 'gmaw' }))).toEqual(['gmaw-short', 'gmaw-spray'])
    expect(rated(plate({ family: 'gmaw', pulse: true }))).toEqual(['gmaw-short', 'gmaw-spray', 'gmaw-pulse'])
    expect(rated(plate({ family: 'fcaw' }))).toEqual(['fcaw-s', 'fcaw-g'])
    expect(rated(plate({ family: 'gtaw' }))).toEqual(['gtaw-dc'])
    expect(rated(plate({ family: 'gtaw', outputs: ['ac'] }))).toEqual(['gtaw-ac'])
    expect(rated(plate({ family: 'gtaw', outputs: ['ac', 'dc'] }))).toEqual(['gtaw-dc', 'gtaw-ac'])
    expect(rated(plate({ family: 'smaw', outputs: ['ac'] }))).toEqual(['smaw'])
  })
})

describe('a gun of the library', () => {
  const bare = (part: Partial<Gun>): Gun => ({
    ...oneOf(demo.guns, 'gun-250'),
    connector: null,
    valve: null,
    ...part,
  })
  it('plugs into its machine: a gun into the feeder, a torch into the torch socket', () => {
    const source = { ...quillon, torchConnector: 'dinse-35' as never, gasValve: true }
    expect(gunFor(bare({ kind: 'gun' }), source).connector).toBe(quillon.feeder?.gunConnector)
    expect(gunFor(bare({ kind: 'torch' }), source).connector).toBe('dinse-35')
    expect(gunFor(bare({ kind: 'gun' }), { ...source, feeder: null }).connector).toBeNull()
    expect(gunFor(bare({ kind: 'gun', connector: 'own' as never }), source).connector).toBe('own')
  })
  it('has a valve of its own where it is a torch and the machine does not switch the gas', () => {
    const valve = (part: Partial<Gun>, gasValve: boolean | null) =>
      gunFor(bare(part), { ...quillon, gasValve }).valve
    expect([
      valve({ kind: 'torch' }, false),
      valve({ kind: 'torch' }, true),
      valve({ kind: 'torch' }, null),
    ]).toEqual([true, false, null])
    expect(valve({ kind: 'gun' }, false)).toBeNull()
    expect(valve({ kind: 'torch', valve: true }, true)).toBe(true)
  })
})

describe('parts of the library', () => {
  const main = capabilityOfSetUp('bay-2-wire')
  it('carry the class of the gun and the drive of the feeder, in their name and their id', () => {
    const rolls = libraryPartsFor('roll', main)
    expect(rolls.length).toBeGreaterThan(3)
    for (const roll of rolls) {
      expect(roll).toMatchObject({
        kind: 'drive-roll',
        held: 'owned',
        rollSystem: quillon.feeder?.rollSystem,
      })
      expect(roll.name).toMatch(new RegExp(`, ${quillon.feeder?.rollSystem ?? ''}$`))
      expect(roll.id).toMatch(/^[a-z0-9-]{1,64}$/)
    }
    const [tip] = libraryPartsFor('tip', main)
    expect(tip).toMatchObject({ kind: 'contact-tip', partsClass: main.gun?.partsClass, held: 'owned' })
    expect(tip?.name).toMatch(/, medium$/)
    expect(tip?.id).toMatch(/-medium$/)
  })
  it('say nothing of a drive or a class that is not known', () => {
    const bare = capabilityOf(shop, settingsFor('gmaw-short', null, null), { ...emptyChoice(), stock: [] })
    const [roll] = libraryPartsFor('roll', bare)
    expect(roll).toMatchObject({ rollSystem: null })
    expect(roll?.name).not.toContain('null')
    expect(roll?.id).toMatch(/-any$/)
  })
  it('are those of one place, or all', () => {
    const all = libraryPartsFor(null, main)
    expect(new Set(all.map(({ kind }) => kind)).size).toBeGreaterThan(6)
    expect(libraryPartsFor('cup', main).every(({ kind }) => kind === 'cup')).toBe(true)
    expect(libraryPartsFor('gun', main)).toEqual([])
  })
})

describe('what is set', () => {
  const wire = oneOf(demo.wires, 'e71t11-045')
  it('is the polarity of the wire, of the process where it says none, and AC where the machine has no other', () => {
    expect(settingsFor('fcaw-s', wire, quillon)).toMatchObject({ process: 'fcaw-s', polarity: 'dcen' })
    expect(settingsFor('fcaw-s', { ...wire, polarity: 'dcep' }, quillon).polarity).toBe('dcep')
    expect(settingsFor('gmaw-short', null, null).polarity).toBe('dcep')
    const buzz = {
      ...quillon,
      processes: quillon.processes.map((one) => ({ ...one, outputs: ['ac' as const] })),
    }
    expect(settingsFor('smaw', null, buzz).polarity).toBe('ac')
    expect(settingsFor('gmaw-short', null, buzz).polarity).toBe('dcep')
    expect(settingsFor('smaw', null, quillon).polarity).toBe('dcep')
  })
  it('has a name by process, machine, and wire where there are several', () => {
    expect(nameOfSetUp('gmaw-short', quillon, null)).toBe('MIG, short-circuit, Quillon 210')
    expect(nameOfSetUp('smaw', quillon, wire)).toBe('Stick, Quillon 210, 0.045 E71T-11')
    expect(nameOfSetUp('smaw', { ...quillon, name: 'x'.repeat(200) }, null)).toHaveLength(120)
  })
})

describe('what follows a change', () => {
  const setUp = oneOf(demo.setUps, 'bay-2-wire')
  it('is small parts alone, or all that no longer goes', () => {
    const small = changeSetUp(shop, demo, setUp, { wireId: 'e71t11-045' })
    expect(small.along).toEqual(expect.arrayContaining(['roll', 'liner', 'tip']))
    expect(small.setUp).toMatchObject({
      wireId: 'e71t11-045',
      gunId: setUp.gunId,
      powerSourceId: setUp.powerSourceId,
    })
    expect(small.along).not.toContain('wire')
    const all = changeSetUp(
      shop,
      demo,
      setUp,
      { process: 'gtaw-dc', polarity: 'dcen', wireId: 'er308l-116' },
      null,
      'all',
    )
    expect(all.along).toEqual(expect.arrayContaining(['gun', 'gas', 'tungsten']))
    expect(all.setUp.wireId).toBe('er308l-116')
  })
  it('leaves what was wrong before, and what the change names', () => {
    const wrong = { ...setUp, nozzleId: 'nozzle-heavy-gas' }
    const after = changeSetUp(shop, demo, wrong, { wireId: 'e71t11-045', tipId: 'tip-medium-0035' })
    expect(after.setUp).toMatchObject({ nozzleId: 'nozzle-heavy-gas', tipId: 'tip-medium-0035' })
  })
})

describe('filling a set-up', () => {
  it('takes out what nothing needs, and hangs an engine on no circuit', () => {
    const stick = capabilityOfSetUp('yard-stick', { tipId: 'tip-medium-0035', nozzleId: 'nozzle-medium-gas' })
    const { change, changed } = fitOut(stick, demo)
    expect(changed).toEqual(expect.arrayContaining(['tip', 'nozzle']))
    expect(change).toMatchObject({ tipId: null, nozzleId: null })
    const heath = capabilityOfSetUp('heath-stick', { circuitId: 'bay-2' })
    expect(fitOut(heath, demo).change).toMatchObject({ circuitId: null })
  })
  it('names what it changed and nothing else, for every set-up of the demo in every process', () => {
    for (const { id } of demo.setUps)
      for (const process of PROCESS_IDS)
        for (const which of ['small', 'all'] as const) {
          const before = capabilityOfSetUp(id, { process })
          const { capability, changed, change } = fitOut(before, demo, { which })
          const differing = SLOTS.filter((slot) => capability[slot]?.id !== before[slot]?.id)
          expect(new Set(changed)).toEqual(new Set(differing))
          expect(changed).toHaveLength(differing.length)
          for (const slot of differing) expect(change[slotKey(slot)]).toBe(capability[slot]?.id ?? null)
          if (which === 'small') expect(capability.wire?.id).toBe(before.wire?.id)
          // Once more there is nothing to do.
          expect(fitOut(capability, demo, { which }).changed, `${id} ${process} ${which}`).toEqual([])
        }
  })
  it('takes a wire for the rod where TIG becomes MIG, and the gas of the wire', () => {
    const { capability } = fitOut(capabilityOfSetUp('bench-tig-dc', { process: 'gmaw-short' }), demo, {
      which: 'all',
    })
    expect(capability.wire?.form).toBe('solid')
    expect(failingSlots(capability, null)).not.toContain('gas')
  })
  it('leaves the large places alone unless all are asked', () => {
    const empty = capabilityOfSetUp('bay-2-wire', { gasId: null, gunId: null })
    expect(fitOut(empty, demo).changed).not.toContain('gas')
    const all = fitOut(empty, demo, { which: 'all' })
    expect(all.changed).toEqual(expect.arrayContaining(['gas', 'gun']))
    expect(failingSlots(all.capability, null)).toEqual([])
    expect(fitOut(empty, demo, { which: 'all', leave: ['gas'] }).changed).not.toContain('gas')
  })
})

describe('what the shelf offers', () => {
  it('stands in the order of what goes, with every reason against it, worst first', () => {
    const offers = offersFor('wire', capabilityOfSetUp('bay-2-wire'), null, demo)
    const rank = { fits: 0, tight: 1, unknown: 2, fails: 3 }
    const ranks = offers.map(({ verdict }) => rank[verdict])
    expect(ranks).toEqual(ranks.toSorted((a, b) => a - b))
    expect(offers[0]).toMatchObject({ verdict: 'fits', reasons: [] })
    for (const { verdict, reasons } of offers) {
      const found = reasons.map((one) => rank[one.verdict])
      expect(found).toEqual(found.toSorted((a, b) => b - a))
      expect(found[0] ?? 0).toBe(rank[verdict])
    }
  })
  it('for a rule that does not hold names one other part each, the cheapest to change first', () => {
    const capability = capabilityOfSetUp('bay-2-wire', { tipId: 'tip-medium-0045' })
    const [bore] = offersFor('tip', capability, null, {
      ...demo,
      parts: capability.tip ? [capability.tip] : [],
    })
    const reason = bore?.reasons[0]
    if (!reason) throw new Error('a tip of 0.045 goes with a wire of 0.035')
    const swaps = swapFinder(capability, null, demo)(reason)
    expect(swaps[0]).toMatchObject({
      slot: 'tip',
      item: { id: 'tip-medium-0035' },
      change: { tipId: 'tip-medium-0035' },
    })
    expect(swaps.length).toBeLessThanOrEqual(2)
    expect(swapFinder(capability, null, demo, 1)(reason)).toHaveLength(1)
    expect(swaps.map(({ slot }) => slot)).not.toContain('gas')
  })
})

describe('feeding aluminium', () => {
  const ways = (part: object = {}) => aluminiumWays(capabilityOfSetUp('platform-tried', part), null, demo)
  it('is converting the gun that is there, a spool gun, or push-pull', () => {
    const [convert, ...guns] = ways()
    expect(convert?.id).toBe('convert')
    expect(convert?.title).toMatchObject({ code: 'convert', params: { gun: '15 ft, 250 A class' } })
    expect(Object.keys(convert?.change ?? {})).toEqual(expect.arrayContaining(['rollId', 'linerId']))
    expect(guns.map(({ drawback }) => drawback.code)).toContain('spool')
    for (const { buys, cost, isWhole, lacks } of ways()) {
      expect(cost).toBe(buys.reduce((sum, { price }) => sum + (price ?? 0), 0))
      expect(isWhole).toBe(lacks.length === 0 && buys.every(({ price }) => price !== null))
    }
    const spool = guns.find(({ id }) => id === 'dray-spool')
    expect(spool).toMatchObject({ change: { gunId: 'dray-spool' } })
    expect(spool?.buys).toContainEqual({ name: 'Dray spool gun', price: 295 })
  })
  it('is no question of steel, of a rod, of no gun, or of a spool gun that is there', () => {
    expect(ways({ wireId: 'er70s6-035' })).toEqual([])
    expect(ways({ gunId: null })).toEqual([])
    expect(ways({ wireId: null })).toEqual([])
    expect(aluminiumWays(capabilityOfSetUp('spool-gun'), null, demo)).toEqual([])
    expect(aluminiumWays(capabilityOfSetUp('bench-tig-ac'), null, demo)).toEqual([])
  })
})
