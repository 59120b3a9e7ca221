import { readFile } from 'node:fs/promises'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { COLLECTIONS } from './stores/kinds.ts'
import { startServer, type TestServer } from './testing.ts'

let server: TestServer
beforeAll(async () => {
  server = await startServer()
})
afterAll(async () => {
  await server.close()
})

const demo = async (): Promise<Record<string, { id: string; name: string }[]>> =>
  JSON.parse(await readFile(new URL('../../demo/tollgate-orchard-works.json', import.meta.url), 'utf8'))

describe.each(COLLECTIONS)('$path', (kind) => {
  it('serve what the demo file holds, unchanged, by name', async () => {
    const expected = (await demo())[kind.listKey] ?? []
    const { body } = await server.call('GET', `/api/${kind.path}`)
    const records = body.items.map(({ record }: { record: { id: string } }) => record)
    expect(records).toHaveLength(expected.length)
    expect(records).toEqual(expect.arrayContaining(expected))
  })

  it('make, read, rename and delete one, each with its version', async () => {
    const [sample] = (await demo())[kind.listKey] ?? []
    // What is on a machine has the id of the machine: of one on which nothing is recorded.
    const id = kind.path === 'present-set-ups' ? 'marl-140' : 'made-here'
    const source = kind.path === 'present-set-ups' ? { powerSourceId: id } : {}
    const record = { ...sample, ...source, id, name: 'Made here' }
    const made = await server.call('POST', `/api/${kind.path}`, record)
    expect([made.status, made.body.version, made.headers.get('location')]).toEqual([
      201,
      1,
      `/api/${kind.path}/${id}`,
    ])
    const path = `/api/${kind.path}/${id}`
    const renamed = await server.call(
      'PUT',
      path,
      { ...record, name: 'Renamed' },
      { 'If-Match': made.headers.get('etag') ?? '' },
    )
    expect(renamed.body).toMatchObject({ version: 2, record: { name: 'Renamed' } })
    expect((await server.call('GET', path)).headers.get('etag')).toBe(server.etag(2))
    expect((await server.call('DELETE', path, undefined, { 'If-Match': server.etag(1) })).status).toBe(412)
    expect((await server.call('DELETE', path, undefined, { 'If-Match': `W/${server.etag(2)}` })).status).toBe(
      204,
    )
    expect((await server.call('GET', path)).status).toBe(404)
  })

  it('refuse an unknown field, a missing one, and an id that is none', async () => {
    const [sample] = (await demo())[kind.listKey] ?? []
    const { name: _, ...nameless } = { ...sample, id: 'nameless' } as Record<string, unknown>
    const unknown = await server.call('POST', `/api/${kind.path}`, { ...sample, id: 'odd', paint: 'green' })
    const missing = await server.call('POST', `/api/${kind.path}`, nameless)
    const badId = await server.call('POST', `/api/${kind.path}`, { ...sample, id: 'Not An Id' })
    expect([unknown.status, missing.status, badId.status]).toEqual([422, 422, 422])
    expect(unknown.body.detail).toContain('“paint”')
    expect(missing.body.errors).toEqual([
      expect.objectContaining({ pointer: '/name', message: expect.stringContaining('is missing') }),
    ])
    expect(badId.body.errors[0].message).toContain('lower-case letters')
    for (const id of ['odd', 'nameless'])
      expect((await server.call('GET', `/api/${kind.path}/${id}`)).status).toBe(404)
  })
})

describe('a list', () => {
  const names = async (query: string): Promise<string[]> => {
    const { status, body } = await server.call('GET', `/api/${query}`)
    expect(status, JSON.stringify(body)).toBe(200)
    return body.items.map(({ record }: { record: { name: string } }) => record.name)
  }

  it('is cut down by words of the name in any order, page by page', async () => {
    const wires = (await demo()).wires ?? []
    const wanted = wires.map(({ name }) => name).filter((name) => /5356/.test(name) && /0\.035/.test(name))
    expect(wanted.length).toBeGreaterThan(0)
    expect(await names('wires?search=5356%20%200.035')).toEqual(wanted)
    expect(await names('wires?search=ER5356%20nothing')).toEqual([])
    // What means something in a pattern is a letter like any other.
    expect(await names('wires?search=%25_')).toEqual([])
    const all = await names('wires?search=er')
    const first = await server.call('GET', '/api/wires?search=er&limit=2')
    const rest = await names(`wires?search=er&after=${first.body.next}`)
    expect([
      ...first.body.items.map(({ record }: { record: { name: string } }) => record.name),
      ...rest,
    ]).toEqual(all)
  })

  it('is cut down by fields of a few words', async () => {
    const { parts = [], wires = [], jobs = [] } = await demo()
    const of = (list: object[], field: string, value: string) =>
      list.filter((one) => (one as Record<string, unknown>)[field] === value).length
    expect(await names('parts?kind=cup&held=owned&limit=500')).toHaveLength(
      parts.filter((one) =>
        Object.entries({ kind: 'cup', held: 'owned' }).every(([key, value]) => (one as never)[key] === value),
      ).length,
    )
    expect(await names('wires?metal=aluminium&form=rod')).toHaveLength(
      of(
        wires.filter((one) => (one as never)['form'] === 'rod'),
        'metal',
        'aluminium',
      ),
    )
    expect((await names('jobs?place=outdoors')).length).toBe(of(jobs, 'place', 'outdoors'))
    const wrong = await server.call('GET', '/api/wires?metal=brass')
    expect([wrong.status, wrong.body.errors[0].field]).toEqual([422, 'metal'])
    expect(wrong.body.errors[0].message).toContain('one of carbon-steel, stainless, aluminium')
    expect((await server.call('GET', '/api/wires?colour=red')).status).toBe(422)
    expect((await server.call('GET', '/api/stock?search=x')).status).toBe(422)
  })
})

describe('what uses what', () => {
  it('a set-up that a job uses stays until the job lets go of it', async () => {
    const [job] = (await demo()).jobs ?? []
    await server.call('POST', '/api/jobs', { ...job, id: 'holder', name: 'Holder', setUpId: 'marl-yard' })
    const held = await server.call('DELETE', '/api/set-ups/marl-yard', undefined, {
      'If-Match': server.etag(1),
    })
    expect(held.status).toBe(409)
    expect(held.body.detail).toContain('“Holder”')
    await server.call(
      'PUT',
      '/api/jobs/holder',
      { ...job, id: 'holder', name: 'Holder', setUpId: null },
      { 'If-Match': server.etag(1) },
    )
    expect(
      (await server.call('DELETE', '/api/set-ups/marl-yard', undefined, { 'If-Match': server.etag(1) }))
        .status,
    ).toBe(204)
  })

  it('a change that names what is not there is undone whole', async () => {
    const before = await server.call('GET', '/api/set-ups/bay-2-wire')
    const wrong = { ...before.body.record, name: 'Half done', gasId: 'phlogiston' }
    const answer = await server.call('PUT', '/api/set-ups/bay-2-wire', wrong, {
      'If-Match': before.headers.get('etag') ?? '',
    })
    expect(answer.status).toBe(422)
    expect(answer.body.errors[0]).toMatchObject({ pointer: '/gasId' })
    expect((await server.call('GET', '/api/set-ups/bay-2-wire')).body).toEqual(before.body)
  })
})

describe('a job of many welds', () => {
  it('of 2,000 lines is stored and read back the same', async () => {
    const [job] = (await demo()).jobs ?? []
    const [joint] = (job as unknown as { joints: object[] }).joints
    const joints = Array.from({ length: 2000 }, (_, index) => ({
      ...joint,
      id: `w${index}`,
      lengthMm: 100 + index / 3,
    }))
    const made = await server.call('POST', '/api/jobs', { ...job, id: 'long', name: 'Long', joints })
    expect(made.status).toBe(201)
    expect((await server.call('GET', '/api/jobs/long')).body.record.joints).toEqual(joints)
  })
})
