/** Every rule of compatibility, in the order in which the chain is walked. A new rule is a function and a line in its file. */
import type { Rule } from '../rule.ts'
import { FEEDER_RULES } from './feeder.ts'
import { GAS_RULES } from './gas.ts'
import { GUN_RULES } from './gun.ts'
import { GUN_END_RULES } from './gunEnd.ts'
import { LINER_RULES } from './liner.ts'
import { PARTS_CLASS_RULES } from './partsClass.ts'
import { POLARITY_RULES } from './polarity.ts'
import { ROLL_RULES } from './rolls.ts'
import { SOURCE_RULES } from './source.ts'
import { TORCH_RULES } from './torch.ts'
import { WIRE_RULES } from './wire.ts'

export const RULES: readonly Rule[] = [
  ...SOURCE_RULES,
  ...POLARITY_RULES,
  ...GUN_RULES,
  ...TORCH_RULES,
  ...WIRE_RULES,
  ...FEEDER_RULES,
  ...ROLL_RULES,
  ...GUN_END_RULES,
  ...LINER_RULES,
  ...PARTS_CLASS_RULES,
  ...GAS_RULES,
]
