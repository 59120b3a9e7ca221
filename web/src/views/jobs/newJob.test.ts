import { jobSchema, readDocument } from '@brannik/core'
import { expect, it } from 'vitest'
import { idFor } from './idFor.ts'
import { copyOf, freshJob } from './newJob.ts'

it('makes ids that the schema takes, from any name', () => {
  expect(idFor('Tank manifold', [])).toBe('tank-manifold')
  expect(idFor('Tank manifold', [{ id: 'tank-manifold' }, { id: 'tank-manifold-2' }])).toBe('tank-manifold-3')
  expect(idFor('Ébarbage, 3/4″', [])).toBe('ebarbage-3-4')
  expect(idFor('木', [])).toBe('job')
})

it('a new job and its copy are valid, and named apart', () => {
  const job = freshJob([])
  const copy = copyOf(job, [job])
  expect(readDocument(jobSchema, job).ok).toBe(true)
  expect(readDocument(jobSchema, copy).ok).toBe(true)
  expect(copy.id).not.toBe(job.id)
  expect(freshJob([job]).name).toBe('New job 2')
})
