/**
 * What earlier jobs leave for later ones. That two jobs cannot both use one spool is a fact of the trade (common practice, no
 * source); the sums are held to the netting of `runOut`, which goes job by job.
 */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { Claims, NO_CLAIMS } from '../capability/claims.ts'
import { fitJob } from '../fit/fit.ts'
import { demoInput, demoShop } from '../testing/samples.ts'
import { sentenceOf, speechOf } from '../words/speech.ts'
import { runOut } from './runOut.ts'
import { claimOf } from './claimOf.ts'

const due = (jobId: string, dueOn: string | null, setUpId = 'bay-2-wire') => {
  const input = demoInput(jobId, setUpId)
  return { ...input, job: { ...input.job, dueOn } }
}
const frame = due('press-frame', '2027-02-01')
const post = due('press-screw-post', '2027-02-10')
const tray = due('pressing-tray', '2027-01-20', 'bench-tig-dc')
const WIRE = 'er70s6-035'

const among = (inputs: readonly (typeof frame)[]) => new Claims(() => inputs.map(claimOf))
const wireOf = (input: typeof frame, claims: Claims, onHand: number) => {
  const stock = [{ id: `wire.${WIRE}`, amount: onHand }]
  const found = fitJob({ ...input, stock, claims }).criteria.find(({ criterion }) => criterion === 'wire-use')
  if (!found) throw new Error('no wire-use')
  return found
}

describe('a job due later', () => {
  const onHand = 4535.9
  it('does not fit the wire that an earlier one takes, and says what that leaves', () => {
    const alone = wireOf(post, NO_CLAIMS, onHand)
    expect([alone.verdict, alone.code]).toEqual(['fits', 'measured'])
    const after = wireOf(post, among([frame, post]), onHand)
    expect([after.verdict, after.code]).toEqual(['fails', 'measured-net'])
    expect(after.capacity).toBeCloseTo(onHand - (wireOf(frame, NO_CLAIMS, 1).demand ?? 0), 6)
    expect(sentenceOf(speechOf(demoShop().shop), after)).toContain('Left after jobs due earlier')
  })
  it('leaves the earlier one all of it', () => {
    expect(wireOf(frame, among([frame, post]), onHand)).toMatchObject({ verdict: 'fits', capacity: onHand })
  })
  it('takes first where its day is moved before the other', () => {
    const sooner = { ...post, job: { ...post.job, dueOn: '2027-01-02' } }
    const claims = among([frame, sooner])
    expect(wireOf(sooner, claims, onHand).code).toBe('measured')
    expect(wireOf(frame, claims, onHand).verdict).toBe('fails')
  })
  it('without a day comes after every day', () => {
    const someday = { ...post, job: { ...post.job, dueOn: null } }
    expect(wireOf(someday, among([frame]), onHand).code).toBe('measured-net')
    expect(wireOf(frame, among([someday]), onHand).code).toBe('measured')
  })
  it('has nothing left where earlier ones take more than there is, and never less than nothing', () => {
    expect(wireOf(post, among([frame]), 100)).toMatchObject({ capacity: 0, verdict: 'fails' })
  })
  it('is not judged where nobody has counted', () => {
    const found = fitJob({ ...post, stock: [], claims: among([frame]) }).criteria
    expect(found.find(({ criterion }) => criterion === 'wire-use')?.code).toBe('wire-stock')
  })
  it('takes nothing from itself, whatever day it is tried on', () => {
    const later = { ...frame, job: { ...frame.job, dueOn: '2028-01-01' } }
    expect(wireOf(later, among([frame]), onHand)).toMatchObject({ code: 'measured', capacity: onHand })
  })
  it('on another wire is not touched', () => {
    expect(among([tray]).before(post.job, 'wire', WIRE)).toBe(0)
  })
})

describe('what was taken already', () => {
  const taken = (amount: number) =>
    new Claims(() => [], [{ jobId: 'press-frame', item: `wire.${WIRE}`, amount }])
  const whole = wireOf(frame, NO_CLAIMS, 9000).demand ?? 0
  it('is needed no more, and is not needed twice', () => {
    const half = wireOf(frame, taken(whole / 2), whole / 2 + 1)
    expect([half.code, half.verdict]).toEqual(['measured-rest', 'tight'])
    expect(half.demand).toBeCloseTo(whole / 2, 6)
    expect(wireOf(frame, taken(whole * 2), 0)).toMatchObject({ demand: 0, code: 'measured-rest' })
    // Of another job, or more brought back than taken: as if nothing was.
    expect(wireOf(post, taken(500), 9000).code).toBe('measured')
    expect(wireOf(frame, taken(-50), 9000)).toMatchObject({ code: 'measured', demand: whole })
  })
  it('leaves less to claim, and the weld at which it ends is counted from the first', () => {
    const claims = taken(whole / 2)
    const rest = claimOf({ ...frame, claims }).amounts.get(`wire.${WIRE}`) ?? 0
    expect(rest).toBeCloseTo(whole / 2, 6)
    expect(claimOf({ ...frame, claims: taken(whole) }).amounts.has(`wire.${WIRE}`)).toBe(false)
    const endsAt = (input: typeof frame, onHand: number) =>
      runOut([input], [{ id: `wire.${WIRE}`, amount: onHand }]).find(({ itemId }) => itemId === WIRE)?.endsAt
        ?.ends
    expect(endsAt({ ...frame, claims }, whole / 4)).toEqual(endsAt(frame, (whole * 3) / 4))
  })
  it('changes no cost: the whole job costs what it costs', () => {
    expect(fitJob({ ...frame, claims: taken(whole / 2) }).cost).toEqual(fitJob(frame).cost)
  })
})

it('what is left before a job is the same job by job and by claims, for wire, gas and tungsten', () => {
  const all = [frame, post, tray, due('tank-manifold', '2027-03-01', 'bench-tig-dc')]
  fc.assert(
    fc.property(
      fc.shuffledSubarray(all, { minLength: 2 }),
      fc.array(fc.option(fc.constantFrom('2027-01-01', '2027-02-05', '2027-06-01')), { minLength: 4 }),
      fc.double({ min: 1, max: 20_000, noNaN: true }),
      (inputs, days, onHand) => {
        const moved = inputs.map((input, index) => ({
          ...input,
          job: { ...input.job, dueOn: days[index] ?? null },
        }))
        const claims = among(moved.toReversed())
        const ids = moved.flatMap((input) => [...claimOf(input).amounts.keys()])
        for (const { kind, itemId, draws } of runOut(
          moved,
          [...new Set(ids)].map((id) => ({ id, amount: onHand })),
        ))
          for (const { jobId, before } of draws) {
            const job = moved.find((one) => one.job.id === jobId)?.job
            if (!job) throw new Error(jobId)
            expect(onHand - claims.before(job, kind, itemId)).toBeCloseTo(before ?? Number.NaN, 6)
          }
      },
    ),
    { numRuns: 25 },
  )
})
