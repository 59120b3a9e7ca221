import { describe, expect, it } from 'vitest'
import type { Notation } from './units.ts'
import { printNumber, printValue } from './printValue.ts'

const IMPERIAL: Notation = { system: 'imperial', locale: 'en-US' }
const METRIC: Notation = { system: 'metric', locale: 'en-US' }

describe('figures as the shop reads them', () => {
  it.each([
    [6.35, 'mm', '1/4 in', '6.35 mm'],
    // A fraction where it is one within 0.004 in; gauges are none: 16 ga is 0.0598 in, 10 ga 0.1345 in.
    [6.43, 'mm', '1/4 in', '6.43 mm'],
    [3.66, 'mm', '9/64 in', '3.66 mm'],
    [3.416, 'mm', '0.134 in', '3.4 mm'],
    [1.519, 'mm', '0.06 in', '1.5 mm'],
    [0.132, 'mm', '0.005 in', '0.1 mm'],
    [39.75, 'mm', '1-9/16 in', '39.75 mm'],
    [12, 'L/min', '25 CFH', '12 L/min'],
    [0.889, 'mm diameter', '0.035 in', '0.9 mm'],
    // As a counter sells them: AWS A5.18 and A5.12 list both names of a size (from memory).
    [0.6, 'mm diameter', '0.023 in', '0.6 mm'],
    [0.8, 'mm diameter', '0.030 in', '0.8 mm'],
    [1, 'mm diameter', '0.040 in', '1 mm'],
    [1.143, 'mm diameter', '0.045 in', '1.1 mm'],
    [1.191, 'mm diameter', '3/64 in', '1.2 mm'],
    [1.6, 'mm diameter', '1/16 in', '1.6 mm'],
    [2.381, 'mm diameter', '3/32 in', '2.4 mm'],
    [1.7, 'mm diameter', '0.067 in', '1.7 mm'],
    [610, 'mm length', '24 in', '610 mm'],
    [9753.6, 'mm length', '32 ft', '9.75 m'],
    [453.59237, 'g', '1 lb', '454 g'],
    [3539.6, 'L', '125 ft³', '3.54 m³'],
    [2, 'L', '0.071 ft³', '2 L'],
    [14.158, 'L/min', '30 CFH', '14.2 L/min'],
    // A US gallon is 3.785 L (NIST Handbook 44, from memory).
    [3.785, 'L/h', '1 gal/h', '3.8 L/h'],
    [18.93, 'L fuel', '5 gal', '19 L'],
    [7.1289, 'kVA', '7.13 kVA', '7.13 kVA'],
    [7112, 'mm/min', '280 in/min', '7.11 m/min'],
    // A hand travels in centimetres, wire runs in metres (common practice in metric shops, no source).
    [300, 'mm/min', '11.8 in/min', '30 cm/min'],
    [40, 'A/mm', '1.02 A per 0.001 in', '40 A/mm'],
    [-40, '°C', '−40 °F', '−40 °C'],
    [120, '°C', '248 °F', '120 °C'],
    [1500, '°C', '2,732 °F', '1,500 °C'],
    [16, 'km/h', '9.9 mph', '16 km/h'],
    [7.85, 'g/cm³', '0.2836 lb/in³', '7.85 g/cm³'],
    [131.4, 'A', '131 A', '131 A'],
    [0.37, '%', '0.37 %', '0.37 %'],
    [5400, 's', '1 h 30 min', '1 h 30 min'],
    [75, 's', '75 s', '75 s'],
    [125, 's', '2 min 5 s', '2 min 5 s'],
    [2.5, 'h', '2 h 30 min', '2 h 30 min'],
    [3, '', '3', '3'],
  ])('%f %s', (value, unit, imperial, metric) => {
    expect(printValue(value, unit, IMPERIAL)).toBe(imperial)
    expect(printValue(value, unit, METRIC)).toBe(metric)
  })

  it('writes the marks of the country: a comma for the decimals, another for thousands', () => {
    const german: Notation = { system: 'metric', locale: 'de-DE' }
    expect(printValue(14.158, 'L/min', german)).toBe('14,2 L/min')
    expect(printValue(7112, 'mm/min', german)).toBe('7,11 m/min')
    expect(printValue(6.35, 'mm', german)).toBe('6,35 mm')
    expect(printValue(1234.5, 'W', { system: 'metric', locale: 'de-CH' })).toMatch(/^1[’']235 W$/)
  })

  it('has words for what is no number', () => {
    expect(printNumber(Infinity, 'en-US')).toBe('no limit')
    expect(printNumber(0, 'en-US')).toBe('0')
    expect(printNumber(-41.3, 'en-US', 2)).toBe('−41')
  })
})
