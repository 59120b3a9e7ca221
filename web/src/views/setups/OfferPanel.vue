<script setup lang="ts">
import {
  type Capability,
  type Demand,
  followersOf,
  inStockFor,
  type Offer,
  pathOfSlot,
  offersFor,
  sentenceOf,
  type Shelf,
  type Slot,
  slotText,
} from '@brannik/core'
import { computed, nextTick, ref, useTemplateRef, watch } from 'vue'
import TypedField from '../../components/TypedField.vue'
import VerdictMark from '../../components/VerdictMark.vue'
import { matcher, searchable } from '../../search/search.ts'
import { useMoney } from '../../stores/useMoney.ts'
import { usePrint } from '../../stores/usePrint.ts'
import { useWorkspace } from '../../shop/workspace.ts'
import { holdingOf, summaryOf } from '../equipment/words.ts'

/** What the shelf offers for one place: what fits first; what does not is greyed, with the reason. */
const { capability, demand, place, shelf, optional } = defineProps<{
  capability: Capability
  demand: Demand | null
  place: Slot
  shelf: Shelf
  /** Whether the place may stay empty. */
  optional: boolean
}>()
const emit = defineEmits<{ choose: [id: string | null]; close: [] }>()

const workspace = useWorkspace()
const { spell } = usePrint()
const money = useMoney()
const search = ref('')
const field = useTemplateRef<InstanceType<typeof TypedField>>('field')
const list = ref<HTMLElement | null>(null)
watch(
  () => place,
  async () => {
    search.value = ''
    await nextTick()
    field.value?.focus()
  },
  { immediate: true },
)

const ROW = 58
const words = computed(() => slotText(workspace.speech, place, capability.process))
const offers = computed(() => offersFor(place, capability, demand, shelf))
const said = (reason: Offer['reasons'][number]): string => sentenceOf(workspace.speech, reason)
const summary = ({ item }: Offer): string => summaryOf(pathOfSlot(place), item as never, workspace.notation)
const shown = computed(() => {
  if (search.value.trim() === '') return offers.value
  const matches = matcher(search.value)
  return offers.value.filter((offer) => matches(searchable(`${offer.item.name} ${summary(offer)}`)))
})
/** Parts of the shelf that would follow a greyed one and make it go: reckoned for the rows in sight alone. */
const known = computed(() => {
  // Another set-up has other followers.
  void [capability, place]
  return new Map<string, string>()
})
function follows({ item, verdict }: Offer): string {
  if (verdict !== 'fails') return ''
  const has = known.value.get(item.id)
  if (has !== undefined) return has
  const slots = followersOf(place, item as never, capability, demand, shelf) ?? []
  const made = slots.map((slot) => slotText(workspace.speech, slot, capability.process)).join(', ')
  known.value.set(item.id, made)
  return made
}
/** Arrow keys go from choice to choice, and from the first back to the search. */
function walk(by: number): void {
  const rows = [...(list.value?.querySelectorAll<HTMLElement>('[data-offer]') ?? [])]
  const next = rows.findIndex((row) => row === document.activeElement) + by
  if (next < 0) field.value?.focus()
  else rows[Math.min(next, rows.length - 1)]?.focus()
}
const fitting = computed(() => offers.value.filter(({ verdict }) => verdict !== 'fails').length)
const here = computed(() => capability[place]?.id ?? null)
function stock(offer: Offer): string {
  const amount = inStockFor(place, shelf.stock, offer.item)
  const {
    words: held,
    price,
    isHere,
  } = holdingOf(pathOfSlot(place), offer.item as never, amount, workspace.notation)
  return !isHere && price !== null ? `${held}, ${money(price)}` : held
}
</script>

<template>
  <section class="offers" :aria-label="`Choices for the ${words}`">
    <header>
      <h2>Choose the {{ words }}</h2>
      <span class="label" role="status">{{ fitting }} of {{ offers.length }} fit the rest</span>
      <button class="link-button" @click="emit('close')">Back to the checks</button>
    </header>
    <TypedField
      ref="field"
      v-model="search"
      name="Search the choices"
      type="search"
      :placeholder="`Search ${offers.length}`"
      @keydown.esc="emit('close')"
      @keydown.down.prevent="walk(1)"
    />
    <p v-if="shown.length === 0" class="quiet">
      {{ offers.length === 0 ? `No ${words} listed. Add one under Shop, or from the library.` : 'No match.' }}
    </p>
    <div
      ref="list"
      class="list"
      role="list"
      @keydown.down.prevent="walk(1)"
      @keydown.up.prevent="walk(-1)"
      @keydown.esc="emit('close')"
    >
      <VVirtualScroll :items="[...shown]" :item-height="ROW" height="100%">
        <template #default="{ item: offer }">
          <div role="listitem">
            <button
              class="pick offer"
              :class="{ grey: offer.verdict === 'fails', here: offer.item.id === here }"
              :aria-current="offer.item.id === here"
              :data-offer="offer.item.id"
              @click="emit('choose', offer.item.id)"
            >
              <VerdictMark :verdict="offer.verdict" :word="false" />
              <span class="name one-line"
                >{{ offer.item.name
                }}<span v-if="follows(offer)" class="follows"> · fits, with {{ follows(offer) }}</span></span
              >
              <span class="stock label">{{ offer.item.id === here ? 'chosen' : stock(offer) }}</span>
              <span v-if="offer.reasons[0]" v-tip="offer.reasons.map(said).join('\n')" class="reason one-line"
                >{{ said(offer.reasons[0])
                }}<template v-if="offer.reasons.length > 1">
                  · and {{ offer.reasons.length - 1 }} more</template
                ></span
              >
              <span v-else class="label reason one-line">{{ summary(offer) }}</span>
            </button>
          </div>
        </template>
      </VVirtualScroll>
    </div>
    <footer>
      <span class="label">{{
        spell('Greyed items do not fit the rest. You can choose one and change the rest after.')
      }}</span>
      <button v-if="optional && here !== null" class="link-button" @click="emit('choose', null)">
        Leave empty
      </button>
    </footer>
  </section>
</template>

<style scoped>
.offers {
  display: grid;
  gap: 8px;
  grid-template-rows: auto auto minmax(0, 1fr) auto;
  height: 100%;
  min-height: 0;
  padding: 12px 16px;
}
header,
footer {
  align-items: baseline;
  display: flex;
  flex-wrap: wrap;
  gap: 4px 12px;
  justify-content: space-between;
}
h2 {
  font-size: var(--text-l);
  font-weight: 700;
}
input {
  width: 100%;
}
.list {
  min-height: 160px;
}
.offer {
  align-items: center;
  gap: 0 10px;
  grid-template-columns: 16px minmax(0, 1fr) auto;
  height: 58px;
  padding: 4px 8px;
}
.name {
  font-weight: 600;
}
.reason {
  font-size: var(--text-s);
  grid-column: 2 / -1;
}
.follows {
  color: var(--ink);
  font-size: var(--text-s);
  font-weight: 400;
}
.offer.grey,
.grey .name {
  color: var(--ink-3);
  font-weight: 400;
}
.grey .reason {
  color: var(--fails);
}
</style>
