<script setup lang="ts">
import type { RunOut, StockStep } from '@brannik/core'
import StoresHead from './StoresHead.vue'
import LeftChart from './LeftChart.vue'
import { useRunsOut } from './useRunsOut.ts'

/** When it ends: planned jobs draw from one stock, in the order of their due days. */
const { items, failure, isComputing, amount, day, shortened, gaugeText, endText } = useRunsOut()
const leftText = (left: number | null, unit: RunOut['unit']): string =>
  left === null ? '' : left < 0 ? 'none' : amount(left, unit)
/** `Dec 2`: the year is in the table. */
const shortDay = (iso: string | null): string => (iso === null ? '' : shortened(iso))
const pointOf = (step: StockStep) =>
  step.kind === 'job'
    ? { title: step.draw.jobName, when: shortDay(step.draw.dueOn), left: step.draw.after ?? 0 }
    : { title: 'delivery', when: shortDay(step.delivery.on), left: step.delivery.after ?? 0 }
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
          <template v-if="item.endsAt && item.shortBy === 0">, a delivery comes after it</template>
          <template v-if="item.shortBy > 0">, {{ amount(item.shortBy, item.unit) }} short</template>
        </p>
      </header>
      <p class="quiet">
        {{ item.onHand === null ? 'Not counted' : `${amount(item.onHand, item.unit)} on hand` }}, planned jobs
        need {{ amount(item.needed, item.unit) }}.
      </p>
      <LeftChart
        v-if="item.onHand !== null && (item.steps.length > 1 || item.shortBy > 0)"
        :steps="item.steps.map(pointOf)"
        :on-hand="item.onHand"
        :print="(value) => amount(value, item.unit)"
        :label="`${item.name}: what is left after each job and delivery`"
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
          <template v-for="(step, index) in item.steps" :key="index">
            <tr v-if="step.kind === 'job'">
              <td>{{ day(step.draw.dueOn) }}</td>
              <td>
                <RouterLink :to="{ name: 'job', params: { jobId: step.draw.jobId } }">{{
                  step.draw.jobName
                }}</RouterLink>
              </td>
              <td>{{ step.draw.setUpName }}</td>
              <td class="number">{{ amount(step.draw.amount, item.unit) }}</td>
              <td class="number" :class="{ short: (step.draw.after ?? 0) < 0 }">
                {{ leftText(step.draw.after, item.unit) }}
                <span v-if="gaugeText(item, step.draw)" class="label">{{ gaugeText(item, step.draw) }}</span>
              </td>
              <td>
                {{ step.draw.ends ? `at weld ${step.draw.ends.welds + 1} of ${step.draw.ends.of}` : '' }}
              </td>
            </tr>
            <tr v-else class="delivery">
              <td>{{ step.delivery.on === null ? 'day not known' : day(step.delivery.on) }}</td>
              <td>
                <RouterLink :to="{ name: 'order' }">{{ step.delivery.orderName }}</RouterLink>
              </td>
              <td>delivery</td>
              <td class="number">+{{ amount(step.delivery.amount, item.unit) }}</td>
              <td class="number">{{ leftText(step.delivery.after, item.unit) }}</td>
              <td></td>
            </tr>
          </template>
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
.item header {
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
