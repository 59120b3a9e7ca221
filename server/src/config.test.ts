/** What the environment decides: its defaults, each variable, who may come in, and what is refused with its name. */
import { hostname } from 'node:os'
import { describe, expect, it } from 'vitest'
import { accessOf, ownAddresses, readConfig } from './config.ts'
import { LIMITS } from './limits.ts'

const DATABASE_URL = 'postgres://brannik@127.0.0.1:5432/brannik'
const read = (environment: Readonly<Record<string, string>> = {}) =>
  readConfig({ DATABASE_URL, ...environment })

describe('without a word', () => {
  it('nothing listens to the network, nothing is deleted, and everything is simulated', () => {
    expect(read()).toMatchObject({
      databaseUrl: DATABASE_URL,
      host: '127.0.0.1',
      port: 4870,
      logLevel: 'info',
      logFile: null,
      dataFolder: null,
      tls: null,
      access: {
        needsSignIn: false,
        thisMachine: 'link',
        trustsProxy: false,
        writesPerMinute: LIMITS.writesPerMinute,
      },
      backups: { folder: null, secondFolder: null, everyHours: 24, keepDays: 30, migrateWithout: false },
      retention: { saveMinutes: 10, historyDays: 0, auditDays: 0 },
      stopWithParent: false,
      arcMonitor: null,
      supplier: null,
      demo: null,
    })
    expect([...read().access.allowedHosts]).toEqual(['127.0.0.1', 'localhost', '::1'])
  })
})

describe('each variable', () => {
  it('is taken as it is written', () => {
    expect(
      read({
        HOST: '192.168.7.5',
        PORT: '0',
        LOG_LEVEL: 'debug',
        LOG_FILE: '/var/log/brannik.log',
        DATA_FOLDER: '/srv/data',
        THIS_MACHINE: 'open',
        TRUST_PROXY: '1',
        WRITES_PER_MINUTE: '60',
        BACKUP_FOLDER: '/srv/backups',
        BACKUP_SECOND_FOLDER: '/mnt/second',
        BACKUP_HOURS: '0',
        BACKUP_DAYS: '1',
        MIGRATE_WITHOUT_BACKUP: '1',
        HISTORY_MINUTES: '0',
        HISTORY_DAYS: '90',
        AUDIT_DAYS: '365',
        STOP_WITH_PARENT: '1',
        ARC_MONITOR: 'ws://10.0.0.9/arc',
        SUPPLIER: 'https://supplier.example',
        DEMO: 'metric',
      }),
    ).toMatchObject({
      host: '192.168.7.5',
      port: 0,
      logLevel: 'debug',
      logFile: '/var/log/brannik.log',
      dataFolder: '/srv/data',
      access: { thisMachine: 'open', trustsProxy: true, writesPerMinute: 60, needsSignIn: true },
      backups: {
        folder: '/srv/backups',
        secondFolder: '/mnt/second',
        everyHours: 0,
        keepDays: 1,
        migrateWithout: true,
      },
      retention: { saveMinutes: 0, historyDays: 90, auditDays: 365 },
      stopWithParent: true,
      arcMonitor: 'ws://10.0.0.9/arc',
      supplier: 'https://supplier.example',
      demo: 'metric',
    })
    expect([read({ DEMO: '1' }).demo, read({ DEMO: '0' }).demo]).toEqual(['inch', null])
  })
  it('that is empty is as if it were not there', () => {
    expect(
      read({ DATA_FOLDER: '', BACKUP_SECOND_FOLDER: '', ARC_MONITOR: '', SUPPLIER: '', ALLOWED_HOSTS: '' }),
    ).toMatchObject({
      dataFolder: null,
      backups: { secondFolder: null },
      arcMonitor: null,
      supplier: null,
    })
  })
  it.each([
    ['DATABASE_URL', 'mysql://x', 'must begin with postgres://'],
    ['DATABASE_URL', 'x postgres://y', 'must begin with postgres://'],
    ['PORT', '65536', 'must be at most 65535'],
    ['PORT', 'http', 'must be a port number'],
    ['PORT', '-1', ''],
    ['PORT', '80.5', ''],
    ['HOST', '', ''],
    ['LOG_LEVEL', 'loud', ''],
    ['THIS_MACHINE', 'shut', 'must be link or open'],
    ['SIGN_IN', 'never', 'must be auto or always'],
    ['TRUST_PROXY', 'yes', ''],
    ['BACKUP_HOURS', '8761', ''],
    ['BACKUP_HOURS', 'daily', 'must be a number of hours'],
    ['BACKUP_DAYS', '0', ''],
    ['HISTORY_MINUTES', '1441', ''],
    ['HISTORY_DAYS', '-1', ''],
    ['AUDIT_DAYS', '364', 'must be 0, which keeps all, or at least 365'],
    ['AUDIT_DAYS', '36501', ''],
    ['WRITES_PER_MINUTE', '0', ''],
    ['ARC_MONITOR', 'http://10.0.0.9', 'must begin with ws:// or wss://'],
    ['ARC_MONITOR', 'ws://a b', 'must begin with ws:// or wss://'],
    ['SUPPLIER', 'ftp://supplier', 'must begin with http:// or https://'],
    ['DEMO', 'imperial', 'must be 0, 1 or metric'],
  ])('%s of “%s” is refused by its name', (name, value, remedy) => {
    expect(() => read({ [name]: value })).toThrow(
      new RegExp(`^The environment is not right: .*${name} .*${remedy}`),
    )
  })
  it('has limits that it may reach', () => {
    expect(
      read({ PORT: '65535', BACKUP_HOURS: '8760', BACKUP_DAYS: '3650', AUDIT_DAYS: '36500' }),
    ).toMatchObject({
      port: 65_535,
      backups: { everyHours: 8760, keepDays: 3650 },
      retention: { auditDays: 36_500 },
    })
    expect(read({ ARC_MONITOR: 'wss://arc.shop/1', SUPPLIER: 'http://10.0.0.2' })).toMatchObject({
      arcMonitor: 'wss://arc.shop/1',
      supplier: 'http://10.0.0.2',
    })
    expect(() => readConfig({})).toThrow(/DATABASE_URL.*npm start/)
  })
})

describe('TLS', () => {
  it('has a certificate of the shop’s own, or one that is given with its key', () => {
    expect(read({ TLS_FOLDER: '/srv/tls' }).tls).toEqual({ folder: '/srv/tls', welcomePort: null })
    expect(read({ TLS_FOLDER: '/srv/tls', TLS_WELCOME_PORT: '8080' }).tls).toEqual({
      folder: '/srv/tls',
      welcomePort: 8080,
    })
    const given = { TLS_CERT_FILE: '/c.pem', TLS_KEY_FILE: '/k.pem' }
    expect(read({ ...given, TLS_FOLDER: '/srv/tls' }).tls).toEqual({ certFile: '/c.pem', keyFile: '/k.pem' })
  })
  it('is refused by halves', () => {
    for (const half of [{ TLS_CERT_FILE: '/c.pem' }, { TLS_KEY_FILE: '/k.pem' }])
      expect(() => read(half as Record<string, string>)).toThrow('TLS_CERT_FILE and TLS_KEY_FILE go together')
  })
})

describe('who may come in', () => {
  it('signs in wherever another machine can reach the server', () => {
    const needs = (host: string, of: Parameters<typeof accessOf>[1] = {}) => accessOf(host, of).needsSignIn
    expect([needs('127.0.0.1'), needs('localhost'), needs('::1')]).toEqual([false, false, false])
    expect([needs('0.0.0.0'), needs('192.168.7.5'), needs('127.0.0.1', { signIn: 'always' })]).toEqual([
      true,
      true,
      true,
    ])
    expect(needs('127.0.0.1', { trustsProxy: true })).toBe(true)
    expect(needs('127.0.0.1', { allowedHosts: 'brannik.shop' })).toBe(true)
    expect(needs('127.0.0.1', { allowedHosts: 'localhost, ::1' })).toBe(false)
    expect(needs('127.0.0.1', { allowedHosts: 'localhost,brannik.shop' })).toBe(true)
  })
  it('calls it by its own names, in any case, and by those that were asked for', () => {
    const names = (host: string, allowedHosts = '') => accessOf(host, { allowedHosts }).allowedHosts
    expect(names('127.0.0.1', ' Brannik.Shop , ,shop.lan')).toEqual(
      new Set(['127.0.0.1', 'localhost', '::1', 'brannik.shop', 'shop.lan']),
    )
    const own = names('SHOP-PC')
    const name = hostname().toLowerCase()
    for (const one of ['shop-pc', name, ...ownAddresses(), 'localhost']) expect(own, one).toContain(one)
    if (!name.includes('.')) expect(own).toContain(`${name}.local`)
    expect(names('127.0.0.1')).not.toContain(`${name}.local`)
  })
  it('finds the addresses of the networks before those of the machine itself', () => {
    const all = ownAddresses()
    const first = all.findIndex((one) => one === '127.0.0.1' || one === '::1')
    expect(first).toBeGreaterThanOrEqual(0)
    for (const one of all.slice(first)) expect(['127.0.0.1', '::1']).toContain(one)
  })
})
