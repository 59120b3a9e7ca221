import { expect, it } from 'vitest'
import { readCsv } from './csv.ts'
import { textOf } from './textOf.ts'

it.each([
  ['', 'no rows'],
  ['count,length\n', 'no rows'],
  ['count,length\n"4,18\n5,18', 'a quote is opened'],
  ['count\u0000,length\n4,18', 'not utf-8'],
  ['count,length\n4,\ufffd', 'not utf-8'],
])('a broken CSV says what is wrong: %j', (text, words) => {
  const read = readCsv(text)
  expect(read.ok ? '' : read.message.toLowerCase()).toContain(words)
})

it.each([
  ['sep=;\r\ncount;length\r\n4;18,5\r\n', '18,5'],
  ['\ufeffSEP=,\ncount,length\n4,"18,5"\n', '18,5'],
  ['sep=\t\ncount\tlength\n4\t18,5\n', '18,5'],
  ['count;length\n4;18,5\n5;2,25\n', '18,5'],
])('a first line says what is between the cells, else it is found: %j', (text, length) => {
  const read = readCsv(text)
  expect(read).toMatchObject({ ok: true, headings: ['count', 'length'] })
  expect(read.ok && read.rows[0]).toEqual(['4', length])
})

it('a spreadsheet’s mark before the first heading is not part of it', () => {
  const read = readCsv('\ufeffcount,length\n4,18\n')
  expect(read.ok && read.headings).toEqual(['count', 'length'])
})

it('a file far too large is refused by its name and size, unread', async () => {
  const film = new File([new Uint8Array(41_000_000)], 'walk-round.csv')
  expect(await textOf(film, 'a weld list')).toEqual({
    ok: false,
    message: 'walk-round.csv has 41 MB; a weld list has at most 40 MB. Is it the right one?',
  })
  expect(await textOf(new File(['a,b'], 'list.csv'), 'a weld list')).toEqual({ ok: true, text: 'a,b' })
})
