/** The one place for what nobody expected: it is shown in words, and kept in the browser's log. */
import type { App } from 'vue'
import { reasonOf } from './reason.ts'
import { useNotice } from './stores/notice.ts'

/**
 * Browsers report these as errors of the page and recover by themselves: an observer of sizes that could not finish in
 * one frame goes on in the next.
 */
const HARMLESS = /ResizeObserver loop/

export function logUnexpected(error: unknown): void {
  // eslint-disable-next-line no-console -- this is where the browser keeps its log
  console.error(error)
}

/** Tells of an error that no view has an answer to. What was typed is kept as a draft, so that loading again is safe. */
export function tellUnexpected(error: unknown): void {
  const reason = reasonOf(error)
  if (HARMLESS.test(reason)) return
  logUnexpected(error)
  useNotice().show(
    `Something went wrong: ${reason}. What you typed is kept. Reload the page if it happens again.`,
  )
}

/** Sends every error that nobody caught to `tellUnexpected`: of components, of events, and of promises. */
export function catchUnexpected(app: App): void {
  app.config.errorHandler = tellUnexpected
  window.addEventListener('error', ({ error, message }) => {
    tellUnexpected(error ?? message)
  })
  window.addEventListener('unhandledrejection', ({ reason }) => {
    tellUnexpected(reason)
  })
}
