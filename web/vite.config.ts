import { fileURLToPath } from 'node:url'
import vue from '@vitejs/plugin-vue'
import { defineConfig, type Plugin } from 'vite'
import vuetify from 'vite-plugin-vuetify'
import { facts } from './facts.ts'
import { offlineWorker } from './offlineWorker.ts'
import { vuetifyStyles } from './vuetifyStyles.ts'

/** What a page has of the kinds without their schemas. */
const LIGHT_KINDS =
  '(factList|fieldList|facts|files|counts|onHand|slots|patch|spooled|engineDriven|usualRun|upcaster)'
/** Zod, and every module that speaks it. */
const CHECKS_DOCUMENTS = new RegExp(
  `node_modules/zod|core/src/(catalogue/catalogue|model/(fields|describe|holding|ordered|outline|problems)|kinds/(?!${LIGHT_KINDS}))\\b`,
)
/** Of the first load, and of the fit that is worked out in the page: in a file each they would be larger. */
const OF_FIT = 'core/src/(capability/(claims|slots)|supply/supplyOf|fit/document)|web/src/engine/delta'
/** What both sides of that line rest on: it stands below both, so that neither waits for the other. */
const BASIS = new RegExp(
  `core/src/(basis|quantity|reference/(materials|processes)|model/|joints/(?!contradictions)|kinds/${LIGHT_KINDS})|${OF_FIT}`,
)
/** What the computation assumes: its thread has it, a page only where it reckons or shows it. */
const ASSUMPTIONS = /core\/src\/assumptions\//

const LOGGER = /\/useLogger\/index\.mjs$/
const RIPPLE = /\/directives\/ripple\/index\.js$/
/** Who in Vuetify asks for what is left out, and for what of it. */
const LEFT_OUT: readonly (readonly [importer: string, source: RegExp])[] = [
  ['composables/date/date.js', /^\.\/adapters\/vuetify\.js$/],
  ['composables/date/index.js', /^\.\/adapters\/vuetify\.js$/],
  ['VChip/VChip.js', /\/V(Chip|Slide)Group\.js$/],
  ['composables/loader.js', /\/VProgressLinear\/index\.js$/],
  ['VSelect/VSelect.js', /\/V(Avatar|Checkbox|Chip)\/index\.js$/],
  ['VAutocomplete/VAutocomplete.js', /\/V(Avatar|Checkbox|Chip)\/index\.js$/],
  ['VCombobox/VCombobox.js', /\/V(Avatar|Checkbox|Chip)\/index\.js$/],
  ['VList/VListItem.js', /\/VAvatar\/index\.js$/],
  ['VChip/VChip.js', /\/VAvatar\/index\.js$/],
  // A choice draws its items itself, and nothing of them stands out.
  ['VAutocomplete/VAutocomplete.js', /\/VHighlight\/index\.js$/],
  // Only a row of tabs scrolls by itself: it has what scrolls, and takes its usual ways.
  ['vuetify/lib/framework.js', /\/composables\/goto\.js$/],
  // Icons are drawn, not set in a font.
  ['vuetify/lib/icons.js', /\/iconsets\/mdi\.js$/],
  // What it has to say goes to the console as it is.
  ['createRegistry/index.mjs', LOGGER],
  ['createTokens/index.mjs', LOGGER],
  // No ripple anywhere (`vuetify.ts`): what would draw it.
  ['VBtn/VBtn.js', RIPPLE],
  ['VChip/VChip.js', RIPPLE],
  ['VList/VListItem.js', RIPPLE],
  ['VSelectionControl/VSelectionControl.js', RIPPLE],
]
/** Its words for all of its components: ours are for those that are used. */
const WORDS = ['locale/adapters/vuetify.js', /\/en\.js$/] as const

const OWN_WORDS = fileURLToPath(new URL('src/vuetifyWords.ts', import.meta.url))
const NOTHING = fileURLToPath(new URL('src/leftOut.ts', import.meta.url))
const leftOut: Plugin = {
  name: 'left-out',
  enforce: 'pre',
  resolveId(source, importer = '') {
    const isAsked = ([who, what]: readonly [string, RegExp]): boolean =>
      importer.endsWith(who) && what.test(source)
    if (isAsked(WORDS)) return OWN_WORDS
    return LEFT_OUT.some(isAsked) ? NOTHING : null
  },
}

export default defineConfig({
  plugins: [
    facts(),
    leftOut,
    vue(),
    vuetifyStyles(fileURLToPath(new URL('src/styles/settings.scss', import.meta.url))),
    vuetify({ autoImport: true }),
    offlineWorker([facts()]),
  ],
  build: {
    target: 'es2022',
    // One file of styles, fetched once: a view that opens waits for no style of its own.
    cssCodeSplit: false,
    chunkSizeWarningLimit: 900,
    rolldownOptions: {
      // What checks documents stands apart: a page that only shows them does not wait for it.
      output: {
        // The first script lists every file that a view may fetch: their names are a part of the first load.
        chunkFileNames: 'assets/[hash].js',
        assetFileNames: 'assets/[hash][extname]',
        codeSplitting: {
          includeDependenciesRecursively: false,
          groups: [
            { name: 'documents', test: CHECKS_DOCUMENTS, priority: 2 },
            { name: 'basis', test: BASIS, priority: 1 },
            { name: 'assumptions', test: ASSUMPTIONS, priority: 1 },
          ],
        },
      },
    },
  },
  // Parts that only an import needs are fetched when one is read.
  worker: { format: 'es', plugins: () => [facts()] },
  server: {
    host: '127.0.0.1',
    proxy: { '/api': { target: process.env['BRANNIK_API'] ?? 'http://127.0.0.1:4870' } },
  },
})
