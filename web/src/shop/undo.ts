/** Steps that can be undone: each changes what it changed, and leaves what others have changed since. */
import { mergeRecords, type RecordAt } from '@brannik/core'
import isSame from 'fast-deep-equal'
import { computed, shallowRef } from 'vue'
import { keyOf, type Path } from './sync.ts'
import { useTyping } from './typing.ts'

export interface Change {
  readonly path: Path
  readonly id: string
  readonly before: RecordAt[Path] | null
  readonly after: RecordAt[Path] | null
}
/** What is undone at once: one change of one record, or all that an import brought. */
export interface Edit {
  readonly label: string
  readonly changes: readonly Change[]
}

/** Edits of one field within this time undo as one. */
const SAME_EDIT_MS = 900
const MOST_UNDO = 200
const NO_EDIT = { key: '', at: 0, stretch: 0 }

/** @param write shows and saves a record */
export function createUndo(
  get: (path: Path, id: string) => RecordAt[Path] | null,
  write: (path: Path, id: string, record: RecordAt[Path] | null) => void,
) {
  const typing = useTyping()
  const undone = shallowRef<readonly Edit[]>([])
  const done = shallowRef<readonly Edit[]>([])
  let lastEdit = NO_EDIT

  function remember(change: Change, label: string): void {
    const stretch = typing.isOpen ? typing.stretch : 0
    // What is typed in one field is one edit; its label may have a name in it that is just being typed.
    const key = `${keyOf(change.path, change.id)} ${stretch > 0 ? stretch : label}`
    const now = performance.now()
    const last = done.value.at(-1)
    const [before] = last?.changes ?? []
    const isOneTyping = stretch > 0 ? lastEdit.stretch === stretch : now - lastEdit.at < SAME_EDIT_MS
    const same = key === lastEdit.key && isOneTyping && before !== undefined
    undone.value = []
    lastEdit = { key, at: now, stretch }
    if (!same) done.value = [...done.value, { label, changes: [change] }].slice(-MOST_UNDO)
    else if (isSame(before.before, change.after)) {
      // Typed and given up again: there is nothing to undo.
      done.value = done.value.slice(0, -1)
      lastEdit = NO_EDIT
    } else
      done.value = [
        ...done.value.slice(0, -1),
        { label: last?.label ?? label, changes: [{ ...change, before: before.before }] },
      ]
  }

  /** Several changes that undo at once; the next edit is another step. */
  function rememberAll(edit: Edit): void {
    done.value = [...done.value, edit].slice(-MOST_UNDO)
    undone.value = []
    lastEdit = NO_EDIT
  }

  function step(path: Path, id: string, was: Change['before'], becomes: Change['before']): void {
    const now = get(path, id)
    write(path, id, was && becomes && now ? mergeRecords(was, now, becomes).record : becomes)
  }
  function undo(): string | null {
    const last = done.value.at(-1)
    if (!last) return null
    done.value = done.value.slice(0, -1)
    undone.value = [...undone.value, last]
    lastEdit = NO_EDIT
    for (const { path, id, before, after } of last.changes) step(path, id, after, before)
    return last.label
  }
  function redo(): string | null {
    const next = undone.value.at(-1)
    if (!next) return null
    undone.value = undone.value.slice(0, -1)
    done.value = [...done.value, next]
    for (const { path, id, before, after } of next.changes) step(path, id, before, after)
    return next.label
  }

  return {
    remember,
    rememberAll,
    undo,
    redo,
    canUndo: computed(() => done.value.length > 0),
    canRedo: computed(() => undone.value.length > 0),
    nextUndo: computed(() => done.value.at(-1)?.label ?? null),
    forget(): void {
      done.value = []
      undone.value = []
    },
  }
}
