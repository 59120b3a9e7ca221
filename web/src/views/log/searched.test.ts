/** Offsets are those of the IANA time zone database: New York is five hours behind UTC in winter, four in summer. */
import { expect, it } from 'vitest'
import { searchedIn } from './searched.ts'

const NEW_YORK = 'America/New_York'
const open = { from: null, to: null }
const day = (from: string, to: string, search = '') => ({ search, from, to })

it('a day among the words is a day of the shop, from its midnight to the next', () => {
  expect(searchedIn('2026-12-02', open, NEW_YORK)).toEqual(
    day('2026-12-02T05:00:00.000Z', '2026-12-03T05:00:00.000Z'),
  )
  expect(searchedIn(' porosity  2026-07-31 Rowan', open, NEW_YORK)).toEqual(
    day('2026-07-31T04:00:00.000Z', '2026-08-01T04:00:00.000Z', 'porosity Rowan'),
  )
})
it('a month is all of its days', () => {
  expect(searchedIn('2028-02', open, 'UTC')).toEqual(
    day('2028-02-01T00:00:00.000Z', '2028-03-01T00:00:00.000Z'),
  )
  expect(searchedIn('2026-12', open, 'UTC')).toEqual(
    day('2026-12-01T00:00:00.000Z', '2027-01-01T00:00:00.000Z'),
  )
})
it('what is no day stays a word', () => {
  for (const text of ['2026-02-30', '2026-13', 'E7018-1', '2026-1-2', '20261202', '12-02'])
    expect(searchedIn(text, open, NEW_YORK)).toEqual({ search: text })
})
it('narrows the days of the filter, and never widens them', () => {
  const chosen = { from: '2026-12-02', to: '2026-12-10' }
  expect(searchedIn('', chosen, 'UTC')).toEqual(day('2026-12-02T00:00:00.000Z', '2026-12-11T00:00:00.000Z'))
  expect(searchedIn('2026-12', chosen, 'UTC')).toEqual(
    day('2026-12-02T00:00:00.000Z', '2026-12-11T00:00:00.000Z'),
  )
  expect(searchedIn('2026-12-05', chosen, 'UTC')).toEqual(
    day('2026-12-05T00:00:00.000Z', '2026-12-06T00:00:00.000Z'),
  )
  // A day outside of it has no moment.
  const { from = '', to = '' } = searchedIn('2026-11-05', chosen, 'UTC')
  expect(from >= to).toBe(true)
})
