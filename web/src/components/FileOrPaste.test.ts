import { flushPromises, mount } from '@vue/test-utils'
import { expect, it } from 'vitest'
import FileOrPaste from './FileOrPaste.vue'

const field = () =>
  mount(FileOrPaste, {
    props: { what: 'a weld list', choose: 'Choose a CSV file', paste: 'paste rows here', accept: '.csv' },
  })

async function chooseFile(wrapper: ReturnType<typeof field>, file: File): Promise<void> {
  const input = wrapper.get('input[type=file]')
  Object.defineProperty(input.element, 'files', { value: [file], configurable: true })
  await input.trigger('change')
  await flushPromises()
}

it('hands on a chosen file with its name', async () => {
  const wrapper = field()
  await chooseFile(wrapper, new File(['count\n4'], 'rows.csv'))
  expect(wrapper.emitted('take')).toEqual([['count\n4', 'rows.csv']])
})

it('refuses what is far too large, and hands nothing on', async () => {
  const wrapper = field()
  await chooseFile(wrapper, new File([new Uint8Array(41_000_000)], 'film.csv'))
  expect(wrapper.emitted('take')).toBeUndefined()
  expect(wrapper.emitted('refuse')?.[0]?.[0]).toContain('film.csv has 41 MB; a weld list has at most 40 MB')
})

it('takes pasted text whole and keeps it out of the field', async () => {
  const wrapper = field()
  const area = wrapper.get('textarea')
  const event = new Event('paste', { cancelable: true, bubbles: true })
  Object.assign(event, { clipboardData: { getData: () => 'count\n4\n5' } })
  area.element.dispatchEvent(event)
  expect(wrapper.emitted('take')).toEqual([['count\n4\n5', 'what was pasted']])
  expect(event.defaultPrevented).toBe(true)
})

it('takes what is typed, key by key, and names the field', async () => {
  const wrapper = field()
  await wrapper.get('textarea').setValue('count')
  expect(wrapper.emitted('take')).toEqual([['count', 'what was typed']])
  expect(wrapper.get('textarea').attributes('aria-label')).toBe('Or paste rows here')
})
