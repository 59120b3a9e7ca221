/** A circuit as many shops have it. */
import type { Circuit } from '../../model/circuit.ts'
import { USUAL_RUN } from '../../model/usualRun.ts'

export type UsualCircuit = Omit<Circuit, 'id' | 'lengthMm'>

export const usual = (
  name: string,
  supply: Pick<Circuit, 'voltageV' | 'phases' | 'breakerA' | 'conductorSize' | 'columnC'>,
): UsualCircuit => ({ name, ...supply, ...USUAL_RUN, held: 'owned', price: null })
