/** What decides how a job can be done, as one text: jobs with the same have the same ways. */
import type { Job } from '../kinds/job.ts'

/** @example needsKey(job) === needsKey({ ...job, name: 'Another', dueOn: null }) // true */
export function needsKey(job: Job): string {
  const {
    id: _id,
    name: _name,
    note: _note,
    dueOn: _dueOn,
    timesPerYear: _timesPerYear,
    worthPerRun: _worthPerRun,
    state: _state,
    setUpId: _setUpId,
    ...needs
  } = job
  return JSON.stringify(needs)
}
