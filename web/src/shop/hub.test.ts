/** Pages that share one stream: whenever each comes, it hears everything from its position on. */
import fc from 'fast-check'
import { expect, it } from 'vitest'
import { runs } from '../../../core/src/testing/runs.ts'
import { createHub, type Page } from './hub.ts'
import type { Told } from './stream.ts'

/** The server's log, and streams that tell it in steps, each from its own position on. */
class Log {
  written = 0
  readonly open = new Set<{ next: number; tell: (told: Told) => void }>()
  stream = (since: string | null, tell: (told: Told) => void): (() => void) => {
    const one = { next: Number(since ?? 0), tell }
    this.open.add(one)
    return () => this.open.delete(one)
  }
  /** Tells one stream what it has not heard, and where it stands. */
  flush(at: number): void {
    const one = [...this.open][at % Math.max(1, this.open.size)]
    if (!one) return
    for (; one.next < this.written; one.next += 1)
      one.tell({ what: 'changed', changed: { path: 'jobs', id: `${one.next}` } })
    one.tell({ what: 'position', position: `${one.next}` })
  }
}

it('no page misses a change, and one connection is left when all have caught up', async () => {
  const step = fc.tuple(fc.constantFrom('write', 'open', 'close', 'flush'), fc.nat(7))
  await fc.assert(
    fc.asyncProperty(fc.array(step, { maxLength: 60 }), async (steps) => {
      const log = new Log()
      const hub = createHub(log.stream)
      const pages = new Map<Page, { readonly from: number; readonly heard: Set<string> }>()
      for (const [what, at] of steps) {
        const page = [...pages.keys()][at % Math.max(1, pages.size)]
        if (what === 'write') log.written += 1
        else if (what === 'open') {
          // It has loaded the lists a little before.
          const from = Math.max(0, log.written - (at % 3))
          const heard = new Set<string>()
          const fresh: Page = {
            postMessage(told) {
              if (told.what === 'changed') heard.add(told.changed.id ?? '')
              // It could go on from there: it has heard all before.
              else if (told.what === 'position')
                for (let number = from; number < Number(told.position); number += 1)
                  expect(heard).toContain(`${number}`)
            },
          }
          pages.set(fresh, { from, heard })
          hub.hear(fresh, `${from}`)
        } else if (what === 'close' && page) {
          hub.leave(page)
          pages.delete(page)
        } else if (what === 'flush') log.flush(at)
        await Promise.resolve()
      }
      for (let at = 0; at < 8; at += 1) {
        for (let one = 0; one < log.open.size; one += 1) log.flush(one)
        await Promise.resolve()
      }
      for (const { from, heard } of pages.values())
        for (let number = from; number < log.written; number += 1) expect(heard).toContain(`${number}`)
      expect(log.open.size).toBe(pages.size === 0 ? 0 : 1)
    }),
    { numRuns: runs(300) },
  )
})

it('a page that begins anew hears from its new position, on the stream that is there', async () => {
  const log = new Log()
  const hub = createHub(log.stream)
  const [one, two] = [[], []] as [Told[], Told[]]
  const [first, second] = [one, two].map((heard) => ({ postMessage: (told: Told) => void heard.push(told) }))
  if (!first || !second) throw new Error('two pages')
  hub.hear(first, '0')
  hub.hear(second, '0')
  log.written = 2
  for (let at = 0; at < 2; at += 1) log.flush(at)
  await Promise.resolve()
  hub.hear(second, '1')
  log.flush(1)
  await Promise.resolve()
  expect(two.filter(({ what }) => what === 'changed').at(-1)).toMatchObject({ changed: { id: '1' } })
  hub.leave(first)
  expect(log.open.size).toBe(1)
  hub.leave(second)
  expect(log.open.size).toBe(0)
  hub.hear(first, '2')
  expect(log.open.size).toBe(1)
})

it('a page that catches up hears of changes on both streams, and of a position on its own alone until it has', () => {
  const log = new Log()
  const hub = createHub(log.stream)
  const heard: string[][] = [[], []]
  const pages = heard.map((told) => ({
    postMessage: (one: Told) =>
      void told.push(
        one.what === 'changed'
          ? `${one.changed.id}`
          : one.what === 'position'
            ? `at ${one.position}`
            : one.what,
      ),
  }))
  const [first, second] = pages
  if (!first || !second) throw new Error('two pages')
  hub.hear(first, '0')
  log.written = 1
  log.flush(0)
  expect(heard[0]).toEqual(['0', 'at 1'])
  hub.hear(second, '0')
  expect(log.open.size).toBe(2)
  log.written = 2
  log.flush(0)
  // It has not heard of the first change yet: it could not go on from there.
  expect(heard[1]).toEqual(['1'])
  log.flush(1)
  expect(heard[1]).toEqual(['1', '0', '1', 'at 2'])
  expect(log.open.size).toBe(1)
  log.written = 3
  log.flush(0)
  expect(heard).toEqual([
    ['0', 'at 1', '1', 'at 2', '2', 'at 3'],
    ['1', '0', '1', 'at 2', '2', 'at 3'],
  ])
  // What its own stream says after that is told already.
  hub.leave(second)
  hub.leave(second)
  expect(log.open.size).toBe(1)
})
