/** For every test of the page: the engine in the test's own thread, and nothing that stays stubbed. */
import { afterEach, vi } from 'vitest'
import { Engine } from '../engine/engine.ts'

vi.mock('../engine/start.ts', () => ({
  startEngine: () => ({ engine: new Engine(), stop: () => undefined }),
}))

afterEach(() => {
  vi.unstubAllGlobals()
})
