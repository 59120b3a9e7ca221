/** Names in order, as somebody counts. */
import { expect, it } from 'vitest'
import { byName } from './byName.ts'

it('counts figures within names, and minds neither capitals nor accents before letters', () => {
  const names = ['Bay 10', 'bay 2', 'Bay 1 bis', 'Élan', 'Eave', 'Fen 320', 'Fen 9']
  const sorted = names.map((name) => ({ name })).sort(byName)
  expect(sorted.map(({ name }) => name)).toEqual([
    'Bay 1 bis',
    'bay 2',
    'Bay 10',
    'Eave',
    'Élan',
    'Fen 9',
    'Fen 320',
  ])
})
