/** `v-tip`: what has words is marked, says them to those who hear the page, and forgets them with them. */
import { mount } from '@vue/test-utils'
import { expect, it } from 'vitest'
import { defineComponent, h, withDirectives } from 'vue'
import { TIP, tipOf, vTip } from './tip.ts'

const Bearer = defineComponent({
  props: { words: { type: String, required: true }, label: { type: String, required: true } },
  setup: (props) => () =>
    withDirectives(h('button', { 'aria-label': props.label || undefined }), [[vTip, props.words]]),
})
const said = (words: string, label = '') => {
  const wrapper = mount(Bearer, { props: { words, label } })
  const look = () => [
    tipOf(wrapper.element),
    wrapper.element.matches(`[${TIP}]`),
    wrapper.attributes('aria-description'),
  ]
  return { wrapper, look }
}

it('follows its words as they change, come and go', async () => {
  const { wrapper, look } = said('needs 123 A')
  expect(look()).toEqual(['needs 123 A', true, 'needs 123 A'])
  await wrapper.setProps({ words: 'needs 131 A' })
  expect(look()).toEqual(['needs 131 A', true, 'needs 131 A'])
  await wrapper.setProps({ words: '' })
  expect(look()).toEqual(['', false, undefined])
  await wrapper.setProps({ words: 'needs 90 A' })
  expect(look()).toEqual(['needs 90 A', true, 'needs 90 A'])
})

it('is not heard twice where it is the name itself, or becomes it', async () => {
  const { wrapper, look } = said('Open this set-up', 'Open this set-up')
  expect(look()).toEqual(['Open this set-up', true, undefined])
  await wrapper.setProps({ words: 'Bay 2 wire' })
  expect(look()).toEqual(['Bay 2 wire', true, 'Bay 2 wire'])
  await wrapper.setProps({ words: 'Open this set-up' })
  expect(look()).toEqual(['Open this set-up', true, undefined])
  expect(tipOf(document.createElement('b'))).toBe('')
})
