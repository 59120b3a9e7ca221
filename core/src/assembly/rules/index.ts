/** Every rule of compatibility, in the order in which the chain is walked. A new rule is a function and a line in its file. */
import type { Rule } from '../rule.ts'
import { GAS_RULES } from './gas.ts'
import { PARTS_CLASS_RULES } from './partsClass.ts'
import { POLARITY_RULES } from './polarity.ts'
import { SOURCE_RULES } from './source.ts'
import { TORCH_RULES } from './torch.ts'
import { WIRE_PATH_RULES } from './wirePath.ts'
import { WIRE_RULES } from './wire.ts'

export const RULES: readonly Rule[] = [
  ...SOURCE_RULES,
  ...POLARITY_RULES,
  ...TORCH_RULES,
  ...WIRE_RULES,
  ...WIRE_PATH_RULES,
  ...PARTS_CLASS_RULES,
  ...GAS_RULES,
]
