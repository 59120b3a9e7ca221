import { defineComponent, h } from 'vue'

/** For tests: a choice as its value and a way to change it. */
export const ChoiceField = defineComponent({
  props: { label: { type: String, default: '' }, modelValue: { type: String, default: null } },
  emits: ['update:modelValue'],
  setup: (props, { emit }) => {
    const onChange = (event: Event) => {
      emit('update:modelValue', (event.target as HTMLInputElement).value)
    }
    return () => h('input', { 'data-choice': props.label, value: props.modelValue, onChange })
  },
})
