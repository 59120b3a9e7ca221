/** Fillers by class. AWS A5.1, A5.10, A5.15, A5.18, A5.20, A5.28 and their annexes, from memory. */
import { describe, expect, it } from 'vitest'
import type { MaterialId } from '../model/material.ts'
import { fillerFamilyOf, fillersInForm, formsOfClass } from './fillerFamilies.ts'
import { isFiller, pairAdvice, type Service } from './pairs.ts'

const ordinary: Service = { serviceTemperatureC: null, anodised: false, thickerMm: 6 }
const joins = (printed: string, a: MaterialId, b: MaterialId = a, part: Partial<Service> = {}): boolean => {
  const advice = pairAdvice(a, b, { ...ordinary, ...part })
  return (
    advice.fillers.some((one) => isFiller(printed, one)) &&
    !advice.excluded.some((one) => isFiller(printed, one))
  )
}

describe('what joins carbon steel', () => {
  it.each([
    'ER70S-2',
    'ER70S-4',
    'er 70s-6',
    'ER80S-D2',
    'E70C-6M',
    'E71T-1C/M',
    'E70T-1C',
    'E70T-4',
    'E71T-8',
    'E71T-9M',
    'E71T-GS',
    'E6010',
    'E7016',
    'E7018-1 H4R',
  ])('%s does', (printed) => expect(joins(printed, 'hot-rolled')).toBe(true))
  it.each(['ER4043', 'ER5356', 'ER308L', 'ENi-CI', 'ERCuSi-A', 'E70', 'E7', ''])('%s does not', (printed) =>
    expect(joins(printed, 'hot-rolled')).toBe(false),
  )
  it('but not to stainless, which thins into it and cracks', () => {
    for (const printed of ['ER70S-6', 'E71T-1C', 'E7018'])
      expect(joins(printed, 'hot-rolled', 'stainless-304')).toBe(false)
    expect(joins('E309L-16', 'hot-rolled', 'stainless-304')).toBe(true)
  })
  it('of quenched and tempered steel only the one that a procedure names', () => {
    expect(joins('ER70S-6', 'hot-rolled', 'quenched-tempered')).toBe(true)
    expect(joins('E6010', 'hot-rolled', 'quenched-tempered')).toBe(false)
  })
})

describe('what joins stainless', () => {
  it('the alloy decides, whatever its form', () => {
    for (const printed of ['ER308L', 'ER308LSi', 'E308L-16', 'E308LT1-1'])
      expect(joins(printed, 'stainless-304')).toBe(true)
    expect(joins('ER308L', 'stainless-316')).toBe(false)
    expect(joins('E316L-17', 'stainless-316')).toBe(true)
    expect(fillerFamilyOf('ER308L')).not.toBe(fillerFamilyOf('ER308H'))
  })
})

describe('what joins aluminium', () => {
  it('4047 stands for 4043, 5183 and 5556 for 5356', () => {
    expect(joins('ER4047', 'aluminium-6061')).toBe(true)
    expect(joins('ER5183', 'aluminium-6061')).toBe(true)
    expect(joins('ER5556', 'aluminium-5083')).toBe(true)
    expect(joins('R4043', 'aluminium-6061')).toBe(true)
  })
  it('silicon never joins 5083, magnesium never a casting, and neither above 65 °C or anodised as excluded', () => {
    expect(joins('ER4047', 'aluminium-5083')).toBe(false)
    expect(joins('ER5183', 'aluminium-cast')).toBe(false)
    expect(joins('ER5183', 'aluminium-6061', 'aluminium-6061', { serviceTemperatureC: 90 })).toBe(false)
    expect(joins('ER4047', 'aluminium-6061', 'aluminium-6061', { anodised: true })).toBe(false)
  })
})

describe('what is offered to a process', () => {
  const steel = pairAdvice('hot-rolled', 'hot-rolled', ordinary).fillers.map((one) => one.classification)
  it('to a stick none that is a wire, to a gas-shielded wire none that has no gas, and none of another form', () => {
    for (const form of ['covered', 'cored-gas-shielded', 'cored-self-shielded', 'solid', 'rod'] as const) {
      const offered = fillersInForm(steel, form)
      expect(offered.length).toBeGreaterThan(0)
      for (const name of offered) expect(formsOfClass(name)).toContain(form)
    }
    expect(fillersInForm(steel, 'covered')).not.toContain('E71T-1')
    expect(fillersInForm(steel, 'cored-self-shielded')).toEqual(['E71T-11', 'E71T-8', 'E71T-GS'])
  })
  it('cast iron by stick is ordinary: nickel electrodes', () => {
    const iron = pairAdvice('cast-iron', 'cast-iron', ordinary).fillers.map((one) => one.classification)
    expect(fillersInForm(iron, 'covered')).toEqual(['ENi-CI', 'ENiFe-CI'])
    expect(fillersInForm(iron, 'solid')).toEqual([])
  })
  it('of stainless by stick the covered electrode of the alloy', () => {
    expect(fillersInForm(['ER308L', 'ER316L'], 'covered')).toEqual(['E308L-16', 'E316L-16'])
  })
})
