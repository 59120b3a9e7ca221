<script setup lang="ts">
import { type Pair, type ShopPower, verdictText } from '@brannik/core'
import { computed } from 'vue'
import VerdictMark from '../../components/VerdictMark.vue'
import { useWorkspace } from '../../stores/workspace.ts'

/** Who can weld while another does: every pair, each as often as the breakers it shares allow. */
const { machines, pairs } = defineProps<Pick<ShopPower, 'machines' | 'pairs'>>()

const workspace = useWorkspace()
const sourceName = (name: string): string => name.split(', ')[0] ?? name
const pairOf = (a: string, b: string): Pair | null =>
  pairs.find((one) => (one.a === a && one.b === b) || (one.a === b && one.b === a)) ?? null
/** Below the diagonal: each pair once. */
const rows = computed(() =>
  machines.map((one, row) =>
    machines.map((other, column) => (column < row ? pairOf(one.id, other.id) : null)),
  ),
)
const words = ({ verdict, at }: Pair): string =>
  verdict === null ? 'nothing carries both' : `${verdictText(workspace.speech, verdict)}, ${at ?? ''}`
</script>

<template>
  <div class="scroll">
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
