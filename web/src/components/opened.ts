/** A number that is opened to its working. */
import type { RouteLocationRaw } from 'vue-router'
import type { Mend, Step, Verdict } from '@brannik/core'

export interface Opened {
  readonly key: string
  readonly title: string
  readonly verdict: Verdict | null
  readonly sentence: string
  readonly mends: readonly Mend[]
  /** Null while it is being worked out. */
  readonly working: readonly Step[] | null
  /** Where more of it is seen. */
  readonly more?: { readonly to: RouteLocationRaw; readonly words: string }
}
