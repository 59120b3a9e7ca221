import { catalogueOf, CATALOGUE_KEYS, inStock, LIBRARY, PART_KINDS, SHEETS, valueAt } from '@brannik/core'
import { mount } from '@vue/test-utils'
import { beforeEach, describe, expect, it } from 'vitest'
import { pick } from '../../testing/pick.ts'
import { demoWorkspace, shopDocument } from '../../testing/demo.ts'
import { csvOfSheet, readFile, sheetsOf } from '../../files/catalogueFiles.ts'
import EquipmentList from './EquipmentList.vue'
import FieldOf from './FieldOf.vue'
import { blankRecord, fieldWords, formOf, listsOf } from './forms.ts'
import ListRows from './ListRows.vue'
import { filterRows, rowOf, usersOf } from './lists.ts'
import { TABS } from './tabs.ts'
import PlateProcess from './PlateProcess.vue'
import {} from './useRecordDraft.ts'
import { IMPERIAL, METRIC } from '../../testing/notation.ts'

let workspace: Awaited<ReturnType<typeof demoWorkspace>>['workspace']
beforeEach(async () => {
  workspace = (await demoWorkspace()).workspace
})

const wireRows = () =>
  shopDocument.wires.map((wire) =>
    rowOf('wires', wire, inStock(shopDocument.stock, 'wire', wire.id), IMPERIAL),
  )

/** A field by its name, as the form has it. */
function specOf(path: string, name: string) {
  const found = formOf(path, null, true)
    .flatMap(({ fields }) => fields)
    .find((one) => one.path.join('.') === name)
  if (!found) throw new Error(`${path} has no field ${name}`)
  return found
}

describe('the list', () => {
  it('finds by any words in any order, by what is there, and by kind of part', () => {
    const names = (search: string) => filterRows(wireRows(), search, 'all', null).map(({ name }) => name)
    expect(names('5356 0.035')).toEqual(['0.035 ER5356'])
    expect(names('rod aluminium')).toEqual(['3/32 ER5356', '3/32 ER4043'])
    expect(names('nothing like it')).toEqual([])
    const toBuy = filterRows(wireRows(), '', 'to-buy', null)
    expect(toBuy.length).toBeGreaterThan(0)
    expect(toBuy.every(({ holding }) => !holding.isHere)).toBe(true)
    const parts = shopDocument.parts.map((part) => rowOf('parts', part, null, IMPERIAL))
    expect(filterRows(parts, '', 'all', 'cup').every(({ partKind }) => partKind === 'cup')).toBe(true)
  })

  it('makes a row once for each record, count and unit', () => {
    const [wire] = shopDocument.wires
    if (!wire) throw new Error('the demo has no wire')
    expect(rowOf('wires', wire, 5, METRIC)).toBe(rowOf('wires', wire, 5, METRIC))
    expect(rowOf('wires', { ...wire }, 5, METRIC)).not.toBe(rowOf('wires', wire, 5, METRIC))
  })

  it('says what nobody has counted, and what is used up', () => {
    const [wire] = shopDocument.wires
    if (!wire) throw new Error('the demo has no wire')
    expect(rowOf('wires', wire, null, METRIC).holding).toMatchObject({ isHere: true, words: 'not recorded' })
    expect(rowOf('wires', wire, 0, METRIC).holding).toMatchObject({ isHere: false, words: 'used up' })
    expect(rowOf('wires', wire, 4500, METRIC).holding).toMatchObject({ isHere: true, words: '4.5 kg' })
  })

  it('shows name, figures, stock and price, and opens what is pressed or walked to', async () => {
    const wrapper = mount(EquipmentList, {
      props: { title: 'Wires', rows: wireRows(), selected: 'er70s6-035' },
      attachTo: document.body,
    })
    const row = wrapper.get('[data-id=er70s6-030]')
    expect(row.text()).toContain('carbon steel solid wire, 200 mm spool · 40 to 150 A')
    expect(row.text()).toContain('4 lb')
    expect(row.text()).toContain('$34')
    await row.trigger('click')
    await wrapper.get('[role=list]').trigger('keydown', { key: 'ArrowDown' })
    expect(wrapper.emitted('open')).toEqual([['er70s6-030'], ['e71t11-035']])
    wrapper.unmount()
  })

  it('knows which set-ups have a thing', () => {
    expect(usersOf('parts', 'meter-argon', shopDocument.setUps).map(({ id }) => id)).toContain('bench-tig-dc')
    expect(usersOf('wires', 'e70t1-116', shopDocument.setUps)).toEqual([])
  })
})

describe('a list of a record', () => {
  const rowsOf = (path: string, kind: 'drive-roll' | null, draft: unknown) => {
    const [list] = listsOf(path, kind)
    if (!list) throw new Error(`${path} has no list`)
    return mount(ListRows, { props: { list, draft, problemAt: () => null } })
  }
  const rating = { gas: 'argon', wave: 'ac', currentA: 150, dutyPct: 35 }
  it('has a row for each member, the last of them kept where one is needed', () => {
    const one = rowsOf('guns', null, { ratings: [rating] })
    expect(one.findAll('.row')).toHaveLength(1)
    expect(one.text()).not.toContain('remove')
    const two = rowsOf('guns', null, { ratings: [rating, rating] })
    expect(two.findAll('[aria-label^="Remove rating"]')).toHaveLength(2)
  })
  it('a new row keeps the choices of the one before, and none of its figures', async () => {
    const wrapper = rowsOf('guns', null, { ratings: [rating] })
    await wrapper.get('.list > button').trigger('click')
    const blank = { gas: 'argon', wave: 'ac', currentA: null, dutyPct: null }
    expect(wrapper.emitted('change')).toEqual([[[rating, blank], 'rating']])
  })
  it('loses the row that is taken out, and no other', async () => {
    const other = { ...rating, currentA: 90 }
    const wrapper = rowsOf('guns', null, { ratings: [rating, other] })
    await wrapper.get('[aria-label="Remove rating 1"]').trigger('click')
    expect(wrapper.emitted('change')).toEqual([[[other], 'rating']])
  })
  it('ends at as many as the record may have', () => {
    const groove = { form: 'u', wireMinMm: 0.9, wireMaxMm: 1.2 }
    const full = rowsOf('parts', 'drive-roll', { grooves: [groove, groove, groove, groove] })
    expect(full.find('.list > button').exists()).toBe(false)
    expect(full.findAll('.row')).toHaveLength(4)
  })
})

describe('forms', () => {
  it('have a field for everything that a record holds', () => {
    const elsewhere = ['id', 'kind', 'processes', 'outSince']
    const check = (
      path: (typeof TABS)[number]['path'],
      record: Readonly<Record<string, unknown>>,
      groups: ReturnType<typeof formOf>,
      lists: ReturnType<typeof listsOf>,
    ) => {
      const known = new Set([
        ...groups.flatMap(({ fields, presence }) => [
          ...fields.map((field) => field.path[0]),
          presence?.path,
        ]),
        ...lists.map((list) => list.path[0]),
      ])
      for (const key of Object.keys(record)) {
        if (!elsewhere.includes(key) || (path === 'guns' && key === 'kind'))
          expect(known, `${path} ${key}`).toContain(key)
      }
    }
    for (const { path } of TABS) {
      if (path !== 'parts')
        check(path, blankRecord(path, 'x', 'cup'), formOf(path, null, false), listsOf(path, null))
    }
    for (const kind of PART_KINDS)
      check('parts', blankRecord('parts', 'x', kind), formOf('parts', kind, false), listsOf('parts', kind))
  })

  it('name a field as the form calls it', () => {
    expect(fieldWords('power-sources', null, '/processes/0/supplies/1/ratedPoints/2/dutyPct')).toBe(
      'Duty (process 1, column 2, rated point 3)',
    )
    expect(fieldWords('power-sources', null, '/processes/1/supplies/0/i1MaxA')).toBe(
      'I₁max (process 2, column 1)',
    )
    expect(fieldWords('power-sources', null, '/powerFactor')).toBe('Power factor')
    expect(fieldWords('wires', null, '/packageG')).toBe('Full package')
  })

  it('a number out of its limits keeps its text, and says why; the record keeps what it had', async () => {
    const wrapper = mount(FieldOf, {
      props: {
        spec: specOf('power-sources', 'efficiencyPct'),
        value: 84,
        wrong: null,
      },
    })
    await wrapper.get('input').setValue('140')
    expect(wrapper.get('[role=alert]').text()).toContain('from 10 to 100 %')
    expect(wrapper.emitted('change')).toBeUndefined()
    expect(wrapper.get('input').element.value).toBe('140')
    await wrapper.get('input').setValue('')
    expect(wrapper.emitted('change')?.at(-1)).toEqual([null])
  })

  it('choices, yes and no, and several of some give their own kind of value', async () => {
    const choice = mount(FieldOf, {
      props: {
        spec: specOf('wires', 'spoolMm'),
        value: null,
        wrong: null,
      },
    })
    await pick(choice, 'Spool', '200')
    await choice.setProps({ value: 200 })
    await pick(choice, 'Spool', null)
    expect(choice.emitted('change')).toEqual([[200], [null]])
    const yesNo = mount(FieldOf, {
      props: {
        spec: specOf('power-sources', 'vrd'),
        value: null,
        wrong: null,
      },
    })
    await pick(yesNo, specOf('power-sources', 'vrd').label, false)
    expect(yesNo.emitted('change')).toEqual([[false]])
    const some = mount(FieldOf, {
      props: {
        spec: specOf('power-sources', 'start'),
        value: ['lift'],
        wrong: null,
      },
    })
    await some.findAll('input')[2]?.setValue(true)
    await some.findAll('input')[1]?.setValue(false)
    expect(some.emitted('change')).toEqual([[['lift', 'scratch']], [[]]])
  })
})

describe('the data plate', () => {
  const point = (currentA: number, dutyPct: number) => ({ currentA, dutyPct, loadV: null })
  const quillon = () => {
    const process = workspace.get('power-sources', 'quillon-210')?.processes[0]
    if (!process) throw new Error('the demo has no quillon-210')
    return process
  }
  const plate = (process = quillon()) =>
    mount(PlateProcess, {
      props: { process, at: 0, engine: false, alone: false, source: null, problemAt: () => null },
    })

  it('has a column for each supply voltage and a duty curve through the rated points', () => {
    const wrapper = plate()
    expect(wrapper.findAll('thead td')).toHaveLength(2)
    expect(wrapper.get('svg.duty').attributes('aria-label')).toContain(
      '240 V: 210 A at 30 %, 150 A at 60 %, 116 A at 100 %',
    )
    expect(wrapper.findAll('svg.duty circle')).toHaveLength(6)
    expect(wrapper.find('.finding').exists()).toBe(false)
  })

  it('passes on one figure at a time, and rows come and go', async () => {
    const wrapper = plate()
    await wrapper.get('[aria-label="I₁max at 120 V"]').setValue('27')
    await wrapper.get('[aria-label="Remove point 2 at 240 V"]').trigger('click')
    const changes = wrapper.emitted('change') ?? []
    expect(valueAt(changes[0]?.[0], ['supplies', 1, 'i1MaxA'])).toBe(27)
    expect(valueAt(changes[1]?.[0], ['supplies', 0, 'ratedPoints'])).toHaveLength(2)
  })

  it.each([
    ['two currents at one duty', { ratedPoints: [point(150, 60), point(116, 60)] }],
    ['duty that rises with current', { ratedPoints: [point(116, 30), point(150, 60)] }],
    ['a current below 0', { ratedPoints: [point(-5, 60)] }],
    ['no greatest output', { outputMaxA: 0 }],
  ])('draws no curve through %s, and the other column’s all the same', (_, figures) => {
    const { supplies, ...rest } = quillon()
    const wrapper = plate({
      ...rest,
      supplies: supplies.map((supply, index) => (index === 0 ? { ...supply, ...figures } : supply)),
    })
    expect(wrapper.findAll('svg.duty path[stroke-width]')).toHaveLength(1)
    expect(wrapper.get('svg.duty').html()).not.toContain('NaN')
  })

  it('says with figures that a plate cannot be right', () => {
    const { supplies, ...rest } = quillon()
    const wrapper = plate({
      ...rest,
      supplies: supplies.map((supply) => ({ ...supply, i1MaxA: 12, i1EffA: null })),
    })
    expect(wrapper.findAll('.finding')).toHaveLength(2)
    expect(wrapper.get('.finding').text()).toMatch(/5,145 W out.*2,880 VA in/)
  })
})

describe('files', () => {
  const catalogue = () => catalogueOf(workspace.shelf)

  it('a CSV comes back as it went, and a name that looks like a formula does no harm in between', () => {
    for (const { path } of TABS)
      for (const sheet of sheetsOf(catalogue(), path)) expect(sheet.text()).toContain('\r\n')
    const sheet = SHEETS.find(({ kind }) => kind === 'gas')
    if (!sheet) throw new Error('no sheet of gases')
    const odd = ['=1+1', '-5', "'=x", '@home', 'plain, with "quotes"\nand a line'].map((name, index) => ({
      ...catalogue().gases[0],
      id: `g${index}`,
      name,
    }))
    const text = csvOfSheet(sheet, odd as never, [])
    expect(text).not.toMatch(/(^|,)"?=1/m)
    const read = readFile(text, '')
    expect(read.ok ? read.items.map(({ record }) => record) : read.message).toEqual(odd)
  })

  it('tells JSON from CSV, and says what is wrong with either', () => {
    const json = readFile(JSON.stringify(catalogue()), '')
    expect(json.ok && json.items.length).toBe(
      CATALOGUE_KEYS.reduce((sum, key) => sum + catalogue()[key].length, 0),
    )
    expect(readFile('{"format":', '')).toMatchObject({
      ok: false,
      message: expect.stringContaining('not valid JSON'),
    })
    expect(readFile('id,name\na,b', '')).toMatchObject({
      ok: false,
      message: expect.stringContaining('column “kind”'),
    })
    expect(readFile('id,name', '')).toMatchObject({
      ok: false,
      message: expect.stringContaining('no rows'),
    })
    expect(readFile('id,name\na,b', 'gas')).toMatchObject({ ok: true, what: 'gases' })
  })

  it('what an import brings is one request and one undo', async () => {
    const { workspace: fresh, sent } = await demoWorkspace()
    const [gas] = shopDocument.gases
    const { record } = LIBRARY.find(({ path }) => path === 'gases') ?? {}
    if (!gas || !record) throw new Error('no gas')
    await fresh.takeIn(
      [
        { list: 'gases', record: { ...gas, name: 'Renamed' }, amount: 12 },
        { list: 'gases', record },
      ] as never,
      'import',
    )
    expect(sent).toHaveLength(1)
    expect(sent[0]).toMatchObject({
      method: 'POST',
      path: 'catalogue',
      body: {
        catalogue: { stock: [{ id: `gas.${gas.id}`, amount: 12 }] },
        versions: { [`gases/${gas.id}`]: 1 },
      },
    })
    expect(fresh.get('gases', gas.id)?.name).toBe('Renamed')
    const amount = () => inStock(fresh.shelf.stock, 'gas', gas.id)
    expect(amount()).toBe(12)
    expect(fresh.undo()).toBe('import')
    expect(amount()).toBe(inStock(shopDocument.stock, 'gas', gas.id))
    expect(fresh.get('gases', gas.id)?.name).toBe(gas.name)
    expect(fresh.get('gases', record.id)).toBeNull()
  })

  it('an import leaves what is counted as it is', async () => {
    const { workspace: fresh, sent } = await demoWorkspace()
    const argon = shopDocument.gases.find(({ id }) => id === 'argon')
    await fresh.takeIn([{ list: 'gases', record: argon, amount: 12 }] as never, 'import')
    expect(sent[0]?.body).toMatchObject({ catalogue: { stock: [] } })
    expect(inStock(fresh.shelf.stock, 'gas', 'argon')).toBe(inStock(shopDocument.stock, 'gas', 'argon'))
  })
})
