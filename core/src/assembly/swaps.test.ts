/** What would mend a set-up from the shelf: one other part, what follows it, and the ways to feed aluminium. */
import { describe, expect, it } from 'vitest'
import { type Capability, capabilityOf } from '../capability/capability.ts'
import { chosenOf } from '../capability/slots.ts'
import { assess } from '../criteria/index.ts'
import { type Demand, demandOf } from '../demand/demand.ts'
import type { Shelf } from '../kinds/shelf.ts'
import { demoShop, oneOf } from '../testing/samples.ts'
import { aluminiumWays } from './aluminium.ts'
import { followersOf } from './change.ts'
import { swapFinder } from './swaps.ts'

const demo = demoShop()
const { shop } = demo
const withParts = (id: string, part: object = {}): Capability => {
  const setUp = { ...oneOf(demo.setUps, id), ...part }
  return capabilityOf(shop, setUp, chosenOf(setUp, demo))
}
const demandFor = (jobId: string, { process, wire }: Capability): Demand =>
  demandOf(oneOf(demo.jobs, jobId), process.id, wire, shop)

/** By criterion that is amiss: each swap with what is changed and what follows. */
const swapsFor = (capability: Capability, demand: Demand | null, most?: number) => {
  const swapsOf = swapFinder(capability, demand, demo, most)
  return Object.fromEntries(
    assess(capability, demand).flatMap((one) =>
      one.verdict === 'fits'
        ? []
        : [[one.criterion, swapsOf(one).map(({ slot, along, change }) => ({ slot, along, change }))]],
    ),
  )
}
const swap = (slot: string, change: object, along: readonly string[] = []) => ({ slot, along, change })

// Common practice, no source: aluminium runs through U rolls and a slippery liner, from a spool gun at best, in argon.
describe('one other part', () => {
  const tried = () => withParts('platform-tried')
  it('is named for each rule of aluminium by itself, small parts before the gun', () => {
    const gun = swap('gun', { gunId: 'dray-spool', rollId: null, linerId: null })
    const liner = swap('liner', { linerId: 'liner-ptfe-045-15' })
    expect(swapsFor(tried(), null, 9)).toEqual({
      'roll-groove': [swap('roll', { rollId: 'roll-quillon-u-0035' })],
      'aluminium-path': [gun],
      'tip-bore': [swap('tip', { tipId: 'tip-medium-0040' })],
      'liner-material': [liner, gun],
      'liner-one-metal': [liner, gun],
      'gas-for-metal': [swap('gas', { gasId: 'argon' })],
    })
  })
  it('is no more than was asked for, and two where nobody says', () => {
    const counts = (most?: number) =>
      Object.values(swapsFor(tried(), null, most)).map((swaps) => swaps.length)
    expect(Math.max(...counts(1))).toBe(1)
    expect(Math.max(...counts(0))).toBe(0)
    expect(counts()).toEqual(counts(2))
  })
  it('is a rod of the metal that is welded, never of another', () => {
    const tray = withParts('bench-tig-dc', { wireId: 'er5356-332' })
    expect(swapsFor(tray, demandFor('pressing-tray', tray))['filler-for-metal']).toEqual([
      swap('wire', { wireId: 'er308l-116' }),
    ])
    const tank = withParts('bench-tig-dc')
    expect(swapsFor(tank, demandFor('tank-manifold', tank))['filler-for-metal']).toEqual([
      swap('wire', { wireId: 'er316l-116' }),
    ])
    // By short-circuit through this gun no wire of the shelf welds aluminium.
    const platform = withParts('bay-2-wire')
    expect(swapsFor(platform, demandFor('picking-platform', platform))['filler-for-metal']).toEqual([])
  })
  it('is a wire of the metal that is there where no job says otherwise, for every wire in every set-up', () => {
    let offered = 0
    for (const { id } of demo.setUps)
      for (const wire of demo.wires) {
        const capability = withParts(id, { wireId: wire.id })
        const swaps = Object.values(swapsFor(capability, null)).flat()
        for (const { slot, change } of swaps) {
          if (slot !== 'wire') continue
          const { wireId } = change as { readonly wireId: string }
          expect(oneOf(demo.wires, wireId).metal).toBe(wire.metal)
          offered += 1
        }
      }
    expect(offered).toBeGreaterThan(10)
  })
  it('takes along what hangs on it, and is never what is there already', () => {
    const narrow: Shelf = { ...demo, guns: demo.guns.filter(({ id }) => id === 'gun-250') }
    const light = withParts('bay-2-wire', { gunId: 'gun-150' })
    const [connector] = assess(light, null).filter(({ criterion }) => criterion === 'connector')
    if (!connector) throw new Error('the light gun plugs into the machine')
    expect(swapFinder(light, null, narrow)(connector)).toMatchObject([
      { slot: 'gun', item: { id: 'gun-250' } },
    ])
    const alone: Shelf = { ...demo, guns: demo.guns.filter(({ id }) => id === 'gun-150') }
    expect(swapFinder(light, null, alone)(connector)).toEqual([])
  })
})

describe('what would have to follow a part', () => {
  const follow = (slot: 'wire' | 'tip', id: string, part: object = {}) => {
    const item = oneOf<{ readonly id: string }>(slot === 'wire' ? demo.wires : demo.parts, id)
    return followersOf(slot, item as never, withParts('bay-2-wire', part), null, demo)
  }
  // Common practice: a groove of 0.035 holds 0.030, a tip of 0.035 lets it wander.
  it('is a tip for a thinner wire, whatever was wrong before', () => {
    expect(follow('wire', 'er70s6-030')).toEqual(['tip'])
    expect(follow('wire', 'er70s6-030', { nozzleId: 'nozzle-heavy-gas' })).toEqual(['tip'])
  })
  it('is unknown where it would not go even then, and where nothing follows', () => {
    expect(follow('wire', 'er70s6-035')).toBeNull()
    // Rolls and liner for it are on the shelf; pushed through this gun in this gas it still fails.
    expect(follow('wire', 'er4043-035')).toBeNull()
    expect(follow('wire', 'e71t11-035')).toBeNull()
    // The part itself is not put back.
    expect(follow('tip', 'tip-medium-0045')).toBeNull()
  })
})

describe('feeding aluminium', () => {
  const rows = (shelf: Shelf, demand: Demand | null = null) =>
    aluminiumWays(withParts('platform-tried'), demand, shelf).map(
      ({ id, cost, isWhole, lacks, buys, change, cannot }) => ({
        id,
        cost,
        isWhole,
        lacks,
        buys: buys.map(({ name }) => name),
        change,
        cannot: cannot.map(({ criterion }) => criterion),
      }),
    )
  it('says of each way what it buys, changes, costs, and still cannot do', () => {
    expect(rows(demo)).toEqual([
      {
        id: 'convert',
        cost: 24 + 44,
        isWhole: true,
        lacks: [],
        buys: ['Quillon roll, U 0.035', 'PTFE liner 0.030–3/64, 15 ft'],
        // The tip is in the drawer.
        change: {
          rollId: 'roll-quillon-u-0035',
          linerId: 'liner-ptfe-045-15',
          tipId: 'tip-medium-0040',
        },
        cannot: ['aluminium-path'],
      },
      {
        id: 'dray-spool',
        cost: 295,
        isWhole: true,
        lacks: [],
        buys: ['Dray spool gun'],
        change: { gunId: 'dray-spool', tipId: 'tip-medium-0040', rollId: null, linerId: null },
        cannot: [],
      },
      {
        id: 'dray-push-pull',
        cost: 1650 + 24 + 72,
        isWhole: true,
        lacks: [],
        buys: ['Dray push-pull, 25 ft', 'Quillon roll, U 0.035', 'PTFE liner 0.035–1/16, 25 ft'],
        change: {
          gunId: 'dray-push-pull',
          tipId: 'tip-heavy-0035',
          rollId: 'roll-quillon-u-0035',
          linerId: 'liner-ptfe-045-25',
          nozzleId: 'nozzle-heavy-gas',
        },
        cannot: ['connector', 'tip-bore'],
      },
    ])
  })
  it('is called by what is bought or changed, with what is to be said against it', () => {
    const said = aluminiumWays(withParts('platform-tried'), null, demo).map(({ title, drawback }) => [
      title.code,
      title.params['gun'],
      drawback.code,
    ])
    expect(said).toEqual([
      ['convert', withParts('platform-tried').gun?.name, 'changed-back'],
      ['buy', 'Dray spool gun', 'spool'],
      ['buy', 'Dray push-pull, 25 ft', 'push-pull'],
    ])
  })
  it('of a shelf without small parts names what is lacking, and keeps the tip that is there', () => {
    const bare = { ...demo, parts: [], guns: demo.guns.filter(({ drive }) => drive !== 'push-pull') }
    const [convert, spool, ...rest] = rows(bare)
    expect(rest).toEqual([])
    expect(convert).toMatchObject({ cost: 0, isWhole: false, lacks: ['roll', 'liner', 'tip'], change: {} })
    expect(spool).toMatchObject({ change: { tipId: 'tip-medium-0035' }, cannot: ['tip-bore'] })
    // A tip of another thread is none.
    const light = { ...bare, parts: demo.parts.filter(({ id }) => id === 'tip-light-0035') }
    expect(rows(light)[1]).toMatchObject({ change: { tipId: 'tip-medium-0035' } })
  })
  it('with a price that is not known is no whole price', () => {
    const parts = demo.parts.map((part) =>
      part.id === 'roll-quillon-u-0035' ? { ...part, price: null } : part,
    )
    expect(rows({ ...demo, parts })[0]).toMatchObject({ cost: 44, isWhole: false, lacks: [] })
  })
  it('is no question of a job in steel', () => {
    const tried = withParts('platform-tried')
    expect(rows(demo, demandFor('press-frame', tried))).toEqual([])
    expect(rows(demo, demandFor('picking-platform', tried))).toHaveLength(3)
  })
})
