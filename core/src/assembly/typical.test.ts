import { describe, expect, it } from 'vitest'
import type { Circuit, Gun, PowerSource, Wire } from '../kinds/equipment.ts'
import { LIBRARY } from '../library/index.ts'
import { demoShop } from '../testing/samples.ts'
import { type Lacking, typicalOf } from './typical.ts'

const { shop, powerSources, guns, parts, wires, circuits } = demoShop()
const find = <T extends { readonly id: string }>(list: readonly T[], id: string): T => {
  const found = list.find((one) => one.id === id)
  if (!found) throw new Error(`the demo has no ${id}`)
  return found
}
const source = find(powerSources, 'quillon-210')
const gun = find(guns, 'gun-250')
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
    const own: Wire = { ...find(wires, wires[0]?.id ?? ''), classification: 'ER70S-6', form: 'solid' }
    expect(of({ path: 'wires', record: own, steps: ['spoolMm'] })).toBeGreaterThan(0)
    // NEC 240.4(D): 20 A on 12 AWG.
    const outlet: Circuit = { ...(circuits[0] as Circuit), voltageV: 120, breakerA: 20 }
    expect(of({ path: 'circuits', record: outlet, steps: ['conductorSize'] })).toBe('12 AWG')
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
