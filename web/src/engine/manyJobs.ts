/** Questions about many jobs go to the engines a few jobs at a time: the view sees how far it is, and can stop. */
import type { EngineClient } from './client.ts'
import type { Answer, Arguments } from './questions/index.ts'
import type { Snapshot } from './snapshot.ts'

/** Few enough that the question of another view does not wait for long. */
const JOBS_AT_ONCE = 10
/** The first answer is to be there at once. */
const JOBS_AT_FIRST = 1
/** So many are answered before a second thread has started. */
const JOBS_OF_ONE_THREAD = 20

type ManyJobs = 'glance' | 'board' | 'machines' | 'doable'
type Rest<K extends ManyJobs> = Arguments<K> extends [jobIds: readonly string[], ...rest: infer R] ? R : never
type Row<K extends ManyJobs> = Answer<K>[number]

interface Progress<T> {
  readonly signal: AbortSignal
  /** Called after each part, with its rows and the number of jobs done so far; parts come as they are done. */
  readonly onPart: (part: readonly T[], done: number) => void
}

const partsOf = (jobIds: readonly string[]): readonly (readonly string[])[] => {
  const rest = jobIds.slice(JOBS_AT_FIRST)
  const parts = Array.from({ length: Math.ceil(rest.length / JOBS_AT_ONCE) }, (_, at) =>
    rest.slice(at * JOBS_AT_ONCE, (at + 1) * JOBS_AT_ONCE),
  )
  return jobIds.length === 0 ? [] : [jobIds.slice(0, JOBS_AT_FIRST), ...parts]
}

/**
 * @param engines each in a thread of its own; those after the first are asked only where there are many jobs
 * @returns all rows in the order of the jobs, or null where it was stopped
 * @throws Error what went wrong, in words
 */
export async function askOfJobs<K extends ManyJobs>(
  engines: readonly EngineClient[],
  snapshot: Snapshot,
  question: K,
  jobIds: readonly string[],
  rest: Rest<K>,
  { signal, onPart }: Progress<Row<K>>,
): Promise<readonly Row<K>[] | null> {
  const parts = partsOf(jobIds)
  const answers: (readonly Row<K>[])[] = []
  let next = 0
  let done = 0
  let isBroken = false
  const takeParts = async (engine: EngineClient): Promise<void> => {
    for (let at = next; at < parts.length; at = next) {
      next += 1
      const part = parts[at] ?? []
      const answer = (await engine.ask(
        snapshot,
        question,
        ...([part, ...rest] as unknown as Arguments<K>),
      )) as readonly Row<K>[]
      if (signal.aborted || isBroken) return
      answers[at] = answer
      done += part.length
      onPart(answer, done)
    }
  }
  const asked = jobIds.length > JOBS_OF_ONE_THREAD ? engines : engines.slice(0, 1)
  try {
    await Promise.all(asked.map(takeParts))
  } catch (error) {
    isBroken = true
    throw error
  }
  return signal.aborted ? null : answers.flat()
}
