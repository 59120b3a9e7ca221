import { mount } from '@vue/test-utils'
import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, expect, it } from 'vitest'
import QuantityField from './QuantityField.vue'

beforeEach(() => {
  setActivePinia(createPinia())
})

const field = (modelValue: number | null, optional = '') => {
  const wrapper = mount(QuantityField, {
    props: {
      kind: 'thickness' as const,
      label: 'Thickness',
      metal: 'stainless' as const,
      optional,
      modelValue,
      'onUpdate:modelValue': (value: number | null) => wrapper.setProps({ modelValue: value }),
    },
  })
  return wrapper
}

it('prints the value it is given, and follows it when it changes elsewhere', async () => {
  const wrapper = field(6.35)
  expect(wrapper.find('input').element.value).toBe('1/4 in')
  await wrapper.setProps({ modelValue: 3.175 })
  expect(wrapper.find('input').element.value).toBe('1/8 in')
})

it('passes on a readable value at every key, and leaves the text alone until the field is left', async () => {
  const wrapper = field(6.35)
  const input = wrapper.find('input')
  await input.trigger('focus')
  await input.setValue('16 ga')
  expect(wrapper.emitted('update:modelValue')?.at(-1)).toEqual([0.0625 * 25.4])
  expect(input.element.value).toBe('16 ga')
  expect(wrapper.text()).toContain('16 ga stainless sheet = 0.0625 in')
  await input.trigger('blur')
  expect(input.element.value).toBe('1/16 in')
})

it('keeps text that it cannot read, says why, and passes nothing on', async () => {
  const wrapper = field(6.35)
  const input = wrapper.find('input')
  await input.trigger('focus')
  await input.setValue('1/8 ga')
  await input.trigger('blur')
  expect(input.element.value).toBe('1/8 ga')
  expect(wrapper.find('[role=alert]').text()).toContain('a gauge is a whole number')
  expect(wrapper.emitted('update:modelValue')).toBeUndefined()
})

it('may be empty only where empty means something', async () => {
  const must = field(6.35)
  await must.find('input').setValue('')
  expect(must.find('[role=alert]').text()).toContain('is empty')
  const may = field(6.35, 'as the other part')
  await may.find('input').setValue('')
  expect(may.emitted('update:modelValue')?.at(-1)).toEqual([null])
})
