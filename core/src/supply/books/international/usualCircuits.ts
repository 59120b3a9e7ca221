/** Outlets as many shops have them, with the cable that is usual on each: IEC 60364-5-52, PVC in conduit. */
import { usual, type UsualCircuit } from '../usual.ts'

export const USUAL_CIRCUITS: readonly UsualCircuit[] = [
  usual('230 V, 16 A outlet', {
    voltageV: 230,
    phases: 1,
    breakerA: 16,
    conductorSize: '2.5 mm²',
    columnC: 70,
    outlet: '16 A, 230 V',
  }),
  usual('230 V, 32 A outlet', {
    voltageV: 230,
    phases: 1,
    breakerA: 32,
    conductorSize: '6 mm²',
    columnC: 70,
    outlet: '32 A, 230 V, IEC 60309',
  }),
  usual('400 V three-phase, 16 A', {
    voltageV: 400,
    phases: 3,
    breakerA: 16,
    conductorSize: '2.5 mm²',
    columnC: 70,
    outlet: '16 A, 400 V, IEC 60309',
  }),
  usual('400 V three-phase, 32 A', {
    voltageV: 400,
    phases: 3,
    breakerA: 32,
    conductorSize: '6 mm²',
    columnC: 70,
    outlet: '32 A, 400 V, IEC 60309',
  }),
]
