/** A list that the server keeps: fetched when it is looked at, told in words when it cannot be. */
import { onMounted, ref, shallowRef } from 'vue'
import { ask, RequestFailed } from '../../api/client.ts'

/** @param path below /api */
export function useList<T>(path: string) {
  const items = shallowRef<readonly T[]>([])
  const problem = ref('')
  const isLoading = ref(true)

  /** Runs what talks to the server, and says why where it does not do what it should. */
  async function telling(work: () => Promise<void>): Promise<boolean> {
    problem.value = ''
    try {
      await work()
      return true
    } catch (error) {
      if (!(error instanceof RequestFailed)) throw error
      problem.value = `${error.message.charAt(0).toUpperCase()}${error.message.slice(1)}`
      return false
    }
  }
  const fetchItems = async (): Promise<void> => {
    items.value = (await ask<{ items: readonly T[] }>('GET', path)).items
  }
  onMounted(() => telling(fetchItems).finally(() => (isLoading.value = false)))

  /** Writes, and fetches the list anew. @returns whether it was done */
  const change = (work: () => Promise<unknown>): Promise<boolean> =>
    telling(async () => {
      await work()
      await fetchItems()
    })
  return { items, problem, isLoading, telling, change }
}
