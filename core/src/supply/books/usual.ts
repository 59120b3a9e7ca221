/** A circuit as many shops have it. */
import type { Circuit } from '../../kinds/circuit.ts'
import { USUAL_RUN } from '../../kinds/usualRun.ts'

export type UsualCircuit = Omit<Circuit, 'id' | 'lengthMm'>

export const usual = (
  name: string,
  supply: Pick<Circuit, 'voltageV' | 'phases' | 'breakerA' | 'conductorSize' | 'columnC'> &
    Partial<Pick<Circuit, 'outlet'>>,
): UsualCircuit => ({ name, ...USUAL_RUN, ...supply, held: 'owned', price: null })
