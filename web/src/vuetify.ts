/** Vuetify in the project's own colours, dense and flat. */
import { createVuetify } from 'vuetify'
import { aliases, mdi } from 'vuetify/iconsets/mdi-svg'
import 'vuetify/styles'

const light = {
  dark: false,
  colors: {
    background: '#f3f1ec',
    surface: '#fffefb',
    primary: '#1c2127',
    secondary: '#51626f',
    error: '#9c2340',
    warning: '#7d5b00',
    success: '#1d6b57',
    info: '#51626f',
    'on-background': '#1c2127',
    'on-surface': '#1c2127',
  },
}
const dark = {
  dark: true,
  colors: {
    background: '#14171b',
    surface: '#1c2025',
    primary: '#ece8df',
    secondary: '#8fa3b2',
    error: '#f08a9d',
    warning: '#dcb65a',
    success: '#6cc5a6',
    info: '#8fa3b2',
    'on-background': '#ece8df',
    'on-surface': '#ece8df',
  },
}
const field = { variant: 'outlined', density: 'compact', hideDetails: true, color: 'primary' } as const

export const vuetify = createVuetify({
  icons: { defaultSet: 'mdi', aliases, sets: { mdi } },
  theme: { defaultTheme: 'light', themes: { light, dark } },
  defaults: {
    global: { ripple: false, elevation: 0 },
    VTextField: field,
    VTextarea: field,
    VSelect: { ...field, menuProps: { transition: false } },
    VAutocomplete: { ...field, menuProps: { transition: false } },
    VDialog: { transition: false },
    VList: { density: 'compact' },
  },
})
