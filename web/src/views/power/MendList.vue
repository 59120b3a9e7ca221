<script setup lang="ts">
import { type PowerMend, verdictText } from '@brannik/core'
import { useMoney } from '../../stores/useMoney.ts'
import { usePrint } from '../../stores/usePrint.ts'
import { useWorkspace } from '../../shop/workspace.ts'

/** Ways to fix it, the cheapest first. */
const { mends, jobId } = defineProps<{ mends: readonly PowerMend[]; jobId: string }>()
const emit = defineEmits<{ look: [circuitId: string] }>()

const workspace = useWorkspace()
const { print } = usePrint()
const money = useMoney()
const circuitName = (id: string): string => workspace.get('circuits', id)?.name ?? id
const volts = (voltageV: number, phases: 1 | 3): string =>
  `${print(voltageV, 'V')}${phases === 3 ? ', three-phase' : ''}`
function costWords(mend: PowerMend): string {
  const { cost } = mend
  switch (mend.kind) {
    case 'move':
      if (mend.isThere) return 'owned'
      return cost === null ? 'new circuit needed, by an electrician' : `new circuit needed, ${money(cost)}`
    case 'breaker':
    case 'new-circuit':
      return `about ${money(cost ?? 0)}, by a licensed electrician`
    case 'cord':
    case 'leads':
      return 'to buy'
    default:
      return cost === null ? '' : `${money(cost)} of time`
  }
}
</script>

<template>
  <section class="mend-list">
    <h3>Ways to fix it</h3>
    <ol>
      <li v-for="(one, index) in mends" :key="index">
        <button v-if="one.kind === 'move'" class="link-button" @click="emit('look', one.circuitId)">
          Plug it into {{ circuitName(one.circuitId) }}
        </button>
        <span v-else-if="one.kind === 'rest'">
          Rest {{ print(one.pauseS, 's') }} more after each arc, {{ print(one.moreH, 'h') }} longer
        </span>
        <RouterLink
          v-else-if="one.kind === 'less-current'"
          class="link-button"
          :to="{ name: 'fit', params: { jobId } }"
          >Turn it down to {{ print(one.currentA, 'A') }}: welds up to {{ print(one.thicknessMm, 'mm') }},
          {{ print(one.moreH, 'h') }} longer</RouterLink
        >
        <span v-else-if="one.kind === 'breaker'">
          A breaker of {{ print(one.breakerA, 'A') }} on the same cable<template v-if="one.mostA !== null"
            >; the code allows up to {{ print(one.mostA, 'A') }}</template
          >
        </span>
        <span v-else-if="one.kind === 'cord' || one.kind === 'leads'">
          {{ one.kind === 'cord' ? 'Extension cord' : 'Leads' }} {{ one.size }}, same length
        </span>
        <span v-else>
          A new circuit of {{ volts(one.circuit.voltageV, one.circuit.phases) }}: breaker
          {{ print(one.circuit.breakerA, 'A') }}, {{ one.circuit.conductorSize }}
        </span>
        <span class="label">{{ verdictText(workspace.speech, one.verdict) }}, {{ costWords(one) }}</span>
      </li>
    </ol>
  </section>
</template>

<style scoped>
h3 {
  font-size: inherit;
  margin: 12px 0 4px;
}
ol {
  display: grid;
  gap: 4px;
  list-style: none;
  margin: 0;
  padding: 0;
}
li {
  display: flex;
  flex-wrap: wrap;
  gap: 0 8px;
}
</style>
