export { KINDS, type KindOfQuantity, type QuantityKind } from './kinds.ts'
export {
  parseQuantity,
  type ParseContext,
  type Parsed,
  type ParseProblem,
  type ProblemCode,
} from './parse.ts'
export { asFraction, printQuantity } from './print.ts'
export type { UnitSystem } from './units.ts'
