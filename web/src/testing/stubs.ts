/* eslint-disable vue/one-component-per-file -- two of a few lines */
/** For tests: what Vuetify lays out by sizes that a test does not have. */
import { defineComponent, h } from 'vue'

/** Shows every item. Which are in sight is the library's own affair. */
export const VVirtualScroll = defineComponent({
  props: { items: { type: Array, required: true } },
  setup: (props, { slots, expose }) => {
    expose({ scrollToIndex: () => undefined })
    return () =>
      h(
        'div',
        props.items.map((item) => slots['default']?.({ item })),
      )
  },
})

export const VNavigationDrawer = defineComponent({
  props: { modelValue: { type: Boolean, default: false } },
  setup: (props, { slots }) => {
    return () => (props.modelValue ? h('aside', slots['default']?.()) : null)
  },
})
