/** Minutes of a step: the default, or learned from what it really took on this machine. */
import { ASSUMPTIONS } from '../assumptions/list.ts'
import { commonPractice } from '../basis/source.ts'
import { assumed, type Calculation, calculation, input } from '../calculation/calculation.ts'
import { CHANGE_STEPS, type ChangeStepCode, minutesKeyOf } from '../assumptions/changeMinutes.ts'
import { median } from './median.ts'

/** So many timings weigh as much as the default (common practice, no source). */
const DEFAULT_WEIGHT = 4

const stepTime = (code: ChangeStepCode) => {
  const key = minutesKeyOf(code)
  return calculation({
    id: `change-${code}`,
    title: ASSUMPTIONS[key].name,
    symbol: 'm',
    unit: 'min',
    expression: `(${DEFAULT_WEIGHT} * m_0 + n * m_t) / (${DEFAULT_WEIGHT} + n)`,
    inputs: {
      m_0: assumed(key),
      n: input('timings on this machine', '', commonPractice('as ticked off')),
      m_t: input('median of them', 'min', commonPractice('as ticked off')),
    },
    compute: ({ m_0, n, m_t }) => (DEFAULT_WEIGHT * m_0 + n * m_t) / (DEFAULT_WEIGHT + n),
    source: commonPractice('median of the timings, drawn to the default while there are few'),
  })
}
export const STEP_TIMES = Object.fromEntries(CHANGE_STEPS.map((code) => [code, stepTime(code)])) as Readonly<
  Record<ChangeStepCode, ReturnType<typeof stepTime>>
>
export const STEP_TIME_IDS: readonly Calculation['id'][] = CHANGE_STEPS.map((code) => STEP_TIMES[code].id)

/**
 * @param taken minutes that the step took, in any order
 * @returns how many there are, and their median; 0 for none
 */
export const timingsOf = (taken: readonly number[]): { readonly n: number; readonly m_t: number } => ({
  n: taken.length,
  m_t: taken.length === 0 ? 0 : median(taken),
})
