/** A third rule book is one file and one line: a small invented one answers all that is asked of a book. */
import { expect, it } from 'vitest'
import { computed } from '../basis/source.ts'
import { UNTRACED } from '../calculation/reckoner.ts'
import { USUAL_RUN } from '../kinds/usualRun.ts'
import { UL_489 } from './breaker/models.ts'
import { type RuleBook, smallestBreakerA, smallestConductor } from './ruleBook.ts'

const source = computed('invented')
const AMPS: Readonly<Record<string, number>> = { thin: 10, thick: 30 }
const orchard: RuleBook = {
  id: 'orchard',
  name: 'Orchard rules',
  note: '',
  unitSystem: 'imperial',
  filletRule: 'd1.1',
  services: [],
  usualCircuits: [],
  usualSizes: { cable: ['thin', 'thick'], cord: [], lead: [] },
  columnsC: [75],
  outlets: [],
  conductorSizes: ['thin', 'thick'],
  breakerSizesA: [10, 30],
  breaker: () => ({ ...UL_489, holds: 0.9 }),
  ampacity({ conductorSize }) {
    const value = AMPS[conductorSize]
    return value === undefined
      ? null
      : { value, source, tableA: value, ambientFactor: 1, bundleFactor: 1, terminalA: value }
  },
  ohmPerKm: () => null,
  cordA: () => null,
  breakerMostForA: () => null,
  breakerUsualA: ({ i1MaxA }) => i1MaxA,
  conductorA: (loads) => ({ value: loads.reduce((sum, { i1MaxA }) => sum + i1MaxA, 0), source }),
  assess: ({ breakerA }, ampacityA, loads, _cordA, r) => ({
    'conductor-rule': { demand: orchard.conductorA(loads, r).value, capacity: ampacityA, source },
    'breaker-rule': { demand: breakerA, capacity: ampacityA, source },
  }),
  remarks: () => [],
  from: {
    'conductor-rule': { demand: [], capacity: [] },
    'breaker-rule': { demand: [], capacity: [] },
  },
}

it('answers for conductor and breaker, and what it has no rule for is left out', () => {
  const circuit = {
    ...USUAL_RUN,
    id: 'c',
    name: 'c',
    voltageV: 230,
    phases: 1 as const,
    breakerA: 30,
    conductorSize: 'thin',
    columnC: 75 as const,
    lengthMm: 0,
    held: 'owned' as const,
    price: null,
  }
  const load = { i1MaxA: 12, i1EffA: null, dutyPct: 40 }
  expect(orchard.assess(circuit, 10, [load, load], null, UNTRACED)).toEqual({
    'conductor-rule': { demand: 24, capacity: 10, source },
    'breaker-rule': { demand: 30, capacity: 10, source },
  })
  expect(smallestConductor(orchard, 24, circuit)).toBe('thick')
  expect(smallestConductor(orchard, 31, circuit)).toBeNull()
  // Of 10 A only 9 are held.
  expect(smallestBreakerA(orchard, 9.5, null)).toBe(30)
  expect(smallestBreakerA(orchard, 28, null)).toBeNull()
})
