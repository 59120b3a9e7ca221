/** How a shared machine is left and taken over: a known state, in a short list. Common practice, no source. */
import type { OnMachine } from './onMachine.ts'
import { isSpooled } from '../kinds/spooled.ts'

/** @returns codes in the order in which they are looked at; words make the sentences */
export function handOverOf({ parts: { wire, gas } }: Pick<OnMachine, 'parts'>): readonly string[] {
  return [
    'state-said',
    ...(gas ? ['gas-closed'] : []),
    ...(wire && isSpooled(wire) ? ['wire-tied'] : wire?.form === 'covered' ? ['rods-dry'] : []),
    'gun-hung',
    'clamp-hung',
    'power-off',
  ]
}
