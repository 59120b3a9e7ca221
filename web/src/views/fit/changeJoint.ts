/** Changing a weld, apart from the rest: it checks the weld as a document, which showing a fit does not need. */
import { applyChange, type Changed, inShopUnits, type Joint, type Notation } from '@brannik/core'

/** @returns the weld with the change, or why it could not stand with it, in the shop's units */
export function changed(joint: Joint, change: Partial<Joint>, notation: Notation): Changed {
  const next = applyChange(joint, change)
  return next.ok ? next : { ok: false, message: inShopUnits(next.message, notation) }
}
