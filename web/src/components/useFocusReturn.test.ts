import { mount } from '@vue/test-utils'
import { expect, it } from 'vitest'
import { defineComponent, h, nextTick, ref } from 'vue'
import { useFocusReturn } from './useFocusReturn.ts'

const open = ref(false)
const page = () =>
  mount(
    defineComponent(() => {
      useFocusReturn(open)
      return () => [
        h('input', { id: 'field' }),
        h('input', { id: 'other' }),
        h('div', { class: 'v-overlay' }, [h('input', { id: 'inside' })]),
      ]
    }),
    { attachTo: document.body },
  )
const at = (id: string) => document.querySelector<HTMLElement>(`#${id}`)
async function walk(before: string, after: string | null): Promise<string | undefined> {
  open.value = false
  await nextTick()
  at(before)?.focus()
  open.value = true
  at('inside')?.focus()
  if (after) at(after)?.focus()
  open.value = false
  await nextTick()
  await nextTick()
  return document.activeElement?.id
}

it('comes back to the field that had it', async () => {
  const wrapper = page()
  expect(await walk('field', null)).toBe('field')
  wrapper.unmount()
})
it('stays where something else took it', async () => {
  const wrapper = page()
  expect(await walk('field', 'other')).toBe('other')
  wrapper.unmount()
})
it('is not taken from another dialog', async () => {
  const wrapper = page()
  const dialog = document.createElement('div')
  dialog.className = 'v-dialog v-overlay--active'
  document.body.append(dialog)
  expect(await walk('field', null)).toBe('inside')
  dialog.remove()
  wrapper.unmount()
})
