/** Events as data; common practice, no source: a ledger adds up, and shows where a line is missing. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { readDocument } from '../model/problems.ts'
import { storedEventSchema, newEventSchema } from './index.ts'
import { balanceOf, usualReason } from './stockMovement.ts'

const sent = (part: object) =>
  readDocument(newEventSchema, {
    type: 'stock-movement',
    subject: 'wire.er70s6-035',
    body: { change: -900 },
    ...part,
  })

describe('what is sent', () => {
  it('says by how much, and of what', () => {
    expect(sent({})).toMatchObject({ ok: true })
    expect(sent({ corrects: 4 })).toMatchObject({ ok: true })
  })
  it.each([
    ['of what nobody counts', { subject: 'gun.west' }, 'subject', /counted/],
    ['nothing at all', { body: { change: 0 } }, 'body › change', /is 0/],
    ['a text', { body: { change: '900' } }, 'body › change', /number/],
    ['a type that there is not', { type: 'wish' }, 'type', /./],
    ['a correction of nothing', { corrects: 0 }, 'corrects', /seq/],
    ['what it does not know', { body: { change: 1, why: 'x' } }, 'body', /why/],
  ])('is refused where it says %s', (_what, part, field, message) => {
    const read = sent(part)
    expect(read.ok).toBe(false)
    if (read.ok) return
    expect(read.problems[0]?.field).toBe(field)
    expect(read.problems[0]?.message).toMatch(message)
  })
})

describe('what it says of why', () => {
  const refusals = (body: object): readonly string[] => {
    const read = sent({ body })
    return read.ok ? [] : read.problems.map(({ field, message }) => `${field}: ${message}`)
  }
  it.each([
    [{ change: -900, reason: 'received' }, /change: is -900\. What is received is more than 0/],
    [{ change: -900, reason: 'returned' }, /What is returned is more than 0/],
    [{ change: 900, reason: 'used' }, /change: is 900\. What is used is less than 0/],
    [{ change: 900, reason: 'scrapped' }, /What is scrapped is less than 0/],
    [{ change: -900, reason: 'moved' }, /other: belongs to the reason moved/],
    [{ change: -900, reason: 'used', other: 'wire.north' }, /other: belongs to the reason moved/],
    [{ change: -900, other: 'wire.north' }, /other: belongs to the reason moved/],
    [{ change: -900, weldId: 'upright' }, /weldId: names a weld without its job/],
    [{ change: -900, reason: 'eaten' }, /reason: must be one of/],
  ])('%j is refused', (body, message) => {
    const said = refusals(body)
    expect(said).toHaveLength(1)
    expect(said[0]).toMatch(message)
  })
  it.each([
    { change: 900, reason: 'received' },
    { change: -900, reason: 'used' },
    { change: -900, reason: 'corrected' },
    { change: 900, reason: 'corrected' },
    { change: -900, reason: 'moved', other: 'wire.north' },
    { change: 900, reason: 'moved', other: 'wire.north' },
    { change: -900, jobId: 'press-frame' },
    { change: -900, jobId: 'press-frame', weldId: 'upright' },
  ])('%j is taken', (body) => {
    expect(refusals(body)).toEqual([])
  })
  it('where nothing is said came in, or was used', () => {
    expect([usualReason(1), usualReason(-1)]).toEqual(['received', 'used'])
  })
})

it('a stored one has its number, its time in UTC, and who recorded it', () => {
  const kept = {
    seq: 3,
    at: '2027-03-01T10:00:00.25Z',
    who: 'Mara',
    type: 'stock-movement',
    subject: 'gas.argon',
    body: { version: 2, before: 4000, after: 3100 },
    actorId: null,
    actorKind: 'this machine',
    corrects: null,
  }
  expect(readDocument(storedEventSchema, kept)).toMatchObject({ ok: true })
  expect(readDocument(storedEventSchema, { ...kept, at: '2027-03-01T10:00:00+01:00' }).ok).toBe(false)
  expect(readDocument(storedEventSchema, { ...kept, actorKind: 'somebody' }).ok).toBe(false)
  expect(readDocument(storedEventSchema, { ...kept, seq: 0 }).ok).toBe(false)
})

describe('the balance', () => {
  const amounts = fc.array(fc.option(fc.nat(100_000)), { maxLength: 30 })
  const chained = (list: readonly (number | null)[]) =>
    list.map((after, index) => ({ before: list[index - 1] ?? null, after }))

  it('is what the last movement left, and the start and all changes since the last count added up', () => {
    fc.assert(
      fc.property(amounts, (list) => {
        expect(balanceOf(chained(list))).toBe(list.at(-1) ?? null)
      }),
    )
    const moves = [10, -3, 8, -15].reduce<{ before: number | null; after: number }[]>(
      (all, change) => [...all, { before: all.at(-1)?.after ?? 0, after: (all.at(-1)?.after ?? 0) + change }],
      [{ before: null, after: 0 }],
    )
    expect(balanceOf(moves)).toBe(0)
    expect(balanceOf([])).toBeNull()
  })

  it('of a ledger in which one line is missing is none', () => {
    fc.assert(
      fc.property(fc.uniqueArray(fc.nat(1000), { minLength: 3, maxLength: 20 }), fc.nat(), (list, pick) => {
        const whole = chained(list)
        const left = pick % (whole.length - 1)
        expect(() => balanceOf(whole.filter((_, index) => index !== left))).toThrow('a movement is missing')
      }),
    )
  })
})
