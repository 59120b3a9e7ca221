/** The open formats of the equipment: one JSON catalogue, and a CSV sheet for each kind. */
export * from './catalogue.ts'
export * from './lists.ts'
export { type Sheet, SHEETS } from './sheets.ts'
export * from './sheetText.ts'
