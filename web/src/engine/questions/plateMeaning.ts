import { type PlateColumnMeaning, plateMeaning, type PowerSource } from '@brannik/core'
import type { Snapshot } from '../snapshot.ts'

/** @returns what one process of a plate means in this shop, by supply voltage; the plate as it is typed */
export const answer = (snapshot: Snapshot, source: PowerSource, at: number): readonly PlateColumnMeaning[] =>
  snapshot.shop ? plateMeaning(snapshot.shop, snapshot, source, at) : []
