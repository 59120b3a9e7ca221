/** A job as a file of its own: the open format in which jobs travel. */
import { z } from 'zod'
import { type Job, jobSchema } from './job.ts'
import { fileVersionOf } from './files.ts'

export const JOB_FILE_FORMAT = 'brannik-job'
const VERSION = fileVersionOf(JOB_FILE_FORMAT)
export const jobFileSchema = z.strictObject({
  format: z.literal(JOB_FILE_FORMAT),
  version: z.literal(VERSION),
  job: jobSchema,
})
export type JobFile = z.infer<typeof jobFileSchema>

/**
 * A job as a file of its own.
 * @example JSON.stringify(jobFileOf(job))
 */
export const jobFileOf = (job: Job): JobFile => ({ format: JOB_FILE_FORMAT, version: VERSION, job })
