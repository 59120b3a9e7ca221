/** Where a figure comes from, as a table cell says it. */
import { expect, it } from 'vitest'
import {
  commonPractice,
  computed,
  dataPlate,
  handbook,
  jobField,
  shopField,
  sourceWords,
  standard,
} from './source.ts'

it('says which kind it is, and whether anybody looked it up', () => {
  expect(standard('IEC 60974-1, 11.2')).toEqual({
    kind: 'standard',
    text: 'IEC 60974-1, 11.2',
    fromMemory: false,
  })
  expect(standard('AWS D1.1, 5.4', true).fromMemory).toBe(true)
  expect(handbook('table of densities')).toEqual({
    kind: 'handbook',
    text: 'table of densities',
    fromMemory: true,
  })
  expect(handbook('table of densities', false).fromMemory).toBe(false)
})

it.each([
  [dataPlate(), 'data-plate', 'data plate'],
  [dataPlate('plate, 230 V'), 'data-plate', 'plate, 230 V'],
  [jobField('leg'), 'job', 'leg'],
  [shopField('wage'), 'shop', 'wage'],
  [commonPractice(), 'common-practice', 'common practice, no source'],
  [computed(), 'computed', 'calculated above'],
] as const)('%j names its kind and its text', (source, kind, text) => {
  expect(source).toEqual({ kind, text })
  expect(sourceWords(source)).toBe(text)
})

it('warns of what was written down from memory', () => {
  expect(sourceWords(handbook('table'))).toBe('table (from memory)')
  expect(sourceWords(standard('ISO 5817'))).toBe('ISO 5817')
})
