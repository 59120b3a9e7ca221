/** What an error is, by the marks on it: SQLSTATE of PostgreSQL (appendix A of its manual) and errno of Node (from memory). */
import { describe, expect, it } from 'vitest'
import { isCollision, isNoDatabase, properties } from './faults.ts'

describe('an error', () => {
  it('has what is written on it, and is empty where nothing is', () => {
    const error = Object.assign(new Error('too long'), {
      code: '22001',
      table: 'record',
      status: 400,
      type: 'x',
    })
    expect(properties(error)).toEqual({
      code: '22001',
      type: 'x',
      message: 'too long',
      table: 'record',
      status: 400,
    })
    const nothing = { code: '', type: '', message: '', table: '', status: 0 }
    for (const none of [null, undefined, 'a text', 42]) expect(properties(none)).toEqual(nothing)
    expect(properties({ code: 42, status: '400', message: null })).toEqual(nothing)
  })
  it('of a database that is gone is told from one that is broken', () => {
    for (const code of ['ECONNREFUSED', 'ECONNRESET', 'EPIPE', '57P01', '57P03', '53300', '08006', '25P03'])
      expect(isNoDatabase({ code }), code).toBe(true)
    for (const message of [
      'Connection terminated unexpectedly',
      'timeout exceeded when trying to connect',
      'Query read timeout',
      'Client has encountered a connection error and is not queryable',
      'Cannot use a pool after calling end on the pool',
    ])
      expect(isNoDatabase(new Error(message)), message).toBe(true)
    for (const other of [{ code: '23505' }, { code: '42601' }, new Error('syntax error'), null])
      expect(isNoDatabase(other)).toBe(false)
  })
  it('of two transactions in each other’s way lets one begin again', () => {
    expect([isCollision({ code: '40001' }), isCollision({ code: '40P01' })]).toEqual([true, true])
    expect([isCollision({ code: '23505' }), isCollision({ code: '' }), isCollision(null)]).toEqual([
      false,
      false,
      false,
    ])
  })
})
