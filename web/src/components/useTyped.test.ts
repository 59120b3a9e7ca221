/** How every field works that is typed into, key by key; and when what was typed is stored. */
import { mount } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { nextTick } from 'vue'
import { useTyping } from '../shop/typing.ts'
import { demoWorkspace } from '../testing/demo.ts'
import { useWorkspace } from '../shop/workspace.ts'
import TextCell from './TextCell.vue'
import TextField from './TextField.vue'
import type { Read } from './useTyped.ts'
import ValueField from './ValueField.vue'

beforeEach(async () => {
  await demoWorkspace()
})

const EVEN: (text: string) => Read<number> = (text) =>
  Number(text) % 2 === 0 && text !== ''
    ? { ok: true, value: Number(text), understood: `${text} pieces` }
    : { ok: false, message: `“${text}” is odd` }

/** A field on a value that its owner takes: what was taken, in order, and what is typed key by key. */
function evenField() {
  const taken: number[] = []
  const wrapper = mount(ValueField as typeof ValueField<number>, {
    props: {
      label: 'Pairs',
      printed: '8',
      read: EVEN,
      modelValue: 8,
      'onUpdate:modelValue': (value: number) => {
        taken.push(value)
        void wrapper.setProps({ modelValue: value, printed: `${value}` })
      },
    },
  })
  const input = wrapper.get('input')
  const type = async (text: string) => {
    await input.trigger('focus')
    for (let at = 1; at <= text.length; at += 1) await input.setValue(text.slice(0, at))
  }
  return { wrapper, input, taken, type }
}

describe('a field', () => {
  it('shows at once what stands, and says beside it how it was understood', async () => {
    const { wrapper, taken, type } = evenField()
    await type('24')
    expect(taken).toEqual([2, 24])
    expect(wrapper.get('.hint').text()).toBe('24 pieces')
  })

  it('of a text that does not stand keeps the text and gives the record back what it had', async () => {
    const { wrapper, input, taken, type } = evenField()
    await type('23')
    expect(taken).toEqual([2, 8])
    await input.trigger('blur')
    expect(input.element.value).toBe('23')
    expect(input.attributes('aria-invalid')).toBe('true')
    expect(wrapper.get('[role=alert]').text()).toBe('“23” is odd')
    // Mended later, it is taken.
    await input.trigger('focus')
    await input.setValue('234')
    await input.trigger('blur')
    expect(taken.at(-1)).toBe(234)
    expect(wrapper.find('[role=alert]').exists()).toBe(false)
  })

  it('gives the old text back on Escape, and only then lets Escape go on', async () => {
    const { input, taken, type } = evenField()
    await type('64')
    const [first, second] = [0, 1].map(
      () => new KeyboardEvent('keydown', { key: 'Escape', bubbles: true, cancelable: true }),
    )
    const heard = vi.fn()
    document.body.append(input.element.getRootNode() as Node)
    document.body.addEventListener('keydown', heard)
    input.element.dispatchEvent(first as Event)
    await nextTick()
    expect([taken.at(-1), input.element.value]).toEqual([8, '8'])
    const before = heard.mock.calls.length
    input.element.dispatchEvent(second as Event)
    expect(heard.mock.calls.length).toBe(before + 1)
    document.body.removeEventListener('keydown', heard)
  })

  it('follows a change from elsewhere, but not while somebody types, nor over a text that was refused', async () => {
    const { wrapper, input, type } = evenField()
    await wrapper.setProps({ printed: '8 pcs' })
    expect(input.element.value).toBe('8 pcs')
    await type('13')
    await wrapper.setProps({ printed: '8,0' })
    expect(input.element.value).toBe('13')
    await input.trigger('blur')
    await wrapper.setProps({ printed: '8' })
    expect(input.element.value).toBe('13')
    await wrapper.setProps({ modelValue: 10, printed: '10' })
    expect(input.element.value).toBe('10')
  })

  it('taken back key by key holds nothing typed: the next undo is the shop’s', async () => {
    const { input, taken, type } = evenField()
    const typing = useTyping()
    await type('84')
    expect([typing.isOpen, taken]).toEqual([true, [84]])
    await input.setValue('8')
    expect([typing.isOpen, taken]).toEqual([false, [84, 8]])
  })

  it('takes a space in a name, and only a name that stands', async () => {
    const names: string[] = []
    const wrapper = mount(TextField, {
      props: {
        label: 'Job',
        most: 12,
        empty: 'The name is empty.',
        modelValue: 'Press frame',
        'onUpdate:modelValue': (name: string) => {
          names.push(name)
          void wrapper.setProps({ modelValue: name })
        },
      },
    })
    const input = wrapper.get('input')
    await input.trigger('focus')
    for (const text of ['G', 'Gate', 'Gate ', 'Gate 2 '])
      await input.setValue(text).then(() => expect(input.element.value).toBe(text))
    expect(names.at(-1)).toBe('Gate 2')
    await input.setValue('A name of more than twelve')
    expect(names.at(-1)).toBe('Press frame')
    await input.setValue('')
    expect(wrapper.get('[role=alert]').text()).toBe('The name is empty.')
    await input.setValue(' Gate 3 ')
    await input.trigger('blur')
    expect([input.element.value, names.at(-1)]).toEqual(['Gate 3', 'Gate 3'])
  })

  it('a cell tells its line what it has to say', async () => {
    const wrapper = mount(TextCell as typeof TextCell<number>, {
      props: { printed: '8', label: 'Pairs', read: EVEN, toldBy: 'line', modelValue: 8 },
    })
    const input = wrapper.get('input')
    await input.trigger('focus')
    await input.setValue('3')
    expect(wrapper.emitted('told')?.at(-1)).toEqual([{ text: '“3” is odd', isWrong: true }])
    expect(input.attributes('aria-describedby')).toBe('line')
    await input.setValue('36')
    expect(wrapper.emitted('told')?.at(-1)).toEqual([{ text: '36 pieces', isWrong: false }])
    await input.trigger('blur')
    expect(wrapper.emitted('told')?.at(-1)).toEqual([null])
  })
})

describe('what is typed', () => {
  const kept = () => Object.keys(localStorage).filter((key) => key.includes('jobs/press-frame'))
  const rename = (name: string) => {
    const workspace = useWorkspace()
    const job = workspace.get('jobs', 'press-frame')
    if (job) workspace.edit('jobs', job.id, { ...job, name }, 'name of the job')
  }

  it('is stored and kept when the field is left, not before; and undoes as one', () => {
    const [workspace, typing, field] = [useWorkspace(), useTyping(), Symbol('field')]
    const was = workspace.get('jobs', 'press-frame')?.name
    typing.enter(field)
    rename('G')
    rename('Gate')
    expect(workspace.get('jobs', 'press-frame')?.name).toBe('Gate')
    expect([workspace.saves.size, kept()]).toEqual([0, []])
    typing.leave(field)
    expect(workspace.saves.get('jobs/press-frame')?.record).toMatchObject({ name: 'Gate' })
    expect(kept()).toHaveLength(1)
    workspace.undo()
    expect(workspace.get('jobs', 'press-frame')?.name).toBe(was)
  })

  it('and given up again is neither stored nor a step of the undo', () => {
    const [workspace, typing, field] = [useWorkspace(), useTyping(), Symbol('field')]
    const was = workspace.get('jobs', 'press-frame')?.name ?? ''
    typing.enter(field)
    rename('Gate')
    rename(was)
    typing.leave(field)
    expect([workspace.saves.size, workspace.canUndo, kept()]).toEqual([0, false, []])
  })

  it('is stored when the page is closed with the field still open', () => {
    const [workspace, typing] = [useWorkspace(), useTyping()]
    typing.enter(Symbol('field'))
    rename('Gate')
    window.dispatchEvent(new Event('pagehide'))
    expect(workspace.saves.get('jobs/press-frame')?.record).toMatchObject({ name: 'Gate' })
  })
})
