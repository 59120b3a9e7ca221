import { type Limits, type Requirement, suggestedLimits } from '@brannik/core'
import { named, type Snapshot } from '../snapshot.ts'

/** @returns by requirement the limits between which a wish may be scored; null where there are none */
export const answer = (
  snapshot: Snapshot,
  asked: readonly Requirement[],
  sourceIds: readonly string[],
): readonly (Limits | null)[] =>
  snapshot.shop
    ? suggestedLimits(asked, named(snapshot.powerSources, sourceIds), {
        shop: snapshot.shop,
        shelf: snapshot,
      })
    : []
