/** Questions about many jobs go to the engine a few jobs at a time: the view sees how far it is, and can stop. */
import type { EngineClient } from './client.ts'
import type { Cell, Engine, JobGlance, Snapshot } from './engine.ts'

/** Few enough that the question of another view does not wait for long. */
const JOBS_AT_ONCE = 10

type ManyJobs = 'glance' | 'board'
type Rest<K extends ManyJobs> = Engine[K] extends (jobIds: readonly string[], ...rest: infer R) => unknown
  ? R
  : never
type Row<K extends ManyJobs> = K extends 'glance' ? JobGlance : Cell

interface Progress<T> {
  readonly signal: AbortSignal
  /** Called after each part, with all rows so far and the number of jobs done. */
  readonly onPart: (rows: readonly T[], done: number) => void
}

/**
 * @returns all rows, or null where it was stopped
 * @throws Error what went wrong, in words
 */
export async function askOfJobs<K extends ManyJobs>(
  engine: EngineClient,
  snapshot: Snapshot,
  question: K,
  jobIds: readonly string[],
  rest: Rest<K>,
  { signal, onPart }: Progress<Row<K>>,
): Promise<readonly Row<K>[] | null> {
  const rows: Row<K>[] = []
  for (let at = 0; at < jobIds.length; at += JOBS_AT_ONCE) {
    const part = jobIds.slice(at, at + JOBS_AT_ONCE)
    const answer = await engine.ask(
      snapshot,
      question,
      ...([part, ...rest] as unknown as Parameters<Engine[K]>),
    )
    if (signal.aborted) return null
    rows.push(...(answer as readonly Row<K>[]))
    onPart([...rows], Math.min(at + JOBS_AT_ONCE, jobIds.length))
  }
  return rows
}
