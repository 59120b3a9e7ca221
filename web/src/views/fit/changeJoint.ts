/** Changing a weld, apart from the rest: it checks the weld as a document, which showing a fit does not need. */
export { applyChange } from '@brannik/core'
