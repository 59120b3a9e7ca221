/** For every test of the page: there are no threads there, so the engine reckons in the test's own. */
import { vi } from 'vitest'
import { Engine } from '../engine/engine.ts'

vi.mock('../engine/start.ts', () => ({
  startEngine: () => ({ engine: new Engine(), stop: () => undefined }),
}))
