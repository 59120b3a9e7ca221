import { defineComponent, h } from 'vue'

/** For tests: a virtual list that shows every item. Which are in sight is the library's own affair. */
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
