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

  it('a name that every object knows is a name like any other', () => {
    const list = (...ids: string[]) => ({ joints: ids.map((id) => ({ id, n: 1 })) })
    // Taken away on one side, and there on the other; then new on one side.
    const gone = mergeRecords(list('a', 'constructor'), list('a'), list('a', 'constructor', 'b'))
    expect(gone.record.joints.map(({ id }) => id)).toEqual(['a', 'b'])
    const made = mergeRecords<object>({ a: 1 }, { a: 1, constructor: 'x' }, { a: 2 })
    expect(made).toEqual({ record: { a: 2, constructor: 'x' }, clashes: [] })
  })

  it('a list whose members have no ids, or one twice, is one field', () => {
    const clashOf = (base: unknown[], mine: unknown[], theirs: unknown[]) =>
      mergeRecords({ list: base }, { list: mine }, { list: theirs })
    expect(clashOf([1], [1, 2], [1, 3])).toEqual({
      record: { list: [1, 2] },
      clashes: [{ path: ['list'], mine: [1, 2], theirs: [1, 3] }],
    })
    const [a, b, twice] = [{ id: 'a' }, { id: 'b' }, [{ id: 'a' }, { id: 'a' }]]
    expect(clashOf([a], [a, b], twice).clashes).toEqual([{ path: ['list'], mine: [a, b], theirs: twice }])
    expect(clashOf(twice, [a, b], [b]).clashes).toHaveLength(1)
    expect(clashOf([a], [a, b], [a, null]).clashes).toHaveLength(1)
    expect(clashOf([a], [a, { id: 7 }], [a, b]).clashes).toHaveLength(1)
    // With ids both come together.
    expect(clashOf([a], [a, b], [a, { id: 'c' }]).record.list).toHaveLength(3)
  })
  it('an object that both sides made is brought together field by field', () => {
    const base: { feeder: object | null } = { feeder: null }
    const { record: both, clashes } = mergeRecords(
      base,
      { feeder: { a: 1, b: 1 } },
      { feeder: { a: 1, c: 2 } },
    )
    expect(both).toEqual({ feeder: { a: 1, b: 1, c: 2 } })
    expect(clashes).toEqual([])
    // A field taken away on one side and changed on the other is asked.
    expect(mergeRecords<object>({ a: 1, b: 1 }, { a: 1 }, { a: 1, b: 2 }).clashes).toEqual([
      { path: ['b'], mine: undefined, theirs: 2 },
    ])
  })
  it('of order counts who changed it, mine where both did; what is new comes after what it followed', () => {
    const list = (...ids: string[]) => ({ joints: ids.map((id) => ({ id })) })
    const merged = (base: string[], mine: string[], theirs: string[]) =>
      mergeRecords(list(...base), list(...mine), list(...theirs))
        .record.joints.map(({ id }) => id)
        .join('')
    expect(merged(['a', 'b', 'c'], ['c', 'b', 'a'], ['b', 'a', 'c'])).toBe('cba')
    expect(merged(['a', 'b', 'c'], ['a', 'b', 'c', 'm'], ['c', 'b', 'a'])).toBe('cmba')
    expect(merged(['a', 'b'], ['m', 'a', 'b'], ['a', 'b', 't'])).toBe('mabt')
    expect(merged(['a', 'b'], ['a', 'b'], ['t', 'u', 'a', 'b'])).toBe('tuab')
  })
  it('one field is changed where it stands, made where it is new, and taken away', () => {
    const whole = {
      id: 'j',
      n: 1,
      joints: [
        { id: 'w1', n: 1 },
        { id: 'w2', n: 2 },
      ],
    }
    expect(withField(whole, ['n'], 5)).toEqual({ ...whole, n: 5 })
    expect(withField(whole, ['n'], undefined)).toEqual({ id: 'j', joints: whole.joints })
    expect(withField(whole, [], { other: true })).toEqual({ other: true })
    expect(withField(whole, ['joints', 'w2', 'n'], 9).joints).toEqual([whole.joints[0], { id: 'w2', n: 9 }])
    expect(withField(whole, ['joints', 'w1'], undefined).joints).toEqual([whole.joints[1]])
    expect(withField(whole, ['joints', 'w9'], undefined).joints).toEqual(whole.joints)
    expect(withField(whole, ['joints', 'w9', 'n'], 3).joints).toEqual([...whole.joints, { n: 3 }])
    expect(withField<object>(whole, ['feeder', 'mark'], 'x')).toEqual({ ...whole, feeder: { mark: 'x' } })
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
    expect([isSameJson([], {}), isSameJson({}, []), isSameJson([1], [1, 2]), isSameJson(null, {})]).toEqual([
      false,
      false,
      false,
      false,
    ])
  })
})
