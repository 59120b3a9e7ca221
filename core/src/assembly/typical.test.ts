import { describe, expect, it } from 'vitest'
import type { Circuit, Gun, PowerSource, Wire } from '../kinds/equipment.ts'
import { isSoldTo, LIBRARY } from '../library/index.ts'
import { demoShop, oneOf } from '../testing/samples.ts'
import { type Lacking, typicalOf } from './typical.ts'

const { shop, powerSources, feeders, guns, parts, wires, circuits } = demoShop()
const source = oneOf(powerSources, 'quillon-210')
const gun = oneOf(guns, 'gun-250')
const none = { family: 'gmaw', powerSource: source, gun } as const
const of = (part: Pick<Lacking, 'path' | 'record' | 'steps'> & Partial<Lacking>) =>
  typicalOf({ ...none, ...part }, shop)

// Common practice, no source: what machines of such a class have.
describe('what is usual', () => {
  it('of a machine is that of the class that puts out about as much', () => {
    const machine = (steps: Lacking['steps'], record: PowerSource = source) =>
      of({ path: 'power-sources', record, steps })
    expect(machine(['feeder', 'gunConnector'])).toBe('pin-large')
    expect(machine(['feeder', 'spoolsMm'])).toEqual([100, 200, 300])
    expect(machine(['gasValve'])).toBe(true)
    expect(machine(['processes', 0, 'supplies', 0, 'openCircuitV'])).toBeGreaterThan(30)
    const small = {
      ...source,
      processes: source.processes.map((process) => ({
        ...process,
        supplies: process.supplies.map((supply) => ({ ...supply, outputMaxA: 135 })),
      })),
    }
    expect(machine(['feeder', 'gunConnector'], small)).toBe('fixed')
  })
  it('of a gun is the connector of its machine, of a part the class of its gun', () => {
    expect(of({ path: 'guns', record: gun, steps: ['connector'] })).toBe(source.feeder?.gunConnector)
    const [tip] = parts.filter(({ kind }) => kind === 'contact-tip')
    if (!tip) throw new Error('the demo has no tip')
    expect(of({ path: 'parts', record: tip, steps: ['partsClass'] })).toBe(gun.partsClass)
    const torch: Gun = { ...gun, kind: 'torch' }
    expect(of({ path: 'guns', record: torch, steps: ['connector'], gun: torch })).toBe(source.torchConnector)
  })
  it('of a wire is that of the same class, of a circuit the cable behind such a breaker', () => {
    const own: Wire = { ...oneOf(wires, wires[0]?.id ?? ''), classification: 'ER70S-6', form: 'solid' }
    expect(of({ path: 'wires', record: own, steps: ['spoolMm'] })).toBeGreaterThan(0)
    // NEC 240.4(D): 20 A on 12 AWG.
    const outlet: Circuit = { ...(circuits[0] as Circuit), voltageV: 120, breakerA: 20 }
    expect(of({ path: 'circuits', record: outlet, steps: ['conductorSize'] })).toBe('12 AWG')
  })
  it('of a roll is the drive of its machine, and of a feeder what the class has', () => {
    const [roll] = parts.filter(({ kind }) => kind === 'drive-roll')
    if (!roll) throw new Error('the demo has no roll')
    expect(of({ path: 'parts', record: roll, steps: ['rollSystem'] })).toBe(source.feeder?.rollSystem)
    expect(of({ path: 'parts', record: roll, steps: ['rollSystem'], powerSource: null })).toBeNull()
    const bare = { ...source, feeder: null }
    expect(of({ path: 'parts', record: roll, steps: ['rollSystem'], powerSource: bare })).toBeNull()
    expect(of({ path: 'parts', record: roll, steps: ['partsClass'], gun: null })).toBeNull()
    expect(of({ path: 'parts', record: roll, steps: ['massG'] })).toBeNull()
    const [feeder] = feeders
    if (!feeder) throw new Error('the demo has no feeder')
    expect(of({ path: 'feeders', record: feeder, steps: ['gunConnector'] })).toBe('pin-large')
    expect(of({ path: 'feeders', record: feeder, steps: ['gunConnector'], powerSource: null })).toBeNull()
  })
  it('of a connector of a torch is the socket of the machine, and of a field of that name elsewhere it is not', () => {
    const machine = { ...source, torchConnector: 'lug' as never }
    const connector = (part: Partial<Lacking>) =>
      of({ path: 'guns', record: gun, steps: ['connector'], powerSource: machine, ...part })
    expect(connector({ gun: null })).toBe('lug')
    expect(connector({ gun })).toBe(source.feeder?.gunConnector)
    expect(connector({ gun, powerSource: { ...machine, feeder: null } })).toBeNull()
    expect(connector({ gun: { ...gun, kind: 'torch' }, powerSource: null })).toBeNull()
    expect(of({ path: 'wires', record: wires[0] as Wire, steps: ['connector'] })).toBeNull()
    expect(
      of({ path: 'guns', record: gun, steps: ['partsClass'], gun: { ...gun, partsClass: 'heavy' } }),
    ).toBe('medium')
  })
  it('of a gun or a wire of the library is its own: of its kind, drive, cooling, class and size', () => {
    const sold = LIBRARY.filter((entry) => isSoldTo(entry, shop))
    const field = (path: 'guns' | 'wires', record: Gun | Wire, name: string) =>
      of({ path, record, steps: [name] })
    for (const { path, record } of sold)
      if (path === 'guns')
        for (const name of ['kind', 'drive', 'cooling', 'ratings'] as const)
          expect(field(path, record as Gun, name), `${record.name}, ${name}`).toEqual((record as Gun)[name])
      else if (path === 'wires')
        for (const name of ['classification', 'form', 'diameterMm'] as const)
          expect(field(path, record as Wire, name), `${record.name}, ${name}`).toBe((record as Wire)[name])
  })
  it('of a circuit is the cable behind the nearest breaker on the same volts (NEC 240.4(D), 310.16)', () => {
    const behind = (voltageV: number, breakerA: number) =>
      of({
        path: 'circuits',
        record: { ...(circuits[0] as Circuit), voltageV, breakerA },
        steps: ['conductorSize'],
      })
    expect([behind(120, 15), behind(240, 30), behind(240, 50)]).toEqual(['14 AWG', '10 AWG', '6 AWG'])
    expect(behind(777, 50)).toBeNull()
  })
  it('of a machine whose process no class has is nothing', () => {
    expect(
      of({ path: 'power-sources', record: { ...source, processes: [] }, steps: ['gasValve'] }),
    ).toBeNull()
    expect(of({ path: 'power-sources', record: { ...source, processes: [] }, steps: ['start'] })).toBeNull()
  })
  it('is nothing where there is no usual one', () => {
    const odd: Wire = { ...(wires[0] as Wire), classification: 'ERNiCr-3' }
    expect(of({ path: 'wires', record: odd, steps: ['spoolMm'] })).toBeNull()
    expect(of({ path: 'power-sources', record: source, steps: ['inrushA'] })).toBeNull()
    expect(of({ path: 'guns', record: gun, steps: ['connector'], powerSource: null })).not.toBeUndefined()
  })
  it('of every class is its own', () => {
    for (const { path, record } of LIBRARY)
      if (path === 'power-sources') {
        const own = record as PowerSource
        const [family] = own.processes.map((process) => process.family)
        const value =
          family &&
          typicalOf(
            {
              path,
              record: own,
              steps: ['processes', 0, 'supplies', 0, 'openCircuitV'],
              family,
              powerSource: own,
              gun: null,
            },
            {
              ...shop,
              unitSystem: own.name.startsWith('230') || own.name.startsWith('400') ? 'metric' : 'imperial',
            },
          )
        expect(value, own.name).not.toBeNull()
      }
  })
})
