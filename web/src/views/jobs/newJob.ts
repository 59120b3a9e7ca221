/** New jobs: a plain one to begin with, and a copy. */
import { type Job, newJob } from '@brannik/core'
import { idFor } from './idFor.ts'

export function freshJob(jobs: readonly Job[]): Job {
  const numbered = jobs.filter(({ name }) => /^New job/.test(name)).length
  const name = numbered === 0 ? 'New job' : `New job ${numbered + 1}`
  return newJob(idFor(name, jobs), name)
}

/** Whether its one weld is as a new job has it. */
export const isUntouched = ({ id, name, joints }: Job): boolean =>
  JSON.stringify(joints) === JSON.stringify(newJob(id, name).joints)

/** A copy is planned, also of a template or of what is archived. */
export function copyOf(job: Job, jobs: readonly Job[]): Job {
  const name = `${job.name.slice(0, 110)}, copy`
  return { ...job, id: idFor(name, jobs), name, state: 'planned' }
}
