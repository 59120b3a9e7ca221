/** The engine's answer to a question that changes: the latest wins, and what was known stands until then. */
import { ref, type Ref, shallowRef, watch } from 'vue'
import { useWorkspace } from '../shop/workspace.ts'
import { engine } from './client.ts'
import { isSameBesideJobs } from './delta.ts'
import { reasonOf } from '../reason.ts'
import type { Answer, Arguments, QuestionName } from './questions/index.ts'
import type { Snapshot } from './snapshot.ts'

export type Question<K extends QuestionName> = readonly [question: K, ...of: Arguments<K>]

/** Who is asked. */
interface Asker<K extends QuestionName> {
  ask(snapshot: Snapshot, ...asked: Question<K>): Promise<Answer<K>>
  /** Answers before the next frame where it can, else null. */
  atOnce?(snapshot: Snapshot, ...asked: Question<K>): { readonly answer: Answer<K> } | null
}

interface Asked<K extends QuestionName> {
  readonly by?: Asker<K>
  /** False where the answer is the same for all jobs: at a key in a job it is not asked again. */
  readonly looksAtJobs?: boolean
}

/** @param question null where nothing is asked: then there is no answer */
export function useAnswer<K extends QuestionName>(
  question: Ref<Question<K> | null>,
  { by = engine, looksAtJobs = true }: Asked<K> = {},
) {
  const workspace = useWorkspace()
  const answer = shallowRef<Answer<K> | null>(null)
  const isComputing = ref(false)
  /** Why there is no answer; empty where there is one, or where nothing was asked. */
  const failure = ref('')
  /** What came while the engine was busy: only the last of it is worth asking. */
  let next: { readonly asked: Question<K>; readonly snapshot: Snapshot } | null = null

  function show(found: Answer<K> | null, why = ''): void {
    answer.value = found
    failure.value = why
  }

  async function work(): Promise<void> {
    isComputing.value = true
    while (next) {
      const { asked, snapshot } = next
      next = null
      // Another question, or none, may have taken its place meanwhile.
      const isStillAsked = (): boolean =>
        question.value === asked || JSON.stringify(question.value) === JSON.stringify(asked)
      try {
        const found = await by.ask(snapshot, ...asked)
        if (!isStillAsked()) continue
        show(found)
      } catch (error) {
        if (!isStillAsked()) continue
        show(null, reasonOf(error))
      }
    }
    isComputing.value = false
  }

  watch(
    [question, () => workspace.snapshot],
    ([asked, snapshot], [before, snapshotBefore = null]) => {
      if (!looksAtJobs && asked === before && snapshotBefore && isSameBesideJobs(snapshot, snapshotBefore))
        return
      if (!asked) {
        next = null
        show(null)
        return
      }
      const found = isComputing.value ? null : by.atOnce?.(snapshot, ...asked)
      if (found) {
        show(found.answer)
        return
      }
      next = { asked, snapshot }
      if (!isComputing.value) void work()
    },
    { immediate: true },
  )
  return { answer, isComputing, failure }
}
