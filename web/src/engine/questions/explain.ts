import {
  explain,
  explainLink,
  explainOutcome,
  explainStart,
  explainWeld,
  type LinkId,
  type OutcomeFigure,
  type SettingsTried,
  sidesOf,
  type StartFigure,
  type Step,
  type WeldFigure,
  type WhatIf,
} from '@brannik/core'
import { fitInput, type Snapshot } from '../snapshot.ts'
import { changedIf } from './cell.ts'

/** What a working is asked of. */
export type Asked =
  | { readonly of: 'criterion'; readonly id: string }
  | { readonly of: 'link'; readonly id: LinkId; readonly weldId: string }
  | { readonly of: 'weld'; readonly figure: WeldFigure; readonly weldId: string }
  | { readonly of: 'start'; readonly figure: StartFigure; readonly weldId: string }
  | {
      readonly of: 'outcome'
      readonly figure: OutcomeFigure
      readonly weldId: string
      readonly setUpId: string | null
      readonly settled: SettingsTried
    }

/**
 * @param setUpId null takes the job's own
 * @param whatIf null takes all as it is
 */
export function answer(
  snapshot: Snapshot,
  jobId: string,
  asked: Asked,
  setUpId: string | null = null,
  whatIf: WhatIf | null = null,
): readonly Step[] {
  const input = fitInput(snapshot, jobId, asked.of === 'outcome' ? asked.setUpId : setUpId)
  if (!input) return []
  const { capability, demand } = sidesOf(whatIf ? changedIf(snapshot, input, whatIf) : input)
  if (asked.of === 'criterion') return explain(asked.id, capability, demand)
  const weld = demand.welds.find(({ joint }) => joint.id === asked.weldId)
  if (!weld) return []
  if (asked.of === 'link') return explainLink(asked.id, capability, demand, weld)
  if (asked.of === 'outcome') return explainOutcome(asked.figure, capability, demand, weld, asked.settled)
  return asked.of === 'start'
    ? explainStart(asked.figure, capability, demand, weld)
    : explainWeld(asked.figure, demand, weld)
}
