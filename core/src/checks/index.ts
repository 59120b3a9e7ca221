/** The checks in the order of the chain, then what is used up. A new check is a file and a line here. */
import type { Check } from './check.ts'
import { breakerHolds } from './breakerHolds.ts'
import { breakerRule } from './breakerRule.ts'
import { cable } from './cable.ts'
import { conductorRule } from './conductorRule.ts'
import { electrode } from './electrode.ts'
import { feedSpeed } from './feedSpeed.ts'
import { gunDuty } from './gunDuty.ts'
import { polarity } from './polarity.ts'
import { shielding } from './shielding.ts'
import { sourceDuty } from './sourceDuty.ts'
import { sourceRange } from './sourceRange.ts'
import { supplyVoltage } from './supplyVoltage.ts'
import { thickness } from './thickness.ts'
import { together } from './together.ts'
import { gasUsed, timeUsed, tungstenUsed, wireUse } from './use.ts'

export const CHECKS: readonly Check[] = [
  supplyVoltage,
  breakerHolds,
  cable,
  conductorRule,
  breakerRule,
  sourceRange,
  sourceDuty,
  gunDuty,
  electrode,
  feedSpeed,
  thickness,
  polarity,
  together,
  shielding,
  wireUse,
  gasUsed,
  tungstenUsed,
  timeUsed,
]
