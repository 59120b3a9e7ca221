<script setup lang="ts">
import { type Pair, type ShopPower, verdictText } from '@brannik/core'
import { useElementVisibility } from '@vueuse/core'
import { computed, shallowRef, useTemplateRef, watch } from 'vue'
import VerdictMark from '../../components/VerdictMark.vue'
import { engine } from '../../engine/client.ts'
import type { JobOnSetUp } from '../../engine/snapshot.ts'
import { reasonOf } from '../../reason.ts'
import { useWorkspace } from '../../shop/workspace.ts'

/** Who can weld at the same time: each pair is worked out when the table is on the screen, machine by machine. */
const { machines, atWork } = defineProps<
  Pick<ShopPower, 'machines'> & {
    readonly atWork: readonly JobOnSetUp[]
  }
>()

const workspace = useWorkspace()
const pairs = shallowRef<readonly Pair[]>([])
const done = shallowRef(0)
const failure = shallowRef('')
const table = useTemplateRef<HTMLElement>('table')
const isSeen = useElementVisibility(table)

watch(
  () => [isSeen.value, machines, workspace.snapshot] as const,
  async ([isOnScreen, all, snapshot], before, onCleanup) => {
    let isCurrent = true
    onCleanup(() => (isCurrent = false))
    if (before?.[1] !== all || before[2] !== snapshot) {
      pairs.value = []
      done.value = 0
    }
    failure.value = ''
    if (!isOnScreen) return
    try {
      // The last has nobody after it.
      for (const { id } of all.slice(done.value, -1)) {
        const found = await engine.ask(snapshot, 'pairs', [...atWork], id)
        if (!isCurrent) return
        pairs.value = [...pairs.value, ...found]
        done.value += 1
      }
    } catch (error) {
      if (isCurrent) failure.value = reasonOf(error)
    }
  },
  { immediate: true },
)
const isSearching = computed(() => done.value < machines.length - 1)
const sourceName = (name: string): string => name.split(', ')[0] ?? name
const pairOf = (a: string, b: string): Pair | null =>
  pairs.value.find((one) => (one.a === a && one.b === b) || (one.a === b && one.b === a)) ?? null
/** Below the diagonal: each pair once. */
const rows = computed(() =>
  machines.map((one, row) =>
    machines.map((other, column) => (column < row ? pairOf(one.id, other.id) : null)),
  ),
)
const words = ({ verdict, at }: Pair): string =>
  verdict === null ? 'no circuit in common' : `${verdictText(workspace.speech, verdict)}, ${at ?? ''}`
</script>

<template>
  <div ref="table" class="scroll" role="region" tabindex="0" aria-label="Pairs" :aria-busy="isSearching">
    <p v-if="failure" class="problem" role="alert">The pairs cannot be calculated: {{ failure }}</p>
    <p v-else-if="isSearching" class="label" role="status">
      {{ done }} of {{ machines.length - 1 }} machines checked against the others…
    </p>
    <table class="ruled pairs">
      <thead>
        <tr>
          <td></td>
          <th v-for="one in machines" :key="one.id" scope="col">{{ sourceName(one.name) }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(one, row) in machines" :key="one.id">
          <th scope="row">{{ one.name }}</th>
          <td v-for="(pair, column) in rows[row]" :key="machines[column]?.id">
            <template v-if="pair">
              <VerdictMark v-if="pair.verdict" :verdict="pair.verdict" :word="false" />
              <span class="label">{{ words(pair) }}</span>
            </template>
          </td>
        </tr>
      </tbody>
    </table>
  </div>
</template>

<style scoped src="./tables.css" />
<style scoped>
.pairs {
  width: auto;
}
td .label {
  margin-left: 4px;
}
</style>
