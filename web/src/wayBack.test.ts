import { expect, it } from 'vitest'
import { nextWay, type WayBack } from './wayBack.ts'

const at = (name: string, fullPath: string, params: Record<string, string> = {}) => ({
  name,
  fullPath,
  params,
})
const start = at('start', '/start')
const fit = at('fit', '/jobs/gate/fit', { jobId: 'gate' })
const gun = at('equipment', '/equipment/guns/g')
const wire = at('equipment', '/equipment/wires/w')
const setUp = at('set-up', '/set-ups/s')
const walk = (...places: readonly ReturnType<typeof at>[]): WayBack | null =>
  places.slice(1).reduce<WayBack | null>((way, to, index) => nextWay(way, places[index] ?? to, to), null)

it('leads back to the walk or the fit that was left, however far somebody went on', () => {
  expect(walk(start, gun)).toEqual({ path: '/start', name: 'start', jobId: null })
  expect(walk(fit, gun, wire, setUp)).toEqual({ path: '/jobs/gate/fit', name: 'fit', jobId: 'gate' })
})
it('is none without one, once back, and in a place of its own', () => {
  expect(walk(gun, wire)).toBeNull()
  expect(walk(start, gun, start)).toBeNull()
  expect(walk(fit, gun, at('board', '/board'))).toBeNull()
  expect(walk(fit, gun, at('board', '/board'), gun)).toBeNull()
})
