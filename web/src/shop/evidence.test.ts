/** Evidence with its pictures is read once, and of this shop alone. */
import { beforeEach, expect, it, vi } from 'vitest'
import { effectScope } from 'vue'

interface Told {
  readonly seq: number
  readonly subject: string
}
let told: Told[] = []
let asked: string[] = []
let refusal: number | null = null

beforeEach(() => {
  vi.resetModules()
  ;[told, asked, refusal] = [[], [], null]
  vi.stubGlobal('fetch', (path: string) => {
    const since = new URL(path, 'http://shop').searchParams.get('since') ?? ''
    asked.push(since)
    if (refusal !== null) return Promise.resolve(Response.json({ detail: 'refused' }, { status: refusal }))
    const items = told.filter(({ seq }) => seq > Number(since))
    return Promise.resolve(Response.json({ items, next: String(told.at(-1)?.seq ?? 0) }))
  })
})
const settle = (): Promise<unknown> => new Promise((resolve) => setTimeout(resolve))

async function read() {
  const { useEvidence } = await import('./evidence.ts')
  const known = effectScope().run(() => useEvidence())
  if (!known) throw new Error('the scope has ended')
  await settle()
  return known
}
const seqs = ({ all }: Awaited<ReturnType<typeof read>>): readonly number[] => all.value.map(({ seq }) => seq)

it('is read once for all views, then what came since', async () => {
  told = [{ seq: 3, subject: 'weld.gate.a' }]
  const known = await read()
  expect(seqs(known)).toEqual([3])
  const other = await read()
  expect(seqs(other)).toEqual([3])
  told.push({ seq: 5, subject: 'weld.gate.b' })
  const { happenings } = await import('./happenings.ts')
  happenings.value += 1
  await settle()
  expect([seqs(known), seqs(other)]).toEqual([
    [3, 5],
    [3, 5],
  ])
  expect(asked[0]).toBe('0')
  expect(asked.slice(1)).not.toContain('0')
})

it('keeps what it has while the server does not answer, and says why; numbers that are refused begin anew', async () => {
  told = [{ seq: 3, subject: 'weld.gate.a' }]
  const known = await read()
  for (const [status, from] of [
    [503, '3'],
    [409, '0'],
  ] as const) {
    refusal = status
    known.look()
    await settle()
    expect([known.failure.value, seqs(known)]).toEqual([expect.stringContaining('refused'), [3]])
    refusal = null
    known.look()
    await settle()
    expect([asked.at(-1), known.failure.value, seqs(known)]).toEqual([from, '', [3]])
  }
})

it('has nothing of another shop', async () => {
  const { meetShop, forgetOwner } = await import('../api/client.ts')
  meetShop('shop-one')
  told = [{ seq: 3, subject: 'weld.gate.a' }]
  const known = await read()
  expect(seqs(known)).toEqual([3])
  forgetOwner()
  meetShop('shop-two')
  told = []
  known.look()
  await settle()
  expect([asked.at(-1), seqs(known)]).toEqual(['0', []])
})
