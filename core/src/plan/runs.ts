/** Which runs of the jobs the plan has to place: jobs that come once, and the next runs of those that come again. */
import type { WorkState } from '../events/workMarked.ts'
import { workKey } from '../events/workMarked.ts'
import type { Job } from '../kinds/job.ts'
import type { PlannedBlock } from '../kinds/workPlan.ts'
import { dayNumber, dayOfNumber } from '../model/days.ts'

const DAYS_A_YEAR = 365
/** More runs of one job than this are not placed at once. */
const MOST_RUNS = 60

/** A run of a job, or a part of one. */
export interface Run {
  /** `press-frame 2027-02-26 1`. */
  readonly id: string
  readonly job: Job
  /** Its due day where the job comes again, else `once`. */
  readonly run: string
  /** ISO 8601; null where it is not set. */
  readonly dueOn: string | null
  readonly part: number
  readonly sharePct: number
  /** Where it was in the plan that was kept; null where it is new there. */
  readonly block: PlannedBlock | null
  readonly work: WorkState | null
}

/**
 * @param untilDay runs that are due after it are left for later; the first of a job is always there
 * @returns due days of the runs of a job, soonest first; one without a day where the job has none
 */
export function dueDaysOf(
  { dueOn, timesPerYear }: Pick<Job, 'dueOn' | 'timesPerYear'>,
  untilDay: string,
): readonly (string | null)[] {
  if (dueOn === null || timesPerYear === null || timesPerYear <= 1) return [dueOn]
  const [first, last] = [dayNumber(dueOn), dayNumber(untilDay)]
  const every = DAYS_A_YEAR / timesPerYear
  const count = Math.max(1, Math.min(MOST_RUNS, Math.floor((last - first) / every) + 1))
  return Array.from({ length: count }, (_, at) => dayOfNumber(Math.round(first + at * every)))
}

/** Standing work without a due day comes again when its share of the year is over. */
const isDueAgain = ({ timesPerYear, dueOn }: Job, { lastAt }: WorkState, today: string): boolean =>
  timesPerYear !== null &&
  dueOn === null &&
  dayNumber(lastAt.slice(0, 10)) + DAYS_A_YEAR / timesPerYear <= dayNumber(today)

/** Parts of a run as they were kept; the whole where it was not split. */
function partsOf(blocks: readonly PlannedBlock[]): readonly (PlannedBlock | null)[] {
  const sum = blocks.reduce((all, { sharePct }) => all + sharePct, 0)
  // What does not add up is from another time.
  return Math.abs(sum - 100) < 1 ? blocks.toSorted((a, b) => a.part - b.part) : [null]
}

/**
 * @param work by `workKey`
 * @returns what is not done yet, jobs in their order, runs by their due days
 * @example runsOf(jobs, blocks, work, { fromDay: '2027-02-01', untilDay: '2027-03-31' }).map(({ id }) => id) // ['press-frame 2027-02-26 1', …]
 */
export function runsOf(
  jobs: readonly Job[],
  blocks: readonly PlannedBlock[],
  work: ReadonlyMap<string, WorkState>,
  { fromDay, untilDay }: { readonly fromDay: string; readonly untilDay: string },
): readonly Run[] {
  return jobs
    .filter(({ state }) => state === 'planned')
    .flatMap((job) => {
      const own = blocks.filter(({ jobId }) => jobId === job.id)
      const days = dueDaysOf(job, untilDay)
      const names = days.map((day) => (job.timesPerYear === null || day === null ? 'once' : day))
      // Another due day is another name: its place in the plan stays.
      const lost = own
        .filter(({ run }) => !names.includes(run))
        .toSorted((a, b) => a.run.localeCompare(b.run))
      return days.flatMap((dueOn, at): readonly Run[] => {
        const run = names[at] ?? 'once'
        let kept = own.filter((one) => one.run === run)
        if (kept.length === 0 && lost[0]) {
          const { run: from } = lost[0]
          kept = lost.filter((one) => one.run === from)
          lost.splice(0, lost.length, ...lost.filter((one) => one.run !== from))
        }
        return partsOf(kept).flatMap((block): readonly Run[] => {
          const part = block?.part ?? 1
          const known = work.get(workKey(job.id, run, part)) ?? null
          const isOver = known?.state === 'done' && isDueAgain(job, known, fromDay)
          const found = isOver ? null : known
          if (found?.state === 'done') return []
          return [
            {
              id: workKey(job.id, run, part),
              job,
              run,
              dueOn,
              part,
              sharePct: block?.sharePct ?? 100,
              block,
              work: found,
            },
          ]
        })
      })
    })
}
