/** A tab of a place in the rail: a view with an address, or a part of one. */
import type { RouteLocationRaw } from 'vue-router'

export interface PlaceTab {
  readonly title: string
  readonly to: RouteLocationRaw
  readonly isHere: boolean
}
