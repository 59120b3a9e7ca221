/** For tests: chooses in a PickField as somebody does who opens its list. */
import type { VueWrapper } from '@vue/test-utils'

/** @param label of the field, or its name where no label stands above it */
export async function pick(wrapper: VueWrapper, label: string, value: unknown): Promise<void> {
  const field = wrapper
    .findAllComponents({ name: 'PickField' })
    .find((one) => [one.props('label'), one.props('name')].includes(label))
  if (!field) throw new Error(`no choice called ${label}`)
  const select = field.findComponent({ name: 'VSelect' })
  const offered = (select.props('items') as readonly { value: unknown }[]).map((one) => one.value)
  if (!offered.includes(value)) throw new Error(`${label} offers ${offered.join(', ')}, not ${String(value)}`)
  await select.setValue(value)
}
