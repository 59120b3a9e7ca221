/** What a record names of others, what there is of it, and what may be changed of it to try. */
import { describe, expect, it } from 'vitest'
import { z } from 'zod'
import { describeFields, flatFields } from '../model/describe.ts'
import { field } from '../model/field.ts'
import { readDocument } from '../model/problems.ts'
import { samplePowerSource, sampleSupply } from '../testing/equipment.ts'
import { demoShop } from '../testing/samples.ts'
import { inStock, stockedThing, stockId } from './counts.ts'
import { setUpSchema } from './equipment.ts'
import { isStocked } from './facts.ts'
import { jobSchema } from './job.ts'
import { onHandOf } from './onHand.ts'
import { orderSchema } from './order.ts'
import { panelKind } from './panel.ts'
import { applyPatch } from './patch.ts'
import { dutyFalls, powerSourceSchema } from './powerSource.ts'
import { fieldsOf, referencesIn, stockFieldOf } from './records.ts'
import { shopSchema } from './shop.ts'
import { itemsFor, PART_KINDS, partOfSlot, pathOfSlot, SLOTS, slotsOf } from './slots.ts'
import { isSpooled } from './spooled.ts'
import { welderSchema } from './welder.ts'

const demo = demoShop()

it('a record names several others in one field, and in members of its lists', () => {
  const id = () => z.string().meta(field('Wire', { reference: 'wire' }))
  const schema = z.strictObject({
    spares: z.array(z.string()).meta(field('Spares', { reference: 'part' })),
    lines: z.array(z.strictObject({ wireId: id(), tipId: id().nullable() })).meta(field('Lines')),
  })
  const record = {
    spares: ['tip', 'nozzle'],
    lines: [
      { wireId: 'a', tipId: null },
      { wireId: 'b', tipId: 'c' },
    ],
  }
  expect(referencesIn(describeFields(schema), record)).toEqual([
    { field: 'spares/0', toKind: 'part', toId: 'tip' },
    { field: 'spares/1', toKind: 'part', toId: 'nozzle' },
    { field: 'lines/0/wireId', toKind: 'wire', toId: 'a' },
    { field: 'lines/1/wireId', toKind: 'wire', toId: 'b' },
    { field: 'lines/1/tipId', toKind: 'wire', toId: 'c' },
  ])
})

it('what holds the id of another record says of which kind', () => {
  const references = (schema: Parameters<typeof describeFields>[0]) =>
    Object.fromEntries(
      flatFields(describeFields(schema)).flatMap(({ path, more }) =>
        more.reference === undefined ? [] : [[path.join('.'), more.reference]],
      ),
    )
  expect(references(jobSchema)).toEqual({ setUpId: 'set-up' })
  expect(references(shopSchema)).toEqual({})
  const ids = flatFields(describeFields(setUpSchema)).filter(({ path }) => /Id$/.test(path[0] ?? ''))
  expect(ids.length).toBeGreaterThan(14)
  for (const { path, more } of ids) expect(more.reference, path.join('.')).toBeDefined()
})

it('a reference that is empty, or no text, names nothing, and neither does what is no object', () => {
  const schema = z.strictObject({
    wireId: z.string().meta(field('Wire', { reference: 'wire' })),
    spares: z.array(z.string()).meta(field('Spares', { reference: 'part' })),
    feeder: z
      .strictObject({ gunId: z.string().meta(field('Gun', { reference: 'gun' })) })
      .nullable()
      .meta(field('Feeder')),
    lines: z
      .array(z.strictObject({ tipId: z.string().meta(field('Tip', { reference: 'part' })) }))
      .meta(field('Lines')),
    name: z.string().meta(field('Name')),
  })
  const found = (record: Readonly<Record<string, unknown>>) => referencesIn(describeFields(schema), record)
  expect(found({ wireId: null, spares: [7, null], feeder: null, lines: [null, 'x'], name: 'a' })).toEqual([])
  expect(found({ wireId: 3, feeder: 'none', lines: 'none' })).toEqual([])
  expect(found({ feeder: { gunId: 'g' }, lines: [null, { tipId: 't' }], name: 'a' })).toEqual([
    { field: 'feeder/gunId', toKind: 'gun', toId: 'g' },
    { field: 'lines/1/tipId', toKind: 'part', toId: 't' },
  ])
})

it('a part has the fields of its kind, and what nobody counts has no stock', () => {
  const labels = (kind: unknown) => fieldsOf('part', kind).map(({ path }) => path[0])
  expect(labels('contact-tip')).toContain('wireMm')
  expect(labels('cup')).not.toContain('wireMm')
  expect([labels('hammer'), labels(null)]).toEqual([[], []])
  expect(fieldsOf('gas').map(({ path }) => path[0])).toContain('co2Pct')
  expect(stockFieldOf('wire').map(({ label }) => label)).toEqual(['Stock on hand'])
  for (const kind of ['gun', 'hammer', null]) expect(stockFieldOf(kind)).toEqual([])
  expect(['wire', 'gas', 'part', 'gun', 'job', 'hammer'].map(isStocked)).toEqual([
    true,
    true,
    true,
    false,
    false,
    false,
  ])
})

describe('what there is', () => {
  const stock = [
    { id: 'wire.w', amount: 500 },
    { id: 'gas.argon', amount: null },
    { id: 'cylinder.c1', amount: 2718 },
    { id: 'cylinder.c2', amount: 3100 },
    { id: 'cylinder.c3', amount: null },
    { id: 'spool.s1', amount: 900 },
  ] as const
  const cylinders = ['c1', 'c2', 'c3'].map((id) => ({
    ...demo.cylinders[0],
    id,
    gasId: 'argon',
    returnedOn: null,
  }))
  const spools = [{ ...demo.spools[0], id: 's1', wireId: 'w' }]
  const held = (part: object = {}) =>
    ({ stock, cylinders, spools, ...part }) as unknown as Parameters<typeof onHandOf>[0]
  const amount = (shelf: Parameters<typeof onHandOf>[0], id: string) =>
    onHandOf(shelf).find((one) => one.id === id)?.amount

  it('is what is loose and what is in its containers together', () => {
    expect(amount(held(), 'gas.argon')).toBe(2718 + 3100)
    expect(amount(held(), 'wire.w')).toBe(500 + 900)
  })
  it('leaves out what went back to the supplier, and what is not counted', () => {
    const gone = cylinders.map((one) => (one.id === 'c2' ? { ...one, returnedOn: '2027-01-01' } : one))
    expect(amount(held({ cylinders: gone }), 'gas.argon')).toBe(2718)
    expect(amount(held({ cylinders: cylinders.slice(2), spools: [] }), 'gas.argon')).toBeNull()
  })
  it('is the counts themselves without containers, and worked out once for the same ones', () => {
    expect(onHandOf(held({ cylinders: [], spools: [] }))).toBe(stock)
    const [first, again] = [held(), held()]
    expect(onHandOf(first)).toBe(onHandOf(again))
    // Other containers with the same counts are another answer.
    expect(amount(held({ spools: [] }), 'wire.w')).toBe(500)
    expect(amount(held({ cylinders: [] }), 'gas.argon')).toBeNull()
    expect(amount(held(), 'wire.w')).toBe(1400)
  })
  it('is found by kind and id, and is unknown for what has no count', () => {
    const counts = [
      { id: 'wire.w', amount: 500 },
      { id: 'gas.g', amount: null },
    ]
    expect([inStock(counts, 'wire', 'w'), inStock(counts, 'gas', 'g'), inStock(counts, 'wire', 'x')]).toEqual(
      [500, null, null],
    )
    expect(inStock([{ id: 'gun.g', amount: 2 }], 'gun', 'g')).toBeNull()
    expect(stockedThing(stockId('wire', 'er70s6-035'))).toEqual({ kind: 'wire', id: 'er70s6-035' })
  })
})

describe('a change that is tried', () => {
  const [job] = demo.jobs
  const [setUp, other] = demo.setUps
  if (!job || !setUp || !other) throw new Error('the demo has a job and two set-ups')
  const entered = { job, setUp }
  it('is made where it belongs, and leaves the rest', () => {
    expect(applyPatch(entered, { on: 'set-up', change: { polarity: 'ac' } })).toEqual({
      job,
      setUp: { ...setUp, polarity: 'ac' },
    })
    expect(applyPatch(entered, { on: 'job', change: { quantity: 9 } })).toEqual({
      job: { ...job, quantity: 9 },
      setUp,
    })
    const jointId = job.joints[0]?.id ?? ''
    const { job: changed, setUp: same } = applyPatch(entered, { on: 'joint', jointId, change: { legMm: 9 } })
    expect(same).toBe(setUp)
    expect(changed.joints).toEqual(job.joints.map((one) => (one.id === jointId ? { ...one, legMm: 9 } : one)))
    expect(applyPatch(entered, { on: 'joint', jointId: 'none', change: { legMm: 9 } }).job).toEqual(job)
  })
  it('takes another set-up where there is one of that name', () => {
    const patch = { on: 'job-set-up', setUpId: other.id } as const
    expect(applyPatch(entered, patch, [setUp, other])).toEqual({
      job: { ...job, setUpId: other.id },
      setUp: other,
    })
    expect(applyPatch(entered, patch)).toBe(entered)
  })
})

it('wire comes off a spool, rods and sticks do not', () => {
  const forms = ['solid', 'cored-gas-shielded', 'cored-self-shielded', 'rod', 'covered'] as const
  expect(forms.filter((form) => isSpooled({ form }))).toEqual(forms.slice(0, 3))
})

it('a place takes what goes into it: parts of its kind, or all of a list', () => {
  expect(new Set(itemsFor('tip', demo).map(({ kind }) => kind))).toEqual(new Set(['contact-tip']))
  expect(itemsFor('gun', demo)).toBe(demo.guns)
  expect([partOfSlot('cup'), partOfSlot('gun'), pathOfSlot('gun'), pathOfSlot('cup')]).toEqual([
    'cup',
    null,
    'guns',
    'parts',
  ])
  expect([slotsOf('part').length, slotsOf('gas')]).toEqual([PART_KINDS.length, ['gas']])
  expect(SLOTS.indexOf('circuit')).toBeLessThan(SLOTS.indexOf('gun'))
})

describe('what cannot stand together in one record', () => {
  const said = (schema: z.ZodType, record: object): readonly string[] => {
    const read = readDocument(schema, record)
    return read.ok ? [] : read.problems.map(({ pointer, message }) => `${pointer} ${message}`)
  }
  it('more received than ordered', () => {
    const [order] = demo.orders
    if (!order) throw new Error('the demo has an order')
    const received = (receivedPacks: number) =>
      said(orderSchema, {
        ...order,
        lines: order.lines.slice(0, 1).map((one) => ({ ...one, packs: 2, receivedPacks })),
      })
    expect([received(0), received(2)]).toEqual([[], []])
    expect(received(3)).toEqual([
      '/lines/0/receivedPacks is 3, and 2 were ordered. Receive the rest in the stores',
    ])
  })
  it('a day that ends before it starts', () => {
    const [welder] = demo.welders
    const day = (startsAt: string, endsAt: string) => said(welderSchema, { ...welder, startsAt, endsAt })
    expect(day('07:00', '15:30')).toEqual([])
    expect(day('07:00', '07:00')).toEqual([
      '/endsAt is 07:00, not after the start at 07:00. Enter a later time',
    ])
    expect(day('15:30', '07:00')).toHaveLength(1)
  })
  it('a panel that feeds itself, or is fed twice', () => {
    const panel = { ...demo.panels[0], id: 'main', fedFromId: null, generatorId: null }
    const fed = (part: object) => said(panelKind.schema, { ...panel, ...part })
    expect([fed({}), fed({ fedFromId: 'other' }), fed({ generatorId: 'gen' })]).toEqual([[], [], []])
    expect(fed({ fedFromId: 'main' })[0]).toMatch(/^\/fedFromId is the panel itself/)
    expect(fed({ fedFromId: 'other', generatorId: 'gen' })[0]).toMatch(
      /^\/generatorId .* A panel has one feed/,
    )
  })
  it('rated points whose duty does not fall, as far as they are there', () => {
    const points = (...ratedPoints: object[]) => ({ ratedPoints }) as object
    const at = (currentA: number, dutyPct: number) => ({ currentA, dutyPct, loadV: null })
    expect(dutyFalls(points(at(200, 25), at(130, 60), at(100, 100)))).toBe(true)
    expect(dutyFalls(points(at(100, 60), at(130, 60)))).toBe(false)
    expect(dutyFalls(points(at(130, 60), at(100, 25)))).toBe(false)
    // Unfinished points say nothing yet.
    expect(dutyFalls(points(at(200, 25), {}, { currentA: 300 }, { dutyPct: 90, currentA: '400' }))).toBe(true)
    for (const supply of [{}, { ratedPoints: 'none' }]) expect(dutyFalls(supply)).toBe(true)
  })
  it('volts on an engine, or none without one', () => {
    const plate = (part: object, voltageV: number | null) => {
      const plain = samplePowerSource()
      const [first] = plain.processes
      const processes = [{ ...first, supplies: [sampleSupply({ voltageV })] }]
      return said(powerSourceSchema, { ...plain, processes, ...part })
    }
    expect(plate({}, 240)).toEqual([])
    expect(plate({}, null)).toEqual([
      expect.stringMatching(/^\/processes have a column without a supply voltage/),
    ])
  })
})
