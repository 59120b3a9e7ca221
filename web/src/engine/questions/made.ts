import {
  assess,
  type Outcome,
  outcomeOf,
  settingsOf,
  type SettingsTried,
  sidesOf,
  type StartingSettings,
  type Verdict,
  worstOf,
} from '@brannik/core'
import { fitInput, type Snapshot } from '../snapshot.ts'

/** What one set-up makes of a weld, at the settings to start with or at others. */
export interface Made {
  readonly settings: StartingSettings
  /** Null where nobody knows how fast it travels. */
  readonly outcome: Outcome | null
  /** The worst of the whole job with this set-up. */
  readonly verdict: Verdict
}

/**
 * @param setUpId null takes the job's own
 * @param tried null takes the settings to start with
 * @returns null where job, weld or set-up are not there
 */
export function answer(
  snapshot: Snapshot,
  jobId: string,
  weldId: string,
  setUpId: string | null,
  tried: SettingsTried | null,
): Made | null {
  const input = fitInput(snapshot, jobId, setUpId)
  if (!input) return null
  const { capability, demand } = sidesOf(input)
  const weld = demand.welds.find(({ joint }) => joint.id === weldId)
  if (!weld) return null
  const settings = settingsOf(capability, demand, weld)
  const outcome = tried ? outcomeOf(capability, demand, weld, tried) : settings.outcome
  return { settings, outcome, verdict: worstOf(assess(capability, demand)) }
}
