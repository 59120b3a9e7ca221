/**
 * Stands where Vuetify has its own arithmetic of dates: no component of the page has a calendar, and it would be a
 * hundredth of all that the first page waits for. Whoever brings a calendar in takes the alias out of `vite.config.ts`.
 */
export const VuetifyDateAdapter = {}
