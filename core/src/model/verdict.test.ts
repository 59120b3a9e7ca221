import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { VERDICTS, worstVerdict } from './verdict.ts'

describe('verdicts', () => {
  it('unknown never counts as fitting, and what fails outranks it', () => {
    expect(worstVerdict(['fits', 'unknown', 'tight'])).toBe('unknown')
    expect(worstVerdict(['unknown', 'fails'])).toBe('fails')
    expect(worstVerdict([])).toBe('fits')
  })

  it('the worst is in the list and no other is worse', () => {
    fc.assert(
      fc.property(fc.array(fc.constantFrom(...VERDICTS), { minLength: 1 }), (list) => {
        const worst = worstVerdict(list)
        return list.includes(worst) && worstVerdict([...list, worst]) === worst
      }),
    )
  })
})
