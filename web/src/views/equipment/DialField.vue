<script setup lang="ts">
import { dialMarks, OPEN, parseQuantity, printQuantity } from '@brannik/core'
import { computed } from 'vue'
import type { Read } from '../../components/useTyped.ts'
import ValueField from '../../components/ValueField.vue'
import { useWorkspace } from '../../shop/workspace.ts'

/**
 * What a dial or a tap gives, as the shop measured it: `A = 16.4; B = 18.1`. What cannot be read stays in the field and
 * changes nothing.
 */
interface Mark {
  readonly mark: string
  readonly value: number
}
const { of, name } = defineProps<{
  of: 'volts' | 'feed'
  name: string
  wrong: string | null
}>()
const model = defineModel<readonly Mark[]>({ required: true })

const workspace = useWorkspace()

const readVolts = (typed: string) => {
  const value = Number(typed.replace(',', '.'))
  return Number.isFinite(value) && typed !== ''
    ? ({ ok: true, value } as const)
    : ({ ok: false, message: '' } as const)
}
const cell = computed(() =>
  of === 'volts'
    ? dialMarks({ print: String, read: readVolts }, 'A = 16.4; B = 18.1')
    : dialMarks(
        {
          print: (value) => printQuantity('wireFeedSpeed', Number(value), workspace.notation),
          read: (typed) => {
            const read = parseQuantity('wireFeedSpeed', typed, workspace.notation)
            return read.ok ? { ok: true, value: read.value } : { ok: false, message: read.problem.message }
          },
        },
        `3 = ${printQuantity('wireFeedSpeed', 4572, workspace.notation)}`,
      ),
)
const printed = computed(() => cell.value.print(model.value))
function read(text: string): Read<readonly Mark[]> {
  const answer = cell.value.read(text, OPEN)
  return answer.ok ? { ok: true, value: answer.value as readonly Mark[] } : answer
}
</script>

<template>
  <ValueField
    v-model="model"
    :printed="printed"
    :read="read"
    :name="name"
    :wrong="wrong"
    placeholder="not measured"
  />
</template>
