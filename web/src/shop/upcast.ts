/** What only a browser with drafts of an older page fetches. */
export { upcastRecord } from '@brannik/core'
