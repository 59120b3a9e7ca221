/** Which wires weld alike. Source: common practice: a spool of another size holds the same wire. */
import { expect, it } from 'vitest'
import { demoShop } from '../testing/samples.ts'
import { weldsAs } from './weldsAs.ts'

const wire = demoShop().wires.find(({ form }) => form === 'solid')
if (!wire) throw new Error('the demo has no solid wire')

it('are alike in any package, under any name, at any price', () => {
  const others = [
    { id: 'another', name: 'Another' },
    { spoolMm: 100, packageG: 900 },
    { packagePrice: null },
    { keptAt: 'loft' },
  ] as const
  for (const other of others) expect(weldsAs({ ...wire, ...other })).toBe(weldsAs(wire))
})

it('are not alike where anything else differs', () => {
  const others = [
    { form: 'rod' },
    { classification: 'ER70S-2' },
    { metal: 'stainless' },
    { diameterMm: wire.diameterMm + 0.1 },
    { lengthMm: 356 },
    { currentMinA: 41 },
    { currentMaxA: 399 },
    { polarity: 'dcen' },
    { positions: 'flat-horizontal' },
    { gasWanted: 'co2' },
  ] as const
  const all = [wire, ...others.map((other) => ({ ...wire, ...other }))].map(weldsAs)
  expect(new Set(all).size).toBe(all.length)
})
