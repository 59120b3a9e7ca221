import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { remembered } from './remembered.ts'

describe('what is remembered', () => {
  it('is read once a text, nothing found included', () => {
    const asked: string[] = []
    const read = remembered((text) => {
      asked.push(text)
      return text === '' ? null : text.length
    })
    expect(['E7018', '', 'E7018', ''].map(read)).toEqual([5, null, 5, null])
    expect(asked).toEqual(['E7018', ''])
  })
  it('is forgotten beyond ten thousand, so that a stream of odd ones does not fill the memory', () => {
    let reads = 0
    const read = remembered((text) => {
      reads += 1
      return text
    })
    for (let n = 0; n < 10_001; n += 1) read(`w${n}`)
    // What came last has no room, what came before has.
    for (const text of ['w10000', 'w9999', 'w0']) read(text)
    expect(reads).toBe(10_002)
  })
  it('answers as if it were read anew, however many were asked before', () => {
    const read = remembered((text) => text.toUpperCase())
    for (let n = 0; n < 10_050; n += 1) expect(read(`w${n}`)).toBe(`W${n}`)
    fc.assert(fc.property(fc.string(), (text) => read(text) === text.toUpperCase()))
  })
})
