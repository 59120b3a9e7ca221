/** Words of a board's rows: made once a row, and anew where the shop speaks otherwise. */
import { type BoardCell, boardOf, packedRow, placesOf, type Speech, speechOf } from '@brannik/core'
import fc from 'fast-check'
import { expect, it } from 'vitest'
import { shopDocument as demo } from '../../testing/demo.ts'
import type { BoardColumn, BoardModel } from './boardModel.ts'
import { SetUpRow } from './cellRows.ts'
import { rowWords } from './rowWords.ts'

const places = placesOf(demo.setUps.map(({ id }) => id))
const rows = demo.jobs.map(
  (job) => new SetUpRow(packedRow(job.id, boardOf(demo.shop, demo, [job], demo.setUps), places), places),
)
const columns = [...demo.setUps.map(({ id }) => id), 'not-worked-out'].map((id): BoardColumn => ({
  id,
  name: id,
  note: '',
  price: '',
  isOwned: true,
  circuitId: null,
  group: '',
}))
const SPEECHES = [demo.shop, { unitSystem: 'metric', locale: 'de-DE' } as const].map((shop) => speechOf(shop))

/** A model that notes what it is asked for, and says which of the speeches it is asked in. */
function asked(which: () => number) {
  const shown: string[] = []
  const reasons: string[] = []
  const model: BoardModel = {
    columns,
    shownOf: (cell, column) => {
      const { jobId, setUpId, verdict: tone } = cell as BoardCell
      shown.push(`${jobId} ${setUpId}`)
      return { of: cell, tone, head: `${which()} ${column.id}`, way: '', first: '', isBought: false }
    },
    reasonOf: (limit) => {
      reasons.push(limit?.criterion ?? '')
      return `${which()} fails`
    },
    isDoneOwned: () => false,
    isPlanned: () => false,
    processOf: () => null,
  }
  return { model, shown, reasons }
}

const looks = fc.array(
  fc.record({
    row: fc.constantFrom(...rows),
    column: fc.constantFrom(...columns),
    speech: fc.nat(SPEECHES.length - 1),
  }),
  { minLength: 1, maxLength: 40 },
)

it('says of each cell what the model says, as the shop speaks now, and makes it once', () => {
  fc.assert(
    fc.property(looks, (steps) => {
      let speech = 0
      const speak = (): Speech => SPEECHES[speech] as Speech
      const { model, shown } = asked(() => speech)
      const said = rowWords(columns, model, speak)
      const looked = new Set<string>()
      for (const { row, column, speech: now } of steps) {
        speech = now
        const words = said.shown(row, column)
        expect(said.shown(row, column)).toBe(words)
        if (column.id === 'not-worked-out') {
          expect(words).toBeNull()
        } else {
          expect([words?.head, words?.tone]).toEqual([`${now} ${column.id}`, row.verdictOf(column.id)])
          looked.add(`${now} ${row.jobId} ${column.id}`)
        }
      }
      expect(shown.length).toBe(looked.size)
    }),
  )
})

it('looks for the reason that a row shares once, and again where the shop speaks otherwise', () => {
  let speech = 0
  const speak = (): Speech => SPEECHES[speech] as Speech
  const { model, reasons } = asked(() => speech)
  const said = rowWords(columns, model, speak)
  // From three failing cells on a row has a common reason.
  const failing = (row: SetUpRow): number => columns.filter(({ id }) => row.verdictOf(id) === 'fails').length
  const [most] = rows.toSorted((a, b) => failing(b) - failing(a))
  const [other] = rows.filter((row) => row !== most)
  if (!most || !other) throw new Error('the demo has two jobs')
  expect(failing(most)).toBeGreaterThanOrEqual(3)
  expect(said.common(most)).toBe('0 fails')
  const once = reasons.length
  expect([said.common(most), reasons.length]).toEqual(['0 fails', once])
  said.common(other)
  expect(reasons.length > once).toBe(failing(other) > 0)
  speech = 1
  expect(said.common(most)).toBe('1 fails')
  speech = 0
  const before = reasons.length
  // What it said before it still knows.
  expect([said.common(most), reasons.length]).toEqual(['0 fails', before])
})
