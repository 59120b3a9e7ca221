/** The open catalogue over HTTP: all out, many in, all or none. */
import { readFile } from 'node:fs/promises'
import { CATALOGUE_KEYS, CATALOGUE_KINDS, readCatalogue } from '@brannik/core'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { startServer, type TestServer } from './testing.ts'

let server: TestServer
beforeAll(async () => {
  server = await startServer()
})
afterAll(async () => {
  await server.close()
})

const demo = async () =>
  JSON.parse(await readFile(new URL('../../demo/tollgate-orchard-works.json', import.meta.url), 'utf8'))
const EMPTY = {
  format: 'brannik-catalogue',
  version: 1,
  ...Object.fromEntries(CATALOGUE_KEYS.map((key) => [key, []])),
}
const take = (lists: object, versions: Record<string, number> = {}) =>
  server.call(
    'POST',
    '/api/catalogue',
    { catalogue: { ...EMPTY, ...lists }, versions },
    {
      'Shop-Epoch': server.epoch,
    },
  )
async function countOf(path: string): Promise<number> {
  let count = 0
  let after = ''
  do {
    const { body } = await server.call('GET', `/api/${path}?limit=500${after}`)
    count += body.items.length
    after = body.next === null ? '' : `&after=${body.next}`
  } while (after !== '')
  return count
}

describe('out', () => {
  it('gives all equipment of the shop, as the demo file has it', async () => {
    const { body } = await server.call('GET', '/api/catalogue')
    const expected = await demo()
    for (const key of CATALOGUE_KEYS) {
      expect(body[key]).toHaveLength(expected[key].length)
      expect(body[key]).toEqual(expect.arrayContaining(expected[key]))
    }
  })

  it('serves its JSON Schema, with every list and what it holds', async () => {
    const { status, headers, body } = await server.call('GET', '/api/catalogue/schema.json')
    expect(status).toBe(200)
    expect(headers.get('content-type')).toContain('application/schema+json')
    expect(body.$schema).toBe('https://json-schema.org/draft/2020-12/schema')
    expect(body.required).toEqual(expect.arrayContaining(['format', 'version', ...CATALOGUE_KEYS]))
    expect(body.properties.wires.items.properties.diameterMm).toMatchObject({ type: 'number', minimum: 0.3 })
    expect(body.properties.parts.items.oneOf).toHaveLength(9)
  })

  it('serves the generic library in the same format', async () => {
    const { body } = await server.call('GET', '/api/catalogue/library')
    const read = readCatalogue(body)
    expect(read.ok && read.items.length > 200 && read.items.every(({ record }) => record !== null)).toBe(true)
  })
})

describe('in', () => {
  it('makes new things and replaces those whose version is named', async () => {
    const [gas] = (await demo()).gases
    const answer = await take(
      {
        gases: [
          { ...gas, id: 'fresh' },
          { ...gas, name: 'Renamed' },
        ],
      },
      { [`gases/${gas.id}`]: 1 },
    )
    expect(answer.body.items).toEqual([
      { path: 'gases', id: 'fresh', version: 1 },
      { path: 'gases', id: gas.id, version: 2 },
    ])
    expect((await server.call('GET', `/api/gases/${gas.id}`)).body.record.name).toBe('Renamed')
  })

  it.each([
    ['an id that is taken', 409, (gas: { id: string }) => [[gas], {}] as const, /Already here|already/],
    [
      'a version that is old',
      412,
      (gas: { id: string }) => [[gas], { [`gases/${gas.id}`]: 77 }] as const,
      /Changed meanwhile|version 77/,
    ],
  ])('stores nothing of it for %s', async (_says, status, made, words) => {
    const [, gas] = (await demo()).gases
    const before = await countOf('gases')
    const [gases, versions] = made(gas)
    const answer = await take({ gases: [{ ...gas, id: 'would-be-new' }, ...gases] }, versions)
    expect(answer.status).toBe(status)
    expect(answer.body.detail).toMatch(words)
    expect(answer.body.detail).toContain('Nothing of the catalogue was stored')
    expect(await countOf('gases')).toBe(before)
  })

  it('names a thing that is not right by its place', async () => {
    const [, second] = (await demo()).wires
    const answer = await take({ wires: [second, { ...second, id: 'w2', diameterMm: 99 }] })
    expect(answer.status).toBe(422)
    expect(answer.body.errors[0]).toMatchObject({ pointer: '/catalogue/wires/1/diameterMm' })
  })

  it('does not let one thing overwrite another of the same document', async () => {
    const [gas] = (await demo()).gases
    const twice = { ...gas, id: 'twice' }
    const answer = await take({ gases: [twice, twice] })
    expect(answer.status).toBe(422)
    expect(answer.body.errors[0]).toMatchObject({ pointer: '/catalogue/gases/1/id' })
  })

  it('takes two thousand at once', async () => {
    const [wire] = (await demo()).wires
    const wires = Array.from({ length: 2000 }, (_, index) => ({ ...wire, id: `many-${index}` }))
    const before = await countOf('wires')
    expect((await take({ wires })).status).toBe(200)
    expect(await countOf('wires')).toBe(before + 2000)
  })

  it('answers nonsense with what is wrong with it', async () => {
    for (const body of [
      [],
      'x',
      { catalogue: null },
      { catalogue: { wires: {} }, versions: 3 },
      { catalogue: EMPTY, versions: { 'gases/argon': 1.5 } },
    ]) {
      const answer = await server.call('POST', '/api/catalogue', JSON.stringify(body))
      expect([400, 422]).toContain(answer.status)
      expect(answer.body.detail).not.toBe('')
    }
  })

  it('has a collection for each of its lists', async () => {
    for (const { path } of CATALOGUE_KINDS) {
      expect((await server.call('GET', `/api/${path}`)).status).toBe(200)
    }
  })
})
