/** What keeps a hostile or broken document cheap: bounds before fields, and a stop at a hundred problems. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import demo from '../../../demo/tollgate-orchard-works.json' with { type: 'json' }
import { jobSchema } from '../kinds/job.ts'
import { MOST_DEPTH, MOST_ENTRIES, outlineProblems } from './outline.ts'
import { MOST_PROBLEMS, readDocument } from './problems.ts'

const [job] = demo.jobs
const messagesOf = (value: unknown) => outlineProblems(value, MOST_PROBLEMS).map(({ message }) => message)
const nested = (levels: number): unknown => {
  let value: unknown = 1
  for (let level = 0; level < levels; level += 1) value = [value]
  return value
}

describe('the outline', () => {
  it('passes whatever JSON can hold within the bounds, as ECMA-404 has it', () => {
    fc.assert(
      fc.property(fc.jsonValue({ maxDepth: 5 }), (value) => {
        // An escape begins after an even count of backslashes: a text that spells \\u0000 out is whole.
        const isWhole = !/(?<!\\)(?:\\\\)*\\u(?:0000|d[89a-f])/.test(JSON.stringify(value))
        expect(messagesOf(value).length === 0).toBe(isWhole)
      }),
      { examples: [['\\u0000'], ['\\\u0000'], [{ '\ud83d': 1 }]] },
    )
  })

  it('names the place of a text that cannot be stored, in values and in names', () => {
    expect(outlineProblems({ a: [1, 'x\u0000'] }, 9)).toEqual([
      { path: ['a', 1], message: expect.stringContaining('U+0000') as string },
    ])
    expect(messagesOf({ a: '\ud83d' })[0]).toContain('half a character')
    expect(outlineProblems({ a: { 'b\u0000': 1 } }, 9)[0]?.path).toEqual(['a'])
  })

  it('takes the most levels and entries and not one more, however many more there are', () => {
    expect(messagesOf(nested(MOST_DEPTH))).toEqual([])
    expect(messagesOf(nested(MOST_DEPTH + 1))).toHaveLength(1)
    expect(messagesOf(nested(1_000_000))).toHaveLength(1)
    expect(messagesOf(Array(MOST_ENTRIES).fill(0))).toEqual([])
    expect(messagesOf(Array(MOST_ENTRIES + 1).fill(0))[0]).toContain('the most is 5000')
    const many = Object.fromEntries(Array.from({ length: MOST_ENTRIES + 1 }, (_, index) => [`k${index}`, 0]))
    expect(messagesOf(many)).toHaveLength(1)
  })

  it('a number beyond all numbers is said, not turned into null', () => {
    expect(messagesOf(JSON.parse('{"a":1e999}'))[0]).toContain('too large')
  })
})

describe('reading a document', () => {
  const problemsOf = (joints: unknown) => {
    const read = readDocument(jobSchema, { ...job, joints })
    return read.ok ? [] : read.problems
  }

  it('stops at a hundred problems, each with its place', () => {
    const problems = problemsOf(Array.from({ length: 5000 }, () => ({ kind: 1 })))
    expect(problems).toHaveLength(MOST_PROBLEMS)
    expect(problems[0]).toMatchObject({ pointer: '/joints/0/id', field: 'joints › 1 › id' })
  })

  it('finds the one wrong weld in a long list, at its place', () => {
    const joints = Array.from({ length: 300 }, (_, index) => ({ ...job?.joints[0], id: `w${index}` }))
    expect(problemsOf(joints)).toEqual([])
    const wrong = joints.map((joint, index) => (index === 287 ? { ...joint, count: 0 } : joint))
    expect(problemsOf(wrong)).toEqual([
      { pointer: '/joints/287/count', field: 'joints › 288 › count', message: 'must be at least 1' },
    ])
  })

  it('quotes a few unknown fields, cut short, and counts the rest', () => {
    const unknown = Object.fromEntries(Array.from({ length: 40 }, (_, index) => [`x${index}`.repeat(40), 1]))
    const read = readDocument(jobSchema, { ...job, ...unknown })
    const message = read.ok ? '' : (read.problems[0]?.message ?? '')
    expect(message).toContain('and 28 more')
    expect(message.length).toBeLessThan(1200)
  })
})

describe('bounds that are physical', () => {
  const messageFor = (change: object) => {
    const read = readDocument(jobSchema, { ...job, joints: [{ ...job?.joints[0], ...change }] })
    return read.ok ? '' : (read.problems[0]?.message ?? '')
  }
  it('a weld is at least 2 mm long (common practice: no puddle is smaller)', () => {
    expect(messageFor({ lengthMm: 2 })).toBe('')
    expect(messageFor({ lengthMm: 1.9 })).toBe('must be at least 2 mm')
  })
  it('a reinforcement is none, or one that can be measured', () => {
    expect(messageFor({ reinforcementMm: 0 })).toBe('')
    expect(messageFor({ reinforcementMm: 0.1 })).toBe('')
    expect(messageFor({ reinforcementMm: 1e-9 })).toContain('0 mm, or at least 0.1 mm')
  })
})
