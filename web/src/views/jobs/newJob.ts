/** New jobs: a plain one to begin with, and a copy. Ids are made from names, and stay when the name changes. */
import { type Job, newJob } from '@brannik/core'

const MOST = 50

/** `Tank manifold` → `tank-manifold`, with a number where that is taken. */
export function idFor(name: string, taken: readonly { id: string }[]): string {
  const plain = name
    .normalize('NFKD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-+|-+$/g, '')
    .slice(0, MOST)
  const base = plain === '' ? 'job' : plain
  const ids = new Set(taken.map(({ id }) => id))
  if (!ids.has(base)) return base
  let number = 2
  while (ids.has(`${base}-${number}`)) number += 1
  return `${base}-${number}`
}

export function freshJob(jobs: readonly Job[]): Job {
  const numbered = jobs.filter(({ name }) => /^New job/.test(name)).length
  const name = numbered === 0 ? 'New job' : `New job ${numbered + 1}`
  return newJob(idFor(name, jobs), name)
}

/** A copy is planned, also of a template or of what is archived. */
export function copyOf(job: Job, jobs: readonly Job[]): Job {
  const name = `${job.name.slice(0, 110)}, copy`
  return { ...job, id: idFor(name, jobs), name, state: 'planned' }
}
