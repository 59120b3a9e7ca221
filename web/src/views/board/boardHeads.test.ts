/** Heads of a board: the name of a group over its first column, what is to buy behind a line, and what is pinned. */
import { mount } from '@vue/test-utils'
import { expect, it } from 'vitest'
import BoardHeads from './BoardHeads.vue'
import type { BoardColumn } from './boardModel.ts'

const column = (id: string, more: Partial<BoardColumn> = {}): BoardColumn => ({
  id,
  name: `Machine ${id}`,
  note: '240 V 30 A',
  price: '',
  isOwned: true,
  circuitId: null,
  group: '',
  ...more,
})
const TO_BUY = { isOwned: false, price: 'buy, $900' }
/** With all of them in sight; vTip is a directive of the application. */
const headsOf = (columns: readonly BoardColumn[], first = 0, pinned = new Set<string>()) =>
  mount(BoardHeads, {
    props: { columns, first, last: columns.length - 1, width: 124, left: 220, pinned },
    global: { directives: { tip: {} } },
  })

it('has a head for each column in sight, at the place of its column', () => {
  const columns = ['a', 'b', 'c', 'd'].map((id) => column(id))
  const heads = headsOf(columns, 1)
  const inSight = heads.findAll<HTMLElement>('.head')
  expect(inSight.map((one) => one.get('button').text())).toEqual(['Machine b', 'Machine c', 'Machine d'])
  // 220 px of the job, then 124 px a column; the job itself is column 1.
  expect(inSight.map(({ element }) => element.style.left)).toEqual(['344px', '468px', '592px'])
  expect(inSight.map((one) => one.attributes('aria-colindex'))).toEqual(['3', '4', '5'])
})

it('names a group over the first of its columns alone, be that in sight or not', () => {
  const columns = [
    column('a', { group: 'MIG steel' }),
    column('b', { group: 'MIG steel', ...TO_BUY }),
    column('c', { group: 'TIG steel' }),
  ]
  const groupsOf = (first: number) =>
    headsOf(columns, first)
      .findAll('.head')
      .map((one) => one.find('.group').exists())
  expect(groupsOf(0)).toEqual([true, false, true])
  expect(groupsOf(1)).toEqual([false, true])
  // Groups part them already.
  expect(headsOf(columns).findAll('.starts-to-buy')).toEqual([])
})

it('draws a line before the first that is to buy, and says its price instead of its circuit', () => {
  const columns = [column('a'), column('b', TO_BUY), column('c', TO_BUY)]
  const heads = headsOf(columns).findAll('.head')
  expect(heads.map((one) => one.classes('starts-to-buy'))).toEqual([false, true, false])
  expect(heads.map((one) => one.text())).toEqual([
    'Machine a240 V 30 A',
    'Machine bbuy, $900',
    'Machine cbuy, $900',
  ])
})

it('marks what is pinned, and sorts by the column that is pressed', async () => {
  const columns = ['a', 'b'].map((id) => column(id))
  const heads = headsOf(columns, 0, new Set(['b']))
  expect(heads.findAll('.head').map((one) => one.find('.pinned').exists())).toEqual([false, true])
  await heads.findAll('button')[1]?.trigger('click')
  expect(heads.emitted('sort')).toEqual([['b']])
})
