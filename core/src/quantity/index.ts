export { KINDS, type QuantityKind } from './kinds.ts'
export { parseQuantity, type ParseContext } from './parse.ts'
export { printQuantity } from './print.ts'
export { LOCALES, type Notation, type UnitSystem } from './units.ts'
