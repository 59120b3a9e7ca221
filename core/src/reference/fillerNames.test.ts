/** Names by EN ISO beside those by AWS (EN ISO 14341, 636, 14343, 2560, 3581, 17632, 18273; from memory). */
import { expect, it } from 'vitest'
import { fillerName, EUROPEAN_NAMES } from './fillerNames.ts'
import { fillerFamilyOf, formsOfClass } from './fillerFamilies.ts'

const iec = { ruleBook: 'international' } as const

it.each(
  Object.entries(EUROPEAN_NAMES).flatMap(([aws, names]) =>
    names.flatMap((name = '') => [[aws, name.replaceAll('…', '6 M21')] as const]),
  ),
)('%s by EN ISO, %s, is read as the same family in the same form', (aws, name) => {
  expect(fillerFamilyOf(name)).toBe(fillerFamilyOf(aws))
  expect(formsOfClass(aws)).toEqual(expect.arrayContaining([...formsOfClass(name)]))
})
it('a rod and a wire of one alloy have each their own name', () => {
  expect(fillerName('ER70S-6', 'solid', iec)).toBe('G3Si1')
  expect(fillerName('ER70S-6', 'rod', iec)).toBe('W3Si1')
  expect(fillerName('ER70S-6', null, iec)).toBe('G3Si1')
  expect(fillerName('E7018', 'covered', iec)).toBe('E 42 4 B 32')
  expect(fillerName('ER4043', 'rod', iec)).toBe('AlSi5')
})
it('other shops, and fillers without such a name, keep the name by AWS', () => {
  expect(fillerName('ER70S-6', 'solid', { ruleBook: 'north-american' })).toBe('ER70S-6')
  expect(fillerName('ERXYZ', null, iec)).toBe('ERXYZ')
})
