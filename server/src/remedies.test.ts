/** Why a start failed, in words with a remedy: for what the reader can mend, never a stack of calls. */
import { expect, it } from 'vitest'
import { Problem } from './problems.ts'
import { remedyFor } from './remedies.ts'

const fault = (code: string, message = 'it failed') => Object.assign(new Error(message), { code })

// Codes of PostgreSQL: its documentation, appendix A. Codes of the system: errno(3).
it.each([
  ['28P01', 'password in DATABASE_URL is not right'],
  ['3D000', 'no such database'],
  ['53100', 'disk of the database is full'],
  ['ENOSPC', 'disk is full'],
  ['EACCES', 'may not'],
  ['EADDRINUSE', 'port is taken'],
  ['EADDRNOTAVAIL', 'no such address'],
  ['ENOTFOUND', 'host of DATABASE_URL is not known'],
  ['ECONNREFUSED', 'does not answer'],
  ['57P03', 'starting or recovering'],
])('%s: %s', (code, words) => {
  const said = remedyFor(fault(code))
  expect(said).toContain(words)
  expect(said).not.toMatch(/\n\s+at /)
})

it('what was written for the reader is said as it is, and a fault of the program is shown whole', () => {
  expect(remedyFor(new Problem(409, 'In use', 'Stop it, then restore.'))).toBe('Stop it, then restore.')
  expect(remedyFor(new Error('Set BACKUP_FOLDER'))).toBe('Set BACKUP_FOLDER.')
  expect(remedyFor(new Error('timeout exceeded when trying to connect'))).toContain('does not answer in time')
  expect(remedyFor(new TypeError('x is not a function'))).toMatch(/TypeError: x is not a function\n\s+at /)
})
