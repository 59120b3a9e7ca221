/** What is said of a document that is wrong: the field, what is there, the remedy. JSON Pointers as RFC 6901 has them. */
import { describe, expect, it } from 'vitest'
import { z } from 'zod'
import { MOST_PROBLEMS, readDocument } from './problems.ts'

const row = z.strictObject({ name: z.string(), count: z.int('must be a whole number') })
const schema = z.strictObject({
  name: z.string(),
  metal: z.enum(['steel', 'aluminium']),
  widthMm: z.number().min(1, 'must be at least 1 mm').nullable(),
  rows: z.array(row).max(400),
  nested: z.strictObject({ rows: z.array(row) }),
})
const good = { name: 'Gate', metal: 'steel', widthMm: 3, rows: [], nested: { rows: [] } }
const said = (part: object, root: readonly PropertyKey[] = []): readonly string[] => {
  const read = readDocument(schema, { ...good, ...part }, root)
  return read.ok ? [] : read.problems.map(({ pointer, field, message }) => `${pointer} (${field}) ${message}`)
}
const rows = (count: number, bad: (at: number) => boolean): readonly unknown[] =>
  Array.from({ length: count }, (_, at) => ({ name: `row ${at}`, count: bad(at) ? 'many' : 1 }))

describe('a document', () => {
  it('that is right comes back as it is', () => {
    const read = readDocument(schema, good)
    expect(read).toEqual({ ok: true, value: good })
  })

  it.each([
    [{ name: undefined }, '/name (name) is missing. Enter a string'],
    [{ name: null }, '/name (name) is null. Enter a string instead'],
    [{ name: ['a'] }, '/name (name) is a list. Enter a string instead'],
    [{ name: {} }, '/name (name) is an object. Enter a string instead'],
    [{ name: 3 }, '/name (name) is a number. Enter a string instead'],
    [{ name: true }, '/name (name) is a boolean. Enter a string instead'],
    [{ rows: 'none' }, '/rows (rows) is a string. Enter a list instead'],
    [{ nested: 1 }, '/nested (nested) is a number. Enter an object instead'],
    [{ metal: 'brass' }, '/metal (metal) must be one of “steel”, “aluminium”'],
    [{ widthMm: 0.5 }, '/widthMm (widthMm) must be at least 1 mm'],
    [
      { rows: [{ name: 'a', count: 1.5 }] },
      '/rows/0/count (rows › 1 › count) is a number. Enter a whole number instead',
    ],
    [
      { colour: 'red' },
      ' (document) has fields that are not known: “colour”. Remove them or correct their spelling',
    ],
  ])('with %j is told where and what', (part, message) => {
    expect(said(part)).toEqual([message])
  })

  it('names its fields under the place where it stands', () => {
    expect(said({ name: 3 }, ['jobs', 2, 'a/b~c'])).toEqual([
      '/jobs/2/a~1b~0c/name (jobs › 3 › a/b~c › name) is a number. Enter a string instead',
    ])
  })

  it('quotes twelve strange names, cut short, and counts the rest', () => {
    const strange = (count: number) =>
      Object.fromEntries(Array.from({ length: count }, (_, n) => [`field${n}`, 1]))
    const [twelve = ''] = said(strange(12))
    expect(twelve.match(/“/g)).toHaveLength(12)
    expect(twelve).not.toContain('more')
    const [many = ''] = said(strange(15))
    expect(many.match(/“/g)).toHaveLength(12)
    expect(many).toContain('“field11” and 3 more. Remove')
    expect(said({ ['x'.repeat(60)]: 1 })[0]).toContain(`“${'x'.repeat(60)}”`)
    expect(said({ ['x'.repeat(61)]: 1 })[0]).toContain(`“${'x'.repeat(60)}…”`)
  })
})

describe('a long list', () => {
  it('is read entry by entry, and stops at so many problems', () => {
    expect(said({ rows: rows(300, () => true) })).toHaveLength(MOST_PROBLEMS)
    expect(said({ rows: rows(300, () => true) })[0]).toMatch(/^\/rows\/0\/count /)
    expect(said({ nested: { rows: rows(300, () => true) } })).toHaveLength(MOST_PROBLEMS)
    const two = said({ rows: rows(200, (at) => at === 7 || at === 199) })
    expect(two.map((one) => one.split(' ')[0])).toEqual(['/rows/7/count', '/rows/199/count'])
    expect(said({ nested: { rows: rows(80, (at) => at === 79) } }, ['shop'])).toEqual([
      expect.stringMatching(/^\/shop\/nested\/rows\/79\/count \(shop › nested › rows › 80 › count\)/),
    ])
  })
  it('and one that is not long say the same of an entry', () => {
    const messages = [50, 51].map((count) => said({ rows: rows(count, (at) => at === 3) }))
    expect(messages[0]).toEqual(messages[1])
  })
  it('that is right hides nothing around it, nor what is asked of it as a whole', () => {
    expect(said({ name: 3, rows: rows(60, () => false) })).toEqual([
      '/name (name) is a number. Enter a string instead',
    ])
    expect(said({ rows: rows(401, () => false) })).toEqual(['/rows (rows) has more than 400 entries'])
    expect(said({ nested: { rows: rows(60, () => false), more: 1 } })).toEqual([
      expect.stringContaining('/nested (nested) has fields that are not known: “more”'),
    ])
    // The same pattern of long lists again, and another.
    expect(said({ name: 3, rows: rows(70, () => false) })).toHaveLength(1)
    expect(said({ metal: 'brass', nested: { rows: rows(70, () => false) } })).toHaveLength(1)
    expect(said({ rows: rows(70, () => false), nested: { rows: rows(70, () => false) } })).toEqual([])
  })
  it('tells of two lists what fits into the limit', () => {
    const both = said({ rows: rows(60, () => true), nested: { rows: rows(60, () => true) } })
    expect(both).toHaveLength(MOST_PROBLEMS)
    expect(both.at(-1)).toMatch(/^\/nested\/rows\/39\/count /)
  })
})
