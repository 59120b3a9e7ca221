/**
 * Stands where a chip of Vuetify asks for the groups that it may be in: it wants their names alone, and with them come the
 * groups themselves, a hundredth of all that the first page waits for. Names made by `Symbol.for` are the groups' own.
 */
export const VChipGroupSymbol = Symbol.for('vuetify:v-chip-group')
export const VSlideGroupSymbol = Symbol.for('vuetify:v-slide-group')
