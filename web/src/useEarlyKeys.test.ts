import { mount } from '@vue/test-utils'
import { defineComponent, nextTick, ref } from 'vue'
import { describe, expect, it } from 'vitest'
import { createMemoryHistory, createRouter } from 'vue-router'
import CommandPalette from './components/CommandPalette.vue'
import { afterKey, NO_KEYS, useEarlyKeys } from './useEarlyKeys.ts'
import { demoWorkspace } from './testing/demo.ts'

const written = (...keys: readonly string[]) => keys.reduce(afterKey, NO_KEYS)

describe('keys that come early', () => {
  it('write what they would have written, back step and all', () => {
    expect(written('f', 'i', 't', ' ', 'l')).toEqual({ text: 'fit l', isEntered: false })
    expect(written('f', 'x', 'Backspace', 'i')).toEqual({ text: 'fi', isEntered: false })
    expect(written('Backspace', 'Shift', 'ArrowDown', 'a')).toEqual({ text: 'a', isEntered: false })
  })
  it('end with Enter: what comes then is for another', () => {
    expect(written('f', 'Enter', 'x', 'Enter')).toEqual({ text: 'f', isEntered: true })
  })
  it('are kept as long as something is awaited, without those that are held with Control', () => {
    const isAwaited = ref(false)
    const kept: { keys?: ReturnType<typeof useEarlyKeys> } = {}
    const wrapper = mount(
      defineComponent({
        setup() {
          kept.keys = useEarlyKeys(isAwaited)
          return () => null
        },
      }),
    )
    const press = (key: string, ctrlKey = false) => {
      const event = new KeyboardEvent('keydown', { key, ctrlKey, cancelable: true, bubbles: true })
      window.dispatchEvent(event)
      return event.defaultPrevented
    }
    expect(press('a')).toBe(false)
    isAwaited.value = true
    expect([press('b'), press('c', true), press('d')]).toEqual([true, false, true])
    isAwaited.value = false
    press('e')
    expect(kept.keys?.value.text).toBe('bd')
    wrapper.unmount()
  })
})

describe('the palette that was asked for before it was there', () => {
  it('begins with what was typed, and runs it where Enter was pressed', async () => {
    await demoWorkspace()
    const run: string[] = []
    const actions = {
      undo: () => run.push('undo'),
      redo: () => run.push('redo'),
      switchUnits: () => run.push('units'),
      newJob: () => run.push('job'),
      showHelp: () => run.push('help'),
    }
    const router = createRouter({ history: createMemoryHistory(), routes: [{ path: '/', component: {} }] })
    const open = (early: { text: string; isEntered: boolean }) =>
      mount(CommandPalette, {
        props: { modelValue: true, actions, early },
        attachTo: document.body,
        global: { plugins: [router], stubs: { VDialog: { template: '<div><slot /></div>' } } },
      })
    const waiting = open({ text: 'new jo', isEntered: false })
    await nextTick()
    expect(waiting.get('input').element.value).toBe('new jo')
    expect(waiting.emitted('there')).toHaveLength(1)
    expect(run).toEqual([])
    waiting.unmount()
    const entered = open({ text: 'new job', isEntered: true })
    expect(run).toEqual(['job'])
    expect(entered.emitted('update:modelValue')).toEqual([[false]])
    entered.unmount()
  })
})
