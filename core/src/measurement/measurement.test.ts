/** Measurements: hand-worked energy and duty; common practice for what a start is, no source. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { channelIn, channelOf, unitsOf, unitWord } from './channels.ts'
import { ArcMeter, heatInputKJPerMm } from './meter.ts'
import { measuredOf, samplesOf, thinned } from './samples.ts'

/** Arcs and pauses in seconds, ten readings a second. */
function meterOf(spells: readonly (readonly [arcS: number, offS: number])[]): ArcMeter {
  const meter = new ArcMeter()
  let tenths = 0
  const run = (seconds: number, volts: number, amps: number, feed: number): void => {
    for (let left = Math.round(seconds * 10); left > 0; left -= 1)
      meter.add((tenths += 1) / 10, volts, amps, feed, amps > 0 ? 15 : 0)
  }
  meter.add(0, 60, 0, 0, 0)
  for (const [arcS, offS] of spells) {
    run(arcS, 24, 200, 6000)
    run(offS, 60, 0, 0)
  }
  return meter
}

describe('the meter', () => {
  it('adds up one minute of 24 V and 200 A by hand: 288 kJ, 30 g of wire, 15 L of gas', () => {
    const { arcS, energyKJ, wireG, gasL, starts, meanA, meanV, lostS } = meterOf([[60, 5]]).measured(0.005)
    expect(arcS).toBeCloseTo(60, 6)
    expect(energyKJ).toBeCloseTo(288, 6)
    expect(wireG).toBeCloseTo(30, 6)
    expect(gasL).toBeCloseTo(15, 6)
    expect([starts, lostS]).toEqual([1, 0])
    expect(meanA).toBeCloseTo(200, 6)
    expect(meanV).toBeCloseTo(24, 6)
  })
  it('gives the heat input of EN 1011-1: 24 V, 200 A at 5 mm/s and 0.8 is 0.768 kJ/mm', () => {
    // Q = k·U·I/v·10⁻³ = 0.8 · 24 · 200 / 5 / 1000 (EN 1011-1, clause 19, from memory); 60 s make 300 mm.
    expect(heatInputKJPerMm(meterOf([[60, 0]]).measured(0.005).energyKJ, 300, 0.8)).toBeCloseTo(0.768, 6)
    expect(() => heatInputKJPerMm(1, 0, 0.8)).toThrow('length')
  })
  it('counts the duty cycle in the worst ten minutes of IEC 60974-1', () => {
    // 4 min on, 6 min off is 40 %; a long rest before changes nothing.
    expect(meterOf([[240, 360]]).measured(0.005).dutyPct).toBeCloseTo(40, 1)
    expect(
      meterOf([
        [10, 1500],
        [240, 360],
        [240, 10],
      ]).measured(0.005).dutyPct,
    ).toBeCloseTo(40, 1)
    expect(meterOf([[700, 0]]).measured(0.005).dutyPct).toBe(100)
  })
  it('takes a short circuit for no new start, and a pause for one', () => {
    expect(
      meterOf([
        [5, 0.2],
        [5, 0.2],
        [5, 3],
        [5, 1],
      ]).measured(0.005).starts,
    ).toBe(2)
  })
  /** Readings of a burning arc at these moments, s. */
  const burningAt = (...timesS: number[]) => {
    const meter = new ArcMeter()
    for (const timeS of timesS) meter.add(timeS, 24, 200, 6000, 15)
    return meter.measured(0.005)
  }
  it('adds nothing for what was lost on the way', () => {
    expect(burningAt(0, 0.5, 20, 19)).toMatchObject({ arcS: 0.5, lostS: 19.5, durationS: 20 })
  })
  it('has what was lost in no ten minutes, and as no start', () => {
    // Five minutes without a reading: nobody knows whether it burned.
    const { arcS, dutyPct, starts, lostS } = burningAt(0, 1, 301, 302)
    expect([arcS, lostS, starts]).toEqual([2, 300, 1])
    expect(dutyPct).toBeCloseTo((100 * 2) / 600, 6)
  })
  // Readings up to a second apart are one stretch; an arc begins at 8 A: common practice, no source.
  it('takes a second between readings, and not more', () => {
    const after = (stepS: number, amps: number) => {
      const meter = new ArcMeter()
      meter.add(5, 24, amps, 6000, 15)
      meter.add(5 + stepS, 24, amps, 6000, 15)
      return meter.measured(0)
    }
    expect(after(1, 200)).toMatchObject({ arcS: 1, lostS: 0, durationS: 1, starts: 1 })
    expect(after(1.25, 200)).toMatchObject({ arcS: 0, lostS: 1.25, durationS: 1.25 })
    expect(after(1, 8)).toMatchObject({ arcS: 1, meanA: 8, gasL: 0.25 })
    expect(after(1, 7.5)).toMatchObject({ arcS: 0, meanA: 0, meanV: 0, starts: 0, gasL: 0.25 })
    expect(new ArcMeter().measured(0)).toMatchObject({ durationS: 0, arcS: 0, starts: 0, dutyPct: 0 })
  })
  it('is the same whole or in parts, and never more arc than time', () => {
    const spells = fc.array(fc.tuple(fc.integer({ min: 1, max: 90 }), fc.integer({ min: 1, max: 90 })), {
      minLength: 1,
      maxLength: 8,
    })
    fc.assert(
      fc.property(spells, (list) => {
        const { arcS, durationS, starts, dutyPct } = meterOf(list).measured(0.005)
        expect(arcS).toBeCloseTo(
          list.reduce((sum, [on]) => sum + on, 0),
          6,
        )
        expect(arcS).toBeLessThanOrEqual(durationS + 1e-9)
        expect(starts).toBe(list.length)
        // Second by second: the ten minutes with most arc in them.
        const seconds = list.flatMap(([on, off]) => [
          ...Array<number>(on).fill(1),
          ...Array<number>(off).fill(0),
        ])
        const windows = seconds.map((_, from) =>
          seconds.slice(from, from + 600).reduce((sum, one) => sum + one, 0),
        )
        expect(dutyPct).toBeCloseTo(Math.max(...windows) / 6, 0)
      }),
    )
  })
})

describe('columns', () => {
  it.each([
    ['Time (ms)', 'time', 0.001],
    ['time_s', 'time', 1],
    ['t', 'time', 1],
    ['Arc voltage [V]', 'volts', 1],
    ['U', 'volts', 1],
    ['Current (kA)', 'amps', 1000],
    ['I', 'amps', 1],
    // NIST SP 811: 1 in = 25.4 mm; 1 ft³ = 28.316 846 592 L.
    ['Wire feed (in/min)', 'feed', 25.4],
    ['wfs [m/min]', 'feed', 1000],
    ['Gas flow (CFH)', 'gas', 0.471_947_443_2],
    ['gas_l/min', 'gas', 1],
  ] as const)('%s is %s', (heading, channel, worth) => {
    const found = channelOf(heading)
    expect(found?.channel).toBe(channel)
    expect(found?.worth).toBeCloseTo(worth, 9)
  })
  it('of another name are nobody’s, and a unit that is not known is the usual one', () => {
    for (const heading of ['remark', 'temperature (°C)', '']) expect(channelOf(heading)).toBeNull()
    expect(channelIn('feed', 'furlong/h').unit).toBe(unitsOf('feed')[0])
    // Unit symbols as ISO 80000 and the trade write them.
    expect(['v', 'ma', 'cfh', 'l/min', 'm/min'].map(unitWord)).toEqual(['V', 'mA', 'CFH', 'L/min', 'm/min'])
  })
})

describe('rows of a log', () => {
  const columns = ['time_ms', 'volts', 'remark', 'amps'].map(channelOf)
  it('are read in their units, and what is no number or goes back in time is skipped and named', () => {
    const rows = [
      ['0', '24', '', '200'],
      ['100', 'x', '', '200'],
      ['200', '24', 'ok', '210'],
      ['150', '24', '', '210'],
      ['300', '24', '', ''],
    ]
    const { samples, skipped, firstSkipped } = samplesOf(rows, columns)
    expect([...samples.time]).toEqual([0, 0.2])
    expect([...samples.amps]).toEqual([200, 210])
    expect([...samples.gas]).toEqual([0, 0])
    expect([skipped, firstSkipped]).toEqual([3, 3])
    expect(measuredOf(samples, 0).arcS).toBeCloseTo(0.2, 9)
  })
  it('need time, volts and amps', () => {
    expect(() => samplesOf([['1', '2']], ['time', 'volts'].map(channelOf))).toThrow('no column is amps')
  })
  it('are thinned without losing a spike', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: -10, max: 500, noNaN: true }), { minLength: 2, maxLength: 300 }),
        (values) => {
          const time = Float64Array.from(values, (_, index) => index)
          const { low, high } = thinned(time, Float64Array.from(values), 17, [0, values.length - 1])
          const real = (array: Float64Array) => [...array].filter((one) => !Number.isNaN(one))
          expect(Math.max(...real(high))).toBe(Math.max(...values))
          expect(Math.min(...real(low))).toBe(Math.min(...values))
        },
      ),
    )
  })
})
