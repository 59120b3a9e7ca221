/**
 * Stands where Vuetify fetches what no page of this shows, and would have every first page wait for: its arithmetic of
 * dates, the groups that a chip may be in, of which it wants the names alone, the bar of a field that is loading, what a
 * choice of several draws: boxes, chips and portraits, what scrolls a page, and a log of its own. A button that is pressed does
 * not ripple.
 * Names made by `Symbol.for` are the groups' own. Whoever brings one of them in takes it out of `vite.config.ts`.
 */
export const VuetifyDateAdapter = {}
export const VChipGroupSymbol = Symbol.for('vuetify:v-chip-group')
export const VSlideGroupSymbol = Symbol.for('vuetify:v-slide-group')
export const VProgressLinear = (): null => null
export const VAvatar = (): null => null
export const VChip = Object.assign((): null => null, { filterProps: () => ({}) })
export const VCheckboxBtn = (): null => null
export const VHighlight = (): null => null
/** How what scrolls by itself begins, where nobody sets other ways than its own. */
export const GoToSymbol = Symbol.for('vuetify:goto')
export const createGoTo = (_options: unknown, { isRtl }: { readonly isRtl: unknown }) => ({ rtl: isRtl })
export const useLogger = (): Console => console
/** Names and drawings of an icon font. */
export const aliases = {}
export const mdi = {}
/** A directive that does nothing: nothing ripples here. */
const nothing = {}
export default nothing
