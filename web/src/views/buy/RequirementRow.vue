<script setup lang="ts">
import {
  MOST_WEIGHT,
  PROCESS_IDS,
  PROCESSES,
  type Requirement,
  REQUIREMENT_WORDS,
  WEIGHT_STEP,
} from '@brannik/core'
import { computed } from 'vue'
import CountField from '../../components/CountField.vue'
import PickField from '../../components/PickField.vue'
import QuantityField from '../../components/QuantityField.vue'
import { useWorkspace } from '../../shop/workspace.ts'

/** One requirement: what, of which process, how much, whether it must be, and how much it counts. */
const { requirement, name } = defineProps<{
  requirement: Requirement
  /** Which line it is, for those who do not see it. */
  name: string
}>()
const emit = defineEmits<{
  put: [part: Partial<Requirement>, what: string]
  remove: []
}>()

const workspace = useWorkspace()
const words = computed(() => REQUIREMENT_WORDS[requirement.what])
const PROCESS_CHOICES = PROCESS_IDS.map((id) => [id, PROCESSES[id].workshopWord] as const)
const KINDS: Readonly<Record<string, 'wireFeedSpeed' | 'length' | 'mass'>> = {
  'mm/min': 'wireFeedSpeed',
  mm: 'length',
  g: 'mass',
}
const quantity = computed(() => KINDS[words.value.unit] ?? null)
const unit = computed(() =>
  requirement.what === 'price' ? (workspace.shop?.currency ?? '') : words.value.unit,
)
const amountName = computed(() => `${words.value.title}, line ${name}`)
const bound = computed(() => {
  if (words.value.better === 'there') return ''
  if (!requirement.must) return 'good enough'
  return words.value.better === 'more' ? 'at least' : 'at most'
})
const setAmount = (amount: number | null): void => emit('put', { amount }, 'amount')
const setWorst = (worst: number | null): void => emit('put', { worst }, 'worst acceptable')
/** A wish that is measured is scored between what is good enough and the worst that is acceptable. */
const hasLimits = computed(() => !requirement.must && words.value.better !== 'there')
const worstName = computed(() => `Worst acceptable ${words.value.title}, line ${name}`)
const MOST_AMOUNT = 1e6
const MOST_A = 3000
</script>

<template>
  <li>
    <span class="what">
      <strong>{{ words.title }}</strong>
      <span v-if="requirement.because" class="label">{{ requirement.because }}</span>
    </span>
    <span class="fields">
      <PickField
        v-if="words.process !== 'none'"
        class="process"
        :name="`Process, line ${name}`"
        :items="PROCESS_CHOICES"
        :optional="words.process === 'may' ? 'any process' : ''"
        :model-value="requirement.process"
        @update:model-value="(process) => emit('put', { process }, 'process')"
      />
      <template v-if="words.asks !== 'nothing'">
        <span v-if="bound" class="label">{{ bound }}</span>
        <QuantityField
          v-if="quantity"
          class="amount"
          label=""
          :name="amountName"
          :kind="quantity"
          optional="the best"
          :model-value="requirement.amount"
          @update:model-value="setAmount"
        />
        <CountField
          v-else
          class="amount"
          label=""
          :name="amountName"
          decimals
          :least="0"
          :most="MOST_AMOUNT"
          :unit="unit"
          optional="the best"
          :model-value="requirement.amount"
          @update:model-value="setAmount"
        />
      </template>
      <span v-if="words.asks !== 'nothing' && !quantity" class="label">{{ unit }}</span>
      <template v-if="hasLimits">
        <span class="label">worst acceptable</span>
        <QuantityField
          v-if="quantity"
          class="amount"
          label=""
          :name="worstName"
          :kind="quantity"
          optional="none set"
          :model-value="requirement.worst"
          @update:model-value="setWorst"
        />
        <CountField
          v-else
          class="amount"
          label=""
          :name="worstName"
          decimals
          :least="0"
          :most="MOST_AMOUNT"
          :unit="unit"
          optional="none set"
          :model-value="requirement.worst"
          @update:model-value="setWorst"
        />
      </template>
      <template v-if="words.asks === 'amount-at-current'">
        <span class="label">at</span>
        <CountField
          class="amount"
          label=""
          :name="`Current of the duty, line ${name}`"
          decimals
          unit="A"
          :least="1"
          :most="MOST_A"
          optional="no current"
          :model-value="requirement.atA"
          @update:model-value="(atA) => emit('put', { atA }, 'current')"
        />
        <span class="label">A</span>
      </template>
    </span>
    <VCheckbox
      label="must"
      :aria-label="`${words.title} must be, line ${name}`"
      :model-value="requirement.must"
      @update:model-value="(must) => emit('put', { must: must === true }, 'must')"
    />
    <VSlider
      v-if="!requirement.must"
      class="weight"
      color="var(--copper)"
      track-color="var(--line-strong)"
      :aria-label="`Weight of ${words.title}, line ${name}`"
      :min="0"
      :max="MOST_WEIGHT"
      :step="WEIGHT_STEP"
      hide-details
      density="compact"
      :model-value="requirement.weight"
      @update:model-value="(weight) => emit('put', { weight }, 'weight')"
    />
    <span class="figure label">{{ requirement.must ? '' : requirement.weight }}</span>
    <button class="link-button" :aria-label="`Remove ${words.title}, line ${name}`" @click="emit('remove')">
      ×
    </button>
  </li>
</template>

<style scoped>
li {
  align-items: start;
  border-top: 1px solid var(--line);
  display: grid;
  gap: 4px 10px;
  grid-template-columns: 132px minmax(0, 1fr) 74px 76px 22px 16px;
  padding: 4px 0;
}
.what {
  display: grid;
}
.fields {
  align-items: start;
  display: flex;
  flex-wrap: wrap;
  gap: 4px 8px;
}
/* What is wrong has a line of its own. */
.fields > :has(.told) {
  flex: 1 0 100%;
}
.fields :deep(.told) {
  max-width: 100%;
}
.process {
  flex: 1 1 80px;
  min-width: 0;
}
.amount {
  flex: 0 1 64px;
}
.link-button {
  grid-column: 6;
}
.figure {
  grid-column: 5;
  text-align: right;
}
@media (max-width: 700px) {
  li {
    grid-template-columns: minmax(0, 1fr) auto auto;
  }
  .what,
  .fields {
    grid-column: 1 / -1;
  }
}
</style>
