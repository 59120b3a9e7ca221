/** Names of metals as drawings and delivery notes have them: EN 10025, 10130, 10346, 10088, 573, 10083, 1561 (from memory). */
import fc from 'fast-check'
import { expect, it } from 'vitest'
import { MATERIAL_IDS } from '../model/material.ts'
import { leastPreheatOf, preheatCategoryOf } from './leastPreheat.ts'
import { materialOf, MATERIALS } from './materials.ts'
import { pairAdvice } from './pairs.ts'

it.each([
  ['S235', 'hot-rolled'],
  ['S235JR', 'hot-rolled'],
  ['S235JRG2', 'hot-rolled'],
  ['EN 10025-2 S275J0', 'hot-rolled'],
  ['P265GH', 'hot-rolled'],
  ['1.0038', 'hot-rolled'],
  ['S355', 'structural-355'],
  ['S355J2+N', 'structural-355'],
  ['S355J2H', 'structural-355'],
  ['A572-50', 'structural-355'],
  ['DC01', 'cold-rolled'],
  ['DX51D+Z275', 'galvanised'],
  ['S350GD+Z', 'galvanised'],
  ['1.4301', 'stainless-304'],
  ['1.4307', 'stainless-304'],
  ['X5CrNi18-10', 'stainless-304'],
  ['1.4404', 'stainless-316'],
  ['1.4571', 'stainless-316'],
  ['1.4016', 'stainless-430'],
  ['AlMg3', 'aluminium-5754'],
  ['EN AW-5754', 'aluminium-5754'],
  ['EN AW-5754 H111', 'aluminium-5754'],
  ['EN AW-6082', 'aluminium-6082'],
  ['EN AW-6082-T6', 'aluminium-6082'],
  ['AlSi1MgMn', 'aluminium-6082'],
  ['AlMgSi', 'aluminium-6063'],
  ['EN AW-6060 T66', 'aluminium-6063'],
  ['AlMg4,5Mn0,7', 'aluminium-5083'],
  ['Al 99,5', 'aluminium-1100'],
  ['EN AC-AlSi7Mg', 'aluminium-cast'],
  ['S690', 'quenched-tempered'],
  ['S690QL', 'quenched-tempered'],
  ['C45E', 'medium-carbon'],
  ['4130', 'chrome-moly'],
  ['25CrMo4', 'chrome-moly'],
  ['EN-GJL-250', 'cast-iron'],
] as const)('%s is %s', (written, material) => {
  expect(materialOf(written)).toBe(material)
})

// Thermomechanical and fine-grain steels are no S355 and no quenched steel: they are not guessed.
it.each(['S420', 'S460NL', 'S700MC', 'S', 'EN AW', '1.2379', 'AlMg9', 'DX'])('%s is not known', (written) => {
  expect(materialOf(written)).toBeNull()
})

it('every metal reads back from its short name, and no word names two', () => {
  for (const id of MATERIAL_IDS) expect(materialOf(MATERIALS[id].short)).toBe(id)
  const words = MATERIAL_IDS.flatMap((id) => MATERIALS[id].words)
  expect(new Set(words).size).toBe(words.length)
  for (const id of MATERIAL_IDS)
    for (const word of MATERIALS[id].words) expect(materialOf(word), word).toBe(id)
})

it('any text is read without a fault', () => {
  fc.assert(
    fc.property(fc.string(), (text) => {
      const found = materialOf(text)
      expect(found === null || MATERIAL_IDS.includes(found)).toBe(true)
    }),
  )
})

// ISO/TR 15608, Tables 1 and 2 (from memory).
it.each([
  ['hot-rolled', '1.1'],
  ['structural-355', '1.2'],
  ['quenched-tempered', '3.1'],
  ['chrome-moly', '5.1'],
  ['stainless-304', '8.1'],
  ['stainless-430', '7.1'],
  ['aluminium-5754', '22.3'],
  ['aluminium-5083', '22.4'],
  ['aluminium-6082', '23.1'],
] as const)('%s is of group %s', (id, group) => {
  expect(MATERIALS[id].isoGroup).toBe(group)
})

it('S355 is welded and preheated as ordinary structural steel, AlMg3 as other alloys of little magnesium', () => {
  const service = { serviceTemperatureC: null, anodised: false, thickerMm: 3 }
  expect(pairAdvice('structural-355', 'hot-rolled', service).weldable).toBe('yes')
  expect(preheatCategoryOf(['structural-355'], 'gmaw-short', null)).toBe('B')
  expect(leastPreheatOf('B', 30).leastC).toBe(10)
  expect(
    pairAdvice('aluminium-5754', 'aluminium-6082', service).fillers.map(
      ({ classification }) => classification,
    ),
  ).toEqual(
    pairAdvice('aluminium-5052', 'aluminium-6061', service).fillers.map(
      ({ classification }) => classification,
    ),
  )
})
