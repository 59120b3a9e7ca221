import { jobSchema, readDocument, shopSchema } from '@brannik/core'
import { afterEach, describe, expect, it } from 'vitest'
import { readConfig } from './config.ts'
import { inTransaction, openDatabase, type Database } from './database.ts'
import { migrate } from './migrate.ts'
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
      value: { assumptions: { repositionTurnedS: 33 } },
    })
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
    expect(await count(database, `select count(*) from record where kind = 'job'`)).toBe(7)
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
      database.query(`insert into record (kind, id, body) values ('job', 'a', '{"id":"b"}')`),
    ).rejects.toThrow(/check constraint/)
  })

  it('keeps nothing of a transaction that failed', async () => {
    const database = await fresh()
    await migrate(database)
    const work = inTransaction(database, async (connection) => {
      await connection.query(`insert into record (kind, id, body) values ('job', 'a', '{"id":"a"}')`)
      throw new Error('half way')
    })
    await expect(work).rejects.toThrow('half way')
    expect(await count(database, 'select count(*) from record')).toBe(0)
  })
})

describe('configuration', () => {
  it('names the variable and the remedy', () => {
    expect(() => readConfig({})).toThrow(/DATABASE_URL.*npm start/)
    expect(() => readConfig({ DATABASE_URL: 'postgres://x', PORT: 'eighty' })).toThrow(
      /PORT must be a port number/,
    )
  })

  it('is on loopback unless told otherwise', () => {
    expect(readConfig({ DATABASE_URL: 'postgres://x' })).toMatchObject({ host: '127.0.0.1', port: 4870 })
  })
})
