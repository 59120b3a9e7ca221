<script setup lang="ts">
import { dayNumber } from '@brannik/core'
import { useNow } from '@vueuse/core'
import { computed, ref, shallowRef } from 'vue'
import { useRouter } from 'vue-router'
import { dayHere } from '../../components/dates.ts'
import { useSession } from '../../shop/session.ts'
import { useWorkspace } from '../../shop/workspace.ts'
import { useNotice } from '../../stores/notice.ts'
import { useMoney } from '../../stores/useMoney.ts'
import { usePrint } from '../../stores/usePrint.ts'
import { blankRecord } from '../equipment/forms.ts'
import { idFor } from '../jobs/idFor.ts'
import MoveDialog, { type Act } from './MoveDialog.vue'
import StoresHead from './StoresHead.vue'
import { type Container, type Counted, type OnHand, useOnHand } from './useOnHand.ts'
import { useRunsOut } from './useRunsOut.ts'

/** What is there and where, and whether the planned jobs have enough of it. */
const session = useSession()
const workspace = useWorkspace()
const notice = useNotice()
const router = useRouter()
const money = useMoney()
const { number } = usePrint()
const items = useOnHand()
/** Rows come with what the jobs need of them: no button moves under a finger. */
const { items: runs, isKnown, amount, endText } = useRunsOut()
const mayMove = computed(() => session.mayRecord)
const mayCount = computed(() => session.mayWrite('stock'))
const mayKeep = computed(() => session.mayWrite('cylinders'))

const GROUPS = [
  { kind: 'wire', title: 'Wire and rods' },
  { kind: 'gas', title: 'Gas' },
  { kind: 'tungsten', title: 'Tungsten' },
  { kind: 'part', title: 'Small parts' },
] as const
const search = ref('')
const groups = computed(() => {
  const words = search.value.toLowerCase().split(/\s+/).filter(Boolean)
  const byId = new Map(runs.value.map((run) => [run.id, run]))
  const textOf = ({ name, containers }: OnHand): string =>
    [name, ...containers.map((one) => `${one.name} ${one.openOn}`)].join(' ').toLowerCase()
  return GROUPS.map((group) => ({
    ...group,
    rows: items.value
      .filter((item) => item.kind === group.kind && words.every((word) => textOf(item).includes(word)))
      .map((item) => ({ item, run: byId.get(item.id) ?? null })),
  })).filter(({ rows }) => rows.length > 0)
})
/** What is counted by container alone has nothing loose to be counted. */
const isLoose = ({ containers, amount: loose }: OnHand): boolean =>
  containers.length === 0 || (loose ?? 0) > 0

const isOpen = ref(false)
const picked = shallowRef<Counted | null>(null)
const from = shallowRef<Counted | null>(null)
const act = ref<Act>('count')
function begin(item: Counted, what: Act, source: Counted | null = null): void {
  picked.value = item
  act.value = what
  from.value = source
  isOpen.value = true
}

const now = useNow({ interval: 60_000 })
const MS_PER_H = 3_600_000
const today = computed(() => dayHere(now.value))
function ovenText({ spool, exposureH }: Container): string {
  if (!spool || exposureH === null) return ''
  if (spool.outSince === null) return `in the oven or sealed, ${exposureH} h once out`
  const hours = Math.max(0, (now.value.getTime() - Date.parse(spool.outSince)) / MS_PER_H)
  return hours > exposureH
    ? `out ${number(hours, 2)} h, more than ${exposureH} h: dry them again, once`
    : `out ${number(hours, 2)} h of ${exposureH} h`
}
const isOverdue = ({ spool, exposureH }: Container): boolean =>
  spool !== null &&
  spool.outSince !== null &&
  exposureH !== null &&
  now.value.getTime() - Date.parse(spool.outSince) > exposureH * MS_PER_H
function toggleOven({ spool, name }: Container): void {
  if (!spool) return
  const outSince = spool.outSince === null ? new Date().toISOString() : null
  workspace.edit('spools', spool.id, { ...spool, outSince }, `oven of ${name}`)
}
function rentText({ cylinder }: Container): string {
  if (!cylinder || cylinder.rentPerDay === null || cylinder.cameOn === null) return ''
  const days = Math.max(0, dayNumber(today.value) - dayNumber(cylinder.cameOn))
  return `rent ${money(Math.round(days * cylinder.rentPerDay * 100) / 100)} for ${days} days`
}
function giveBack({ cylinder, name }: Container): void {
  if (!cylinder) return
  workspace.edit(
    'cylinders',
    cylinder.id,
    { ...cylinder, returnedOn: today.value, openOnId: null },
    `return of ${name}`,
  )
  notice.show(`${name} is returned`, true)
}
const placeOf = ({ openOn, keptAt }: Container): string =>
  [openOn === '' ? '' : `open on ${openOn}`, keptAt].filter(Boolean).join(' · ')
const aboutOf = (container: Container): string =>
  [
    container.gauge === '' ? '' : `gauge should show ${container.gauge}`,
    rentText(container),
    ovenText(container),
  ]
    .filter(Boolean)
    .join(' · ')

/** A cylinder or spool of its own, so that its gauge or its weight says what is in it. */
function addContainer({ kind, itemId, name }: OnHand): void {
  const path = kind === 'gas' ? 'cylinders' : 'spools'
  const all = workspace.all(path)
  const called = `${name}, ${kind === 'gas' ? 'cylinder' : 'spool'} ${all.length + 1}`
  const id = idFor(called, all)
  const blank = blankRecord(path, id, 'drive-roll')
  const holds = kind === 'gas' ? { gasId: itemId } : { wireId: itemId }
  workspace.edit(path, id, { ...blank, ...holds, name: called } as never, `new ${called}`)
  void router.push({ name: 'store-records', params: { list: path, id } })
}
const printPage = (): void => window.print()
</script>

<template>
  <section class="stores">
    <StoresHead>
      <RouterLink class="plain-button" :to="{ name: 'movements' }">Movements</RouterLink>
      <button class="plain-button screen-only" @click="printPage">Print</button>
    </StoresHead>
    <label class="search screen-only"
      ><span class="label">Search the stores</span>
      <input v-model="search" type="search" placeholder="wire, gas, tip, machine" />
    </label>
    <p v-if="items.length === 0" class="sheet none">
      Nothing is entered yet. Add wire and gas under Shop, Equipment.
    </p>
    <p v-else-if="!isKnown" class="sheet none">Calculating…</p>
    <section
      v-for="group in isKnown ? groups : []"
      :key="group.kind"
      class="sheet group"
      :aria-label="group.title"
    >
      <h2>{{ group.title }}</h2>
      <ul>
        <li v-for="{ item, run } in group.rows" :key="item.id">
          <div class="row">
            <span class="name">
              <RouterLink
                :to="{
                  name: 'equipment',
                  params: { list: item.kind === 'gas' ? 'gases' : `${item.kind}s`, id: item.itemId },
                }"
                >{{ item.name }}</RouterLink
              >
              <span v-if="item.keptAt" class="label">{{ item.keptAt }}</span>
            </span>
            <strong :class="{ quiet: item.total === null }">
              <RouterLink
                v-if="item.total !== null"
                :to="{ name: 'movements', params: { item: item.id } }"
                :aria-label="`Movements of ${item.name}, ${item.totalText}`"
                >{{ item.totalText }}</RouterLink
              >
              <template v-else>{{ item.totalText }}</template>
            </strong>
            <span class="need" :class="{ short: (run?.shortBy ?? 0) > 0 }">
              <template v-if="run">
                planned jobs need {{ amount(run.needed, run.unit) }}
                <span class="label">{{ endText(run) }}</span>
              </template>
            </span>
            <span class="acts screen-only">
              <template v-if="isLoose(item)">
                <template v-if="item.amount !== null">
                  <button
                    class="plain-button"
                    :disabled="!mayMove"
                    :aria-label="`Receive ${item.name}`"
                    @click="begin(item, 'receive')"
                  >
                    Receive
                  </button>
                  <button
                    class="plain-button"
                    :disabled="!mayMove"
                    :aria-label="`Use ${item.name}`"
                    @click="begin(item, 'use')"
                  >
                    Use
                  </button>
                </template>
                <button
                  class="plain-button"
                  :disabled="!mayCount"
                  :aria-label="`Count ${item.name}`"
                  @click="begin(item, 'count')"
                >
                  Count
                </button>
              </template>
              <button
                v-else
                class="plain-button"
                :disabled="!mayMove"
                :aria-label="`Receive ${item.name}`"
                @click="begin(item, 'receive')"
              >
                Receive
              </button>
              <button
                v-if="item.kind === 'gas' || item.kind === 'wire'"
                class="plain-button"
                :disabled="!mayKeep"
                :aria-label="`Add ${item.kind === 'gas' ? 'cylinder' : 'spool'} of ${item.name}`"
                @click="addContainer(item)"
              >
                + {{ item.kind === 'gas' ? 'cylinder' : 'spool' }}
              </button>
            </span>
          </div>
          <div v-for="one in item.containers" :key="one.id" class="row container">
            <span class="name">
              <RouterLink
                :to="{
                  name: 'store-records',
                  params: { list: `${one.kind}s`, id: one.itemId },
                }"
                >{{ one.name }}</RouterLink
              >
              <span v-if="placeOf(one)" class="label">{{ placeOf(one) }}</span>
            </span>
            <strong :class="{ quiet: one.amount === null }">{{ one.text }}</strong>
            <span class="label" :class="{ short: isOverdue(one) }">{{ aboutOf(one) }}</span>
            <span class="acts screen-only">
              <button
                class="plain-button"
                :disabled="!mayCount"
                :aria-label="`${one.kind === 'cylinder' ? 'Read' : 'Weigh'} ${one.name}`"
                @click="begin(one, 'count')"
              >
                {{ one.kind === 'cylinder' ? 'Read' : 'Weigh' }}
              </button>
              <button
                v-if="one.amount !== null"
                class="plain-button"
                :disabled="!mayMove"
                :aria-label="`Use ${one.name}`"
                @click="begin(one, 'use')"
              >
                Use
              </button>
              <button
                v-if="one.amount !== null && (item.amount ?? 0) > 0"
                class="plain-button"
                :disabled="!mayMove"
                :aria-label="`Fill ${one.name}`"
                @click="begin(one, 'fill', item)"
              >
                Fill
              </button>
              <button
                v-if="one.exposureH !== null"
                class="plain-button"
                :disabled="!mayKeep"
                @click="toggleOven(one)"
              >
                {{ one.spool?.outSince ? 'Back in the oven' : 'Out of the oven' }}
              </button>
              <button
                v-if="one.cylinder !== null && one.cylinder.rentPerDay !== null"
                class="plain-button"
                :disabled="!mayKeep"
                :aria-label="`Return ${one.name}`"
                @click="giveBack(one)"
              >
                Return
              </button>
            </span>
          </div>
        </li>
      </ul>
    </section>
    <p v-if="items.length > 0" class="quiet screen-only">
      <RouterLink :to="{ name: 'store-records', params: { list: 'cylinders' } }">All cylinders</RouterLink>,
      <RouterLink :to="{ name: 'store-records', params: { list: 'spools' } }"
        >all spools and packs</RouterLink
      >
    </p>
    <MoveDialog v-model="isOpen" :item="picked" :act="act" :from="from" />
  </section>
</template>

<style scoped>
.stores {
  display: grid;
  gap: 12px;
  grid-template-columns: minmax(0, 1fr);
  padding: 14px 20px;
}
.search {
  display: grid;
  max-width: 340px;
}
.search input {
  background: var(--sheet);
  border: 1px solid var(--line-strong);
  border-radius: var(--radius);
  color: var(--ink);
  min-height: 36px;
  padding: 4px 10px;
}
.none,
.group {
  padding: 12px 18px;
}
h2 {
  font-size: var(--text-l);
}
a {
  color: inherit;
}
li {
  border-top: 1px solid var(--line);
  padding: 6px 0;
}
.row {
  align-items: center;
  display: grid;
  gap: 4px 16px;
  grid-template-columns: minmax(0, 2fr) minmax(90px, 1fr) minmax(0, 2fr) 300px;
}
.container {
  margin-top: 4px;
}
.container .name {
  border-left: 2px solid var(--line-strong);
  margin-left: 4px;
  padding-left: 10px;
}
.name,
.need {
  display: grid;
}
.short {
  color: var(--fails);
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  justify-content: flex-end;
}
@media (max-width: 760px) {
  .row {
    grid-template-columns: minmax(0, 1fr) auto;
  }
  .container > .label {
    grid-column: 1 / -1;
  }
  .acts {
    grid-column: 1 / -1;
    justify-content: flex-start;
  }
}
@media (pointer: coarse) {
  .acts .plain-button,
  .search input {
    min-height: 48px;
  }
  .name a {
    align-content: center;
    display: grid;
    min-height: 44px;
  }
}
</style>
