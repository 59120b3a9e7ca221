/** Which of two answers is the newer: by hand, version by version. */
import { beforeEach, describe, expect, it } from 'vitest'
import { createRecords } from './records.ts'

interface Job {
  readonly id: string
  readonly n: number
}
let records: ReturnType<typeof createRecords<{ jobs: Job; wires: Job }>>
beforeEach(() => {
  records = createRecords<{ jobs: Job; wires: Job }>(['jobs', 'wires'])
})
const at = (version: number, n: number, id = 'a') => ({ version, record: { id, n } })
const shown = (id = 'a'): number | undefined => records.tables.jobs.value.get(id)?.n
const nobody = (): boolean => false

describe('an answer', () => {
  it('is taken in where it is newer than what is here, and left where it is older', () => {
    expect(records.take('jobs', 'a', at(2, 20), records.now())).toBe(true)
    expect([shown(), records.versionOf('jobs', 'a')]).toEqual([20, 2])
    expect(records.take('jobs', 'a', at(1, 10), records.now())).toBe(true)
    expect(records.take('jobs', 'a', at(2, 11), records.now())).toBe(true)
    expect([shown(), records.versionOf('jobs', 'a')]).toEqual([20, 2])
    expect(records.take('jobs', 'a', at(3, 30), records.now())).toBe(true)
    expect(shown()).toBe(30)
    expect(records.tables.wires.value.size).toBe(0)
  })
  it('says nothing where something was heard of the record since it was asked for', () => {
    const asked = records.now()
    records.replace('jobs', 'a', at(4, 40))
    expect(records.take('jobs', 'a', at(5, 50), asked)).toBe(false)
    expect(shown()).toBe(40)
    // Asked for after it, it counts.
    expect(records.take('jobs', 'a', at(5, 50), records.now())).toBe(true)
    expect(shown()).toBe(50)
  })
  it('that there is none takes it away, and an older one does not bring it back', () => {
    records.replace('jobs', 'a', at(4, 40))
    expect(records.isNews('jobs', 'a', 0)).toBe(true)
    expect(records.take('jobs', 'a', null, records.now())).toBe(true)
    expect([shown(), records.versionOf('jobs', 'a')]).toEqual([undefined, 0])
    expect(records.isNews('jobs', 'a', 0)).toBe(false)
    // Its deletion was version five.
    expect([4, 5, 6].map((version) => records.isNews('jobs', 'a', version))).toEqual([false, false, true])
    records.take('jobs', 'a', at(4, 40), records.now())
    expect(shown()).toBeUndefined()
  })
  it('that was asked for before a deletion was heard of is old', () => {
    records.replace('jobs', 'a', at(4, 40))
    const asked = records.now()
    records.hearGone('jobs', 'a')
    expect(records.take('jobs', 'a', at(5, 50), asked)).toBe(false)
    expect([shown(), records.versionOf('jobs', 'a')]).toEqual([40, 4])
  })
})

describe('a record that is given up', () => {
  it('was the server’s, and is news again; or was made here alone', () => {
    records.show('jobs', 'mine', { id: 'mine', n: 1 })
    expect(records.drop('jobs', 'mine')).toBe(false)
    records.replace('jobs', 'a', at(4, 40))
    expect(records.drop('jobs', 'a')).toBe(true)
    expect(records.versionOf('jobs', 'a')).toBe(0)
    expect([3, 4].map((version) => records.isNews('jobs', 'a', version))).toEqual([false, true])
  })
})

describe('many at once', () => {
  it('are shown and known by their versions, beside what was here', () => {
    records.replace('jobs', 'old', at(1, 1, 'old'))
    records.replaceAll('jobs', [at(2, 20), at(3, 30, 'b')])
    expect([shown(), shown('b'), shown('old')]).toEqual([20, 30, 1])
    expect([records.versionOf('jobs', 'a'), records.versionOf('jobs', 'b')]).toEqual([2, 3])
  })
})

describe('a list', () => {
  it('brings what is newer in it, and takes away what is no longer in it', () => {
    records.replaceAll('jobs', [at(2, 20), at(3, 30, 'b'), at(1, 1, 'gone')])
    const doubtful = records.takeList(
      'jobs',
      [at(1, 10), at(4, 40, 'b'), at(1, 5, 'new')],
      records.now(),
      nobody,
    )
    expect(doubtful).toEqual([])
    expect([shown(), shown('b'), shown('new'), shown('gone')]).toEqual([20, 40, 5, undefined])
    expect(records.isNews('jobs', 'gone', 1)).toBe(false)
  })
  it('leaves what is being edited, and names what it is too old to speak of', () => {
    records.replaceAll('jobs', [at(1, 10), at(1, 20, 'b'), at(1, 30, 'c')])
    const asked = records.now()
    records.replace('jobs', 'b', at(2, 21, 'b'))
    records.replace('jobs', 'made', at(1, 1, 'made'))
    const doubtful = records.takeList(
      'jobs',
      [at(9, 19), at(3, 22, 'b')],
      asked,
      (id) => id === 'a' || id === 'c',
    )
    expect(doubtful.toSorted()).toEqual(['b', 'made'])
    expect([shown(), shown('b'), shown('c'), shown('made')]).toEqual([10, 21, 30, 1])
  })
})
