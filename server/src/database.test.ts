import {
  gunSchema,
  jobSchema,
  partSchema,
  powerSourceSchema,
  readDocument,
  setUpSchema,
  shopSchema,
  wireSchema,
} from '@brannik/core'
import { afterEach, describe, expect, it } from 'vitest'
import { inTransaction, openDatabase, type Database } from './database.ts'
import { isMigrationDue, migrate } from './migrate.ts'
import { versionOf } from './stores/history.ts'
import { SHOP } from './stores/kinds.ts'
import { seed } from './seed.ts'
import { emptyDatabase } from './testing.ts'

const open: { database: Database; drop: () => Promise<void> }[] = []
async function fresh(): Promise<Database> {
  const { url, drop } = await emptyDatabase()
  const database = openDatabase(url)
  open.push({ database, drop })
  return database
}
afterEach(async () => {
  for (const { database, drop } of open.splice(0)) {
    await database.end()
    await drop()
  }
})

const count = async (database: Database, sql: string) => Number((await database.query(sql)).rows[0].count)

describe('migrations', () => {
  it('run once each, also when two servers start at once', async () => {
    const database = await fresh()
    const runs = await Promise.all([migrate(database), migrate(database)])
    expect(runs.filter((number) => number > 0)).toHaveLength(1)
    expect(await migrate(database)).toBe(0)
  })

  it('carry what an older version stored into today’s schema', async () => {
    const database = await fresh()
    await migrate(database, 1)
    const joint = {
      id: 'seam',
      kind: 'butt-v',
      material: 'carbon-steel',
      thicknessAMm: 12,
      thicknessBMm: 12,
      legMm: null,
    }
    const rest = {
      rootGapMm: 2,
      rootFaceMm: 1,
      includedAngleDeg: 60,
      reinforcementMm: 1,
      passes: null,
      position: 'flat',
      count: 2,
      lengthMm: 100,
    }
    const second = {
      ...joint,
      ...rest,
      id: 'tray',
      kind: 'butt-square',
      material: 'stainless-316l',
      thicknessAMm: 2,
      thicknessBMm: 2,
    }
    const job = {
      id: 'old',
      name: 'Old',
      note: '',
      quantity: 1,
      place: 'indoors',
      windKmPerH: null,
      quality: 'ordinary',
      hoursSetAside: null,
      pauseS: null,
      setUpId: null,
    }
    await database.query(`insert into record (kind, id, body) values ('job', 'old', $1)`, [
      { ...job, joints: [{ ...joint, ...rest }, second] },
    ])
    const shop = {
      id: 's',
      name: 'S',
      unitSystem: 'metric',
      ruleBook: 'north-american',
      currency: 'EUR',
      assumptions: { repositionWireS: 33 },
    }
    await database.query(`insert into record (kind, id, body) values ('shop', 's', $1)`, [shop])
    await migrate(database)
    const bodyOf = async (kind: string) =>
      (await database.query('select body from record where kind = $1', [kind])).rows[0].body
    const read = readDocument(jobSchema, await bodyOf('job'))
    expect(
      read.ok ? read.value.joints.map(({ kind, materialB }) => [kind, materialB]) : read.problems,
    ).toEqual([
      ['v', 'hot-rolled'],
      ['square', 'stainless-316'],
    ])
    expect(readDocument(shopSchema, await bodyOf('shop'))).toMatchObject({
      ok: true,
      value: { assumptions: { repositionTurnedS: 33 }, locale: 'en-US' },
    })
  })

  it('carry plates, guns, wires and set-ups of the version before into the full equipment', async () => {
    const database = await fresh()
    await migrate(database, 2)
    const put = (kind: string, body: Readonly<Record<string, unknown>>) =>
      database.query(`insert into record (kind, id, body) values ($1, $2, $3)`, [kind, body['id'], body])
    const supply = {
      voltageV: 240,
      phases: 1,
      outputMinA: 25,
      outputMaxA: 230,
      ratedPoints: [{ currentA: 210, dutyPct: 30 }],
      i1MaxA: 30,
      i1EffA: null,
    }
    const figures = { efficiencyPct: null, powerFactor: null, idleW: null }
    const wireProcess = { family: 'gmaw', outputs: ['dc'], supplies: [supply] }
    const tigProcess = { family: 'gtaw', outputs: ['dc', 'ac'], supplies: [supply] }
    await put('shop', {
      id: 's',
      name: 'S',
      unitSystem: 'metric',
      ruleBook: 'north-american',
      currency: 'EUR',
      assumptions: {},
    })
    await put('circuit', {
      id: 'c',
      name: 'C',
      voltageV: 240,
      phases: 1,
      breakerA: 50,
      conductorSize: '6 AWG',
      lengthMm: 1000,
    })
    await put('power-source', {
      id: 'mig',
      name: 'M',
      processes: [wireProcess],
      ...figures,
      feedMaxMmPerMin: 17780,
      start: ['lift', 'wire'],
    })
    await put('power-source', {
      id: 'tig',
      name: 'T',
      processes: [tigProcess],
      ...figures,
      feedMaxMmPerMin: null,
      start: ['high-frequency'],
    })
    await put('gun', {
      id: 'torch',
      name: 'G',
      kind: 'torch',
      cooling: 'air',
      lengthMm: 4000,
      ratings: [{ gas: 'argon', wave: 'dc', currentA: 150, dutyPct: 60 }],
    })
    await put('wire', {
      id: 'rod',
      name: 'W',
      form: 'rod',
      classification: 'ER308L',
      metal: 'stainless',
      diameterMm: 1.6,
      currentMinA: null,
      currentMaxA: null,
      polarity: null,
      stockG: 5,
      packageG: 5000,
      packagePrice: null,
    })
    await put('tungsten', {
      id: 'w16',
      name: 'W16',
      type: 'WLa20',
      diameterMm: 1.6,
      lengthMm: 175,
      stock: 1,
      price: null,
    })
    const setUp = {
      process: 'gtaw-dc',
      polarity: 'dcen',
      circuitId: 'c',
      powerSourceId: 'tig',
      gunId: 'torch',
      wireId: 'rod',
      gasId: null,
      tungstenId: 'w16',
      flowLPerMin: null,
    }
    await put('set-up', { id: 'plain', name: 'P', ...setUp, cupNumber: 7, gasLens: false })
    await put('set-up', { id: 'lens', name: 'L', ...setUp, cupNumber: 8, gasLens: true })
    await put('set-up', { id: 'bare', name: 'B', ...setUp, cupNumber: null, gasLens: false })
    await migrate(database)

    const SCHEMAS = {
      shop: shopSchema,
      'power-source': powerSourceSchema,
      gun: gunSchema,
      wire: wireSchema,
      'set-up': setUpSchema,
      part: partSchema,
    }
    const { rows } = await database.query('select kind, id, body, version from record order by kind, id')
    for (const { kind, body } of rows) {
      const schema = SCHEMAS[kind as keyof typeof SCHEMAS]
      if (schema)
        expect(readDocument<unknown>(schema, body), `${kind} ${body.id}`).toMatchObject({ ok: true })
    }
    const bodyOf = (kind: string, id: string) => rows.find((row) => row.kind === kind && row.id === id)?.body
    expect(bodyOf('power-source', 'mig')).toMatchObject({
      start: ['lift'],
      feeder: { feedMaxMmPerMin: 17780, spoolsMm: [] },
    })
    expect(bodyOf('power-source', 'tig')).toMatchObject({ feeder: null, held: 'owned' })
    expect(bodyOf('set-up', 'plain')).toMatchObject({ cupId: 'cup-7', colletBodyId: null })
    expect(bodyOf('set-up', 'lens')).toMatchObject({ cupId: 'cup-8-lens', colletBodyId: 'lens-w16' })
    expect(bodyOf('set-up', 'bare')).toMatchObject({ cupId: null, colletBodyId: null })
    expect(bodyOf('part', 'lens-w16')).toMatchObject({ gasLens: true, tungstenMm: 1.6 })
    // The new parts are in use: the database itself keeps them.
    await expect(database.query(`delete from record where kind = 'part' and id = 'cup-7'`)).rejects.toThrow(
      /foreign key/,
    )
  })

  it('carry records up to this version of their schema, once, and keep each as it was written', async () => {
    const database = await fresh()
    await migrate(database)
    const shop = { id: 's', name: 'S', unitSystem: 'metric', ruleBook: 'north-american', currency: 'EUR' }
    await database.query(`insert into record (kind, id, body, schema_version) values ('shop', 's', $1, 1)`, [
      { ...shop, aluminiumTip: 'one-over', assumptions: {} },
    ])
    expect(await isMigrationDue(database)).toBe(true)
    await migrate(database)
    await migrate(database)
    const { rows } = await database.query('select version, schema_version, body from record')
    expect(rows).toMatchObject([{ version: 2, schema_version: 8, body: { locale: 'en-US' } }])
    const history = await database.query(
      `select version, schema_version, body ->> 'locale' as locale from record_history order by version`,
    )
    expect(history.rows).toEqual([
      { version: 1, schema_version: 1, locale: null },
      { version: 2, schema_version: 8, locale: 'en-US' },
    ])
    // Who looks back sees it as this version writes it.
    const first = await inTransaction(database, (connection) => versionOf(connection, SHOP, 's', 1))
    expect(JSON.parse(first)).toMatchObject({ name: 'S', locale: 'en-US' })
    expect(await isMigrationDue(database)).toBe(false)
  })

  it('make counts of what records said of their stock', async () => {
    const database = await fresh()
    await migrate(database, 6)
    const put = (kind: string, body: { readonly id: string } & Record<string, unknown>) =>
      database.query('insert into record (kind, id, body, schema_version) values ($1, $2, $3, 1)', [
        kind,
        body.id,
        body,
      ])
    await put('wire', { id: 'w', stockG: 900.5 })
    await put('wire', { id: 'unweighed', stockG: null })
    await put('gas', { id: 'g', leftL: 0 })
    await put('part', { id: 'p', stock: 4 })
    await put('tungsten', { id: 't', stock: 2 })
    await migrate(database)
    expect(
      (await database.query('select id, amount::float as amount from stock_item order by id')).rows,
    ).toEqual([
      { id: 'gas.g', amount: 0 },
      { id: 'part.p', amount: 4 },
      { id: 'tungsten.t', amount: 2 },
      { id: 'wire.w', amount: 900.5 },
    ])
    const telling = await database.query(
      `select id from record where body ?| array['stockG', 'leftL', 'stock']`,
    )
    expect(telling.rows).toEqual([])
  })

  it('leave a record of a kind that the program does not know to nobody, and a count of what is not counted', async () => {
    const database = await fresh()
    await migrate(database)
    const put = (kind: string) =>
      database.query(
        `insert into record (kind, id, body, schema_version) values ($1, 'x', '{"id": "x"}', 1)`,
        [kind],
      )
    await expect(put('dragon')).rejects.toThrow(/record_kind/)
    await put('gun')
    await expect(database.query(`insert into stock_item (id, amount) values ('gun.x', 1)`)).rejects.toThrow(
      /is_counted/,
    )
    await put('wire')
    expect((await database.query(`insert into stock_item (id, amount) values ('wire.x', 1)`)).rowCount).toBe(
      1,
    )
  })

  it('refuse a database of a newer version, with the remedy', async () => {
    const database = await fresh()
    await migrate(database)
    await database.query(`insert into schema_migration (number, name) values (999, 'later')`)
    await expect(migrate(database)).rejects.toThrow(/schema 999.*newer version/)
  })
})

describe('the demo shop', () => {
  it('is loaded into an empty database only', async () => {
    const database = await fresh()
    await migrate(database)
    expect(await seed(database)).toBe(true)
    expect(await count(database, `select count(*) from record where kind = 'job'`)).toBe(8)
    await database.query(`delete from record where kind = 'job'`)
    expect(await seed(database)).toBe(false)
    expect(await count(database, `select count(*) from record where kind = 'job'`)).toBe(0)
  })
})

describe('the database itself', () => {
  it('refuses a reference that leads nowhere and an id that differs from its document', async () => {
    const database = await fresh()
    await migrate(database)
    await seed(database)
    await expect(
      database.query(`delete from record where kind = 'circuit' and id = 'bay-2'`),
    ).rejects.toThrow(/foreign key/)
    await expect(
      database.query(
        `insert into record (kind, id, body, schema_version) values ('job', 'a', '{"id":"b"}', 1)`,
      ),
    ).rejects.toThrow(/check constraint/)
  })

  it('keeps nothing of a transaction that failed', async () => {
    const database = await fresh()
    await migrate(database)
    const work = inTransaction(database, async (connection) => {
      await connection.query(
        `insert into record (kind, id, body, schema_version) values ('job', 'a', '{"id":"a"}', 1)`,
      )
      throw new Error('half way')
    })
    await expect(work).rejects.toThrow('half way')
    expect(await count(database, 'select count(*) from record')).toBe(0)
  })
})
