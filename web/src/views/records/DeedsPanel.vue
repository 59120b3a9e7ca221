<script setup lang="ts">
import { shallowRef } from 'vue'
import { ask } from '../../api/client.ts'
import { useWhen } from '../../stores/useWhen.ts'
import { useList } from './useList.ts'

/** Who did what and when: lines that are only ever added. */
interface Line {
  readonly seq: string
  readonly at: string
  readonly who: string
  readonly role: string
  readonly via: string
  readonly address: string | null
  readonly action: string
  readonly kind: string | null
  readonly id: string | null
  readonly version: number | null
  readonly detail: string | null
}

const PAGE = 200
const when = useWhen()
const { items, problem, isLoading, telling } = useList<Line>('audit')
const older = shallowRef<readonly Line[]>([])
const isAll = shallowRef(false)
const fetchOlder = (): Promise<boolean> =>
  telling(async () => {
    const last = older.value.at(-1) ?? items.value.at(-1)
    const page = await ask<{ items: readonly Line[] }>('GET', `audit?before=${last?.seq ?? ''}`)
    older.value = [...older.value, ...page.items]
    isAll.value = page.items.length < PAGE
  })
const what = ({ action, kind, id, detail }: Line): string =>
  [action, kind?.replaceAll('-', ' '), id, detail && `(${detail})`].filter(Boolean).join(' ')
</script>

<template>
  <div class="sheet panel">
    <div class="bar">
      <p class="quiet grow">Latest first. Entries are never changed.</p>
      <a class="plain-button" href="/api/audit.csv" download="brannik-what-was-done.csv">Export (CSV)</a>
    </div>
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
    <p v-if="isLoading" role="status">Loading…</p>
    <p v-else-if="items.length === 0" class="quiet">No changes yet.</p>
    <div v-else class="wide">
      <VTable>
        <thead>
          <tr>
            <th scope="col">When</th>
            <th scope="col">Who</th>
            <th scope="col">What</th>
            <th scope="col">From</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="line in [...items, ...older]" :key="line.seq">
            <th scope="row" class="when">{{ when(line.at, 'second') }}</th>
            <td>{{ line.who }}</td>
            <td>{{ what(line) }}</td>
            <td>{{ line.via === 'this machine' ? '' : line.via }} {{ line.address ?? '' }}</td>
          </tr>
        </tbody>
      </VTable>
    </div>
    <p v-if="items.length === PAGE && !isAll">
      <button class="link-button" @click="fetchOlder">Show older</button>
    </p>
  </div>
</template>

<style scoped>
.grow {
  flex: 1;
}
.when {
  white-space: nowrap;
}
a.plain-button {
  text-decoration: none;
}
</style>
