/** For every test that draws: Vuetify as the page has it. */
import { config } from '@vue/test-utils'
import { vTip } from '../components/tip.ts'
import { vuetify } from '../vuetify.ts'
import { VNavigationDrawer, VVirtualScroll } from './stubs.ts'

// What goes by sizes on the screen has none here: a list shows all that it holds, a drawer stands where it is.
config.global.stubs = { VVirtualScroll, VNavigationDrawer }
config.global.directives = { tip: vTip }
config.global.plugins = [vuetify]
