/** What is typed of a weld, in the order of its line. */
export const CELL_NAMES = ['Welds', 'Joint', 'Parts', 'Size', 'Position', 'Pattern'] as const
export type CellName = (typeof CELL_NAMES)[number]
