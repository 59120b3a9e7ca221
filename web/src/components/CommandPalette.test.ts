/** The palette by its keys: what is typed is found, Enter does it, Escape leaves. */
import { flushPromises, mount } from '@vue/test-utils'
import { expect, it, vi } from 'vitest'
import { defineComponent, h } from 'vue'
import { createMemoryHistory, createRouter, type RouteRecordRaw } from 'vue-router'
import { routes } from '../router.ts'
import { demoWorkspace } from '../testing/demo.ts'
import { NO_KEYS } from '../useEarlyKeys.ts'
import CommandPalette from './CommandPalette.vue'

/** The addresses alone: what stands there is not looked at. */
const addresses = routes.map((route) => ({ ...route, component: () => h('p') }) as RouteRecordRaw)
/** Shows what is in it. That a dialog closes by itself is not counted on. */
const VDialog = defineComponent(
  (_props, { slots }) =>
    () =>
      h('div', slots['default']?.()),
)

async function palette() {
  await demoWorkspace()
  const router = createRouter({ history: createMemoryHistory(), routes: addresses })
  await router.push('/jobs')
  const nothing = (): void => undefined
  const actions = { undo: nothing, redo: nothing, switchUnits: nothing, newJob: nothing, showHelp: nothing }
  const wrapper = mount(CommandPalette, {
    props: { actions, early: NO_KEYS, modelValue: true },
    global: { plugins: [router], stubs: { VDialog } },
    attachTo: document.body,
  })
  const field = wrapper.get('input')
  return { wrapper, router, field, closed: () => wrapper.emitted('update:modelValue') }
}

it('is left by Escape, before the dialog around it knows that it is on top', async () => {
  const { field, closed } = await palette()
  const heard = vi.fn()
  window.addEventListener('keydown', heard)
  await field.trigger('keydown', { key: 'a' })
  expect([closed(), heard.mock.calls.length]).toEqual([undefined, 1])
  await field.trigger('keydown', { key: 'Escape' })
  window.removeEventListener('keydown', heard)
  // Nothing else is left by the same key.
  expect([closed(), heard.mock.calls.length]).toEqual([[[false]], 1])
})

it('does what is chosen, and is gone', async () => {
  const { wrapper, router, field, closed } = await palette()
  await field.setValue('press frame')
  expect(wrapper.get('[aria-selected=true]').text()).toMatch(/Press frame/)
  await field.trigger('keydown', { key: 'ArrowUp' })
  const last = wrapper.findAll('[role=option]').at(-1)
  expect(last?.attributes('aria-selected')).toBe('true')
  await field.trigger('keydown', { key: 'ArrowDown' })
  await field.trigger('keydown', { key: 'Enter' })
  await flushPromises()
  expect(closed()).toEqual([[false]])
  expect(router.currentRoute.value.fullPath).toMatch(/^\/jobs\/press-frame/)
})
