/** What is on each machine now, and putting it there. */
import {
  applied,
  type ChangeStep,
  type PresentSetUp,
  type SetUp,
  stateOf,
  BARE,
  type TickRun,
} from '@brannik/core'
import { useWorkspace } from '../../shop/workspace.ts'

/** Timings that are kept of each machine. */
const KEPT = 300

export function usePresent() {
  const workspace = useWorkspace()
  const presentOn = (sourceId: string): PresentSetUp | null => workspace.get('present-set-ups', sourceId)

  /**
   * A set-up is on its machine from now on.
   * @param steps that were done; what the new set-up has no use for stays where it was
   * @param run with the minutes that its steps took; null where nobody timed them
   */
  function put(setUp: SetUp, steps: readonly ChangeStep[], run: TickRun | null): void {
    const before = presentOn(setUp.powerSourceId)
    const now = applied(before ? stateOf(before) : BARE, steps)
    const codes = new Set<string>(steps.map(({ code }) => code))
    const taken = [...(run?.minutes ?? [])]
      .filter(([step]) => codes.has(step))
      .map(
        ([step, minutes]) =>
          ({ step, minutes: Math.round(minutes * 100) / 100 }) as PresentSetUp['timings'][number],
      )
    const record = {
      ...setUp,
      ...now,
      id: setUp.powerSourceId,
      setUpId: setUp.id,
      since: new Date().toISOString(),
      timings: [...(before?.timings ?? []), ...taken].slice(-KEPT),
    } as PresentSetUp
    workspace.edit(
      'present-set-ups',
      record.id,
      record,
      `set-up on ${workspace.get('power-sources', record.id)?.name ?? record.id}`,
    )
  }
  return { presentOn, put }
}
