<script setup lang="ts">
import {
  type Chain,
  type Finding,
  type Fit,
  printMeasure,
  printWholeAmps,
  type Suggestion,
  worstVerdict,
} from '@brannik/core'
import { computed } from 'vue'
import { useWorkspace } from '../../stores/workspace.ts'
import VerdictMark from '../../components/VerdictMark.vue'

/** The answer in words and one large figure, and what would mend it. */
const { fit, chain, suggestions } = defineProps<{
  fit: Fit
  chain: Chain
  suggestions: readonly Suggestion[]
}>()
const emit = defineEmits<{ apply: [suggestion: Suggestion]; open: [finding: Finding] }>()

const workspace = useWorkspace()

/** Checks that the chain's amps already tell of. */
const IN_CHAIN = new Set([
  'source-range',
  'source-duty',
  'gun-duty',
  'electrode',
  'thickness',
  'breaker-holds',
  'cable',
])

const shorts = computed(() => fit.findings.filter(({ verdict }) => verdict === 'short'))
const unknowns = computed(() => fit.findings.filter(({ verdict }) => verdict === 'unknown'))
const besides = computed(() => {
  const listed =
    chain.verdict === 'short'
      ? [...shorts.value, ...unknowns.value].filter(({ check }) => !IN_CHAIN.has(check))
      : [...shorts.value, ...unknowns.value]
  return listed.slice(0, 3)
})
/** Where nothing is short, the panel says what the job takes off the shelf. */
const USES = ['wire-use', 'gas-use', 'tungsten-use', 'time-use']
const uses = computed(() =>
  fit.findings.filter(({ check, demand }) => USES.includes(check) && demand !== null),
)
const verdict = computed(() => worstVerdict([fit.verdict, chain.verdict]))

const headline = computed(() => {
  const { spareA } = chain
  if (spareA !== null && spareA < 0) return `${printWholeAmps(-spareA)} A short`
  if (shorts.value.length > 0)
    return shorts.value.length === 1 ? '1 check short' : `${shorts.value.length} checks short`
  if (unknowns.value.length > 0)
    return unknowns.value.length === 1 ? '1 not known' : `${unknowns.value.length} not known`
  return spareA === null ? 'Not known' : `${printWholeAmps(spareA)} A to spare`
})
const then = ({ shortCount, spareA, verdict: after }: Suggestion): string => {
  if (shortCount > 0) return shortCount === 1 ? '1 still short' : `${shortCount} still short`
  const room = spareA === null ? '' : `, ${printWholeAmps(spareA)} A over`
  return `${after === 'unknown' ? 'none short' : after}${room}`
}
</script>

<template>
  <section class="answer sheet" :class="verdict" aria-label="The answer" aria-live="polite">
    <p class="headline">
      <VerdictMark :verdict="verdict" :word="false" />
      <span data-testid="headline">{{ headline }}</span>
    </p>
    <p class="says">{{ chain.says }}</p>
    <ul v-if="besides.length > 0" class="besides">
      <li v-for="finding in besides" :key="finding.check">
        <VerdictMark :verdict="finding.verdict" :word="false" />
        <button class="link-button" @click="emit('open', finding)">{{ finding.title }}</button>
        <span v-if="finding.missing" class="quiet clip" :title="finding.missing">{{ finding.missing }}</span>
      </li>
    </ul>
    <template v-if="shorts.length > 0">
      <h2>What would mend it</h2>
      <ul v-if="suggestions.length > 0" class="mends">
        <li v-for="suggestion in suggestions" :key="suggestion.says">
          <button :title="`Try: ${suggestion.says}`" @click="emit('apply', suggestion)">
            <span class="what">{{ suggestion.says }}</span>
            <span class="then" :class="suggestion.shortCount > 0 ? 'short' : suggestion.verdict">{{
              then(suggestion)
            }}</span>
          </button>
        </li>
      </ul>
      <p v-else class="quiet">Nothing on the shelf does. Open a short check to see what would.</p>
    </template>
    <template v-else>
      <h2>The job uses</h2>
      <dl class="uses">
        <template v-for="use in uses" :key="use.check">
          <dt>{{ use.title }}</dt>
          <dd>
            <button class="link-button" @click="emit('open', use)">
              {{ printMeasure(use.demand, workspace.system) }}
            </button>
          </dd>
        </template>
      </dl>
    </template>
  </section>
</template>

<style scoped>
.uses {
  display: grid;
  gap: 4px 16px;
  grid-template-columns: 1fr auto;
}
dd {
  font-weight: 600;
  text-align: right;
}
.answer {
  align-content: start;
  display: grid;
  gap: 8px;
  grid-template-columns: minmax(0, 1fr);
  min-height: 0;
  padding: 12px 16px;
}
.headline {
  align-items: center;
  display: flex;
  font-size: var(--text-figure);
  font-weight: 700;
  gap: 10px;
  letter-spacing: -0.02em;
  line-height: 1.1;
}
.headline :deep(svg) {
  height: 22px;
  width: 22px;
}
.short .headline {
  color: var(--short);
}
.tight .headline {
  color: var(--tight);
}
.fits .headline {
  color: var(--fits);
}
.unknown .headline {
  color: var(--unknown);
}
.besides {
  border-top: 1px solid var(--line);
  display: grid;
  gap: 2px;
  padding-top: 6px;
}
.besides li {
  align-items: baseline;
  display: flex;
  gap: 6px;
  min-width: 0;
}
.besides button {
  white-space: nowrap;
}
.clip {
  font-size: var(--text-s);
  min-width: 0;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
h2 {
  border-top: 1px solid var(--line);
  color: var(--ink-2);
  padding-top: 8px;
}
.mends {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 4px;
}
.mends button {
  align-items: baseline;
  background: none;
  border: 1px solid var(--line-strong);
  border-radius: var(--radius);
  color: var(--ink);
  cursor: pointer;
  display: flex;
  gap: 8px;
  justify-content: space-between;
  padding: 4px 8px;
  text-align: left;
  width: 100%;
}
.mends button:hover {
  background: var(--sunk);
}
.what {
  font-weight: 600;
  min-width: 0;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.then {
  font-size: var(--text-s);
  white-space: nowrap;
}
.then.fits {
  color: var(--fits);
}
.then.tight {
  color: var(--tight);
}
.then.short {
  color: var(--ink-2);
}
.then.unknown {
  color: var(--unknown);
}
</style>
