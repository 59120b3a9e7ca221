/** The demo’s board, cell by cell against what a welder would say (common practice, no source), and against single fits. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { changeoverTo } from '../changeover/toSetUp.ts'
import type { Assessment } from '../criteria/criterion.ts'
import { fitJob, sidesOf } from '../fit/fit.ts'
import { worstOf } from '../criteria/index.ts'
import { demoInput, demoShop } from '../testing/samples.ts'
import { speechOf, cellText } from '../words/speech.ts'
import { type BoardCell, boardOf, spareOf } from './board.ts'
import { type JudgedJob, summaryOf, toBuyOf } from './summary.ts'
import { AS_IT_IS, type WhatIf } from './whatIf.ts'
import { runs } from '../testing/runs.ts'

const demo = demoShop()
const speech = speechOf(demo.shop)
const planned = demo.jobs.filter(({ state }) => state === 'planned')
const boardIf = (whatIf: WhatIf = AS_IT_IS) => boardOf(demo.shop, demo, planned, demo.setUps, whatIf)
const board = boardIf()
const cell = (jobId: string, setUpId: string, cells = board) => {
  const found = cells.find((one) => one.jobId === jobId && one.setUpId === setUpId)
  if (!found) throw new Error(`no cell ${jobId} ${setUpId}`)
  return found
}
const said = (jobId: string, setUpId: string, cells = board): string => {
  const found = cell(jobId, setUpId, cells)
  return `${found.verdict} ${cellText(speech, found)}`.trim()
}

describe('the demo’s board', () => {
  it.each([
    // 1/4 in fillets want 187 A, which the machine does not have on 120 V.
    ['press-frame', 'north-wall-wire', /^fails source −/],
    // The same machine on 240 V does it, with rests.
    ['press-frame', 'bay-2-wire', /^tight duty \d+ %$/],
    // Steel wire on stainless trays: more amps would not help, so no amps are said.
    ['pressing-tray', 'bay-2-wire', /^fails wrong filler$/],
    // A 1/8 in tungsten at the 26 A of a tray wanders about its point.
    ['pressing-tray', 'bench-tig-dc', /^(fits|tight)/],
    // In the yard the wind takes the gas away; self-shielded wire and stick need none.
    ['loader-fork', 'bay-2-wire', /^fails wind$/],
    ['loader-fork', 'yard-stick', /^fits \+\d+ A$/],
    // DC on aluminium does not break the oxide; its rods are for stainless anyway.
    ['picking-platform', 'bench-tig-dc', /^fails wrong filler$/],
  ])('says of %s with %s what a welder would', (jobId, setUpId, words) => {
    expect(said(jobId, setUpId)).toMatch(words)
  })

  it('has a cell for every pair, with the verdict of the whole fit', () => {
    expect(board).toHaveLength(planned.length * demo.setUps.length)
    fc.assert(
      fc.property(
        fc.constantFrom(...board.filter(({ setUpId }) => setUpId !== 'heath-stick')),
        ({ jobId, setUpId, verdict }) => {
          expect(verdict).toBe(worstOf(fitJob(demoInput(jobId, setUpId)).criteria))
        },
      ),
      { numRuns: runs(25) },
    )
  })

  it('says nothing limits a cell that fits, and something every other', () => {
    for (const { verdict, limit } of board) expect(limit === null).toBe(verdict === 'fits')
    for (const { verdict, limit } of board) if (limit) expect(limit.verdict).toBe(verdict)
  })

  it('says how many amps are to spare at the weakest of source, gun and wire', () => {
    // The 230 A source and the 220 A wire have more to spare than the gun, whose duty allows 219 A for 190 A.
    expect(cell('press-frame', 'bay-2-wire').spareA).toBeCloseTo(28.9, 1)
    // A tungsten of 80 A is the least at a torch of 142 A and a source of 200 A, for 54 A.
    expect(cell('pressing-tray', 'bench-tig-dc').spareA).toBeCloseTo(80 - 54.3, 1)
  })

  it('leaves out of what is to spare what is no welding current, and what is not known', () => {
    const of = (criterion: string, unit: string, demand: number | null, capacity: number | null) =>
      ({ criterion, unit, demand, capacity }) as unknown as Assessment
    const source = of('source-range', 'A', 180, 230)
    expect(spareOf([source, of('gun-duty', 'A', 180, 219), of('source-range', 'A', null, 1)])).toBe(39)
    expect(spareOf([source, of('breaker-holds', 'A', 180, 181), of('duty', '%', 20, 21)])).toBe(50)
    expect(spareOf([of('duty', '%', 20, 60)])).toBeNull()
  })

  it('has of what is done the gas, the cost and the hours of the whole fit, the change with them', () => {
    const { capability, demand } = sidesOf(demoInput('press-frame', 'bay-2-wire'))
    const [takes, none] = ['bay-2-wire', 'north-wall-wire'].map((setUpId) =>
      boardIf().find((one) => one.jobId === 'press-frame' && one.setUpId === setUpId),
    )
    const { criteria, cost } = fitJob(demoInput('press-frame', 'bay-2-wire'))
    expect(takes?.takes).toMatchObject({
      cost: cost?.job,
      gasL: criteria.find(({ criterion }) => criterion === 'gas-use')?.demand,
      fillerG: demand.fillerG,
      changeMin: changeoverTo(capability).minutes,
    })
    const changeH = (takes?.takes?.workH ?? 0) - (demand.workH ?? 0)
    expect(changeH).toBeGreaterThanOrEqual(0)
    expect(changeH).toBeLessThanOrEqual((takes?.takes?.changeMin ?? 0) / 60 + 1e-9)
    expect(none).toMatchObject({ verdict: 'fails', spareA: null, takes: null })
  })

  it('is the same for fewer jobs and fewer set-ups', () => {
    fc.assert(
      fc.property(fc.subarray([...planned]), fc.subarray([...demo.setUps]), (jobs, setUps) => {
        for (const one of boardOf(demo.shop, demo, jobs, setUps))
          expect(one).toEqual(cell(one.jobId, one.setUpId))
      }),
      { numRuns: runs(20) },
    )
  })
})

describe('what if', () => {
  it('everything is outdoors, gas is blown away and what needs none stays', () => {
    const outdoors = boardIf({ kind: 'outdoors' })
    expect(said('press-frame', 'bay-2-wire', outdoors)).toBe('fails wind')
    expect(cell('press-frame', 'yard-cored', outdoors).verdict).toBe(
      cell('press-frame', 'yard-cored').verdict,
    )
  })

  it('a breaker is larger, the cells that it stopped open, and no others change', () => {
    const wider = boardIf({ kind: 'breaker', circuitId: 'north-wall', breakerA: 30 })
    expect(cell('press-frame', 'north-wall-wire', wider).limit?.criterion).not.toBe('breaker-holds')
    const hung = new Set(
      demo.setUps.filter(({ circuitId }) => circuitId === 'north-wall').map(({ id }) => id),
    )
    for (const one of wider) if (!hung.has(one.setUpId)) expect(one).toEqual(cell(one.jobId, one.setUpId))
  })

  it('all hang on 120 V, a source that does not take it says so', () => {
    const small = boardIf({ kind: 'all-on', circuitId: 'north-wall' })
    expect(said('press-frame', 'bay-3-spray', small)).toBe('fails voltage')
    expect(said('press-frame', 'bay-2-wire', small)).toMatch(/^fails (breaker|source)/)
  })

  it('aluminium goes through a spool gun, and no other wire does', () => {
    const spool = boardIf({ kind: 'spool-gun' })
    for (const { id, wireId } of demo.setUps) {
      const wire = demo.wires.find((one) => one.id === wireId)
      if (wire?.metal !== 'aluminium') expect(cell('press-frame', id, spool)).toEqual(cell('press-frame', id))
    }
    expect(cell('picking-platform', 'platform-tried', spool).limit?.criterion).not.toBe('aluminium-path')
  })
})

/** Cells as what is asked of the jobs that they are of. */
const judged = (cells: readonly BoardCell[]): readonly JudgedJob[] =>
  [...new Set(cells.map(({ jobId }) => jobId))].map((jobId) => {
    const at = (setUpId: string) => cells.find((one) => one.jobId === jobId && one.setUpId === setUpId)
    return {
      jobId,
      verdictOf: (setUpId) => at(setUpId)?.verdict ?? null,
      limitOf: (setUpId) => at(setUpId)?.limit ?? null,
    }
  })

describe('what the board says in short', () => {
  const toBuy = new Map(demo.setUps.map((setUp) => [setUp.id, toBuyOf(setUp, demo)]))
  it('names what the shop would have to buy, with its price', () => {
    const names = demo.setUps.filter(({ id }) => toBuy.get(id)).map(({ id }) => id)
    expect(names).toContain('heath-stick')
    const [spool] = [...toBuy].find(([, one]) => one?.names.some((name) => /spool/i.test(name))) ?? []
    expect(toBuy.get(spool ?? '')?.price).toBeGreaterThan(0)
  })

  it('of the demo counts as done what an owned set-up does, tight or not', () => {
    const { undone, idle, stopper } = summaryOf(judged(board), demo.setUps, toBuy)
    for (const { id } of planned) {
      const isDone = board.some(
        ({ jobId, setUpId, verdict }) =>
          jobId === id && toBuy.get(setUpId) === null && (verdict === 'fits' || verdict === 'tight'),
      )
      expect(undone.includes(id)).toBe(!isDone)
    }
    for (const id of idle)
      expect(board.filter((one) => one.setUpId === id && /fits|tight/.test(one.verdict))).toEqual([])
    expect(stopper?.circuitId).toBe('north-wall')
  })

  describe('of two jobs and four set-ups on paper', () => {
    const SET_UPS = ['north-wall-wire', 'bay-2-wire', 'spool-gun', 'heath-stick']
    type Paper = readonly [verdict: 'fits' | 'tight' | 'fails', criterion?: string]
    /** A row a job, a column a set-up: the first two are owned. */
    const summary = (frame: readonly Paper[], tray: readonly Paper[]) =>
      summaryOf(
        judged(
          [frame, tray].flatMap((row, at) =>
            row.map(([verdict, criterion], column) => {
              const one = cell('press-frame', SET_UPS[column] ?? '')
              return {
                ...one,
                jobId: ['frame', 'tray'][at] ?? '',
                verdict,
                limit: (criterion === undefined ? null : { criterion, verdict }) as typeof one.limit,
              }
            }),
          ),
        ),
        demo.setUps.filter(({ id }) => SET_UPS.includes(id)),
        toBuy,
      )
    const fits: Paper = ['fits']
    const tight: Paper = ['tight']
    const wind: Paper = ['fails', 'wind']
    const breaker: Paper = ['fails', 'breaker-holds']

    it('is undone what only a purchase does, which opens it', () => {
      expect(summary([wind, wind, tight, fits], [fits, wind, fits, wind])).toEqual({
        undone: ['frame'],
        idle: ['bay-2-wire'],
        opener: { setUpId: 'spool-gun', jobIds: ['frame'] },
        stopper: null,
      })
    })
    it('the purchase that does most of it goes first, the first of equals', () => {
      const { opener, undone } = summary([wind, wind, tight, fits], [wind, wind, wind, tight])
      expect(opener).toEqual({ setUpId: 'heath-stick', jobIds: ['frame', 'tray'] })
      expect(undone).toEqual(['frame', 'tray'])
      expect(summary([wind, wind, fits, fits], [wind, wind, wind, wind]).opener?.setUpId).toBe('spool-gun')
    })
    it('a circuit stops what fails by its breaker or cable, and by nothing else', () => {
      const of = (frame: readonly Paper[], tray: readonly Paper[]) => summary(frame, tray).stopper
      expect(of([breaker, fits, wind, wind], [breaker, breaker, wind, wind])).toEqual({
        circuitId: 'north-wall',
        cells: 2,
      })
      expect(of([wind, breaker, breaker, wind], [wind, wind, wind, wind])).toEqual({
        circuitId: 'bay-2',
        cells: 2,
      })
      // What runs on its own engine is on no circuit; what is tight is not stopped.
      expect(of([['tight', 'breaker-holds'], wind, wind, breaker], [wind, wind, wind, breaker])).toBeNull()
    })
    it('what an owned set-up does needs no purchase, and what is not owned is never idle', () => {
      expect(summary([tight, fits, fits, wind], [fits, wind, fits, wind])).toEqual({
        undone: [],
        idle: [],
        opener: null,
        stopper: null,
      })
    })
  })

  it('names the purchase that opens most jobs that nothing owned does', () => {
    const [job] = planned
    const owned = demo.setUps.filter(({ id }) => toBuy.get(id) === null)
    const [bought] = demo.setUps.filter(({ id }) => toBuy.get(id) !== null)
    if (!job || !bought) throw new Error('demo')
    const cells = [
      ...owned.map(({ id }) => ({ ...cell(job.id, id), verdict: 'fails' as const })),
      { ...cell(job.id, bought.id), verdict: 'tight' as const },
    ]
    expect(summaryOf(judged(cells), demo.setUps, toBuy)).toMatchObject({
      undone: [job.id],
      opener: { setUpId: bought.id, jobIds: [job.id] },
    })
    expect(summaryOf(judged(cells.slice(0, -1)), demo.setUps, toBuy).opener).toBeNull()
  })
})
