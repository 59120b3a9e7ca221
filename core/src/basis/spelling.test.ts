/** Spelling of words of the trade: Merriam-Webster and the Oxford dictionary, from memory. */
import { describe, expect, it } from 'vitest'
import { inOwnUnits, spelled } from './spelling.ts'

describe('spelling', () => {
  it.each([
    ['Aluminium wants pure argon: it oxidises it', 'Aluminum wants pure argon: it oxidizes it'],
    ['deoxidised three ways', 'deoxidized three ways'],
    ['same metal, same colour; dark grey when anodised', 'same metal, same color; dark gray when anodized'],
    ['Labour, $12 a metre', 'Labor, $12 a meter'],
    ['millimetres and litres', 'millimeters and liters'],
    ['Greyed ones', 'Grayed ones'],
  ])('%s', (british, american) => {
    expect(spelled(british, 'en-US')).toBe(american)
    expect(spelled(american, 'en-US')).toBe(american)
    expect(spelled(british, 'en-GB')).toBe(british)
    expect(spelled(british, 'de-DE')).toBe(british)
  })

  it('leaves words alone that only look alike', () => {
    const text = 'parameter, diameter, perimeter, symmetric, gauge, argon, meter'
    expect(spelled(text, 'en-US')).toBe(text)
  })
})

describe('rules of thumb that are said in both units', () => {
  it.each([
    ['Grind 1 in (25 mm) beside it.', 'Grind 25 mm beside it.'],
    ['Let it cool below 175 °C (350 °F) between passes.', 'Let it cool below 175 °C between passes.'],
    ['May want 60 to 120 °C (140 to 250 °F) to start', 'May want 60 to 120 °C to start'],
    ['Warm to 150–200 °F (65–95 °C), until', 'Warm to 65–95 °C, until'],
    ['up to 1/2 in (13 mm) of steel', 'up to 13 mm of steel'],
    ['Bay 2 (North)', 'Bay 2 (North)'],
  ])('%s', (text, metric) => {
    expect(inOwnUnits(text, 'metric')).toBe(metric)
    expect(inOwnUnits(text, 'imperial')).toBe(text)
  })
})
