/** A board that scrolls both ways is asked once where it is. */
import { expect, it } from 'vitest'
import { observedBothWays } from './bothWays.ts'

type Observer = ReturnType<typeof observedBothWays>
type Instance = Parameters<Observer>[0]

const instanceFor = (scrollElement: HTMLElement | null, horizontal: boolean): Instance =>
  ({ scrollElement, options: { horizontal } }) as unknown as Instance

it('tells rows and columns each their own way, and nothing where it comes to rest', () => {
  const board = document.createElement('div')
  const observe = observedBothWays()
  const rows: [number, boolean][] = []
  const columns: [number, boolean][] = []
  const stopRows = observe(instanceFor(board, false), (at, moves) => rows.push([at, moves]))
  const stopColumns = observe(instanceFor(board, true), (at, moves) => columns.push([at, moves]))
  Object.assign(board, { scrollTop: 120, scrollLeft: 40 })
  board.dispatchEvent(new Event('scroll'))
  board.dispatchEvent(new Event('scrollend'))
  expect(rows).toEqual([
    [0, false],
    [120, false],
  ])
  expect(columns).toEqual([
    [0, false],
    [40, false],
  ])

  // One goes, the other stays; with the last nobody listens.
  stopRows?.()
  board.dispatchEvent(new Event('scroll'))
  expect([rows.length, columns.length]).toEqual([2, 3])
  stopColumns?.()
  board.dispatchEvent(new Event('scroll'))
  expect(columns).toHaveLength(3)

  // And it can be shown again.
  observe(instanceFor(board, false), (at, moves) => rows.push([at, moves]))
  board.dispatchEvent(new Event('scroll'))
  expect(rows.slice(2)).toEqual([
    [120, false],
    [120, false],
  ])
})

it('observes nothing before there is a board', () => {
  expect(observedBothWays()(instanceFor(null, false), () => undefined)).toBeUndefined()
})
