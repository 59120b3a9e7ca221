/** Outlets as many shops have them, with the cable that is usual on each: NEC 240.4(D) and Table 310.16, 60 and 75 °C. */
import { usual, type UsualCircuit } from '../usual.ts'

export const USUAL_CIRCUITS: readonly UsualCircuit[] = [
  usual('120 V, 15 A outlet', {
    voltageV: 120,
    phases: 1,
    breakerA: 15,
    conductorSize: '14 AWG',
    columnC: 60,
  }),
  usual('120 V, 20 A outlet', {
    voltageV: 120,
    phases: 1,
    breakerA: 20,
    conductorSize: '12 AWG',
    columnC: 60,
  }),
  usual('240 V, 30 A outlet', {
    voltageV: 240,
    phases: 1,
    breakerA: 30,
    conductorSize: '10 AWG',
    columnC: 60,
  }),
  usual('240 V, 50 A outlet', {
    voltageV: 240,
    phases: 1,
    breakerA: 50,
    conductorSize: '6 AWG',
    columnC: 60,
  }),
  usual('480 V three-phase, 30 A', {
    voltageV: 480,
    phases: 3,
    breakerA: 30,
    conductorSize: '10 AWG',
    columnC: 75,
  }),
]

/** What is printed on cables, cords and leads. */
export const USUAL_SIZES = {
  cable: ['14 AWG', '12 AWG', '10 AWG', '8 AWG', '6 AWG', '4 AWG', '2 AWG', '1/0 AWG'],
  cord: ['16 AWG', '14 AWG', '12 AWG', '10 AWG', '8 AWG', '6 AWG'],
  lead: ['6 AWG', '4 AWG', '2 AWG', '1/0 AWG', '2/0 AWG', '4/0 AWG'],
} as const
