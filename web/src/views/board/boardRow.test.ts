/** A row of the board as it is scrolled, chosen in and worked out anew: as a row drawn for the first time, cell by cell. */
import { type BoardCell, boardOf, packedRow, placesOf } from '@brannik/core'
import { mount, type VueWrapper } from '@vue/test-utils'
import fc from 'fast-check'
import { beforeEach, expect, it } from 'vitest'
import { demoJob, demoWorkspace, shopDocument as demo } from '../../testing/demo.ts'
import { useWorkspace } from '../../shop/workspace.ts'
import type { BoardColumn, BoardModel } from './boardModel.ts'
import BoardRow from './BoardRow.vue'
import { type CellRow, SetUpRow } from './cellRows.ts'
import { rowWords } from './rowWords.ts'

const job = demoJob('press-frame')
const places = placesOf(demo.setUps.map(({ id }) => id))
/** Worked out with the shop as it is, with twice the job, and not yet. */
const WORKED_OUT: readonly (CellRow | undefined)[] = [
  ...[job, { ...job, quantity: 2 * job.quantity }].map((one) => {
    const cells = boardOf(demo.shop, demo, [one], demo.setUps)
    return new SetUpRow(packedRow(job.id, cells, places), places)
  }),
  undefined,
]
const columns = demo.setUps.map(({ id, name }): BoardColumn => ({
  id,
  name,
  note: '',
  price: '',
  isOwned: true,
  circuitId: null,
  group: '',
}))
const model: BoardModel = {
  columns,
  shownOf: (cell) => {
    const { verdict: tone, setUpId } = cell as BoardCell
    const first = setUpId.startsWith('bay') ? 'buy gun' : ''
    return { of: cell, tone, head: tone, way: setUpId.slice(0, 3), first, isBought: first !== '' }
  },
  reasonOf: () => 'fails',
  isDoneOwned: () => false,
  isPlanned: ({ setUpId }, cell) => (cell as BoardCell).setUpId === setUpId,
  processOf: () => null,
}
const said = rowWords(columns, model, () => useWorkspace().speech)
interface Looked {
  readonly first: number
  readonly last: number
  readonly here: number
  readonly cells: CellRow | undefined
}
const fixed = {
  job,
  row: 3,
  columns,
  model,
  said,
  lead: '',
  width: 124,
  left: 220,
  due: () => 'Feb 26',
  isOverdue: () => false,
  words: () => 'T-joint',
}
const cellsIn = (wrapper: VueWrapper): readonly Element[] =>
  wrapper.findAll('[role=gridcell]').map(({ element }) => element)

const looked: fc.Arbitrary<Looked> = fc
  .tuple(fc.nat(columns.length - 1), fc.nat(4), fc.integer({ min: -1, max: columns.length - 1 }), fc.nat(2))
  .map(([first, more, here, which]) => ({
    first,
    last: Math.min(first + more, columns.length - 1),
    here,
    cells: WORKED_OUT[which],
  }))

beforeEach(async () => {
  await demoWorkspace()
})

it('is what it would be if it were drawn for the first time, whatever was looked at before', async () => {
  await fc.assert(
    fc.asyncProperty(looked, fc.array(looked, { minLength: 1, maxLength: 6 }), async (begin, steps) => {
      const wrapper = mount(BoardRow, { props: { ...fixed, ...begin } })
      for (const step of steps) {
        await wrapper.setProps({ ...step })
        const anew = mount(BoardRow, { props: { ...fixed, ...step } })
        expect(wrapper.html()).toBe(anew.html())
        expect(cellsIn(wrapper).map((cell) => cell.getAttribute('aria-colindex'))).toEqual(
          columns.slice(step.first, step.last + 1).map((_, index) => `${step.first + index + 2}`),
        )
        anew.unmount()
      }
      wrapper.unmount()
    }),
    { numRuns: 60 },
  )
})

it('words nothing again of a cell that stays in sight, and what changed', async () => {
  const [cells, others] = WORKED_OUT
  let worded: string[] = []
  const watched = columns.map((column) => ({
    ...column,
    get name() {
      worded.push(column.id)
      return column.name
    },
  }))
  const idsOf = (first: number, last: number) => columns.slice(first, last + 1).map(({ id }) => id)
  const of = { ...fixed, columns: watched, model: { ...model, columns: [] } }
  const wrapper = mount(BoardRow, { props: { ...of, first: 0, last: 3, here: -1, cells } })
  const after = async (
    change: Partial<InstanceType<typeof BoardRow>['$props']>,
  ): Promise<readonly string[]> => {
    worded = []
    await wrapper.setProps({ ...change })
    return worded
  }
  expect(worded).toEqual(idsOf(0, 3))
  const before = cellsIn(wrapper)
  expect(await after({ first: 1, last: 4 })).toEqual(idsOf(4, 4))
  expect(cellsIn(wrapper).slice(0, 3)).toEqual(before.slice(1))
  expect(await after({ here: 2 })).toEqual(idsOf(2, 2))
  expect(await after({ here: 3 })).toEqual(idsOf(2, 3))
  expect(await after({ cells: others })).toEqual(idsOf(1, 4))
  // What went out of sight is drawn for the first time when it comes back.
  expect(await after({ first: 2, last: 4 })).toEqual([])
  expect(await after({ first: 1, last: 4 })).toEqual(idsOf(1, 1))
  // Where its reason is no longer that of the row, each cell says its own.
  await after({ first: 0, last: columns.length - 1 })
  const failing = columns.flatMap(({ id }) => (others?.verdictOf(id) === 'fails' ? [id] : []))
  expect(failing.length).toBeGreaterThan(2)
  expect(await after({ said: { ...of.said, common: () => 'wire' } })).toEqual(failing)
  const elsewhere = failing.find((id) => id !== job.setUpId)
  const moved = columns.flatMap(({ id }) => (id === job.setUpId || id === elsewhere ? [id] : []))
  expect(await after({ job: { ...job, setUpId: elsewhere ?? null } })).toEqual(moved)
})

it('says of a cell its verdict, what it takes and where it is planned', () => {
  const cells = WORKED_OUT[0]
  const wrapper = mount(BoardRow, {
    props: { ...fixed, first: 0, last: columns.length - 1, here: -1, cells },
  })
  const planned = wrapper.findAll('.planned')
  expect(planned.map((cell) => cell.attributes('aria-label'))).toEqual([
    expect.stringMatching(/^Press frame, North wall wire.*: Fails.* nor/) as string,
  ])
  const bought = wrapper.findAll('.bought')
  expect(bought.map((cell) => cell.get('.first').text())).toEqual(bought.map(() => 'buy gun'))
  expect(bought.length).toBeGreaterThan(1)
  // The reason of most is said once for the row.
  expect(wrapper.get('.job').text()).toContain('others: fails')
  const failing = wrapper.findAll('.fails')
  expect(failing.map((cell) => cell.get('.head').text())).toEqual(failing.map(() => ''))
  const early = mount(BoardRow, { props: { ...fixed, first: 1, last: 2, here: 2, cells: undefined } })
  const [one, inHand] = early.findAll<HTMLElement>('[role=gridcell]')
  expect([one?.text(), inHand?.text()]).toEqual(['…', '…'])
  expect(one?.attributes('aria-label')).toContain('not calculated yet')
  // 220 px of the job, then 124 px a column.
  expect([one?.element.style.left, inHand?.element.style.left]).toEqual(['344px', '468px'])
  expect([one?.attributes('data-at'), inHand?.attributes('data-at')]).toEqual(['3 1', '3 2'])
  expect([one?.attributes('tabindex'), inHand?.attributes('tabindex')]).toEqual(['-1', '0'])
  expect(early.get('[role=row]').attributes('aria-rowindex')).toBe('5')
})
