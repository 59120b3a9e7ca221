/** What a kind of record is: all that differs from one kind to the next stands in its definition, and nowhere else. */
import type { z } from 'zod'
import type { FieldMeta } from '../model/field.ts'
import type { Upcaster } from './upcaster.ts'

/**
 * Which documents hold records of a kind. The shop itself, the building and the equipment make the question of a fit; a
 * catalogue has equipment; stores are cylinders, spools, suppliers and prices; the bench is what is on the machines now; people are those who weld; plans are set-ups and jobs; papers are kept beside, and no computation reads them.
 */
export type Scope =
  'shop' | 'building' | 'equipment' | 'stores' | 'bench' | 'people' | 'plan' | 'paper' | 'count'

/** How much there is of one, for what is used up or lies in the drawer. */
export interface Counting {
  readonly meta: FieldMeta
  /** Whole numbers only. */
  readonly isPieces: boolean
}

export interface KindDefinition {
  readonly kind: string
  /** Path below /api. */
  readonly path: string
  /** Its list in files; empty for the shop, of which there is one. */
  readonly listKey: string
  /** What one is called. */
  readonly noun: string
  readonly scope: Scope
  /** Who may write it. */
  readonly writers: 'owner' | 'planner' | 'welder'
  /** How many a file may hold. */
  readonly most: number
  readonly schema: z.ZodType<{ id: string }>
  /** The steps from version 1 on; today's version is one more than there are steps. */
  readonly upcasters: readonly Upcaster[]
  /** Null for what nobody counts. */
  readonly counting: Counting | null
}

/** @returns the same, with the types of this kind */
export const defineKind = <const D extends KindDefinition>(definition: D): D => definition
