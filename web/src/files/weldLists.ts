/** Reading a weld list, apart from the rest: it checks documents, and only an import needs it. */
export { readTable } from '@brannik/core'
