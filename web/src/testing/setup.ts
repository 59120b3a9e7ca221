/** For every test of the page: the engine in the test's own thread, and Vuetify as the page has it. */
import { config } from '@vue/test-utils'
import { vi } from 'vitest'
import { vTip } from '../components/tip.ts'
import { Engine } from '../engine/engine.ts'
import { vuetify } from '../vuetify.ts'
import { VNavigationDrawer, VVirtualScroll } from './stubs.ts'

vi.mock('../engine/start.ts', () => ({
  startEngine: () => ({ engine: new Engine(), stop: () => undefined }),
}))

// What goes by sizes on the screen has none here: a list shows all that it holds, a drawer stands where it is.
config.global.stubs = { VVirtualScroll, VNavigationDrawer }
config.global.directives = { tip: vTip }
config.global.plugins = [vuetify]
