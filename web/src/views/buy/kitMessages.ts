/** What the page and the thread that seeks kits say to each other. */
import type { DecidingPrice, KitProblem, Made, SetUp, StudyPart } from '@brannik/core'
import type { Snapshot } from '../../engine/snapshot.ts'

export interface KitQuestion {
  readonly snapshot: Snapshot
  /** Jobs that are planned, and those that might be. */
  readonly jobIds: readonly string[]
  readonly otherIds: readonly string[]
  /** The most that may be spent on purchases; null for any. */
  readonly budget: number | null
  /** Whether a set-up that is tight counts as doing the job. */
  readonly withTight: boolean
  /** After which the best so far is taken, for each program. */
  readonly seconds: number
}

/** Asks what each machine alone would cost to own. */
export interface OwningQuestion {
  readonly snapshot: Snapshot
  readonly jobIds: readonly string[]
  readonly sourceIds: readonly string[]
}

/** One machine with what it needs, over the horizon. */
export interface Owning {
  readonly sourceId: string
  readonly total: number
  readonly purchases: number
  /** Jobs that it does not do, whatever else is bought for it. */
  readonly undone: readonly string[]
}

/** What there is to choose from. */
export interface KitGround {
  readonly problem: Omit<KitProblem, 'found' | 'shelfParts'>
  readonly setUps: readonly SetUp[]
  /** Items on the shelf of which all combinations were looked at. */
  readonly items: number
}

export type KitTold =
  | { readonly is: 'ground'; readonly ground: KitGround }
  | { readonly is: 'part'; readonly part: StudyPart }
  /** Set-ups that are not written down yet, by id. */
  | { readonly is: 'made'; readonly made: ReadonlyMap<string, Made> }
  | { readonly is: 'deciding'; readonly prices: readonly DecidingPrice[] }
  | { readonly is: 'owning'; readonly owning: Owning }
  | { readonly is: 'done' }
  | { readonly is: 'failed'; readonly message: string }
