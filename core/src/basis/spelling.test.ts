/** Spelling of words of the trade: Merriam-Webster and the Oxford dictionary, from memory. */
import { describe, expect, it } from 'vitest'
import { spelled } from './spelling.ts'

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
