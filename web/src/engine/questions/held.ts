import { type DecidedChoice, type Held, heldAgainst } from '@brannik/core'
import type { Snapshot } from '../snapshot.ts'

/** @returns how each choice stands today */
export function answer(snapshot: Snapshot, choices: readonly DecidedChoice[]): readonly Held[] {
  const { shop, setUps, jobs } = snapshot
  return shop ? choices.map((one) => heldAgainst(one, { shop, shelf: snapshot, setUps, jobs })) : []
}
