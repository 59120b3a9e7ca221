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

/** What is printed on cables, cords and leads. */
export const USUAL_SIZES = {
  cable: ['3G1.5', '3G2.5', '3G4', '3G6', '5G1.5', '5G2.5', '5G4', '5G6', '5G10', '5G16', '16 mm²', '25 mm²'],
  cord: ['H07RN-F 3G1.5', 'H07RN-F 3G2.5', 'H07RN-F 5G2.5', 'H07RN-F 5G4', 'H07RN-F 5G6'],
  lead: ['16 mm²', '25 mm²', '35 mm²', '50 mm²', '70 mm²', '95 mm²'],
} as const
