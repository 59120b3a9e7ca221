/** For every test of the page: the engine in the test's own thread, no network, and nothing that stays stubbed. */
import { afterEach, vi } from 'vitest'
import { Engine } from '../engine/engine.ts'

vi.mock('../engine/start.ts', () => ({
  startEngine: () => ({ engine: new Engine(), stop: () => undefined }),
}))

// What a test left under way asks on once its own answers are gone: nobody answers, least of all a server that is here.
globalThis.fetch = () => new Promise(() => undefined)

afterEach(() => {
  vi.unstubAllGlobals()
})
