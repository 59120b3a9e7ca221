<script setup lang="ts">
import type { Order, OrderLine } from '@brannik/core'
import { computed, ref, shallowRef } from 'vue'
import CountField from '../../components/CountField.vue'
import SheetDialog from '../../components/SheetDialog.vue'
import { dayHere, printDay } from '../../components/dates.ts'
import { useSession } from '../../shop/session.ts'
import { useWorkspace } from '../../shop/workspace.ts'
import { useCountWords } from './countWords.ts'
import type { useOrdering } from './useOrdering.ts'

/** Orders that are placed: when they come, what of them has come, and receiving it. */
const { ordering } = defineProps<{ ordering: ReturnType<typeof useOrdering> }>()
const workspace = useWorkspace()
const session = useSession()
const { say } = useCountWords()
const mayOrder = computed(() => session.mayWrite('orders'))

const placed = computed(() =>
  workspace
    .all('orders')
    .filter(({ state }) => state === 'placed')
    .toSorted((a, b) => (a.expectedOn ?? '9999').localeCompare(b.expectedOn ?? '9999')),
)
const day = (iso: string | null): string =>
  iso === null ? 'no day yet' : printDay(iso, workspace.notation.locale)
const isOverdue = ({ expectedOn }: Order): boolean => expectedOn !== null && expectedOn < dayHere(new Date())
const isAsked = ({ supplierId }: Order): boolean => workspace.get('suppliers', supplierId)?.isAsked === true

const isOpen = ref(false)
const picked = shallowRef<{ readonly order: Order; readonly line: OrderLine } | null>(null)
const packs = ref<number | null>(null)
const problem = ref('')
const left = computed(() => (picked.value ? picked.value.line.packs - picked.value.line.receivedPacks : 0))
function begin(order: Order, line: OrderLine): void {
  picked.value = { order, line }
  packs.value = line.packs - line.receivedPacks
  problem.value = ''
  isOpen.value = true
}
function receive(): void {
  if (!picked.value) return
  if (packs.value === null || packs.value < 1 || packs.value > left.value) {
    problem.value = `Enter 1 to ${left.value}. Receive what is more than ordered under On hand.`
    return
  }
  ordering.receive(picked.value.order, picked.value.line, packs.value)
  isOpen.value = false
}
</script>

<template>
  <section v-if="placed.length > 0" class="sheet way" aria-label="Orders on the way">
    <h2>On the way</h2>
    <article v-for="order in placed" :key="order.id" :aria-label="order.name">
      <header>
        <h3>{{ order.name }}, {{ order.supplierName }}</h3>
        <p :class="{ late: isOverdue(order) }">
          expected {{ day(order.expectedOn) }}{{ isOverdue(order) ? ', overdue' : '' }}
        </p>
        <p class="label">
          {{ order.confirmation ? `confirmed as ${order.confirmation}` : 'not confirmed' }}
        </p>
        <span class="acts screen-only">
          <button
            v-if="isAsked(order) && order.confirmation === null"
            class="plain-button"
            :disabled="!mayOrder || ordering.isAsking.value"
            @click="ordering.send(order)"
          >
            Send again
          </button>
          <button
            class="link-button"
            :disabled="!mayOrder"
            :aria-label="`Cancel ${order.name}`"
            @click="ordering.cancel(order)"
          >
            Cancel order
          </button>
        </span>
      </header>
      <ul>
        <li v-for="line in order.lines" :key="line.item">
          <span>{{ line.name }}</span>
          <span>{{ line.packs }} × {{ say(line.item, line.packSize) }}</span>
          <span class="label">{{ line.receivedPacks }} of {{ line.packs }} received</span>
          <button
            v-if="line.receivedPacks < line.packs"
            class="plain-button screen-only"
            :disabled="!mayOrder"
            :aria-label="`Receive ${line.name} of ${order.name}`"
            @click="begin(order, line)"
          >
            Receive
          </button>
        </li>
      </ul>
    </article>
    <SheetDialog
      v-model="isOpen"
      :title="picked ? `Receive: ${picked.line.name}` : ''"
      :width="380"
      close="Cancel"
    >
      <p class="quiet">{{ left }} not received yet.</p>
      <CountField v-model="packs" label="Packages that came" :least="0" :most="10000" />
      <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
      <template #foot>
        <button class="plain-button main" @click="receive">Receive</button>
      </template>
    </SheetDialog>
  </section>
</template>

<style scoped>
.way {
  padding: 12px 16px;
}
h2 {
  font-size: var(--text-l);
}
h3 {
  font-size: inherit;
  font-weight: 700;
}
article {
  border-top: 1px solid var(--line);
  padding: 6px 0;
}
header {
  align-items: baseline;
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
}
.acts {
  display: flex;
  gap: 8px;
  margin-left: auto;
}
li {
  align-items: center;
  display: grid;
  gap: 4px 16px;
  grid-template-columns: minmax(0, 2fr) minmax(0, 1fr) minmax(0, 1fr) auto;
  min-height: 36px;
}
.late {
  color: var(--fails);
}
@media (max-width: 700px) {
  li {
    grid-template-columns: minmax(0, 1fr) auto;
  }
}
@media (pointer: coarse) {
  li .plain-button {
    min-height: 48px;
  }
}
</style>
