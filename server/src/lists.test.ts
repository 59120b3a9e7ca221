/** By what a list can be asked for. */
import { expect, it } from 'vitest'
import { listQueryOf } from './routes/lists.ts'
import { ALL_KINDS } from './stores/kinds.ts'

const fieldsOf = (kind: string): readonly string[] => {
  const found = ALL_KINDS.find((one) => one.kind === kind)
  if (!found) throw new Error(`no kind ${kind}`)
  return Object.keys(listQueryOf(found))
}

it('is words of its names, and fields of a few words; a count has neither', () => {
  expect(fieldsOf('stock')).toEqual(['limit', 'after'])
  expect(fieldsOf('part')).toEqual(['limit', 'after', 'search', 'kind', 'held'])
  expect(fieldsOf('job')).toEqual(expect.arrayContaining(['search', 'state', 'priority']))
  expect(fieldsOf('job')).not.toContain('quantity')
})
