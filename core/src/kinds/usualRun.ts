import type { Circuit } from './circuit.ts'

/** Of a circuit of which nobody has said more: copper, alone in an ordinary run. */
export const USUAL_RUN = {
  metal: 'copper',
  method: null,
  ambientC: null,
  bundled: null,
  breakerKind: null,
  outlet: null,
  panelId: null,
  generatorId: null,
} as const satisfies Partial<Circuit>
