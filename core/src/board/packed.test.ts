/** Packed rows hold what was packed: every cell comes out as it went in, also through what copies it to another thread. */
import fc from 'fast-check'
import { expect, it } from 'vitest'
import type { Assessment } from '../criteria/criterion.ts'
import { VERDICTS } from '../model/verdict.ts'
import { runs } from '../testing/runs.ts'
import { demoShop } from '../testing/samples.ts'
import { type BoardCell, boardOf } from './board.ts'
import { cellAt, cellsOf, limitAt, packedRow, placesOf, verdictAt } from './packed.ts'

const demo = demoShop()
const [job] = demo.jobs
const limits = boardOf(demo.shop, demo, demo.jobs, demo.setUps).flatMap(({ limit }) => limit ?? [])
const figure = fc.double({ noNaN: true })
const figureOrNull = fc.option(figure)
const cell: fc.Arbitrary<Omit<BoardCell, 'jobId' | 'setUpId'>> = fc.record({
  verdict: fc.constantFrom(...VERDICTS),
  limit: fc.option(fc.constantFrom<Assessment>(...limits)),
  spareA: figureOrNull,
  takes: fc.option(
    fc.record({
      workH: figureOrNull,
      changeMin: figure,
      cost: figureOrNull,
      fillerG: figure,
      gasL: figureOrNull,
    }),
  ),
})

it('gives back every cell, at its place and at no other', () => {
  fc.assert(
    fc.property(fc.array(fc.option(cell), { maxLength: 12 }), fc.nat(), (some, turn) => {
      const ids = some.map((_, at) => `set-up ${at}`)
      const places = placesOf(ids)
      const cells = some.flatMap((one, at) =>
        one ? [{ jobId: 'press', setUpId: `set-up ${at}`, ...one }] : [],
      )
      // In whichever order they come.
      const turned = [
        ...cells.slice(turn % (cells.length || 1)),
        ...cells.slice(0, turn % (cells.length || 1)),
      ]
      const row = structuredClone(packedRow('press', turned, places))
      expect(cellsOf(row, places)).toEqual(cells)
      some.forEach((one, at) => {
        expect(verdictAt(row, at)).toBe(one?.verdict ?? null)
        expect(limitAt(row, at)).toEqual(one?.limit ?? null)
        expect(cellAt(row, `set-up ${at}`, at)?.takes ?? null).toEqual(one?.takes ?? null)
      })
      expect(verdictAt(row, some.length)).toBeNull()
      expect(cellAt(row, 'none', some.length)).toBeNull()
    }),
    { numRuns: runs(300) },
  )
})

it('holds what decides many cells once', () => {
  const [limit] = limits
  if (!limit || !job) throw new Error('the demo has no limit')
  const cells = Array.from({ length: 50 }, (_, at): BoardCell => ({
    jobId: job.id,
    setUpId: `${at}`,
    verdict: 'fails',
    limit: at % 2 === 0 ? limit : { ...limit, code: 'other' },
    spareA: null,
    takes: null,
  }))
  const alike = cells.filter((_, at) => at % 2 === 0)
  const places = placesOf(alike.map(({ setUpId }) => setUpId))
  expect(packedRow(job.id, alike, places).limits).toEqual([limit])
  expect(() => packedRow(job.id, cells, places)).toThrow('no place for 1')
})

it('packs the demo’s whole board without a loss', () => {
  const places = placesOf(demo.setUps.map(({ id }) => id))
  for (const one of demo.jobs) {
    const cells = boardOf(demo.shop, demo, [one], demo.setUps)
    expect(cellsOf(packedRow(one.id, cells, places), places)).toEqual(cells)
  }
})
