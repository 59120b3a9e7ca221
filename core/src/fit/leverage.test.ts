/** What hangs on an assumption in the shop's own jobs. */
import { describe, expect, it } from 'vitest'
import { assumptionsOf } from '../assumptions/assume.ts'
import { ASSUMPTION_KEYS, type AssumptionKey, ASSUMPTIONS } from '../assumptions/list.ts'
import { VERDICT_RANK } from '../model/verdict.ts'
import { demoInput } from '../testing/samples.ts'
import { fitJob } from './fit.ts'
import { leverageOf } from './leverage.ts'

const frame = demoInput('press-frame')
const tray = demoInput('pressing-tray')

describe('what an assumption moves', () => {
  it('is what a fit with the other figure says, no more and no less', () => {
    const moved = leverageOf([frame, tray], ASSUMPTION_KEYS)
    const all = Object.values(moved).flat()
    expect(all.length).toBeGreaterThan(3)
    for (const [key, list] of Object.entries(moved))
      for (const { jobId, then, now, by } of list) {
        const { least, most } = ASSUMPTIONS[key as AssumptionKey]
        const other = assumptionsOf(frame.shop)[key as AssumptionKey] * (by === 'less' ? 0.9 : 1.1)
        const input = jobId === 'press-frame' ? frame : tray
        const verdictOf = (part: object) =>
          fitJob({ ...input, shop: { ...input.shop, assumptions: part } }).criteria.find(
            ({ criterion }) => criterion === then.criterion,
          )?.verdict ?? null
        expect(now).toBe(verdictOf({}))
        expect(then.verdict).toBe(verdictOf({ [key]: Math.min(most, Math.max(least, other)) }))
        expect(then.verdict).not.toBe(now)
      }
  })
  it('leaves money out: what an hour costs makes no weld stronger', () => {
    expect(leverageOf([frame, tray], ['labourPerHour']).labourPerHour).toEqual([])
  })
  it('keeps a figure within its limits: one that stands at its end moves to one side only', () => {
    const shop = { ...frame.shop, assumptions: { safetyMarginPct: 0 } }
    expect(leverageOf([{ ...frame, shop }], ['safetyMarginPct']).safetyMarginPct).toEqual([])
  })
  // Physics: more current through the same breaker, cord and gun heats them more.
  it('never makes breaker, gun or source easier by more current needed', () => {
    const moved = leverageOf([frame, demoInput('press-frame', 'bay-2-wire')], ['ampsPerMmCarbonSteel'])
    const heated = (moved.ampsPerMmCarbonSteel ?? []).filter(
      ({ then, by }) => by === 'more' && /breaker|duty/.test(then.criterion),
    )
    for (const { then, now } of heated)
      expect(VERDICT_RANK[then.verdict]).toBeGreaterThan(VERDICT_RANK[now ?? 'fits'])
    expect(moved.ampsPerMmCarbonSteel).not.toEqual([])
  })
})
