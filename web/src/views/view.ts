/** What a view is: its address and its place in the rail. `help.ts` beside it says how to read it, `walk.ts` what the browser tests do there. */
import type { RouteComponent } from 'vue-router'

/** The places of the rail, in order. Each answers one question; nothing else gets an entry. */
export const PLACES = ['Today', 'Jobs', 'Board', 'Set-ups', 'Stores', 'Power', 'Buy', 'Shop'] as const
export type Place = (typeof PLACES)[number]

export interface View {
  readonly name: string
  readonly path: string
  readonly component: RouteComponent | (() => Promise<RouteComponent>)
  readonly place: Place
  /** The browser's title, where the view has one of its own beside that of its place. */
  readonly title?: string
}

/** What the tests press to open something, in order. */
export type WalkStep =
  | { readonly key: string }
  | { readonly button: string; readonly exact?: true }
  | { readonly tab: string }
  | { readonly text: string }
  | { readonly element: string }
  | { readonly textbox: string; readonly fill: string }

/** Fields that are typed into, one after the other. */
export interface Walk {
  readonly path: string
  readonly open?: readonly WalkStep[]
  /** The part of the view that is walked. */
  readonly part?: string
  readonly what?: string
  /** A field of what is opened: its part of the page comes by itself, after the rest. */
  readonly last?: string
  /** Its fields are one list of figures, drawn alike: those of one unit stand for each other, but in the long run. */
  readonly isAlike?: boolean
}

export interface ViewWalk {
  /** Addresses that are looked at: by axe, for scrolling sideways, on paper, in the other units. */
  readonly looks: readonly string[]
  /** What opens over or beside the view. */
  readonly opens: readonly {
    readonly what: string
    readonly path: string
    readonly steps: readonly WalkStep[]
  }[]
  readonly walks: readonly Walk[]
  /** Addresses without a field to be typed into, but a search. */
  readonly nothingTyped: readonly string[]
}
