/** The log in the page: files out and in, measurements, saved settings on a card, and the live monitor’s numbers. */
import {
  type NewEvent,
  recordFor,
  type SpokenFigure,
  trialOf,
  weldSubject,
  type WeldRecord,
} from '@brannik/core'
import fc from 'fast-check'
import { afterEach, beforeAll, beforeEach, describe, expect, it, vi } from 'vitest'
import { effectScope } from 'vue'
import type { WeldRow } from '../../shop/eventList.ts'
import { useOutbox } from '../../shop/outbox.ts'
import { demoWorkspace, inputFor } from '../../testing/demo.ts'
import { withSaved } from '../card/withSaved.ts'
import { csvOfLog, keyOfRow, readLogFile } from './logFiles.ts'
import { settingsText, settingText } from './logWords.ts'
import { missingChannels, openMeasurements, readMeasurements } from './measurements.ts'
import { useMonitor } from './useMonitor.ts'

const IMPERIAL = { system: 'imperial', locale: 'en-US' } as const
const input = inputFor('press-frame', 'bay-2-wire')
const body = (part: Partial<WeldRecord> = {}): WeldRecord => ({
  ...recordFor(input, 'upright'),
  weldedAt: '2027-02-01T10:00:00.000Z',
  welder: 'Ines',
  setUpVersion: 1,
  ...part,
})
const row = (part: Partial<WeldRecord> = {}): WeldRow => ({
  seq: 7,
  at: '2027-02-01T10:00:01.000Z',
  who: 'Ines',
  actorId: null,
  actorKind: null,
  type: 'weld-recorded',
  subject: weldSubject('press-frame', 'upright'),
  body: body(part),
  corrects: null,
})

beforeAll(async () => {
  await demoWorkspace()
})

describe('a log as a file', () => {
  it('comes back as it went out, whatever the note', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'grapheme', maxLength: 40 }), (text) => {
        // A cell is trimmed, and what a spreadsheet would run as a formula gets a mark.
        const note = text.trim()
        fc.pre(!/^['=+\-@]/.test(note))
        const read = readLogFile(csvOfLog([row({ note })]))
        expect(read.ok && read.rows[0]?.body).toEqual(body({ note }))
      }),
      { numRuns: 40 },
    )
  })
  it('says what is no CSV, and gives one row one key however often it is read', async () => {
    expect(readLogFile('')).toMatchObject({ ok: false })
    const twice = [readLogFile(csvOfLog([row()])), readLogFile(csvOfLog([row()]))]
    const keys = await Promise.all(
      twice.map((read) => (read.ok && read.rows[0] ? keyOfRow(read.rows[0]) : '')),
    )
    expect(keys[0]).toMatch(/^csv-[0-9a-f]{64}$/)
    expect(keys[0]).toBe(keys[1])
    const other = readLogFile(csvOfLog([row({ welds: 2 })]))
    expect(other.ok && other.rows[0] && (await keyOfRow(other.rows[0]))).not.toBe(keys[0])
  })
})

describe('measurements', () => {
  const text = [
    'time_ms,Current (A),Voltage (V),WFS (in/min),remark',
    ...Array.from({ length: 101 }, (_, at) => `${at * 100},200,24,300,ok`),
  ].join('\n')
  it('are read by their headings and units: ten seconds at 24 V and 200 A are 48 kJ', () => {
    const opened = openMeasurements(text)
    if (!opened.ok) throw new Error(opened.message)
    expect(opened.columns.map((one) => one?.channel ?? null)).toEqual(['time', 'amps', 'volts', 'feed', null])
    expect(missingChannels(opened.columns)).toEqual([])
    const { measured, drawn, toS } = readMeasurements(opened.columns, 0.005, 50)
    expect(measured.energyKJ).toBeCloseTo(48, 6)
    // 300 in/min for 10 s are 50 in of wire, 1,270 mm.
    expect(measured.wireG).toBeCloseTo(1270 * 0.005, 6)
    expect(toS).toBeCloseTo(10, 9)
    expect(drawn.gas).toBeNull()
    expect(Math.max(...(drawn.amps?.high ?? []))).toBe(200)
  })
  it('want time, volts and amps, and say which is missing', () => {
    const opened = openMeasurements('time,amps\n0,100\n1,100')
    expect(opened.ok && missingChannels(opened.columns)).toEqual(['volts'])
    expect(openMeasurements('time,volts,amps')).toMatchObject({ ok: false })
  })
  it('take one column for a channel, the first', () => {
    const opened = openMeasurements('t,volts,amps,current\n0,20,100,7')
    expect(opened.ok && opened.columns.map((one) => one?.channel ?? null)).toEqual([
      'time',
      'volts',
      'amps',
      null,
    ])
  })
})

describe('saved settings', () => {
  const trial = trialOf(input, 'upright', { settings: null, sign: null, ruledOut: [] })
  const figure = (id: SpokenFigure['id'], value: string, unit = ''): SpokenFigure => ({
    id,
    title: id,
    value,
    unit,
    notes: ['note'],
  })
  const figures = [figure('volts', '20.5'), figure('feed', '343', 'in/min'), figure('amps', '190')]
  it('stand large on the card, with the chart beside them', () => {
    const settings = { ...trial.chart, voltsV: 19.2, feedMmPerMin: 8128 }
    const [volts, feed, amps] = withSaved(figures, { ...trial, settings, currentA: 181.4 }, IMPERIAL)
    expect(volts).toMatchObject({ value: '19.2', unit: '', notes: ['saved here', 'chart 20.5 V'] })
    expect(feed).toMatchObject({ value: '320', unit: 'in/min' })
    expect(amps?.value).toBe('181')
  })
  it('that are the chart’s change nothing', () => {
    expect(withSaved(figures.slice(0, 2), trial, IMPERIAL)).toEqual(figures.slice(0, 2))
  })
  it('are said in the shop’s units', () => {
    expect(settingText('feedMmPerMin', 8128, IMPERIAL)).toBe('320 in/min')
    expect(settingText('voltsV', 20.24, { system: 'metric', locale: 'de-DE' })).toBe('20,2 V')
    expect(settingText('currentA', 120.4, IMPERIAL)).toBe('120 A')
    expect(
      settingsText(
        { ...trial.chart, voltsV: 19.5, feedMmPerMin: null, flowLPerMin: null, travelMmPerMin: null },
        IMPERIAL,
      ),
    ).toBe('19.5 V')
  })
})

describe('the outbox', () => {
  const tried = (note: string): NewEvent<'weld-recorded'> => ({
    type: 'weld-recorded',
    subject: row().subject,
    body: body({ note }),
  })
  const sent: { key: string; note: string }[] = []
  let status = 201
  beforeEach(() => {
    sent.length = 0
    status = 201
    localStorage.clear()
    vi.stubGlobal('fetch', (_path: string, init: RequestInit) => {
      const headers = init.headers as Record<string, string>
      if (status === 0) return Promise.reject(new TypeError('no server'))
      if (status < 300)
        sent.push({
          key: headers['Idempotency-Key'] ?? '',
          note: (JSON.parse(String(init.body)) as { body: WeldRecord }).body.note,
        })
      return Promise.resolve(Response.json(status < 300 ? {} : { detail: 'no' }, { status }))
    })
  })
  afterEach(() => vi.useRealTimers())

  it('keeps what the server does not take now, and sends it later under the same key, in its order', async () => {
    vi.useFakeTimers()
    const scope = effectScope()
    const outbox = scope.run(() => useOutbox())
    if (!outbox) throw new Error('no scope')
    status = 0
    outbox.record(tried('one'))
    outbox.record(tried('two'))
    await vi.advanceTimersByTimeAsync(100)
    expect(outbox.unsent(row().subject)).toHaveLength(2)
    const keys = outbox.unsent(row().subject).map(({ key }) => key)
    status = 201
    await vi.advanceTimersByTimeAsync(6000)
    expect(sent.map(({ note }) => note)).toEqual(['one', 'two'])
    expect(sent.map(({ key }) => key)).toEqual(keys)
    expect(outbox.unsent(row().subject)).toEqual([])
    // It is still shown until the log is read again.
    expect(outbox.own(row().subject).length).toBeGreaterThanOrEqual(2)
    scope.stop()
  })
  it('gives up what is refused, and says so', async () => {
    const scope = effectScope()
    const outbox = scope.run(() => useOutbox())
    status = 422
    outbox?.record(tried('wrong'))
    await vi.waitFor(() => expect(outbox?.unsent(row().subject)).toEqual([]))
    expect(sent).toEqual([])
    scope.stop()
  })
})

describe('the monitor, live', () => {
  type Listener = (event: { readonly data: string }) => void
  class FakeSource {
    static last: FakeSource
    static urls: string[] = []
    readonly heard = new Map<string, Listener>()
    constructor(url: string) {
      FakeSource.urls.push(url)
      FakeSource.last = this
    }
    addEventListener(name: string, listener: Listener): void {
      this.heard.set(name, listener)
    }
    close(): void {
      this.heard.clear()
    }
    tell(seq: number, session = 'a'): void {
      const readings = Array.from({ length: 10 }, () => [20, 150, 8000, 14])
      this.heard.get('batch')?.({
        data: JSON.stringify({ session, seq, atS: (seq - 1) / 10, samplesPerS: 100, readings }),
      })
    }
  }
  afterEach(() => vi.useRealTimers())
  it('asks again from before a hole, counts nothing twice, and begins anew with another session', async () => {
    vi.useFakeTimers()
    vi.stubGlobal('EventSource', FakeSource)
    const scope = effectScope()
    const monitor = scope.run(() => useMonitor(() => 0.005))
    if (!monitor) throw new Error('no scope')
    monitor.start('none')
    for (const seq of [1, 2, 2, 3]) FakeSource.last.tell(seq)
    expect(monitor.measured.value?.arcS).toBeCloseTo(0.29, 6)
    FakeSource.last.tell(6)
    expect(monitor.state.value).toBe('again')
    await vi.advanceTimersByTimeAsync(2000)
    expect(FakeSource.urls.at(-1)).toContain('after=3')
    for (const seq of [4, 5, 6]) FakeSource.last.tell(seq)
    expect(monitor.measured.value?.arcS).toBeCloseTo(0.59, 6)
    expect(monitor.cuts.value).toBe(1)
    FakeSource.last.tell(1, 'b')
    expect(monitor.measured.value?.arcS).toBeCloseTo(0.09, 6)
    scope.stop()
  })
})
