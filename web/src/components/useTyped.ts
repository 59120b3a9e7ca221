/**
 * How every field works that is typed into. The text belongs to the field until it stands. A text that stands is looked
 * at everywhere at once and stored when the field is left; one that does not stays, marked, with the reason beside it,
 * and the record has what it had before. Escape gives the old text back.
 */
import { computed, onBeforeUnmount, ref, watch } from 'vue'
import { useTyping } from '../shop/typing.ts'

/** What a text was read as; `understood` is shown beside what was typed. */
export type Read<T> =
  | { readonly ok: true; readonly value: T; readonly understood?: string }
  | { readonly ok: false; readonly message: string }

interface Typed<T> {
  /** What the record has now. */
  readonly value: () => T
  /** That, as it is written. */
  readonly printed: () => string
  /** @param before what the record had before anything was typed */
  readonly read: (text: string, before: T) => Read<T>
  readonly take: (value: T) => void
}

export function useTyped<T>({ value, printed, read, take }: Typed<T>) {
  const typing = useTyping()
  const me = Symbol('field')
  const text = ref(printed())
  const isFocused = ref(false)
  const refusal = ref<string | null>(null)
  const understood = ref<string | null>(null)
  /** What there was before the first key; null where nothing is typed that the record does not have. */
  let before: { readonly value: T; readonly text: string } | null = null

  function rest(shown: string): void {
    text.value = shown
    before = null
    refusal.value = null
    understood.value = null
  }
  const give = (given: T): void => {
    if (!Object.is(given, value())) take(given)
  }

  function input(typed: string): void {
    before ??= { value: value(), text: text.value }
    typing.enter(me)
    text.value = typed
    if (typed === before.text) {
      // Taken back key by key, or by Ctrl Z: nothing is typed.
      give(before.value)
      rest(typed)
      typing.leave(me)
      return
    }
    const answer = read(typed, before.value)
    refusal.value = answer.ok ? null : answer.message
    understood.value = answer.ok ? (answer.understood ?? null) : null
    give(answer.ok ? answer.value : before.value)
  }
  /** Left, or Enter: what stands is written as the shop writes it. */
  function settle(): void {
    if (before !== null && refusal.value === null) rest(printed())
    typing.leave(me)
  }
  function leave(): void {
    isFocused.value = false
    settle()
  }
  function giveUp(event: Event): void {
    if (before === null) return
    // The first Escape is the field's, the next one the dialog's.
    event.stopPropagation()
    give(before.value)
    rest(before.text)
    typing.leave(me)
  }

  // Changed from outside (undo, other units): the text follows, unless somebody is typing or a refused one would be lost.
  watch(printed, (now) => {
    if (before === null) text.value = now
    else if (!isFocused.value && (refusal.value === null || !Object.is(value(), before.value))) rest(now)
  })
  onBeforeUnmount(() => typing.leave(me))

  return {
    text,
    refusal,
    isFocused,
    hint: computed(() =>
      isFocused.value && understood.value !== null && understood.value !== text.value.trim()
        ? understood.value
        : null,
    ),
    input,
    enter: () => (isFocused.value = true),
    leave,
    settle,
    giveUp,
  }
}
