import { expect, it } from 'vitest'
import { z } from 'zod'
import { CATALOGUE_KINDS } from '../catalogue/lists.ts'
import { LIBRARY } from '../library/index.ts'
import { demoShop } from '../testing/samples.ts'
import { blankOf, describeFields, type FieldDescription, flatFields } from './describe.ts'
import {
  circuitSchema,
  feederSchema,
  gasSchema,
  gunSchema,
  partSchemaOf,
  powerSourceSchema,
  tungstenSchema,
  wireSchema,
} from '../kinds/equipment.ts'
import { field } from './field.ts'
import { PART_KINDS } from '../kinds/slots.ts'
import { fieldsOf } from '../kinds/records.ts'

const described = {
  circuit: circuitSchema,
  powerSource: powerSourceSchema,
  feeder: feederSchema,
  gun: gunSchema,
  wire: wireSchema,
  gas: gasSchema,
  tungsten: tungstenSchema,
  ...Object.fromEntries(PART_KINDS.map((kind) => [kind, partSchemaOf(kind)])),
}
const everyField = (fields: readonly FieldDescription[]): readonly FieldDescription[] =>
  fields.flatMap((one) => [
    one,
    ...(one.kind === 'object' || one.kind === 'list' ? everyField(one.fields) : []),
  ])

it.each(Object.entries(described))('every field of a %s is described, and has a group', (_name, schema) => {
  const fields = everyField(describeFields(schema))
  expect(fields.length).toBeGreaterThan(3)
  for (const { label, group } of fields) {
    expect(label).toMatch(/^\p{Lu}/u)
    expect(group).not.toBe('')
  }
})

it.each(Object.entries(described))(
  'the choices of a %s have a word each, or are words themselves',
  (_name, schema) => {
    for (const one of everyField(describeFields(schema))) {
      if (!('choices' in one) || typeof one.more.words !== 'object') continue
      expect(Object.keys(one.more.words).sort()).toEqual(one.choices.map(String).sort())
    }
  },
)

it('a new record has every field of a whole one, and nothing made up', () => {
  const demo = demoShop()
  for (const { listKey, kind } of CATALOGUE_KINDS) {
    if (kind === 'part') continue
    const [whole] = demo[listKey]
    if (!whole) throw new Error(`the demo has no ${listKey}`)
    const blank = blankOf(fieldsOf(kind))
    expect(Object.keys(blank).sort()).toEqual(Object.keys(whole).sort())
    // No figure that must be read off the thing.
    for (const one of flatFields(fieldsOf(kind)))
      if (
        (one.kind === 'quantity' || one.kind === 'number') &&
        one.more.blank === undefined &&
        one.path.length === 1
      )
        expect(blank[one.path[0] ?? '']).toBe(null)
  }
})

it('a new power source is not engine-driven: its voltage is not said yet', () => {
  const { processes } = blankOf(describeFields(powerSourceSchema)) as { processes: { supplies: object[] }[] }
  expect(processes).toHaveLength(1)
  expect(processes[0]?.supplies).toHaveLength(1)
  expect(processes[0]?.supplies[0]).not.toHaveProperty('voltageV')
  expect(processes[0]?.supplies[0]).toMatchObject({
    phases: 1,
    ratedPoints: [{ currentA: null, dutyPct: null, loadV: null }],
  })
})

it('bounds, units and empty words are those of the schema', () => {
  const of = (name: string) =>
    flatFields(describeFields(powerSourceSchema)).find(({ path }) => path.join('.') === name)
  expect(of('efficiencyPct')).toMatchObject({
    kind: 'number',
    unit: '%',
    least: 10,
    most: 100,
    optional: 'not given',
  })
  expect(of('voltageSteps')).toMatchObject({ kind: 'number', decimals: false, least: 2, most: 60 })
  expect(of('feeder.feedMaxMmPerMin')).toMatchObject({ kind: 'quantity', quantity: 'wireFeedSpeed' })
  expect(of('acBalance.minPct')).toMatchObject({ least: 0, most: 100 })
  expect(of('acBalance.minPct')).not.toHaveProperty('optional')
})

it('a field without a description is told by its name', () => {
  const bare = z.strictObject({ name: z.string().meta(field('Name')), secret: z.number() })
  expect(() => describeFields(bare)).toThrow('secret has no description')
  const odd = z.strictObject({ when: z.date().meta(field('When')) })
  expect(() => describeFields(odd)).toThrow('when is of a kind that nothing describes')
})

it('a list says how many members it may have', () => {
  const row = z.strictObject({ name: z.string().meta(field('Name')) })
  const schema = z.strictObject({
    some: z.array(row).min(2).max(5).meta(field('Some')),
    any: z.array(row).meta(field('Any')),
  })
  const [some, any] = describeFields(schema)
  expect(some).toMatchObject({ kind: 'list', least: 2, most: 5 })
  expect(any).toMatchObject({ least: 0, most: Number.POSITIVE_INFINITY })
})

it('the library has only fields that are described', () => {
  for (const { path, record } of LIBRARY) {
    expect(CATALOGUE_KINDS.map((one) => one.path)).toContain(path)
    expect(Object.keys(record)).toContain('name')
  }
})
