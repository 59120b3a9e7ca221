/** Vuetify in the project's own colours, dense and flat. Every colour of the product stands here, once. */
import { createVuetify } from 'vuetify'
import { mdi } from 'vuetify/iconsets/mdi-svg'
import 'vuetify/styles'
import { ICONS } from './icons.ts'

/** Ink, chalk, copper. Verdicts by mark and word first, hue second; copper for what a job wants and where you are. */
const LIGHT = {
  ground: '#f3f1ec',
  sheet: '#fffefb',
  sunk: '#e8e5dd',
  line: '#d3cfc4',
  'line-strong': '#8d887b',
  ink: '#1c2127',
  'ink-2': '#4d545c',
  'ink-3': '#62696f',
  copper: '#8c4a2f',
  'copper-soft': '#ead9cf',
  steel: '#51626f',
  'steel-soft': '#cfd8de',
  fits: '#1d6b57',
  'fits-soft': '#d5e8e0',
  tight: '#7d5b00',
  'tight-soft': '#f1e5bf',
  fails: '#9c2340',
  'fails-soft': '#f3d8dd',
  unknown: '#5d5877',
  'unknown-soft': '#e2e0ec',
}
type Colours = typeof LIGHT
const DARK: Colours = {
  ground: '#14171b',
  sheet: '#1c2025',
  sunk: '#111418',
  line: '#333a42',
  'line-strong': '#76808a',
  ink: '#ece8df',
  'ink-2': '#b3b6b5',
  'ink-3': '#9aa0a5',
  copper: '#dd9a78',
  'copper-soft': '#46301f',
  steel: '#8fa3b2',
  'steel-soft': '#33404a',
  fits: '#6cc5a6',
  'fits-soft': '#17352c',
  tight: '#dcb65a',
  'tight-soft': '#3a3012',
  fails: '#f08a9d',
  'fails-soft': '#452029',
  unknown: '#b3add3',
  'unknown-soft': '#2c2a3c',
}

/** The same colours by the names that Vuetify has for them. */
const theme = (colours: Colours, dark: boolean) => ({
  dark,
  colors: {
    ...colours,
    background: colours.ground,
    surface: colours.sheet,
    primary: colours.copper,
    secondary: colours.steel,
    error: colours.fails,
    warning: colours.tight,
    success: colours.fits,
    info: colours.steel,
    'on-background': colours.ink,
    'on-surface': colours.ink,
  },
  variables: { 'border-color': colours['line-strong'], 'border-opacity': 1 },
})

const field = {
  variant: 'outlined',
  density: 'compact',
  hideDetails: true,
  color: 'copper',
  baseColor: 'line-strong',
  bgColor: 'sheet',
} as const
const menu = { ...field, menuIcon: '$dropdown', menuProps: { transition: false } } as const

export const vuetify = createVuetify({
  icons: { defaultSet: 'mdi', aliases: ICONS, sets: { mdi } },
  theme: {
    defaultTheme: 'light',
    themes: { light: theme(LIGHT, false), dark: theme(DARK, true) },
  },
  defaults: {
    global: { ripple: false, elevation: 0 },
    VTextField: field,
    VTextarea: field,
    VSelect: menu,
    VAutocomplete: menu,
    VCombobox: menu,
    VCheckbox: { density: 'compact', hideDetails: true, color: 'copper' },
    VTabs: { density: 'compact', height: 34, color: 'ink', sliderColor: 'copper' },
    VRadioGroup: { density: 'compact', hideDetails: true, color: 'copper' },
    VRadio: { color: 'copper' },
    VChip: { variant: 'outlined', size: 'default' },
    VChipGroup: { variant: 'outlined', selectedClass: 'chosen' },
    VTooltip: { transition: false, openDelay: 300, maxWidth: 360 },
    VDialog: { transition: false },
    VList: { density: 'compact' },
  },
})
