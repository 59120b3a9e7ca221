/** Questions about many jobs go to the engine a few jobs at a time: the view sees how far it is, and can stop. */
import type { EngineClient } from './client.ts'
import type { Answer, Arguments } from './questions/index.ts'
import type { Snapshot } from './snapshot.ts'

/** Few enough that the question of another view does not wait for long. */
const JOBS_AT_ONCE = 10
/** The first answer is to be there at once. */
const JOBS_AT_FIRST = 1

type ManyJobs = 'glance' | 'board' | 'doable'
type Rest<K extends ManyJobs> = Arguments<K> extends [jobIds: readonly string[], ...rest: infer R] ? R : never
type Row<K extends ManyJobs> = Answer<K>[number]

interface Progress<T> {
  readonly signal: AbortSignal
  /** Called after each part, with its rows and the number of jobs done so far. */
  readonly onPart: (part: readonly T[], done: number) => void
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
  let done = 0
  while (done < jobIds.length) {
    const part = jobIds.slice(done, done + (done === 0 ? JOBS_AT_FIRST : JOBS_AT_ONCE))
    const answer = (await engine.ask(
      snapshot,
      question,
      ...([part, ...rest] as unknown as Arguments<K>),
    )) as readonly Row<K>[]
    if (signal.aborted) return null
    rows.push(...answer)
    done += part.length
    onPart(answer, done)
  }
  return rows
}
