/** A list that is read page by page, newest first, and anew when its filter changes or something happens. */
import { type Ref, ref, type ShallowRef, shallowRef, watch } from 'vue'
import { reasonOf } from '../reason.ts'
import { happenings } from './happenings.ts'

interface Page<T> {
  readonly items: readonly T[]
  /** Where the next one begins; null after the last. */
  readonly next: string | null
}

export interface Paged<T> {
  readonly rows: ShallowRef<readonly T[]>
  readonly next: Ref<string | null>
  readonly isLooking: Ref<boolean>
  /** Why it cannot be read; empty where it can. */
  readonly failure: Ref<string>
  /** @param isMore adds the next page; else it begins anew */
  readonly look: (isMore: boolean) => Promise<void>
}

/** @param read one page of what the filter lets through; of several that are asked for the latest counts */
export function usePaged<F, T>(
  filter: Ref<F>,
  read: (filter: F, before: string | null) => Promise<Page<T>>,
): Paged<T> {
  const rows = shallowRef<readonly T[]>([])
  const next = ref<string | null>(null)
  const isLooking = ref(false)
  const failure = ref('')
  let asked = 0
  async function look(isMore: boolean): Promise<void> {
    asked += 1
    const mine = asked
    isLooking.value = true
    try {
      const page = await read(filter.value, isMore ? next.value : null)
      if (mine !== asked) return
      rows.value = isMore ? [...rows.value, ...page.items] : page.items
      next.value = page.next
      failure.value = ''
    } catch (error) {
      if (mine === asked) failure.value = reasonOf(error)
    } finally {
      if (mine === asked) isLooking.value = false
    }
  }
  watch([filter, happenings], () => void look(false), { immediate: true })
  return { rows, next, isLooking, failure, look }
}
