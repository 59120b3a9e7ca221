import { mount } from '@vue/test-utils'
import { createPinia, setActivePinia } from 'pinia'
import { afterEach, beforeEach, expect, it, vi } from 'vitest'
import { defineComponent, h } from 'vue'
import { useNotice } from '../stores/notice.ts'
import NoticeBar from './NoticeBar.vue'

beforeEach(() => {
  setActivePinia(createPinia())
  vi.useFakeTimers()
})
afterEach(() => vi.useRealTimers())

/** What floats is drawn in place. */
const VSnackbar = defineComponent({
  props: { modelValue: Boolean },
  setup:
    (props, { slots }) =>
    () =>
      props.modelValue ? h('div', slots['default']?.()) : null,
})
const shown = () => {
  const notice = useNotice()
  notice.show('Weld deleted', true)
  return { notice, bar: mount(NoticeBar, { global: { stubs: { VSnackbar } } }) }
}

it('goes after its time, and a new one has its time anew', async () => {
  const { notice, bar } = shown()
  await vi.advanceTimersByTimeAsync(7000)
  notice.show('Another weld is deleted', true)
  await vi.advanceTimersByTimeAsync(7000)
  expect(bar.text()).toContain('Another weld')
  await vi.advanceTimersByTimeAsync(1500)
  expect(notice.shown).toBe(false)
})

it('stays while Undo has the focus or the pointer is on it', async () => {
  for (const [on, off] of [
    ['focusin', 'focusout'],
    ['mouseenter', 'mouseleave'],
  ] as const) {
    const { notice, bar } = shown()
    await bar.get('[role=status]').trigger(on)
    await vi.advanceTimersByTimeAsync(60_000)
    expect(notice.shown, on).toBe(true)
    await bar.get('[role=status]').trigger(off)
    await vi.advanceTimersByTimeAsync(9000)
    expect(notice.shown, off).toBe(false)
    bar.unmount()
  }
})

it('undoes once and goes', async () => {
  const { notice, bar } = shown()
  await bar.get('button').trigger('click')
  expect(bar.emitted('undo')).toHaveLength(1)
  expect(notice.shown).toBe(false)
})
