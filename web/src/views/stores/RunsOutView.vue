<script setup lang="ts">
import StoresHead from './StoresHead.vue'
import LeftChart from './LeftChart.vue'
import { useRunsOut } from './useRunsOut.ts'

/** When it ends: planned jobs draw from one stock, in the order of their due days. */
const { items, failure, isComputing, amount, day, gaugeText, endText } = useRunsOut()
const printPage = (): void => window.print()
</script>

<template>
  <section class="runs-out">
    <StoresHead>
      <button class="plain-button" @click="printPage">Print</button>
    </StoresHead>
    <p v-if="failure" class="problem" role="alert">This cannot be calculated. {{ failure }}</p>
    <p v-else-if="items.length === 0" class="sheet none">
      {{ isComputing ? 'Calculating…' : 'No planned job has a set-up with wire or gas yet.' }}
    </p>
    <article v-for="item in items" :key="item.id" class="sheet item">
      <header>
        <h2>{{ item.name }}</h2>
        <p :class="{ short: item.shortBy > 0 }">
          <strong>{{ endText(item) }}</strong>
          <template v-if="item.shortBy > 0">, {{ amount(item.shortBy, item.unit) }} short</template>
        </p>
      </header>
      <p class="quiet">
        {{ item.onHand === null ? 'Not counted' : `${amount(item.onHand, item.unit)} on hand` }}, planned jobs
        need {{ amount(item.needed, item.unit) }}.
      </p>
      <LeftChart
        v-if="item.onHand !== null && (item.draws.length > 1 || item.shortBy > 0)"
        :steps="item.draws.map(({ jobName, after }) => ({ title: jobName, left: after ?? 0 }))"
        :on-hand="item.onHand"
        :print="(value) => amount(value, item.unit)"
        :label="`${item.name}: what is left after each job`"
      />
      <table class="ruled">
        <thead>
          <tr>
            <th scope="col">Due</th>
            <th scope="col">Job</th>
            <th scope="col">Set-up</th>
            <th scope="col" class="number">Uses</th>
            <th scope="col" class="number">Left</th>
            <th scope="col">Ends</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="draw in item.draws" :key="draw.jobId">
            <td>{{ day(draw.dueOn) }}</td>
            <td>
              <RouterLink :to="{ name: 'job', params: { jobId: draw.jobId } }">{{ draw.jobName }}</RouterLink>
            </td>
            <td>{{ draw.setUpName }}</td>
            <td class="number">{{ amount(draw.amount, item.unit) }}</td>
            <td class="number" :class="{ short: (draw.after ?? 0) < 0 }">
              {{ draw.after === null ? '' : draw.after < 0 ? 'none' : amount(draw.after, item.unit) }}
              <span v-if="gaugeText(item, draw)" class="label">{{ gaugeText(item, draw) }}</span>
            </td>
            <td>{{ draw.ends ? `at weld ${draw.ends.welds + 1} of ${draw.ends.of}` : '' }}</td>
          </tr>
        </tbody>
      </table>
    </article>
    <p v-if="items.some(({ kind }) => kind === 'gas')" class="quiet">
      A gauge well below the expected one is a leak or a flow that was not set: close the valve overnight and
      read again.
    </p>
  </section>
</template>

<style scoped>
.runs-out {
  display: grid;
  gap: 12px;
  grid-template-columns: minmax(0, 1fr);
  padding: 14px 20px;
}
.none,
.item {
  padding: 12px 18px;
}
.item {
  break-inside: avoid;
  overflow-x: auto;
  position: relative;
}
header {
  align-items: baseline;
  display: flex;
  flex-wrap: wrap;
  gap: 2px 16px;
  justify-content: space-between;
}
h2 {
  font-size: var(--text-l);
}
a {
  color: inherit;
}
.short {
  color: var(--fails);
}
.item :is(th, td) {
  padding: 4px 8px;
}
.item .number {
  text-align: right;
}
td .label {
  display: block;
}
</style>
