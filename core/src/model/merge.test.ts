import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { demoShop } from '../testing/samples.ts'
import { isSameJson, mergeRecords, withField } from './merge.ts'

const job = demoShop().jobs.find(({ id }) => id === 'press-screw-post')
if (!job) throw new Error('the demo has no press screw post')
const [first, second] = job.joints
if (!first || !second) throw new Error('the press screw post has no welds')

const member = fc.record({ id: fc.constantFrom('a', 'b', 'c', 'd', 'e'), n: fc.integer({ min: 0, max: 3 }) })
const record = fc.record({
  x: fc.integer({ min: 0, max: 3 }),
  y: fc.option(fc.constantFrom('p', 'q')),
  list: fc.uniqueArray(member, { selector: ({ id }) => id }),
  figures: fc.array(fc.integer({ min: 0, max: 2 }), { maxLength: 3 }),
})

describe('two edits of one record', () => {
  it('what only one side changed is that side’s, whoever it was', () => {
    fc.assert(
      fc.property(record, record, (base, edit) => {
        expect(mergeRecords(base, edit, base)).toEqual({ record: edit, clashes: [] })
        expect(mergeRecords(base, base, edit)).toEqual({ record: edit, clashes: [] })
        expect(mergeRecords(base, edit, edit)).toEqual({ record: edit, clashes: [] })
      }),
    )
  })

  it('edits of different fields come together without a question, in either order', () => {
    fc.assert(
      fc.property(record, fc.integer(), fc.array(fc.integer()), (base, x, figures) => {
        const both = { ...base, x, figures }
        const [mine, theirs] = [
          { ...base, x },
          { ...base, figures },
        ]
        expect(mergeRecords(base, mine, theirs)).toEqual({ record: both, clashes: [] })
        expect(mergeRecords(base, theirs, mine)).toEqual({ record: both, clashes: [] })
      }),
    )
  })

  it('a field stands in doubt just where both changed it to something else', () => {
    fc.assert(
      fc.property(record, record, record, (base, mine, theirs) => {
        const { record: merged, clashes } = mergeRecords(base, mine, theirs)
        const inDoubt = base.x !== mine.x && base.x !== theirs.x && mine.x !== theirs.x
        expect(clashes.some(({ path }) => path.join('/') === 'x')).toBe(inDoubt)
        expect(merged.x).toBe(base.x === mine.x ? theirs.x : mine.x)
        // Taking their value for everything in doubt gives what they would have got with mine laid under theirs.
        const theirsOver = clashes.reduce(
          (all, { path, theirs: value }) => withField(all, path, value),
          merged,
        )
        expect(theirsOver.x).toBe(mergeRecords(base, theirs, mine).record.x)
      }),
    )
  })

  it('two welds of one job are two fields; the same weld is one by one', () => {
    const mine = { ...job, joints: job.joints.map((one) => (one === first ? { ...one, count: 77 } : one)) }
    const theirs = {
      ...job,
      quantity: 9,
      joints: job.joints.map((one) => (one === second ? { ...one, count: 55 } : { ...one, legMm: 5 })),
    }
    const { record: both, clashes } = mergeRecords(job, mine, theirs)
    expect(clashes).toEqual([])
    expect(both.quantity).toBe(9)
    expect(both.joints[0]).toMatchObject({ id: first.id, count: 77, legMm: 5 })
    expect(both.joints[1]).toMatchObject({ id: second.id, count: 55 })
    const also = { ...job, joints: job.joints.map((one) => (one === first ? { ...one, count: 66 } : one)) }
    expect(mergeRecords(job, mine, also).clashes).toEqual([
      { path: ['joints', first.id, 'count'], mine: 77, theirs: 66 },
    ])
  })

  it('welds that come, go and move on either side', () => {
    const list = (...ids: string[]) => ({ joints: ids.map((id) => ({ id })) })
    const merged = (base: string[], mine: string[], theirs: string[]) =>
      mergeRecords(list(...base), list(...mine), list(...theirs)).record.joints.map(({ id }) => id)
    expect(merged(['a', 'b'], ['a', 'b', 'm'], ['a', 't', 'b'])).toEqual(['a', 't', 'b', 'm'])
    expect(merged(['a', 'b', 'c'], ['a', 'c'], ['c', 'b', 'a'])).toEqual(['c', 'a'])
    expect(merged(['a', 'b'], ['b', 'a'], ['a', 'b'])).toEqual(['b', 'a'])
    // One takes a weld away that the other changed: that is asked.
    const base = {
      joints: [
        { id: 'a', n: 1 },
        { id: 'b', n: 1 },
      ],
    }
    const { record: kept, clashes } = mergeRecords(
      base,
      { joints: [{ id: 'b', n: 1 }] },
      {
        joints: [
          { id: 'a', n: 2 },
          { id: 'b', n: 1 },
        ],
      },
    )
    expect(kept.joints.map(({ id }) => id)).toEqual(['b'])
    expect(clashes).toEqual([{ path: ['joints', 'a'], mine: undefined, theirs: { id: 'a', n: 2 } }])
    expect(withField(kept, ['joints', 'a'], { id: 'a', n: 2 }).joints.map(({ id }) => id)).toEqual(['b', 'a'])
  })

  it('same means the same JSON', () => {
    fc.assert(
      fc.property(fc.jsonValue(), fc.jsonValue(), (one, other) => {
        expect(isSameJson(one, JSON.parse(JSON.stringify(one)))).toBe(true)
        if (JSON.stringify(one) === JSON.stringify(other)) expect(isSameJson(one, other)).toBe(true)
      }),
    )
    expect(isSameJson({ a: 1 }, { a: 1, b: undefined })).toBe(false)
    expect(isSameJson([1, 2], [2, 1])).toBe(false)
  })
})
