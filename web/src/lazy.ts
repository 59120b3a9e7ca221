/** Parts of a view that are fetched when they are wanted. */
import { type Component, defineAsyncComponent } from 'vue'

const AGAIN_MS = 3000

/**
 * A component that is fetched when it is first drawn. While the server does not answer it is asked for again and again:
 * the view stands without it.
 */
export const lazily = <T extends Component>(load: () => Promise<{ default: T }>): T =>
  defineAsyncComponent<T>({
    loader: load as never,
    onError: (_error, retry) => {
      window.setTimeout(retry, AGAIN_MS)
    },
  })
