<script setup lang="ts">
import { computed, nextTick, onMounted, ref, shallowRef, watch } from 'vue'
import type { EarlyKeys } from '../useEarlyKeys.ts'
import { finder } from '../search/finder.ts'
import { useFocusReturn } from './useFocusReturn.ts'
import { type Actions, type Command, useCommands } from '../useCommands.ts'

/** Finds everything of the shop by its name, and does what can be done anywhere. */
const { actions, early } = defineProps<{
  actions: Actions
  /** What was typed before this was there: the first opening begins with it. */
  early: EarlyKeys
}>()
const emit = defineEmits<{ there: [] }>()
const commands = useCommands(actions)
const open = defineModel<boolean>({ required: true })
useFocusReturn(open)

const MOST = 12
/** Longer than that it is no button’s name but what a card holds. */
const MOST_TITLE = 90
const text = ref('')
const at = ref(0)
const input = ref<HTMLInputElement | null>(null)

/** What the open view has to press, as it stood when this opened: whatever a button does is done from here too. */
const here = shallowRef<readonly Command[]>([])
const nameOf = (element: HTMLElement): string =>
  (element.getAttribute('aria-label') ?? element.innerText).replace(/\s+/g, ' ').trim()
function lookAround(): void {
  const seen = new Set<string>()
  here.value = [
    ...document.querySelectorAll<HTMLElement>('main :is(button, a.plain-button, [role=tab]):not(:disabled)'),
  ].flatMap((element) => {
    const title = nameOf(element)
    if (title === '' || title.length > MOST_TITLE || seen.has(title) || element.offsetParent === null)
      return []
    seen.add(title)
    return [
      {
        group: 'On this page',
        title,
        run: () => {
          element.focus()
          element.click()
        },
      },
    ]
  })
}
const all = computed(() => [...commands.value, ...here.value])
const find = computed(() => finder(all.value))
const found = computed(() => (text.value.trim() === '' ? all.value : find.value(text.value)).slice(0, MOST))

async function begin(typed: string): Promise<void> {
  lookAround()
  text.value = typed
  at.value = 0
  await nextTick()
  input.value?.focus()
}
watch(open, (now) => now && begin(''))
onMounted(() => {
  emit('there')
  if (!open.value) return
  void begin(early.text)
  if (early.isEntered) run(found.value[0])
})
watch(found, () => {
  at.value = 0
})

function move(step: number): void {
  if (found.value.length > 0) at.value = (at.value + step + found.value.length) % found.value.length
}

function run(command: Command | undefined): void {
  if (!command) return
  open.value = false
  command.run()
}
</script>

<template>
  <VDialog v-model="open" width="560" aria-label="Find or do anything" @after-enter="input?.focus()">
    <div class="palette sheet">
      <input
        ref="input"
        v-model="text"
        type="text"
        placeholder="Find or do anything"
        role="combobox"
        aria-expanded="true"
        aria-controls="palette-list"
        aria-label="Find or do anything"
        :aria-activedescendant="found.length > 0 ? `palette-${at}` : undefined"
        @keydown.down.prevent="move(1)"
        @keydown.up.prevent="move(-1)"
        @keydown.enter.prevent="run(found[at])"
        @keydown.esc.stop="open = false"
      />
      <ul id="palette-list" role="listbox" aria-label="Commands">
        <li
          v-for="(command, index) in found"
          :id="`palette-${index}`"
          :key="index"
          role="option"
          :aria-selected="index === at"
          @mousemove="at = index"
          @click="run(command)"
        >
          <span class="group">{{ command.group }}</span>
          <span>{{ command.title }}</span>
          <kbd v-if="command.shortcut">{{ command.shortcut }}</kbd>
        </li>
        <li v-if="found.length === 0" class="none" role="option" aria-selected="false">
          No match. Try a job, a machine, a wire, a place, or a word such as duty cycle.
        </li>
      </ul>
    </div>
  </VDialog>
</template>

<style scoped>
.palette {
  overflow: hidden;
}
input {
  background: transparent;
  border: 0;
  border-bottom: 1px solid var(--line);
  color: var(--ink);
  font-size: var(--text-l);
  outline: none;
  padding: 12px 16px;
  width: 100%;
}
li {
  align-items: baseline;
  cursor: pointer;
  display: grid;
  gap: 12px;
  grid-template-columns: 116px 1fr auto;
  padding: 7px 16px;
}
li[aria-selected='true'] {
  background: var(--sunk);
  box-shadow: inset 3px 0 var(--copper);
}
.group {
  color: var(--ink-2);
  font-size: var(--text-s);
}
.none {
  cursor: default;
  display: block;
}
</style>
