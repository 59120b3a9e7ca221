/** What changes much at once: another shop in the place of this one, a thing with its count, a catalogue. */
import type { Gas, Wire } from '@brannik/core'
import { createPinia, setActivePinia } from 'pinia'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { demoWorkspace, shopDocument } from '../testing/demo.ts'
import { useNotice } from '../stores/notice.ts'
import { keepDraft, readDraft } from './drafts.ts'
import { useSession } from './session.ts'
import { useWorkspace } from './workspace.ts'

beforeEach(() => {
  vi.useFakeTimers()
})
afterEach(() => {
  vi.clearAllTimers()
  vi.useRealTimers()
})

const soon = (): Promise<unknown> => vi.advanceTimersByTimeAsync(700)
const frame = () => {
  const job = useWorkspace().get('jobs', 'press-frame')
  if (!job) throw new Error('the demo has no press frame')
  return job
}
/** What one request is answered by; everything else as before. */
function answering(method: string, path: string, answer: () => Response): void {
  const inner = fetch
  vi.stubGlobal('fetch', (asked: string, init: RequestInit = {}) =>
    (init.method ?? 'GET') === method && asked === `/api/${path}`
      ? Promise.resolve(answer())
      : inner(asked, init),
  )
}
const none = (): Response => Response.json({ detail: 'none' }, { status: 404 })

describe('a server without a shop', () => {
  it('is empty, and is filled with the demo or a document', async () => {
    const { workspace, sent } = await demoWorkspace()
    answering('GET', 'shop', none)
    await workspace.load()
    expect(workspace.state).toBe('empty')
    answering('GET', 'shop', () => Response.json({ version: 1, record: shopDocument.shop }))
    await workspace.begin({ demo: 'metric' })
    expect(sent).toEqual([{ method: 'POST', path: 'whole/demo', body: {} }])
    expect(workspace.state).toBe('ready')
  })

  it('writes figures in inches, by the clock of this device, until it has said otherwise', () => {
    setActivePinia(createPinia())
    const workspace = useWorkspace()
    expect(workspace.notation).toEqual({ system: 'imperial', locale: 'en-US' })
    expect([workspace.shop, workspace.timeZone, workspace.state]).toEqual([null, null, 'loading'])
  })
})

describe('another shop in the place of this one', () => {
  it('is sent with which one it replaces; what was typed and done in this one is gone', async () => {
    const { workspace, sent } = await demoWorkspace()
    workspace.edit('jobs', 'press-frame', { ...frame(), quantity: 6 }, 'pieces')
    expect(readDraft('jobs/press-frame')).not.toBeNull()
    await workspace.begin(shopDocument)
    expect(sent).toMatchObject([
      { method: 'POST', path: 'whole', body: { replaces: 'tollgate', whole: { shop: { id: 'tollgate' } } } },
    ])
    expect(readDraft('jobs/press-frame')).toBeNull()
    expect([workspace.canUndo, frame().quantity]).toEqual([false, 4])
    await soon()
    expect(sent).toHaveLength(1)
  })

  it('that the server refuses leaves all as it is', async () => {
    const { workspace, sent } = await demoWorkspace()
    answering('POST', 'whole', () => Response.json({ detail: 'too large' }, { status: 413 }))
    workspace.edit('jobs', 'press-frame', { ...frame(), quantity: 6 }, 'pieces')
    await expect(workspace.begin(shopDocument)).rejects.toThrow('too large')
    expect([frame().quantity, workspace.canUndo]).toEqual([6, true])
    await soon()
    expect(sent.at(-1)).toMatchObject({ method: 'PUT', path: 'jobs/press-frame' })
  })
})

describe('what was taken for jobs', () => {
  it('is looked at when the first view is there, and is part of what is computed with', async () => {
    const { workspace } = await demoWorkspace()
    answering('GET', 'ledger/balances', () =>
      Response.json({ used: [{ jobId: 'press-frame', item: 'wire.er70s6-035', amount: 400 }] }),
    )
    await vi.advanceTimersByTimeAsync(1400)
    expect(workspace.snapshot.used).toEqual([])
    await vi.advanceTimersByTimeAsync(200)
    await import('./used.ts')
    await vi.advanceTimersByTimeAsync(0)
    expect(workspace.snapshot.used).toMatchObject([{ id: 'press-frame wire.er70s6-035', amount: 400 }])
  })
})

describe('a thing with how much there is of it', () => {
  const wire: Wire = { ...(shopDocument.wires[0] as Wire), id: 'new-wire', name: 'New wire' }

  it('is made and counted in one step, in this order, and undone at once', async () => {
    const { workspace, sent } = await demoWorkspace()
    workspace.makeCounted('wires', wire, 5000, 'New wire')
    expect(workspace.amountOf('wires', 'new-wire')).toBe(5000)
    await soon()
    expect(sent.map(({ method, path }) => `${method} ${path}`)).toEqual(['POST wires', 'POST stock'])
    expect(sent[1]?.body).toEqual({ id: 'wire.new-wire', amount: 5000 })
    expect(workspace.undo()).toBe('New wire')
    expect(workspace.get('wires', 'new-wire')).toBeNull()
    expect(workspace.amountOf('wires', 'new-wire')).toBeNull()
    // The count stays, without an amount.
    expect(workspace.get('stock', 'wire.new-wire')).toEqual({ id: 'wire.new-wire', amount: null })
    expect(workspace.canUndo).toBe(false)
  })

  it('that nobody counts is made alone', async () => {
    const { workspace } = await demoWorkspace()
    const counts = workspace.all('stock').length
    const [circuit] = shopDocument.circuits
    if (!circuit) throw new Error('the demo has no circuit')
    workspace.makeCounted('circuits', { ...circuit, id: 'new-circuit' }, 1, 'New circuit')
    expect(workspace.get('circuits', 'new-circuit')?.voltageV).toBe(circuit.voltageV)
    expect(workspace.all('stock')).toHaveLength(counts)
    expect(workspace.amountOf('circuits', 'new-circuit')).toBeNull()
  })

  it('is not made where the role does not allow it, and why is told', async () => {
    const { workspace } = await demoWorkspace()
    const session = useSession()
    session.me = { ...session.me, role: 'welder', writes: ['jobs'] } as never
    workspace.makeCounted('wires', wire, 5000, 'New wire')
    expect(workspace.get('wires', 'new-wire')).toBeNull()
    expect([workspace.canUndo, useNotice().text]).toEqual([
      false,
      'Not changed. Your role is welder, which cannot edit this.',
    ])
  })
})

describe('a catalogue', () => {
  const wire: Wire = { ...(shopDocument.wires[0] as Wire), name: 'Renamed' }
  const gas: Gas = { ...(shopDocument.gases[0] as Gas), id: 'new-gas', name: 'New gas' }
  const catalogueOf = (sent: readonly { readonly body: unknown }[]) =>
    sent.at(-1)?.body as {
      catalogue: Record<string, { id: string }[]>
      versions: Record<string, number>
    }

  it('is sent whole, with the versions of what it replaces, and counts what nobody had counted', async () => {
    const { workspace, sent } = await demoWorkspace()
    await workspace.takeIn(
      [
        { list: 'wires', record: wire, amount: 7 },
        { list: 'gases', record: gas, amount: 800 },
        { list: 'gases', record: { ...gas, id: 'no-amount' }, amount: null },
        { list: 'gases', record: { ...gas, id: 'not-said' } },
      ],
      'import',
    )
    const { catalogue, versions } = catalogueOf(sent)
    expect(versions).toEqual({ [`wires/${wire.id}`]: 1 })
    expect(catalogue).toMatchObject({ format: expect.any(String), version: expect.any(Number) })
    expect(catalogue['wires']?.map(({ id }) => id)).toEqual([wire.id])
    expect(catalogue['gases']?.map(({ id }) => id)).toEqual(['new-gas', 'no-amount', 'not-said'])
    expect(catalogue['powerSources']).toEqual([])
    // The wire was counted here: a file says nothing of what was used since it was written.
    expect(catalogue['stock']).toEqual([{ id: 'gas.new-gas', amount: 800 }])
    expect(workspace.get('wires', wire.id)?.name).toBe('Renamed')
    expect(workspace.amountOf('wires', wire.id)).not.toBe(7)
    expect(workspace.amountOf('gases', 'new-gas')).toBe(800)
    expect(workspace.lastSavedAt).not.toBeNull()
    expect(workspace.undo()).toBe('import')
    expect(workspace.get('wires', wire.id)?.name).toBe(shopDocument.wires[0]?.name)
    expect(workspace.get('stock', 'gas.new-gas')).toEqual({ id: 'gas.new-gas', amount: null })
  })

  it('leaves what somebody counted meanwhile, and what was edited here while it was on its way', async () => {
    const { workspace } = await demoWorkspace()
    const inner = fetch
    let answer: () => void = () => undefined
    vi.stubGlobal('fetch', async (path: string, init: RequestInit = {}) => {
      if (path !== '/api/catalogue') return inner(path, init)
      await new Promise<void>((resolve) => (answer = resolve))
      return Response.json({ items: [{ path: 'wires', id: wire.id, version: 4 }] })
    })
    const done = workspace.takeIn(
      [
        { list: 'wires', record: wire },
        { list: 'gases', record: gas, amount: 800 },
      ],
      'import',
    )
    workspace.edit('wires', wire.id, { ...wire, name: 'Typed meanwhile' }, 'name')
    answer()
    await done
    expect(workspace.get('wires', wire.id)?.name).toBe('Typed meanwhile')
    expect(workspace.get('gases', 'new-gas')?.name).toBe('New gas')
    expect(workspace.versionOf('gases', 'new-gas')).toBe(1)
    expect(workspace.amountOf('gases', 'new-gas')).toBeNull()
    // The edit still has to meet what was stored.
    expect(workspace.notSaved()).toEqual(['Typed meanwhile'])
  })

  it('of which nothing is in is no step back', async () => {
    const { workspace } = await demoWorkspace()
    answering('POST', 'catalogue', () => Response.json({ detail: 'not read' }, { status: 422 }))
    await expect(workspace.takeIn([{ list: 'gases', record: gas }], 'import')).rejects.toThrow('not read')
    expect([workspace.canUndo, workspace.get('gases', 'new-gas')]).toEqual([false, null])
  })
})

describe('what is not saved', () => {
  it('is named, what is deleted by its id; and stays in the browser when the page is left', async () => {
    const { workspace, sent } = await demoWorkspace()
    workspace.edit('jobs', 'press-frame', { ...frame(), quantity: 6 }, 'pieces')
    workspace.edit('jobs', 'loader-fork', null, 'deletion')
    expect(workspace.notSaved()).toEqual(['Press frame', 'the deletion of loader-fork'])
    workspace.park()
    await soon()
    expect(sent).toEqual([])
    expect(readDraft('jobs/press-frame')).toMatchObject({ record: { quantity: 6 }, version: 1 })
    await workspace.load()
    await soon()
    expect(sent.map(({ method, path }) => `${method} ${path}`)).toEqual([
      'PUT jobs/press-frame',
      'DELETE jobs/loader-fork',
    ])
  })

  it('is sent in an order that the server takes: what is named before what names it, deletions the other way', async () => {
    const { workspace, sent } = await demoWorkspace()
    const [setUp] = shopDocument.setUps
    const [gun] = shopDocument.guns
    if (!setUp || !gun) throw new Error('the demo has no set-up')
    keepDraft('set-ups/old', { record: null, version: 3 })
    keepDraft('guns/old', { record: null, version: 3 })
    keepDraft('jobs/one', { record: { ...frame(), id: 'one', setUpId: 'two' }, version: 0 })
    keepDraft('set-ups/two', { record: { ...setUp, id: 'two', gunId: 'three' }, version: 0 })
    keepDraft('guns/three', { record: { ...gun, id: 'three' }, version: 0 })
    await workspace.load()
    await soon()
    expect(sent.map(({ method, path }) => `${method} ${path}`)).toEqual([
      'POST guns',
      'POST set-ups',
      'POST jobs',
      'DELETE set-ups/old',
      'DELETE guns/old',
    ])
  })
})

describe('the stored record instead of this one', () => {
  it('leaves an edit that is made while it is on its way', async () => {
    const { workspace, sent } = await demoWorkspace()
    workspace.edit('jobs', 'press-frame', { ...frame(), quantity: 99 }, 'pieces')
    const taken = workspace.takeStored('jobs/press-frame')
    workspace.edit('jobs', 'press-frame', { ...frame(), quantity: 98 }, 'pieces')
    await taken
    expect(frame().quantity).toBe(98)
    await soon()
    expect(sent.at(-1)?.body).toMatchObject({ quantity: 98 })
  })

  it('of the shop is asked for where the shop is', async () => {
    const { workspace } = await demoWorkspace()
    const { shop } = workspace
    if (!shop) throw new Error('there is no shop')
    workspace.edit('shop', shop.id, { ...shop, name: 'Mistyped' }, 'name')
    await workspace.takeStored(`shop/${shop.id}`)
    expect(workspace.shop?.name).toBe('Tollgate Orchard Works')
  })

  it('that is gone goes from here too', async () => {
    const { workspace } = await demoWorkspace()
    answering('GET', 'jobs/press-frame', none)
    await workspace.takeStored('jobs/press-frame')
    expect(workspace.get('jobs', 'press-frame')).toBeNull()
  })
})
