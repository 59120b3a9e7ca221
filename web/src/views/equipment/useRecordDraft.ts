/** One record as it is typed: stored as soon as it is whole, kept as unfinished until then; undo from outside wins. */
import {
  factsAt,
  type FieldProblem,
  inShopUnits,
  type PathsOf,
  readDocument,
  schemaOf,
  valueAt,
} from '@brannik/core'
import type { z } from 'zod'
import { computed, type Ref, shallowRef, watch } from 'vue'
import { useTyping } from '../../shop/typing.ts'
import { useUnfinished } from '../../shop/unfinished.ts'
import { type Path, useWorkspace } from '../../shop/workspace.ts'

export type Draft = Readonly<Record<string, unknown>>
/** What the screen lists: all of a catalogue, the building's, and the stores'. */
export type EquipmentPath = PathsOf<'building' | 'equipment' | 'stores' | 'people'>
export const isOfBuilding = (path: EquipmentPath): path is PathsOf<'building'> =>
  factsAt(path)?.scope === 'building'

const schemaAt = (path: EquipmentPath): z.ZodType<unknown> => {
  const facts = factsAt(path)
  if (!facts) throw new Error(`no list at ${path}`)
  return schemaOf(facts.kind)
}

type Step = string | number

const container = (value: unknown, step: Step): Record<Step, unknown> | unknown[] => {
  if (Array.isArray(value)) return [...(value as unknown[])]
  if (typeof value === 'object' && value !== null) return { ...value }
  return typeof step === 'number' ? [] : {}
}

/** A copy with one field changed, however deep. */
export function setIn<T>(record: T, steps: readonly Step[], value: unknown): T {
  const [step, ...rest] = steps
  if (step === undefined) return value as T
  const copy = container(record, step)
  Reflect.set(copy, step, setIn(Reflect.get(copy, step), rest, value))
  return copy as T
}

const pointerOf = (steps: readonly Step[]): string => steps.map((step) => `/${step}`).join('')

export function useRecordDraft(path: Ref<EquipmentPath>, id: Ref<string>) {
  const workspace = useWorkspace()
  const unfinished = useUnfinished()
  const typing = useTyping()
  const draft = shallowRef<Draft | null>(null)
  const stored = computed(() => workspace.get(path.value as Path, id.value) as Draft | null)
  let own: Draft | null = null
  /** What was stored when somebody began to type in a field. */
  let began: { readonly stretch: number; readonly stored: Draft | null } = { stretch: 0, stored: null }

  watch(
    [path, id, stored],
    ([newPath, newId, now], [oldPath, oldId]) => {
      if (newPath !== oldPath || newId !== oldId) {
        own = null
        draft.value = unfinished.get(newPath, newId) ?? now
      } else if (now !== own) {
        own = null
        unfinished.drop(newPath, newId)
        draft.value = now
      }
    },
    // At once: an edit and its undo within one tick would cancel out unseen.
    { immediate: true, flush: 'sync' },
  )

  const schema = computed(() => schemaAt(path.value))
  const problems = computed<readonly FieldProblem[]>(() => {
    if (!draft.value) return []
    const read = readDocument<unknown>(schema.value, draft.value)
    if (read.ok) return []
    return read.problems.map((one) => ({ ...one, message: inShopUnits(one.message, workspace.notation) }))
  })
  /** What is wrong with one field: not that it is still empty. */
  const problemAt = (steps: readonly Step[]): string | null => {
    const value = valueAt(draft.value, steps)
    if (value === null || value === undefined || value === '') return null
    const pointer = pointerOf(steps)
    return problems.value.find((problem) => problem.pointer === pointer)?.message ?? null
  }

  /** @param label what was changed, for the undo: `name of Marl 140` */
  function set(steps: readonly Step[], value: unknown, label: string): void {
    if (!draft.value) return
    const next = setIn(draft.value, steps, value)
    draft.value = next
    if (typing.stretch !== began.stretch) began = { stretch: typing.stretch, stored: stored.value }
    const read = readDocument<unknown>(schema.value, next)
    const [atPath, atId] = [path.value, id.value]
    if (read.ok) {
      unfinished.drop(atPath, atId)
      take(read.value as Draft, label)
      return
    }
    // What stood a key ago was on the way to this and is not meant.
    if (typing.isOpen && began.stored && stored.value !== began.stored) take(began.stored, label)
    typing.whenLeft(`unfinished ${atPath}/${atId}`, () => {
      if (draft.value === next) unfinished.keep(atPath, atId, next)
    })
  }
  function take(record: Draft, label: string): void {
    own = record
    workspace.edit(path.value as Path, id.value, record as never, label)
  }

  /** Gives up what could not be stored. */
  function discard(): void {
    unfinished.drop(path.value, id.value)
    draft.value = stored.value
  }

  return { draft, stored, problems, problemAt, set, discard }
}
export type RecordDraft = ReturnType<typeof useRecordDraft>
