import { describe, expect, it } from 'vitest'
import { GAUGE_TABLES } from './gauges.ts'

describe('sheet gauges', () => {
  it('stainless follows the US Standard Gage: whole 640ths of an inch (Act of 1893, from memory)', () => {
    for (const inches of GAUGE_TABLES.stainless.inches.values()) {
      const parts = inches * 640
      // Four decimals are printed, so a 640th is met within half of the last.
      expect(Math.abs(parts - Math.round(parts))).toBeLessThan(0.0001 * 640)
    }
    expect(GAUGE_TABLES.stainless.inches.get(16)).toBe(0.0625)
  })

  it('carbon steel is the US Standard Gage weight over 41.82 lb/ft² per inch', () => {
    // Weight by gauge, lb/ft² (Manufacturers' Standard Gage, from memory).
    for (const [gauge, pounds] of [
      [10, 5.625],
      [11, 5],
      [12, 4.375],
      [14, 3.125],
      [16, 2.5],
      [18, 2],
      [20, 1.5],
      [22, 1.25],
    ] as const) {
      expect(GAUGE_TABLES['carbon-steel'].inches.get(gauge)).toBeCloseTo(pounds / 41.82, 4)
    }
  })

  it('aluminium follows the geometric rule of Brown & Sharpe (ASTM B258)', () => {
    for (const [gauge, inches] of GAUGE_TABLES.aluminium.inches) {
      expect(inches).toBeCloseTo(0.005 * 92 ** ((36 - gauge) / 39), 4)
    }
  })

  it('galvanised is the steel of the same gauge with its coat', () => {
    for (const [gauge, inches] of GAUGE_TABLES.galvanised.inches) {
      const bare = GAUGE_TABLES['carbon-steel'].inches.get(gauge)
      expect(bare).toBeDefined()
      expect(inches - (bare ?? 0)).toBeCloseTo(0.0037, 3)
    }
  })

  it.each(Object.values(GAUGE_TABLES))('$name gets thinner with every number', ({ inches }) => {
    const thicknesses = [...inches.entries()].sort(([a], [b]) => a - b).map(([, t]) => t)
    thicknesses.slice(1).forEach((t, i) => {
      expect(t).toBeLessThan(thicknesses[i] ?? 0)
    })
  })
})
