/** Files of every released version are read by this one. They are kept as they were written, in `core/golden`. */
import { readdirSync, readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import type { z } from 'zod'
import { catalogueSchema } from '../catalogue/catalogue.ts'
import { demoShop } from '../testing/samples.ts'
import { jobFileSchema } from './jobFile.ts'
import { readDocument } from '../model/problems.ts'
import { fitDocumentSchema, shopDocumentSchema } from './shelf.ts'
import { shopSchema } from './shop.ts'
import { factsAt, factsOf, KIND_FACTS } from './facts.ts'
import { FILE_FORMATS, type FileFormat, fileVersionOf, recordVersionsIn } from './files.ts'
import { upcastFile, upcastRecord } from './upcasts.ts'

const GOLDEN = new URL('../../golden/', import.meta.url)
const SCHEMAS = {
  'brannik-shop': shopDocumentSchema,
  'brannik-catalogue': catalogueSchema,
  'brannik-job': jobFileSchema,
  'brannik-fit': fitDocumentSchema,
} as const
const files = readdirSync(GOLDEN).sort()

describe('files of every version', () => {
  it.each(FILE_FORMATS)('%s is written with records of today', (format) => {
    const listed = recordVersionsIn(format, fileVersionOf(format))
    const inFile = SCHEMAS[format].shape
    for (const { kind, listKey, version } of KIND_FACTS)
      if (listKey in inFile || kind in inFile) expect(listed[kind] ?? 1, kind).toBe(version)
  })

  it.each(files)('%s is read, whole', (name) => {
    const [, format = '', version = ''] = /^(.+)-(\d+)\.json$/.exec(name) ?? []
    const value: unknown = JSON.parse(readFileSync(new URL(name, GOLDEN), 'utf8'))
    expect(value).toHaveProperty('version', Number(version))
    const upcast = upcastFile(format as FileFormat, value)
    if (!upcast.ok) throw new Error(upcast.message)
    expect(readDocument(SCHEMAS[format as FileFormat] as z.ZodType<unknown>, upcast.value)).toMatchObject({
      ok: true,
    })
  })

  it('there is one of each version of each format', () => {
    for (const format of FILE_FORMATS)
      for (let version = 1; version <= fileVersionOf(format); version += 1)
        expect(files, `write a golden file of ${format}, version ${version}`).toContain(
          `${format}-${version}.json`,
        )
  })

  it('the first shop file means today what it meant then: nothing but the way of writing figures was added', () => {
    const first: unknown = JSON.parse(readFileSync(new URL('brannik-shop-1.json', GOLDEN), 'utf8'))
    const upcast = upcastFile('brannik-shop', first)
    expect(upcast).toMatchObject({ ok: true, value: { shop: { locale: 'en-US' } } })
    const { wires, gases, parts, tungstens, ...rest } = first as Readonly<Record<string, readonly unknown[]>>
    expect(upcast.ok && upcast.value).toMatchObject({ ...rest, version: fileVersionOf('brannik-shop') })
    for (const list of [wires, gases, parts, tungstens]) expect(list?.length).toBeGreaterThan(0)
  })

  it('what a record said of its stock is a count beside it', () => {
    const wire = { id: 'w', stockG: 900 }
    const upcast = upcastFile('brannik-shop', {
      format: 'brannik-shop',
      version: 2,
      wires: [wire, { id: 'unweighed', stockG: null }],
      gases: [{ id: 'g', leftL: 0 }],
      parts: [{ id: 'p', stock: 4 }],
      tungstens: [{ id: 't', stock: 2 }],
      circuits: [{ id: 'c', stock: 'no field of a circuit' }],
    })
    expect(upcast.ok && upcast.value).toMatchObject({
      format: 'brannik-shop',
      version: fileVersionOf('brannik-shop'),
      wires: [{ id: 'w' }, { id: 'unweighed' }],
      gases: [{ id: 'g' }],
      parts: [{ id: 'p' }],
      tungstens: [{ id: 't' }],
      circuits: [{ id: 'c', stock: 'no field of a circuit' }],
      stock: [
        { id: 'wire.w', amount: 900 },
        { id: 'gas.g', amount: 0 },
        { id: 'part.p', amount: 4 },
        { id: 'tungsten.t', amount: 2 },
      ],
    })
    expect(upcastFile('brannik-job', { format: 'brannik-job', version: 1, job: {} })).toEqual({
      ok: true,
      value: {
        format: 'brannik-job',
        version: fileVersionOf('brannik-job'),
        job: { timesPerYear: null, preheatC: null, worthPerRun: null, priority: 'usual' },
      },
    })
  })

  it('assumptions that hold on under another name keep their figure, those of the old passes are gone', () => {
    const assumptions = { workingWindowPct: 12, singlePassSprayMm: 7, largestPassLegWireMm: 9, idleW: 30 }
    expect(upcastRecord('shop', 2, { id: 's', assumptions })).toEqual({
      ok: true,
      value: {
        id: 's',
        filletRule: 'd1.1',
        timeZone: null,
        assumptions: { windowLowPct: 12, layerSprayMm: 7, idleW: 30 },
      },
    })
    expect(upcastRecord('shop', 2, { id: 's', assumptions: 'none' })).toMatchObject({
      value: { assumptions: 'none' },
    })
  })

  it('a sheet of before has wishes without a worst, and a shop no price of every small part alike', () => {
    expect(
      upcastRecord('requirement-sheet', 1, { id: 's', requirements: [{ what: 'price', amount: 900 }] }),
    ).toEqual({
      ok: true,
      value: { id: 's', requirements: [{ worst: null, what: 'price', amount: 900 }] },
    })
    const shop = { id: 's', assumptions: { smallPartPrice: 40, labourPerHour: 60 } }
    expect(upcastRecord('shop', 6, shop)).toEqual({
      ok: true,
      value: { id: 's', timeZone: null, assumptions: { labourPerHour: 60 } },
    })
  })

  it('a job of before has welds without a purge, half a job too', () => {
    expect(upcastRecord('job', 1, { joints: [{ id: 'w' }, 3] })).toEqual({
      ok: true,
      value: {
        joints: [{ purge: false, bothSides: false, penetration: 'as-prepared', id: 'w' }, 3],
        timesPerYear: null,
        preheatC: null,
        worthPerRun: null,
        priority: 'usual',
      },
    })
    expect(upcastRecord('job', 1, { joints: 'none' })).toMatchObject({ value: { joints: 'none' } })
  })

  it('a file of a newer version is refused, with what to do', () => {
    expect(upcastFile('brannik-job', { format: 'brannik-job', version: 99, job: {} })).toEqual({
      ok: false,
      message: expect.stringContaining('newer version'),
    })
    expect(upcastFile('brannik-job', { format: 'brannik-job' })).toMatchObject({ ok: false })
    expect(upcastFile('brannik-job', { format: 'brannik-job', version: 1.5 })).toMatchObject({ ok: false })
  })

  it('keys that every object has of itself are no records', () => {
    const odd = JSON.parse(
      '{"format":"brannik-job","version":1,"__proto__":{},"constructor":1,"toString":[]}',
    ) as object
    expect(upcastFile('brannik-job', odd)).toMatchObject({
      ok: true,
      value: { constructor: 1, toString: [] },
    })
  })

  it('what is no file at all is left for its schema to refuse', () => {
    expect(upcastFile('brannik-job', [1])).toEqual({ ok: true, value: [1] })
    expect(upcastRecord('shop', 1, null)).toEqual({ ok: true, value: null })
  })
})

describe('records', () => {
  it('of the first version become those of this one, and those of this one stay as they are', () => {
    const { shop } = demoShop()
    const { locale: _locale, timeZone: _zone, ...first } = shop
    const upcast = upcastRecord('shop', 1, first)
    expect(readDocument(shopSchema, upcast.ok && upcast.value)).toEqual({
      ok: true,
      value: { ...shop, timeZone: null },
    })
    expect(upcastRecord('shop', factsOf('shop').version, shop)).toEqual({ ok: true, value: shop })
  })

  it('half typed are carried up as far as they go', () => {
    expect(upcastRecord('shop', 1, { name: 'G' })).toEqual({
      ok: true,
      value: { name: 'G', locale: 'en-US', filletRule: 'd1.1', timeZone: null },
    })
  })

  it('of a version that is none are refused', () => {
    for (const version of [0, 1.5, 'x', undefined, factsOf('job').version + 1])
      expect(upcastRecord('job', version, {})).toMatchObject({ ok: false })
  })

  it('have a path of their own each', () => {
    for (const { kind, path } of KIND_FACTS) expect(factsAt(path)?.kind).toBe(kind)
    expect(factsAt('nowhere')).toBeNull()
  })
})
