import { type Ranked, rankSources, type Requirement } from '@brannik/core'
import { named, type Snapshot } from '../snapshot.ts'

/** @returns machines by what is asked of them; weights may move without asking anew */
export const answer = (
  snapshot: Snapshot,
  asked: readonly Requirement[],
  sourceIds: readonly string[],
): readonly Ranked[] =>
  snapshot.shop
    ? rankSources(asked, named(snapshot.powerSources, sourceIds), { shop: snapshot.shop, shelf: snapshot })
    : []
