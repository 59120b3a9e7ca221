import { valueAt } from '@brannik/core'
import { mount } from '@vue/test-utils'
import { beforeEach, describe, expect, it } from 'vitest'
import { defineComponent, h, nextTick, ref } from 'vue'
import { demoWorkspace } from '../../testing/demo.ts'
import { useUnfinished } from '../../shop/unfinished.ts'
import { blankRecord } from './forms.ts'
import { type RecordDraft, setIn, useRecordDraft } from './useRecordDraft.ts'

let workspace: Awaited<ReturnType<typeof demoWorkspace>>['workspace']
beforeEach(async () => {
  workspace = (await demoWorkspace()).workspace
})

function draftOf(path: 'power-sources' | 'wires', id: string): RecordDraft {
  let draft: RecordDraft | undefined
  mount(
    defineComponent({
      setup() {
        draft = useRecordDraft(ref(path), ref(id))
        return () => h('div')
      },
    }),
  )
  if (!draft) throw new Error('not set up')
  return draft
}
const MIN = ['processes', 0, 'supplies', 0, 'outputMinA']

describe('a field deep in a record', () => {
  it('changes alone, and the old record stays as it was', () => {
    const before = { a: [{ b: 1 }, { b: 2 }], c: 'x' }
    const after = setIn(before, ['a', 1, 'b'], 3)
    expect(after).toEqual({ a: [{ b: 1 }, { b: 3 }], c: 'x' })
    expect(before.a[1]?.b).toBe(2)
    expect(after.a[0]).toBe(before.a[0])
    expect(valueAt(after, ['a', 1, 'b'])).toBe(3)
    expect(valueAt(after, ['a', 9, 'b'])).toBeUndefined()
  })

  it('makes what stands on the way to it', () => {
    expect(setIn({}, ['a', 0, 'b'], 1)).toEqual({ a: [{ b: 1 }] })
  })
})

describe('a record as it is typed', () => {
  it('is stored as long as it is whole', () => {
    const draft = draftOf('power-sources', 'marl-140')
    draft.set(MIN, 35, 'minimum output')
    expect(workspace.get('power-sources', 'marl-140')?.processes[0]?.supplies[0]?.outputMinA).toBe(35)
    expect(workspace.nextUndo).toBe('minimum output')
  })

  it('is kept and not stored while it cannot stand, and says which field and why', () => {
    const draft = draftOf('power-sources', 'marl-140')
    draft.set(MIN, 300, 'minimum output')
    expect(draft.problemAt(MIN)).toContain('above the greatest of 140 A')
    expect(workspace.get('power-sources', 'marl-140')?.processes[0]?.supplies[0]?.outputMinA).toBe(30)
    // As after a reload.
    expect(valueAt(draftOf('power-sources', 'marl-140').draft.value, MIN)).toBe(300)
    draft.set(['processes', 0, 'supplies', 0, 'outputMaxA'], 400, 'greatest output')
    expect(draft.problems.value).toEqual([])
    expect(workspace.get('power-sources', 'marl-140')?.processes[0]?.supplies[0]).toMatchObject({
      outputMinA: 300,
      outputMaxA: 400,
    })
    expect(useUnfinished().get('power-sources', 'marl-140')).toBeNull()
  })

  it('goes back to what is stored when asked', () => {
    const draft = draftOf('power-sources', 'marl-140')
    draft.set(MIN, 300, 'minimum output')
    draft.discard()
    expect(valueAt(draft.draft.value, MIN)).toBe(30)
    expect(useUnfinished().of('power-sources')).toEqual([])
  })

  it('follows an undo', async () => {
    const draft = draftOf('wires', 'er70s6-035')
    draft.set(['name'], 'Renamed', 'name')
    workspace.undo()
    await nextTick()
    expect(draft.draft.value?.['name']).toBe('0.035 ER70S-6')
  })

  it('does not scold a new one for what is still empty', () => {
    useUnfinished().keep('wires', 'wire-or-rod', blankRecord('wires', 'wire-or-rod', 'cup'))
    const draft = draftOf('wires', 'wire-or-rod')
    expect(draft.problems.value.length).toBeGreaterThan(0)
    expect(draft.problemAt(['diameterMm'])).toBeNull()
    expect(draft.problemAt(['name'])).toBeNull()
    for (const [field, value] of [
      ['name', 'Wire'],
      ['classification', 'ER70S-6'],
      ['diameterMm', 0.9],
      ['packageG', 5000],
    ] as const) {
      draft.set([field], value, field)
    }
    expect(workspace.get('wires', 'wire-or-rod')?.name).toBe('Wire')
  })
})
