/** Who leaves a walk or a fit to look something up finds the way back: where it leads, and what it is called. */
import { readonly, type Ref, shallowRef } from 'vue'
import type { RouteLocationNormalized, Router } from 'vue-router'
import { viewOf } from './views/index.ts'

export interface WayBack {
  readonly path: string
  /** The view that was left, by its route. */
  readonly name: string
  readonly jobId: string | null
}

/** From these somebody goes to fill in what is missing. */
const LEFT: ReadonlySet<unknown> = new Set(['start', 'fit'])
/** There it is filled in. */
const FILLED_IN: ReadonlySet<unknown> = new Set(['Shop', 'Set-ups'])

type Place = Pick<RouteLocationNormalized, 'name' | 'fullPath' | 'params'>
const placeOf = ({ name }: Place): unknown => viewOf(name)?.place

/** @returns the way back after going from one address to another, with the one before */
export function nextWay(before: WayBack | null, from: Place, to: Place): WayBack | null {
  if (LEFT.has(to.name) || !FILLED_IN.has(placeOf(to))) return null
  if (!LEFT.has(from.name)) return before
  const { jobId } = from.params
  return { path: from.fullPath, name: String(from.name), jobId: typeof jobId === 'string' ? jobId : null }
}

const way = shallowRef<WayBack | null>(null)
export const useWayBack = (): Readonly<Ref<WayBack | null>> => readonly(way)
export function rememberWay(router: Router): void {
  router.afterEach((to, from) => {
    way.value = nextWay(way.value, from, to)
  })
}
