/** Earlier versions, what was deleted, and backups by the page: nothing that was stored is gone. */
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { startServer, type TestServer } from './testing.ts'

let server: TestServer
beforeAll(async () => {
  server = await startServer()
})
afterAll(async () => {
  await server.close()
})

const press = async () => (await server.call('GET', '/api/jobs/press-frame')).body.record

describe('every version', () => {
  it('is kept, with who and when, and can be had back as it was', async () => {
    const job = { ...(await press()), id: 'kept', name: 'Kept' }
    await server.call('POST', '/api/jobs', job)
    await server.call('PUT', '/api/jobs/kept', { ...job, quantity: 7 }, { 'If-Match': server.etag(1) })
    await server.call('PUT', '/api/jobs/kept', { ...job, quantity: 9 }, { 'If-Match': server.etag(2) })
    const { body } = await server.call('GET', '/api/history/jobs/kept')
    expect(body.items).toMatchObject([
      { version: 3, deleted: false, who: 'this machine' },
      { version: 2, deleted: false, who: 'this machine' },
      { version: 1, deleted: false, who: 'this machine' },
    ])
    expect(Date.now() - Date.parse(body.items[0].at)).toBeLessThan(60_000)
    const second = await server.call('GET', '/api/history/jobs/kept/2')
    expect(second.body).toEqual({ version: 2, record: { ...job, quantity: 7 } })
    const older = await server.call('GET', '/api/history/jobs/kept?before=3')
    expect(older.body.items.map(({ version }: { version: number }) => version)).toEqual([2, 1])
  })

  it('of what is deleted stays, is listed, and the record comes back one version on', async () => {
    const job = { ...(await press()), id: 'gone', name: 'Gone' }
    await server.call('POST', '/api/jobs', job)
    await server.call('DELETE', '/api/jobs/gone', undefined, { 'If-Match': server.etag(1) })
    const deletedNow = async () => (await server.call('GET', '/api/deleted')).body.items
    expect(await deletedNow()).toContainEqual(
      expect.objectContaining({ path: 'jobs', id: 'gone', name: 'Gone', version: 1, who: 'this machine' }),
    )
    const { body } = await server.call('GET', '/api/history/jobs/gone/1')
    expect(body.record).toEqual(job)
    expect((await server.call('GET', '/api/history/jobs/gone/2')).status).toBe(404)
    const back = await server.call('POST', '/api/jobs', body.record)
    expect([back.status, back.body.version]).toEqual([201, 3])
    expect((await deletedNow()).map(({ id }: { id: string }) => id)).not.toContain('gone')
    const versions = (await server.call('GET', '/api/history/jobs/gone')).body.items
    expect(versions.map(({ deleted }: { deleted: boolean }) => deleted)).toEqual([false, true, false])
  })

  it('of things of a catalogue is kept too', async () => {
    const [{ record: wire }] = (await server.call('GET', '/api/wires')).body.items
    const lists = { powerSources: [], feeders: [], guns: [], parts: [], gases: [], tungstens: [] }
    const catalogue = {
      format: 'brannik-catalogue',
      version: 1,
      ...lists,
      wires: [{ ...wire, id: 'brought' }],
    }
    await server.call('POST', '/api/catalogue', { catalogue, versions: {} })
    await server.call(
      'POST',
      '/api/catalogue',
      { catalogue, versions: { 'wires/brought': 1 } },
      { 'Shop-Epoch': server.epoch },
    )
    expect((await server.call('GET', '/api/history/wires/brought')).body.items).toHaveLength(2)
  })

  it('a kind or a version that is none is told', async () => {
    expect((await server.call('GET', '/api/history/nothing/x')).status).toBe(404)
    expect((await server.call('GET', '/api/history/jobs/press-frame/99')).status).toBe(404)
    expect((await server.call('GET', '/api/history/jobs/press-frame/x')).status).toBe(404)
    expect((await server.call('GET', '/api/history/jobs/press-frame?before=x')).status).toBe(422)
  })

  it('cannot be changed or taken away, not even by whoever has the database', async () => {
    for (const sql of [
      'update record_history set who = $$somebody$$',
      'delete from record_history',
      'truncate record_history',
      'update audit set who = $$somebody$$',
      'delete from audit',
      'truncate audit',
    ])
      await expect(server.database.query(sql), sql).rejects.toThrow('only grows')
  })
})

describe('backups', () => {
  it('are made now, listed with their age, and taken out whole', async () => {
    expect((await server.call('GET', '/api/backups')).body).toMatchObject({
      isPossible: true,
      hasSecondPlace: false,
      items: [],
    })
    const made = await server.call('POST', '/api/backups', {})
    expect(made.status).toBe(201)
    expect(made.body).toMatchObject({ why: 'by-hand' })
    const { body } = await server.call('GET', '/api/backups')
    expect(body.items).toEqual([made.body])
    const file = await fetch(`${server.url}/api/backups/${made.body.name}`)
    const bytes = Buffer.from(await file.arrayBuffer())
    expect(bytes.length).toBe(made.body.bytes)
    // The magic of pg_dump's custom format (PostgreSQL source, pg_backup_archiver.c).
    expect(bytes.subarray(0, 5).toString()).toBe('PGDMP')
  })

  it('no other file of the machine can be had by such a name', async () => {
    const never = 'brannik-2020-01-01T00-00-00Z-by-hand.dump'
    for (const name of ['..%2f..%2fetc%2fpasswd', 'brannik-x.dump', '%2e%2e', never])
      expect((await server.call('GET', `/api/backups/${name}`)).status).toBe(404)
    const long = await server.call('GET', `/api/backups/${'x'.repeat(200)}`)
    expect(long.body.detail).toBe(`There is no backup “${'x'.repeat(80)}”; list the backups.`)
  })
})

it('what was done is written down, line by line, and goes out as CSV', async () => {
  const { body } = await server.call('GET', '/api/audit')
  expect(body.items).toContainEqual(
    expect.objectContaining({
      who: 'this machine',
      role: 'owner',
      via: 'this machine',
      action: 'deleted',
      kind: 'job',
      id: 'gone',
      version: 1,
      requestId: expect.stringMatching(/^[\w-]{8,}$/) as string,
    }),
  )
  const seqs = body.items.map(({ seq }: { seq: string }) => Number(seq))
  expect(seqs).toEqual([...seqs].sort((a, b) => b - a))
  const older = await server.call('GET', `/api/audit?before=${seqs[2]}`)
  expect(older.body.items.map(({ seq }: { seq: string }) => Number(seq))).toEqual(seqs.slice(3))
  const text = await (await fetch(`${server.url}/api/audit.csv`)).text()
  expect(text.split('\r\n')[0]).toBe(
    'at,seq,who,actorId,role,via,address,action,kind,id,version,detail,requestId',
  )
  expect(text.trim().split('\r\n')).toHaveLength(seqs.length + 1)
})
