/** Parts of a view that are fetched when they are wanted. */
import { type Component, defineAsyncComponent, type Ref, shallowRef } from 'vue'

const AGAIN_MS = 3000

/**
 * A component that is fetched when it is first drawn. While the server does not respond it is asked for again and again:
 * the view stands without it.
 */
export const lazily = <T extends Component>(load: () => Promise<{ default: T }>): T =>
  defineAsyncComponent<T>({
    loader: load as never,
    onError: (_error, retry) => {
      window.setTimeout(retry, AGAIN_MS)
    },
  })

/** A component that something stands in for until it is there. */
export interface Late {
  /** null until it is fetched. */
  readonly there: Readonly<Ref<Component | null>>
  /** Fetches it once; while the server does not respond it asks again and again. */
  readonly fetch: () => void
}

/** @example const { there, fetch } = late(() => import('./OtherJobs.vue')) */
export function late(load: () => Promise<{ default: Component }>): Late {
  const there = shallowRef<Component | null>(null)
  let isAsked = false
  const fetch = (): void => {
    if (isAsked) return
    isAsked = true
    load().then(
      (found) => (there.value = found.default),
      () => {
        isAsked = false
        window.setTimeout(fetch, AGAIN_MS)
      },
    )
  }
  return { there, fetch }
}
